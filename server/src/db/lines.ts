import { type JobEvent, type LogLine, type Signed, type SignedLine, textToCountersign } from '@jugalis/core'
import type pg from 'pg'
import { ownKey } from '../own-key.js'

/** A line with the signatures under it. */
export type SignedLogLine = LogLine & SignedLine

/** The last of new lines is where the log ends: this server signs it. */
export function ended(jobId: string, lines: readonly SignedLogLine[]): readonly SignedLogLine[] {
  const last = lines.at(-1)
  if (!last) return lines
  const countersigned = ownKey()?.sign(textToCountersign(jobId, last.seq, last.hash)) ?? null
  return [...lines.slice(0, -1), { ...last, countersigned }]
}

export async function insertLines(
  client: pg.PoolClient,
  jobId: string,
  events: readonly JobEvent[],
  lines: readonly SignedLogLine[],
): Promise<void> {
  if (!lines.length) return
  const hex = (h: string): string => `\\x${h}`
  const signature = (of: Signed | null | undefined): string | null =>
    of ? hex(Buffer.from(of.signature, 'base64url').toString('hex')) : null
  await client.query(
    `insert into event (job_id, seq, id, joint_id, kind, v, body, actor_id, device_id, device_seq, occurred_at, clock_error_s, recorded_at, prev_hash, hash, signed_with, signature, countersigned_with, countersignature)
     select $1, s, i, j, k, v, b, a, d, ds, to_timestamp(o), c, r::timestamptz, p::bytea, h::bytea, sw, sg::bytea, cw, cs::bytea
     from unnest($2::bigint[], $3::uuid[], $4::uuid[], $5::text[], $6::smallint[], $7::text[], $8::uuid[], $9::uuid[], $10::bigint[], $11::double precision[], $12::real[], $13::text[], $14::text[], $15::text[], $16::text[], $17::text[], $18::text[], $19::text[])
       as t(s, i, j, k, v, b, a, d, ds, o, c, r, p, h, sw, sg, cw, cs)`,
    [
      jobId,
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
      lines.map((l) => signature(l.signed)),
      lines.map((l) => l.countersigned?.key ?? null),
      lines.map((l) => signature(l.countersigned)),
    ],
  )
}
