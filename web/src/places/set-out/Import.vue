<script setup lang="ts">
import {
  SCHEDULE_FIELDS,
  type ScheduleField,
  type ScheduleMode,
  begunJoints,
  entryText,
  matchColumns,
} from '@jugalis/core'
import { ElInput, ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/input/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useJob } from '../../stores/job'
import { useView } from '../../view'
import { previewOf, useImport } from './use-import'
import ChipChoice from '../../frame/ChipChoice.vue'
import { importEntries } from './line-entries'
import { named, word } from '../../words/word'

/** A schedule from CSV or a workbook: columns matched, looked at, and taken whole or not at all. */
const job = useJob()
const view = useView()
const route = useRoute()
const router = useRouter()
const { found, read, faults, failed, running, open, turnTo, check, stop } = useImport()
const line = computed(() => view.lines.find((l) => l.id === route.params.lineId) ?? null)
const name = ref('')
const mode = ref<ScheduleMode>('parts')
const firstRow = ref('2')
const units = ref<'metric' | 'inch'>(line.value?.school ?? job.reader.units)
const comma = ref<'asked' | 'decimal' | 'thousands'>('asked')
const columns = reactive<Partial<Record<ScheduleField, number | ''>>>({})
const taking = ref(false)

const MODES: Record<ScheduleMode, string> = {
  parts: word('set-out-a-part-fitting-or'),
  pieces: word('set-out-a-piece-of-pipe'),
  joints: word('set-out-a-joint'),
}
const FIELD_WORDS: Record<ScheduleField, string> = {
  line: word('set-out-line'),
  tag: word('set-out-tag'),
  what: word('set-out-fitting-or-pipe'),
  size: word('ui-size'),
  size2: word('set-out-second-size'),
  length: word('set-out-length'),
  measure: word('set-out-measured-between-c-c'),
  from: word('set-out-fitting-at-its-first'),
  to: word('set-out-fitting-at-its-second'),
  jointA: word('set-out-joint-at-its-first'),
  jointB: word('set-out-joint-at-its-second'),
  joint: word('ui-joint'),
  fitting: word('set-out-fitting-it-goes-into'),
  piece: word('ui-piece'),
}
const fields = computed(() => [...SCHEDULE_FIELDS[mode.value].needed, ...SCHEDULE_FIELDS[mode.value].may])
const isNeeded = (f: ScheduleField): boolean =>
  (SCHEDULE_FIELDS[mode.value].needed as readonly string[]).includes(f)
const first = computed(() => Math.max(1, Math.round(Number(firstRow.value)) || 1))
const header = computed(() => found.value?.head[first.value - 2] ?? [])
const letter = (i: number): string =>
  (i >= 26 ? letter(Math.floor(i / 26) - 1) : '') + String.fromCharCode(65 + (i % 26))
const choices = computed(() =>
  Array.from({ length: found.value?.widest ?? 0 }, (_, i) => ({
    i,
    says: `${letter(i)} ${header.value[i]?.trim() || word('set-out-no-heading')}`,
  })),
)
watch([found, mode, first], () => {
  for (const f of Object.keys(columns) as ScheduleField[]) delete columns[f]
  if (found.value)
    Object.assign(
      columns,
      matchColumns(
        mode.value,
        header.value.map((h) => h ?? ''),
      ),
    )
})
async function pick(e: Event): Promise<void> {
  const file = (e.target as HTMLInputElement).files?.[0]
  ;(e.target as HTMLInputElement).value = ''
  if (!file) return
  name.value = file.name
  firstRow.value = '2'
  await open(file)
}
function look(): void {
  if (!line.value) return
  const chosen = Object.entries(columns).filter((c): c is [ScheduleField, number] => typeof c[1] === 'number')
  check(
    {
      mode: mode.value,
      columns: Object.fromEntries(chosen),
      firstRow: first.value,
      units: units.value,
      comma: comma.value === 'asked' ? null : comma.value,
    },
    line.value,
  )
}
const counts = computed(() => {
  const items = read.value?.lines.flatMap((l) => l.items) ?? []
  const pieces = items.filter((i) => i.type === 'piece').length
  return {
    pieces,
    fittings: items.length - pieces,
    lines: read.value?.lines.filter((l) => l.tag !== null).map((l) => l.tag) ?? [],
  }
})
const preview = computed(() => previewOf(read.value?.lines ?? []))
const headline = computed(() => {
  if (!line.value) return word('set-out-there-is-no-such')
  if (running.value) return running.value.says
  if (read.value)
    return word('set-out-rows-make', {
      rows: read.value.rows,
      pieces: counts.value.pieces,
      fittings: counts.value.fittings,
    })
  if (faults.value.length) return word('set-out-nothing-is-taken-rows', { faults: faults.value.length })
  if (found.value) return word('set-out-rows-say-what-the', { name: name.value, rows: found.value.rows })
  return word('set-out-a-schedule-into-from', { tag: line.value.tag })
})
async function take(): Promise<void> {
  const l = line.value
  if (!l || !read.value) return
  taking.value = true
  try {
    const entries = importEntries(l, read.value.lines, view.lines, begunJoints(job.state))
    await job.write(entries, word('set-out-rows-are-taken', { name: name.value, rows: read.value.rows }))
    await router.push({ name: 'set-out', params: { jobId: job.jobId as string, lineId: l.id } })
  } finally {
    taking.value = false
  }
}
</script>

