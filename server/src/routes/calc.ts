import { CALCULATIONS, Refusal } from '@jugalis/core'
import { Router } from 'express'
import { HttpError } from '../errors.js'
import type { Heavy } from '../heavy.js'
import { refusal } from '../words.js'
import { jsonBody } from '../json-body.js'

/** From here on a question may take longer than others should wait. */
const LARGE_BYTES = 8192
/** Up to here a look at whether it is a question keeps nobody waiting. */
const LOOKED_AT_BYTES = 65_536
/** The calculation door: no sign-in, reads and writes no job. */
export function calcRoutes(heavy: Heavy): Router {
  const routes = Router()
  const onlyGet = (): never => {
    throw new HttpError(405, 'bad-input', refusal('refused-read-the-list-with'))
  }
  routes
    .route('/')
    .get((_req, res) => {
      res.json(
        [...CALCULATIONS.values()].map(({ name, summary, input, example, sources }) => ({
          name,
          summary,
          input,
          example,
          sources,
        })),
      )
    })
    .all(onlyGet)
  routes
    .route('/:name')
    // A script may forget the content type; what counts is whether the body is a JSON object.
    .post(jsonBody('1mb', { type: () => true, strict: false }), async (req, res) => {
      const calculation = CALCULATIONS.get(String(req.params.name))
      if (!calculation)
        throw new HttpError(
          404,
          'unknown-calculation',
          refusal('refused-there-is-no-calculation', { name: String(req.params.name) }),
        )
      // The parser makes an empty object of no body at all.
      const sent = req.headers['transfer-encoding'] !== undefined || Number(req.headers['content-length']) > 0
      const body: unknown = sent ? req.body : null
      if (typeof body !== 'object' || body === null || Array.isArray(body))
        throw new HttpError(400, 'bad-input', refusal('refused-send-a-json-object'))
      // What is large is looked at where nobody else waits for it; small ones are answered sooner than handed over.
      const bytes = Number(req.headers['content-length'])
      const large = !(bytes <= LARGE_BYTES)
      try {
        // What is not a question is refused before anybody has to wait.
        if (calculation.heavy && bytes <= LOOKED_AT_BYTES) calculation.check(body)
        if (calculation.heavy) res.json(await heavy.run(calculation.name, body))
        else if (large) res.json(await heavy.run(calculation.name, body, true))
        else res.json(calculation.run(body))
      } catch (error) {
        if (error instanceof Refusal) throw new HttpError(422, error.code, error.message, error.field)
        throw error
      }
    })
    .all((req) => {
      if (!CALCULATIONS.has(String(req.params.name)))
        throw new HttpError(
          404,
          'unknown-calculation',
          refusal('refused-there-is-no-calculation', { name: String(req.params.name) }),
        )
      onlyGet()
    })
  return routes
}
