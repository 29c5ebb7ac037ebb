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

export const jobOf =
  (pool: pg.Pool): JobOf =>
  async (req, part) => {
    const id = String(req.params.jobId).toLowerCase()
    if (!isUuid(id)) throw new HttpError(404, 'not-found', refusal('refused-there-is-no-such-job'))
    const role = await requireMember(pool, id, me(req).personId)
    if (part && !takesPart(asRole(role), part))
      throw new HttpError(403, 'not-your-part', refusal('refused-not-your-part', { role }))
    return id
  }
