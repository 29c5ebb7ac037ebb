import Papa from 'papaparse'
import type { CutRow } from './cut-list'

const COLUMNS: readonly (readonly [string, keyof CutRow])[] = [
  ['piece', 'piece'],
  ['pipe', 'pipe'],
  ['between', 'between'],
  ['measured_mm', 'measuredMm'],
  ['cut_mm', 'cutMm'],
  ['depth_a_mm', 'depthAMm'],
  ['check_a_mm', 'checkAMm'],
  ['depth_b_mm', 'depthBMm'],
  ['check_b_mm', 'checkBMm'],
  ['bends', 'bends'],
  ['state', 'state'],
]
const NAMES = COLUMNS.map(([name]) => name)

/** The cut list as CSV. What begins like a formula is marked as text, since a spreadsheet would run it. */
export const cutCsv = (rows: readonly CutRow[]): string =>
  Papa.unparse(
    { fields: NAMES, data: rows.map((r) => COLUMNS.map(([, key]) => r[key])) },
    { escapeFormulae: true },
  )

/** The cut list as a workbook: figures as figures, text as text. */
export async function cutWorkbook(rows: readonly CutRow[]): Promise<Blob> {
  const { default: write } = await import('write-excel-file/universal')
  const head = NAMES.map((value) => ({ value, fontWeight: 'bold' as const }))
  const body = rows.map((r) =>
    COLUMNS.map(([, key]) => {
      const v = r[key]
      return v === null
        ? null
        : typeof v === 'number'
          ? { type: Number, value: v }
          : { type: String, value: v }
    }),
  )
  return write([head, ...body], { sheet: 'Cut list', stickyRowsCount: 1 }).toBlob()
}
