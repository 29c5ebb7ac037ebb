import type { RequestHandler } from 'express'
import { methodsOf, OPERATIONS } from './described/operations.js'
import { HttpError } from './errors.js'
import { refusal } from './words.js'

/** Nothing the API answers is kept on the way, unless an answer says otherwise of itself. */
export const notKept: RequestHandler = (_req, res, next) => {
  res.set('Cache-Control', 'no-store')
  next()
}

const BODIES: ReadonlySet<string> = new Set(['POST', 'PUT', 'PATCH'])
/**
 * An address that answers other methods says which (405); a body of a kind nobody reads here is refused (415) before
 * anything looks into it. The calculation door takes whatever is JSON, whatever it is called.
 */
export const askedWell: RequestHandler = (req, res, next) => {
  const methods = methodsOf(req.path)
  if (methods.length && !methods.includes(req.method) && !['HEAD', 'OPTIONS'].includes(req.method)) {
    res.set('Allow', methods.join(', '))
    throw new HttpError(
      405,
      'bad-input',
      refusal('refused-here-only-is-answered', { methods: methods.join(', ') }),
    )
  }
  // A NUL has a meaning in no address of ours, and none in the database.
  if (/%00/.test(req.originalUrl)) throw new HttpError(400, 'bad-input', refusal('refused-no-text'))
  const sent = req.headers['transfer-encoding'] !== undefined || Number(req.headers['content-length']) > 0
  const binary =
    OPERATIONS.some((o) => o.takes && o.method.toUpperCase() === req.method) && /\/photos\//.test(req.path)
  if (
    BODIES.has(req.method) &&
    sent &&
    !binary &&
    !req.path.startsWith('/calc') &&
    !req.is(['json', '+json'])
  ) {
    res.set('Accept', 'application/json')
    throw new HttpError(415, 'bad-input', refusal('refused-send-json-and-say'))
  }
  next()
}
