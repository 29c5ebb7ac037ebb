import type { JobState } from '../log/state.js'
import { greatest } from '../units/extent.js'
import { dayOf } from '../units/zone.js'
import type { JointFacts } from './assess.js'

/**
 * How a person stands to a way of joining on a day. not-kept: nobody's paper for it is written down on this job, so that
 * nothing is asked. valid, ended: by the paper that lasts longest. none: others have one, this person not.
 */
export type Qualified = { is: 'not-kept' | 'valid' | 'none' } | { is: 'ended'; untilOn: string }
/** @param method way of joining, by its id. @param on YYYY-MM-DD. */
export function qualifiedFor(
  { qualifications }: Pick<JobState, 'qualifications'>,
  personId: string,
  method: string,
  on: string,
): Qualified {
  const all = [...qualifications.values()].filter(({ methods }) => methods.includes(method))
  if (!all.length) return { is: 'not-kept' }
  const own = all.filter((one) => one.personId === personId)
  if (own.some(({ untilOn }) => untilOn === null || untilOn >= on)) return { is: 'valid' }
  const ended = own
    .flatMap(({ untilOn }) => untilOn ?? [])
    .sort()
    .at(-1)
  return ended === undefined ? { is: 'none' } : { is: 'ended', untilOn: ended }
}

/** Somebody who did a step of a joint without a paper for it, as papers stand on the day of the work. */
export interface MadeWithout {
  personId: string
  qualified: Exclude<Qualified, { is: 'not-kept' | 'valid' }>
}
/** Who of those that made a joint, as it is in the line now, had no valid paper for it on that day. */
export function madeWithout(
  state: Pick<JobState, 'qualifications' | 'job'>,
  { life, place }: Pick<JointFacts, 'life' | 'place'>,
): MadeWithout[] {
  if (!life?.done.length || !state.qualifications.size) return []
  return [...new Set(life.done.map(({ by }) => by))].flatMap((personId): MadeWithout[] => {
    const lastS = greatest(life.done.filter(({ by }) => by === personId).map(({ latestS }) => latestS))
    const qualified = qualifiedFor(state, personId, place.way.method, dayOf(lastS, state.job.zone))
    return qualified.is === 'ended' || qualified.is === 'none' ? [{ personId, qualified }] : []
  })
}
