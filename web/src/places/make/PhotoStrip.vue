<script setup lang="ts">
import type { JointFacts } from '@jugalis/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { addressOf, send, take } from '../../stores/photos'
import { when } from '../../when'
import { useView } from '../../view'
import { word } from '../../words/word'

/** Pictures of a joint: taken where a reading judges it, kept here until the server has them, never asked for. */
const props = defineProps<{ facts: JointFacts }>()
const job = useJob()
const view = useView()
const jobId = job.jobId as string
const photos = computed(() => job.state.joints.get(props.facts.id)?.photos ?? [])
const addresses = ref<Record<string, string>>({})
const fault = ref('')
const busy = ref(false)
const open = ref<string | null>(null)
const shown = computed(() => photos.value.find((p) => p.hash === open.value) ?? null)
watch(
  photos,
  async (all) => {
    for (const photo of all) addresses.value[photo.hash] ??= await addressOf(jobId, photo.hash)
  },
  { immediate: true },
)
const forget = (): void => {
  for (const address of Object.values(addresses.value))
    if (address.startsWith('blob:')) URL.revokeObjectURL(address)
}
onBeforeUnmount(forget)
async function add(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  fault.value = ''
  busy.value = true
  try {
    const taken = await take(jobId, file)
    const step = props.facts.nextStep?.id ?? props.facts.life?.done.at(-1)?.step ?? ''
    await job.write(
      [{ kind: 'photo-kept', jointId: props.facts.id, data: { life: props.facts.lifeNo, step, ...taken } }],
      word('make-a-picture-is-kept'),
    )
    void send(jobId)
  } catch {
    fault.value = word('make-this-file-is-no')
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="photos">
    <label class="button" :class="{ busy }">
      <input type="file" accept="image/*" capture="environment" :disabled="busy" @change="add" />
      {{ busy ? word('make-one-moment') : word('make-photo') }}
    </label>
    <button
      v-for="(p, i) in photos"
      :key="p.hash"
      type="button"
      class="thumb"
      :aria-label="
        word('make-picture-of', {
          i: i + 1,
          tag: facts.tag,
          when: when(p.atS, view.nowS, job.state.job.zone),
        })
      "
      @click="open = p.hash"
    >
      <img v-if="addresses[p.hash]" :src="addresses[p.hash]" alt="" />
    </button>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <Sheet v-if="shown" :title="word('make-life', { tag: facts.tag, life: shown.life })" @close="open = null">
      <img class="whole" :src="addresses[shown.hash]" :alt="word('make-picture-of-2', { tag: facts.tag })" />
      <p class="why">
        {{
          word('make-named-in-the-log', {
            name: job.nameOf(shown.by),
            when: when(shown.atS, view.nowS, job.state.job.zone),
            hash: shown.hash.slice(0, 12),
          })
        }}
      </p>
    </Sheet>
  </div>
</template>

<style scoped>
.photos {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.button {
  min-height: 56px;
  display: flex;
  align-items: center;
  position: relative;
}
.button:focus-within {
  outline: 3px solid var(--violet);
  outline-offset: 2px;
}
input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
.thumb {
  width: 56px;
  height: 56px;
  padding: 0;
  border: 2px solid var(--ink);
  background: var(--pipe-fill);
  cursor: pointer;
}
.thumb img {
  width: 100%;
  height: 100%;
  object-fit: cover;
  display: block;
}
.whole {
  max-width: 100%;
  max-height: 60vh;
}
</style>
