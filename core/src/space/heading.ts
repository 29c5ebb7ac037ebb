import { type Vector, angleDeg, cross, dot, lengthOf, minus, plus, times, unit } from './vector.js'

/** Headings by their names. */
export const HEADINGS = {
  east: [1, 0, 0],
  west: [-1, 0, 0],
  north: [0, 1, 0],
  south: [0, -1, 0],
  up: [0, 0, 1],
  down: [0, 0, -1],
} as const satisfies Readonly<Record<string, Vector>>
export type HeadingName = keyof typeof HEADINGS
/** Headings that depend on the way one goes. */
const SIDES: readonly string[] = ['left', 'right']
/** By how much the length of a heading that is given in figures may be off 1. */
const ROUNDED = 0.001
const UP: Vector = HEADINGS.up
/** A direction is level, or upright, within this. */
export const FLAT = 1e-9

/**
 * The direction of a heading: a name, or a vector of length 1 that may be rounded. Null for any other.
 * @example headingOf('up') // [0, 0, 1]
 */
export function headingOf(said: string | readonly number[]): Vector | null {
  if (typeof said === 'string') return Object.hasOwn(HEADINGS, said) ? HEADINGS[said as HeadingName] : null
  const [east, north, up] = said
  if (said.length !== 3 || east === undefined || north === undefined || up === undefined) return null
  const length = lengthOf([east, north, up])
  return Math.abs(length - 1) <= ROUNDED ? unit([east, north, up]) : null
}

const NAMED = `(?:${[...Object.keys(HEADINGS), ...SIDES].join('|')})`
/** A heading as it is typed: a name, `left`, `right`, one turned towards another (`up 30 east`), or figures `x,y,z`. */
export const HEADING_SAID = `(?:${NAMED}(?: \\d{1,2}(?:\\.\\d+)?°? ${NAMED})?|-?[\\d.]+(?:,-?[\\d.]+){2})`
const TURNED = new RegExp(`^(${NAMED}) ([\\d.]+)°? (${NAMED})$`)
const WHOLE = new RegExp(`^${HEADING_SAID}$`)
/**
 * Is this a heading as it is typed?
 * @example isHeading('0,0.6,0.8') // true
 */
export const isHeading = (said: string): boolean =>
  WHOLE.test(said) && (!said.includes(',') || unit(figuresOf(said)) !== null) && !isOneAxis(said)
/** Turned towards itself, or what lies opposite, nothing has a direction. */
function isOneAxis(said: string): boolean {
  const [, one = '', , other = ''] = TURNED.exec(said) ?? []
  const axis = (name: string): string =>
    Object.entries(HEADINGS)
      .find(([own]) => own === name)?.[1]
      .map(Math.abs)
      .join() ?? 'side'
  return one !== '' && axis(one) === axis(other)
}
const figuresOf = (said: string): Vector => {
  const [east = NaN, north = NaN, up = NaN] = said.split(',').map(Number)
  return [east, north, up]
}

/** How the way goes, without its fall, and how it last went level: what left and right are on a riser. */
export interface Course {
  way: Vector
  level: Vector | null
}
/** The level part of a direction; null where it is upright. */
const levelOf = (way: Vector): Vector | null =>
  Math.hypot(way[0], way[1]) > FLAT ? unit([way[0], way[1], 0]) : null
/**
 * A course that begins in a direction.
 * @example courseOf([1, 0, 0]).level // [1, 0, 0]
 */
export const courseOf = (way: Vector, before: Vector | null = null): Course => ({
  way,
  level: levelOf(way) ?? before,
})

/** Why a way cannot turn as it was said. */
export type TurnFault = 'space-along' | 'space-past' | 'space-no-side'
export type Turned = { ok: true; way: Vector } | { ok: false; fault: TurnFault }

/**
 * The direction that a heading means to who goes a way; null for a side where no way was level yet, or lies along what it is
 * turned from.
 * @param course null: nobody goes there yet.
 */
export function directionSaid(said: string, course: Course | null): Vector | null {
  const turn = TURNED.exec(said)
  if (turn) {
    const [from, to] = [turn[1], turn[3]].map((name) => directionSaid(name as string, course))
    const aside = from && to && unit(minus(to, times(from, dot(to, from))))
    return from && aside ? bentTowards(from, aside, Number(turn[2])) : null
  }
  if (said === 'left' || said === 'right') {
    const left = course?.level && cross(UP, course.level)
    return left ? (said === 'left' ? left : times(left, -1)) : null
  }
  return headingOf(said) ?? unit(figuresOf(said))
}

/** By how much a turn may go past the heading that was named, degrees: an 87-1/2 after an 87-1/2. */
const PAST_DEG = 5
/** A heading is along the way within this, degrees. */
const ALONG_DEG = 0.01
/**
 * A way turned by an angle towards a heading, in the plane of both.
 * @param turnDeg by how much, above 0, below 180.
 */
export function turned(course: Course, said: string, turnDeg: number): Turned {
  const to = directionSaid(said, course)
  if (!to) return { ok: false, fault: 'space-no-side' }
  const between = angleDeg(course.way, to)
  if (between < ALONG_DEG || between > 180 - ALONG_DEG) return { ok: false, fault: 'space-along' }
  if (turnDeg > between + PAST_DEG) return { ok: false, fault: 'space-past' }
  const aside = unit(minus(to, times(course.way, dot(to, course.way)))) as Vector
  return { ok: true, way: bentTowards(course.way, aside, turnDeg) }
}
/**
 * A direction turned by an angle towards one at right angles to it.
 * @example bentTowards([1, 0, 0], [0, 0, 1], 90) // [0, 0, 1]
 */
export function bentTowards(way: Vector, aside: Vector, turnDeg: number): Vector {
  if (turnDeg === 90) return clean(aside)
  const radians = (turnDeg * Math.PI) / 180
  return clean(unit(plus(times(way, Math.cos(radians)), times(aside, Math.sin(radians)))) ?? way)
}
/** Figures that are 0 but for rounding are 0: a level way is level. */
const clean = (v: Vector): Vector => v.map((x) => (Math.abs(x) < FLAT ? 0 : x)) as unknown as Vector

/** Is a way level, so that it takes a fall? */
export const isLevel = (way: Vector): boolean => Math.abs(way[2]) < FLAT
/** Does a way go straight up or down? */
export const isUpright = (way: Vector): boolean => levelOf(way) === null
/**
 * A level way that falls 1 in so many along the pipe (below 0: rises); any other as it is.
 * @example fallen([1, 0, 0], 0) // [1, 0, 0]
 */
export function fallen(way: Vector, falls: number): Vector {
  if (falls === 0 || !isLevel(way)) return way
  const down = 1 / falls
  return plus(times(way, Math.sqrt(1 - down * down)), [0, 0, -down])
}
