import type { History } from '../../conditions/history.js'
import type { CureMode } from './pace.js'
import type { CureRule } from './rule.js'
import { type Run, runAt, runsOf } from './demands.js'

/**
 * What joints share that differ only in when they were made, so that a later one is never ahead of an earlier one:
 * the rule and the history and, by the coldest reading, the stretch it was made in (a joint made after the cold may
 * well be ready before one made in it).
 */
export type Kin = readonly Run[] | Run

/** What joints of one rule share, whose cure runs alike. @param homeS when one was made, epoch s. */
export function kinOf(rule: CureRule, homeS: number, history: History, mode: CureMode): Kin {
  const runs = runsOf(rule, history, mode)
  return mode === 'accumulate' ? runs : (runs[runAt(runs, homeS)] as Run)
}

/**
 * Joints of one kin made at or after this time share the curve of the one made at `lastMadeAtS`; all made before it
 * have gained on them. It is `lastMadeAtS` itself unless the readings counted nothing just before.
 */
export function sameCurveFromS(kin: Kin, lastMadeAtS: number): number {
  if ('fromS' in kin) return lastMadeAtS
  let fromS = lastMadeAtS
  for (let i = runAt(kin, lastMadeAtS); i >= 0; i--) {
    const run = kin[i] as Run
    const counts = run.required.some((r) => r !== Infinity)
    // Made just as a stretch begins, nothing was gained in it yet: what lies before decides.
    if (counts && run.fromS < fromS) return fromS
    if (!counts) fromS = run.fromS
  }
  return fromS
}
