<script setup lang="ts">
import {
  ANY_METHOD,
  type Entry,
  type Hit,
  type Msg,
  allEntries,
  allMethods,
  allSources,
  charted,
  fmt,
  searchHandbook,
} from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useJob } from '../../stores/job'
import { useNarrow } from '../../use-narrow'
import Charts from './Charts.vue'
import ChooseJoint from './ChooseJoint.vue'
import FigureTable from './FigureTable.vue'
import JointPage from './JointPage.vue'
import MethodCard from './MethodCard.vue'
import TubeWork from './TubeWork.vue'
import Unverified from './Unverified.vue'
import { figureName, figureText, readerFor, standing, unverified } from './figure-text'
import { keyOf, usePage } from './use-page'
import { Figures } from '../../words/said'
import { named, told, word } from '../../words/word'

const job = useJob()
const narrow = useNarrow()
const route = useRoute()
const router = useRouter()
const { at, beside, page, temperatureC, show } = usePage()
const TYPING_MS = 400
const HUMIDITY_PCT = 50
const methods = allMethods()

const question = ref(typeof route.query.q === 'string' ? route.query.q : '')
let timer: ReturnType<typeof setTimeout> | undefined
watch(question, (asked) => {
  clearTimeout(timer)
  timer = setTimeout(() => void router.replace({ query: asked.trim() ? { q: asked } : {} }), TYPING_MS)
})
watch(
  () => route.query.q,
  (asked) => {
    if (typeof asked === 'string' && asked !== question.value) question.value = asked
  },
)
const found = computed(() => {
  const began = performance.now()
  const answer = searchHandbook(question.value, (e) => charted(job.state, e))
  // Shows in the browser's own timings; the benchmark reads it there.
  performance.measure('handbook-search', { start: began, end: performance.now() })
  return answer
})
const jointOf = (entry: Entry): string =>
  `${named(entry.material)} ${entry.size}${entry.schedule ? ` ${word('handbook-sch', { schedule: entry.schedule })}` : ''}`
const nameOf = (e: Entry): string => `${told({ code: `method-${e.method}`, params: {} })}, ${jointOf(e)}`
const rows = computed(() =>
  found.value.hits.map((h) => ({ figure: h.figure, of: nameOf(h.entry), school: h.entry.school })),
)
function open(i: number): void {
  const entry = found.value.hits[i]?.entry
  const temperatureC = found.value.query.temperatureC
  if (entry)
    show({
      at: keyOf(entry),
      ...(temperatureC === null ? {} : { t: String(Math.round(temperatureC * 100) / 100) }),
    })
}
const openMethod = (id: string): void => {
  const entry = allEntries().find((e) => e.method === id)
  if (entry) show({ at: keyOf(entry) })
}
/** What a method asks besides its size: turned here, kept only on this page. */
const details = ref<Record<string, string>>({})
watch(
  () => at.value?.method,
  () => (details.value = {}),
)

