import type pg from 'pg'
import { takeGlance } from './db/glance.js'
import { makePack } from './db/pack.js'
import { threadOf } from './thread.js'

/** What is made of a log and kept beside it: made anew at any time, so nobody waits for it. */
export const MADE = {
  glance: takeGlance,
  pack: makePack,
} as const satisfies Record<string, (pool: pg.Pool, jobId: string, nowS: number) => Promise<void>>
export type Made = keyof typeof MADE

/** Makes something of jobs, one after another, behind whoever asked. */
export interface Behind {
  /** @param nowS epoch s: as of when. */
  ask(jobIds: readonly string[], nowS: number): void
  stop(): Promise<void>
}

/** The queue that both ways share: a job is asked for once, however often it is looked at. */
export function behindBy(
  take: (jobId: string, nowS: number) => Promise<void>,
  end: () => Promise<void> = async () => undefined,
): Behind {
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

/** Nothing is made: what would be is done without. */
export const NOWHERE: Behind = { ask: () => undefined, stop: async () => undefined }
/** In this thread: where there is none to spare. */
export const behindHere = (made: Made, pool: pg.Pool): Behind =>
  behindBy((jobId, nowS) => MADE[made](pool, jobId, nowS))

/** In a thread of its own, which has its own way to the database: a large log holds nobody up. */
export function behindApart(made: Made, script: URL, databaseUrl: string, pooler: boolean): Behind {
  const thread = threadOf<{ jobId: string; nowS: number }, { failed?: string }>(script, {
    workerData: { made, databaseUrl, pooler },
  })
  return behindBy(async (jobId, nowS) => {
    const { failed } = await thread.ask({ jobId, nowS })
    if (failed) throw new Error(failed)
  }, thread.stop)
}
