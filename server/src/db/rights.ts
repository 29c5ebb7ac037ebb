import { type JobEvent, asRole, mayWrite } from '@jugalis/core'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'

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
