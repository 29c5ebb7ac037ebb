import { Worker, type WorkerOptions } from 'node:worker_threads'

export interface Thread<Question, Reply> {
  /**
   * One question at a time. @param moved goes over as it is: whoever asks has it no more.
   * Rejects where the thread fails, ends, or says nothing for too long.
   */
  ask(question: Question, moved?: ArrayBuffer): Promise<Reply>
  stop(): Promise<void>
}
/**
 * A thread of its own for what would keep everybody else waiting. It starts with the first question, and anew with the
 * next one after it ended; nobody waits for it when the server ends.
 * @param giveUpMs after so long without a word it is ended. Absent: it may take as long as it takes.
 */
export function threadOf<Question, Reply>(
  script: URL,
  { giveUpMs, ...options }: WorkerOptions & { giveUpMs?: number } = {},
): Thread<Question, Reply> {
  let worker: Worker | null = null
  const start = (): Worker => {
    const fresh = new Worker(script, options)
    fresh.on('exit', () => (worker = worker === fresh ? null : worker))
    fresh.unref()
    return fresh
  }
  return {
    ask(question, moved) {
      const running = (worker ??= start())
      return new Promise<Reply>((resolve, reject) => {
        const timer =
          giveUpMs === undefined
            ? undefined
            : setTimeout(() => fail(new Error('no answer in time')), giveUpMs)
        const end = (): void => {
          clearTimeout(timer)
          running.removeListener('message', answer)
          running.removeListener('error', fail)
          running.removeListener('exit', gone)
        }
        const answer = (reply: Reply): void => {
          end()
          resolve(reply)
        }
        const fail = (error: unknown): void => {
          end()
          void running.terminate()
          reject(error instanceof Error ? error : new Error(String(error)))
        }
        const gone = (): void => fail(new Error('the thread ended'))
        running.once('message', answer)
        running.once('error', fail)
        running.once('exit', gone)
        running.postMessage(question, moved ? [moved] : [])
      })
    },
    async stop() {
      await worker?.terminate()
    },
  }
}
