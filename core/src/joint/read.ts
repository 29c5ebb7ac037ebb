import type { JobEvent } from './events.js'

const NONE: never[] = []

/** Reads stored bodies back into events, whole. */
export const readEvents = (bodies: Iterable<string>): JobEvent[] => readAll(bodies, false)

/**
 * Reads stored bodies for the fold alone. The figures that were shown at a step are part of the record and of no effect
 * on the state: a large log that is only folded need not hold them.
 */
export const readToFold = (bodies: Iterable<string>): JobEvent[] => readAll(bodies, true)

/**
 * Ids recur from entry to entry: where one equals that of the entry before, that one is kept, since a large job would
 * otherwise hold as many copies as it has entries.
 */
function readAll(bodies: Iterable<string>, toFold: boolean): JobEvent[] {
  const out: JobEvent[] = []
  let last: JobEvent | null = null
  for (const body of bodies) {
    const e = JSON.parse(body) as JobEvent
    if (last) {
      if (e.jobId === last.jobId) e.jobId = last.jobId
      if (e.deviceId === last.deviceId) e.deviceId = last.deviceId
      if (e.actorId === last.actorId) e.actorId = last.actorId
      if (e.jointId === last.jointId) e.jointId = last.jointId
    }
    if (!e.after.length) e.after = NONE
    if (toFold && e.data.shown !== undefined) e.data.shown = NONE
    out.push(e)
    last = e
  }
  return out
}
