import { median } from '../../units/extent.js'
import type { TestReading, TestSeries } from './series.js'

/** Neighbours to each side that a reading is held against. */
const NEAR = 3
/** A single reading stands out by so many standard deviations of the noise, and by so many steps of the gauge. */
const STANDS_OUT = { sigmas: 8, steps: 5 }
/** A temperature stands out by so much, K, above its noise. */
const LEAST_K = 1
/** What no full pipe or wall can do, and what no air about it does between two readings: K at once, and K a second. */
const JUMP = { pipe: { k: 2, perS: 0.02 }, air: { k: 10, perS: 0.05 } } as const
/** More set aside than one reading in so many: the rest is not believed either. */
export const ONE_IN = 20

export interface Cleaned {
  series: TestSeries
  /** Readings of the hold whose pressure, or temperature, was set aside. */
  outliers: number
  jumps: number
  /** More than one in twenty. */
  tooMany: boolean
}

/**
 * Noise of one reading, one standard deviation in their unit: from the differences of readings that stand `lag` apart,
 * which a leak or a step hardly touches.
 */
export function noiseOf(values: readonly number[], lag = 1): number {
  if (values.length < lag + 2) return 0
  const steps = values.slice(lag).map((v, i) => v - (values[i] as number))
  const middle = median(steps)
  return median(steps.map((d) => Math.abs(d - middle))) / 0.6745 / Math.SQRT2
}

/** Does the value at i stand apart from both its sides? A step, or the slope of a leak, is no outlier. */
function standsOut(values: readonly number[], i: number, by: number): boolean {
  const before = values.slice(Math.max(0, i - NEAR), i)
  const after = values.slice(i + 1, i + 1 + NEAR)
  if (before.length < 2 || after.length < 2) return false
  const [a, b] = [median(before), median(after)]
  const value = values[i] as number
  return value < Math.min(a, b) - by || value > Math.max(a, b) + by
}

interface Warmth {
  /** Number of its reading. */
  i: number
  tS: number
  c: number
}
/**
 * Numbers of the readings whose temperature lies beyond a jump that nothing full can make. The longest stretch between
 * jumps is believed, and each other one that it could have come to, or come from, without a jump: a probe that was held
 * in the hand and put back is believed again from there.
 */
function jumped(readings: readonly TestReading[], of: TestSeries['temperatureOf']): Set<number> {
  const limit = of === 'air' ? JUMP.air : JUMP.pipe
  const leaps = (a: Warmth, b: Warmth): boolean =>
    Math.abs(a.c - b.c) > limit.k + limit.perS * Math.abs(a.tS - b.tS)
  const stretches: Warmth[][] = [[]]
  readings.forEach((reading, i) => {
    if (reading.temperatureC === null) return
    const now = { i, tS: reading.tS, c: reading.temperatureC }
    const stretch = stretches.at(-1) as Warmth[]
    const before = stretch.at(-1)
    if (before && leaps(before, now)) stretches.push([now])
    else stretch.push(now)
  })
  const longest = stretches.reduce((a, b) => (b.length > a.length ? b : a))
  const away = new Set(stretches.flat().map((warmth) => warmth.i))
  const believe = (stretch: readonly Warmth[]): void => stretch.forEach((warmth) => away.delete(warmth.i))
  /** Goes on from the longest one, one way. @param near the end of a stretch that lies towards it. */
  const goOn = (others: readonly Warmth[][], from: Warmth | undefined, near: 0 | -1): void => {
    let edge = from
    for (const stretch of others) {
      const [close, far] = [stretch.at(near), stretch.at(-1 - near)]
      if (!edge || !close || leaps(edge, close)) continue
      believe(stretch)
      edge = far
    }
  }
  const at = stretches.indexOf(longest)
  believe(longest)
  goOn(stretches.slice(at + 1), longest.at(-1), 0)
  goOn(stretches.slice(0, at).reverse(), longest[0], -1)
  return away
}

/**
 * Step 2 of docs/verdict.md: single pressures that stand apart from both sides, and temperatures that no pipe can make,
 * are set aside and counted. They never decide. The first and last readings have one side only and stay.
 * @param series as `windowOf` gives it. Source: `ours-verdict`.
 */
export function withoutOutliers(series: TestSeries): Cleaned {
  const bars = series.readings.map((r) => r.pressureBar)
  const by = Math.max(STANDS_OUT.sigmas * noiseOf(bars), STANDS_OUT.steps * series.resolutionBar)
  const known = series.readings.flatMap((r, i) => (r.temperatureC === null ? [] : [{ i, c: r.temperatureC }]))
  const degrees = known.map((k) => k.c)
  const byK = Math.max(STANDS_OUT.sigmas * noiseOf(degrees), LEAST_K)
  const spikes = new Set(known.filter((_, n) => standsOut(degrees, n, byK)).map((k) => k.i))
  const unspiked = series.readings.map((r, i) => (spikes.has(i) ? { ...r, temperatureC: null } : r))
  const far = jumped(unspiked, series.temperatureOf)
  const counts = { outliers: 0, jumps: 0, both: 0, hold: 0 }
  const readings: TestReading[] = []
  series.readings.forEach((reading, i) => {
    const out = standsOut(bars, i, by)
    const jump = spikes.has(i) || far.has(i)
    if (reading.tS >= series.stabiliseS) {
      counts.hold++
      if (out) counts.outliers++
      if (jump) counts.jumps++
      if (out || jump) counts.both++
    }
    if (!out) readings.push(jump ? { ...reading, temperatureC: null } : reading)
  })
  return {
    series: { ...series, readings },
    outliers: counts.outliers,
    jumps: counts.jumps,
    tooMany: counts.both * ONE_IN > counts.hold,
  }
}
