import type { JobEvent } from './events.js'

const NONE: string[] = []

/**
 * Reads stored bodies back into events. Ids recur from entry to entry: where one equals that of the entry before, that
 * one is kept, since a large job would otherwise hold as many copies as it has entries.
 */
export function readEvents(bodies: Iterable<string>): JobEvent[] {
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
    out.push(e)
    last = e
  }
  return out
}
