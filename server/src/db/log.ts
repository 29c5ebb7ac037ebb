import {
  type Batch,
  type Draft,
  FIRST_HASH,
  type JobEvent,
  type LogLine,
  canonical,
  chainLine,
  dayOf,
  foldJob,
  isHardStop,
  isUuid,
  leftStops,
  readToFold,
  say,
  stopsForTest,
} from '@jugalis/core'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import { inTransaction } from './connect.js'
import { checkRights, giveRoles } from './rights.js'
import { nameJob } from './named.js'

export interface Appended {
  seqs: { id: string; seq: number }[]
  head: { seq: number; hash: string }
}

interface Row {
  id: string
  seq: string
  body: string
}

/** What the device said, without what the server added: the same draft gives the same text. */
const draftText = (draft: Draft & { deviceId: string }): string =>
  canonical({
    id: draft.id,
    kind: draft.kind,
    v: draft.v,
    jointId: draft.jointId ?? null,
    atDeviceS: draft.atDeviceS,
    deviceSeq: draft.deviceSeq,
    after: draft.after,
    data: draft.data,
    deviceId: draft.deviceId,
  })

/**
 * Appends a batch to a job's log: all of it or nothing. Known ids with the same body are answered with their number.
 * @param receivedAtS server time, epoch seconds. @throws HttpError 409 for a reused id, a stale batch, a refused test.
 */
export async function appendBatch(
  pool: pg.Pool,
  jobId: string,
  actorId: string,
  batch: Batch,
  receivedAtS: number,
): Promise<Appended> {
  return inTransaction(pool, (client) => appendInside(client, jobId, actorId, batch, receivedAtS))
}

/** The same inside the caller's transaction. */
export async function appendInside(
  client: pg.PoolClient,
  jobId: string,
  actorId: string,
  batch: Batch,
  receivedAtS: number,
): Promise<Appended> {
  const head = await lockHead(client, jobId)
  const had = await client.query<Row>(
    'select id, seq, body from event where job_id = $1 and id = any($2::uuid[])',
    [jobId, batch.events.map((e) => e.id)],
  )
  const known = new Map(had.rows.map((r) => [r.id, r]))
  const fresh: JobEvent[] = []
  const seqs: { id: string; seq: number }[] = []
  for (const [i, draft] of batch.events.entries()) {
    const stored = known.get(draft.id)
    if (stored) {
      if (
        draftText(JSON.parse(stored.body) as JobEvent) !== draftText({ ...draft, deviceId: batch.deviceId })
      )
        throw new HttpError(409, 'id-reused', refusal('refused-this-id-belongs-to'), `events[${i}].id`)
      seqs.push({ id: draft.id, seq: Number(stored.seq) })
      continue
    }
    fresh.push({
      ...draft,
      jointId: draft.jointId ?? null,
      jobId,
      deviceId: batch.deviceId,
      actorId,
      // A device's clock may be wrong by hours; how long ago it wrote this is right.
      occurredAtS: round(receivedAtS - Math.max(0, batch.sentAtDeviceS - draft.atDeviceS)),
      clockErrorS: batch.clockErrorS,
    })
  }
  if (fresh.length && batch.expectedSeq != null && batch.expectedSeq !== head.seq)
    throw new HttpError(409, 'stale', refusal('refused-others-have-written-since'), 'expectedSeq', {
      seq: head.seq,
    })
  await checkDeviceSeqs(client, jobId, batch.deviceId, fresh)
  await checkJoints(client, jobId, fresh, batch.events)
  await checkRights(client, jobId, actorId, fresh, batch.events)
  if (fresh.some((e) => e.kind === 'test-begun')) await checkTests(client, jobId, fresh)
  const recordedAt = new Date(Math.round(receivedAtS * 1000)).toISOString()
  const lines: LogLine[] = []
  let prev = head
  for (const event of fresh) {
    const line = chainLine(prev, event, recordedAt)
    lines.push(line)
    seqs.push({ id: event.id, seq: line.seq })
    prev = line
  }
  await insertLines(client, jobId, fresh, lines)
  if (lines.length) await writeHead(client, jobId, prev)
  await nameJob(client, jobId, fresh)
  await giveRoles(client, jobId, fresh)
  return { seqs, head: { seq: prev.seq, hash: prev.hash } }
}
/** Times are kept to the millisecond. */
const round = (s: number): number => Math.round(s * 1000) / 1000

async function lockHead(client: pg.PoolClient, jobId: string): Promise<{ seq: number; hash: string }> {
  const written = await client.query<{ seq: string; hash: Buffer }>(
    'select seq, hash from job_head where job_id = $1 for update',
    [jobId],
  )
  const row = written.rows[0]
  if (!row) throw new HttpError(404, 'not-found', refusal('refused-there-is-no-such-job-6'))
  return { seq: Number(row.seq), hash: row.hash.toString('hex') }
}
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
export const NEW_HEAD = { seq: 0, hash: FIRST_HASH }

