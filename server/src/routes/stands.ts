import type pg from 'pg'
import type { Behind } from '../behind.js'
import type { Gates } from '../db/test-gates.js'
import type { Imports } from '../imports.js'
import type { Heads } from '../live/heads.js'
import type { Streams } from '../live/streams.js'
import type { Reads } from '../reads.js'
import type { JobOf } from './job-of.js'

/** What the routes of jobs stand on. */
export interface Stands {
  pool: pg.Pool
  nowS: () => number
  heads: Heads
  secret: string
  streams: Streams
  imports: Imports
  packs: Behind
  glances: Behind
  reads: Reads
  /** What a test may begin on. */
  gates: Gates
  /** Are requests counted? */
  limited: boolean
}
/** The same, with the way to the job that is asked for. */
export interface On extends Stands {
  jobId: JobOf
}
