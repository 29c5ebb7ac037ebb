import { KINDS, type JobEvent } from './events.js'

type Data = Record<string, unknown>
/** From version n to n + 1 of a kind. Once an event has been written, its upcaster stays for ever. */
const UPCASTERS: Readonly<Record<string, Readonly<Record<number, (data: Data) => Data>>>> = {
  // Version 1 kept the check-mark reading at the top of the data, not among the readings.
  'step-done': {
    1: ({ checkMm, ...data }) => ({
      ...data,
      readings: { ...(data.readings as Data), ...(checkMm !== undefined ? { checkMm } : {}) },
    }),
  },
}

/** Brings an event to the version this code knows. Unknown kinds and newer versions come back untouched. */
export function upcast(event: JobEvent): JobEvent {
  const known = KINDS[event.kind]
  if (!known || event.v >= known.v) return event
  let { v: version, data } = event
  while (version < known.v) {
    const step = UPCASTERS[event.kind]?.[version]
    if (!step) return event
    data = step(data)
    version += 1
  }
  return { ...event, v: version, data }
}
