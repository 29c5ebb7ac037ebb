import { ASKS_THE_LOG, type Batch, type Draft, isUuid } from '@jugalis/core'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import { type Client, askOften } from './connect.js'

/** A batch with who sent it and when it came, server time, epoch s. */
export interface Sent {
  actorId: string
  batch: Batch
  receivedAtS: number
  /** Sent by one of the job's people: whoever is not on it, or whose part it is not, is refused. Absent: by the server or an instrument. */
  byMember?: true
}
/** An entry of the log as it lies there. */
export interface Row {
  id: string
  seq: number
  by: string
  body: string
}
/** What a log has that decides whether batches may be written, and as which lines: all of it as of one head. */
export interface Seen {
  head: { seq: number; hash: string }
  /** Entries of the batches that are in the log already. */
  known: Row[]
  /** Numbers of theirs that devices have used. */
  used: [deviceId: string, deviceSeq: number][]
  /** Joints that are named and that the job has. */
  joints: string[]
  /** What everybody of the job is on it, by id. */
  roles: Record<string, string>
  /** Entries on which the rights of the batches depend, in the order of the log. */
  said: Row[]
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
export function jointsNamed(draft: Draft): string[] {
  const batch = draft.kind === 'batch-done' && Array.isArray(draft.data.joints) ? draft.data.joints : []
  return [draft.jointId, ...batch.map((j) => (j as { jointId?: unknown }).jointId)].filter(
    (j): j is string => typeof j === 'string',
  )
}
/** Entries that one speaks of, by their ids. */
const spokenOf = ({ data }: Draft): string[] => [data.target, data.proposalId].filter(isUuid)

/*
 * One statement, so that all of it is as of the same moment. What rights depend on: the entries that are spoken of, what
 * those speak of in turn (a proposal), and every beginning and end of a test.
 */
const LOOK = `
with spoken as (
  select seq from event where job_id = $1 and id = any($6::uuid[])
  union
  select seq from event where $7::boolean and job_id = $1 and kind in ('test-begun', 'test-ended')
  union
  select target.seq from event as proposal
  join event as target on target.job_id = $1 and target.id = (proposal.body::jsonb #>> '{data,target}')::uuid
  where proposal.job_id = $1 and proposal.id = any($6::uuid[]) and proposal.kind = 'correction-proposed'
)
select seq, encode(hash, 'hex') as hash,
  (select coalesce(json_agg(json_build_object('id', id, 'seq', seq, 'by', actor_id, 'body', body)), '[]')
   from event where job_id = $1 and id = any($2::uuid[])) as known,
  (select coalesce(json_agg(json_build_array(device_id, device_seq)), '[]')
   from event where job_id = $1 and (device_id, device_seq) in (select * from unnest($3::uuid[], $4::bigint[]))) as used,
  (select coalesce(json_agg(joint_id), '[]') from job_joint where job_id = $1 and joint_id = any($5::uuid[])) as joints,
  (select coalesce(json_object_agg(person_id, role), '{}') from job_member where job_id = $1) as roles,
  (select coalesce(json_agg(json_build_object('id', id, 'seq', seq, 'by', actor_id, 'body', body) order by seq), '[]')
   from event where $7::boolean and job_id = $1 and seq in (select seq from spoken)) as said
from job_head where job_id = $1`

/** Looks at what a log has of batches. @throws HttpError 404 no such job. */
export async function lookAt(client: Client, jobId: string, all: readonly Sent[]): Promise<Seen> {
  const drafts = all.flatMap(({ batch }) => batch.events)
  const asking = drafts.filter(({ kind }) => ASKS_THE_LOG.has(kind))
  const { rows } = await askOften<Omit<Seen, 'head'> & { seq: string; hash: string }>(client, 'look', LOOK, [
    jobId,
    drafts.map(({ id }) => id),
    all.flatMap(({ batch }) => batch.events.map(() => batch.deviceId)),
    drafts.map(({ deviceSeq }) => deviceSeq),
    drafts.flatMap(jointsNamed).filter(isUuid),
    asking.flatMap(spokenOf),
    asking.length > 0,
  ])
  const [row] = rows
  if (!row) throw new HttpError(404, 'not-found', refusal('refused-there-is-no-such-job-6'))
  const { seq, hash, ...seen } = row
  return { ...seen, head: { seq: Number(seq), hash } }
}
