import { type Vector, dot, lengthOf, minus, plus, times } from './vector.js'

/** A straight between two places. */
export type Segment = readonly [from: Vector, to: Vector]
/** Where two straights come nearest: how far along each, 0 to 1, and how far that is, in their unit. */
export interface Nearest {
  shares: readonly [number, number]
  apart: number
}
const within = (share: number): number => Math.min(1, Math.max(0, share))
const along = ([from, to]: Segment, share: number): Vector => plus(from, times(minus(to, from), share))

/**
 * Where two straights come nearest. Of parallel ones that lie side by side any place will do.
 * @example nearest([[0, 0, 0], [10, 0, 0]], [[5, 3, 0], [5, 9, 0]]).apart // 3
 */
export function nearest(one: Segment, other: Segment): Nearest {
  const [own, theirs] = [minus(one[1], one[0]), minus(other[1], other[0])]
  const between = minus(one[0], other[0])
  const [ownSquare, square, mixed] = [dot(own, own), dot(theirs, theirs), dot(own, theirs)]
  const [ownOff, off] = [dot(own, between), dot(theirs, between)]
  const slant = ownSquare * square - mixed * mixed
  // On the first as if both had no end; parallel, anywhere.
  let first = slant > 1e-12 * ownSquare * square ? within((mixed * off - square * ownOff) / slant) : 0
  const second = square > 0 ? within((mixed * first + off) / square) : 0
  // The other's end may have moved it: the first's place for that.
  first = ownSquare > 0 ? within((mixed * second - ownOff) / ownSquare) : 0
  return {
    shares: [first, second],
    apart: lengthOf(minus(along(one, first), along(other, second))),
  }
}
