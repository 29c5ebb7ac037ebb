<script setup lang="ts">
import {
  type Finding,
  type JointFacts,
  type StepException,
  lifeBeforeEndedS,
  neverSetAside,
} from '@jugalis/core'
import { computed, ref, watch } from 'vue'
import { useJob } from '../../stores/job'
import JointSection from '../../tapes/JointSection.vue'
import ActionArea from './ActionArea.vue'
import BatchSheet from './BatchSheet.vue'
import BeforeStart from './BeforeStart.vue'
import CutOutSheet from './CutOutSheet.vue'
import EarlierSheet from './EarlierSheet.vue'
import LimitSheet from './LimitSheet.vue'
import MakeHead from './MakeHead.vue'
import LookOver from './LookOver.vue'
import OtherHands from './OtherHands.vue'
import OverrideSheet from './OverrideSheet.vue'
import PutDownSheet from './PutDownSheet.vue'
import SkipSheet from './SkipSheet.vue'
import HistorySheet from './HistorySheet.vue'
import SourcesSheet from './SourcesSheet.vue'
import StepReads from './reads/StepReads.vue'
import WorkNotes from './WorkNotes.vue'
import { useAct } from './use-act'
import { useAround, useMakesWay } from './use-around'
import { useDrawingHeight, useDrawn } from './use-drawn'
import { useJoint } from './use-joint'
import { useRedo, useWayBack } from './use-redo'
import { useReported } from './use-reported'
import { useRoom, useTight } from './use-room'
import { useTools } from './use-tools'
import { useMarks } from './use-marks'
import { useReads } from './use-reads'
import { useWrites } from './use-writes'
import { word } from '../../words/word'

const props = defineProps<{ facts: JointFacts; next: JointFacts | null; marked: readonly string[] }>()
const emit = defineEmits<{ go: [id: string] }>()
const job = useJob()
const facts = computed(() => props.facts)
const { redo, mend } = useRedo(facts)
const joint = useJoint(facts, redo)
const tools = useTools(facts)
const { phase, headline, why } = joint
/** At the last look the marks of fitting and pipe are read too, where it is known how it should stand. */
const step = useMarks(facts, joint.step)
const readings = ref<Record<string, number | string | number[][] | null>>({})
const sheet = ref<'earlier' | 'down' | 'override' | 'skip' | 'batch' | 'sources' | 'history' | null>(null)
const overrides = ref<string[]>([])
const before = ref<InstanceType<typeof BeforeStart>>()

const findings = computed<readonly Finding[]>(() =>
  [...joint.wrong(tools.tin.value, tools.permit.value), ...tools.wrong.value].filter(
    (f) => !overrides.value.includes(f.code),
  ),
)
const here = { facts, step, phase, left: joint.left }
const { live, full, alike, ahead } = useAround(here)
const acted = useMakesWay(
  here,
  () => props.next,
  (id) => emit('go', id),
)
/** What is wrong today is said above already, while work has not begun. */
const beginning = computed(() => phase.value === 'step' && props.facts.homeAtS === null)
const stops = computed(() => findings.value.filter((f) => f.level === 'stop'))
/** Only the step that begins the wet work is held up; what is already running must go on. */
const held = computed(
  () =>
    stops.value.length > 0 &&
    phase.value === 'step' &&
    step.value?.reaches !== 'marked' &&
    props.facts.homeAtS === null,
)
const { numberReads, reading, judging, unread, actionLabel } = useReads(step, phase, readings)
const { method, shapes, insertion, depth, check } = useDrawn(facts)

/** Why the joint is to be cut out, while that is asked about. */
const cuttingOut = ref<string | null>(null)
/** Why a part was put aside before anything was made with it; said until something is done. */
const aside = ref('')
watch([step, () => props.facts.id], () => (aside.value = ''))
const writes = useWrites({
  askCutOut: (reason) => (cuttingOut.value = reason),
  putAside: (reason) => (aside.value = reason),
  facts: () => props.facts,
  step: () => step.value,
  readings: () => readings.value,
  tinId: () => tools.tinId.value,
  toolIds: () => tools.toolIds.value,
  works: () => tools.works.value,
  overrides: () => overrides.value,
  depth: () => insertion.value?.depthMm ?? null,
  label: () => actionLabel.value,
  again: () => redo.value !== null,
  mayAct: () => phase.value !== 'hold' && !held.value && !(judging.value && unread.value),
})
const { asked, act } = useAct(props, joint, async () => {
  acted()
  before.value?.begun()
  await writes.act()
  redo.value = null
})
async function cutOut(withIt: Parameters<typeof writes.cutOut>[1]): Promise<void> {
  const reason = cuttingOut.value ?? ''
  cuttingOut.value = null
  await writes.cutOut(reason, withIt)
}
async function skip(reason: string): Promise<void> {
  sheet.value = null
  if (step.value) await writes.skip(step.value, reason)
}
const { cycle, torque } = useReported({ facts, step, phase }, tools, readings)
watch(cycle, (now) => {
  if (now?.result === 'complete') void act()
})
async function except(exception: StepException): Promise<void> {
  await writes.except(exception)
  redo.value = null
}
const wayBack = useWayBack({ facts, step, phase }, joint.open)
const lastStep = computed(() => props.facts.life?.done.at(-1) ?? null)
const stepBefore = computed(() => props.facts.life?.done.at(-2) ?? null)
const panel = ref<HTMLElement>()
const room = useRoom(panel)
/** Even without the drawing it does not all fit: the action is lower while this step lasts. */
const tight = useTight(room, () => `${props.facts.id} ${step.value?.id ?? ''} ${phase.value}`)
const drawingHeight = useDrawingHeight({
  facts,
  phase,
  reading,
  judging,
  numberReads,
  stopped: () => stops.value.length > 0,
  room,
})
const recordNotes = computed(() =>
  (props.facts.inspection?.findings ?? []).filter((finding) =>
    redo.value ? true : phase.value !== 'failed' && finding.level !== 'stop',
  ),
)
</script>

