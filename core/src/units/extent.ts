/*
 * Smallest and greatest of a list of any length, and lists put together. `Math.max(...list)` and `push(...list)` hand
 * every value over as an argument of its own and break at some hundred thousand: a season of readings is more.
 */

/** Smallest value; Infinity of an empty list. Any unit. */
export function smallest(values: Iterable<number>): number {
  let out = Infinity
  for (const value of values) if (value < out) out = value
  return out
}
/** Greatest value; -Infinity of an empty list. Any unit. */
export function greatest(values: Iterable<number>): number {
  let out = -Infinity
  for (const value of values) if (value > out) out = value
  return out
}
/**
 * Greatest less smallest; 0 of an empty list. Any unit.
 * @example extent([2, 9, 4]) // 7
 */
export const extent = (values: readonly number[]): number =>
  values.length ? greatest(values) - smallest(values) : 0
/** Puts all of a list at the end of another, in place. */
export function append<T>(to: T[], all: readonly T[]): void {
  for (const x of all) to.push(x)
}
/**
 * The middle value of a list, the mean of the two middle ones where their number is even; NaN of an empty list.
 * @example median([3, 1, 2]) // 2
 */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length >> 1
  return sorted.length % 2
    ? (sorted[half] as number)
    : ((sorted[half - 1] as number) + (sorted[half] as number)) / 2
}
