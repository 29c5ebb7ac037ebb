<script setup lang="ts">
import { type Finding, type JointFacts, type Step, conditionsAt, fmt } from '@jugalis/core'
import { computed, ref } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { usePrefs } from '../../stores/prefs'
import JointGlyph from '../../tapes/JointGlyph.vue'
import JointSection from '../../tapes/JointSection.vue'
import { useNarrow } from '../../use-narrow'
import { useView } from '../../view'
import BeforeStart from './BeforeStart.vue'
import BigAction from './BigAction.vue'
import EarlierSheet from './EarlierSheet.vue'
import OverrideSheet from './OverrideSheet.vue'
import PutDownSheet from './PutDownSheet.vue'
import StepBar from './StepBar.vue'
import StepReads from './StepReads.vue'
import { useJoint } from './use-joint'
import { isNumber, onTape, useWrites } from './use-writes'

const props = defineProps<{ facts: JointFacts; next: JointFacts | null }>()
const emit = defineEmits<{ go: [id: string] }>()
const job = useJob()
const view = useView()
const clock = useClock()
const prefs = usePrefs()
const narrow = useNarrow()
const joint = useJoint(computed(() => props.facts))
const { phase, headline, why } = joint
const step = computed<Step | null>(() => props.facts.nextStep)
const look = computed(() => view.looks.get(props.facts.id))
const readings = ref<Record<string, number | string | null>>({})
const tinId = ref<string | null>(localStorage.getItem('jugalis-tin'))
const sheet = ref<'earlier' | 'down' | 'override' | null>(null)
const overrides = ref<string[]>([])
const seen = ref<Set<string>>(new Set(JSON.parse(sessionStorage.getItem('jugalis-seen') ?? '[]') as string[]))

const tin = computed(() => (tinId.value ? (job.state.tins.get(tinId.value) ?? null) : null))
const findings = computed<readonly Finding[]>(() => {
  const expired = tin.value
    ? new Date(clock.nowS * 1000).toISOString().slice(0, 10) > tin.value.expiresOn
    : false
  return joint.wrong(tin.value?.plastic ?? null, expired)
})
const stops = computed(() =>
  findings.value.filter((f) => f.level === 'stop' && !overrides.value.includes(f.code)),
)
/** Only the step that begins the wet work is held up; what is already running must go on. */
const held = computed(
  () =>
    stops.value.length > 0 &&
    phase.value === 'step' &&
    step.value?.reaches !== 'marked' &&
    props.facts.homeAtS === null,
)
const numberReads = computed(() => step.value?.reads.filter(isNumber) ?? [])
const choiceReads = computed(() => step.value?.reads.filter((r) => r.control === 'choice' && !r.asked) ?? [])
const askedReads = computed(() => step.value?.reads.filter((r) => r.asked) ?? [])
const judging = computed(
  () =>
    (phase.value === 'step' || phase.value === 'window') &&
    numberReads.value.length + askedReads.value.length > 0,
)
const unread = computed(() =>
  [...numberReads.value, ...askedReads.value].some(
    (r) => r.needed && (readings.value[r.key] ?? null) === null,
  ),
)
const caution = computed(() =>
  phase.value === 'step' || phase.value === 'window' ? (step.value?.cautions ?? []) : [],
)
/** One caution at a time wants its tap; once seen they stand together in one line. */
const unseen = computed(() => caution.value.find((c) => !seen.value.has(c.code)) ?? null)
const actionLabel = computed(() => {
  if (!step.value) return ''
  // A reading on the tape is said by the button; a step with looks only has a sentence for them.
  const taped = numberReads.value.filter(onTape)
  if (!judging.value || unread.value || !taped.length) return job.t(step.value.action)
  const lengths = taped.map((r) => fmt.length(readings.value[r.key] as number, job.reader))
  const goods = choiceReads.value.map((r) => job.t({ code: `${r.key}-${r.options?.[0] ?? ''}`, params: {} }))
  return [...lengths, ...goods].join(', ')
})
const shapes = computed(() =>
  props.facts.method && props.facts.spec !== null
    ? props.facts.method.section(props.facts.spec, props.facts.life, props.facts.ctx)
    : [],
)
const insertion = computed(() =>
  props.facts.method && props.facts.spec !== null
    ? props.facts.method.insertion(props.facts.spec, props.facts.ctx)
    : null,
)
const depth = computed(() => insertion.value?.depthMm.value ?? null)
const check = computed(() => insertion.value?.marks.find((m) => m.kind === 'check')?.fromEndMm.value ?? null)

