import type { JobEvent } from '@jugalis/core'
import type pg from 'pg'
import { knownAt } from './db/known.js'
import { type Gates, type Stopped, gatesHere } from './db/test-gates.js'
import { verifyAll } from './db/verify.js'
import { calendarText } from './routes/calendar.js'
import { entriesCsv, jointLogCsv } from './routes/tables.js'
import { threadOf } from './thread.js'

export interface Asked {
  jobId: string
  /** Whose units and words it is in. */
  personId: string
  nowS: number
  /** An entry of the log: what was known when it was written. */
  entryId?: string
  /** Entries that begin tests, and the line they come behind. */
  begins?: { until: number; fresh: readonly JobEvent[] }
}
/** What is told of a whole log at once: to work it out takes as long as the log is. */
const READS = {
  joints: (pool, { jobId, personId }) => jointLogCsv(pool, jobId, personId),
  entries: (pool, { jobId }) => entriesCsv(pool, jobId),
  calendar: (pool, { jobId, personId, nowS }) => calendarText(pool, jobId, personId, nowS),
  known: async (pool, { jobId, entryId = '' }) => JSON.stringify(await knownAt(pool, jobId, entryId)),
  gates: async (pool, { jobId, begins }) =>
    JSON.stringify(begins ? await gatesHere(pool)(jobId, begins.until, begins.fresh) : null),
  verify: async (pool, { jobId }) => JSON.stringify(await verifyAll(pool, jobId)),
} as const satisfies Record<string, (pool: pg.Pool, asked: Asked) => Promise<string>>
export type Told = keyof typeof READS
export interface ReadQuestion extends Asked {
  told: Told
}
export type ReadReply = { text: string } | { failed: string }

/** Tells whole logs without anybody else waiting for it. */
export interface Reads {
  tell(told: Told, asked: Asked): Promise<string>
  stop(): Promise<void>
}
export const readHere = (pool: pg.Pool, { told, ...asked }: ReadQuestion): Promise<string> =>
  READS[told](pool, asked)

/** In this thread: where there is none to spare. */
export const readsHere = (pool: pg.Pool): Reads => ({
  tell: (told, asked) => readHere(pool, { told, ...asked }),
  stop: async () => undefined,
})
/** In a thread of its own, one after another. */
export function readsApart(
  script: URL,
  databaseUrl: string,
  { pooler, keyFile }: { pooler: boolean; keyFile?: string },
): Reads {
  const thread = threadOf<ReadQuestion, ReadReply>(script, { workerData: { databaseUrl, pooler, keyFile } })
  let last: Promise<unknown> = Promise.resolve()
  /** What waits for its turn is told to all who ask the same: it reads the log after they asked. */
  const coming = new Map<string, Promise<string>>()
  return {
    tell(told, asked) {
      const begins = asked.begins?.fresh.map(({ id }) => id).join() ?? ''
      const same = `${told} ${asked.jobId} ${asked.personId} ${asked.entryId ?? ''} ${begins}`
      const under = coming.get(same)
      if (under) return under
      const next = last.then(async () => {
        coming.delete(same)
        const reply = await thread.ask({ told, ...asked })
        if ('failed' in reply) throw new Error(reply.failed)
        return reply.text
      })
      // What failed for one is no reason for the next.
      last = next.catch(() => undefined)
      coming.set(same, next)
      return next
    },
    stop: thread.stop,
  }
}

/** Tests held against the log where logs are told. */
export const gatesBy =
  (reads: Reads): Gates =>
  async (jobId, until, fresh) =>
    JSON.parse(
      await reads.tell('gates', { jobId, personId: '', nowS: 0, begins: { until, fresh } }),
    ) as Stopped | null
