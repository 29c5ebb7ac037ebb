/**
 * The last index for which something holds, where it holds up to some index and not beyond.
 * @param low taken where it holds nowhere above it: the first index, or one below it for "nowhere".
 * @param high the last index.
 */
export function lastHolding(low: number, high: number, holds: (i: number) => boolean): number {
  let [from, to] = [low, high]
  while (from < to) {
    const middle = (from + to + 1) >> 1
    if (holds(middle)) from = middle
    else to = middle - 1
  }
  return from
}
