import { pipeline } from 'node:stream/promises'
import { type Batch, batchFault, isUuid, leads } from '@jugalis/core'
import express, { type Request, type RequestHandler, type Response, Router } from 'express'
import { rateLimit } from 'express-rate-limit'
import * as yup from 'yup'
import {
  addMember,
  insertJob,
  insertMember,
  isJob,
  isMember,
  jobsOf,
  leaveJob,
  mayTakeOff,
  membersOf,
  requireMember,
} from '../db/jobs.js'
import { inTransaction } from '../db/connect.js'
import { appendBatch } from '../db/log.js'
import { checkParts } from '../db/rights.js'
import { isPackDue } from '../db/pack.js'
import { headOf, logText } from '../db/read-log.js'
import { isSession } from '../db/sessions.js'
import { HttpError, notFound } from '../errors.js'
import { streamHead } from '../live/stream.js'
import { calendarPath } from './calendar.js'
import { jobIdOf, jobOf, memberOf as memberIn } from './job-of.js'
import type { On, Stands } from './stands.js'
import { jobLifeRoutes } from './job-life.js'
import { deviceRoutes } from './devices.js'
import { openingRoutes } from './opening.js'
import { photoRoutes } from './photos.js'
import { me } from './session.js'
import { exportJob } from './export-job.js'
import { refusal } from '../words.js'
import { jsonBody } from '../json-body.js'

const newJob = yup
  .object({ jobId: yup.string().uuid().required(), name: yup.string().trim().min(1).max(200).required() })
  .noUnknown()
const json = jsonBody('1mb')

function lists(routes: Router, { pool, nowS, imports }: On): void {
  routes.get('/', async (req, res) => {
    res.json({ jobs: await jobsOf(pool, me(req).personId), serverNowS: nowS() })
  })
  routes.post('/', json, async (req, res) => {
    const body: unknown = req.body
    try {
      newJob.validateSync(body, { strict: true })
    } catch (error) {
      throw new HttpError(
        422,
        'bad-input',
        refusal('refused-a-job-needs-a'),
        (error as yup.ValidationError).path ?? null,
      )
    }
    const { jobId: id, name } = body as { jobId: string; name: string }
    const person = me(req)
    await inTransaction(pool, async (client) => {
      if (await isJob(client, id))
        throw new HttpError(409, 'id-reused', refusal('refused-this-job-is-already'), 'jobId')
      await insertJob(client, id, person.orgId, name, nowS())
      await insertMember(client, id, person.personId, person.name, 'owner')
    })
    res.status(201).json({ jobId: id })
  })
  const file = express.raw({ limit: '200mb', type: 'application/json' })
  // One file at a time: whoever comes second is told so before anything of theirs is read.
  const free: RequestHandler = (_req, _res, next) => {
    imports.free()
    next()
  }
  routes.post('/import', free, file, async (req, res) => {
    const bytes: unknown = req.body
    if (!Buffer.isBuffer(bytes)) throw new HttpError(422, 'bad-input', refusal('refused-this-is-not-a'))
    res.status(201).json(await imports.bring(bytes, me(req), nowS()))
  })
}

function members(routes: Router, { pool, jobId, streams }: On): void {
  routes.get('/:jobId/members', async (req, res) => {
    res.json({ members: await membersOf(pool, await jobId(req)) })
  })
  routes.post('/:jobId/members', json, async (req, res) => {
    const id = await jobId(req)
    if (!leads(await requireMember(pool, id, me(req).personId)))
      throw new HttpError(403, 'not-owner', refusal('refused-only-who-began-this'))
    const { login } = (req.body ?? {}) as { login?: unknown }
    if (typeof login !== 'string' || !login.trim() || login.length > 80)
      throw new HttpError(422, 'bad-input', refusal('refused-say-as-whom-the'), 'login')
    res.status(201).json({ name: await addMember(pool, id, me(req).orgId, login) })
  })
  routes.delete('/:jobId/members/:personId', async (req, res) => {
    const id = await jobId(req)
    const { personId } = req.params
    const own = me(req).personId
    // Whoever wants to go goes; others are taken off by who leads the job, and who leads it by its owner.
    if (personId !== own && !(await mayTakeOff(pool, id, { by: own, who: personId })))
      throw new HttpError(403, 'not-owner', refusal('refused-only-who-began-this'))
    if (!isUuid(personId) || !(await leaveJob(pool, id, personId)))
      throw new HttpError(409, 'not-a-member', refusal('refused-not-taken-off'))
    streams.end(personId, id)
    res.status(204).end()
  })
}

/** Sends text as it comes, no quicker than it is read. Who goes away before the end asks again. */
const toTheEnd = (parts: AsyncGenerator<string>, res: Response): Promise<void> =>
  pipeline(parts, res).catch((error: NodeJS.ErrnoException) => {
    if (error.code !== 'ERR_STREAM_PREMATURE_CLOSE') throw error
  })

