import { type Msg, msg } from '../sources/source.js'
import type { Item, Line } from '../log/state.js'
import { RowReader } from './schedule-rows.js'

/** What a row of a schedule stands for. */
export type ScheduleMode = 'parts' | 'pieces' | 'joints'
/** Fields that a column may hold, by mode; the first ones that must be there. */
export const SCHEDULE_FIELDS = {
  parts: { needed: ['what', 'size'], may: ['line', 'tag', 'size2', 'length', 'measure'] },
  pieces: { needed: ['size', 'length'], may: ['line', 'tag', 'measure', 'from', 'to', 'jointA', 'jointB'] },
  joints: { needed: ['joint', 'size', 'fitting'], may: ['line', 'piece', 'length', 'measure'] },
} as const satisfies Record<ScheduleMode, { needed: readonly string[]; may: readonly string[] }>
export type ScheduleField = (typeof SCHEDULE_FIELDS)[ScheduleMode]['needed' | 'may'][number]
/** Headings under which fields are found by themselves, in lower case. */
export const HEADINGS: Readonly<Record<ScheduleField, readonly string[]>> = {
  line: ['line', 'run', 'system', 'line no', 'line tag'],
  tag: ['tag', 'part', 'piece', 'mark', 'item', 'no', 'spool'],
  what: ['what', 'fitting', 'kind', 'type', 'description', 'part type'],
  size: ['size', 'dn', 'od', 'diameter', 'nominal size', 'd'],
  size2: ['size 2', 'second size', 'to size', 'branch', 'size2'],
  length: ['length', 'measure', 'measured', 'c-c', 'measured_mm', 'length mm', 'mm'],
  measure: ['measured between', 'measure kind', 'from to', 'ends', 'between'],
  from: ['from', 'first fitting', 'end a', 'start'],
  to: ['to', 'second fitting', 'end b', 'end'],
  jointA: ['joint a', 'first joint', 'joint 1'],
  jointB: ['joint b', 'second joint', 'joint 2'],
  joint: ['joint', 'joint no', 'joint tag', 'weld', 'weld no'],
  fitting: ['fitting', 'into', 'to', 'what'],
  piece: ['piece', 'pipe', 'spool', 'of'],
}
/** Most rows taken at once. */
export const MOST_ROWS = 50_000

/** The likeliest column of each field by its heading; none is taken twice. */
export function matchColumns(
  mode: ScheduleMode,
  header: readonly string[],
): Partial<Record<ScheduleField, number>> {
  const names = header.map((head) =>
    head
      .trim()
      .toLowerCase()
      .replace(/[\s_]+/g, ' '),
  )
  const out: Partial<Record<ScheduleField, number>> = {}
  const { needed, may } = SCHEDULE_FIELDS[mode]
  for (const field of [...needed, ...may]) {
    const taken = new Set(Object.values(out))
    const at = HEADINGS[field]
      .map((h) => names.findIndex((n, i) => n === h && !taken.has(i)))
      .find((i) => i >= 0)
    if (at !== undefined) out[field] = at
  }
  return out
}

export interface ScheduleAsk {
  mode: ScheduleMode
  columns: Partial<Record<ScheduleField, number>>
  /** Row of the first entry below the headings, counted from 1 as the file's own programs do. */
  firstRow: number
  units: 'metric' | 'inch'
  /** What a comma between figures means; null: not said. */
  comma: 'decimal' | 'thousands' | null
}
export interface RowFault {
  /** Row of the file, the first being 1. */
  row: number
  field: ScheduleField | ''
  says: Msg
}
export interface ReadLine {
  /** Null: the line that is open. */
  tag: string | null
  items: Item[]
}
export type ScheduleRead = { ok: true; lines: ReadLine[]; rows: number } | { ok: false; faults: RowFault[] }

/** Most faults told at once. */
const TOLD = 200

/**
 * Reads a schedule of parts, pieces or joints into lines. Every bad row is named; one is enough for nothing to be
 * taken. @param like gives method and material. @param newId makes ids. @param onRow is told how far it is.
 */
export function readSchedule(
  rows: readonly (readonly (string | null)[])[],
  ask: ScheduleAsk,
  like: Line,
  newId: () => string,
  onRow: (done: number) => void = () => undefined,
): ScheduleRead {
  const faults: RowFault[] = []
  const body = rows.slice(ask.firstRow - 1)
  const filled = body.filter((r) => r.some((c) => c?.trim())).length
  if (filled > MOST_ROWS)
    return {
      ok: false,
      faults: [
        { row: ask.firstRow, field: '', says: msg('schedule-too-many', { rows: filled, most: MOST_ROWS }) },
      ],
    }
  for (const field of SCHEDULE_FIELDS[ask.mode].needed)
    if (ask.columns[field] === undefined)
      faults.push({ row: ask.firstRow - 1, field, says: msg('schedule-no-column', { field }) })
  if (!filled && !faults.length) faults.push({ row: ask.firstRow, field: '', says: msg('schedule-empty') })
  if (faults.length) return { ok: false, faults }
  const builder = new RowReader(ask, like, newId, faults)
  body.forEach((cells, i) => {
    if (i % 500 === 0) onRow(i)
    if (cells.some((c) => c?.trim()) && faults.length < TOLD) builder.row(cells, ask.firstRow + i)
  })
  if (faults.length) return { ok: false, faults }
  return { ok: true, lines: builder.lines(), rows: filled }
}
