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
    const event = JSON.parse(body) as JobEvent
    if (last) {
      if (event.jobId === last.jobId) event.jobId = last.jobId
      if (event.deviceId === last.deviceId) event.deviceId = last.deviceId
      if (event.actorId === last.actorId) event.actorId = last.actorId
      if (event.jointId === last.jointId) event.jointId = last.jointId
    }
    if (!event.after.length) event.after = NONE
    if (toFold && event.data.shown !== undefined) event.data.shown = NONE
    out.push(event)
    last = event
  }
  return out
}