const { act, again, except, cutOut, letGo } = useWrites({
  facts: () => props.facts,
  step: () => step.value,
  readings: () => readings.value,
  tinId: () => tinId.value,
  overrides: () => overrides.value,
  depth: () => insertion.value?.depthMm ?? null,
  label: () => actionLabel.value,
  mayAct: () => phase.value !== 'hold' && !held.value && !(judging.value && unread.value),
  putDown: () => (sheet.value = 'down'),
})
/** A window that was missed and can be begun again: the step that begins it. */
const wayBack = computed(() => {
  const backTo = phase.value === 'late' ? joint.open.value?.onMiss.backTo : undefined
  const back = props.facts.steps.find((s) => s.id === backTo)
  return back && !step.value?.exceptions.some((e) => e.backTo === back.id) ? back : null
})
const lastStep = computed(() => props.facts.life?.done.at(-1) ?? null)
const stepBefore = computed(() => props.facts.life?.done.at(-2) ?? null)
function markSeen(code: string): void {
  seen.value = new Set([...seen.value, code])
  sessionStorage.setItem('jugalis-seen', JSON.stringify([...seen.value]))
}
function chooseTin(id: string | null): void {
  tinId.value = id
  if (id) localStorage.setItem('jugalis-tin', id)
}
const hasReadings = computed(
  () => conditionsAt(job.state, props.facts.place.line.placeId, view.nowS).airC !== null,
)
const fitting = computed(() =>
  props.facts.place.fitting
    ? `${props.facts.place.fitting.fitting} ${props.facts.place.fitting.tag}`
    : 'fitting',
)
/** A short phone gives the room to the action. */
const short = window.innerHeight < 780
const drawingHeight = computed(() =>
  narrow.value
    ? judging.value || short
      ? 108
      : unseen.value || !props.facts.life
        ? 150
        : 230
    : judging.value
      ? 180
      : 260,
)
</script>

