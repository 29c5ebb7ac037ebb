import { type Piece, combine } from '../methods/cure/piecewise.js'

/** One joint as the ladder sees it. `pieces` null: no figure, or not made. */
export interface LadderJoint {
  id: string
  madeAtS: number | null
  ratingBar: number | null
  /** From home on, starting at 0 bar. */
  pieces: readonly Piece[] | null
}
export interface LadderStep {
  fromS: number
  /** Null: no ceiling by the rules and no rating given. */
  allowedBar: number | null
  heldBy: string | null
  ramp: boolean
  slopeBarPerS: number
}
export interface Ladder {
  allowedBar: number | null
  heldBy: string | null
  steps: LadderStep[]
}

/** Cuts a curve off at a rating; the flat part is reached when the curve gets there. */
function capped(pieces: readonly Piece[], ratingBar: number): Piece[] {
  const out: Piece[] = []
  for (let i = 0; i < pieces.length; i++) {
    const p = pieces[i] as Piece
    if (p.bar >= ratingBar) {
      out.push({ ...p, bar: ratingBar, slopeBarPerS: 0, reachedS: p.fromS })
      return out
    }
    out.push(p)
    if (p.slopeBarPerS <= 0) continue
    const atS = p.fromS + (ratingBar - p.bar) / p.slopeBarPerS
    if (atS < (pieces[i + 1]?.fromS ?? Infinity)) {
      out.push({ fromS: atS, bar: ratingBar, slopeBarPerS: 0, holder: p.holder, reachedS: atS })
      return out
    }
  }
  return out
}

/** The section's curve: the least over its joints at every time, from the first home (or `atS` if earlier). */
export function envelope(joints: readonly LadderJoint[], startS: number): Piece[] {
  const order = joints
    .map((j, i) => ({ i, id: j.id }))
    .sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0))
  const rank = new Array<number>(joints.length)
  order.forEach((o, r) => (rank[o.i] = r))
  let all: Piece[] | null = null
  joints.forEach((j, i) => {
    const holder = rank[i] as number
    const reachedS = j.madeAtS !== null && j.pieces ? j.madeAtS : Infinity
    const before: Piece = { fromS: startS, bar: 0, slopeBarPerS: 0, holder, reachedS }
    const own = (j.ratingBar === null ? (j.pieces ?? []) : capped(j.pieces ?? [], j.ratingBar)).map((p) => ({
      ...p,
      holder,
    }))
    const first = own[0]
    const curve = first ? (first.fromS <= startS ? own : [before, ...own]) : [before]
    all = all ? combine(all, curve, 'min') : curve
  })
  return all ?? []
}

/**
 * Pressure a section may take against time. A joint not made, or without a figure, counts as 0 bar.
 * Tie: the joint that reaches this value last, then id. Pressures in bar gauge, times on one clock.
 */
export function ladderOf(joints: readonly LadderJoint[], atS: number): Ladder {
  const startS = Math.min(atS, ...joints.map((j) => j.madeAtS ?? Infinity))
  const ids = joints.map((j) => j.id).sort((a, b) => (a < b ? -1 : a > b ? 1 : 0))
  const pieces = envelope(joints, startS)
  const held = (p: Piece): string | null => (p.bar === Infinity ? null : (ids[p.holder] as string))
  const steps: LadderStep[] = pieces.map((p) => ({
    fromS: p.fromS,
    allowedBar: p.bar === Infinity ? null : p.bar,
    heldBy: held(p),
    ramp: p.slopeBarPerS !== 0,
    slopeBarPerS: p.slopeBarPerS,
  }))
  let now = pieces[0] as Piece
  for (const p of pieces) if (p.fromS <= atS) now = p
  const value = now.slopeBarPerS === 0 ? now.bar : now.bar + now.slopeBarPerS * (atS - now.fromS)
  return { allowedBar: value === Infinity ? null : value, heldBy: held(now), steps }
}
