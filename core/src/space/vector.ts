/** A place or a direction in a building: x east, y north, z up; mm, or without unit. */
export type Vector = readonly [x: number, y: number, z: number]

/**
 * Sum of two vectors.
 * @example plus([1, 2, 3], [1, 0, 0]) // [2, 2, 3]
 */
export const plus = (one: Vector, other: Vector): Vector => [
  one[0] + other[0],
  one[1] + other[1],
  one[2] + other[2],
]
/**
 * From the second to the first.
 * @example minus([1, 2, 3], [1, 0, 0]) // [0, 2, 3]
 */
export const minus = (one: Vector, other: Vector): Vector => [
  one[0] - other[0],
  one[1] - other[1],
  one[2] - other[2],
]
/**
 * A vector so many times.
 * @example times([1, 2, 3], 2) // [2, 4, 6]
 */
export const times = (one: Vector, factor: number): Vector => [
  one[0] * factor,
  one[1] * factor,
  one[2] * factor,
]
/**
 * Length of one along the other, where that one is a direction.
 * @example dot([1, 2, 3], [0, 0, 1]) // 3
 */
export const dot = (one: Vector, other: Vector): number =>
  one[0] * other[0] + one[1] * other[1] + one[2] * other[2]
/**
 * At right angles to both, by the right hand.
 * @example cross([1, 0, 0], [0, 1, 0]) // [0, 0, 1]
 */
export const cross = (one: Vector, other: Vector): Vector => [
  one[1] * other[2] - one[2] * other[1],
  one[2] * other[0] - one[0] * other[2],
  one[0] * other[1] - one[1] * other[0],
]
/**
 * Its length.
 * @example lengthOf([3, 4, 0]) // 5
 */
export const lengthOf = (one: Vector): number => Math.hypot(one[0], one[1], one[2])
/**
 * Its direction; null where it has no length.
 * @example unit([0, 0, 5]) // [0, 0, 1]
 */
export function unit(one: Vector): Vector | null {
  const length = lengthOf(one)
  return length > 0 ? times(one, 1 / length) : null
}
/**
 * Angle between two vectors, degrees: by both sine and cosine, so that it is exact near 0 and 180 too.
 * @example angleDeg([1, 0, 0], [0, 2, 0]) // 90
 */
export const angleDeg = (one: Vector, other: Vector): number =>
  (Math.atan2(lengthOf(cross(one, other)), dot(one, other)) * 180) / Math.PI
