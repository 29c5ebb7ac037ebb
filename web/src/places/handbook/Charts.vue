<script setup lang="ts">
import {
  ANY_METHOD,
  CHART_FIGURES,
  CHART_HEADER,
  CHART_TIMES,
  type ChartFault,
  type ChartRow,
  fmt,
  methodOf,
  readChart,
} from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref } from 'vue'
import RowsField from '../../frame/RowsField.vue'
import { useJob } from '../../stores/job'
import { dated } from '../../when'
import { named, word } from '../../words/word'

/** Makers' figures for the fittings of this job: loaded as CSV, whole or not at all. */
const job = useJob()
const name = ref('')
const csv = ref('')
const faults = ref<readonly ChartFault[]>([])
const fault = ref('')
const charts = computed(() => [...job.state.charts].reverse())
const LINE = CHART_HEADER.join(',')
const EXAMPLE = [LINE, 'press,copper,d22,depth,24,mm,A-4'].join('\n')

function methodName(id: string): string {
  const method = methodOf(id)
  return method ? job.t(method.name) : id === ANY_METHOD ? word('handbook-any-method') : id
}
/** What a row is of: the field's own name, with its band where it has one. */
function fieldName(row: ChartRow): string {
  const field = methodOf(row.method)?.fields.find((f) => f.key === row.field)
  const name = field
    ? job.t(field.label)
    : row.field === 'socketDepthMm'
      ? word('handbook-socket-depth')
      : row.field.replace('Time', '')
  const band = row.fromC === undefined ? '' : fmt.temperature(row.fromC, job.reader)
  const to = row.toBar === undefined ? '' : fmt.pressure(row.toBar, job.reader)
  return word('handbook-figure-from-to', { name, from: band, to })
}
function valueText(row: ChartRow): string {
  const unit =
    methodOf(row.method)?.fields.find((f) => f.key === row.field)?.unit ??
    (row.fromC === undefined ? 'mm' : 's')
  return unit === 's' ? fmt.duration(row.value) : `${Math.round(row.value * 1000) / 1000} ${unit}`
}
async function load(): Promise<void> {
  fault.value = ''
  faults.value = []
  const read = readChart(csv.value)
  if (!read.ok) return void (faults.value = read.faults)
  if (!name.value.trim()) return void (fault.value = word('handbook-give-the-chart-a'))
  await job.write(
    [
      {
        kind: 'chart-loaded',
        data: { chartId: crypto.randomUUID(), name: name.value.trim(), rows: read.rows },
      },
    ],
    word('handbook-figures-are-loaded-for', { rows: read.rows.length }),
  )
  csv.value = ''
  name.value = ''
}
</script>

<template>
  <section>
    <p class="why">
      {{
        word('handbook-a-chart-wins-over', {
          fields: [...Object.keys(CHART_FIGURES), ...CHART_TIMES].join(', '),
        })
      }}
    </p>
    <label for="chart-name">{{ word('handbook-name-of-the-chart') }}</label>
    <ElInput
      id="chart-name"
      v-model="name"
      size="large"
      :placeholder="word('ui-whose-fittings-which-sheet')"
    />
    <RowsField
      id="chart"
      v-model="csv"
      :header="LINE"
      :example="EXAMPLE"
      :lines="7"
      :action="word('handbook-load-the-chart')"
      :fault="fault"
      :faults="faults"
      @load="load"
      @file="(file) => (name ||= file)"
    />
    <template v-for="c in charts" :key="c.id">
      <h2>{{ c.name }}</h2>
      <p class="why">
        {{
          word('handbook-figures-loaded-by-at', {
            rows: c.rows.length,
            name: job.nameOf(c.by),
            at: dated(c.atS, job.state.job.zone),
          })
        }}
      </p>
      <table class="rows" :aria-label="c.name">
        <thead>
          <tr>
            <th>{{ word('ui-joined-by') }}</th>
            <th>{{ word('handbook-for') }}</th>
            <th>{{ word('handbook-figure') }}</th>
            <th>{{ word('handbook-value') }}</th>
            <th>{{ word('handbook-reference') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(r, i) in c.rows.slice(0, 200)" :key="i">
            <td>{{ methodName(r.method) }}</td>
            <td>{{ named(r.material) }} {{ r.size }}</td>
            <td>{{ fieldName(r) }}</td>
            <td class="strong">{{ valueText(r) }}</td>
            <td>{{ r.reference }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>

<style scoped>
section {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
label {
  font-weight: 600;
  margin-bottom: -6px;
}
.buttons {
  display: flex;
  gap: 10px;
  align-items: center;
}
.buttons .button {
  display: inline-flex;
  align-items: center;
  margin: 0;
}
</style>
