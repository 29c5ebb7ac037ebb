import type { JobState } from '../log/state.js'
import type { CureMode } from '../methods/cure/pace.js'
import { type JointFacts, jointFacts } from './assess.js'
import { type Conditions, conditionsNow, weatherAt } from './climate.js'
import { jointPlaces } from './lookup.js'
import { toolsReport } from './tools.js'

/** Facts of every joint that the lines define, by the careful rule (coldest reading). @param nowS epoch s. */
export const allFacts = (state: JobState, nowS: number): ReadonlyMap<string, JointFacts> =>
  factsOn(null, state, 'coldest', nowS).all

/** Facts of every joint, with what they were worked out from. */
export interface AllFacts {
  readonly all: ReadonlyMap<string, JointFacts>
  readonly state: JobState
  readonly mode: CureMode
  /** What is so at the place of each line at the time of asking. */
  readonly now: ReadonlyMap<string, Conditions>
}
function conditionsOf(state: JobState, nowS: number): ReadonlyMap<string, Conditions> {
  const places = new Set([...state.lines.values()].map(({ placeId }) => placeId))
  return new Map([...places].map((id) => [id, conditionsNow(weatherAt(state, id), nowS)]))
}
const sameNow = (a: AllFacts['now'], b: AllFacts['now']): boolean =>
  a.size === b.size && [...a].every(([id, conditions]) => b.get(id) === conditions)
/** Joints whose own entries alone have changed from one state to another; null where something changed that many share. */
function changedBetween(was: JobState, is: JobState): string[] | null {
  const shared =
    jointPlaces(was) === jointPlaces(is) &&
    was.charts === is.charts &&
    was.job === is.job &&
    was.readings === is.readings &&
    was.forecasts === is.forecasts &&
    was.store === is.store &&
    // What one of them says of a cycle is taken from another.
    (was.joints === is.joints || !toolsReport(is))
  if (!shared) return null
  if (was.joints === is.joints) return []
  const changed: string[] = []
  for (const [id, joint] of is.joints) if (was.joints.get(id) !== joint) changed.push(id)
  for (const id of was.joints.keys()) if (!is.joints.has(id)) changed.push(id)
  return changed
}

/**
 * Facts of every joint, going on from those of an earlier state or time: only joints that something changed for are
 * looked at again. @param had null to begin. @param nowS epoch s. @returns `had` itself where nothing has changed.
 */
export function factsOn(had: AllFacts | null, state: JobState, mode: CureMode, nowS: number): AllFacts {
  const now = conditionsOf(state, nowS)
  const going = had?.mode === mode && sameNow(had.now, now) ? had : null
  const changed = going && changedBetween(going.state, state)
  if (going && changed?.length === 0) return going.state === state ? going : { ...going, state }
  const all = new Map(changed ? going?.all : undefined)
  for (const id of changed ?? jointPlaces(state).keys()) {
    const facts = jointFacts(state, id, mode, nowS)
    if (facts) all.set(id, facts)
    else all.delete(id)
  }
  return { all, state, mode, now }
}
