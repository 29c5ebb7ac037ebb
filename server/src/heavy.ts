import { type Answer, Refusal } from '@jugalis/core'
import { Worker } from 'node:worker_threads'
import { HttpError } from './errors.js'
import { refusal } from './words.js'

type Reply =
  | { answer: Answer }
  | { refusal: { code: ConstructorParameters<typeof Refusal>[0]; message: string; field: string | null } }
  | { failed: string }
export interface Heavy {
  /** @throws HttpError 503 while another question is at work. */
  run(name: string, body: unknown): Promise<Answer>
  stop(): Promise<void>
}
/** Seconds after which a thread that says nothing is given up. */
const GIVE_UP_MS = 20_000
const RETRY_AFTER_S = 5

/** Runs heavy calculations in one worker thread, one at a time. The thread starts with the first question. */
export function heavyThread(script: URL): Heavy {
  let worker: Worker | null = null
  let busy = false
  const start = (): Worker => {
    const fresh = new Worker(script)
    fresh.on('exit', () => (worker = worker === fresh ? null : worker))
    // Nobody waits for it when the server ends.
    fresh.unref()
    return fresh
  }
  function ask(name: string, body: unknown): Promise<Reply> {
    const running = (worker ??= start())
    return new Promise((resolve, reject) => {
      const timer = setTimeout(
        () => end(() => reject(new Error('The planner did not answer.')), true),
        GIVE_UP_MS,
      )
      const end = (then: () => void, kill = false): void => {
        clearTimeout(timer)
        running.removeAllListeners('message')
        running.removeAllListeners('error')
        if (kill) void running.terminate()
        then()
      }
      running.once('message', (m: Reply) => end(() => resolve(m)))
      running.once('error', (e) => end(() => reject(e), true))
      running.postMessage({ name, body })
    })
  }
  return {
    async run(name, body) {
      if (busy)
        throw new HttpError(503, 'busy', refusal('refused-another-plan-is-being'), null, {
          retryAfterS: RETRY_AFTER_S,
        })
      busy = true
      try {
        const reply = await ask(name, body)
        if ('answer' in reply) return reply.answer
        if ('refusal' in reply)
          throw new Refusal(reply.refusal.code, reply.refusal.message, reply.refusal.field)
        throw new Error(reply.failed)
      } finally {
        busy = false
      }
    },
    async stop() {
      await worker?.terminate()
    },
  }
}
