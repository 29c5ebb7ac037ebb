import type { LogLine } from '@jugalis/core'
import type pg from 'pg'

/** The log of a job after a number, in order. */
export async function readLog(
  pool: pg.Pool | pg.PoolClient,
  jobId: string,
  after: number,
): Promise<LogLine[]> {
  const r = await pool.query<{
    seq: string
    recorded_at: Date
    body: string
    prev_hash: Buffer
    hash: Buffer
  }>(
    'select seq, recorded_at, body, prev_hash, hash from event where job_id = $1 and seq > $2 order by seq',
    [jobId, after],
  )
  return r.rows.map((x) => ({
    seq: Number(x.seq),
    recordedAt: x.recorded_at.toISOString(),
    body: x.body,
    prevHash: x.prev_hash.toString('hex'),
    hash: x.hash.toString('hex'),
  }))
}

/**
 * The log after a number as JSON text for a browser that follows it: number and body of each line; the hashes only of
 * the line it begins after and of the last, by which a browser knows that what it kept is the same log. Put
 * together by the database, since a large job has tens of thousands of lines and each is text already.
 */
export async function logText(
  pool: pg.Pool,
  jobId: string,
  after: number,
): Promise<{ head: number; lines: string; hashAfter: string | null; hashHead: string | null }> {
  const r = await pool.query<{
    head: string | null
    lines: string | null
    hash_after: string | null
    hash_head: string | null
  }>(
    `select max(seq) as head, string_agg('{"seq":' || seq || ',"event":' || body || '}', ',' order by seq) as lines,
       (select encode(hash, 'hex') from event where job_id = $1 and seq = $2) as hash_after,
       (select encode(hash, 'hex') from event where job_id = $1 order by seq desc limit 1) as hash_head
     from event where job_id = $1 and seq > $2`,
    [jobId, after],
  )
  const row = r.rows[0]
  return {
    head: Number(row?.head ?? after),
    lines: row?.lines ?? '',
    hashAfter: row?.hash_after ?? null,
    hashHead: row?.hash_head ?? null,
  }
}
