import type { History } from '../../conditions/history.js'
import { type CureMode, paceOf } from './pace.js'
import type { Piece } from './piecewise.js'
import type { CureClass, CureRule } from './rule.js'
import { type Run, runAt, runsOf } from './runs.js'

/** Longest chord drawn for a curved stretch (the contract allows 900 s), and how far a chord may lie below the curve. */
const LONGEST_CHORD_S = 900
const SHORTEST_CHORD_S = 30
const CHORD_LAG_BAR = 0.01
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
  if (rule.perBarS !== null) {
    const runs = runsOf(rule, history, mode)
    if (mode === 'coldest') return perBarColdest(rule, homeS, runs, holder)
    return perBarAccumulated(rule, homeS, runs, holder)
  }
  const out: Piece[] = [{ fromS: homeS, bar: 0, slopeBarPerS: 0, holder, reachedS: homeS }]
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
    const last = this.pieces[this.pieces.length - 1] as Piece
    this.y = toBar
    if (last.slopeBarPerS === 0 && slope === 0 && last.bar === bar) return
    const piece = { fromS, bar, slopeBarPerS: slope, holder: this.holder, reachedS: fromS }
    if (last.fromS === fromS) this.pieces[this.pieces.length - 1] = piece
    else this.pieces.push(piece)
  }
}

const ceiling = (c: CureClass): number => c.toBar ?? Infinity

/** Hours per bar by the coldest reading: what has been earned stays earned, a later cold hour only stops the climb. */
function perBarColdest(rule: CureRule, homeS: number, runs: readonly Run[], holder: number): Piece[] {
  const perBar = rule.perBarS as number
  const curve = new Curve(homeS, holder)
  const classes = rule.classes
  const slowest = new Array<number>(classes.length).fill(0)
  const top = ceiling(classes[classes.length - 1] as CureClass)
  for (let i = runAt(runs, homeS); i < runs.length && curve.y < top; i++) {
    const run = runs[i] as Run
    const b = (runs[i + 1]?.fromS ?? homeS + HORIZON_S) - homeS
    let u = Math.max(0, run.fromS - homeS)
    for (let k = 0; k < classes.length; k++)
      slowest[k] = Math.max(slowest[k] as number, run.required[k] as number)
    while (u < b) {
      // Up to the moment when the next class comes within reach, or to the end of the run.
      let v = b
      let cap = 0
      for (let k = 0; k < classes.length; k++) {
        const need = slowest[k] as number
        if (need <= u) cap = Math.max(cap, ceiling(classes[k] as CureClass))
        else if (need < v) v = need
      }
      climb(curve, u, v, perBar, cap)
      u = v
    }
  }
  return curve.pieces
}

/** One stretch of the climb: from what is reached, along the hours-per-bar line, up to the cap of its class. */
function climb(curve: Curve, u: number, v: number, perBar: number, cap: number): void {
  const value = Math.max(curve.y, Math.min(u / perBar, cap))
  if (value >= cap) return curve.draw(u, value)
  const meetT = Math.max(u, value * perBar)
  if (meetT > u) curve.draw(u, value)
  if (meetT >= v) return
  const capT = Math.min(v, cap * perBar)
  curve.draw(meetT, value, capT, capT / perBar)
  if (capT < v) curve.draw(capT, cap)
}

/** Classes ask for more as pressure rises, so each takes over where the one before it has reached its ceiling. */
function perBarAccumulated(rule: CureRule, homeS: number, runs: readonly Run[], holder: number): Piece[] {
  let all: Piece[] = []
  let floor = 0
  rule.classes.forEach((c, k) => {
    const part = accumulatedClass(rule.perBarS as number, c, k, homeS, runs, holder, floor)
    all = all.length ? continued(all, part, floor) : part
    floor = ceiling(c)
  })
  return all
}

/** `lower` to its ceiling, then `upper` from where it comes above that. */
function continued(lower: Piece[], upper: readonly Piece[], bar: number): Piece[] {
  for (let i = 0; i < upper.length; i++) {
    const p = upper[i] as Piece
    const endS = upper[i + 1]?.fromS ?? Infinity
    if (p.bar > bar) return [...lower, ...upper.slice(i)]
    if (p.slopeBarPerS <= 0) continue
    const atS = p.fromS + (bar - p.bar) / p.slopeBarPerS
    if (atS < endS)
      return [
        ...lower.filter((l) => l.fromS < atS),
        { ...p, fromS: atS, bar, reachedS: atS },
        ...upper.slice(i + 1),
      ]
  }
  return lower
}

/**
 * Accumulated hours per bar of one class, drawn only above `floor`. With W seconds where only hours-per-bar counts and C seconds at a second
 * requirement R, a pressure P is reached when W / (P·perBar) + C / max(P·perBar, R) = 1. A rule has one R a class.
 */
function accumulatedClass(
  perBar: number,
  c: CureClass,
  k: number,
  homeS: number,
  runs: readonly Run[],
  holder: number,
  floor: number,
): Piece[] {
  const curve = new Curve(homeS, holder)
  const cap = ceiling(c)
  let warmS = 0
  let coldS = 0
  let need = 0
  const value = (): number =>
    need === 0 || warmS + coldS >= need ? (warmS + coldS) / perBar : warmS / (perBar * (1 - coldS / need))
  for (let i = runAt(runs, homeS); i < runs.length; i++) {
    const required = (runs[i] as Run).required[k] as number
    let t = Math.max(0, (runs[i] as Run).fromS - homeS)
    const b = (runs[i + 1]?.fromS ?? homeS + HORIZON_S) - homeS
    if (required === Infinity) {
      curve.draw(t, curve.y)
      continue
    }
    const cold = required > 0
    if (cold) need = required
    while (t < b && curve.y < cap) {
      const curved = cold && warmS + coldS < need
      const before = value()
      // From a flat stretch the true curve may jump; only after a chord is the small lag made good by another chord.
      const y = curve.isFlat() ? Math.min(cap, Math.max(curve.y, before)) : curve.y
      const behind = y < before - 1e-12
      // Where the second requirement is met the curve bends, whichever way it came there.
      const toBend = warmS + coldS < need ? need - warmS - coldS : Infinity
      const toEnd = Math.min(b - t, toBend)
      if (
        curved &&
        floor > 0 &&
        curve.y === 0 &&
        warmS / (perBar * (1 - Math.min(need - warmS, coldS + toEnd) / need)) <= floor
      ) {
        coldS += toEnd
        t += toEnd
        continue
      }
      const left = 1 - coldS / need
      const step = curved
        ? Math.min(chordS(warmS, left, need, perBar), toEnd)
        : behind
          ? Math.min(LONGEST_CHORD_S, toEnd)
          : toEnd
      // A convex stretch is followed by its tangents, a straight one by itself: a chord never lies above the curve.
      const toBar = curved ? before + (warmS / (perBar * need * left ** 2)) * step : 0
      if (cold) coldS += step
      else warmS += step
      const goal = Math.max(y, curved ? toBar : value())
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

/** Length of the next tangent: so short that it falls behind the curve by less than the allowed lag. */
function chordS(warmS: number, left: number, need: number, perBar: number): number {
  const bend = (2 * warmS) / (perBar * need * need * left ** 3)
  const s = bend > 0 ? Math.sqrt((2 * CHORD_LAG_BAR) / bend) : LONGEST_CHORD_S
  return Math.max(SHORTEST_CHORD_S, Math.min(LONGEST_CHORD_S, s))
}
