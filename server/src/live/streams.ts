import type { Response } from 'express'

/** Answers that are kept open, by who follows and what: they end when the right to them does. */
export interface Streams {
  keep(personId: string, jobId: string, res: Response): void
  /** Ends what somebody follows: one job, or all. */
  end(personId: string, jobId?: string): void
}

/** Those of this process; another one finds out at its next beat. */
export function openStreams(): Streams {
  const open = new Set<{ personId: string; jobId: string; res: Response }>()
  return {
    keep(personId, jobId, res) {
      const one = { personId, jobId, res }
      open.add(one)
      res.on('close', () => open.delete(one))
    },
    end(personId, jobId) {
      for (const one of open)
        if (one.personId === personId && (jobId === undefined || one.jobId === jobId)) one.res.end()
    },
  }
}
