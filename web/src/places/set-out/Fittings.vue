<script setup lang="ts">
import { type LibraryRow, TAKE_OFF_HEADER, type TakeOffFault, libraryOf, readTakeOffs } from '@jugalis/core'
import { ElInput } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job'
import { when } from '../../when'
import { useClock } from '../../stores/clock'
import RowsField from '../../frame/RowsField.vue'
import OwnParts from './OwnParts.vue'
import TakeOffSheet from './TakeOffSheet.vue'
import { Figures } from '../../words/said'
import { word } from '../../words/word'

/** Every kind of fitting of the job with its take-off, and where each comes from: measured, or a maker's list. */
const job = useJob()
const clock = useClock()
const rows = computed(() => libraryOf(job.state))
const unknown = computed(() => rows.value.filter((r) => !r.known).length)
const measured = ref<LibraryRow | null>(null)
const loading = ref(false)
const name = ref('')
const csv = ref('')
const fault = ref('')
const faults = ref<readonly TakeOffFault[]>([])
const LINE = TAKE_OFF_HEADER.join(',')
const EXAMPLE = [LINE, 'tee,d110,,102,mm,face,A-4', 'reducer,d110,d63,40,mm,face,A-4'].join('\n')
const headline = computed(() =>
  !rows.value.length
    ? word('set-out-no-fittings-yet-set')
    : unknown.value
      ? word('set-out-take-offs-of-are', { unknown: unknown.value, rows: rows.value.length })
      : word('set-out-all-take-offs-are', { rows: rows.value.length }),
)
function source(row: LibraryRow): string {
  if (!row.known) return ''
  const at = when(row.known.atS, clock.nowS, job.state.job.zone)
  return row.known.chart === null
    ? word('set-out-measured-by', { name: job.nameOf(row.known.by), at })
    : word('set-out-loaded-by', { chart: row.known.chart, name: job.nameOf(row.known.by) })
}
async function load(): Promise<void> {
  fault.value = ''
  const read = readTakeOffs(csv.value)
  faults.value = read.ok ? [] : read.faults
  if (!read.ok) return
  if (!name.value.trim()) return void (fault.value = word('set-out-give-the-list-a'))
  await job.write(
    read.rows.map(({ reference, ...row }) => ({
      kind: 'take-off',
      data: { ...row, chart: `${name.value.trim()}, ${reference}` },
    })),
    word('set-out-take-offs-loaded', { rows: read.rows.length, name: name.value.trim() }),
  )
  csv.value = name.value = ''
  loading.value = false
}
</script>

<template>
  <div class="place">
    <div class="head">
      <h1><Figures :text="headline" /></h1>
      <p class="why">
        {{ word('set-out-centre-to-socket-face') }}
      </p>
    </div>
    <div class="buttons no-print">
      <button type="button" class="button" :aria-expanded="loading" @click="loading = !loading">
        {{ word('set-out-load-a-makers-list') }}
      </button>
      <RouterLink class="button" :to="{ name: 'set-out', params: { jobId: job.jobId } }">{{
        word('set-out-back-to-the-lines')
      }}</RouterLink>
    </div>
    <section v-if="loading">
      <label for="list-name">{{ word('set-out-name-of-the-list') }}</label>
      <ElInput
        id="list-name"
        v-model="name"
        size="large"
        :placeholder="word('ui-whose-fittings-which-sheet')"
      />
      <RowsField
        id="list"
        v-model="csv"
        :header="LINE"
        :example="EXAMPLE"
        :lines="6"
        :action="word('set-out-load-the-list')"
        :fault="fault"
        :faults="faults"
        @load="load"
        @file="(file) => (name ||= file)"
      />
    </section>
    <div class="scroll" role="region" :aria-label="word('set-out-fittings')" tabindex="0">
      <table v-if="rows.length" class="rows" :aria-label="word('set-out-fittings')">
        <thead>
          <tr>
            <th>{{ word('set-out-fitting') }}</th>
            <th>{{ word('ui-size') }}</th>
            <th class="num">{{ word('set-out-used') }}</th>
            <th class="num">{{ word('set-out-take-off') }}</th>
            <th>{{ word('set-out-where-it-comes-from') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="`${r.name} ${r.sizes}`">
            <td class="strong">{{ r.name }}</td>
            <td>{{ r.sizes }}</td>
            <td class="num">{{ r.count }}</td>
            <td class="num">
              <button
                type="button"
                class="figure-link reach"
                :class="{ unknown: !r.known }"
                @click="measured = r"
              >
                {{
                  r.known
                    ? word('set-out-to', { takeOffMm: r.known.takeOffMm, takeOffTo: r.known.takeOffTo })
                    : word('set-out-not-known-measure-one')
                }}
              </button>
            </td>
            <td>{{ source(r) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <OwnParts />
    <TakeOffSheet v-if="measured" :item="measured.fitting" :at="measured.at" @close="measured = null" />
  </div>
</template>

<style scoped>
/* Still to be measured is no fault: red is for stop and failed. */
.unknown {
  color: var(--wet-ink);
}
section {
  display: flex;
  flex-direction: column;
  gap: 10px;
  max-width: 720px;
}
label {
  font-weight: 600;
}
th.num {
  text-align: end;
}
th.num + th:not(.num),
td.num + td:not(.num) {
  padding-inline-start: 24px;
}
</style>
