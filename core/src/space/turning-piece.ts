import type { Standing } from './closing-piece.js'
import { type Vector, angleDeg, cross, dot, lengthOf, minus, plus, times, unit } from './vector.js'

/** A way from one end to another that points elsewhere: straight, elbow, straight, and so on. */
export interface Turning {
  /** Deflection of each elbow, degrees, in order. */
  anglesDeg: readonly number[]
  /** How the way goes on behind each. */
  ways: readonly Vector[]
  /** Centre to centre, from one end by each elbow to the other, mm. */
  lengthsMm: readonly number[]
}
/** Least lengths, centre to centre, mm: beside an end, and between two elbows. */
export interface Leasts {
  leadMm: number
  betweenMm: number
}

/** A place off a plane by no more than this lies in it, mm. */
const IN_PLANE_MM = 0.5
/** Angles that differ by no more than this are one, degrees. */
const ALIKE_DEG = 0.5
const FLAT = 1e-6
const cosDeg = (degrees: number): number => Math.cos((degrees * Math.PI) / 180)

/**
 * The ways that close two ends whose headings differ, with one elbow or two of the angles that are made: fewest elbows first,
 * then the likeliest, then least pipe. The way between two elbows lies on a cone about each heading; where two cones meet, the three
 * lengths are what brings one end to the other. Source: `closing-geometry`.
 * @param anglesDeg above 0, at most 90, the likeliest first.
 */
export function turningPieces(
  from: Standing,
  to: Standing,
  anglesDeg: readonly number[],
  leasts: Leasts,
): Turning[] {
  const pairs = anglesDeg.flatMap((first) => anglesDeg.map((second) => [first, second] as const))
  const found = [
    ...anglesDeg.flatMap((angle) => oneElbow(from, to, angle)),
    ...pairs.flatMap(([first, second]) => twoElbows(from, to, first, second, leasts)),
  ].filter(({ lengthsMm }) =>
    lengthsMm.every(
      (mm, i) => mm >= (i === 0 || i === lengthsMm.length - 1 ? leasts.leadMm : leasts.betweenMm) - 1e-6,
    ),
  )
  const pipe = ({ lengthsMm }: Turning): number => lengthsMm.reduce((sum, mm) => sum + mm, 0)
  const rare = (one: Turning): number =>
    one.anglesDeg.reduce((sum, angle) => sum + anglesDeg.indexOf(angle), 0)
  return found.sort(
    (a, b) => a.anglesDeg.length - b.anglesDeg.length || rare(a) - rare(b) || pipe(a) - pipe(b),
  )
}
/** Axes of the plane of two headings: along the first, across it towards the second, off the plane. */
function axesOf(from: Standing, to: Standing): { across: Vector; off: Vector } | null {
  const across = unit(minus(to.heading, times(from.heading, dot(from.heading, to.heading))))
  return across && { across, off: cross(from.heading, across) }
}
function oneElbow(from: Standing, to: Standing, angle: number): Turning[] {
  const axes = axesOf(from, to)
  if (!axes || Math.abs(angleDeg(from.heading, to.heading) - angle) > ALIKE_DEG) return []
  const way = minus(to.atMm, from.atMm)
  if (Math.abs(dot(way, axes.off)) > IN_PLANE_MM) return []
  const second = dot(way, axes.across) / dot(to.heading, axes.across)
  const first = dot(way, from.heading) - second * dot(to.heading, from.heading)
  return [{ anglesDeg: [angle], ways: [to.heading], lengthsMm: [first, second] }]
}
function twoElbows(from: Standing, to: Standing, first: number, second: number, leasts: Leasts): Turning[] {
  const turn = angleDeg(from.heading, to.heading)
  const axes = axesOf(from, to)
  if (!axes || turn > 180 - ALIKE_DEG) return backAgain(from, to, first, second, leasts)
  // The way between, in the axes of the plane: at its angle to both headings.
  const along = cosDeg(first)
  const [level, rise] = [dot(to.heading, from.heading), dot(to.heading, axes.across)]
  const across = (cosDeg(second) - level * along) / rise
  const rest = 1 - along * along - across * across
  if (rest < -FLAT) return []
  const out = Math.sqrt(Math.max(0, rest))
  const senses = out < FLAT ? [0] : [out, -out]
  return senses.flatMap((off): Turning[] => {
    const between = unit(
      plus(plus(times(from.heading, along), times(axes.across, across)), times(axes.off, off)),
    )
    const lengthsMm = between && lengths(from, to, between, axes, leasts)
    return between && lengthsMm
      ? [{ anglesDeg: [first, second], ways: [between, to.heading], lengthsMm }]
      : []
  })
}
/** The three lengths that lead from one end to the other along three ways; where they lie in one plane the first is the least. */
function lengths(
  from: Standing,
  to: Standing,
  between: Vector,
  { across, off }: { across: Vector; off: Vector },
  { leadMm }: Leasts,
): [number, number, number] | null {
  const way = minus(to.atMm, from.atMm)
  const [level, rise] = [dot(to.heading, from.heading), dot(to.heading, across)]
  const [alongBetween, acrossBetween, offBetween] = [
    dot(between, from.heading),
    dot(between, across),
    dot(between, off),
  ]
  if (Math.abs(offBetween) > FLAT) {
    const middle = dot(way, off) / offBetween
    const last = (dot(way, across) - middle * acrossBetween) / rise
    return [dot(way, from.heading) - middle * alongBetween - last * level, middle, last]
  }
  if (Math.abs(dot(way, off)) > IN_PLANE_MM) return null
  const slant = alongBetween * rise - acrossBetween * level
  if (Math.abs(slant) < FLAT) return null
  const [ahead, aside] = [dot(way, from.heading) - leadMm, dot(way, across)]
  return [
    leadMm,
    (ahead * rise - aside * level) / slant,
    (aside * alongBetween - ahead * acrossBetween) / slant,
  ]
}
/** Back the way one came: two elbows of 90, the leads as short as they may be. */
function backAgain(
  from: Standing,
  to: Standing,
  first: number,
  second: number,
  { leadMm }: Leasts,
): Turning[] {
  if (first !== 90 || second !== 90 || angleDeg(from.heading, to.heading) < 180 - ALIKE_DEG) return []
  const way = minus(to.atMm, from.atMm)
  const aheadMm = dot(way, from.heading)
  const aside = minus(way, times(from.heading, aheadMm))
  const between = unit(aside)
  if (!between) return []
  const leadInMm = Math.max(leadMm, leadMm + aheadMm)
  return [
    {
      anglesDeg: [90, 90],
      ways: [between, to.heading],
      lengthsMm: [leadInMm, lengthOf(aside), leadInMm - aheadMm],
    },
  ]
}
