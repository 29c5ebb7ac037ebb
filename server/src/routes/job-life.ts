import { type Request, Router } from 'express'
import type pg from 'pg'
import * as yup from 'yup'
import { copyJob, handTo, putAway, takeOut } from '../db/job-life.js'
import { requireMember } from '../db/jobs.js'
import { checked } from '../checked.js'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import { me } from './session.js'
import { jsonBody } from '../json-body.js'

const json = jsonBody('10kb')
const COPY = yup
  .object({
    jobId: yup.string().uuid().required(),
    name: yup.string().trim().min(1).max(200).required(),
    measures: yup.boolean().required(),
  })
  .noUnknown()
const AWAY = yup.object({ away: yup.boolean().required() }).noUnknown()
const OWNER = yup.object({ personId: yup.string().uuid().required() }).noUnknown()

/** A job from its copy to its end: begun like another one, handed on, put away, taken out. */
export function jobLifeRoutes(
  pool: pg.Pool,
  nowS: () => number,
  jobId: (req: Request) => Promise<string>,
): Router {
  const routes = Router({ mergeParams: true })
  const owned = async (req: Request): Promise<string> => {
    const id = await jobId(req)
    if ((await requireMember(pool, id, me(req).personId)) !== 'owner')
      throw new HttpError(403, 'not-owner', refusal('refused-only-who-began-this'))
    return id
  }
  routes.post('/copy', json, async (req, res) => {
    const from = await jobId(req)
    const as = checked(COPY, req.body)
    await copyJob(pool, from, as, me(req), nowS())
    res.status(201).json({ jobId: as.jobId })
  })
  routes.put('/away', json, async (req, res) => {
    const id = await owned(req)
    await putAway(pool, id, checked(AWAY, req.body).away, nowS())
    res.status(204).end()
  })
  routes.put('/owner', json, async (req, res) => {
    const id = await owned(req)
    const { personId } = checked(OWNER, req.body)
    await handTo(pool, id, { from: me(req).personId, to: personId })
    res.status(204).end()
  })
  routes.delete('/', async (req, res) => {
    await takeOut(pool, await owned(req))
    res.status(204).end()
  })
  return routes
}
