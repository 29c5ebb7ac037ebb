import Papa from 'papaparse'
import type { School } from '../methods/joinable.js'
import type { JobState } from '../log/state.js'
import { type Msg, msg } from '../sources/source.js'
import { type Reader, inUnits, systemOf, unitOf } from '../units/quantity.js'
import { type ItemSaid, itemFaults, itemSaid } from './entry.js'
import type { Wanted } from './wanted.js'

/** First line of a store as CSV. What it fits stands in one cell: `size=d22; profile=M`. */
export const STORE_HEADER = [
  'kind',
  'name',
  'batch',
  'fits',
  'bought',
  'good until',
  'days once open',
  'amount',
  'unit',
  'next service',
  'last service',
  'certificate',
] as const
const FIELDS = [
  'kind',
  'name',
  'batch',
  'matches',
  'boughtOn',
  'expiresOn',
  'openDays',
  'amount',
  'unit',
  'dueOn',
  'checkedOn',
  'certificate',
] as const satisfies readonly (keyof ItemSaid)[]
/** A workbook has no more rows than this that anybody has counted. */
const MOST_ROWS = 20_000

export interface StoreFault {
  /** Line of the file, the header being 1. */
  line: number
  column: string
  says: Msg
}
export type StoreRead = { ok: true; items: ItemSaid[] } | { ok: false; faults: StoreFault[] }

/**
 * What a thing fits, as it is written in one cell.
 * @example fitsSaid('size=d22; profile=M') // { size: 'd22', profile: 'M' }
 */
export function fitsSaid(text: string): Record<string, string> | null {
  const parts = text
    .split(';')
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => part.split('=').map((side) => side.trim()))
  return parts.every(([key, value, ...more]) => key && value && !more.length)
    ? (Object.fromEntries(parts) as Record<string, string>)
    : null
}
const fitsText = (matches: Readonly<Record<string, string>>): string =>
  Object.entries(matches)
    .map(([key, value]) => `${key}=${value}`)
    .join('; ')

/** Everything in a store as CSV, one row a thing. */
export const storeCsv = (state: JobState): string =>
  Papa.unparse(
    [
      [...STORE_HEADER],
      ...[...state.store.values()].map((item) => {
        const said = itemSaid(item)
        return FIELDS.map((field) => (field === 'matches' ? fitsText(said.matches) : said[field]))
      }),
    ],
    { escapeFormulae: true },
  )

/** A store of one thing, to show how rows are written. */
export const storeExample = (): string =>
  Papa.unparse([
    [...STORE_HEADER],
    ['cement', '26105A', '', 'plastic=abs', '', '2028-04-14', '', '', '', '', '', ''],
  ])

function rowSaid(cells: readonly string[], school: School): ItemSaid | Omit<StoreFault, 'line'> {
  if (cells.length !== STORE_HEADER.length)
    return { column: '', says: msg('chart-columns', { columns: cells.length, wanted: STORE_HEADER.length }) }
  const said = Object.fromEntries(FIELDS.map((field, i) => [field, (cells[i] ?? '').trim()]))
  const matches = fitsSaid(said.matches ?? '')
  if (!matches) return { column: 'fits', says: msg('store-fits', { text: said.matches ?? '', school }) }
  // Kinds are written as they are said, with a hyphen between their words.
  return {
    ...said,
    kind: (said.kind ?? '').toLowerCase().replaceAll(' ', '-'),
    matches,
  } as unknown as ItemSaid
}

/**
 * Reads things of a store. Every bad row is named by its line; one is enough for nothing to be taken.
 * @param today YYYY-MM-DD where the job is.
 */
export function readStore(csv: string, state: JobState, today: string): StoreRead {
  const table = Papa.parse<string[]>(csv.trim(), { skipEmptyLines: true }).data
  const head = (table[0] ?? []).map((cell) => cell.trim().toLowerCase())
  if (head.join() !== STORE_HEADER.join())
    return {
      ok: false,
      faults: [{ line: 1, column: '', says: msg('chart-header', { header: STORE_HEADER.join(',') }) }],
    }
  if (table.length - 1 > MOST_ROWS)
    return { ok: false, faults: [{ line: 1, column: '', says: msg('store-rows', { most: MOST_ROWS }) }] }
  const faults: StoreFault[] = []
  const items: ItemSaid[] = []
  const seen = new Map<string, number>()
  table.slice(1).forEach((cells, i) => {
    const line = i + 2
    const said = rowSaid(cells, state.job.school)
    if ('says' in said) return void faults.push({ line, ...said })
    const own = itemFaults(state, said, today)
    for (const { field, says } of own)
      faults.push({ line, column: STORE_HEADER[FIELDS.indexOf(field as 'name')] ?? 'fits', says })
    const key = `${said.kind} ${said.name.toLowerCase()}`
    const before = seen.get(key)
    if (before !== undefined) faults.push({ line, column: 'name', says: msg('chart-twice', { before }) })
    else seen.set(key, line)
    if (!own.length) items.push(said)
  })
  if (!items.length && !faults.length) faults.push({ line: 2, column: '', says: msg('chart-empty') })
  return faults.length ? { ok: false, faults } : { ok: true, items }
}

/** Rather a drop too much than one too little. */
const upToHundredths = (figure: number): number => Math.ceil(figure * 100 - 1e-6) / 100

/**
 * What is short, to be bought: by what it is and what it is to fit, no maker named. Lengths in the reader's own unit.
 */
export function shoppingCsv(wanted: readonly Wanted[], reader: Reader): string {
  const lengths = systemOf(reader, 'length') === 'inch' ? 'in' : 'mm'
  const amount = (value: number | null, unit: string): (string | number)[] => {
    if (value === null) return ['', '']
    if (unit === 'mm') return [Math.ceil(inUnits(value, 'length', reader)), lengths]
    if (unit === 'l') return [upToHundredths(inUnits(value, 'tin', reader)), unitOf('tin', reader)]
    return [value, unit]
  }
  return Papa.unparse(
    [
      ['what', 'fits', 'needed', 'unit', 'in the store', 'joints'],
      ...wanted
        .filter((row) => row.short)
        .map(({ need, qty, unit, thereQty, joints }) => [
          need.item.replaceAll('-', ' '),
          fitsText(need.matches),
          ...amount(qty, unit),
          thereQty === null ? '' : (amount(thereQty, unit)[0] ?? ''),
          joints.join(' '),
        ]),
    ],
    { escapeFormulae: true },
  )
}
