import { type Work, asRole, isUuid, takesPart } from '@jugalis/core'
import type { Request } from 'express'
import type pg from 'pg'
import { requireMember } from '../db/jobs.js'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import { me } from './session.js'

/**
 * The job that is asked for, once it is known that the asker is one of its members.
 * @param part the work that is asked for, where not every role takes part in it.
 */
export type JobOf = (req: Request, part?: Work) => Promise<string>

/** The job that is asked for, by anybody. @throws HttpError 404 where that is no name of one. */
export function jobIdOf(req: Request): string {
  const id = String(req.params.jobId).toLowerCase()
  if (!isUuid(id)) throw new HttpError(404, 'not-found', refusal('refused-there-is-no-such-job'))
  return id
}
/** The job that is asked for, and what the asker is on it. @throws HttpError 404 where they are not on it. */
export const memberOf =
  (pool: pg.Pool) =>
  async (req: Request): Promise<{ id: string; role: string }> => {
    const id = jobIdOf(req)
    return { id, role: await requireMember(pool, id, me(req).personId) }
  }

export const jobOf = (pool: pg.Pool): JobOf => {
  const memberIn = memberOf(pool)
  return async (req, part) => {
    const { id, role } = await memberIn(req)
    if (part && !takesPart(asRole(role), part))
      throw new HttpError(403, 'not-your-part', refusal('refused-not-your-part', { role }))
    return id
  }
}
