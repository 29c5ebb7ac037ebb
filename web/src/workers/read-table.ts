import { type Unzipped, strFromU8, unzipSync, zipSync } from 'fflate'
import Papa from 'papaparse'
import type { Worded } from '../words/worded'

export type Cells = (string | null)[][]
export interface Table {
  rows: Cells
  notes: Worded[]
  /** Names of a workbook's sheets in their order, and the one that was read. */
  sheets: string[]
  sheet: string | null
}
/** What is said to the person who chose the file: it cannot be read, and why. */
export class NotATable extends Error {
  constructor(readonly says: Worded) {
    super(says.code)
  }
}

const ZIP = [0x50, 0x4b]
const OLD_WORKBOOK = [0xd0, 0xcf]
const begins = (bytes: Uint8Array, with_: readonly number[]): boolean => with_.every((b, i) => bytes[i] === b)

/** Reads a file of rows: CSV in the usual encodings, or a sheet of a workbook, the first where none is named. */
export async function readTable(bytes: Uint8Array, sheet: string | null = null): Promise<Table> {
  if (!bytes.length) throw new NotATable({ code: 'files-empty' })
  if (begins(bytes, OLD_WORKBOOK)) throw new NotATable({ code: 'files-old-workbook' })
  return begins(bytes, ZIP) ? readWorkbook(bytes, sheet) : readCsv(bytes)
}

/** Rows as CSV, each as wide as its headings: without rows that hold nothing and without empty columns to the right. */
export function csvOf(rows: Cells): string {
  const last = (row: Cells[number]): number => row.findLastIndex((cell) => cell?.trim())
  const filled = rows.filter((row) => last(row) >= 0)
  const wide = filled[0] ? last(filled[0]) : -1
  return Papa.unparse(
    filled.map((row) => Array.from({ length: Math.max(wide, last(row)) + 1 }, (_, i) => row[i] ?? '')),
  )
}

function decode(bytes: Uint8Array): { text: string; notes: Worded[] } {
  if (begins(bytes, [0xff, 0xfe])) return { text: new TextDecoder('utf-16le').decode(bytes), notes: [] }
  if (begins(bytes, [0xfe, 0xff])) return { text: new TextDecoder('utf-16be').decode(bytes), notes: [] }
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), notes: [] }
  } catch {
    return {
      text: new TextDecoder('windows-1252').decode(bytes),
      notes: [{ code: 'files-not-utf8' }],
    }
  }
}
function readCsv(bytes: Uint8Array): Table {
  const { text, notes } = decode(bytes)
  if (text.slice(0, 4000).includes('\0')) throw new NotATable({ code: 'files-not-a-table' })
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false })
  const broken = parsed.errors.find((e) => e.type === 'Quotes')
  if (broken) notes.push({ code: 'files-quote-open', values: { row: (broken.row ?? 0) + 1 } })
  return { rows: parsed.data, notes, sheets: [], sheet: null }
}

/** A workbook unpacked beyond this is not opened: it would fill the device. */
const MOST_BYTES = 300e6

async function readWorkbook(bytes: Uint8Array, sheet: string | null): Promise<Table> {
  const { default: read } = await import('read-excel-file/web-worker')
  let sheets: Awaited<ReturnType<typeof read>>
  let files: Unzipped
  try {
    files = unpacked(bytes)
    // The reader unpacks larger workbooks in a worker made from text, which this app's content policy refuses: it is
    // handed one that is packed without being pressed.
    sheets = await read(new Blob([zipSync(files, { level: 0 }) as BlobPart]))
  } catch (error) {
    if (error instanceof NotATable) throw error
    throw new NotATable({ code: 'files-workbook-broken' })
  }
  const found = sheets.find((s) => s.sheet === sheet) ?? sheets[0]
  if (!found) throw new NotATable({ code: 'files-no-sheet' })
  const rows: Cells = found.data.map((row) =>
    row.map((c) => (c === null ? null : c instanceof Date ? c.toISOString().slice(0, 10) : String(c))),
  )
  const notes = putRight(rows, peekAt(files, found.sheet))
  return { rows, notes, sheets: sheets.map((s) => s.sheet), sheet: found.sheet }
}
function unpacked(bytes: Uint8Array): Unzipped {
  let size = 0
  return unzipSync(bytes, {
    filter: (file) => {
      size += file.originalSize
      if (size > MOST_BYTES) throw new NotATable({ code: 'files-too-large' })
      return /\.(xml|rels)$/.test(file.name)
    },
  })
}

