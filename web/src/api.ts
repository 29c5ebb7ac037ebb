import { localeOf } from '@jugalis/core'
import { apiAt } from './base'
import { languageNow, word } from './words/word'
/** One reason of a refusal; for a joint that waits, when it may. */
export interface Stop {
  code: string
  message: string
  /** What its sentence speaks of, to be said in the reader's own units. */
  params?: Record<string, string | number>
  readyAtS?: number
  /** Nobody may set it aside. */
  hard?: boolean
}
/** An answer of the server that is not a success. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly field: string | null,
    readonly stops: Stop[],
  ) {
    super(message)
  }
}
/** The network is not there: what was written stays on this device. */
export class NoSignal extends Error {}

interface ErrorBody {
  error?: {
    code?: string
    message?: string
    field?: string | null
    stops?: Stop[]
  }
}

/** What the server answers to a question, as text; null where it has nothing to say. */
export async function apiText(path: string): Promise<string | null> {
  let text: string
  let res: Response
  try {
    res = await fetch(apiAt(path), { credentials: 'same-origin' })
    text = await res.text()
  } catch {
    throw new NoSignal(word('ui-no-signal'))
  }
  if (res.ok) return res.status === 204 ? null : text
  throw refusedBy(res, text)
}
function refusedBy(res: Response, text: string): Error {
  let said: ErrorBody['error'] = {}
  try {
    said = (JSON.parse(text) as ErrorBody).error ?? {}
  } catch {
    // Whatever stands between us and the server answered in its own way.
  }
  if (res.status >= 502) return new NoSignal(word('app-the-server-does-not'))
  return new Refused(
    res.status,
    said.code ?? 'failed',
    said.message ?? word('app-something-went-wrong'),
    said.field ?? null,
    said.stops ?? [],
  )
}

export async function api<T>(method: string, path: string, body?: unknown): Promise<T> {
  let res: Response
  try {
    res = await fetch(apiAt(path), {
      method,
      credentials: 'same-origin',
      // A choice is kept even where the page is left right after it.
      keepalive: method === 'PUT',
      headers: {
        'accept-language': localeOf(languageNow()),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
  } catch {
    throw new NoSignal(word('ui-no-signal'))
  }
  if (res.ok) return (res.status === 204 ? null : await res.json()) as T
  throw refusedBy(res, await res.text().catch(() => ''))
}
