import type { TestReading, TestSeries } from './series.js'

/** Readings may come so little after the end of the hold and still belong to it: clocks and loggers round, s. */
const END_S = 1
/** So much of the hold is to be read, and no single stretch of it longer than a quarter unread. */
const COVERED = 0.75
const GAP = 0.25

/**
 * Step 1 of docs/verdict.md: what is judged. Times count from the first reading; what comes after the hold is neither
 * loss nor proof. What comes before it stays, for the temperatures that act late.
 */
export function windowOf(s: TestSeries): TestSeries {
  const firstS = s.readings[0]?.tS ?? 0
  const endS = s.stabiliseS + s.holdS + END_S
  const readings: TestReading[] = []
  for (const r of s.readings)
    if (r.tS - firstS <= endS) readings.push(firstS ? { ...r, tS: r.tS - firstS } : r)
  return { ...s, readings }
}

/** The longest stretch of a hold that may go unread, s. @param holdS length of the hold. */
export const longestGapS = (holdS: number): number => GAP * holdS

/** How much of a hold was read. */
export interface Coverage {
  /** From the start of the hold to its last reading, s. */
  seenS: number
  /** Why no more than inconclusive can be said; null = enough was read. */
  lacks: 'short' | 'gap' | null
}
/** Step 3: was enough of the hold read? @param s as `windowOf` gives it, without what was set aside. */
export function coverageOf(s: TestSeries): Coverage {
  const hold = s.readings.filter((r) => r.tS >= s.stabiliseS)
  const first = hold[0]
  const last = hold.at(-1)
  if (!first || !last) return { seenS: 0, lacks: 'short' }
  const seenS = Math.min(s.holdS, last.tS - s.stabiliseS)
  let gapS = 0
  let beforeS = s.stabiliseS
  for (const r of hold) {
    gapS = Math.max(gapS, r.tS - beforeS)
    beforeS = r.tS
  }
  if (seenS < COVERED * s.holdS) return { seenS, lacks: 'short' }
  const covered = seenS - (first.tS - s.stabiliseS)
  return { seenS, lacks: gapS > longestGapS(s.holdS) || covered < COVERED * s.holdS ? 'gap' : null }
}
