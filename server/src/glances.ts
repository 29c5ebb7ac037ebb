import { Worker } from 'node:worker_threads'
import type pg from 'pg'
import { takeGlance } from './db/glance.js'

/** Takes glances at jobs, one after another, without anybody waiting for them. */
export interface Glances {
  /** @param nowS epoch s: as of when. */
  ask(jobIds: readonly string[], nowS: number): void
  stop(): Promise<void>
}

/** The queue that both ways of taking glances share: a job is asked for once, however often it is looked at. */
export function glancesBy(
  take: (jobId: string, nowS: number) => Promise<void>,
  end: () => Promise<void> = async () => undefined,
): Glances {
  const wanted = new Map<string, number>()
  let running: Promise<void> | null = null
  let stopped = false
  async function run(): Promise<void> {
    for (let next = wanted.entries().next(); !next.done && !stopped; next = wanted.entries().next()) {
      const [jobId, nowS] = next.value
      wanted.delete(jobId)
      // One job that can't be read does not keep the others from being seen; it is asked for again.
      await take(jobId, nowS).catch((error: unknown) => {
        if (!stopped) console.error(jobId, error)
      })
    }
    running = null
  }
  return {
    ask(jobIds, nowS) {
      for (const jobId of jobIds) wanted.set(jobId, nowS)
      if (!stopped && wanted.size) running ??= run()
    },
    async stop() {
      stopped = true
      await running
      await end()
    },
  }
}

/** In this thread: where there is none to spare. */
export const glancesHere = (pool: pg.Pool): Glances =>
  glancesBy((jobId, nowS) => takeGlance(pool, jobId, nowS))

/** In a thread of its own, which has its own way to the database: a large log holds nobody up. */
export function glancesApart(script: URL, databaseUrl: string, pooler: boolean): Glances {
  let worker: Worker | null = null
  const start = (): Worker => {
    const fresh = new Worker(script, { workerData: { databaseUrl, pooler } })
    fresh.on('exit', () => (worker = worker === fresh ? null : worker))
    fresh.unref()
    return fresh
  }
  const take = (jobId: string, nowS: number): Promise<void> => {
    const running = (worker ??= start())
    return new Promise((resolve, reject) => {
      const end = (failed: unknown): void => {
        running.removeAllListeners('message')
        running.removeListener('error', end)
        running.removeListener('exit', gone)
        if (failed) reject(failed instanceof Error ? failed : new Error(String(failed)))
        else resolve()
      }
      const gone = (): void => end('exit')
      running.once('message', (said: { failed?: string }) => end(said.failed))
      running.once('error', end)
      running.once('exit', gone)
      running.postMessage({ jobId, nowS })
    })
  }
  return glancesBy(take, async () => {
    await worker?.terminate()
  })
}
