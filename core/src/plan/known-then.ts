import { type JobEvent } from '../log/events.js'
import { foldJob } from '../log/fold.js'
import { type Glance, glanceOf } from './glance.js'

/** Entries that came after another and speak of the time before it, by what they are. */
export interface ToldLater {
  readings: number
  steps: number
  corrections: number
  others: number
}
/** A job as it was known when an entry was written: what came later, of whatever time, is not in it. */
export interface KnownThen {
  /** Entries that the log had by then, that one the last. */
  entries: number
  /** When it was written, epoch s. */
  atS: number
  glance: Glance
  /** Entries since then, and those among them that tell of before. */
  since: number
  later: ToldLater
}
const KIND_OF: Readonly<Record<string, keyof ToldLater>> = {
  reading: 'readings',
  'step-done': 'steps',
  'batch-done': 'steps',
  'cut-out': 'steps',
  correction: 'corrections',
}

/**
 * What was known when the last of these entries was written.
 * @param known the log up to and with it, in the order in which it was recorded; not empty. @param since what came after.
 */
export function knownThen(known: readonly JobEvent[], since: readonly JobEvent[]): KnownThen {
  const atS = known.at(-1)?.occurredAtS ?? 0
  const ids = new Set(known.map(({ id }) => id))
  const later: ToldLater = { readings: 0, steps: 0, corrections: 0, others: 0 }
  for (const event of since) {
    const { kind, data } = event
    const ofBefore = kind === 'correction' ? ids.has(String(data.target)) : event.occurredAtS < atS
    if (ofBefore) later[KIND_OF[kind] ?? 'others']++
  }
  return { entries: known.length, atS, glance: glanceOf(foldJob(known), atS), since: since.length, later }
}
