import type { JointInSection } from '@jugalis/core'

export const FILTERS = ['all', 'waiting', 'not-to-be-moved', 'not-made', 'failed-or-doubtful'] as const
export type Filter = (typeof FILTERS)[number]

/** Which joints a filter in words keeps. */
export function passes(j: JointInSection, filter: Filter, nowS: number): boolean {
  const f = j.facts
  const failed = f.inspection?.verdict === 'fail'
  if (filter === 'not-made') return f.homeAtS === null
  if (filter === 'failed-or-doubtful')
    return failed || (f.homeAtS !== null && f.inspection?.verdict === 'unknown')
  if (filter === 'not-to-be-moved')
    return f.homeAtS !== null && !failed && (f.movable.value ?? Infinity) > nowS
  if (filter === 'waiting') return f.homeAtS !== null && !failed && (j.readyAtS ?? Infinity) > nowS
  return true
}
