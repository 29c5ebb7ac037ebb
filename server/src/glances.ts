import type pg from 'pg'
import { takeGlance } from './db/glance.js'
import { threadOf } from './thread.js'

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
  const thread = threadOf<{ jobId: string; nowS: number }, { failed?: string }>(script, {
    workerData: { databaseUrl, pooler },
  })
  return glancesBy(async (jobId, nowS) => {
    const { failed } = await thread.ask({ jobId, nowS })
    if (failed) throw new Error(failed)
  }, thread.stop)
}
