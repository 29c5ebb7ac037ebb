import type { Item } from '../../log/state.js'
import { type Vector, dot, lengthOf, minus, times } from '../../space/vector.js'
import type { Met, Walked } from './walked.js'

/** A measure that alone would mend a closing error. */
export interface Suspect {
  item: Item
  /** By how much it would be other than measured, mm. */
  byMm: number
  /** What would be left of the error, mm. */
  restMm: number
}
/** A way that ends at a place which is known otherwise: a loop, or a run between two fixed points. */
export interface ClosingError {
  /** Where the way round begins, by tag or name; and what it is said to come to. */
  from: string
  to: string
  met: Met
  /** Reached less named. */
  errorMm: Vector
  missMm: number
  /** What so many measures are expected to err together: root of squares. */
  expectedMm: number
  measures: number
  /** Least rest first, then longest. None where it closes. */
  suspects: Suspect[]
  /** Suspects that nothing can tell apart: they lie parallel and would leave alike. */
  alike: number
}

/** What one measure is taken to err by where nobody said, mm: a tape read by a careful hand. */
export const MEASURE_ERROR_MM = 2
/** Of figures that are worked out: rests that differ by less are one. */
const ROUNDING_MM = 1e-6

/**
 * The closing errors of a walked line. Source: `closing-error`.
 * @param measureErrorMm of one measure. @param startName what the line begins at, where that has a name.
 */
export function closingErrors(
  walked: Walked,
  measureErrorMm = MEASURE_ERROR_MM,
  startName: string | null = null,
): ClosingError[] {
  const metAt = new Map(walked.meets.map((met) => [met.node, met]))
  return walked.meets.flatMap((met) => {
    const round = wayRound(walked, met, metAt)
    if (!round || !met.reachedMm) return []
    const place = (walked.nodes[met.node] as { atMm: Vector }).atMm
    const errorMm = minus(met.reachedMm, place)
    const missMm = lengthOf(errorMm)
    const measures = round.legs.filter((s) => isMeasure(walked, s))
    const expectedMm = measureErrorMm * Math.sqrt(measures.length)
    const suspects = missMm <= expectedMm + ROUNDING_MM ? [] : suspectsOf(walked, round, errorMm, expectedMm)
    const first = suspects[0]
    return [
      {
        from: round.from ?? startName ?? (walked.nodes[0]?.tag as string),
        to: met.name,
        met,
        errorMm,
        missMm,
        expectedMm,
        measures: measures.length,
        suspects,
        alike: first ? suspects.filter((s) => s.restMm - first.restMm <= ROUNDING_MM).length : 0,
      },
    ]
  })
}

interface Round {
  /** Tag of the node where it begins; null: where the line does. */
  from: string | null
  /** Legs that count, those towards the end with +1, those towards what is named with -1. */
  legs: number[]
  signs: Map<number, 1 | -1>
}
/** From where both ways come to the end that was reached, and to what it is said to be at. */
function wayRound(walked: Walked, met: Met, metAt: ReadonlyMap<number, Met>): Round | null {
  const reached = upTo(walked, met.node, metAt, true)
  const signs = new Map<number, 1 | -1>(reached.legs.map((leg) => [leg, 1]))
  if (met.own === null) return { from: reached.anchorTag, legs: reached.legs, signs }
  const named = upTo(walked, met.own, metAt, false)
  for (const leg of named.legs) {
    if (named.anchor === reached.anchor && signs.has(leg)) signs.delete(leg)
    else signs.set(leg, -1)
  }
  const legs = [
    ...reached.legs.filter((leg) => signs.has(leg)),
    ...named.legs.filter((leg) => signs.get(leg) === -1),
  ]
  return { from: walked.nodes[met.own]?.tag ?? null, legs, signs }
}
/** Legs from a node back to where its place is known otherwise. @param past the node's own fixing is not one. */
function upTo(
  walked: Walked,
  node: number,
  metAt: ReadonlyMap<number, Met>,
  past: boolean,
): { legs: number[]; anchor: number; anchorTag: string | null } {
  const legs: number[] = []
  let at = node
  for (let first = past; at >= 0; first = false) {
    const fixed = metAt.get(at)
    if (fixed && !first) return { legs, anchor: at, anchorTag: fixed.name }
    const into = walked.inTo[at] as number
    if (into < 0) return { legs, anchor: at, anchorTag: null }
    legs.push(into)
    at = (walked.legs[into] as { from: number }).from
  }
  return { legs, anchor: -1, anchorTag: null }
}
const isMeasure = (walked: Walked, leg: number): boolean => {
  const own = walked.legs[leg]
  return own !== undefined && own.item !== null && !own.toLevel
}

/** What a mm more in a leg moves the end by: a piece that reaches a level behind it takes up what is upright. */
function effectOf(walked: Walked, round: Round, leg: number): Vector {
  const { heading } = walked.legs[leg] as { heading: Vector }
  const sign = round.signs.get(leg) ?? 1
  // Legs of one side are listed from their end backwards: what comes behind this one stands before it.
  const side = round.legs.filter((leg) => round.signs.get(leg) === sign)
  const level = side.slice(0, side.indexOf(leg)).findLast((leg) => walked.legs[leg]?.toLevel)
  const own = times(heading, sign)
  if (level === undefined) return own
  const way = (walked.legs[level] as { heading: Vector }).heading
  return minus(own, times(way, own[2] / way[2]))
}
function suspectsOf(walked: Walked, round: Round, errorMm: Vector, expectedMm: number): Suspect[] {
  return (
    round.legs
      // Of a bent tube nothing says which of its legs.
      .filter((leg) => isMeasure(walked, leg) && walked.legs[leg]?.viaMm.length === 0)
      .flatMap((leg): Suspect[] => {
        const { item, lengthMm } = walked.legs[leg] as { item: Item; lengthMm: number }
        const effect = effectOf(walked, round, leg)
        const size = dot(effect, effect)
        if (size < 1e-12) return []
        const tooMuchMm = dot(errorMm, effect) / size
        const restMm = lengthOf(minus(errorMm, times(effect, tooMuchMm)))
        // A measure that would have to be nothing was not misread.
        return restMm <= expectedMm + ROUNDING_MM && lengthMm - tooMuchMm > 0
          ? [{ item, byMm: -tooMuchMm, restMm }]
          : []
      })
      .sort((a, b) =>
        Math.abs(a.restMm - b.restMm) > ROUNDING_MM
          ? a.restMm - b.restMm
          : (b.item.measuredMm ?? 0) - (a.item.measuredMm ?? 0),
      )
  )
}
