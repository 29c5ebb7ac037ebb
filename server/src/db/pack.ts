import { isDeepStrictEqual, promisify } from 'node:util'
import { brotliCompress, constants } from 'node:zlib'
import {
  type JobEvent,
  type JobState,
  PACK_VERSION,
  type Packed,
  foldFrom,
  foldJob,
  packLog,
  unpackEntries,
} from '@jugalis/core'
import { and, eq, gt, sql } from 'drizzle-orm'
import type pg from 'pg'
import { type Client, on } from './connect.js'
import { event, jobHead, jobPack } from './schema.js'

/** A log of fewer entries is sent as it is. */
const LARGE = 3000
/** From so many entries behind it, a pack is made anew. */
const GROWN = 2000
/** Entries read at once. */
const PAGE = 5000
/** Slow enough to be small, and made once for all who open the job. */
const QUALITY = 6

/**
 * The pack of a job's log, where it has one that we can read; and whether one should be made.
 * @returns the bytes as they are kept: JSON, brotli.
 */
export async function packOf(
  client: Client,
  jobId: string,
): Promise<{ pack: Buffer | null; stale: boolean }> {
  const [head] = await on(client)
    .select({ seq: jobHead.seq, packSeq: jobPack.seq, body: jobPack.body })
    .from(jobHead)
    .leftJoin(jobPack, and(eq(jobPack.jobId, jobHead.jobId), eq(jobPack.v, PACK_VERSION)))
    .where(eq(jobHead.jobId, jobId))
  if (!head) return { pack: null, stale: false }
  const { seq, packSeq, body } = head
  return { pack: body, stale: packSeq === null ? seq >= LARGE : seq - packSeq >= GROWN }
}

/** How much a log grows from one pack that is made before anybody asks for it to the next. */
const BY = 1.2
/** Does a log of so many entries grow past a length at which it is packed, though nobody opened it yet? */
export const isPackDue = (before: number, after: number): boolean =>
  after >= LARGE &&
  Math.floor(Math.log(Math.max(before, 1)) / Math.log(BY)) < Math.floor(Math.log(after) / Math.log(BY))

/** A log up to its head, page by page: no more of its text lies in memory than one page. */
async function entriesOf(
  client: Client,
  jobId: string,
): Promise<{ events: JobEvent[]; seq: number; hash: string }> {
  const events: JobEvent[] = []
  let [seq, hash] = [0, '']
  for (;;) {
    const rows = await on(client)
      .select({ seq: event.seq, body: event.body, hash: event.hash })
      .from(event)
      .where(and(eq(event.jobId, jobId), gt(event.seq, seq)))
      .orderBy(event.seq)
      .limit(PAGE)
    for (const { body } of rows) events.push(JSON.parse(body) as JobEvent)
    const last = rows.at(-1)
    if (!last) return { events, seq, hash }
    seq = last.seq
    hash = last.hash.toString('hex')
  }
}

/** Readings in columns have lost their ids, and nothing else. */
function withoutIds(state: JobState): object {
  const bare = (list: readonly { atS: number; value: number; sure?: boolean }[]) =>
    list.map(({ atS, value, sure }) => ({ atS, value, ...(sure ? { sure } : {}) }))
  const readings = [...state.readings].map(
    ([placeId, { air, wall, humidity }]) =>
      [placeId, { air: bare(air), wall: bare(wall), humidity: bare(humidity) }] as const,
  )
  return { ...state, readings: Object.fromEntries(readings) as object }
}
/** Does a pack say what its log says? */
export function saysTheSame(packed: Packed, events: readonly JobEvent[]): boolean {
  const { state, lacks } = foldFrom(unpackEntries(packed.entries), packed)
  return !lacks && isDeepStrictEqual(withoutIds(state), withoutIds(foldJob(events)))
}

/** Packs a job's log and keeps it, if it says what the log says. One that knows more of the log stays. */
export async function makePack(pool: pg.Pool, jobId: string): Promise<void> {
  const { events, seq, hash } = await entriesOf(pool, jobId)
  if (seq < LARGE) return
  const packed = packLog(events, { seq, hash })
  // A pack is a convenience, the log is the truth: one that differs is a fault of ours, and nobody gets to see it.
  if (!saysTheSame(packed, events)) throw new Error(`the pack of ${jobId} differs from its log`)
  const text = JSON.stringify(packed)
  const body = await promisify(brotliCompress)(text, {
    params: {
      [constants.BROTLI_PARAM_QUALITY]: QUALITY,
      [constants.BROTLI_PARAM_LGWIN]: constants.BROTLI_MAX_WINDOW_BITS,
      [constants.BROTLI_PARAM_SIZE_HINT]: text.length,
    },
  })
  const values = { seq, hash: Buffer.from(hash, 'hex'), v: PACK_VERSION, body }
  await on(pool)
    .insert(jobPack)
    .values({ jobId, ...values })
    .onConflictDoUpdate({
      target: jobPack.jobId,
      set: values,
      setWhere: sql`${jobPack.v} <> excluded.v or ${jobPack.seq} < excluded.seq`,
    })
}
