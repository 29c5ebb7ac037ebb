import type { History, Span } from '../../conditions/history.js'
import { type CureMode, slowerEnd } from './pace.js'
import type { CureRule } from './rule.js'
import { onceEach } from '../../units/memo.js'
import { lastHolding } from '../../units/search.js'

/** A stretch of a history over which a rule asks for the same in every class. */
export interface Run {
  fromS: number
  /** Seconds required in each class, Infinity where it has no figure: as the air is; for `coldest` as if it were dry. */
  required: readonly number[]
  /** For `coldest`: the same in damp air, and whether the air is damp. */
  ifHumid: readonly number[]
  humid: boolean
}

/** A history as its rule sees it: neighbours that ask for the same are one. Worked out once for each pair. */
export const runsOf = (rule: CureRule, history: History, mode: CureMode): readonly Run[] =>
  runsAlong(history, rule, mode)
const runsAlong = onceEach(
  (rule: CureRule, mode: CureMode) => `${mode} ${rule.id}`,
  (history: History, rule, mode): readonly Run[] => makeRuns(rule, history, mode),
)
function makeRuns(rule: CureRule, history: History, mode: CureMode): Run[] {
  const coldest = mode === 'coldest'
  const all = (history as readonly Span[]).map((span): Run => {
    const asIf = (humid: boolean): number[] =>
      rule.classes.map((c) => slowerEnd(span, c.requiredS, mode, humid))
    const required = asIf(!coldest && span.humid)
    return {
      fromS: span.fromS,
      required,
      ifHumid: coldest ? asIf(true) : required,
      humid: coldest && span.humid,
    }
  })
  // Where damp air asks for no more anywhere, it makes no stretches of its own.
  const matters = all.some((r) => !alike(r.required, r.ifHumid))
  const out: Run[] = []
  for (const run of all) {
    const last = out.at(-1)
    const same =
      last &&
      alike(run.required, last.required) &&
      alike(run.ifHumid, last.ifHumid) &&
      (!matters || run.humid === last.humid)
    if (!same) out.push(run)
  }
  return out
}
const alike = (a: readonly number[], b: readonly number[]): boolean => a.every((x, i) => x === b[i])

/** Index of the run in force at a time; 0 for times before all. */
export function runAt(runs: readonly Run[], atS: number): number {
  return lastHolding(0, runs.length - 1, (i) => (runs[i] as Run).fromS <= atS)
}
