import {
  ASKS_THE_LOG,
  type Draft,
  type JobEvent,
  type Written,
  asRole,
  isUuid,
  mayWrite,
  notAllowed,
} from '@jugalis/core'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'

interface Row {
  id: string
  kind: string
  by: string
  body: string
}
/** Entries that one speaks of, by their ids. */
const spokenOf = ({ data }: JobEvent): string[] => [data.target, data.proposalId].filter(isUuid)

/** Entries that a batch speaks of, what those speak of in turn (a proposal), and every beginning and end of a test: what its rights depend on. */
async function loggedFor(client: pg.PoolClient, jobId: string, asking: readonly JobEvent[]): Promise<Row[]> {
  const { rows } = await client.query<Row>(
    `select id, kind, actor_id as by, body from event
     where job_id = $1 and (
       id = any($2::uuid[]) or kind in ('test-begun', 'test-ended') or
       id in (
         select (body::jsonb #>> '{data,target}')::uuid from event
         where job_id = $1 and id = any($2::uuid[]) and kind = 'correction-proposed'
       )
     )
     order by seq`,
    [jobId, asking.flatMap(spokenOf)],
  )
  return rows
}
/** What everybody of a job is on it, by id. */
async function rolesOf(client: pg.PoolClient, jobId: string): Promise<Map<string, string>> {
  const { rows } = await client.query<{ person: string; role: string }>(
    'select person_id as person, role from job_member where job_id = $1',
    [jobId],
  )
  return new Map(rows.map(({ person, role }) => [person, role]))
}

/**
 * Refuses work that is no part of somebody's role, by its kinds alone: before anything of it is looked at closer.
 * @param body as it came: not read, not checked. @throws HttpError 403.
 */
export function checkParts(role: string, body: unknown): void {
  const { events } = (body ?? {}) as { events?: unknown }
  if (!Array.isArray(events)) return
  const at = events.findIndex((draft) => {
    const { kind } = (draft ?? {}) as { kind?: unknown }
    return typeof kind === 'string' && !mayWrite(asRole(role), kind)
  })
  if (at >= 0)
    throw new HttpError(403, 'not-your-part', refusal('refused-not-your-part', { role }), `events[${at}]`)
}

/** What the log says so far, as the rules of core ask for it; `take` adds what comes after. */
async function logFor(client: pg.PoolClient, jobId: string, asking: readonly JobEvent[]) {
  const entries = new Map<string, Written>()
  const tests = new Map<string, { by: string; ended: boolean }>()
  const take = (id: string, by: string, { kind, data, atDeviceS }: Draft | JobEvent): void => {
    entries.set(id, { kind, data, atDeviceS, by })
    const testId = String(data.testId)
    if (kind === 'test-begun') tests.set(testId, { by, ended: false })
    const test = tests.get(testId)
    if (kind === 'test-ended' && test) test.ended = true
  }
  const roles = await rolesOf(client, jobId)
  if (asking.length)
    for (const row of await loggedFor(client, jobId, asking))
      take(row.id, row.by, JSON.parse(row.body) as JobEvent)
  const log = {
    entry: (id: string) => entries.get(id),
    test: (testId: string) => tests.get(testId) ?? null,
    role: (personId: string) => roles.get(personId) ?? '',
  }
  return { log, take, roles }
}

/**
 * Refuses what this person may not write: by the rules of core, on what the log has and what came before it in the batch.
 * @param all the batch as it was sent, for the place of what is refused. @throws HttpError 403.
 */
export async function checkRights(
  client: pg.PoolClient,
  jobId: string,
  actorId: string,
  fresh: readonly JobEvent[],
  all: readonly Draft[],
): Promise<void> {
  const { log, take, roles } = await logFor(
    client,
    jobId,
    fresh.filter(({ kind }) => ASKS_THE_LOG.has(kind)),
  )
  for (const event of fresh) {
    const why = notAllowed(event, { personId: actorId, role: log.role(actorId) || 'device' }, log)
    if (why) {
      const at = all.findIndex(({ id }) => id === event.id)
      throw new HttpError(403, why, refusal(`refused-${why}`), `events[${at}]`)
    }
    take(event.id, event.actorId, event)
    if (event.kind === 'role-given') roles.set(String(event.data.personId), String(event.data.role))
  }
}

/** What the log says of roles holds at once, in the same transaction; who has the job or left it stays so. */
export async function giveRoles(
  client: pg.PoolClient,
  jobId: string,
  fresh: readonly JobEvent[],
): Promise<void> {
  for (const { kind, data } of fresh)
    if (kind === 'role-given')
      await client.query(
        `update job_member set role = $3 where job_id = $1 and person_id = $2 and role not in ('owner', 'left')`,
        [jobId, data.personId, data.role],
      )
}
