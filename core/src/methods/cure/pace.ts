import { type History, type Span, spanAt } from '../../conditions/history.js'
import type { Required } from './rule.js'
import { onceEach } from '../../units/memo.js'
import { lastHolding } from '../../units/search.js'

/** `coldest`: the slowest reading so far rules. `accumulate`: each hour counts as 1 / required hours. */
export type CureMode = 'coldest' | 'accumulate'

export interface Finish {
  atS: number
  /** The span whose temperature settled the time. */
  span: Span
}

/**
 * How fast something cures along one history. For each span the seconds required at its slower end
 * (Infinity where the rule has no figure). For sign-off (`coldest`) a gap in the readings is unknown, and air that was
 * damp once in the cure counts as damp for the whole of it.
 */
export class Pace {
  /** As the air of the span itself is; for `coldest` as if it were dry. */
  private readonly required: Float64Array
  private readonly ifHumid: Float64Array | null
  private readonly done: Float64Array | null

  constructor(
    private readonly history: History,
    requiredS: Required,
    private readonly mode: CureMode,
  ) {
    const count = history.length
    this.required = new Float64Array(count)
    this.ifHumid = mode === 'coldest' ? new Float64Array(count) : null
    for (let i = 0; i < count; i++) {
      const span = history[i] as Span
      this.required[i] = slowerEnd(span, requiredS, mode, mode === 'accumulate' && span.humid)
      if (this.ifHumid) this.ifHumid[i] = slowerEnd(span, requiredS, mode, true)
    }
    this.done = mode === 'accumulate' ? new Float64Array(count) : null
    if (this.done)
      for (let i = 1; i < count; i++) {
        const from = (history[i - 1] as Span).fromS
        const length = (history[i] as Span).fromS - from
        const need = this.required[i - 1] as number
        const share = need === Infinity || from === -Infinity ? 0 : length / need
        this.done[i] = (this.done[i - 1] as number) + share
      }
  }

  /** When it is finished if it began at `homeS`; null when the readings never give a figure. */
  finish(homeS: number): Finish | null {
    return this.mode === 'coldest' ? this.coldest(homeS) : this.accumulated(homeS)
  }

  private coldest(homeS: number): Finish | null {
    const ifHumid = this.ifHumid as Float64Array
    let [dry, damp] = [0, 0]
    let humid = false
    let slowest = 0
    let ruling = spanAt(this.history, homeS)
    for (let i = ruling; i < this.history.length; i++) {
      const span = this.history[i] as Span
      if (this.required[i] === Infinity) return null
      dry = Math.max(dry, this.required[i] as number)
      damp = Math.max(damp, ifHumid[i] as number)
      humid ||= span.humid
      const need = humid ? damp : dry
      if (need > slowest) {
        slowest = need
        ruling = i
      }
      const from = Math.max(homeS, span.fromS)
      const atS = Math.max(from, homeS + slowest)
      const untilS = this.history[i + 1]?.fromS ?? Infinity
      if (atS < untilS) return { atS, span: this.history[ruling] as Span }
    }
    return null
  }

  private accumulated(homeS: number): Finish | null {
    const done = this.done as Float64Array
    const start = spanAt(this.history, homeS)
    const startNeed = this.required[start] as number
    const startFrom = Math.max((this.history[start] as Span).fromS, -Number.MAX_VALUE)
    const before =
      startNeed === Infinity || homeS <= startFrom
        ? (done[start] as number)
        : (done[start] as number) + (homeS - startFrom) / startNeed
    const goal = before + 1
    // The last span that begins unfinished is the one it finishes in.
    const low = lastHolding(start, this.history.length - 1, (i) => (done[i] as number) < goal)
    const need = this.required[low] as number
    if (need === Infinity) return null
    const from = low === start ? homeS : (this.history[low] as Span).fromS
    const share = low === start ? 1 : goal - (done[low] as number)
    return { atS: from + share * need, span: this.history[low] as Span }
  }
}

/** Seconds required at the slower end of a span, Infinity where unknown. */
export function slowerEnd(span: Span, requiredS: Required, mode: CureMode, humid: boolean): number {
  if (span.basis === 'none' || (span.basis === 'gap' && mode === 'coldest')) return Infinity
  const atColdest = requiredS(span.minC, humid)
  if (atColdest === null) return Infinity
  if (span.minC === span.maxC) return atColdest
  const atWarmest = requiredS(span.maxC, humid)
  return atWarmest === null ? Infinity : Math.max(atColdest, atWarmest)
}

/** The pace of a named rule along a history; worked out once for each pair, since thousands of joints share it. */
export const paceOf = (history: History, key: string, requiredS: Required, mode: CureMode): Pace =>
  paceAlong(history, key, requiredS, mode)
const paceAlong = onceEach(
  (key: string, _requiredS: Required, mode: CureMode) => `${mode} ${key}`,
  (history: History, _key, requiredS, mode) => new Pace(history, requiredS, mode),
)