/** Entries that come in. */
function appends(routes: Router, { pool, nowS, heads, packs, gates }: On): void {
  const memberOf = memberIn(pool)
  routes.post('/:jobId/events', json, async (req, res) => {
    const receivedAtS = nowS()
    const fault = batchFault(req.body)
    if (fault) {
      // Who may not write is told so, and nothing of what is wrong with it.
      const { role } = await memberOf(req)
      checkParts(role, req.body)
      throw new HttpError(422, fault.code, fault.message, fault.field)
    }
    const id = jobIdOf(req)
    const batch = req.body as Batch
    // A device that two people share: what one wrote does not go out under the other's name.
    if (batch.personId && batch.personId !== me(req).personId)
      throw new HttpError(401, 'other-person', refusal('refused-who-wrote-these-entries'), 'personId')
    const sent = { actorId: me(req).personId, batch, receivedAtS, byMember: true as const }
    const done = await appendBatch(pool, id, sent, gates)
    heads.grew(id, done.head.seq)
    if (isPackDue(done.head.seq - batch.events.length, done.head.seq)) packs.ask([id], receivedAtS)
    res.json({ ...done, serverNowS: nowS() })
  })
}

function entries(routes: Router, { pool, nowS, heads, streams, reads, jobId }: On): void {
  routes.get('/:jobId/events', async (req, res) => {
    const id = await jobId(req)
    const after = Number(req.query.after ?? 0)
    if (!Number.isInteger(after) || after < 0)
      throw new HttpError(422, 'bad-input', refusal('refused-after-must-be-a'), 'after')
    const log = await logText(pool, id, after)
    const { head, hashAfter, hashHead } = log
    const envelope = JSON.stringify({ serverNowS: nowS(), head, hashAfter, hashHead })
    res.type('json')
    const whole = async function* (): AsyncGenerator<string> {
      yield `${envelope.slice(0, -1)},"lines":[`
      yield* log.parts
      yield ']}'
    }
    await toTheEnd(whole(), res)
  })
  routes.get('/:jobId/live', async (req, res) => {
    const id = await jobId(req)
    const { personId } = me(req)
    streams.keep(personId, id, res)
    streamHead(
      res,
      heads,
      id,
      async () => (await isMember(pool, id, personId)) && isSession(pool, req.sessionID),
    )
  })
  routes.get('/:jobId/head', async (req, res) => {
    res.json(await headOf(pool, await jobId(req)))
  })
  routes.get('/:jobId/known/:entryId', async (req, res) => {
    const asked = { jobId: await jobId(req), personId: me(req).personId, nowS: nowS() }
    const said = await reads.tell('known', { ...asked, entryId: String(req.params.entryId) })
    if (said === 'null') throw notFound()
    res.type('json').send(said)
  })
  routes.get('/:jobId/verify', async (req, res) => {
    const id = await jobId(req)
    res.type('json').send(await reads.tell('verify', { jobId: id, personId: me(req).personId, nowS: nowS() }))
  })
}

/** So many whole logs a minute for a person: who asks for more keeps others waiting, and is told to wait. */
const WHOLE_LOGS = 30
const budget = (limited: boolean) =>
  rateLimit({
    windowMs: 60_000,
    limit: WHOLE_LOGS,
    skip: () => !limited,
    standardHeaders: true,
    legacyHeaders: false,
    keyGenerator: (req: Request) => me(req).personId,
    handler: (_req, _res, next) => next(new HttpError(429, 'too-many', refusal('refused-too-many'))),
  })

/** What is taken away of a job: its file, its tables, its calendar. */
function files(routes: Router, { pool, nowS, secret, reads, jobId, limited }: On): void {
  routes.use(
    [
      '/:jobId/export.json',
      '/:jobId/log.csv',
      '/:jobId/entries.csv',
      '/:jobId/verify',
      '/:jobId/known/:entryId',
    ],
    budget(limited),
  )
  routes.get('/:jobId/calendar', async (req, res) => {
    res.json({ path: calendarPath(secret, await jobId(req), me(req).personId) })
  })
  routes.get('/:jobId/export.json', async (req, res) => {
    const id = await jobId(req)
    res.attachment(`jugalis-${id}.json`).type('json')
    await toTheEnd(exportJob(pool, id, nowS()), res)
  })
  routes.get('/:jobId/log.csv', async (req, res) => {
    const id = await jobId(req)
    res
      .attachment(`jugalis-${id}-joints.csv`)
      .type('csv')
      .send(await reads.tell('joints', { jobId: id, personId: me(req).personId, nowS: nowS() }))
  })
  routes.get('/:jobId/entries.csv', async (req, res) => {
    const id = await jobId(req)
    res
      .attachment(`jugalis-${id}-entries.csv`)
      .type('csv')
      .send(await reads.tell('entries', { jobId: id, personId: me(req).personId, nowS: nowS() }))
  })
}

export function jobRoutes(stands: Stands): Router {
  const { pool, nowS, heads } = stands
  const routes = Router()
  const jobId = jobOf(pool)
  const on: On = { ...stands, jobId }
  lists(routes, on)
  members(routes, on)
  files(routes, on)
  entries(routes, on)
  appends(routes, on)
  routes.use('/:jobId', openingRoutes(on))
  routes.use('/:jobId', jobLifeRoutes(pool, nowS, jobId))
  routes.use('/:jobId/photos', photoRoutes(pool, jobId))
  routes.use('/:jobId/devices', deviceRoutes(pool, nowS, heads, jobId))
  return routes
}
