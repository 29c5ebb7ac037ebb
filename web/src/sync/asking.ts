import type { createEngine } from './engine'
import { followJob } from './live'

/** How often the log is asked for: while a stream tells of every growth, and while none does. */
const ASK_MS = { followed: 30_000, alone: 3000 }

/** Asks for what is new as long as a job is open: seldom while its stream tells, often while nothing does. */
export function askingFor(engine: Pick<ReturnType<typeof createEngine>, 'ask'>, often: () => boolean) {
  let timer: ReturnType<typeof setTimeout> | undefined
  let live: ReturnType<typeof followJob> | null = null
  function poll(): void {
    clearTimeout(timer)
    timer = setTimeout(
      () => void engine.ask().finally(() => live && poll()),
      often() || !live?.alive() ? ASK_MS.alone : ASK_MS.followed,
    )
  }
  return {
    begin(jobId: string, isNew: (seq: number) => boolean): void {
      live = followJob(jobId, (seq) => {
        if (isNew(seq)) void engine.ask()
      })
      poll()
    },
    end(): void {
      clearTimeout(timer)
      live?.stop()
      live = null
    },
  }
}
