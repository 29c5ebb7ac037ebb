import Papa from 'papaparse'
import { type Msg, msg } from '../sources/source.js'
import { parseSize } from '../sizes/size.js'
import { inchToMm } from '../units/units.js'
import type { Item, JobState, TakeOff } from '../log/state.js'
import { partIn } from '../parts/vocabulary.js'
import type { EndAt } from '../parts/neighbours.js'
import { endKindSaid } from '../parts/ends.js'
import { outletsOf, takeOffFor, takeOffOf } from './piece.js'
import { bodyOf } from './carrier.js'
import type { Code } from '../sources/wording.js'

/** First line of a list of take-offs as CSV. */
export const TAKE_OFF_HEADER = [
  'fitting',
  'size',
  'second size',
  'take-off',
  'unit',
  'to',
  'reference',
] as const
/** No fitting is longer than this from its centre, mm. */
export const MOST_TAKE_OFF_MM = 5000

export interface TakeOffRow {
  fitting: string
  size: string
  size2: string | null
  takeOffMm: number
  takeOffTo: 'face' | 'stop'
  reference: string
}
export interface TakeOffFault {
  /** Line of the file, the header being 1. */
  line: number
  column: string
  says: Msg
}
export type TakeOffsRead = { ok: true; rows: TakeOffRow[] } | { ok: false; faults: TakeOffFault[] }

/** May a take-off be of this? Every part by its name, its branch, and each kind of its ends. */
function isNamed(text: string): boolean {
  const found = partIn(text)
  if (!found) return false
  const words = found.rest.split(' ').filter(Boolean)
  if (words[0] === 'branch' && found.part.ends.length > 2) words.shift()
  return words.length === 0 || (words.length === 1 && endKindSaid(words[0] as string, 'inch') !== null)
}

/**
 * Reads a maker's list of take-offs. Every bad row is named by its line; one is enough for nothing to be taken.
 * @example readTakeOffs('fitting,size').ok // false
 */
export function readTakeOffs(csv: string): TakeOffsRead {
  const table = Papa.parse<string[]>(csv.trim(), { skipEmptyLines: true }).data
  const head = (table[0] ?? []).map((h) => h.trim().toLowerCase())
  if (head.length !== TAKE_OFF_HEADER.length || TAKE_OFF_HEADER.some((h, i) => head[i] !== h))
    return {
      ok: false,
      faults: [{ line: 1, column: '', says: msg('chart-header', { header: TAKE_OFF_HEADER.join(',') }) }],
    }
  const faults: TakeOffFault[] = []
  const rows: TakeOffRow[] = []
  const seen = new Map<string, number>()
  table.slice(1).forEach((cells, i) => {
    const line = i + 2
    const read = readRow(cells.map((c) => c.trim()))
    if ('column' in read) return void faults.push({ line, ...read })
    const key = [read.fitting, read.size, read.size2].join('~')
    const before = seen.get(key)
    if (before !== undefined)
      return void faults.push({ line, column: 'fitting', says: msg('chart-twice', { before }) })
    seen.set(key, line)
    rows.push(read)
  })
  if (!rows.length && !faults.length) faults.push({ line: 2, column: '', says: msg('chart-empty') })
  return faults.length ? { ok: false, faults } : { ok: true, rows }
}

function readRow(cells: readonly string[]): TakeOffRow | { column: string; says: Msg } {
  const bad = (column: string, code: Code, params: Record<string, string | number> = {}) => ({
    column,
    says: msg(code, params),
  })
  const [fitting = '', size = '', size2 = '', value = '', unit = '', to = '', reference = ''] = cells
  if (cells.length !== TAKE_OFF_HEADER.length)
    return bad('', 'chart-columns', { columns: cells.length, wanted: TAKE_OFF_HEADER.length })
  if (!isNamed(fitting.toLowerCase())) return bad('fitting', 'schedule-no-fitting', { text: fitting })
  for (const [column, text] of [
    ['size', size],
    ['second size', size2],
  ] as const)
    if (column === 'size' || text) if (!parseSize(text)) return bad(column, 'size-not-read', { text })
  const read = takeOffCells(value, unit, to)
  if ('column' in read) return read
  if (!reference) return bad('reference', 'chart-reference')
  return { fitting: fitting.toLowerCase(), size, size2: size2 || null, ...read, reference }
}
/**
 * A take-off as it stands in a list, or what is wrong with it and in which column.
 * @example takeOffCells('102', 'mm', 'face') // { takeOffMm: 102, takeOffTo: 'face' }
 */
export function takeOffCells(
  value: string,
  unit: string,
  to: string,
): Pick<TakeOffRow, 'takeOffMm' | 'takeOffTo'> | Omit<TakeOffFault, 'line'> {
  const convert = { mm: (v: number) => v, in: inchToMm }[unit]
  if (!convert) return { column: 'unit', says: msg('chart-unit', { unit, units: 'mm, in' }) }
  const takeOffMm = convert(Number(value.replace(',', '.')))
  if (value === '' || !(takeOffMm >= 0 && takeOffMm <= MOST_TAKE_OFF_MM))
    return {
      column: 'take-off',
      says: msg('chart-value', { value, min: 0, max: MOST_TAKE_OFF_MM, unit: 'mm' }),
    }
  return to === 'face' || to === 'stop'
    ? { takeOffMm, takeOffTo: to }
    : { column: 'to', says: msg('take-off-to', { text: to }) }
}

export interface LibraryRow {
  fitting: Item
  at: EndAt
  name: string
  sizes: string
  count: number
  known: TakeOff | null
}
/** Every kind of fitting in a job with what is known of it, unknown ones first. */
export function libraryOf(state: JobState): LibraryRow[] {
  const out = new Map<string, LibraryRow>()
  for (const line of state.lines.values())
    for (const item of line.items) {
      if (item.type !== 'fitting') continue
      for (const outlet of outletsOf(state, line, bodyOf(state, line, item))) {
        const { name, size, size2 } = takeOffFor(outlet.fitting, outlet.at)
        const sizes = [size, size2].filter(Boolean).join(' to ')
        const had = out.get(`${name} ${sizes}`)
        if (had) had.count++
        else
          out.set(`${name} ${sizes}`, {
            ...outlet,
            name,
            sizes,
            count: 1,
            known: takeOffOf(state, outlet.fitting, outlet.at),
          })
      }
    }
  return [...out.values()].sort(
    (a, b) =>
      Number(a.known !== null) - Number(b.known !== null) ||
      a.name.localeCompare(b.name) ||
      a.sizes.localeCompare(b.sizes),
  )
}
