import type { JobState, TestRun } from '../../log/state.js'
import { type Limit, limitsOf } from './limits.js'

/** A reading that no part of the line was made for. */
export interface Over {
  atS: number
  bar: number
  limit: Limit
}
/**
 * The first reading of a test above what the weakest part of its section may take at the gauge, beyond what the gauge
 * can tell; null where there is none, or where no rating is known. It is evidence: kept, said aloud, never thrown away.
 */
export function overWeakest(state: JobState, test: TestRun): Over | null {
  const section = state.sections.get(test.sectionId)
  const [limit] = section ? limitsOf(state, section) : []
  if (!limit) return null
  const reading = test.readings.find((x) => x.bar > limit.atGaugeBar + test.resolutionBar)
  return reading ? { atS: reading.atS, bar: reading.bar, limit } : null
}
