import { type Vector, lengthOf, unit } from './vector.js'

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
/** By how much the length of a heading that is given in figures may be off 1. */
const ROUNDED = 0.001

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
