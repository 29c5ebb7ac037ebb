import type { Request, RequestHandler } from 'express'
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

const HARMLESS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS'])
/** Did a page of ours ask, as far as its browser says? What is no browser says nothing. */
function isOwnPage(req: Request): boolean {
  const site = req.get('sec-fetch-site')
  // 'none': a person typed the address.
  if (site !== undefined) return site === 'same-origin' || site === 'none'
  const origin = req.get('origin')
  if (origin === undefined) return true
  return URL.canParse(origin) && new URL(origin).host === req.host
}
/** What changes something under somebody's session is asked by our own pages alone, whatever else their browser has open. */
export const ownPagesOnly: RequestHandler = (req, _res, next) => {
  if (!HARMLESS.has(req.method) && !isOwnPage(req))
    throw new HttpError(403, 'cross-site', refusal('refused-cross-site'))
  next()
}
