import { BAR_PER_GPA, MPA_PER_KSI, durationS, fToC, inLbfToNm, inchToMm, psiToBar } from '../units/units.js'
import type { SourceId } from './source.js'

/** A named person's comparison with a copy. */
export interface Compared {
  by: string
  /** As 2026-11-28. */
  on: string
  /** What lay before them: edition, table, page. */
  with: string
}
/** A published or practice table as its file has it: figures in the units it is printed in. */
export interface TableFile {
  id: string
  /** What it holds. */
  of: string
  source: string
  /** Null for practices. */
  edition: string | null
  /** How well it is remembered; a row may say otherwise for itself. */
  sure: string
  checked: Compared | null
  /** Unit of each column that holds figures; the other columns are names. */
  units: Readonly<Record<string, string>>
  rows: readonly Readonly<Record<string, unknown>>[]
}

const same = (n: number): number => n
/** From what a column may be printed in to what core computes with. */
const INTO: Readonly<Record<string, (n: number) => number>> = {
  in: inchToMm,
  mm: same,
  m: same,
  psi: psiToBar,
  bar: same,
  ksi: (n) => n * MPA_PER_KSI,
  GPa: (n) => n * BAR_PER_GPA,
  F: fToC,
  C: same,
  s: same,
  /** By the calendar. */
  month: same,
  'in-lbf': inLbfToNm,
  turns: same,
  count: same,
  share: same,
  /** A fall: inches in a foot of pipe. */
  'in/ft': (n) => n / 12,
  /** Nominal inches: a name that is counted with, not a length. */
  NPS: same,
  MJ: (n) => n * 1e6,
  'kg/m3': same,
  'mm/(m K)': same,
  'W/(m K)': same,
  'MJ/(m3 K)': (n) => n * 1e6,
}
/** Printed with its own unit in each cell: `15 min`, `8 d`. */
const TIME = 'time'

type Cell<T extends TableFile, K> = T['rows'][number] extends infer R
  ? R extends unknown
    ? K extends keyof R
      ? R[K]
      : never
    : never
  : never
type Columns<T extends TableFile> = keyof T['units'] & string
type Names<T extends TableFile> = Exclude<keyof T['rows'][number] & string, Columns<T> | 'sure' | 'checked'>
/** A row with its figures in core's units: mm, bar, °C, s, Nm; moduli of bars in MPa (ksi) or bar (GPa). */
export type TableRow<T extends TableFile> = {
  readonly [K in Columns<T>]: null extends Cell<T, K> ? number | null : number
} & { readonly [K in Names<T>]: string }
export interface Table<Row extends object = object> {
  file: TableFile
  source: SourceId
  rows: readonly Row[]
  /** The row of a name, by the first column that is one; none where several rows share a name. */
  at(name: string): Row | undefined
}

function figure(file: TableFile, column: string, cell: unknown): number | null {
  const unit = file.units[column] ?? ''
  if (cell === null) return null
  if (unit === TIME && typeof cell === 'string') return durationS(cell)
  const into = INTO[unit]
  if (!into || typeof cell !== 'number' || !Number.isFinite(cell))
    throw new Error(`table ${file.id}: ${column} is no figure in ${unit || 'a unit'}: ${String(cell)}`)
  return into(cell)
}

/** Columns of a table as it is printed: the names first, then the figures with their units. */
export const columnsOf = (file: TableFile): { column: string; unit: string | null }[] =>
  Object.keys(file.rows[0] ?? {})
    .filter((column) => column !== 'sure' && column !== 'checked')
    .map((column) => ({ column, unit: file.units[column] ?? null }))
/** How sure a table is, and which of its rows are less so: `sure to d54. d64, d108: less sure`. */
export function howSure(file: TableFile): string {
  const names = columnsOf(file).filter(({ unit }) => unit === null)
  const less = new Map<string, string[]>()
  for (const row of file.rows) {
    if (typeof row.sure !== 'string') continue
    const name = names.map(({ column }) => String(row[column])).join(' ')
    less.set(row.sure, [...(less.get(row.sure) ?? []), name])
  }
  return [file.sure, ...[...less].map(([sure, rows]) => `${rows.join(', ')}: ${sure}`)].join('. ')
}
/**
 * Reads a table's file. Faults in it are ours and throw when the program starts: a unit nobody knows, a cell that is no
 * figure, a source other than the one named here.
 * @param source as the file names it; here the compiler looks whether it is written down.
 */
export function tableOf<const T extends TableFile>(file: T, source: SourceId): Table<TableRow<T>> {
  if (file.source !== source) throw new Error(`table ${file.id} is of ${file.source}, not of ${source}`)
  const rows = file.rows.map((row) => {
    const figures = Object.keys(file.units).map((column) => [column, figure(file, column, row[column])])
    return { ...row, ...Object.fromEntries(figures) } as unknown as TableRow<T>
  })
  const first = Object.keys(file.rows[0] ?? {}).find((column) => !(column in file.units))
  const nameOf = (i: number): string => String(first && file.rows[i]?.[first])
  const names = rows.map((_, i) => nameOf(i))
  // Rows that share a name are told apart by their figures, and looked for in `rows`.
  const byName = new Map(rows.map((row, i) => [names[i] as string, row]))
  if (byName.size < names.length) byName.clear()
  return { file, source, rows, at: (name: string) => byName.get(name) }
}