/** Puts into the rows what the reader of values does not tell, and says what a person should look at. */
function putRight(rows: Cells, peek: Peek): Worded[] {
  const notes: Worded[] = []
  const some = (all: readonly (string | number)[]): string =>
    all.slice(0, 4).join(', ') + (all.length > 4 ? ', …' : '')
  if (peek.merged.length) notes.push({ code: 'files-merged', values: { cells: some(peek.merged) } })
  if (peek.hidden.length)
    notes.push({ code: 'files-hidden', values: { rows: peek.hidden.length, which: some(peek.hidden) } })
  let done = 0
  for (const cell of peek.cells) {
    if (cell.says === null) {
      done++
      continue
    }
    // What has no value is shown as it stands, so that its row is named when it is read.
    while (rows.length <= cell.row) rows.push([])
    const row = rows[cell.row] as Cells[number]
    while (row.length <= cell.column) row.push(null)
    row[cell.column] = cell.says
  }
  if (done) notes.push({ code: 'files-formulas', values: { cells: done } })
  const errors = peek.cells.filter((c) => c.says?.startsWith('#')).length
  if (errors) notes.push({ code: 'files-errors', values: { cells: errors } })
  return notes
}

interface Peek {
  merged: string[]
  /** Numbers of rows, from 1. */
  hidden: number[]
  /** Cells with a formula or an error: what stands in them, null where a formula has its result. */
  cells: { row: number; column: number; says: string | null }[]
}
const columnOf = (letters: string): number =>
  [...letters].reduce((n, c) => n * 26 + c.charCodeAt(0) - 64, 0) - 1
const attribute = (text: string, name: string): string | null =>
  new RegExp(`\\b${name}="([^"]*)"`).exec(text)?.[1] ?? null
const plain = (xml: string): string =>
  xml
    .replaceAll('&lt;', '<')
    .replaceAll('&gt;', '>')
    .replaceAll('&quot;', '"')
    .replaceAll('&apos;', "'")
    .replaceAll('&amp;', '&')

/** Where a sheet of this name lies among the files of a workbook: sheets may stand in any order. */
function pathOf(files: Unzipped, sheet: string): string | null {
  const text = (path: string): string => (files[path] ? strFromU8(files[path]) : '')
  const tag = [...text('xl/workbook.xml').matchAll(/<sheet\b[^>]*>/g)]
    .map((m) => m[0])
    .find((t) => plain(attribute(t, 'name') ?? '') === sheet)
  const id = tag ? attribute(tag, 'r:id') : null
  const rel = [...text('xl/_rels/workbook.xml.rels').matchAll(/<Relationship\b[^>]*>/g)]
    .map((m) => m[0])
    .find((t) => attribute(t, 'Id') === id)
  const target = rel ? attribute(rel, 'Target') : null
  return target ? (target.startsWith('/') ? target.slice(1) : `xl/${target}`) : null
}

/** Merged cells, hidden rows, formulas and errors of a sheet. */
function peekAt(files: Unzipped, sheet: string): Peek {
  const path = pathOf(files, sheet)
  const xml = path && files[path] ? strFromU8(files[path]) : ''
  const merged = [...xml.matchAll(/<mergeCell [^>]*ref="([A-Z0-9:]+)"/g)].map((m) => m[1] as string)
  const hidden = [...xml.matchAll(/<row\b[^>]*>/g)].flatMap((match) =>
    /\bhidden="(1|true)"/.test(match[0]) ? [Number(attribute(match[0], 'r'))] : [],
  )
  const cells = [...xml.matchAll(/<c\b([^>]*?)(?:\/>|>(.*?)<\/c>)/gs)].flatMap((match): Peek['cells'] => {
    const [, head = '', body = ''] = match
    const at = /\br="([A-Z]+)(\d+)"/.exec(head)
    if (!at) return []
    const value = /<v>([^<]+)/.exec(body)?.[1] ?? null
    const error = attribute(head, 't') === 'e'
    if (!error && !/<f[ >/]/.test(body)) return []
    const says = error ? (value ?? '#') : value === null ? '=' : null
    return [{ row: Number(at[2]) - 1, column: columnOf(at[1] as string), says }]
  })
  return { merged, hidden, cells }
}
