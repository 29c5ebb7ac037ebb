<script setup lang="ts">
import {
  type Entry,
  type Msg,
  DEFAULT_AROUND,
  charted,
  contextOf,
  differencesFor,
  figuresOf,
  methodOf,
  specOf,
} from '@jugalis/core'
import { computed, defineAsyncComponent } from 'vue'
import { useJob } from '../../stores/job'
import JointSection from '../../tapes/JointSection.vue'
import FigureTable from './FigureTable.vue'
import { readerFor } from './figure-text'
import { named, told, word } from '../../words/word'

/** Everything the Handbook holds of one joint: figures, drawing, steps, what not to combine, where schools differ. */
const props = defineProps<{
  entry: Entry
  temperatureC: number
  humidityPct: number
  details: Readonly<Record<string, string>>
  /** One of two side by side: the chart is left out. */
  narrow?: boolean
}>()
const CureChart = defineAsyncComponent(() => import('./CureChart.vue'))
const job = useJob()
const around = computed(() => ({
  ...DEFAULT_AROUND,
  temperatureC: props.temperatureC,
  humidityPct: props.humidityPct,
  table: job.state.job.table,
}))
const method = computed(() => methodOf(props.entry.method))
/** Makers' charts of the job, then what was turned on this page. */
const known = computed(() => ({ ...charted(job.state, props.entry), ...props.details }))
const read = computed(() => (method.value ? specOf(method.value, props.entry, known.value) : null))
const spec = computed(() => (read.value && 'spec' in read.value ? read.value.spec : null))
const lacks = computed(() => (read.value && 'why' in read.value ? read.value.why : null))
const ctx = computed(() => contextOf(props.entry, around.value))
const figures = computed(() =>
  figuresOf(props.entry, around.value, known.value).map((figure) => ({
    figure,
    school: props.entry.school,
  })),
)
const steps = computed(() => (spec.value === null ? [] : (method.value?.steps(spec.value, ctx.value) ?? [])))
const shapes = computed(() =>
  spec.value === null ? [] : (method.value?.section(spec.value, null, ctx.value) ?? []),
)
const depth = computed(() =>
  spec.value === null ? null : (method.value?.insertion(spec.value, ctx.value).depthMm.value ?? null),
)
const cautions = computed(() =>
  spec.value === null ? [] : (method.value?.cautions(spec.value, ctx.value) ?? []),
)
const before = computed(() =>
  spec.value === null
    ? []
    : (method.value?.testing(spec.value, { no: 1, done: [], interrupted: [] }, ctx.value).open ?? []),
)
const differences = computed(() => differencesFor(props.entry.method))
/** Cure against temperature is drawn where it depends on temperature. */
const curve = computed(() => {
  if (spec.value === null || !method.value?.cures || props.narrow) return false
  const curing = method.value.curing(spec.value, { table: around.value.table })
  return curing.by === 'rule' && !curing.rule.steady
})
const reader = computed(() => readerFor(props.entry.school, job.reader))
const said = (m: Msg): string => told(m, reader.value)
const name = computed(() => (method.value ? job.t(method.value.name) : ''))
</script>

<template>
  <article class="page" :aria-label="`${name} ${named(entry.material)} ${entry.size}`">
    <h2 v-if="narrow" class="title">
      {{ name }}: {{ named(entry.material) }} {{ entry.size
      }}{{ entry.schedule ? ` ${word('handbook-sch', { schedule: entry.schedule })}` : ''
      }}<span class="school">{{ word('handbook-school', { school: entry.school }) }}</span>
    </h2>
    <p v-if="lacks" class="refusal">{{ word('handbook-choose-it-above', { lacks: said(lacks) }) }}</p>
    <JointSection
      v-if="shapes.length"
      :shapes="shapes"
      :height="170"
      :depth-mm="depth"
      :offset-mm="entry.school === 'inch' ? 50.8 : 50"
      :reader="reader"
    />
    <FigureTable :rows="figures" />
    <CureChart
      v-if="curve"
      :reader="reader"
      :entry="entry"
      :humidity-pct="humidityPct"
      :temperature-c="temperatureC"
    />
    <h2>{{ word('handbook-steps') }}</h2>
    <ol class="steps">
      <li v-for="s in steps" :key="s.id">
        <p class="does">{{ said(s.does) }}</p>
        <p>{{ said(s.lookFor) }}</p>
        <p class="mistake">{{ word('handbook-usual-mistake', { mistake: said(s.mistake) }) }}</p>
        <p v-for="c in s.cautions" :key="c.code" class="caution">
          {{ word('handbook-caution', { c: said(c) }) }}
        </p>
        <p v-if="s.tools.length">
          {{ word('handbook-use', { tools: s.tools.map((m) => said(m)).join('; ') }) }}
        </p>
        <p v-if="s.never?.length" class="never">
          {{ word('handbook-never', { never: s.never.map((m) => said(m)).join('; ') }) }}
        </p>
      </li>
    </ol>
    <template v-if="before.length">
      <h2>{{ word('handbook-before-a-test') }}</h2>
      <p v-for="f in before" :key="f.code">{{ said(f) }}</p>
    </template>
    <h2>{{ word('handbook-cautions') }}</h2>
    <p v-for="c in cautions" :key="c.code" class="caution">{{ said(c) }}</p>
    <h2>{{ word('handbook-what-not-to-combine') }}</h2>
    <p v-for="r in method?.rules ?? []" :key="r.code">
      <strong
        >{{
          r.level === 'stop'
            ? word('handbook-stop')
            : r.level === 'warn'
              ? word('handbook-mind')
              : word('handbook-note')
        }}:</strong
      >
      {{ said(r) }}
    </p>
    <template v-if="differences.length">
      <h2>{{ word('handbook-where-schools-differ') }}</h2>
      <table class="rows" :aria-label="word('handbook-where-schools-differ')">
        <thead>
          <tr>
            <th>{{ word('handbook-point') }}</th>
            <th>{{ word('handbook-one') }}</th>
            <th>{{ word('handbook-another') }}</th>
            <th>{{ word('handbook-here') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="d in differences" :key="d.id">
            <td class="strong">{{ said(d.point) }}</td>
            <td :class="{ chosen: d.follows[entry.school] === 'a' }">{{ said(d.a) }}</td>
            <td :class="{ chosen: d.follows[entry.school] === 'b' }">{{ said(d.b) }}</td>
            <td>{{ said(d.here) }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </article>
</template>

<style scoped>
.page {
  min-width: 0;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.title {
  border-bottom: 2px solid var(--ink);
  padding-bottom: 4px;
}
.school {
  font: 400 17px var(--text);
  margin-inline-start: 12px;
}
h2 {
  margin-top: 12px;
  font-size: 20px;
}
.steps {
  padding-inline-start: 22px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.does {
  font-weight: 600;
  font-size: 18px;
}
.mistake,
.never {
  color: var(--soft);
}
.caution {
  border-inline-start: 4px solid var(--wet);
  padding-inline-start: 8px;
}
.chosen {
  font-weight: 600;
  text-decoration: underline;
  text-underline-offset: 4px;
}
@media print {
  .page {
    break-inside: avoid-page;
  }
}
</style>
