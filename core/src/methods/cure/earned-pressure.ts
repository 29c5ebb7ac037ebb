import type { History } from '../../conditions/history.js'
import { type CureMode, paceOf } from './pace.js'
import type { Piece } from './piecewise.js'
import { Earned, LONGEST_CHORD_S } from './earned.js'
import type { CureClass, CureRule } from './rule.js'
import { type Run, runAt, runsOf } from './demands.js'

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
  rule.classes.forEach((cureClass, i) => {
    const finish = paceOf(history, `${rule.id}#${i}`, cureClass.requiredS, mode).finish(homeS)
    if (!finish) return
    const bar = cureClass.toBar ?? Infinity
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
  draw(atT: number, bar: number, untilT = Infinity, toBar = bar): void {
    const slope = toBar > bar ? (toBar - bar) / (untilT - atT) : 0
    const fromS = this.homeS + atT
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
  const dry = new Array<number>(classes.length).fill(0)
  const damp = [...dry]
  let humid = false
  const top = ceiling(classes[classes.length - 1] as CureClass)
  for (let i = runAt(runs, homeS); i < runs.length && curve.y < top; i++) {
    const run = runs[i] as Run
    const end = (runs[i + 1]?.fromS ?? homeS + HORIZON_S) - homeS
    let from = Math.max(0, run.fromS - homeS)
    for (let k = 0; k < classes.length; k++) {
      dry[k] = Math.max(dry[k] as number, run.required[k] as number)
      damp[k] = Math.max(damp[k] as number, run.ifHumid[k] as number)
    }
    humid ||= run.humid
    const slowest = humid ? damp : dry
    while (from < end) {
      // Up to the moment when the next class comes within reach, or to the end of the run.
      let to = end
      let cap = 0
      for (let k = 0; k < classes.length; k++) {
        const need = slowest[k] as number
        if (need <= from) cap = Math.max(cap, ceiling(classes[k] as CureClass))
        else if (need < to) to = need
      }
      climb(curve, from, to, perBar, cap)
      from = to
    }
  }
  return curve.pieces
}

/** One stretch of the climb: from what is reached, along the hours-per-bar line, up to the cap of its class. */
function climb(curve: Curve, from: number, to: number, perBar: number, cap: number): void {
  const value = Math.max(curve.y, Math.min(from / perBar, cap))
  if (value >= cap) return curve.draw(from, value)
  const meetT = Math.max(from, value * perBar)
  if (meetT > from) curve.draw(from, value)
  if (meetT >= to) return
  const capT = Math.min(to, cap * perBar)
  curve.draw(meetT, value, capT, capT / perBar)
  if (capT < to) curve.draw(capT, cap)
}

/** Classes ask for more as pressure rises, so each takes over where the one before it has reached its ceiling. */
function perBarAccumulated(rule: CureRule, homeS: number, runs: readonly Run[], holder: number): Piece[] {
  let all: Piece[] = []
  let floor = 0
  rule.classes.forEach((cureClass, k) => {
    const part = accumulatedClass(rule.perBarS as number, cureClass, k, homeS, runs, holder, floor)
    all = all.length ? continued(all, part, floor) : part
    floor = ceiling(cureClass)
  })
  return all
}

/** `lower` to its ceiling, then `upper` from where it comes above that. */
function continued(lower: Piece[], upper: readonly Piece[], bar: number): Piece[] {
  for (let i = 0; i < upper.length; i++) {
    const piece = upper[i] as Piece
    const endS = upper[i + 1]?.fromS ?? Infinity
    if (piece.bar > bar) return [...lower, ...upper.slice(i)]
    if (piece.slopeBarPerS <= 0) continue
    const atS = piece.fromS + (bar - piece.bar) / piece.slopeBarPerS
    if (atS < endS)
      return [
        ...lower.filter((l) => l.fromS < atS),
        { ...piece, fromS: atS, bar, reachedS: atS },
        ...upper.slice(i + 1),
      ]
  }
  return lower
}

/**
 * Accumulated hours per bar of one class, drawn only above `floor`. With W seconds where only hours-per-bar counts and
 * C seconds at each second requirement R (more than one where the air was damp now and then), a pressure P is reached
 * when W / (P·perBar) + Σ C / max(P·perBar, R) = 1.
 */
function accumulatedClass(
  perBar: number,
  cureClass: CureClass,
  k: number,
  homeS: number,
  runs: readonly Run[],
  holder: number,
  floor: number,
): Piece[] {
  const curve = new Curve(homeS, holder)
  const cap = ceiling(cureClass)
  const earned = new Earned(perBar)
  for (let i = runAt(runs, homeS); i < runs.length; i++) {
    const required = (runs[i] as Run).required[k] as number
    let from = Math.max(0, (runs[i] as Run).fromS - homeS)
    const end = (runs[i + 1]?.fromS ?? homeS + HORIZON_S) - homeS
    if (required === Infinity) {
      curve.draw(from, curve.y)
      continue
    }
    while (from < end && curve.y < cap) {
      const before = earned.bar
      const curved = earned.isBelow(required)
      // From a flat stretch the true curve may jump; only after a chord is the small lag made good by another chord.
      const y = curve.isFlat() ? Math.min(cap, Math.max(curve.y, before)) : curve.y
      const behind = y < before - 1e-12
      // Where a second requirement is met the curve bends, whichever way it came there.
      const toEnd = Math.min(end - from, earned.toBendS(required))
      if (curved && floor > 0 && curve.y === 0 && earned.after(required, toEnd) <= floor) {
        earned.add(required, toEnd)
        from += toEnd
        continue
      }
      const step = curved
        ? Math.min(earned.chordS(required), toEnd)
        : behind
          ? Math.min(LONGEST_CHORD_S, toEnd)
          : toEnd
      // A convex stretch is followed by its tangents, a straight one by itself: a chord never lies above the curve.
      const toBar = before + earned.slope(required) * step
      earned.add(required, step)
      const goal = Math.max(y, curved ? toBar : earned.bar)
      if (goal >= cap) {
        const reachT = y < cap ? from + ((cap - y) / (goal - y)) * step : from
        if (reachT > from) curve.draw(from, y, reachT, cap)
        curve.draw(reachT, cap)
        return curve.pieces
      }
      curve.draw(from, y, from + step, goal)
      from += step
    }
  }
  return curve.pieces
}
