<script setup lang="ts">
import {
  SECTION_STATES,
  type TestRun,
  conditionsAt,
  endsOf,
  fmt,
  gatesOf,
  headingOf,
  heldStage,
  jointPlaces,
  judgeRun,
  limitsOf,
  stageNow,
  trappedWarning,
  greatest,
} from '@jugalis/core'
import { computed, ref, watch } from 'vue'
import ChipChoice from '../../frame/ChipChoice.vue'
import SectionChooser from '../../frame/SectionChooser.vue'
import { useJob } from '../../stores/job'
import { useSection } from '../../use-section'
import StateInSpace from '../../space/StateInSpace.vue'
import { useView } from '../../view'
import AnswerHead from '../wait/AnswerHead.vue'
import BeginTest from './BeginTest.vue'
import GateList from './GateList.vue'
import PartsAndTags from './PartsAndTags.vue'
import PlanFigures from './PlanFigures.vue'
import PressureTape from './PressureTape.vue'
import AfterTest from './AfterTest.vue'
import RunTest from './RunTest.vue'
import { ruleName } from './rule-names'
import { Figures } from '../../words/said'
import { named, word } from '../../words/word'

const job = useJob()
const view = useView()
const { sections, answer } = useSection()
const gates = computed(() => (answer.value ? gatesOf(job.state, answer.value) : []))
const open = computed(() => gates.value.filter((g) => g.open))
const tests = computed(() =>
  [...job.state.tests.values()]
    .filter((t) => t.sectionId === answer.value?.section.id)
    .sort((a, b) => b.begunAtS - a.begunAtS),
)
const running = computed<TestRun | null>(() => tests.value.find((t) => !t.ended) ?? null)
const VIEWS = [
  ['gates', word('ui-gates')],
  ['plan', word('prove-plan')],
  ['parts', word('prove-parts-and-tags')],
  ['after', word('prove-tests-and-after')],
] as const
type View = (typeof VIEWS)[number][0]
const shows = ref<View>('gates')
const bar = (b: number): string => fmt.pressure(b, job.reader)
/** The test that runs, judged by what is read so far: once for the headline and for the test itself. */
const judgement = computed(() => running.value && judgeRun(job.state, running.value))
const runningHead = computed(() => {
  const [run, judged] = [running.value, judgement.value]
  if (!run || !judged) return ''
  const stage = stageNow(run)
  if (stage && stage.index < heldStage(run))
    return word('prove-is-brought-to-in', {
      tag: answer.value?.section.tag ?? '',
      bar: bar(run.bar),
      of: stage.of,
    })
  const seen = Math.min(run.holdS, Math.max(0, judged.seenS))
  const drop = judged.correctedDropBar
  return word(drop === null ? 'prove-held-so-far' : 'prove-held-so-far-loss', {
    bar: bar(run.bar),
    seen,
    hold: run.holdS,
    loss: Math.max(0, ((drop ?? 0) * seen) / run.holdS),
    allowed: run.allowedDropBar,
  })
})
const hooks = computed(() => {
  const now = answer.value
  if (!now) return []
  const weak = limitsOf(job.state, now.section)[0]
  return [
    { bar: now.section.testBar, says: word('prove-hook-test'), strong: true },
    { bar: now.section.workingBar, says: word('prove-hook-working') },
    ...(weak ? [{ bar: weak.atGaugeBar, says: word('prove-hook-weakest') }] : []),
    ...(now.allowedBar === null
      ? []
      : [{ bar: now.allowedBar, says: word('prove-may-take-now'), strong: true }]),
  ]
})
const head = computed(() => {
  const now = answer.value
  if (!now) return null
  const ends = endsOf(job.state, now.section, now.section.testBar)
  return ends
    ? word('prove-at-the-lowest-point', {
        bar: bar(now.section.testBar),
        atLowBar: ends.atLowBar,
        atHighBar: ends.atHighBar,
      })
    : null
})
/** Shut in and full before it warms: what the warmest hour of the forecast would do to it. */
const relieve = computed(() => {
  const own = answer.value
  if (!own || (own.section.state !== 'full' && own.section.state !== 'under pressure')) return null
  const placeId = jointPlaces(job.state).get(own.section.jointIds[0] ?? '')?.line.placeId
  if (!placeId) return null
  const now = conditionsAt(job.state, placeId, view.nowS)
  const nowC = now.wallC ?? now.airC
  const ahead = job.state.forecasts.get(placeId)
  const soon = [...(ahead?.wall ?? []), ...(ahead?.air ?? [])].filter(
    (r) => r.atS > view.nowS && r.atS < view.nowS + 86_400,
  )
  if (nowC === null || !soon.length) return null
  const lastBar = running.value?.readings.at(-1)?.bar ?? own.section.workingBar
  return trappedWarning(job.state, own.section, lastBar, nowC, greatest(soon.map((r) => r.value)))
})
/** The last test, where nothing was worked on since and it did not hold: that is what is to be said of the section. */
const unheld = computed(() => {
  const now = answer.value
  const test = tests.value[0]
  if (!now || !test?.ended || test.ended.verdict === 'held') return null
  const touched = now.joints.some((j) => j.facts.homeAtS === null || j.facts.homeAtS > test.begunAtS)
  return touched ? null : test
})
/** What the readings of the last test come to, in the reader's own units. */
const unheldSays = computed(() =>
  unheld.value ? job.t(headingOf(unheld.value, judgeRun(job.state, unheld.value))) : '',
)
/** A section that was tested last asks what follows; the others ask what is missing. */
watch(
  [() => answer.value?.section.id, () => running.value?.id, () => tests.value[0]?.ended?.atS],
  () => {
    const last = tests.value[0]?.ended
    shows.value =
      last && (answer.value?.proved || unheld.value?.ended?.verdict === 'lost') ? 'after' : 'gates'
  },
  { immediate: true },
)
async function setState(state: string): Promise<void> {
  if (answer.value && state)
    await job.write(
      [{ kind: 'section-state', data: { sectionId: answer.value.section.id, state } }],
      word('prove-is-state', { tag: answer.value.section.tag, state: named(state) }),
    )
}
</script>

