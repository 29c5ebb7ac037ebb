<script setup lang="ts">
import type { JointFacts } from '@jugalis/core'
import { computed, ref } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import Sheet from '../../frame/Sheet.vue'
import { useJob } from '../../stores/job'
import { hhmmss } from '../../when'
import { word } from '../../words/word'
import PlacedElsewhere from './PlacedElsewhere.vue'

/** States at once what an interruption costs at this moment, and the way back. The clocks run on. */
const props = defineProps<{ facts: JointFacts }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
/** As they stand in the log, whatever language they are read in. */
const KINDS = ['telephone', 'rain', 'power-lost', 'called-away', 'knocked', 'hurt'] as const
const said = (what: (typeof KINDS)[number]): string => word(`make-why-${what}`)
const kind = ref<(typeof KINDS)[number]>('telephone')
const costs = computed(() => {
  const facts = props.facts
  if (!facts.method || facts.spec === null) return []
  return facts.method.interruption(
    facts.spec,
    facts.life ?? { no: 1, done: [], interrupted: [] },
    kind.value,
    facts.ctx,
  )
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
      word('make-put-down', { tag: props.facts.tag, kind: said(kind.value) }),
    )
  emit('close')
}
</script>

<template>
  <Sheet :title="word('make-put-it-down')" @close="emit('close')">
    <ChipChoice v-model="kind" :label="word('make-why')" :options="KINDS.map((k) => [k, said(k)] as const)" />
    <p v-if="running" class="strong">
      {{
        word('make-until-to-the-clock', {
          at: hhmmss(running.untilS.value ?? 0, job.state.job.zone),
          label: job.t(running.label),
        })
      }}
    </p>
    <p v-for="c in costs" :key="c.code">{{ job.t(c) }}</p>
    <p v-if="kind === 'hurt'" class="refusal">{{ word('make-see-to-the-person') }}</p>
    <button type="button" class="button main" @click="save">{{ word('make-put-it-down') }}</button>
    <PlacedElsewhere :facts="facts" @close="emit('close')" />
  </Sheet>
</template>

<style scoped>
.button {
  min-height: 56px;
}
</style>
