import { type Vector, angleDeg, lengthOf, minus } from '../../space/vector.js'
import type { Knot, Network, Strand } from './network.js'

/** Straight pipe from one corner, branch, hold or end to the next, whatever stands in it. */
export interface Chain {
  from: number
  to: number
  strands: readonly Strand[]
  /** Knots in it, in order, and how far along they are, as a share of its length. */
  along: readonly { knot: number; share: number }[]
}
/** Ways that differ by less lie in one straight: a fall does not end it. */
const STRAIGHT_DEG = 1.5

/** The straight ways of a network, put together where one goes on as the other: a union or a valve is no corner. */
export function chainsOf({ knots, strands, held }: Network): Chain[] {
  const at = new Map<number, Strand[]>()
  for (const strand of strands)
    for (const end of [strand.from, strand.to]) {
      const there = at.get(end) ?? []
      if (!there.length) at.set(end, there)
      there.push(strand)
    }
  const stops = new Set(held.map(({ knot }) => knot))
  const goesOn = (knot: number, strand: Strand): Strand | null => {
    const there = at.get(knot) ?? []
    if (stops.has(knot) || there.length !== 2) return null
    const other = there[0] === strand ? (there[1] as Strand) : (there[0] as Strand)
    return samePipe(strand, other) && turnDeg(knots, strand, other, knot) < STRAIGHT_DEG ? other : null
  }
  const taken = new Set<Strand>()
  return strands.flatMap((strand): Chain[] => {
    if (taken.has(strand)) return []
    // Back to where the straight begins, then along it.
    let first = strand
    let begin = strand.from
    for (let back = goesOn(begin, first); back && back !== strand; back = goesOn(begin, first)) {
      first = back
      begin = farOf(first, begin)
    }
    const own: Strand[] = []
    const passed = [begin]
    for (let here: Strand | null = first; here;) {
      own.push(here)
      taken.add(here)
      const end = farOf(here, passed.at(-1) as number)
      passed.push(end)
      const next = goesOn(end, here)
      here = next && !taken.has(next) ? next : null
    }
    return [chain(knots, own, passed)]
  })
}
const farOf = (strand: Strand, near: number): number => (strand.from === near ? strand.to : strand.from)
const samePipe = (one: Strand, other: Strand): boolean =>
  one.pipe.material === other.pipe.material &&
  one.pipe.size === other.pipe.size &&
  one.pipe.series === other.pipe.series
/** The way of a strand out of a knot. */
function wayOut(knots: readonly Knot[], strand: Strand, knot: number): Vector {
  const far = knots[farOf(strand, knot)] as Knot
  return minus(far.atMm, (knots[knot] as Knot).atMm)
}
const turnDeg = (knots: readonly Knot[], one: Strand, other: Strand, knot: number): number =>
  180 - angleDeg(wayOut(knots, one, knot), wayOut(knots, other, knot))
function chain(knots: readonly Knot[], strands: readonly Strand[], passed: readonly number[]): Chain {
  const places = passed.map((knot) => (knots[knot] as Knot).atMm)
  const lengths = places.slice(1).map((place, i) => lengthOf(minus(place, places[i] as Vector)))
  const whole = lengths.reduce((sum, mm) => sum + mm, 0)
  let gone = 0
  const along = passed
    .slice(1, -1)
    .map((knot, i) => ({ knot, share: (gone += lengths[i] as number) / whole }))
  return { from: passed[0] as number, to: passed.at(-1) as number, strands, along }
}
