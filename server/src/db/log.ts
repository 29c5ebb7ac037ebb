import {
  type Batch,
  type Draft,
  FIRST_HASH,
  type JobEvent,
  type LogLine,
  type Signed,
  canonical,
  chainLine,
  isUuid,
} from '@jugalis/core'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import { inTransaction } from './connect.js'
import { checkBatchSigned } from './device-keys.js'
import { ended, insertLines } from './lines.js'
import { checkTests } from './test-gates.js'
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
  await checkBatchSigned(pool, jobId, actorId, batch)
  return inTransaction(pool, (client) => appendInside(client, jobId, actorId, batch, receivedAtS))
}

/** Of a batch what is new, with the signatures of its device, and the numbers of what is known. */
interface SortedOut {
  fresh: JobEvent[]
  signatures: (Signed | null)[]
  seqs: { id: string; seq: number }[]
}
function sortOut(
  batch: Batch,
  known: ReadonlyMap<string, Row>,
  on: { jobId: string; actorId: string; receivedAtS: number },
): SortedOut {
  const { jobId, actorId, receivedAtS } = on
  const out: SortedOut = { fresh: [], signatures: [], seqs: [] }
  for (const [i, draft] of batch.events.entries()) {
    const stored = known.get(draft.id)
    if (stored) {
      if (
        draftText(JSON.parse(stored.body) as JobEvent) !== draftText({ ...draft, deviceId: batch.deviceId })
      )
        throw new HttpError(409, 'id-reused', refusal('refused-this-id-belongs-to'), `events[${i}].id`)
      out.seqs.push({ id: draft.id, seq: Number(stored.seq) })
      continue
    }
    out.signatures.push(signedOf(batch, i))
    out.fresh.push({
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
  return out
}

/** The same inside the caller's transaction; signatures were held against their key before. */
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
  const { fresh, signatures, seqs } = sortOut(batch, known, { jobId, actorId, receivedAtS })
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
  await insertLines(
    client,
    jobId,
    fresh,
    ended(
      jobId,
      lines.map((line, i) => ({ ...line, signed: signatures[i] })),
    ),
  )
  if (lines.length) await writeHead(client, jobId, prev)
  await nameJob(client, jobId, fresh)
  await giveRoles(client, jobId, fresh)
  return { seqs, head: { seq: prev.seq, hash: prev.hash } }
}
/** What a device signed of one entry of a batch. */
const signedOf = ({ signed }: Batch, i: number): Signed | null =>
  signed ? { key: signed.key, signature: signed.signatures[i] ?? '' } : null
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
