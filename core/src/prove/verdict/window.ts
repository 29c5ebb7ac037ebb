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
export function windowOf(series: TestSeries): TestSeries {
  const firstS = series.readings[0]?.tS ?? 0
  const endS = series.stabiliseS + series.holdS + END_S
  const readings: TestReading[] = []
  for (const reading of series.readings)
    if (reading.tS - firstS <= endS) readings.push(firstS ? { ...reading, tS: reading.tS - firstS } : reading)
  return { ...series, readings }
}

/**
 * The longest stretch of a hold that may go unread, s. @param holdS length of the hold.
 * @example longestGapS(3600) // 900
 */
export const longestGapS = (holdS: number): number => GAP * holdS

/** How much of a hold was read. */
export interface Coverage {
  /** From the start of the hold to its last reading, s. */
  seenS: number
  /** Why no more than inconclusive can be said; null = enough was read. */
  lacks: 'short' | 'gap' | null
}
/** Step 3: was enough of the hold read? @param series as `windowOf` gives it, without what was set aside. */
export function coverageOf(series: TestSeries): Coverage {
  const hold = series.readings.filter((r) => r.tS >= series.stabiliseS)
  const first = hold[0]
  const last = hold.at(-1)
  if (!first || !last) return { seenS: 0, lacks: 'short' }
  const seenS = Math.min(series.holdS, last.tS - series.stabiliseS)
  let gapS = 0
  let beforeS = series.stabiliseS
  for (const reading of hold) {
    gapS = Math.max(gapS, reading.tS - beforeS)
    beforeS = reading.tS
  }
  if (seenS < COVERED * series.holdS) return { seenS, lacks: 'short' }
  const covered = seenS - (first.tS - series.stabiliseS)
  return { seenS, lacks: gapS > longestGapS(series.holdS) || covered < COVERED * series.holdS ? 'gap' : null }
}
