import { fitLine } from './fit.js'

/** Starts that are tried, as shares of what was seen. */
const TRIED = 10
/** Least points in each half of what is left. */
const LEAST = 4

/**
 * From when a test runs steadily: the earliest time after which both halves of what follows fall alike, within a
 * quarter of what is allowed over the hold, or within what can be told apart. Null = not yet. Source: `ours-verdict`.
 * @param course pressure with the temperature's share taken out, times from the first reading.
 */
export function steadyFromS(
  course: readonly { tS: number; bar: number }[],
  test: { holdS: number; allowedDropBar: number; resolutionBar: number },
): number | null {
  const endS = course.at(-1)?.tS ?? 0
  const least = Math.max(test.resolutionBar / Math.sqrt(12), 1e-6)
  for (let k = 0; k < TRIED; k++) {
    const left = course.filter((p) => p.tS >= (k / TRIED) * endS)
    const half = left.length >> 1
    if (half < LEAST) return null
    const [early, late] = [left.slice(0, half), left.slice(half)].map((part) =>
      fitLine(
        part.map((p) => p.tS),
        part.map((p) => p.bar),
        [],
        least,
      ),
    )
    if (!early || !late) return null
    const apart = Math.abs(early.slope - late.slope) * test.holdS
    const told = 2 * Math.hypot(early.slopeSd, late.slopeSd) * test.holdS
    // What is too short to tell anything is not steady for that.
    if (apart <= (told <= test.allowedDropBar / 2 ? Math.max(test.allowedDropBar / 4, told) : 0))
      return (left[0] as { tS: number }).tS
  }
  return null
}
