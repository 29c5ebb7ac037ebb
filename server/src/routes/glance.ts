import { Router } from 'express'
import type pg from 'pg'
import { jobsSeen, lookFor } from '../db/glance.js'
import { HttpError } from '../errors.js'
import type { Behind } from '../behind.js'
import { refusal } from '../words.js'
import { me } from './session.js'

const MOST_LETTERS = 80
const MOST_HITS = 60

/** All jobs of a person at a glance, and what they have under a name. */
export function glanceRoutes(pool: pg.Pool, nowS: () => number, glances: Behind): Router {
  const routes = Router()
  routes.get('/', async (req, res) => {
    const jobs = await jobsSeen(pool, me(req).personId, nowS())
    glances.ask(
      jobs.filter(({ stale }) => stale).map(({ jobId }) => jobId),
      nowS(),
    )
    res.json({ jobs, serverNowS: nowS() })
  })
  routes.get('/named', async (req, res) => {
    const text = typeof req.query.q === 'string' ? req.query.q.trim() : ''
    if (!text || text.length > MOST_LETTERS)
      throw new HttpError(422, 'bad-input', refusal('refused-say-what-to-look'), 'q')
    res.json({ hits: await lookFor(pool, me(req).personId, text, MOST_HITS) })
  })
  return routes
}
