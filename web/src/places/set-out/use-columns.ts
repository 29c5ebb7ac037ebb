import {
  SCHEDULE_FIELDS,
  type ScheduleAsk,
  type ScheduleField,
  type ScheduleMode,
  matchColumns,
} from '@jugalis/core'
import { type Ref, computed, reactive, ref, watch } from 'vue'
import { word } from '../../words/word'
import type { FoundTable } from '../../workers/table-reply'

export const FIELD_WORDS = {
  line: 'set-out-line',
  tag: 'set-out-tag',
  what: 'set-out-fitting-or-pipe',
  size: 'ui-size',
  size2: 'set-out-second-size',
  length: 'set-out-length',
  measure: 'set-out-measured-between-c-c',
  from: 'set-out-fitting-at-its-first',
  to: 'set-out-fitting-at-its-second',
  jointA: 'set-out-joint-at-its-first',
  jointB: 'set-out-joint-at-its-second',
  joint: 'ui-joint',
  fitting: 'set-out-fitting-it-goes-into',
  piece: 'ui-piece',
} as const satisfies Record<ScheduleField, string>

/** How a column is called in a spreadsheet: A to Z, then AA. */
const letter = (i: number): string =>
  (i >= 26 ? letter(Math.floor(i / 26) - 1) : '') + String.fromCharCode(65 + (i % 26))

/** What the columns of a found table hold, as far as their headings tell, and what else a person says of its rows. */
export function useColumns(found: Ref<FoundTable | null>, usual: 'metric' | 'inch') {
  const mode = ref<ScheduleMode>('parts')
  const firstRow = ref('2')
  const units = ref<'metric' | 'inch'>(usual)
  const comma = ref<'asked' | 'decimal' | 'thousands'>('asked')
  const columns = reactive<Partial<Record<ScheduleField, number | ''>>>({})

  const fields = computed(() => [...SCHEDULE_FIELDS[mode.value].needed, ...SCHEDULE_FIELDS[mode.value].may])
  const isNeeded = (field: ScheduleField): boolean =>
    (SCHEDULE_FIELDS[mode.value].needed as readonly string[]).includes(field)
  const first = computed(() => Math.max(1, Math.round(Number(firstRow.value)) || 1))
  const header = computed(() => found.value?.head[first.value - 2] ?? [])
  const choices = computed(() =>
    Array.from(
      { length: found.value?.widest ?? 0 },
      (_, i) => [i, `${letter(i)} ${header.value[i]?.trim() || word('set-out-no-heading')}`] as const,
    ),
  )
  watch([found, mode, first], () => {
    for (const field of Object.keys(columns) as ScheduleField[]) delete columns[field]
    const headings = header.value.map((h) => h ?? '')
    if (found.value) Object.assign(columns, matchColumns(mode.value, headings))
  })
  /** How the table is to be read, as it was said. */
  function asked(): ScheduleAsk {
    const chosen = Object.entries(columns).filter(
      (c): c is [ScheduleField, number] => typeof c[1] === 'number',
    )
    return {
      mode: mode.value,
      columns: Object.fromEntries(chosen),
      firstRow: first.value,
      units: units.value,
      comma: comma.value === 'asked' ? null : comma.value,
    }
  }
  return { mode, firstRow, units, comma, columns, fields, isNeeded, first, choices, asked }
}