async function checkDeviceSeqs(
  client: pg.PoolClient,
  jobId: string,
  deviceId: string,
  fresh: readonly JobEvent[],
): Promise<void> {
  const seqs = fresh.map((e) => e.deviceSeq)
  if (new Set(seqs).size !== seqs.length)
    throw new HttpError(409, 'device-seq-reused', refusal('refused-two-entries-of-this'), 'events')
  const found = await client.query(
    'select 1 from event where job_id = $1 and device_id = $2 and device_seq = any($3::bigint[]) limit 1',
    [jobId, deviceId, seqs],
  )
  if (found.rowCount)
    throw new HttpError(409, 'device-seq-reused', refusal('refused-this-device-has-used'), 'events')
}

/** Joints that item events define; the ids live in the pieces. */
export function jointsDefined(events: readonly Draft[]): string[] {
  const items = events.flatMap((draft): unknown[] =>
    draft.kind === 'item-put'
      ? [draft.data.item]
      : draft.kind === 'items-put' && Array.isArray(draft.data.items)
        ? draft.data.items.map((i) => (i as { item?: unknown }).item)
        : [],
  )
  return items.flatMap((item) => {
    const { jointA, jointB } = (item ?? {}) as Record<string, unknown>
    return [jointA, jointB].filter(isUuid)
  })
}

/** Joints that an entry speaks of: its own, or those of a batch. */
function jointsNamed(draft: Draft): string[] {
  const batch = draft.kind === 'batch-done' && Array.isArray(draft.data.joints) ? draft.data.joints : []
  return [draft.jointId, ...batch.map((j) => (j as { jointId?: unknown }).jointId)].filter(
    (j): j is string => typeof j === 'string',
  )
}

async function checkJoints(
  client: pg.PoolClient,
  jobId: string,
  fresh: readonly JobEvent[],
  all: readonly Draft[],
): Promise<void> {
  const defined = jointsDefined(fresh)
  if (defined.length)
    await client.query(
      'insert into job_joint (job_id, joint_id) select $1, unnest($2::uuid[]) on conflict do nothing',
      [jobId, [...new Set(defined)]],
    )
  const named = [...new Set(fresh.flatMap(jointsNamed))]
  if (!named.length) return
  const found = await client.query<{ joint_id: string }>(
    'select joint_id from job_joint where job_id = $1 and joint_id = any($2::uuid[])',
    [jobId, named.filter(isUuid)],
  )
  const known = new Set(found.rows.map((x) => x.joint_id))
  const i = all.findIndex((e) => jointsNamed(e).some((j) => named.includes(j) && !known.has(j)))
  if (i >= 0)
    throw new HttpError(422, 'unknown-joint', refusal('refused-this-joint-is-not'), `events[${i}].jointId`)
}

/** A test begins only when the ladder and the gates allow it, by the careful rule and what is recorded by then. */
async function checkTests(client: pg.PoolClient, jobId: string, fresh: readonly JobEvent[]): Promise<void> {
  const found = await client.query<{ body: string }>(
    'select body from event where job_id = $1 order by seq',
    [jobId],
  )
  const before = readToFold(found.rows.map((x) => x.body))
  for (const [i, event] of fresh.entries()) {
    if (event.kind !== 'test-begun') continue
    const state = foldJob([...before, ...fresh.slice(0, i)])
    const data = event.data as {
      rule?: string
      gaugeTopBar?: number
      gaugeDueOn?: string
      resolutionBar: number
      setAside?: { code: string; reason: string }[]
    }
    const all = stopsForTest(
      state,
      String(event.data.sectionId),
      Number(event.data.bar),
      String(event.data.medium),
      event.occurredAtS,
      {
        rule: data.rule ?? null,
        gauge: {
          resolutionBar: data.resolutionBar,
          topBar: data.gaugeTopBar ?? null,
          dueOn: data.gaugeDueOn ?? null,
        },
        today: dayOf(event.occurredAtS, state.job.zone),
      },
    )
    const stops = leftStops(all, data.setAside ?? [])
    if (stops.length)
      throw new HttpError(409, 'test-refused', say(stops[0] as (typeof stops)[number]), `events[${i}]`, {
        stops: stops.map((says) => ({
          code: says.code,
          message: say(says),
          hard: isHardStop(says),
          params: says.params,
          ...says.params,
        })),
      })
  }
}

export async function insertLines(
  client: pg.PoolClient,
  jobId: string,
  events: readonly JobEvent[],
  lines: readonly LogLine[],
): Promise<void> {
  if (!lines.length) return
  const hex = (h: string): string => `\\x${h}`
  await client.query(
    `insert into event (job_id, seq, id, joint_id, kind, v, body, actor_id, device_id, device_seq, occurred_at, clock_error_s, recorded_at, prev_hash, hash)
     select $1, s, i, j, k, v, b, a, d, ds, to_timestamp(o), c, r::timestamptz, p::bytea, h::bytea
     from unnest($2::bigint[], $3::uuid[], $4::uuid[], $5::text[], $6::smallint[], $7::text[], $8::uuid[], $9::uuid[], $10::bigint[], $11::double precision[], $12::real[], $13::text[], $14::text[], $15::text[])
       as t(s, i, j, k, v, b, a, d, ds, o, c, r, p, h)`,
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
    ],
  )
}
