import type { History, Span } from '../../conditions/history.js'
import { type CureMode, slowerEnd } from './pace.js'
import type { CureRule } from './rule.js'

/** A stretch of a history over which a rule asks for the same in every class. */
export interface Run {
  fromS: number
  /** Seconds required in each class, Infinity where it has no figure: as the air is; for `coldest` as if it were dry. */
  required: readonly number[]
  /** For `coldest`: the same in damp air, and whether the air is damp. */
  ifHumid: readonly number[]
  humid: boolean
}
const caches = new WeakMap<History, Map<string, readonly Run[]>>()

/** A history as its rule sees it: neighbours that ask for the same are one. Worked out once for each pair. */
export function runsOf(rule: CureRule, history: History, mode: CureMode): readonly Run[] {
  let cache = caches.get(history)
  if (!cache) caches.set(history, (cache = new Map()))
  const key = `${mode} ${rule.id}`
  let runs = cache.get(key)
  if (!runs) cache.set(key, (runs = makeRuns(rule, history, mode)))
  return runs
}
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
  let low = 0
  let high = runs.length - 1
  while (low < high) {
    const mid = (low + high + 1) >> 1
    if ((runs[mid] as Run).fromS <= atS) low = mid
    else high = mid - 1
  }
  return low
}
