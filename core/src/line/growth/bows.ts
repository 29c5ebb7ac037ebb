import { type Vector, dot, minus, plus, times, unit } from '../../space/vector.js'
import type { Chain } from './chains.js'
import type { Bow } from './growth.js'

/**
 * How far a place in a straight went whose ends went so far: along it as its share, across it as a beam whose ends are
 * kept from turning.
 * @param axis way of the straight. @param share how far along it, 0 to 1.
 */
export function bentAt(near: Vector, far: Vector, axis: Vector, share: number): Vector {
  const apart = minus(far, near)
  const out = times(axis, dot(apart, axis))
  const bent = share * share * (3 - 2 * share)
  return plus(near, plus(times(out, share), times(minus(apart, out), bent)))
}
/** So many places of a part of a leg are worked out. */
const PLACES = 7

/** How all legs of all lines bow. */
export function bowsOf(
  chains: readonly Chain[],
  moved: ReadonlyMap<number, Vector>,
  atMm: (knot: number) => Vector,
): Map<string, Bow[]> {
  const bows = new Map<string, Bow[]>()
  for (const { from, to, strands, along } of chains) {
    const [near, far] = [moved.get(from), moved.get(to)]
    const axis = unit(minus(atMm(to), atMm(from)))
    if (!near || !far || !axis) continue
    const shares = [0, ...along.map(({ share }) => share), 1]
    const knots = [from, ...along.map(({ knot }) => knot), to]
    strands.forEach((strand, at) => {
      if (strand.leg < 0) return
      const [begin, end] = [shares[at] as number, shares[at + 1] as number]
      const there = Array.from({ length: PLACES }, (_, i) =>
        bentAt(near, far, axis, begin + ((end - begin) * i) / (PLACES - 1)),
      )
      const own = bows.get(strand.line.id) ?? []
      if (!own.length) bows.set(strand.line.id, own)
      const onward = strand.from === knots[at]
      own.push({ leg: strand.leg, shares: strand.shares, movedMm: onward ? there : there.reverse() })
    })
  }
  return bows
}
