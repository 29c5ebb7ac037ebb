import type { History, Span } from '../../conditions/history.js'
import { type CureMode, slowerEnd } from './pace.js'
import type { CureRule } from './rule.js'

/** A stretch of a history over which a rule asks for the same in every class. */
export interface Run {
  fromS: number
  /** Seconds required in each class of the rule, Infinity where it has no figure. */
  required: readonly number[]
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
  const out: Run[] = []
  for (const span of history as readonly Span[]) {
    const required = rule.classes.map((c) => slowerEnd(span, c.requiredS, mode))
    const last = out.at(-1)
    if (!last || required.some((r, k) => r !== last.required[k])) out.push({ fromS: span.fromS, required })
  }
  return out
}

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
