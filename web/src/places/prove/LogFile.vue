<script setup lang="ts">
import { type LogColumns, type LogFault, type TestRun, logTable, overWeakest, readLog } from '@jugalis/core'
import { ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import { computed, reactive, ref } from 'vue'
import { useClock } from '../../stores/clock'
import { useJob } from '../../stores/job'
import { word } from '../../words/word'

/** A logger's file: which column is what, in which unit, on which clocks; then all rows or none. */
const props = defineProps<{ test: TestRun }>()
const emit = defineEmits<{ done: [says: string] }>()
const job = useJob()
const clock = useClock()
const table = ref<{ head: string[]; body: string[][] } | null>(null)
const name = ref('')
const faults = ref<readonly LogFault[]>([])
const repeatedLine = ref<number | null>(null)
const says = ref('')
const busy = ref(false)
const columns = reactive<LogColumns & { zone: string }>({
  time: 0,
  pressure: 1,
  temperature: null,
  pressureUnit: 'bar',
  temperatureUnit: 'C',
  zone: job.state.job.zone,
})
const zones = computed(() => [...new Set([job.state.job.zone, 'UTC'])])
const ROWS_IN_ONE = 2000
async function pick(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  const { head, body, guess } = logTable(await file.text())
  name.value = file.name
  Object.assign(columns, guess)
  table.value = { head, body }
  faults.value = []
  repeatedLine.value = null
  says.value = ''
}
async function load(repeated: true | null): Promise<void> {
  if (!table.value) return
  faults.value = []
  const read = readLog(table.value.body, columns, columns.zone, repeated)
  if (!read.ok) return void (faults.value = read.faults)
  if (read.repeatedFromLine !== null && repeated === null)
    return void (repeatedLine.value = read.repeatedFromLine)
  // Evidence is kept; the line is named, and the test says what to do about it.
  const high = overWeakest(job.state, { ...props.test, readings: read.rows })
  const line = read.rows.findIndex((r) => r.atS === high?.atS) + 2
  const over = high ? word('prove-line-of-the-file', { line }) : ''
  busy.value = true
  const at = (s: number): number => s - clock.offsetS
  const entries = []
  for (let i = 0; i < read.rows.length; i += ROWS_IN_ONE)
    entries.push({
      kind: 'test-log',
      data: {
        testId: props.test.id,
        from: name.value.slice(0, 80),
        rows: read.rows
          .slice(i, i + ROWS_IN_ONE)
          .map((r) => (r.temperatureC === null ? [at(r.atS), r.bar] : [at(r.atS), r.bar, r.temperatureC])),
      },
    })
  await job.write(entries, word('prove-readings-are-in', { rows: read.rows.length }))
  busy.value = false
  emit('done', over)
}
</script>

<template>
  <div class="file">
    <label
      >{{ word('prove-file-of-the-logger') }}
      <input
        type="file"
        accept=".csv,.txt,text/csv"
        :aria-label="word('prove-file-of-the-logger-2')"
        @change="pick"
    /></label>
    <template v-if="table">
      <div class="fields">
        <label
          >{{ word('prove-time') }}
          <ElSelect
            :teleported="false"
            v-model="columns.time"
            size="large"
            :aria-label="word('prove-column-of-the-time')"
          >
            <ElOption
              v-for="(h, i) in table.head"
              :key="i"
              :value="i"
              :label="h || word('prove-column', { i: i + 1 })" /></ElSelect
        ></label>
        <label
          >{{ word('prove-on-the-clocks-of') }}
          <ElSelect
            :teleported="false"
            v-model="columns.zone"
            size="large"
            :aria-label="word('prove-clocks-of-the-file')"
          >
            <ElOption v-for="z in zones" :key="z" :value="z" :label="z" /></ElSelect
        ></label>
        <label
          >{{ word('ui-pressure') }}
          <ElSelect
            :teleported="false"
            v-model="columns.pressure"
            size="large"
            :aria-label="word('prove-column-of-the-pressure')"
          >
            <ElOption
              v-for="(h, i) in table.head"
              :key="i"
              :value="i"
              :label="h || word('prove-column', { i: i + 1 })" /></ElSelect
        ></label>
        <label
          >{{ word('prove-in') }}
          <ElSelect
            :teleported="false"
            v-model="columns.pressureUnit"
            size="large"
            :aria-label="word('prove-unit-of-the-pressure')"
          >
            <ElOption v-for="u in ['bar', 'psi', 'kPa', 'mbar']" :key="u" :value="u" :label="u" /></ElSelect
        ></label>
        <label
          >{{ word('ui-temperature') }}
          <ElSelect
            :teleported="false"
            v-model="columns.temperature"
            size="large"
            clearable
            :value-on-clear="null"
            :placeholder="word('prove-none')"
            :aria-label="word('prove-column-of-the-temperature')"
          >
            <ElOption
              v-for="(h, i) in table.head"
              :key="i"
              :value="i"
              :label="h || word('prove-column', { i: i + 1 })" /></ElSelect
        ></label>
        <label
          >{{ word('prove-in') }}
          <ElSelect
            :teleported="false"
            v-model="columns.temperatureUnit"
            size="large"
            :aria-label="word('prove-unit-of-the-temperature')"
          >
            <ElOption value="C" label="°C" /><ElOption value="F" label="°F" /></ElSelect
        ></label>
      </div>
      <p class="why">
        {{ word('prove-rows-first', { rows: table.body.length, first: table.body[0]?.join(', ') }) }}
      </p>
      <p v-if="repeatedLine !== null" class="refusal" role="alert">
        {{ word('prove-line-the-time-goes', { repeatedLine }) }}
        <button type="button" class="button" @click="load(true)">
          {{ word('prove-yes-the-second-time') }}
        </button>
      </p>
      <ul v-if="faults.length" role="alert" class="faults">
        <li v-for="f in faults" :key="`${f.line}${f.says.code}`" class="refusal">
          {{ word('prove-line', { line: f.line, says: job.t(f.says) }) }}
        </li>
      </ul>
      <button type="button" class="button main" :disabled="busy" @click="load(null)">
        {{ word('prove-take-them-in') }}
      </button>
    </template>
  </div>
</template>

<style scoped>
.file {
  display: flex;
  flex-direction: column;
  gap: 12px;
  align-items: flex-start;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 12px;
  width: 100%;
}
label {
  display: flex;
  flex-direction: column;
  gap: 3px;
  font-weight: 600;
}
.faults {
  list-style: none;
  padding: 0;
  margin: 0;
}
</style>