<template>
  <div class="place">
    <div class="head">
      <h1 aria-live="polite">{{ headline }}</h1>
      <p v-if="line" class="why">
        {{
          word('set-out-it-comes-in-whole', {
            tag: line.tag,
            material: named(line.material),
            school: line.school,
          })
        }}
      </p>
      <p v-for="n in found?.notes ?? []" :key="n.code" class="warn">{{ word(n.code, n.values) }}</p>
      <p v-if="failed" class="refusal" role="alert">{{ failed }}</p>
    </div>
    <div v-if="running" class="progress">
      <progress :value="running.share" max="1" :aria-label="word('set-out-reading-the-file')" />
      <button type="button" class="button" @click="stop">{{ word('set-out-stop') }}</button>
    </div>
    <div class="buttons">
      <label class="button" :class="{ main: !found }" for="schedule-file">{{
        found ? word('set-out-another-file') : word('set-out-choose-a-file')
      }}</label>
      <input
        id="schedule-file"
        class="file"
        type="file"
        accept=".csv,.txt,.xlsx,text/csv"
        :disabled="!line"
        @change="pick"
      />
      <button
        v-if="found"
        type="button"
        class="button"
        :class="{ main: !read }"
        :disabled="running !== null"
        @click="look"
      >
        {{ word('set-out-look-at-it') }}
      </button>
      <button v-if="read" type="button" class="button main" :disabled="taking" @click="take">
        {{ word('set-out-take-rows', { rows: read.rows }) }}
      </button>
      <RouterLink
        v-if="line"
        class="button"
        :to="{ name: 'set-out', params: { jobId: job.jobId, lineId: line.id } }"
        >{{ word('set-out-back-to', { tag: line.tag }) }}</RouterLink
      >
    </div>
    <p v-if="found && found.sheets.length > 1" class="strong">{{ word('set-out-sheet-of-this-workbook') }}</p>
    <ChipChoice
      v-if="found && found.sheets.length > 1"
      :label="word('set-out-sheet-of-this-workbook')"
      :model-value="found.sheet"
      :options="found.sheets.map((s) => [s, s] as const)"
      @update:model-value="(s: string | null) => s && turnTo(s)"
    />
    <div
      v-if="faults.length"
      class="scroll"
      role="region"
      :aria-label="word('set-out-rows-to-mend')"
      tabindex="0"
    >
      <p v-for="f in faults.slice(0, 100)" :key="`${f.row} ${f.field}`">
        <strong>{{
          word('set-out-row', { row: f.row, field: f.field ? FIELD_WORDS[f.field].toLowerCase() : '' })
        }}</strong>
        {{ job.t(f.says) }}
      </p>
    </div>
    <template v-if="read">
      <p v-if="counts.lines.length" class="why">
        {{ word('set-out-lines-named-in-it', { lines: counts.lines.join(', ') }) }}
      </p>
      <table class="rows" :aria-label="word('set-out-parts-read')">
        <thead>
          <tr>
            <th>{{ word('set-out-line') }}</th>
            <th>{{ word('set-out-part') }}</th>
            <th>{{ word('set-out-as-typed') }}</th>
            <th>{{ word('set-out-joints-named') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="p in preview" :key="p.item.id">
            <td>{{ p.tag ?? line?.tag }}</td>
            <td class="strong">{{ p.item.tag }}</td>
            <td>{{ entryText(p.item, { units }) }}{{ p.item.type === 'piece' ? `, ${p.item.size}` : '' }}</td>
            <td>{{ p.item.jointTags.filter(Boolean).join(', ') }}</td>
          </tr>
        </tbody>
      </table>
    </template>
    <template v-else-if="found">
      <div class="asked">
        <label for="schedule-mode">{{ word('set-out-each-row-is') }}</label>
        <ElSelect
          :teleported="false"
          id="schedule-mode"
          v-model="mode"
          size="large"
          :aria-label="word('set-out-each-row-is')"
        >
          <ElOption v-for="(says, m) in MODES" :key="m" :value="m" :label="says" />
        </ElSelect>
        <label for="schedule-first">{{ word('set-out-first-row-below-the') }}</label>
        <ElInput id="schedule-first" v-model="firstRow" size="large" inputmode="numeric" />
        <label for="schedule-units">{{ word('set-out-bare-figures-are') }}</label>
        <ElSelect
          :teleported="false"
          id="schedule-units"
          v-model="units"
          size="large"
          :aria-label="word('set-out-bare-figures-are')"
        >
          <ElOption value="metric" :label="word('set-out-millimetres')" />
          <ElOption value="inch" :label="word('set-out-inches')" />
        </ElSelect>
        <label for="schedule-comma">{{ word('set-out-a-comma-is') }}</label>
        <ElSelect
          :teleported="false"
          id="schedule-comma"
          v-model="comma"
          size="large"
          :aria-label="word('set-out-a-comma-is')"
        >
          <ElOption value="asked" :label="word('set-out-asked-when-it-matters')" />
          <ElOption value="decimal" :label="word('set-out-a-decimal-sign')" />
          <ElOption value="thousands" :label="word('set-out-between-thousands')" />
        </ElSelect>
        <template v-for="f in fields" :key="f">
          <label :for="`column-${f}`"
            >{{ FIELD_WORDS[f] }}{{ isNeeded(f) ? '' : ` ${word('set-out-may-be-left-out')}` }}</label
          >
          <ElSelect
            :teleported="false"
            :id="`column-${f}`"
            v-model="columns[f]"
            size="large"
            clearable
            :placeholder="word('set-out-no-column')"
            :aria-label="FIELD_WORDS[f]"
          >
            <ElOption v-for="c in choices" :key="c.i" :value="c.i" :label="c.says" />
          </ElSelect>
        </template>
      </div>
      <div class="scroll" role="region" :aria-label="word('set-out-first-rows-of-the')" tabindex="0">
        <table class="rows" :aria-label="word('set-out-first-rows-of-the')">
          <thead>
            <tr>
              <th>{{ word('set-out-row-2') }}</th>
              <th v-for="c in choices" :key="c.i">{{ c.says }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(r, i) in found.head.slice(0, 8)" :key="i" :class="{ open: i === first - 2 }">
              <td class="soft">{{ i + 1 }}</td>
              <td v-for="c in choices" :key="c.i">{{ r[c.i] ?? '' }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
    <p v-else-if="!running" class="why">
      {{ word('set-out-a-row-may-be') }}
    </p>
  </div>
</template>

<style scoped>
.file {
  position: absolute;
  width: 1px;
  height: 1px;
  opacity: 0;
}
.file:focus-visible + .button,
.buttons:has(.file:focus-visible) label {
  outline: 3px solid var(--copper);
  outline-offset: 2px;
}
.asked {
  display: grid;
  grid-template-columns: minmax(180px, 300px) minmax(200px, 340px);
  gap: 8px 16px;
  align-items: center;
}
.asked label {
  font-weight: 600;
}
.progress {
  display: flex;
  gap: 12px;
  align-items: center;
}
.scroll {
  max-height: 50vh;
}
.soft {
  color: var(--soft);
}
@media (max-width: 720px) {
  .asked {
    grid-template-columns: minmax(0, 1fr);
    gap: 2px 0;
  }
}
</style>
