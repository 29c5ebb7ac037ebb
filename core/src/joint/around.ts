import { type AskedFact, type Said } from '../methods/around.js'
import { methodOf } from '../methods/registry.js'
import type { JointPlace } from './lookup.js'
import type { JobState } from '../log/state.js'

/** Rubber beside a valve whose disc swings out of it. */
const MEETS: Readonly<Record<string, Said>> = { 'butterfly valve': { meets: 'butterfly-valve' } }

/**
 * What is known of a joint's surroundings: what the part it goes into says by itself, what was said of its line, and
 * what is different about this one. The last wins.
 */
export function saidOf(state: JobState, place: JointPlace): Said {
  return {
    ...MEETS[place.fitting?.fitting ?? ''],
    ...MEETS[place.part.fitting ?? ''],
    ...place.line.said,
    ...state.joints.get(place.jointId)?.said,
  }
}
/** What the rules of choice of this joint depend on and nobody has said yet. */
export const unsaid = (state: JobState, place: JointPlace): readonly AskedFact[] => {
  const said = saidOf(state, place)
  return (methodOf(place.way.method)?.asks ?? []).filter((fact) => (said[fact] ?? null) === null)
}
