import { type Draft, type JobEvent, type Claim, isUuid, notAllowed } from '@jugalis/core'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'

interface Row {
  id: string
  kind: string
  by: string
  body: string
}
const ASKED: ReadonlySet<string> = new Set(['correction', 'test-ended'])
const targetOf = ({ data }: JobEvent): string => (isUuid(data.target) ? data.target : '')

/** Entries that a batch wants to take back, and every beginning and end of a test: what its rights depend on. */
async function loggedFor(client: pg.PoolClient, jobId: string, asking: readonly JobEvent[]): Promise<Row[]> {
  const { rows } = await client.query<Row>(
    `select id, kind, actor_id as by, body from event
     where job_id = $1 and (id = any($2::uuid[]) or kind in ('test-begun', 'test-ended'))
     order by seq`,
    [jobId, asking.map(targetOf).filter(Boolean)],
  )
  return rows
}
async function roleOf(client: pg.PoolClient, jobId: string, personId: string): Promise<string> {
  const { rows } = await client.query<{ role: string }>(
    'select role from job_member where job_id = $1 and person_id = $2',
    [jobId, personId],
  )
  return rows[0]?.role ?? ''
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
  const asking = fresh.filter(({ kind }) => ASKED.has(kind))
  if (!asking.length) return
  const by = { personId: actorId, role: await roleOf(client, jobId, actorId) }
  const entries = new Map<string, Claim>()
  const tests = new Map<string, { by: string; ended: boolean }>()
  const take = (id: string, who: string, { kind, data }: Claim): void => {
    entries.set(id, { kind, data })
    const testId = String(data.testId)
    if (kind === 'test-begun') tests.set(testId, { by: who, ended: false })
    const test = tests.get(testId)
    if (kind === 'test-ended' && test) test.ended = true
  }
  for (const row of await loggedFor(client, jobId, asking))
    take(row.id, row.by, JSON.parse(row.body) as JobEvent)
  const log = {
    entry: (id: string) => entries.get(id),
    test: (testId: string) => tests.get(testId) ?? null,
  }
  for (const event of fresh) {
    const why = ASKED.has(event.kind) ? notAllowed(event, by, log) : null
    if (why) {
      const at = all.findIndex(({ id }) => id === event.id)
      throw new HttpError(403, why, refusal(`refused-${why}`), `events[${at}]`)
    }
    take(event.id, event.actorId, event)
  }
}
