import { type Answer, Refusal } from '@jugalis/core'
import { HttpError } from './errors.js'
import { threadOf } from './thread.js'
import { refusal } from './words.js'

type Reply =
  | { answer: Answer }
  | { refusal: { code: ConstructorParameters<typeof Refusal>[0]; message: string; field: string | null } }
  | { failed: string }
export interface Heavy {
  /**
   * @param waits whether it waits for its turn, as what is soon answered does.
   * @throws HttpError 503 while too many wait.
   */
  run(name: string, body: unknown, waits?: boolean): Promise<Answer>
  stop(): Promise<void>
}
/** Seconds after which a thread that says nothing is given up. */
const GIVE_UP_MS = 20_000
const RETRY_AFTER_S = 5
const MOST_WAITING = 32
/** Questions that take seconds: one at work, and few behind it. */
const MOST_LONG = 3

/** Runs heavy calculations in one worker thread, one at a time. The thread starts with the first question. */
export function heavyThread(script: URL): Heavy {
  const thread = threadOf<{ name: string; body: unknown }, Reply>(script, { giveUpMs: GIVE_UP_MS })
  /** At work, and waiting behind it. */
  let asked = 0
  let turn: Promise<unknown> = Promise.resolve()
  return {
    async run(name, body, waits = false) {
      if (asked >= (waits ? MOST_WAITING : MOST_LONG))
        throw new HttpError(503, 'busy', refusal('refused-another-plan-is-being'), null, {
          retryAfterS: RETRY_AFTER_S,
        })
      asked++
      try {
        const own = turn.then(() => thread.ask({ name, body }))
        // How the one before ended is its own matter.
        turn = own.catch(() => undefined)
        const reply = await own
        if ('answer' in reply) return reply.answer
        if ('refusal' in reply)
          throw new Refusal(reply.refusal.code, reply.refusal.message, reply.refusal.field)
        throw new Error(reply.failed)
      } finally {
        asked--
      }
    },
    stop: thread.stop,
  }
}
