import { type ChainCheck, FIRST_HASH, type SignedCheck, checkSigned } from '@jugalis/core'
import type pg from 'pg'
import { ownKey } from '../own-key.js'
import { type Client, on } from './connect.js'
import { verifies } from './device-keys.js'
import { keysOfJob } from './job-keys.js'
import { readLog, signedLines } from './read-log.js'
import { sql } from 'drizzle-orm'

/**
 * Walks a job's whole log where it lies, and says the first line that does not hold: as `checkChain` does, without the
 * log leaving the database. The text that is hashed is written down in core's log/chain.ts.
 */
export async function verifyLog(client: Client, jobId: string): Promise<ChainCheck> {
  const found = await on(client).execute<{
    seq: string
    hash: string
    at: string | null
    why: string | null
  }>(sql`
    with line as (
      select seq, hash, prev_hash, row_number() over lines as at,
        lag(hash, 1, decode(${FIRST_HASH}, 'hex')) over lines as before,
        to_char(recorded_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as recorded, body
      from event where job_id = ${jobId} window lines as (order by seq)
    ), wrong as (
      select at, case
          when seq <> at then 'line ' || at || ' is missing'
          when prev_hash <> before then 'it does not link to the line before it'
          else 'its hash does not fit its content'
        end as why
      from line
      where seq <> at or prev_hash <> before or hash <> sha256(convert_to(
        encode(before, 'hex') || E'\n' || ${jobId}::text || E'\n' || seq || E'\n' || recorded || E'\n' || body, 'UTF8'))
      order by at limit 1
    ), head as (
      select seq, encode(hash, 'hex') as hash from event where job_id = ${jobId} order by seq desc limit 1
    )
    select head.seq, head.hash, wrong.at, wrong.why from (select 1) as one left join head on true left join wrong on true`)
  const [row] = found.rows
  if (row?.at && row.why) return { ok: false, seq: Number(row.at), why: row.why }
  return { ok: true, seq: Number(row?.seq ?? 0), hash: row?.hash ?? FIRST_HASH }
}

/**
 * Does this server vouch for where the log ends? `here`: it signed that line. `before`: the line is from before it signed.
 * `not-signing`: this process has no key. `past`: the line came after, and not through it.
 */
export type Vouched = 'here' | 'before' | 'not-signing' | 'past'
/** What a log comes to: its chain, who signed what of it, who vouches for its end. Of a signature `why` is its code. */
export type Verified = ChainCheck & { signed: SignedCheck | null; vouched: Vouched | null }

/** Who wrote how many entries, and how many of them a device of theirs signed, most first. */
async function writtenBy(pool: pg.Pool, jobId: string): Promise<SignedCheck['by']> {
  const found = await on(pool).execute<{
    person: string
    entries: string
    signed: string
    devices: string
  }>(sql`
    select actor_id as person, count(*) as entries, count(signed_with) as signed, count(distinct signed_with) as devices
    from event where job_id = ${jobId} group by actor_id order by count(*) desc, actor_id`)
  return found.rows.map(({ person, entries, signed, devices }) => ({
    personId: person,
    entries: Number(entries),
    signed: Number(signed),
    devices: Number(devices),
  }))
}

/** Lines, signatures and end of a job's log. Each signature takes its time: not for a thread that others wait for. */
export async function verifyAll(pool: pg.Pool, jobId: string): Promise<Verified> {
  const chain = await verifyLog(pool, jobId)
  if (!chain.ok) return { ...chain, signed: null, vouched: null }
  const check = await checkSigned(jobId, signedLines(pool, jobId), await keysOfJob(pool, jobId), verifies)
  const signed = { ...check, by: await writtenBy(pool, jobId) }
  const { wrong } = signed
  if (wrong) return { ok: false, seq: wrong.seq, why: wrong.why, signed, vouched: null }
  const [last] = await readLog(pool, jobId, chain.seq - 1)
  const own = ownKey()
  const vouched = ((): Vouched => {
    if (!own) return 'not-signing'
    const { key } = last?.countersigned ?? {}
    if (own.published.some(({ id }) => id === key)) return 'here'
    return last && Date.parse(last.recordedAt) / 1000 >= own.sinceS ? 'past' : 'before'
  })()
  return vouched === 'past'
    ? { ok: false, seq: chain.seq, why: vouched, signed, vouched }
    : { ...chain, signed, vouched }
}
