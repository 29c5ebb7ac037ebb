import { greatest, smallest } from '../units/extent.js'
import { tagOrder } from '../units/tag-order.js'
import { type Piece, timeOf } from '../methods/cure/piecewise.js'
import { type JointFacts, plannedPieces } from '../joint/assess.js'
import { SAME_BAR } from '../units/units.js'

const GRID_S = 900
const MINUTE_S = 60

/** When a joint may take a pressure if it is home at a time, epoch seconds; null = no figure by its rule. */
export function readyIfHome(facts: JointFacts, homeS: number, bar: number): number | null {
  const pieces: readonly Piece[] = plannedPieces(facts, homeS)
  return timeOf(pieces, bar, SAME_BAR)
}

/**
 * Latest time at which a joint may be home so that it takes `bar` by `byS`: to the minute, not before `fromS`; null =
 * it can't be done any more, or there is no figure. Searched backwards and not by halving: where the coldest reading
 * rules, a later start may be ready sooner, because it missed a cold night.
 */
export function latestHome(facts: JointFacts, bar: number, byS: number, fromS: number): number | null {
  const fits = (homeS: number): boolean => (readyIfHome(facts, homeS, bar) ?? Infinity) <= byS
  for (let atS = byS; atS >= fromS; atS -= GRID_S) {
    if (!fits(atS)) continue
    let last = atS
    for (
      let later = atS + MINUTE_S;
      later < Math.min(byS, atS + GRID_S) + 1 && fits(later);
      later += MINUTE_S
    )
      last = later
    return last
  }
  return fits(fromS) ? fromS : null
}

export interface BackwardJoint {
  jointId: string
  tag: string
  size: string
  /** Latest time to be home; null = not possible any more, or no figure. */
  latestS: number | null
  /** When it would be home if all are made one after the other from now, the most pressing first. */
  homeS: number
}
export interface Backward {
  /** Unmade joints, the most pressing first: the order to make them in. */
  order: readonly BackwardJoint[]
  /** Made joints that will not be ready by then, with their own time; null = no figure. */
  lateMade: readonly { jointId: string; tag: string; readyAtS: number | null }[]
  /** Latest time of the first to be made and of the last; null where there is none. */
  firstByS: number | null
  lastByS: number | null
  /** Joints of the order that come too late at this pace. */
  tooLate: readonly BackwardJoint[]
}
/**
 * "Test Thursday 14:00 at 9 bar: when must the last joint be home, and in what order?" Made in the order of their
 * latest times no other order meets more of them (earliest due date first, Jackson 1955).
 * @param paceS from one joint home to the next, seconds.
 */
export function backward(
  all: readonly JointFacts[],
  bar: number,
  byS: number,
  nowS: number,
  paceS: number,
): Backward {
  // Joints that say the same in the same place have the same latest time.
  const known = new Map<string, number | null>()
  const latest = (facts: JointFacts): number | null => {
    const key = `${facts.method?.id} ${JSON.stringify(facts.spec)} ${facts.place.line.placeId} ${facts.ctx.pin.chart}`
    if (!known.has(key)) known.set(key, latestHome(facts, bar, byS, nowS))
    return known.get(key) ?? null
  }
  const open = all
    .filter((f) => f.homeAtS === null || f.inspection?.verdict === 'fail')
    .map((f) => ({ jointId: f.id, tag: f.tag, size: f.place.way.size, latestS: latest(f) }))
    .sort((a, b) => (a.latestS ?? -Infinity) - (b.latestS ?? -Infinity) || tagOrder(a.tag, b.tag))
  const order = open.map((j, i) => ({ ...j, homeS: nowS + paceS * (i + 1) }))
  const times = order.map((j) => j.latestS).filter((t): t is number => t !== null)
  const lateMade = all.flatMap((facts) => {
    if (facts.homeAtS === null || facts.inspection?.verdict === 'fail') return []
    const readyAtS = timeOf(facts.pieces, bar, SAME_BAR)
    return readyAtS !== null && readyAtS <= byS ? [] : [{ jointId: facts.id, tag: facts.tag, readyAtS }]
  })
  return {
    order,
    lateMade,
    firstByS: times.length ? smallest(times) : null,
    lastByS: times.length ? greatest(times) : null,
    tooLate: order.filter((j) => j.latestS === null || j.homeS > j.latestS),
  }
}

/** "Start this one at 15:00, or leave it until morning?": both, side by side. Times from home, for one pressure. */
export function startOrLeave(
  facts: JointFacts,
  bar: number,
  homesS: readonly number[],
): { homeS: number; readyAtS: number | null }[] {
  return homesS.map((homeS) => ({ homeS, readyAtS: readyIfHome(facts, homeS, bar) }))
}
