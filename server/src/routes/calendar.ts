import { createHmac, timingSafeEqual } from 'node:crypto'
import {
  type JobState,
  fmt,
  foldJob,
  isUuid,
  jointFacts,
  jointPlaces,
  readToFold,
  sectionAnswer,
} from '@jugalis/core'
import { type Request, Router } from 'express'
import ical from 'ical-generator'
import type pg from 'pg'
import { requireMember } from '../db/jobs.js'
import { HttpError } from '../errors.js'

/** A calendar program can't sign in: the address itself is the key, made for one person and one job. */
const macOf = (secret: string, jobId: string, personId: string): string =>
  createHmac('sha256', `calendar ${secret}`).update(`${jobId} ${personId}`).digest('base64url').slice(0, 32)
const same = (a: string, b: string): boolean =>
  a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b))
const MARK_S = 300

/** What changes by itself from now on, as entries of a calendar: joints that may be moved, sections that take pressure. */
export function calendarOf(state: JobState, jobId: string, nowS: number): string {
  const feed = ical({ name: state.job.name, ttl: 900, prodId: { company: 'Jugalis', product: 'Wait' } })
  const put = (id: string, atS: number, summary: string, description: string): void => {
    const start = new Date(Math.ceil(atS / 60) * 60_000)
    feed.createEvent({
      id: `${id}@${jobId}`,
      start,
      end: new Date(start.getTime() + MARK_S * 1000),
      summary,
      description,
      stamp: new Date(nowS * 1000),
    })
  }
  const bar = (b: number): string => fmt.pressure(b, { units: state.job.school })
  const RULE = 'By its rule, with the readings so far. A colder night moves it.'
  for (const id of jointPlaces(state).keys()) {
    const f = jointFacts(state, id, 'coldest', nowS)
    const movable = f?.movable.value ?? null
    if (f && f.homeAtS !== null && movable !== null && movable > nowS)
      put(`move-${id}`, movable, `${f.tag} may be moved with care`, RULE)
  }
  for (const id of state.sections.keys()) {
    const a = sectionAnswer(state, id, nowS, 'coldest')
    if (!a || a.proved) continue
    for (const j of a.joints)
      if (j.readyAtS !== null && j.readyAtS > nowS)
        put(
          `joint-${j.facts.id}-${id}`,
          j.readyAtS,
          `${j.facts.tag} may take ${bar(a.section.testBar)}`,
          RULE,
        )
    if (a.readyAtS === null || a.readyAtS <= nowS) continue
    const held = a.holdsBack ? ` Held back by ${a.holdsBack.facts.tag}.` : ''
    put(`ready-${id}`, a.readyAtS, `${a.section.tag} may take ${bar(a.section.testBar)}`, `${RULE}${held}`)
  }
  return feed.toString()
}

/** Where a person's feed of a job is. */
export const calendarPath = (secret: string, jobId: string, personId: string): string =>
  `/api/calendar/${jobId}/${personId}/${macOf(secret, jobId, personId)}.ics`

export function calendarRoutes(pool: pg.Pool, secret: string, nowS: () => number): Router {
  const routes = Router()
  routes.get('/:jobId/:personId/:file', async (req: Request, res) => {
    const [jobId, personId] = [String(req.params.jobId), String(req.params.personId)]
    const gone = new HttpError(404, 'not-found', 'There is no such calendar.')
    if (!isUuid(jobId) || !isUuid(personId)) throw gone
    if (!same(String(req.params.file), `${macOf(secret, jobId, personId)}.ics`)) throw gone
    await requireMember(pool, jobId, personId)
    const r = await pool.query<{ body: string }>('select body from event where job_id = $1 order by seq', [
      jobId,
    ])
    const state = foldJob(readToFold(r.rows.map((x) => x.body)))
    res
      .type('text/calendar')
      .set('cache-control', 'no-cache')
      .send(calendarOf(state, jobId, nowS()))
  })
  return routes
}
