import { type AnyMsg, say } from '@jugalis/core'
import type { ErrorRequestHandler, RequestHandler } from 'express'
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
const UNREADABLE = ['entity.parse.failed', 'encoding.unsupported', 'charset.unsupported']
/** What a body, a route or a check refused; null: a fault of ours. */
function knownError(error: unknown): HttpError | null {
  if (error instanceof HttpError) return error
  const { type, status } = error as BodyParserError
  if (type === 'entity.too.large') return new HttpError(413, 'too-large', refusal('refused-that-is-too-much'))
  if (type && UNREADABLE.includes(type))
    return new HttpError(400, 'bad-input', refusal('refused-this-is-not-json'))
  if (typeof status === 'number' && status >= 400 && status < 500)
    return new HttpError(status, 'bad-input', refusal('refused-the-request-cant-be'))
  return null
}
/** Turns whatever went wrong into one form. Nothing of the inside reaches a client. */
export const answerErrors: ErrorRequestHandler = (error: unknown, req, res, next) => {
  if (res.headersSent) return next(error)
  const known = knownError(error)
  if (!known) console.error(error)
  const answer = known ?? new HttpError(500, 'failed', refusal('refused-something-went-wrong-here'))
  if (typeof answer.more.retryAfterS === 'number') res.set('Retry-After', String(answer.more.retryAfterS))
  const message = typeof answer.says === 'string' ? answer.says : say(answer.says, readerOf(req))
  res
    .status(answer.status)
    .json({ error: { code: answer.code, message, field: answer.field, ...answer.more } })
}
