<script setup lang="ts">
import { type JointFacts, TOO_LONG_AGO_S, lifeBeforeEndedS, newestChart } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, reactive, ref, toRef } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import ManyChips from '../../frame/ManyChips.vue'
import Sheet from '../../frame/Sheet.vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { hhmm, lastAt, when } from '../../when'
import StepReads from './reads/StepReads.vue'
import { useTools } from './use-tools'
import { isNumber } from './use-writes'
import { word } from '../../words/word'

/**
 * Several joints, or one, written down afterwards in one entry: what was done to each, between which times. Clocks
 * count from the latest, windows from the earliest: nothing is made better by being written late.
 */
const props = defineProps<{
  like: JointFacts
  candidates: readonly JointFacts[]
  marked: readonly string[]
}>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const clock = useClock()
const zone = computed(() => job.state.job.zone)
const chosen = ref<string[]>(
  props.candidates.map((f) => f.id).filter((id) => id === props.like.id || props.marked.includes(id)),
)
/** Steps that are still to be done, in order, each after the one before it. */
const steps = computed(() => {
  const from = props.like.steps.findIndex((s) => s.id === props.like.nextStep?.id)
  return from < 0 ? [] : props.like.steps.slice(from)
})
const upTo = ref(steps.value.find((s) => s.reaches === 'made')?.id ?? steps.value[0]?.id ?? '')
const doing = computed(() => steps.value.slice(0, steps.value.findIndex((s) => s.id === upTo.value) + 1))
const reads = computed(() => doing.value.flatMap((s) => s.reads))
const readings = ref<Record<string, number | string | number[][] | null>>({})
const typed = reactive({ from: '', to: hhmm(clock.nowS, zone.value) })
const DAYS = [
  [0, 'today'],
  [1, 'yesterday'],
] as const
const KNOWN_BY = [
  ['seen', word('make-noted-at-the-time')],
  ['memory', word('make-from-memory')],
] as const
const daysBack = ref<0 | 1 | null>(0)
const basis = ref<'seen' | 'memory' | null>(null)
/** What was used: as it is in hand, unless it was something else then. */
const tools = useTools(toRef(props, 'like'))
const used = ref<string[]>(tools.chosen.value.map((item) => item.id))
const fault = ref('')
/** What each step is written with: its own readings, and of each choice the good option that its button says. */
function valuesOf(step: (typeof steps.value)[number]): Record<string, unknown> {
  return Object.fromEntries(
    step.reads.flatMap((read): [string, unknown][] => {
      if (read.control === 'choice' && !read.asked) return [[read.key, read.options?.[0]]]
      const value = readings.value[read.key] ?? null
      return value === null ? [] : [[read.key, value]]
    }),
  )
}
/** What is missing or cannot be, in a sentence; nothing where all is said. */
function faultOf(fromS: number | null, toS: number | null): string {
  if (!chosen.value.length) return word('make-choose-at-least-one')
  if (fromS === null || toS === null) return word('make-say-between-which-times')
  if (fromS > toS) return word('make-the-first-time-lies')
  for (const { id, tag, lifeNo } of props.candidates.filter((f) => chosen.value.includes(f.id))) {
    const endedS = lifeBeforeEndedS(job.state, id, lifeNo)
    if (endedS !== null && fromS < endedS)
      return word('make-was-still-in-then', { tag, at: when(endedS, clock.nowS, zone.value) })
  }
  if (clock.nowS - fromS > TOO_LONG_AGO_S && !job.leading) return word('make-too-long-ago')
  if (!basis.value) return word('make-say-whether-it-was')
  const unread = reads.value.find(
    (r) => (isNumber(r) || r.asked) && r.needed && (readings.value[r.key] ?? null) === null,
  )
  return unread ? word('make-not-read-yet', { label: job.t(unread.label) }) : ''
}
/** The tin is named by itself: the method asks what it was for. */
function usedSaid(): { tinId?: string; toolIds?: string[] } {
  const tinId = used.value.find((id) => job.state.store.get(id)?.matches['plastic'] !== undefined)
  const toolIds = used.value.filter((id) => id !== tinId)
  return { ...(tinId ? { tinId } : {}), ...(toolIds.length ? { toolIds } : {}) }
}
async function keep(): Promise<void> {
  const fromS = lastAt(typed.from, clock.nowS, zone.value, daysBack.value ?? 0)
  const toS = lastAt(typed.to, clock.nowS, zone.value, daysBack.value ?? 0)
  fault.value = faultOf(fromS, toS)
  if (fault.value || fromS === null || toS === null) return
  const joints = props.candidates.filter((f) => chosen.value.includes(f.id))
  const pin = (facts: JointFacts) => ({
    rules: facts.method?.version ?? 1,
    chart: newestChart(job.state),
    school: facts.place.way.school,
    table: job.state.job.table,
  })
  await job.write(
    [
      {
        kind: 'batch-done',
        data: {
          joints: joints.map((f) => ({ jointId: f.id, life: f.lifeNo, ...(f.life ? {} : { pin: pin(f) }) })),
          steps: doing.value.map((s) => ({ step: s.id, readings: valuesOf(s) })),
          fromS: fromS - clock.offsetS,
          toS: toS - clock.offsetS,
          basis: basis.value,
          ...usedSaid(),
        },
      },
    ],
    word('make-joints-to-one-entry', { joints: joints.length, from: typed.from, to: typed.to }),
  )
  emit('close')
}
</script>

