import type { JobEvent, Reader } from '@jugalis/core'
import type { Heard } from '../paper/pack/pack'

/** What is wanted: of which job, as this person reads it. */
export interface PackAsk {
  jobId: string
  personId: string
  /** What was written on this device and waits. */
  pending: readonly JobEvent[]
  names: readonly (readonly [personId: string, name: string])[]
  reader: Reader
  hours: 24 | 12
  sectionId: string | null
  nowS: number
  head: { seq: number; hash: string; address: string; short: string }
  as: 'pdf' | 'zip'
}
type Part = Parameters<Heard>[0] | 'log'
export type PackReply =
  | { part: Part; done: number; all: number }
  | { made: Blob; pictures: number; away: number; record: boolean }
  | { failed: 'log' | 'paper' }
