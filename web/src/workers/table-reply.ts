import type { RowFault, ReadLine } from '@jugalis/core'
import type { Worded } from '../words/worded'

/** A table as it was found in a file. */
export interface FoundTable {
  rows: number
  /** The first rows, for choosing the headings and the columns. */
  head: (string | null)[][]
  widest: number
  notes: Worded[]
  /** Names of a workbook's sheets, and the one that is looked at. */
  sheets: string[]
  sheet: string | null
}
export type TableAsk =
  | { open: { name: string; bytes: ArrayBuffer } }
  | { sheet: string }
  /** The rows as they stand, of the first sheet. */
  | { rows: { bytes: ArrayBuffer } }
  | { read: { ask: import('@jugalis/core').ScheduleAsk; like: import('@jugalis/core').Line } }
export type TableReply =
  | { progress: { says: Worded; share: number } }
  | { found: FoundTable }
  | { csv: string; notes: Worded[] }
  | { lines: ReadLine[]; rows: number }
  | { faults: RowFault[] }
  | { failed: Worded }
