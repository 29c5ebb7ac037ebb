<script setup lang="ts">
import type { JointFacts } from '@jugalis/core'
import { computed, ref } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { hhmmss } from '../../when'

/** States at once what an interruption costs at this moment, and the way back. The clocks run on. */
const props = defineProps<{ facts: JointFacts }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const KINDS = ['telephone', 'rain', 'power lost', 'called away', 'knocked', 'hurt'] as const
const kind = ref<(typeof KINDS)[number]>('telephone')
const costs = computed(() => {
  const f = props.facts
  if (!f.method || f.spec === null) return []
  return f.method.interruption(f.spec, f.life ?? { no: 1, done: [], interrupted: [] }, kind.value, f.ctx)
})
const running = computed(() =>
  props.facts.clocks.find(
    (c) => c.kind === 'window' && c.stoppedAtS === undefined && c.untilS.value !== null,
  ),
)
async function save(): Promise<void> {
  if (props.facts.life)
    await job.write(
      [
        {
          kind: 'interrupted',
          jointId: props.facts.id,
          data: { life: props.facts.life.no, what: kind.value },
        },
      ],
      `${props.facts.tag}: put down (${kind.value}).`,
    )
  emit('close')
}
</script>

<template>
  <Sheet title="Put it down" @close="emit('close')">
    <ChipChoice v-model="kind" label="Why" :options="KINDS.map((k) => [k, k] as const)" />
    <p v-if="running" class="strong">
      Until {{ hhmmss(running.untilS.value ?? 0, job.state.job.zone) }} to {{ job.t(running.label) }}. The
      clock runs on.
    </p>
    <p v-for="c in costs" :key="c.code">{{ job.t(c) }}</p>
    <p v-if="kind === 'hurt'" class="refusal">See to the person first. Call for help by the site's rule.</p>
    <button type="button" class="button main" @click="save">Put it down</button>
  </Sheet>
</template>

<style scoped>
.button {
  min-height: 56px;
}
</style>
