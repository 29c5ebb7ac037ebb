import { type History, type Span, spanAt } from '../../conditions/history.js'
import { combine, type Piece } from './piecewise.js'
import { type CureMode, paceOf, slowerEnd } from './pace.js'
import type { CureClass, CureRule } from './rule.js'

/** Longest chord drawn for a curved stretch. The contract allows 900 s; shorter keeps the figure closer. */
const CHORD_S = 180
/** Past this the last reading is held on and nothing new can happen. */
const HORIZON_S = 60 * 86400

/**
 * Pressure a joint may take against time, from home on, by its cure rule along a history.
 * Never falling, never above the true curve. Starts with a piece of 0 bar at `homeS`.
 */
export function curePieces(
  rule: CureRule,
  homeS: number,
  history: History,
  mode: CureMode,
  holder = 0,
): Piece[] {
  const none: Piece[] = [{ fromS: homeS, bar: 0, slopeBarPerS: 0, holder, reachedS: homeS }]
  if (rule.perBarS !== null) {
    return mode === 'coldest'
      ? perBarColdest(rule, homeS, history, holder)
      : perBarAccumulated(rule, homeS, history, holder)
  }
  const out = none
  rule.classes.forEach((c, i) => {
    const finish = paceOf(history, `${rule.id}#${i}`, c.requiredS, mode).finish(homeS)
    if (!finish) return
    const bar = c.toBar ?? Infinity
    const last = out.at(-1) as Piece
    const piece = { fromS: finish.atS, bar, slopeBarPerS: 0, holder, reachedS: finish.atS }
    if (last.fromS === finish.atS) out[out.length - 1] = piece
    else out.push(piece)
  })
  return out
}

/** Walks the spans after home, in seconds from home. */
function* spansFrom(history: History, homeS: number): Generator<{ span: Span; a: number; b: number }> {
  for (let i = spanAt(history, homeS); i < history.length; i++) {
    const span = history[i] as Span
    const a = Math.max(0, span.fromS - homeS)
    const b = (history[i + 1]?.fromS ?? homeS + a + HORIZON_S) - homeS
    if (b > a) yield { span, a, b }
  }
}

class Curve {
  readonly pieces: Piece[]
  /** Value the drawn curve has at the end of its last piece. */
  y = 0
  constructor(
    private readonly homeS: number,
    private readonly holder: number,
  ) {
    this.pieces = [{ fromS: homeS, bar: 0, slopeBarPerS: 0, holder, reachedS: homeS }]
  }
  isFlat(): boolean {
    return (this.pieces.at(-1) as Piece).slopeBarPerS === 0
  }
  /** From `t` on: flat at `bar`, or a chord to `toBar` at `untilT`. */
  draw(t: number, bar: number, untilT = Infinity, toBar = bar): void {
    const slope = toBar > bar ? (toBar - bar) / (untilT - t) : 0
    const fromS = this.homeS + t
    const last = this.pieces.at(-1) as Piece
    this.y = toBar
    if (last.slopeBarPerS === 0 && slope === 0 && last.bar === bar) return
    const piece = { fromS, bar, slopeBarPerS: slope, holder: this.holder, reachedS: fromS }
    if (last.fromS === fromS) this.pieces[this.pieces.length - 1] = piece
    else this.pieces.push(piece)
  }
}

const ceiling = (c: CureClass): number => c.toBar ?? Infinity

function perBarColdest(rule: CureRule, homeS: number, history: History, holder: number): Piece[] {
  const perBar = rule.perBarS as number
  const curve = new Curve(homeS, holder)
  const slowest = rule.classes.map(() => 0)
  const top = ceiling(rule.classes.at(-1) as CureClass)
  for (const { span, a, b } of spansFrom(history, homeS)) {
    rule.classes.forEach((c, k) => {
      slowest[k] = Math.max(slowest[k] as number, slowerEnd(span, c.requiredS, 'coldest'))
    })
    const stops = [a, ...slowest.filter((t) => t > a && t < b).sort((x, y) => x - y), b]
    for (let s = 0; s + 1 < stops.length; s++) {
      const u = stops[s] as number
      const v = stops[s + 1] as number
      let cap = 0
      rule.classes.forEach((c, k) => {
        if ((slowest[k] as number) <= u) cap = Math.max(cap, ceiling(c))
      })
      // What has been earned stays earned: a later cold hour stops the climb, it takes nothing back.
      const value = Math.max(curve.y, Math.min(u / perBar, cap))
      if (value >= cap) {
        curve.draw(u, value)
        continue
      }
      const meetT = Math.max(u, value * perBar)
      if (meetT > u) curve.draw(u, value)
      if (meetT >= v) continue
      const capT = Math.min(v, cap * perBar)
      curve.draw(meetT, value, capT, capT / perBar)
      if (capT < v) curve.draw(capT, cap)
    }
    if (curve.y >= top) break
  }
  return curve.pieces
}

/**
 * Accumulated hours per bar. With W seconds where only hours-per-bar counts and C seconds at a second requirement R,
 * a pressure P is reached when W / (P·perBar) + C / max(P·perBar, R) = 1. A rule has one R for each class.
 */
function perBarAccumulated(rule: CureRule, homeS: number, history: History, holder: number): Piece[] {
  const parts = rule.classes.map((c) => accumulatedClass(rule.perBarS as number, c, homeS, history, holder))
  return parts.reduce((all, next) => combine(all, next, 'max'))
}

function accumulatedClass(
  perBar: number,
  c: CureClass,
  homeS: number,
  history: History,
  holder: number,
): Piece[] {
  const curve = new Curve(homeS, holder)
  const cap = ceiling(c)
  let warmS = 0
  let coldS = 0
  let need = 0
  const value = (w: number, d: number): number =>
    need === 0 || w + d >= need ? (w + d) / perBar : w / (perBar * (1 - d / need))
  const tangent = (w: number, d: number): number => w / (perBar * need * (1 - d / need) ** 2)
  for (const { span, a, b } of spansFrom(history, homeS)) {
    const required = slowerEnd(span, c.requiredS, 'accumulate')
    if (required === Infinity) {
      curve.draw(a, curve.y)
      continue
    }
    const cold = required > 0
    if (cold) need = required
    let t = a
    while (t < b && curve.y < cap) {
      const curved = cold && warmS + coldS < need
      const before = value(warmS, coldS)
      // From a flat stretch the true curve may jump; only after a chord is the small lag made good by another chord.
      const y = curve.isFlat() ? Math.min(cap, Math.max(curve.y, before)) : curve.y
      const behind = y < before - 1e-12
      const toEnd = curved ? Math.min(b - t, need - warmS - coldS) : b - t
      const step = curved || behind ? Math.min(CHORD_S, toEnd) : toEnd
      // A convex stretch is followed by its tangents, a straight one by itself: a chord never lies above the curve.
      const toBar = curved ? before + tangent(warmS, coldS) * step : 0
      if (cold) coldS += step
      else warmS += step
      const goal = Math.max(y, curved ? toBar : value(warmS, coldS))
      if (goal >= cap) {
        const reachT = y < cap ? t + ((cap - y) / (goal - y)) * step : t
        if (reachT > t) curve.draw(t, y, reachT, cap)
        curve.draw(reachT, cap)
        return curve.pieces
      }
      curve.draw(t, y, t + step, goal)
      t += step
    }
  }
  return curve.pieces
}
