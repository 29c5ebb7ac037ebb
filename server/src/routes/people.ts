import { isUuid } from '@jugalis/core'
import { type Request, Router } from 'express'
import type pg from 'pg'
import * as yup from 'yup'
import { checked } from '../checked.js'
import { auditOf, keepAudit } from '../db/audit.js'
import { invite, openInvitations, uninvite } from '../db/invitations.js'
import { changePerson, isAdmin, peopleOf } from '../db/people.js'
import { HttpError } from '../errors.js'
import type { Streams } from '../live/streams.js'
import { refusal } from '../words.js'
import { me } from './session.js'
import { jsonBody } from '../json-body.js'

const json = jsonBody('4kb')
const INVITED = yup
  .object({
    name: yup.string().trim().min(1).max(80).required(),
    admin: yup.boolean().default(false),
    /** The job its guest is put on. */
    jobId: yup.string().uuid().nullable().default(null),
    /** Whose password it makes anew. */
    personId: yup.string().uuid().nullable().default(null),
  })
  .noUnknown()
const CHANGED = yup.object({ admin: yup.boolean(), left: yup.boolean() }).noUnknown()

/** People of an organisation: only who administers it brings them in and lets them go. */
export function peopleRoutes(pool: pg.Pool, nowS: () => number, streams: Streams): Router {
  const routes = Router()
  const admin = async (req: Request) => {
    const own = me(req)
    if (!(await isAdmin(pool, own.personId)))
      throw new HttpError(403, 'not-admin', refusal('refused-only-an-administrator'))
    return own
  }
  routes.get('/', async (req, res) => {
    const { orgId } = await admin(req)
    const [people, invitations, audit] = await Promise.all([
      peopleOf(pool, orgId),
      openInvitations(pool, orgId, nowS()),
      auditOf(pool, orgId),
    ])
    res.json({ people, invitations, audit })
  })
  routes.post('/invitations', json, async (req, res) => {
    const { orgId, personId: by } = await admin(req)
    const wanted = checked(INVITED, req.body)
    if (
      wanted.personId &&
      !(await peopleOf(pool, orgId)).some(({ personId }) => personId === wanted.personId)
    )
      throw new HttpError(404, 'not-found', refusal('refused-no-such-person'), 'personId')
    const token = await invite(pool, { ...wanted, orgId, by }, nowS())
    await keepAudit(pool, { what: 'invited', atS: nowS(), orgId, by, of: wanted.personId, said: wanted.name })
    res.status(201).json({ token })
  })
  routes.delete('/invitations/:key', async (req, res) => {
    const { orgId, personId: by } = await admin(req)
    if (!(await uninvite(pool, orgId, req.params.key)))
      throw new HttpError(404, 'not-found', refusal('refused-no-invitation'))
    await keepAudit(pool, { what: 'invitation-ended', atS: nowS(), orgId, by, of: null, said: '' })
    res.status(204).end()
  })
  routes.put('/:personId', json, async (req, res) => {
    const own = await admin(req)
    const { personId } = req.params
    if (!isUuid(personId)) throw new HttpError(404, 'not-found', refusal('refused-no-such-person'))
    const to = checked(CHANGED, req.body)
    await changePerson(pool, own, personId, to, nowS())
    if (to.left) streams.end(personId)
    res.status(204).end()
  })
  return routes
}
