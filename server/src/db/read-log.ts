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
 * The log after a number as JSON text for a browser that follows it: number and body of each line, no hashes. Put
 * together by the database, since a large job has tens of thousands of lines and each is text already.
 */
export async function logText(
  pool: pg.Pool,
  jobId: string,
  after: number,
): Promise<{ head: number; lines: string }> {
  const r = await pool.query<{ head: string | null; lines: string | null }>(
    `select max(seq) as head, string_agg('{"seq":' || seq || ',"event":' || body || '}', ',' order by seq) as lines
     from event where job_id = $1 and seq > $2`,
    [jobId, after],
  )
  return { head: Number(r.rows[0]?.head ?? after), lines: r.rows[0]?.lines ?? '' }
}
