import { type AnyMsg, say } from '@jugalis/core'
import type { ErrorRequestHandler, Request, RequestHandler, Response } from 'express'
import { type Away, awayOf } from './db/away.js'
import { readerOf, refusal } from './words.js'

/** An answer that is not a success: status, code, a sentence, the field, and the reasons where there are several. */
export class HttpError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    /** A sentence of the book, or one that was said already. */
    readonly says: AnyMsg | string,
    readonly field: string | null = null,
    readonly more: Record<string, unknown> = {},
  ) {
    super(typeof says === 'string' ? says : say(says))
  }
}
export const notFound = (): HttpError =>
  new HttpError(404, 'not-found', refusal('refused-there-is-nothing-here'))

export const unknownRoute: RequestHandler = () => {
  throw notFound()
}

interface BodyParserError {
  type?: string
  status?: number
}
/** What our own look at a body's bytes says of it, in the way of the package that reads them. */
export const TOO_DEEP = 'entity.too.deep'
export const NO_TEXT = 'entity.no.text'
const UNREADABLE = ['entity.parse.failed', 'encoding.unsupported', 'charset.unsupported']
/** Soon enough that whoever waits asks again before they wonder. */
const RETRY_AFTER_S = 2
/** The database does not answer for now: nothing was written, and the same may be asked again. */
export const databaseAway = (why: Away): HttpError =>
  new HttpError(503, 'database-away', refusal(`refused-database-${why}`), null, {
    retryAfterS: RETRY_AFTER_S,
    why,
  })
/** What a body, a route or a check refused; null: a fault of ours. */
function knownError(error: unknown): HttpError | null {
  if (error instanceof HttpError) return error
  const away = awayOf(error)
  if (away) return databaseAway(away)
  const { type, status } = error as BodyParserError
  if (type === 'entity.too.large') return new HttpError(413, 'too-large', refusal('refused-that-is-too-much'))
  if (type === TOO_DEEP) return new HttpError(422, 'bad-input', refusal('refused-too-deep'))
  if (type === NO_TEXT) return new HttpError(422, 'bad-input', refusal('refused-no-text'))
  if (type && UNREADABLE.includes(type))
    return new HttpError(400, 'bad-input', refusal('refused-this-is-not-json'))
  if (typeof status === 'number' && status >= 400 && status < 500)
    return new HttpError(status, 'bad-input', refusal('refused-the-request-cant-be'))
  return null
}
/** Answers with what went wrong, in the one form there is. */
export function answerWith(error: HttpError, req: Request, res: Response): void {
  if (typeof error.more.retryAfterS === 'number') res.set('Retry-After', String(error.more.retryAfterS))
  const message = typeof error.says === 'string' ? error.says : say(error.says, readerOf(req))
  res.status(error.status).json({ error: { code: error.code, message, field: error.field, ...error.more } })
}
/** Turns whatever went wrong into one form. Nothing of the inside reaches a client. */
export const answerErrors: ErrorRequestHandler = (error: unknown, req, res, next) => {
  // Answered to the end already (the database was lost meanwhile, or the session could not be kept): what came of it
  // now is nobody's to hear, and no reason to cut a line that others' questions come over.
  if (res.writableEnded) return
  if (res.headersSent) return next(error)
  const known = knownError(error)
  if (!known) console.error(error)
  answerWith(known ?? new HttpError(500, 'failed', refusal('refused-something-went-wrong-here')), req, res)
}
