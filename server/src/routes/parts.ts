import { type OwnPart, ownPartFault, sentPartsFault } from '@jugalis/core'
import { Router } from 'express'
import type pg from 'pg'
import { dropPart, partsOf, putParts } from '../db/parts.js'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import { me } from './session.js'
import { jsonBody } from '../json-body.js'

/** Parts of a request, each of them whole; the first that is not is named by its place and field. */
function partsIn(body: unknown): OwnPart[] {
  const fault = sentPartsFault(body)
  if (fault) throw new HttpError(422, 'bad-input', fault.message, fault.field)
  const { parts } = body as { parts: OwnPart[] }
  const seen = new Set<string>()
  parts.forEach((part, at) => {
    const wrong = ownPartFault(part)
    if (wrong) throw new HttpError(422, 'bad-input', wrong.says, `parts[${at}].${wrong.field}`)
    if (seen.has(part.name))
      throw new HttpError(
        422,
        'bad-input',
        refusal('refused-part-twice', { name: part.name }),
        `parts[${at}].name`,
      )
    seen.add(part.name)
  })
  return parts
}

/** Fittings that the organisation names itself. */
export function partRoutes(pool: pg.Pool, nowS: () => number): Router {
  const routes = Router()
  routes.get('/', async (req, res) => {
    res.json({ parts: await partsOf(pool, me(req).orgId) })
  })
  routes.post('/', jsonBody('1mb'), async (req, res) => {
    const parts = partsIn(req.body)
    await putParts(pool, me(req), parts, nowS())
    res.status(201).json({ parts: await partsOf(pool, me(req).orgId) })
  })
  routes.delete('/:name', async (req, res) => {
    const { name } = req.params
    if (!(await dropPart(pool, me(req).orgId, name)))
      throw new HttpError(404, 'not-found', refusal('refused-no-such-part', { name }))
    res.status(204).end()
  })
  return routes
}
