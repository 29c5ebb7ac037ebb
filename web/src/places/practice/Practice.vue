<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import ChipChoice from '../../frame/ChipChoice.vue'
import { useJob } from '../../stores/job'
import { Figures } from '../../words/said'
import { named, told, word } from '../../words/word'
import BenchSetUp from './BenchSetUp.vue'
import BenchStep from './BenchStep.vue'
import DrillRun from './DrillRun.vue'
import Outcome from './Outcome.vue'
import OwnProgress from './OwnProgress.vue'
import TryList, { type Tried } from './TryList.vue'
import { DRILLS, type DrillName } from './drills'
import { faultName, placeSaid } from './how-text'
import { useBench } from './use-bench'
import { useProgress } from './use-progress'

const job = useJob()
const route = useRoute()
const router = useRouter()
const bench = useBench(job.state.job.school)
const { lying, laid, steps, step, at, answer } = bench
const progress = useProgress()
type Doing = 'free' | DrillName
const WAYS = [
  ['free', word('practice-free')],
  ['find', word('practice-find')],
  ['judge', word('practice-judge')],
  ['order', word('practice-order')],
  ['sums', word('practice-sums')],
  ['test', word('practice-test')],
] as const
/** What is done here stands in the address: a link leads to a drill. */
const doing = computed((): Doing => {
  const asked = route.query.do
  return typeof asked === 'string' && asked in DRILLS ? (asked as DrillName) : 'free'
})
const choose = (to: Doing | null): void =>
  void router.replace({ query: to === null || to === 'free' ? {} : { do: to } })
/** A drill of one method alone; null: of all. */
const only = ref<string | null>(null)
const joint = computed(() =>
  word('practice-name', {
    method: laid.value.laid ? told(laid.value.laid.method.name) : '',
    material: named(lying.material),
    size: lying.size,
  }),
)
const place = computed(() => placeSaid(lying.site))
const firstCause = computed(() => {
  const cause = answer.value?.causes[0]
  return cause && laid.value.laid ? faultName(laid.value.laid.method, cause.fault) : null
})
/** Below this it was never tight. */
const NEVER_BAR = 0.5
const headline = computed(() => {
  const on = laid.value.laid
  const made = answer.value
  if (doing.value !== 'free') return WAYS.find(([way]) => way === doing.value)?.[1] ?? ''
  if (!on) return word('practice-not-made', { why: told({ code: laid.value.why, params: {} }) })
  if (made) {
    const bar = made.weepsAtBar ?? made.triedToBar
    const pct = Math.round(made.holdsOf * 100)
    if (bar < NEVER_BAR && firstCause.value) return word('practice-never', { cause: firstCause.value })
    if (!firstCause.value) {
      if (made.holdsOf < 1) return word('practice-undone')
      return word(made.weepsAtBar === null ? 'practice-holds' : 'practice-weak', { bar })
    }
    return word(made.weepsAtBar === null ? 'practice-less' : 'practice-weeps', {
      bar,
      pct,
      cause: firstCause.value,
    })
  }
  if (at.value === 0 || !step.value) return word('practice-before', { method: told(on.method.name) })
  return word('practice-at', {
    no: at.value + 1,
    all: steps.value.length,
    does: told(step.value.does, job.reader),
  })
})
const tries = ref<Tried[]>([])
watch(answer, (made) => {
  const on = laid.value.laid
  if (!made || !on) return
  const wrong = made.causes.map((cause) => faultName(on.method, cause.fault))
  const { weepsAtBar, triedToBar } = made
  tries.value = [
    { no: tries.value.length, joint: joint.value, different: wrong.join('; '), weepsAtBar, triedToBar },
    ...tries.value,
  ]
})
/** Every step begins at its sentence, also in the hand. */
watch([at, () => answer.value !== null, doing], () => document.getElementById('work')?.scrollTo({ top: 0 }))
function drillDue(method: string): void {
  only.value = method
  choose('find')
}
</script>

<template>
  <div class="place practice">
    <p class="ribbon">{{ word('practice-ribbon') }}</p>
    <div class="head">
      <h1><Figures :text="headline" /></h1>
      <p v-if="doing === 'free' && at === 0 && step && !answer" class="why">
        {{ word('practice-at', { no: 1, all: steps.length, does: told(step.does, job.reader) }) }}
      </p>
    </div>
    <div v-if="doing === 'free' && at === 0" class="no-print">
      <ChipChoice
        :model-value="doing"
        :label="word('practice-what')"
        :options="WAYS"
        @update:model-value="choose"
      />
    </div>
    <template v-if="doing === 'free'">
      <BenchSetUp v-if="at === 0 && !answer" :model-value="lying" />
      <p v-else class="why"><Figures :text="`${joint}. ${place}`" /></p>
      <template v-if="laid.laid">
        <BenchStep
          v-if="step"
          :laid="laid.laid"
          :step="step"
          :first="at === 0"
          @done="bench.doStep"
          @leave="bench.leaveOut(step.id)"
          @back="bench.back"
        />
        <template v-else-if="answer">
          <Outcome
            :key="tries.length"
            :laid="laid.laid"
            :answer="answer"
            :steps="steps"
            @step="bench.backTo"
          />
          <div class="buttons">
            <button type="button" class="button" @click="bench.begin">{{ word('practice-again') }}</button>
            <button type="button" class="button" @click="bench.back">{{ word('practice-step-back') }}</button>
          </div>
        </template>
      </template>
      <TryList :tries="tries" />
    </template>
    <DrillRun v-else :which="doing" :method="only" @answered="progress.answered" @end="choose('free')" />
    <OwnProgress :progress="progress" @drill="drillDue" />
  </div>
</template>

<style scoped>
/* So that it is never taken for work. */
.ribbon {
  margin: -18px -24px 0;
  padding: 8px 24px;
  background: var(--tape);
  color: #1b2024;
  border-block-end: 3px dashed #1b2024;
  position: sticky;
  inset-block-start: 0;
  z-index: 5;
  font-weight: 600;
}
@media (max-width: 720px) {
  .ribbon {
    margin: -12px -14px 0;
    padding: 8px 14px;
  }
}
</style>
