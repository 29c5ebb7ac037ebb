import { strFromU8, unzipSync } from 'fflate'
import Papa from 'papaparse'

export type Cells = (string | null)[][]
export interface Table {
  rows: Cells
  notes: string[]
}
/** What is said to the person who chose the file: it cannot be read, and why. */
export class NotATable extends Error {}

const ZIP = [0x50, 0x4b]
const OLD_WORKBOOK = [0xd0, 0xcf]
const begins = (bytes: Uint8Array, with_: readonly number[]): boolean => with_.every((b, i) => bytes[i] === b)

/** Reads a file of rows: CSV in the usual encodings, or the first sheet of a workbook. */
export async function readTable(bytes: Uint8Array): Promise<Table> {
  if (!bytes.length) throw new NotATable('The file is empty.')
  if (begins(bytes, OLD_WORKBOOK))
    throw new NotATable('This is a workbook of the old kind. Save it as .xlsx or as CSV, and take that.')
  return begins(bytes, ZIP) ? readWorkbook(bytes) : readCsv(bytes)
}

function decode(bytes: Uint8Array): { text: string; notes: string[] } {
  if (begins(bytes, [0xff, 0xfe])) return { text: new TextDecoder('utf-16le').decode(bytes), notes: [] }
  if (begins(bytes, [0xfe, 0xff])) return { text: new TextDecoder('utf-16be').decode(bytes), notes: [] }
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), notes: [] }
  } catch {
    return {
      text: new TextDecoder('windows-1252').decode(bytes),
      notes: ['The file is not in UTF-8; it was read as Windows-1252. Look at letters with accents.'],
    }
  }
}
function readCsv(bytes: Uint8Array): Table {
  const { text, notes } = decode(bytes)
  if (text.slice(0, 4000).includes('\0'))
    throw new NotATable('This is not a table: neither CSV nor a workbook.')
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false })
  const broken = parsed.errors.find((e) => e.type === 'Quotes')
  if (broken)
    notes.push(`A quotation mark is not closed, from row ${(broken.row ?? 0) + 1}: look at what follows it.`)
  return { rows: parsed.data, notes }
}

async function readWorkbook(bytes: Uint8Array): Promise<Table> {
  const { default: read } = await import('read-excel-file/web-worker')
  let sheets: Awaited<ReturnType<typeof read>>
  try {
    sheets = await read(new Blob([bytes as BlobPart]))
  } catch {
    throw new NotATable('This workbook cannot be opened. Save it again as .xlsx or as CSV, and take that.')
  }
  const first = sheets[0]
  if (!first) throw new NotATable('There is no sheet in this workbook.')
  const notes = sheets.length > 1 ? [`The first of ${sheets.length} sheets is taken: ${first.sheet}.`] : []
  const rows: Cells = first.data.map((r) =>
    r.map((c) => (c === null ? null : c instanceof Date ? c.toISOString().slice(0, 10) : String(c))),
  )
  const peek = peekAt(bytes)
  if (peek.merged.length)
    notes.push(
      `Cells are merged (${peek.merged.slice(0, 4).join(', ')}): check which heading stands over which column.`,
    )
  let done = 0
  for (const f of peek.formulas) {
    const row = rows[f.row]
    if (!row) continue
    if (f.hasResult) done++
    // A formula without a result is shown as one, so that its row is named when it is read.
    else row[f.column] = '='
  }
  if (done) notes.push(`${done} cells hold formulas: their last results are taken.`)
  return { rows, notes }
}

interface Peek {
  merged: string[]
  formulas: { row: number; column: number; hasResult: boolean }[]
}
const columnOf = (letters: string): number =>
  [...letters].reduce((n, c) => n * 26 + c.charCodeAt(0) - 64, 0) - 1

/** Merged cells and formulas of the first sheet, which the reader of values does not tell. */
export function peekAt(bytes: Uint8Array): Peek {
  const files = unzipSync(bytes, { filter: (f) => f.name === 'xl/worksheets/sheet1.xml' })
  const xml = files['xl/worksheets/sheet1.xml'] ? strFromU8(files['xl/worksheets/sheet1.xml']) : ''
  const merged = [...xml.matchAll(/<mergeCell [^>]*ref="([A-Z0-9:]+)"/g)].map((m) => m[1] as string)
  const formulas = [
    ...xml.matchAll(/<c r="([A-Z]+)(\d+)"[^>]*(?<!\/)>(?:(?!<\/c>).)*?<f[ >/].*?<\/c>/gs),
  ].map((m) => ({
    row: Number(m[2]) - 1,
    column: columnOf(m[1] as string),
    hasResult: /<v>[^<]/.test(m[0]),
  }))
  return { merged, formulas }
}
