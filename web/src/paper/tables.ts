import { type Reader, cutTo, systemOf } from '@jugalis/core'
import Papa from 'papaparse'
import { type CutRow, bendsText, holesText, stateSaid } from './cut-list'
import { word } from '../words/word'

const LENGTHS = [
  ['measured', 'measuredMm'],
  ['cut', 'cutMm'],
  ['depth_a', 'depthAMm'],
  ['check_a', 'checkAMm'],
  ['depth_b', 'depthBMm'],
  ['check_b', 'checkBMm'],
] as const satisfies readonly (readonly [string, keyof CutRow])[]

/** Headings with the unit in them, and rows of figures and texts. */
function tableOf(
  rows: readonly CutRow[],
  reader: Reader,
): { head: string[]; body: (string | number | null)[][] } {
  const unit = systemOf(reader, 'length') === 'inch' ? 'in' : 'mm'
  return {
    head: [
      'piece',
      'pipe',
      'between',
      ...LENGTHS.map(([name]) => `${name}_${unit}`),
      `bends_${unit}_deg`,
      `holes_${unit}`,
      'state',
    ],
    body: rows.map((row) => [
      row.piece,
      row.pipe,
      row.between,
      ...LENGTHS.map(([, key]) => (row[key] === null ? null : cutTo(row[key], reader))),
      bendsText(row, reader),
      holesText(row, reader),
      stateSaid(row.state),
    ]),
  }
}
/** What a spreadsheet would run as a formula, a line feed before it or not, is marked as text. */
const plainText = (value: string | number | null): string | number | null =>
  typeof value === 'string' && /^[\s\u00a0]*[=+@-]/.test(value) && !/^-?\d/.test(value) ? `'${value}` : value

/** The cut list as CSV. */
export function cutCsv(rows: readonly CutRow[], reader: Reader): string {
  const { head, body } = tableOf(rows, reader)
  return Papa.unparse({ fields: head, data: body.map((r) => r.map(plainText)) })
}

const WIDE: readonly number[] = [14, 18, 30, 12, 12, 12, 12, 12, 12, 26, 26, 14]
/** The cut list as a workbook: figures as figures, text as text; its headings stay, and it prints lying. */
export async function cutWorkbook(rows: readonly CutRow[], reader: Reader): Promise<Blob> {
  const { default: write } = await import('write-excel-file/universal')
  const { head, body } = tableOf(rows, reader)
  const top = head.map((value) => ({ value, fontWeight: 'bold' as const }))
  const cells = body.map((row) =>
    row.map((value) =>
      value === null
        ? null
        : typeof value === 'number'
          ? { type: Number, value: value }
          : { type: String, value: value },
    ),
  )
  return write([top, ...cells], {
    sheet: word('paper-cut-list-2'),
    stickyRowsCount: 1,
    orientation: 'landscape',
    columns: WIDE.map((width) => ({ width })),
  }).toBlob()
}
