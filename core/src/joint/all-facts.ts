import type { JobState } from '../log/state.js'
import { type JointFacts, jointFacts } from './assess.js'
import { jointPlaces } from './lookup.js'

/** Facts of every joint that the lines define, by the careful rule (coldest reading). @param nowS epoch s. */
export function allFacts(state: JobState, nowS: number): ReadonlyMap<string, JointFacts> {
  const known = new Map<string, JointFacts>()
  for (const id of jointPlaces(state).keys()) {
    const facts = jointFacts(state, id, 'coldest', nowS)
    if (facts) known.set(id, facts)
  }
  return known
}
