import type { History } from '../../conditions/history.js'
import { type Kin, kinOf, sameCurveFromS } from '../../methods/cure/joints-alike.js'
import type { CureMode } from '../../methods/cure/pace.js'
import { type Piece, combine, neverHolds } from '../../methods/cure/piecewise.js'
import { curePieces } from '../../methods/cure/earned-pressure.js'
import type { CureRule } from '../../methods/cure/rule.js'

/** One joint as the ladder sees it. `pieces` null: no figure, or not made. */
export interface LadderJoint {
  id: string
  madeAtS: number | null
  ratingBar: number | null
  /** From home on, starting at 0 bar. May be worked out only when asked for. */
  readonly pieces: readonly Piece[] | null
  /** Joints of one kin and one rating: only the last made can hold the section back. Null or absent: each counts. */
  kin?: Kin | null
}
/** A made joint that cures by a rule. Its curve is worked out when the ladder needs it: of a kin, that is seldom. */
export function curingJoint(
  joint: { id: string; madeAtS: number; ratingBar: number | null },
  rule: CureRule,
  history: History,
  mode: CureMode,
): LadderJoint {
  let pieces: readonly Piece[] | null = null
  return {
    ...joint,
    kin: kinOf(rule, joint.madeAtS, history, mode),
    get pieces() {
      return (pieces ??= curePieces(rule, joint.madeAtS, history, mode))
    },
  }
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
  /** The same as a curve to compute with. */
  pieces: readonly Piece[]
}

/** Cuts a curve off at a rating; the flat part is reached when the curve gets there. */
function capped(pieces: readonly Piece[], ratingBar: number): Piece[] {
  const out: Piece[] = []
  for (let i = 0; i < pieces.length; i++) {
    const piece = pieces[i] as Piece
    if (piece.bar >= ratingBar) {
      out.push({ ...piece, bar: ratingBar, slopeBarPerS: 0, reachedS: piece.fromS })
      return out
    }
    out.push(piece)
    if (piece.slopeBarPerS <= 0) continue
    const atS = piece.fromS + (ratingBar - piece.bar) / piece.slopeBarPerS
    if (atS < (pieces[i + 1]?.fromS ?? Infinity)) {
      out.push({ fromS: atS, bar: ratingBar, slopeBarPerS: 0, holder: piece.holder, reachedS: atS })
      return out
    }
  }
  return out
}

/** A joint's curve up to its rating. */
function rated(joint: LadderJoint): readonly Piece[] {
  const own = joint.pieces ?? []
  const last = own[own.length - 1]
  return joint.ratingBar === null || !last || (last.slopeBarPerS === 0 && last.bar <= joint.ratingBar)
    ? own
    : capped(own, joint.ratingBar)
}

function curveOf(joint: LadderJoint, holder: number, startS: number): Piece[] {
  const reachedS = joint.madeAtS !== null && joint.pieces ? joint.madeAtS : Infinity
  const own = rated(joint)
  const out: Piece[] =
    (own[0]?.fromS ?? Infinity) <= startS
      ? []
      : [{ fromS: startS, bar: 0, slopeBarPerS: 0, holder, reachedS }]
  for (const piece of own) out.push({ ...piece, holder })
  return out
}

interface Envelope {
  pieces: Piece[]
  /** Ids in order: a piece's holder is a place in this list. */
  ids: string[]
}

/** The section's curve: the least over its joints at every time, from the first home (or `atS` if earlier). */
function envelope(joints: readonly LadderJoint[], startS: number): Envelope {
  const order = joints
    .map((_, i) => i)
    .sort((a, b) => compare((joints[a] as LadderJoint).id, (joints[b] as LadderJoint).id))
  const rank = new Array<number>(joints.length)
  order.forEach((i, r) => (rank[i] = r))
  let all: Piece[] | null = null
  // The last to be made come first: they hold the rest back, so most of the rest change nothing.
  const made = Float64Array.from(joints, (j) => j.madeAtS ?? Number.MAX_VALUE)
  const lastFirst = joints.map((_, i) => i).sort((a, b) => (made[b] as number) - (made[a] as number))
  for (const i of lastFirst) {
    const joint = joints[i] as LadderJoint
    const holder = rank[i] as number
    if (
      all &&
      joint.pieces?.length &&
      joint.madeAtS !== null &&
      neverHolds(all, rated(joint), holder, joint.madeAtS)
    )
      continue
    const curve = curveOf(joint, holder, startS)
    all = all ? combine(all, curve, 'min') : curve
  }
  return { pieces: all ?? [], ids: order.map((i) => (joints[i] as LadderJoint).id) }
}
const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)

/** Leaves out every joint that a later one of its kin holds back at all times. */
function holding(joints: readonly LadderJoint[]): readonly LadderJoint[] {
  const lastMade = new Map<Kin, Map<number | null, number>>()
  for (const { kin, madeAtS, ratingBar } of joints) {
    if (!kin || madeAtS === null) continue
    let byRating = lastMade.get(kin)
    if (!byRating) lastMade.set(kin, (byRating = new Map()))
    byRating.set(ratingBar, Math.max(byRating.get(ratingBar) ?? -Infinity, madeAtS))
  }
  if (!lastMade.size) return joints
  for (const [kin, byRating] of lastMade)
    for (const [ratingBar, atS] of byRating) byRating.set(ratingBar, sameCurveFromS(kin, atS))
  return joints.filter(
    ({ kin, madeAtS, ratingBar }) =>
      !kin || madeAtS === null || madeAtS >= (lastMade.get(kin)?.get(ratingBar) as number),
  )
}

/**
 * Pressure a section may take against time. A joint not made, or without a figure, counts as 0 bar.
 * Tie: the joint that reaches this value last, then id. Pressures in bar gauge, times on one clock.
 */
export function ladderOf(joints: readonly LadderJoint[], atS: number): Ladder {
  const startS = joints.reduce((first, j) => Math.min(first, j.madeAtS ?? first), atS)
  const { pieces, ids } = envelope(holding(joints), startS)
  const held = (p: Piece): string | null => (p.bar === Infinity ? null : (ids[p.holder] as string))
  const steps: LadderStep[] = pieces.map((piece) => ({
    fromS: piece.fromS,
    allowedBar: piece.bar === Infinity ? null : piece.bar,
    heldBy: held(piece),
    ramp: piece.slopeBarPerS !== 0,
    slopeBarPerS: piece.slopeBarPerS,
  }))
  const first = pieces[0]
  if (!first) return { allowedBar: 0, heldBy: null, steps, pieces }
  let now = first
  for (const piece of pieces) if (piece.fromS <= atS) now = piece
  const value = now.slopeBarPerS === 0 ? now.bar : now.bar + now.slopeBarPerS * (atS - now.fromS)
  return { allowedBar: value === Infinity ? null : value, heldBy: held(now), steps, pieces }
}

/**
 * What a ladder allows at another time than its own, and who holds it back then. Before its first step nothing is known to
 * hold: 0 bar.
 */
export function ladderAt(ladder: Ladder, atS: number): { allowedBar: number | null; heldBy: string | null } {
  const step = ladder.steps.findLast((one) => one.fromS <= atS)
  if (!step) return { allowedBar: 0, heldBy: null }
  const { allowedBar, heldBy, slopeBarPerS, fromS } = step
  return { allowedBar: allowedBar === null ? null : allowedBar + slopeBarPerS * (atS - fromS), heldBy }
}