<template>
  <section ref="panel" class="panel" :aria-label="word('make-joint', { tag: facts.tag })">
    <MakeHead
      :facts="facts"
      :phase="phase"
      :headline="headline"
      :why="why"
      :sourced="method !== null"
      @sources="sheet = 'sources'"
      @history="sheet = 'history'"
    />
    <OtherHands :facts="facts" />
    <LookOver v-if="phase === 'rest'" :facts="facts" />
    <p v-if="ahead" class="warn">{{ ahead }}</p>
    <p v-if="cycle?.result === 'interrupted'" class="refusal" role="alert">
      {{ word('make-the-cycle-broke-off', { tool: cycle.tool }) }}
    </p>
    <p
      v-for="n in recordNotes"
      :key="n.code + JSON.stringify(n.params)"
      :class="{ warn: n.level === 'warn' }"
    >
      {{ job.t(n) }}
      <RouterLink
        v-if="n.field"
        class="button"
        :to="{ name: 'set-out', params: { jobId: job.jobId, lineId: facts.place.line.id } }"
        >{{ word('make-to-the-line') }}</RouterLink
      >
    </p>
    <BeforeStart
      v-if="beginning"
      ref="before"
      :facts="facts"
      :findings="findings"
      :tools="tools"
      :brief="Boolean(facts.life)"
      @override="sheet = 'override'"
    />
    <JointSection
      v-if="shapes.length && drawingHeight"
      data-drawing
      :shapes="shapes"
      :height="drawingHeight"
      :depth-mm="depth"
      :offset-mm="check !== null && depth !== null ? check - depth : null"
    />
    <StepReads v-if="reading" v-model="readings" :joint-id="facts.id" :reads="step?.reads ?? []" />
    <button v-if="torque" type="button" class="button said" @click="readings[torque.key] = torque.value">
      {{ word('make-says-take-it', { tool: torque.said.tool, torque: torque.value }) }}
    </button>
    <WorkNotes :live="beginning ? null : live" :full="full" :aside="aside" />
    <ActionArea
      :facts="facts"
      :phase="phase"
      :step="step"
      :label="actionLabel"
      :stops="stops"
      :held="held"
      :judging="judging"
      :tight="tight"
      :unread="unread"
      :way-back="wayBack"
      :mend="redo ? null : mend"
      :redo="redo !== null"
      :next="next"
      @act="act"
      @again="writes.again"
      @except="except"
      @mend="redo = mend"
      @leave="redo = null"
      @cut-out="(reason: string) => (cuttingOut = reason)"
      @let-go="writes.letGo"
      @go="(id: string) => emit('go', id)"
      @sheet="(which: 'earlier' | 'down' | 'skip' | 'batch') => (sheet = which)"
    />
    <EarlierSheet
      v-if="sheet === 'earlier' && lastStep"
      :done="lastStep"
      :not-before-s="stepBefore?.earliestS ?? lifeBeforeEndedS(job.state, facts.id, facts.lifeNo)"
      :starts-dwell="facts.clocks.some((c) => c.step === lastStep?.step && c.kind === 'dwell')"
      @close="sheet = null"
    />
    <CutOutSheet
      v-if="cuttingOut !== null"
      :facts="facts"
      :reason="cuttingOut"
      @close="cuttingOut = null"
      @cut-out="cutOut"
    />
    <LimitSheet v-if="asked" :clock="asked.clock" :done="asked.done" @close="asked = null" />
    <PutDownSheet v-if="sheet === 'down'" :facts="facts" @close="sheet = null" />
    <SourcesSheet v-if="sheet === 'sources'" :facts="facts" @close="sheet = null" />
    <HistorySheet v-if="sheet === 'history'" :facts="facts" @close="sheet = null" />
    <SkipSheet v-if="sheet === 'skip' && step" :step="step" @close="sheet = null" @skip="skip" />
    <BatchSheet
      v-if="sheet === 'batch'"
      :like="facts"
      :candidates="alike"
      :marked="marked"
      @close="sheet = null"
    />
    <OverrideSheet
      v-if="sheet === 'override'"
      :stops="stops.filter((f) => !neverSetAside(f.code))"
      @close="sheet = null"
      @override="(codes: string[]) => (overrides = [...overrides, ...codes])"
    />
  </section>
</template>

<style scoped>
.panel {
  flex: 1;
  min-width: 0;
  padding: 14px 20px 20px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  font-size: 17px;
}
.said {
  min-height: 56px;
}
.warn::before {
  content: '▲ ';
  color: var(--wet-ink);
}
/* A phone on its side: what to do on the left, the action beside it, in reach and in sight. */
@media (max-height: 430px) and (min-width: 600px) {
  .panel {
    display: grid;
    grid-template-columns: 1fr 1fr;
    align-content: start;
    column-gap: 16px;
  }
  .panel > :deep(.low) {
    grid-column: 2;
    grid-row: 1 / span 30;
    align-self: start;
    position: sticky;
    top: 8px;
    margin-top: 0;
  }
}
@media (max-width: 720px) {
  .panel {
    padding: 8px 14px 4px;
    gap: 6px;
  }
}
</style>
