import { FIRST_HASH, type Signed } from '@jugalis/core'
import { and, desc, eq, gt, isNotNull, lte, or } from 'drizzle-orm'
import type pg from 'pg'
import { type Client, on } from './connect.js'
import type { SignedLogLine } from './lines.js'
import { event } from './schema.js'

/** Lines of one reading: a large job is read in several, so that one is sent while the next is put together. */
const PAGE = 4000

/** The log of a job after a number, in order; where it is asked for, only what is signed, and so many lines. */
export async function readLog(
  pool: Client,
  jobId: string,
  after: number,
  only: { signed?: true; most?: number; until?: number } = {},
): Promise<SignedLogLine[]> {
  const { most = Number.MAX_SAFE_INTEGER, until = Number.MAX_SAFE_INTEGER } = only
  const signed = only.signed ? or(isNotNull(event.signedWith), isNotNull(event.countersignedWith)) : undefined
  const rows = await on(pool)
    .select({
      seq: event.seq,
      recordedAt: event.recordedAt,
      body: event.body,
      prevHash: event.prevHash,
      hash: event.hash,
      signedWith: event.signedWith,
      signature: event.signature,
      countersignedWith: event.countersignedWith,
      countersignature: event.countersignature,
    })
    .from(event)
    .where(and(eq(event.jobId, jobId), gt(event.seq, after), lte(event.seq, until), signed))
    .orderBy(event.seq)
    .limit(most)
  return rows.map(({ signedWith, signature, countersignedWith, countersignature, ...row }) => {
    const signed = signedOf(signedWith, signature)
    const countersigned = signedOf(countersignedWith, countersignature)
    return {
      ...row,
      recordedAt: row.recordedAt.toISOString(),
      prevHash: row.prevHash.toString('hex'),
      hash: row.hash.toString('hex'),
      ...(signed && { signed }),
      ...(countersigned && { countersigned }),
    }
  })
}
/** Lines that somebody signed, so many at a time: of a large log most lines are readings, which nobody signs. */
export async function* signedLines(pool: Client, jobId: string): AsyncGenerator<SignedLogLine> {
  for (let after = 0; ;) {
    const page = await readLog(pool, jobId, after, { signed: true, most: PAGE })
    yield* page
    if (page.length < PAGE) return
    after = page.at(-1)?.seq ?? after
  }
}
/** A signature as a file has it. */
export const signedOf = (key: string | null, signature: Buffer | null): Signed | null =>
  key !== null && signature !== null ? { key, signature: signature.toString('base64url') } : null

/** Where a log ends, and the signature of the server under that; null where there is none. */
export interface HeadSaid {
  seq: number
  hash: string
  countersigned: Signed | null
}
export async function headOf(pool: pg.Pool, jobId: string): Promise<HeadSaid> {
  const [row] = await on(pool)
    .select({
      seq: event.seq,
      hash: event.hash,
      countersignedWith: event.countersignedWith,
      countersignature: event.countersignature,
    })
    .from(event)
    .where(eq(event.jobId, jobId))
    .orderBy(desc(event.seq))
    .limit(1)
  if (!row) return { seq: 0, hash: FIRST_HASH, countersigned: null }
  const { seq, hash, countersignedWith, countersignature } = row
  return { seq, hash: hash.toString('hex'), countersigned: signedOf(countersignedWith, countersignature) }
}

interface LogText {
  head: number
  hashAfter: string | null
  hashHead: string | null
  /** Lines as JSON text, parted by commas; what has been written does not change, so that parts make one whole. */
  parts: AsyncIterable<string>
}

/**
 * The log after a number as JSON text for a browser that follows it: number and body of each line; the hashes only of
 * the line it begins after and of the last, by which a browser knows that what it kept is the same log. Put
 * together by the database, since a large job has tens of thousands of lines and each is text already.
 */
export async function logText(pool: pg.Pool, jobId: string, after: number): Promise<LogText> {
  const found = await pool.query<{
    head: string | null
    hash_after: string | null
    hash_head: string | null
  }>(
    `select (select encode(hash, 'hex') from event where job_id = $1 and seq = $2) as hash_after,
       seq as head, encode(hash, 'hex') as hash_head
     from event where job_id = $1 order by seq desc limit 1`,
    [jobId, after],
  )
  const row = found.rows[0]
  const head = Math.max(after, Number(row?.head ?? after))
  const part = async (from: number): Promise<string> => {
    const lines = await pool.query<{ lines: string | null }>(
      `select string_agg('{"seq":' || seq || ',"event":' || body || '}', ',' order by seq) as lines
       from event where job_id = $1 and seq > $2 and seq <= $3`,
      [jobId, from, Math.min(from + PAGE, head)],
    )
    return lines.rows[0]?.lines ?? ''
  }
  async function* parts(): AsyncGenerator<string> {
    let next = after < head ? part(after) : null
    for (let from = after + PAGE; next; from += PAGE) {
      const ready: string = await next
      next = from < head ? part(from) : null
      // Waited for later; that it may fail first is not lost: it is thrown there.
      next?.catch(() => undefined)
      yield next ? `${ready},` : ready
    }
  }
  return { head, hashAfter: row?.hash_after ?? null, hashHead: row?.hash_head ?? null, parts: parts() }
}
