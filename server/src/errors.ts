import type { ErrorRequestHandler, RequestHandler } from 'express'

/** An answer that is not a success: status, code, a sentence, the field, and the reasons where there are several. */
export class HttpError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly field: string | null = null,
    readonly more: Record<string, unknown> = {},
  ) {
    super(message)
  }
}
export const notFound = (): HttpError => new HttpError(404, 'not-found', 'There is nothing here.')

export const unknownRoute: RequestHandler = () => {
  throw notFound()
}

interface BodyParserError {
  type?: string
  status?: number
}
/** Turns whatever went wrong into one form. Nothing of the inside reaches a client. */
export const answerErrors: ErrorRequestHandler = (e: unknown, _req, res, next) => {
  if (res.headersSent) return next(e)
  const parse = e as BodyParserError
  const known =
    e instanceof HttpError
      ? e
      : parse.type === 'entity.too.large'
        ? new HttpError(413, 'too-large', 'That is too much at once. Send smaller pieces.')
        : parse.type === 'entity.parse.failed' ||
            parse.type === 'encoding.unsupported' ||
            parse.type === 'charset.unsupported'
          ? new HttpError(400, 'bad-input', 'This is not JSON.')
          : typeof parse.status === 'number' && parse.status >= 400 && parse.status < 500
            ? new HttpError(parse.status, 'bad-input', 'The request can\u2019t be read.')
            : null
  if (!known) console.error(e)
  const answer =
    known ?? new HttpError(500, 'failed', 'Something went wrong here. Nothing was lost; try again.')
  if (typeof answer.more.retryAfterS === 'number') res.set('Retry-After', String(answer.more.retryAfterS))
  res
    .status(answer.status)
    .json({ error: { code: answer.code, message: answer.message, field: answer.field, ...answer.more } })
}