<template>
  <Sheet :title="word('make-made-before-written-now')" @close="emit('close')">
    <p class="strong">
      {{
        word('make-of-in', {
          chosen: chosen.length,
          candidates: candidates.length,
          piece: like.place.way.size,
        })
      }}
    </p>
    <ManyChips v-model="chosen" :options="candidates.map((f) => [f.id, f.tag] as const)">
      <button
        v-if="chosen.length < candidates.length"
        type="button"
        class="button"
        @click="chosen = candidates.map((f) => f.id)"
      >
        {{ word('make-all', { candidates: candidates.length }) }}
      </button>
    </ManyChips>
    <p class="strong">{{ word('make-done-up-to') }}</p>
    <ChipChoice
      v-model="upTo"
      :label="word('make-done-up-to-2')"
      :options="steps.map((s) => [s.id, job.t(s.action)] as const)"
    />
    <div class="times">
      <span>
        <label for="batch-from">{{ word('make-between') }}</label>
        <ElInput id="batch-from" v-model="typed.from" size="large" placeholder="14:02" />
      </span>
      <span>
        <label for="batch-to">{{ word('make-and') }}</label>
        <ElInput id="batch-to" v-model="typed.to" size="large" />
      </span>
      <ChipChoice v-model="daysBack" :label="word('make-day')" :options="DAYS" />
    </div>
    <template v-if="tools.known.value.length">
      <p class="strong">{{ word('thing-made-with') }}</p>
      <ManyChips v-model="used" :options="tools.known.value.map((item) => [item.id, item.name] as const)" />
    </template>
    <StepReads v-if="reads.length" v-model="readings" :joint-id="like.id" :reads="reads" />
    <p v-if="reads.length && chosen.length > 1" class="why">{{ word('make-the-same-reading-for') }}</p>
    <ChipChoice v-model="basis" :label="word('make-how-it-is-known')" :options="KNOWN_BY" />
    <p class="why">{{ word('make-waits-count-from-the') }}</p>
    <p v-if="fault" class="refusal" role="alert">{{ fault }}</p>
    <button type="button" class="button main" @click="keep">{{ word('ui-write-it-down') }}</button>
  </Sheet>
</template>

<style scoped>
.button {
  min-height: 56px;
}
.times {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px;
}
.times > span {
  flex: 1 1 90px;
}
label {
  font-weight: 600;
}
</style>
