import type { JobEvent } from './events.js'

/**
 * Reads stored bodies back into events. Ids and names recur in thousands of entries: each is kept once, since a large
 * job would otherwise hold as many copies as it has entries.
 */
export function readEvents(bodies: Iterable<string>): JobEvent[] {
  const once = new Map<string, string>()
  const keep = (s: string): string => {
    const had = once.get(s)
    if (had !== undefined) return had
    once.set(s, s)
    return s
  }
  const out: JobEvent[] = []
  for (const body of bodies) {
    const e = JSON.parse(body) as JobEvent
    e.jobId = keep(e.jobId)
    e.kind = keep(e.kind)
    e.deviceId = keep(e.deviceId)
    e.actorId = keep(e.actorId)
    if (e.jointId !== null) e.jointId = keep(e.jointId)
    if (!e.after.length) e.after = NONE
    out.push(e)
  }
  return out
}
const NONE: string[] = []
