import { type JobEvent, type LogLine, type Signed, type SignedLine, textToCountersign } from '@jugalis/core'
import type pg from 'pg'
import { ownKey } from '../own-key.js'
import { type Client, askOften } from './connect.js'

/** A line with the signatures under it. */
export type SignedLogLine = LogLine & SignedLine

/** The last of new lines is where the log ends: this server signs it. */
export function ended(jobId: string, lines: readonly SignedLogLine[]): readonly SignedLogLine[] {
  const last = lines.at(-1)
  if (!last) return lines
  const countersigned = ownKey()?.sign(textToCountersign(jobId, last.seq, last.hash)) ?? null
  return [...lines.slice(0, -1), { ...last, countersigned }]
}

/** Puts in the lists of `lineLists`; `$1` is the job. */
const INSERT = `insert into event (job_id, seq, id, joint_id, kind, v, body, actor_id, device_id, device_seq, occurred_at, clock_error_s, recorded_at, prev_hash, hash, signed_with, signature, countersigned_with, countersignature)
     select $1, s, i, j, k, v, b, a, d, ds, to_timestamp(o), c, r::timestamptz, p::bytea, h::bytea, sw, sg::bytea, cw, cs::bytea
     from unnest($2::bigint[], $3::uuid[], $4::uuid[], $5::text[], $6::smallint[], $7::text[], $8::uuid[], $9::uuid[], $10::bigint[], $11::double precision[], $12::real[], $13::text[], $14::text[], $15::text[], $16::text[], $17::text[], $18::text[], $19::text[])
       as t(s, i, j, k, v, b, a, d, ds, o, c, r, p, h, sw, sg, cw, cs)`
const hex = (digits: string): string => `\\x${digits}`
const signatureOf = (of: Signed | null | undefined): string | null =>
  of ? hex(Buffer.from(of.signature, 'base64url').toString('hex')) : null
const lineLists = (events: readonly JobEvent[], lines: readonly SignedLogLine[]): unknown[] => [
  lines.map((l) => l.seq),
  events.map((e) => e.id),
  events.map((e) => e.jointId),
  events.map((e) => e.kind),
  events.map((e) => e.v),
  lines.map((l) => l.body),
  events.map((e) => e.actorId),
  events.map((e) => e.deviceId),
  events.map((e) => e.deviceSeq),
  events.map((e) => e.occurredAtS),
  events.map((e) => e.clockErrorS),
  lines.map((l) => l.recordedAt),
  lines.map((l) => hex(l.prevHash)),
  lines.map((l) => hex(l.hash)),
  lines.map((l) => l.signed?.key ?? null),
  lines.map((l) => signatureOf(l.signed)),
  lines.map((l) => l.countersigned?.key ?? null),
  lines.map((l) => signatureOf(l.countersigned)),
]

/** Puts lines into a log that nobody else writes to: a file that comes in. */
export async function insertLines(
  client: pg.PoolClient,
  jobId: string,
  events: readonly JobEvent[],
  lines: readonly SignedLogLine[],
): Promise<void> {
  if (lines.length) await client.query(INSERT, [jobId, ...lineLists(events, lines)])
}

/** Says where a log ends that nobody else writes to. */
export async function writeHead(
  client: pg.PoolClient,
  jobId: string,
  head: { seq: number; hash: string },
): Promise<void> {
  await client.query('update job_head set seq = $2, hash = $3 where job_id = $1', [
    jobId,
    head.seq,
    Buffer.from(head.hash, 'hex'),
  ])
}

/** Where the head does not stand at $22 nothing is written: all else depends on its being moved. */
const WRITE = `with moved as (
  update job_head set seq = $20, hash = $21 where job_id = $1 and seq = $22 returning 1
), defined as (
  insert into job_joint (job_id, joint_id)
  select $1, joint_id from unnest($23::uuid[]) as t(joint_id) where exists (select 1 from moved)
  on conflict do nothing
), written as (
  ${INSERT} where exists (select 1 from moved)
)
select 1 from moved`

/**
 * Writes lines behind the head they were made for, with the joints they define, and moves it: one statement, so that all
 * of it holds or nothing. @returns false where the head stands elsewhere by now; then nothing was written.
 */
export async function writeBehind(
  client: Client,
  jobId: string,
  from: { seq: number },
  written: {
    events: readonly JobEvent[]
    lines: readonly SignedLogLine[]
    joints: readonly string[]
    head: { seq: number; hash: string }
  },
): Promise<boolean> {
  const { events, lines, joints, head } = written
  const done = await askOften(client, 'write', WRITE, [
    jobId,
    ...lineLists(events, lines),
    head.seq,
    Buffer.from(head.hash, 'hex'),
    from.seq,
    joints,
  ])
  return done.rowCount === 1
}