<template>
  <section class="panel" :aria-label="`Joint ${facts.tag}`">
    <div class="top">
      <p class="what">
        <JointGlyph v-if="look" :look="look" :tag="facts.tag" />
        <strong>{{ facts.tag }}</strong> {{ facts.place.piece.size }}, pipe to {{ fitting }}
        <span v-if="facts.past.length" class="again">made again: life {{ facts.lifeNo }}</span>
        <RouterLink v-if="narrow" class="all" :to="{ name: 'make', params: { jobId: job.jobId } }"
          >all joints</RouterLink
        >
      </p>
      <h1 :class="{ late: phase === 'late' || phase === 'failed' }" aria-live="polite">{{ headline }}</h1>
      <p class="why">{{ why }}</p>
      <StepBar
        :steps="facts.steps"
        :done="facts.life?.done.map((d) => d.step) ?? []"
        :window="phase === 'window'"
        :failed="phase === 'failed' || phase === 'late'"
      />
    </div>
    <BeforeStart
      v-if="phase === 'step' && facts.homeAtS === null"
      :facts="facts"
      :findings="findings.filter((f) => !overrides.includes(f.code))"
      :tin-id="tinId"
      :has-readings="hasReadings"
      :brief="Boolean(facts.life)"
      @tin="chooseTin"
      @override="sheet = 'override'"
    />
    <JointSection
      v-if="shapes.length"
      :shapes="shapes"
      :height="drawingHeight"
      :depth-mm="depth"
      :offset-mm="check !== null && depth !== null ? check - depth : null"
    />
    <StepReads v-if="judging" v-model="readings" :joint-id="facts.id" :reads="step?.reads ?? []" />
    <div class="low">
      <p v-if="unseen" class="caution">
        <span><strong>Caution:</strong> {{ job.t(unseen) }}</span>
        <button type="button" class="button" @click="markSeen(unseen.code)">Seen</button>
      </p>
      <p v-else-if="caution.length" class="caution">
        <span><strong>Caution:</strong> {{ caution.map((c) => job.t(c)).join(' ') }}</span>
      </p>
      <template v-if="phase === 'failed'">
        <BigAction label="Cut out, begin again" hint="both lives stay in the log" @act="cutOut(headline)" />
      </template>
      <template v-else-if="phase === 'hold'">
        <BigAction label="Hands stay on the pipe" hint="no tap needed" disabled />
        <div class="exceptions">
          <button type="button" class="button" @click="letGo">Let go early</button>
          <button type="button" class="button" @click="sheet = 'earlier'">It was earlier…</button>
        </div>
      </template>
      <template v-else-if="phase === 'rest'">
        <BigAction v-if="next" :label="`Next: ${next.tag}`" @act="emit('go', next.id)" />
        <BigAction v-else label="All joints are made" disabled />
        <div class="exceptions">
          <button type="button" class="button" @click="sheet = 'down'">Something happened</button>
          <button type="button" class="button stop" @click="cutOut('cut out by decision')">Cut it out</button>
        </div>
      </template>
      <template v-else-if="step">
        <BigAction
          :label="held ? 'Not like this' : actionLabel"
          :hint="held ? job.t(stops[0]!) : judging && unread ? 'say it first' : job.t(step.hint)"
          :disabled="held || (judging && unread)"
          :small="judging"
          @act="act"
        />
        <div class="exceptions">
          <button v-if="wayBack" type="button" class="button" @click="again(wayBack)">
            {{ job.t(wayBack.action) }} again
          </button>
          <button v-for="e in step.exceptions" :key="e.id" type="button" class="button" @click="except(e)">
            {{ job.t(e.says) }}
          </button>
          <button v-if="lastStep" type="button" class="button" @click="sheet = 'earlier'">
            It was earlier…
          </button>
          <button
            v-if="!narrow && lastStep && !step.exceptions.some((e) => e.id === 'put-down')"
            type="button"
            class="button"
            @click="sheet = 'down'"
          >
            Put it down
          </button>
        </div>
      </template>
      <label class="wet"><input v-model="prefs.prefs.wet" type="checkbox" /> wet screen: long press</label>
    </div>
    <EarlierSheet
      v-if="sheet === 'earlier' && lastStep"
      :done="lastStep"
      :not-before-s="stepBefore?.earliestS ?? null"
      :starts-dwell="facts.clocks.some((c) => c.step === lastStep?.step && c.kind === 'dwell')"
      @close="sheet = null"
    />
    <PutDownSheet v-if="sheet === 'down'" :facts="facts" @close="sheet = null" />
    <OverrideSheet
      v-if="sheet === 'override'"
      :stops="stops"
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
.what {
  display: flex;
  align-items: center;
  gap: 9px;
  font-size: 17px;
}
.all {
  margin-left: auto;
  min-height: 56px;
  min-width: 56px;
  margin-block: -14px;
  display: flex;
  align-items: center;
  justify-content: flex-end;
}
.again {
  color: var(--soft);
}
.late {
  color: var(--stop-ink);
}
.why {
  margin-bottom: 8px;
  min-height: 23px;
}

.low {
  margin-top: auto;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.exceptions {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.exceptions .button {
  flex: 1 1 30%;
  min-height: 56px;
  padding: 0 8px;
}
.caution {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  border-top: 1.5px solid var(--edge);
  padding-top: 6px;
}
.caution .button {
  min-height: 56px;
}
.wet {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 56px;
}
.wet input {
  width: 24px;
  height: 24px;
}
@media (max-width: 720px) {
  .panel {
    padding: 8px 14px 4px;
    gap: 6px;
  }
  .wet {
    display: none;
  }
}
</style>