/** Questions as this job's school asks them. */
const examples = computed(() =>
  job.state.job.school === 'inch'
    ? [word('handbook-3-4-solder-depth'), word('handbook-2-in-sch-80')]
    : [word('handbook-22-mm-solder-depth'), 'd63 cure 8 C'],
)
const toCheck = computed(() => unverified(job.state.checked).filter((s) => s.kind === 'published').length)
function answerLine({ entry, figure }: Hit): string {
  const reader = readerFor(entry.school, job.reader)
  const say = (m: Msg): string => told(m, reader)
  const stands = figure.fig.value === null ? '' : standing(figure.fig.source, job.state.checked)
  const value = figureText(figure, reader, say).replace(' ', '\u00a0')
  return `${say(figureName(figure))}, ${jointOf(entry)} = ${value} (${stands}).`
}
const headline = computed(() => {
  if (page.value === 'unverified')
    return word('handbook-published-tables-are-not', { toCheck: toCheck.value })
  if (page.value === 'tube') return word('handbook-cut-square-deburr-both')
  if (page.value === 'charts') {
    // What was measured on a box is a chart of its own, but no maker’s.
    const count = job.state.charts.filter((c) => c.rows.some((r) => r.method !== ANY_METHOD)).length
    return count
      ? word('handbook-charts-of-makers-figures', { n: count })
      : word('handbook-no-makers-chart-is')
  }
  if (at.value)
    return beside.value
      ? word('handbook-beside', { one: nameOf(at.value), other: nameOf(beside.value) })
      : nameOf(at.value)
  const first = found.value.hits[0]
  if (first && first.figure.fig.value !== null) return answerLine(first)
  if (question.value.trim()) return word('handbook-no-figure-by-that')
  return word('handbook-joints-by-methods-sources', {
    allEntries: allEntries().length,
    methods: methods.length,
    allSources: allSources().length,
    toCheck: toCheck.value,
  })
})
const why = computed(() => {
  if (at.value)
    return word('handbook-by-the-school-at', {
      school: at.value.school,
      temperature: fmt.temperature(temperatureC.value, { units: at.value.school }),
      humidity: HUMIDITY_PCT,
    })
  if (page.value || !question.value.trim()) return ''
  const { hits, joints, query } = found.value
  const askedC = query.temperatureC
  const said = [
    askedC === null
      ? ''
      : word('handbook-at-both', {
          metric: fmt.temperature(askedC),
          inch: fmt.temperature(askedC, { units: 'inch' }),
        }),
    hits.length ? word('handbook-figures-of-joints', { figures: hits.length, joints }) : '',
    joints > 24 ? word('handbook-only-the-first-are') : '',
    query.unknown.length ? word('handbook-not-understood', { unknown: query.unknown.join(', ') }) : '',
  ].filter(Boolean)
  return said.length ? `${said.join('; ')}.` : ''
})
const PAGES = [
  ['unverified', word('handbook-not-yet-checked')],
  ['charts', word('handbook-makers-charts')],
  ['tube', word('handbook-tube-work')],
] as const
</script>

<template>
  <div class="place handbook">
    <div class="ask no-print">
      <label class="spoken" for="handbook-ask">{{ word('handbook-ask-the-handbook') }}</label>
      <ElInput
        id="handbook-ask"
        v-model="question"
        size="large"
        clearable
        :placeholder="
          narrow ? examples[0] : word('handbook-one-or-other', { one: examples[0], other: examples[1] })
        "
        @keydown.enter="show({ q: question })"
      />
      <button
        v-for="[id, says] in PAGES"
        :key="id"
        type="button"
        class="button"
        :class="{ on: page === id }"
        @click="show(page === id ? {} : { page: id })"
      >
        {{ says }}
      </button>
    </div>
    <h1 aria-live="polite"><Figures :text="headline" /></h1>
    <p v-if="why" class="why">{{ why }}</p>
    <Unverified v-if="page === 'unverified'" />
    <Charts v-else-if="page === 'charts'" />
    <TubeWork v-else-if="page === 'tube'" />
    <template v-else-if="at">
      <ChooseJoint v-model="details" :entry="at" />
      <div class="pages" :class="{ two: beside }">
        <JointPage
          v-for="(e, i) in beside ? [at, beside] : [at]"
          :key="`${i} ${keyOf(e)}`"
          :entry="e"
          :temperature-c="temperatureC"
          :humidity-pct="HUMIDITY_PCT"
          :details="i === 0 ? details : {}"
          :narrow="Boolean(beside)"
        />
      </div>
    </template>
    <div
      v-else-if="rows.length"
      class="scroll"
      role="region"
      :aria-label="word('handbook-figures-found')"
      tabindex="0"
    >
      <FigureTable :rows="rows" @open="open" />
    </div>
    <template v-else-if="!question.trim()">
      <h2>{{ word('handbook-open-a-method') }}</h2>
      <div class="methods">
        <MethodCard v-for="m in methods" :key="m.id" :method-id="m.id" @open="openMethod(m.id)" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.handbook {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.ask :deep(.el-input) {
  flex: 1 1 300px;
  font-size: 19px;
}
/* In a low window what is asked for comes into sight without scrolling. */
@media (max-height: 430px) {
  .ask {
    gap: 4px;
  }
}
.methods {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 10px;
}
.on {
  background: var(--ink);
  color: var(--paper);
}
.pages.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 28px;
}
@media (max-width: 900px) {
  .pages.two {
    grid-template-columns: 1fr;
  }
}
</style>
