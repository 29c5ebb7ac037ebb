import type { JointInSection } from '@jugalis/core'

export const FILTERS = ['all', 'waiting', 'not-to-be-moved', 'not-made', 'failed-or-doubtful'] as const
export type Filter = (typeof FILTERS)[number]

/** Which joints a filter in words keeps. */
export function passes(joint: JointInSection, filter: Filter, nowS: number): boolean {
  const facts = joint.facts
  const failed = facts.inspection?.verdict === 'fail'
  if (filter === 'not-made') return facts.homeAtS === null
  if (filter === 'failed-or-doubtful')
    return failed || (facts.homeAtS !== null && facts.inspection?.verdict === 'unknown')
  if (filter === 'not-to-be-moved')
    return facts.homeAtS !== null && !failed && (facts.movable.value ?? Infinity) > nowS
  if (filter === 'waiting') return facts.homeAtS !== null && !failed && (joint.readyAtS ?? Infinity) > nowS
  return true
}
