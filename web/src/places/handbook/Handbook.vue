<script setup lang="ts">
import {
  type Hit,
  type Msg,
  type Entry,
  allEntries,
  allMethods,
  allSources,
  charted,
  cToF,
  fmt,
  searchHandbook,
  say,
} from '@jugalis/core'
import { ElInput, ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import 'element-plus/es/components/select/style/css'
import 'element-plus/es/components/option/style/css'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useJob } from '../../stores/job'
import { useNarrow } from '../../use-narrow'
import Charts from './Charts.vue'
import FigureTable from './FigureTable.vue'
import JointPage from './JointPage.vue'
import MethodCard from './MethodCard.vue'
import Unverified from './Unverified.vue'
import { figureName, figureText, readerFor, standing, unverified } from './figure-text'

const job = useJob()
const narrow = useNarrow()
const route = useRoute()
const router = useRouter()

/** What is open stands in the address: a page can be sent, and Back works. */
const keyOf = (e: Entry): string => [e.method, e.material, e.size, e.school, e.schedule ?? ''].join('~')
const entryOf = (key: unknown): Entry | null => {
  if (typeof key !== 'string') return null
  const [method, material, size, school, schedule] = key.split('~')
  return (
    allEntries().find(
      (e) =>
        e.method === method &&
        e.material === material &&
        e.size === size &&
        (e.schedule ?? '') === (schedule ?? '') &&
        (e.school === school || school === undefined),
    ) ?? null
  )
}
const question = ref(typeof route.query.q === 'string' ? route.query.q : '')
const at = computed(() => entryOf(route.query.at))
const beside = computed(() => entryOf(route.query.beside))
const listing = computed(() => route.query.page === 'unverified')
const charting = computed(() => route.query.page === 'charts')
function show(query: Record<string, string | undefined>): void {
  void router.push({ name: 'handbook', params: { jobId: job.jobId as string }, query })
}
let timer: ReturnType<typeof setTimeout> | undefined
watch(question, (q) => {
  clearTimeout(timer)
  timer = setTimeout(() => void router.replace({ query: q.trim() ? { q } : {} }), 400)
})
watch(
  () => route.query.q,
  (q) => {
    if (typeof q === 'string' && q !== question.value) question.value = q
  },
)
const found = computed(() => {
  const began = performance.now()
  const answer = searchHandbook(question.value, (e) => charted(job.state, e))
  // Shows in the browser's own timings; the benchmark reads it there.
  performance.measure('handbook-search', { start: began, end: performance.now() })
  return answer
})
const nameOf = (e: Entry): string =>
  `${say({ code: `method-${e.method}`, params: {} })}, ${e.material} ${e.size}${e.schedule ? ` Sch ${e.schedule}` : ''}`
const rows = computed(() =>
  found.value.hits.map((h) => ({
    figure: h.figure,
    of: nameOf(h.entry),
    to: keyOf(h.entry),
    school: h.entry.school,
  })),
)
const open = (i: number): void =>
  show({ at: rows.value[i]?.to, ...(temperature.value ? { t: temperature.value } : {}) })
const temperature = computed(() => {
  const asked = found.value.query.temperatureC
  return asked === null ? '' : String(Math.round(asked * 100) / 100)
})

const inchPage = computed(() => at.value?.school === 'inch')
const typedC = computed(() => Number(route.query.t ?? 20))
const humidityPct = 50
/** Choosing by hand: method, material, size. */
const chosen = computed<Entry>(() => at.value ?? (allEntries()[0] as Entry))
const methods = allMethods()
const materials = computed(() => [
  ...new Set(
    allEntries()
      .filter((e) => e.method === chosen.value.method)
      .map((e) => e.material),
  ),
])
const sizes = computed(() =>
  allEntries().filter((e) => e.method === chosen.value.method && e.material === chosen.value.material),
)
function choose(part: 'method' | 'material' | 'entry', value: string): void {
  const next =
    part === 'entry'
      ? entryOf(value)
      : allEntries().find((e) =>
          part === 'method' ? e.method === value : e.method === chosen.value.method && e.material === value,
        )
  if (next)
    show({
      at: keyOf(next),
      ...(beside.value ? { beside: keyOf(beside.value) } : {}),
      t: String(typedC.value),
    })
}
/** What a method asks besides its size: turned here, kept only on this page. */
const asked = computed(() => {
  const base = [
    'material',
    'size',
    'school',
    'schedule',
    'socketDepthMm',
    'checkOffsetMm',
    'pressureService',
    'wallMm',
  ]
  const m = methods.find((x) => x.id === at.value?.method)
  return m?.fields.filter((f) => !base.includes(f.key) && f.options) ?? []
})
const details = ref<Record<string, string>>({})
watch(
  () => at.value?.method,
  () => (details.value = {}),
)

