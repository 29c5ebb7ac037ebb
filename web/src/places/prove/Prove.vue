<script setup lang="ts">
import { type TestRun, fmt, gatesOf, judgeTest } from '@jugalis/core'
import { computed } from 'vue'
import { useClock } from '../../stores/clock'
import SectionChooser from '../../frame/SectionChooser.vue'
import { useJob } from '../../stores/job'
import { useSection } from '../../use-section'
import { hhmm, when } from '../../when'
import AnswerHead from '../wait/AnswerHead.vue'
import BeginTest from './BeginTest.vue'
import GateList from './GateList.vue'
import PressureTape from './PressureTape.vue'
import TestReadings from './TestReadings.vue'

const job = useJob()
const clock = useClock()
const { answers, answer } = useSection()
const gates = computed(() => (answer.value ? gatesOf(answer.value) : []))
const open = computed(() => gates.value.filter((g) => g.open))
const tests = computed(() =>
  [...job.state.tests.values()]
    .filter((t) => t.sectionId === answer.value?.section.id)
    .sort((a, b) => b.begunAtS - a.begunAtS),
)
const running = computed<TestRun | null>(() => tests.value.find((t) => !t.ended) ?? null)
const verdict = computed(() => (running.value ? judgeTest(running.value) : null))
const zone = computed(() => job.state.job.zone)
const bar = (b: number): string => fmt.pressure(b, job.reader)
const runningHead = computed(() => {
  const t = running.value
  if (!t) return ''
  const seen = Math.max(0, (t.readings.at(-1)?.atS ?? t.begunAtS) - (t.readings[0]?.atS ?? t.begunAtS))
  const drop = verdict.value?.dropBar
  return `${bar(t.bar)} held ${fmt.duration(seen)} of ${fmt.duration(t.holdS)}${drop == null ? '' : `; loss ${fmt.number(drop, 2)} of ${fmt.number(t.allowedDropBar, 2)} bar allowed`}.`
})
const hooks = computed(() => {
  const a = answer.value
  if (!a) return []
  const limits = a.joints
    .map((j) => j.facts.place.line.ratingBar)
    .concat(a.section.ratingBar)
    .filter((r): r is number => r !== null)
  return [
    { bar: a.section.testBar, says: 'test', strong: true },
    { bar: a.section.workingBar, says: 'working' },
    ...(limits.length ? [{ bar: Math.min(...limits), says: 'weakest part' }] : []),
    ...(a.allowedBar === null ? [] : [{ bar: a.allowedBar, says: 'may take now', strong: true }]),
  ]
})
const STATES = ['drained', 'full', 'under pressure', 'under vacuum'] as const
async function setState(state: string): Promise<void> {
  if (answer.value && state)
    await job.write(
      [{ kind: 'section-state', data: { sectionId: answer.value.section.id, state } }],
      `${answer.value.section.tag} is ${state}.`,
    )
}
const VERDICTS = { held: 'Held', lost: 'Lost', inconclusive: 'Inconclusive' } as const
</script>

<template>
  <div class="place">
    <div v-if="!answer" class="head">
      <h1>No section painted.</h1>
      <p class="why">Paint a boundary in Set out to test it.</p>
    </div>
    <template v-else>
      <SectionChooser :answers="answers" :here="answer" place="prove" />
      <div v-if="running" class="head">
        <h1>{{ runningHead }}</h1>
        <p class="why">
          {{ verdict ? job.t(verdict.says) : '' }} {{ running.tester }} tests with {{ running.medium }}, gauge
          {{ running.gauge || 'not named' }}.
        </p>
      </div>
      <template v-else>
        <AnswerHead :answer="answer" />
        <p v-if="!answer.proved && open.length" class="not-yet">
          Not yet: {{ open.length }} {{ open.length === 1 ? 'gate is' : 'gates are' }} open. First:
          {{ job.t(open[0]!.says) }}
        </p>
      </template>
      <div class="two">
        <PressureTape :hooks="hooks" :gauge-bar="running?.readings.at(-1)?.bar ?? null" />
        <div class="body">
          <TestReadings v-if="running && verdict" :test="running" :verdict="verdict" />
          <template v-else>
            <div class="state">
              <label for="section-state">The section is</label>
              <select
                id="section-state"
                :value="answer.section.state"
                @change="setState(($event.target as HTMLSelectElement).value)"
              >
                <option value="not known" disabled>not known</option>
                <option v-for="s in STATES" :key="s" :value="s">{{ s }}</option>
              </select>
            </div>
            <GateList :gates="gates" :section-id="answer.section.id" />
            <BeginTest :answer="answer" />
          </template>
        </div>
      </div>
      <section v-if="tests.some((t) => t.ended)">
        <h2>Tests of {{ answer.section.tag }}</h2>
        <table class="rows">
          <thead>
            <tr>
              <th>Begun</th>
              <th>Pressure</th>
              <th>Verdict</th>
              <th>Fall</th>
              <th>Tester</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="t in tests.filter((x) => x.ended)" :key="t.id">
              <td>{{ when(t.begunAtS, clock.nowS, zone) }}</td>
              <td>{{ bar(t.bar) }}, {{ t.medium }}</td>
              <td class="strong" :class="{ refusal: t.ended?.verdict === 'lost' }">
                {{ VERDICTS[t.ended?.verdict ?? 'inconclusive'] }}
              </td>
              <td>
                {{
                  t.ended?.dropBar == null
                    ? 'not known'
                    : `${fmt.number(t.ended.dropBar, 2)} bar of ${fmt.number(t.allowedDropBar, 2)} in ${fmt.duration(t.holdS)}`
                }}
              </td>
              <td>{{ t.tester }}, ended {{ hhmm(t.ended?.atS ?? 0, zone) }}</td>
            </tr>
          </tbody>
        </table>
      </section>
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
