<script setup lang="ts">
import { type ItemState, type StoreItem, standingOf } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref, watch } from 'vue'
import { useClock } from '../stores/clock'
import { useJob } from '../stores/job'
import { useTimeThatWas } from '../time-that-was'
import { word } from '../words/word'
import FoundWrong from './FoundWrong.vue'

/** What becomes of a thing: tried, opened, empty, thrown away, found wrong; each with its way back. */
const props = defineProps<{ item: StoreItem }>()
const emit = defineEmits<{ done: [] }>()
const job = useJob()
const clock = useClock()
const stood = computed(() => standingOf(job.state, props.item, clock.nowS))
const gone = computed(() => stood.value.standing === 'empty' || stood.value.standing === 'condemned')
const wrong = ref(false)
const typed = reactive({ when: '', why: '' })
const fault = ref('')
const timeThatWas = useTimeThatWas()
watch(typed, () => (fault.value = ''))
async function say(state: ItemState): Promise<void> {
  const atS = timeThatWas(typed.when)
  if (atS === null) return void (fault.value = word('ui-no-time-that-was'))
  const more = {
    ...(atS === undefined ? {} : { atS }),
    ...(typed.why.trim() ? { says: typed.why.trim() } : {}),
  }
  await job.write(
    [{ kind: 'store-state', data: { itemId: props.item.id, state, ...more } }],
    word(`thing-is-${state}`, { name: props.item.name }),
  )
  emit('done')
}
async function proof(good: boolean): Promise<void> {
  await job.write(
    [
      {
        kind: 'tool-proof',
        data: { toolId: props.item.id, good, how: word('make-tried-before-the-shift') },
      },
    ],
    word(good ? 'make-tried-good' : 'make-tried-not-good', { tool: props.item.name }),
  )
  emit('done')
}
</script>

<template>
  <div class="acts">
    <template v-if="gone">
      <button type="button" class="button main" @click="say('back')">{{ word('thing-put-back') }}</button>
    </template>
    <template v-else>
      <template v-if="!item.lot">
        <button type="button" class="button main" @click="proof(true)">
          {{ word('make-tried-it-good') }}
        </button>
        <button type="button" class="button stop" @click="proof(false)">{{ word('make-not-good') }}</button>
      </template>
      <template v-else>
        <button v-if="!stood.openedOn" type="button" class="button" @click="say('opened')">
          {{ word('thing-opened') }}
        </button>
        <button type="button" class="button" @click="say('empty')">{{ word('thing-empty') }}</button>
      </template>
      <button type="button" class="button" @click="say('condemned')">{{ word('thing-condemned') }}</button>
      <button type="button" class="button stop" :aria-expanded="wrong" @click="wrong = !wrong">
        {{ word('make-found-to-be-wrong') }}
      </button>
    </template>
  </div>
  <details v-if="!gone">
    <summary>{{ word('thing-earlier-why') }}</summary>
    <label for="acts-when">{{ word('thing-when') }}</label>
    <ElInput id="acts-when" v-model="typed.when" size="large" placeholder="2026-11-27 07:30" />
    <label for="acts-why">{{ word('thing-why') }}</label>
    <ElInput id="acts-why" v-model="typed.why" size="large" maxlength="200" />
  </details>
  <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
  <FoundWrong v-if="wrong && !gone" :item="item" @done="emit('done')" />
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.button {
  min-height: 56px;
  flex: 1 1 110px;
}
</style>