const toCheck = computed(() => unverified(job.state.checked).filter((s) => s.kind === 'published').length)
const counted = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`
function answerLine({ entry, figure }: Hit): string {
  const reader = readerFor(entry.school, job.reader)
  const t = (m: Msg): string => say(m, reader)
  const stands = figure.fig.value === null ? '' : standing(figure.fig.source, job.state.checked)
  const joint = `${entry.material} ${entry.size}${entry.schedule ? ` Sch ${entry.schedule}` : ''}`
  return `${t(figureName(figure))}, ${joint} = ${figureText(figure, reader, t).replace(' ', '\u00a0')} (${stands}).`
}
const headline = computed(() => {
  if (listing.value) return `${toCheck.value} published tables are not yet checked against a copy.`
  if (charting.value) {
    const n = job.state.charts.length
    return n
      ? `${counted(n, 'chart')} of makers\u2019 figures ${n === 1 ? 'is' : 'are'} loaded.`
      : 'No maker\u2019s chart is loaded yet.'
  }
  if (at.value) return beside.value ? `${nameOf(at.value)}, beside ${nameOf(beside.value)}` : nameOf(at.value)
  const first = found.value.hits[0]
  if (first && first.figure.fig.value !== null) return answerLine(first)
  if (question.value.trim()) return 'No figure by that name. Try a size, a method or a standard number.'
  return `${allEntries().length} joints by ${methods.length} methods; ${allSources().length} sources, ${toCheck.value} of them tables from memory.`
})
const why = computed(() => {
  const f = found.value
  if (at.value)
    return `By the ${at.value.school} school, at ${fmt.temperature(typedC.value, { units: at.value.school })}, ${humidityPct} % humidity.`
  if (listing.value || charting.value || !question.value.trim()) return ''
  const t = f.query.temperatureC
  const said = [
    t === null ? '' : `at ${fmt.temperature(t)}, ${fmt.temperature(t, { units: 'inch' })}`,
    f.hits.length ? `${counted(f.hits.length, 'figure')} of ${counted(f.joints, 'joint')}` : '',
    f.joints > 24 ? 'only the first are shown: say a size or a material' : '',
    f.query.unknown.length ? `not understood: ${f.query.unknown.join(', ')}` : '',
  ].filter(Boolean)
  return said.length ? `${said.join('; ')}.` : ''
})
const print = (): void => window.print()
const asC = (text: string): void => {
  const n = Number(text.replace(',', '.'))
  if (!Number.isFinite(n) || n < -60 || n > 100) return
  const c = inchPage.value ? ((n - 32) * 5) / 9 : n
  void router.replace({ query: { ...route.query, t: String(Math.round(c * 100) / 100) } })
}
const shownT = computed(() =>
  String(Math.round((inchPage.value ? cToF(typedC.value) : typedC.value) * 10) / 10),
)
</script>

<template>
  <div class="place handbook">
    <div class="ask no-print">
      <label class="hidden" for="handbook-ask">Ask the Handbook</label>
      <ElInput
        id="handbook-ask"
        v-model="question"
        size="large"
        clearable
        :placeholder="narrow ? '22 mm solder depth' : '2 in sch 80 cure 45 F, or 22 mm solder depth'"
        @keydown.enter="show({ q: question })"
      />
      <button
        type="button"
        class="button"
        :class="{ on: listing }"
        @click="show(listing ? {} : { page: 'unverified' })"
      >
        Not yet checked
      </button>
      <button
        type="button"
        class="button"
        :class="{ on: charting }"
        @click="show(charting ? {} : { page: 'charts' })"
      >
        Makers’ charts
      </button>
    </div>
    <h1 v-if="headline" aria-live="polite">{{ headline }}</h1>
    <p v-if="why" class="why">{{ why }}</p>
    <Unverified v-if="listing" />
    <Charts v-else-if="charting" />
    <template v-else-if="!at">
      <div v-if="rows.length" class="scroll" role="region" aria-label="Figures found" tabindex="0">
        <FigureTable :rows="rows" @open="open" />
      </div>
      <template v-else-if="!question.trim()">
        <h2>Open a method</h2>
        <div class="methods">
          <MethodCard v-for="m in methods" :key="m.id" :method-id="m.id" @open="choose('method', m.id)" />
        </div>
      </template>
    </template>
    <template v-else>
      <div class="choose no-print">
        <ElSelect
          :model-value="chosen.method"
          size="large"
          aria-label="Method"
          @update:model-value="(v: string) => choose('method', v)"
        >
          <ElOption v-for="m in methods" :key="m.id" :value="m.id" :label="job.t(m.name)" />
        </ElSelect>
        <ElSelect
          :model-value="chosen.material"
          size="large"
          aria-label="Material"
          @update:model-value="(v: string) => choose('material', v)"
        >
          <ElOption v-for="m in materials" :key="m" :value="m" :label="m" />
        </ElSelect>
        <ElSelect
          :model-value="keyOf(chosen)"
          size="large"
          filterable
          aria-label="Size"
          @update:model-value="(v: string) => choose('entry', v)"
        >
          <ElOption
            v-for="e in sizes"
            :key="keyOf(e)"
            :value="keyOf(e)"
            :label="`${e.size}${e.schedule ? ` Sch ${e.schedule}` : ''}`"
          />
        </ElSelect>
        <ElSelect
          v-for="f in asked"
          :key="f.key"
          v-model="details[f.key]"
          size="large"
          clearable
          :aria-label="job.t(f.label)"
          :placeholder="job.t(f.label)"
        >
          <ElOption v-for="o in f.options" :key="o" :value="o" :label="o" />
        </ElSelect>
        <label class="t">
          at
          <input
            :value="shownT"
            inputmode="decimal"
            aria-label="Temperature"
            @change="asC(($event.target as HTMLInputElement).value)"
          />
          {{ inchPage ? '°F' : '°C' }}
        </label>
        <button
          v-if="!beside"
          type="button"
          class="button"
          @click="show({ ...(route.query as Record<string, string>), beside: keyOf(chosen) })"
        >
          Put another beside
        </button>
        <button v-else type="button" class="button" @click="show({ at: keyOf(beside), t: String(typedC) })">
          Leave the right one
        </button>
        <button type="button" class="button" @click="print">Print the card</button>
      </div>
      <div class="pages" :class="{ two: beside }">
        <JointPage
          :key="keyOf(at)"
          :entry="at"
          :temperature-c="typedC"
          :humidity-pct="humidityPct"
          :details="details"
          :narrow="Boolean(beside)"
        />
        <JointPage
          v-if="beside"
          :key="`b ${keyOf(beside)}`"
          :entry="beside"
          :temperature-c="typedC"
          :humidity-pct="humidityPct"
          :details="{}"
          narrow
        />
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
.ask,
.choose,
.methods {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.ask :deep(.el-input) {
  flex: 1 1 300px;
  font-size: 19px;
}
.choose :deep(.el-select) {
  width: 190px;
}
.methods {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
}
.on {
  background: var(--ink);
  color: var(--paper);
}
.hidden {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.t {
  display: flex;
  align-items: center;
  gap: 6px;
}
.t input {
  width: 74px;
  min-height: 44px;
  padding: 0 8px;
  border: 1.5px solid var(--edge);
  background: var(--sheet);
  color: var(--ink);
  font: 600 19px var(--figures);
}
.pages.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 28px;
}
@media (max-width: 720px) {
  .choose :deep(.el-select) {
    flex: 1 1 40%;
    width: auto;
  }
}
@media (max-width: 900px) {
  .pages.two {
    grid-template-columns: 1fr;
  }
}
</style>