<template>
  <div class="place">
    <div v-if="!answer" class="head">
      <h1>{{ word('prove-no-section-painted') }}</h1>
      <p class="why">{{ word('prove-paint-a-boundary-in') }}</p>
    </div>
    <template v-else>
      <SectionChooser :sections="sections" :here="answer" place="prove" />
      <div v-if="running" class="head">
        <h1><Figures :text="runningHead" /></h1>
        <p class="why">
          {{
            word('prove-tests-with-gauge', {
              tester: running.tester,
              medium: running.medium,
              gauge: running.gauge || word('ui-not-named'),
              head,
            })
          }}
        </p>
      </div>
      <div v-else-if="unheld" class="head">
        <h1><Figures :text="unheldSays" /></h1>
        <p class="why">
          {{
            word('prove-with-test-again-when', {
              tag: answer.section.tag,
              bar: bar(unheld.bar),
              medium: unheld.medium,
              ruleName: ruleName(unheld.rule),
              isVerdict: unheld.ended?.verdict === 'lost' ? 'yes' : 'no',
            })
          }}
        </p>
      </div>
      <template v-else>
        <AnswerHead :answer="answer" />
        <p v-if="!answer.proved && open.length" class="not-yet">
          {{ word('prove-not-yet-gates-are', { open: open.length, says: job.t(open[0]!.says) }) }}
        </p>
      </template>
      <p v-if="relieve" class="refusal" role="alert">
        {{
          word('prove-relieve-now-shut-in', {
            bar: bar(relieve.bar),
            warmC: relieve.warmC,
            limitName: relieve.limitName,
            bar2: bar(relieve.limitBar),
          })
        }}
      </p>
      <div class="two">
        <PressureTape :hooks="hooks" :gauge-bar="running?.readings.at(-1)?.bar ?? null" />
        <div class="body">
          <RunTest v-if="running && judgement" :test="running" :judgement="judgement" />
          <template v-else>
            <div class="state">
              <label for="section-state">{{ word('prove-the-section-is') }}</label>
              <select
                id="section-state"
                :value="answer.section.state"
                @change="setState(($event.target as HTMLSelectElement).value)"
              >
                <option value="not known" disabled>{{ word('ui-not-known') }}</option>
                <option v-for="s in SECTION_STATES" :key="s" :value="s">{{ named(s) }}</option>
              </select>
            </div>
            <ChipChoice v-model="shows" :label="word('prove-show')" :options="VIEWS" />
            <template v-if="shows === 'gates'">
              <GateList :gates="gates" :section-id="answer.section.id" />
              <BeginTest :key="answer.section.id" :answer="answer" />
            </template>
            <PlanFigures v-else-if="shows === 'plan'" :answer="answer" />
            <PartsAndTags v-else-if="shows === 'parts'" :answer="answer" />
            <AfterTest v-else :answer="answer" :tests="tests" />
          </template>
        </div>
      </div>
      <StateInSpace :answer="answer" />
    </template>
  </div>
</template>

<style scoped>
.not-yet {
  font-size: 19px;
  font-weight: 600;
}
.two {
  display: flex;
  gap: 26px;
  align-items: flex-start;
}
.body {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
  gap: 16px;
}
.state {
  display: flex;
  align-items: center;
  gap: 10px;
  font-weight: 600;
}
select {
  min-height: 44px;
  padding: 0 10px;
  border: 1.5px solid var(--edge);
  border-radius: 2px;
  background: var(--sheet);
}
@media (max-width: 720px) {
  .two {
    flex-direction: column-reverse;
  }
  .body {
    width: 100%;
  }
}
</style>
