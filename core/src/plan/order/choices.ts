/**
 * Choices of so many out of those, each once, one after the other: there may be very many.
 * @example Array.from(choices([1, 2, 3], 2)) // [[1, 2], [1, 3], [2, 3]]
 */
export function* choices(from: readonly number[], count: number): Generator<number[]> {
  if (count === 0) return yield []
  for (const [i, one] of from.entries())
    for (const rest of choices(from.slice(i + 1), count - 1)) yield [one, ...rest]
}
