import { median, smallest } from '../../units/extent.js'
import type { Expected } from './expected.js'
import { noiseOf } from './outliers.js'
import { type Points, type TestSeries, meansOf } from './series.js'

/** A stroke of the pump is over within so long, s; at the least from one reading to the next. */
const STROKE_S = 60
/** Readings on each side of a stroke that are held against one another. */
const SIDE = 3
/** A rise counts from so many steps of the gauge; where it comes again and again, from fewer. */
const STEPS = { once: 3, often: 2 }
const SIGMAS = { once: 7, often: 5 }
/** So often is often, and so many times as many as falls of the same size. */
const OFTEN = { times: 3, asFalls: 3 }
/** What the temperature's share may be off by over one stroke: a part of that share, and standard deviations of its doubt. */
const WARMTH = { share: 1, sigmas: 4 }
/** More readings than this are drawn together first. */
const MOST_READINGS = 2000
/** A course at ascending times, straight between its points. */
function along(tS: readonly number[], values: readonly number[], times: readonly number[]): number[] {
  let i = 1
  return times.map((atS) => {
    while (i < tS.length - 1 && (tS[i] as number) < atS) i++
    const [a, b] = [tS[i - 1] as number, tS[i] as number]
    const [x, y] = [values[i - 1] as number, values[i] as number]
    return b > a ? x + (y - x) * Math.min(1, Math.max(0, (atS - a) / (b - a))) : x
  })
}

/**
 * Step 5 of docs/verdict.md: does the pressure rise in the hold by more than temperature, steps of the gauge and noise
 * explain? Then somebody pumps, and what was held cannot be told. A rise of three steps and more is told at once,
 * smaller ones where they come three times and falls of that size do not. Source: `ours-verdict`.
 * @param series without what was set aside. @param expected the course that temperature explains, at all of the points.
 */
export function isRestored(series: TestSeries, points: Points, expected: Expected): boolean {
  const { tS, bar: bars } = meansOf(series.readings, series.stabiliseS, MOST_READINGS)
  const count = bars.length
  if (count < 3 || points.tS.length < 2) return false
  const noise = Math.max(evenNoise(bars), series.resolutionBar / Math.sqrt(12))
  const everyS = ((tS.at(-1) as number) - (tS[0] as number)) / (count - 1)
  const explained = along(points.tS, expected.bar, tS)
  const doubts = expected.directions.map((d) => along(points.tS, d.bar, tS))
  const strokes = (lag: number, side: number): boolean => {
    const moved = (v: readonly number[], i: number): number => (v[i + lag] as number) - (v[i] as number)
    let ups = 0
    let downs = 0
    /** Until here the last rise, or fall, reaches: one stroke is counted once. */
    let free = 0
    for (let i = 0; i + lag < count; i++) {
      const before = bars.slice(Math.max(0, i - side + 1), i + 1)
      const after = bars.slice(i + lag, i + lag + side)
      const sides = noise * Math.sqrt(1 / before.length + 1 / after.length)
      const warmth = moved(explained, i)
      const doubt = Math.sqrt(doubts.reduce((sum, d) => sum + moved(d, i) ** 2, 0))
      const slack = WARMTH.share * Math.abs(warmth) + WARMTH.sigmas * doubt
      const rise = median(after) - median(before) - warmth
      const above = (of: keyof typeof STEPS): number =>
        Math.max(STEPS[of] * series.resolutionBar - 1e-9, SIGMAS[of] * sides) + slack
      if (rise >= above('once')) return true
      if (i < free || Math.abs(rise) < above('often')) continue
      if (rise > 0) ups++
      else downs++
      free = i + lag
    }
    return ups >= OFTEN.times && ups >= OFTEN.asFalls * downs
  }
  return strokes(1, 1) || strokes(Math.max(1, Math.ceil(STROKE_S / everyS)), SIDE)
}

/** Stretches into which a hold is cut to see how fast it falls in most of them. */
const STRETCHES = [10, 20, 40]
const LEAST_IN_STRETCH = 3
/**
 * Does it fall faster than is allowed in most stretches of the hold? Where it has not fallen so far in the end, the rest
 * was pumped in, in strokes too small to be seen one by one. To be asked of what would be held. Source: `ours-verdict`.
 * @param turned how far the fit turned each direction, in its standard deviations.
 */
export function fallsFaster(
  series: TestSeries,
  points: Points,
  expected: Expected,
  turned: readonly { value: number }[],
): boolean {
  const { tS, bar: bars } = meansOf(series.readings, series.stabiliseS, MOST_READINGS)
  const course = points.tS.map((_, i) =>
    expected.directions.reduce(
      (sum, d, k) => sum + (turned[k]?.value ?? 0) * (d.bar[i] as number),
      (expected.bar[i] as number) + (expected.creep[i] as number),
    ),
  )
  const explained = along(points.tS, course, tS)
  const left = bars.map((b, i) => b - (explained[i] as number))
  return STRETCHES.some((many) => {
    const size = Math.floor(left.length / many)
    if (size < LEAST_IN_STRETCH) return false
    const slopes = Array.from({ length: many }, (_, k) =>
      slopeOf(tS.slice(k * size, (k + 1) * size), left.slice(k * size, (k + 1) * size)),
    )
    const middle = median(slopes)
    const spread = median(slopes.map((x) => Math.abs(x - middle))) / 0.6745
    // 1.25: a median is so much less sure than a mean.
    return -(middle + (2 * 1.25 * spread) / Math.sqrt(many)) * series.holdS > series.allowedDropBar
  })
}
function slopeOf(x: readonly number[], y: readonly number[]): number {
  const [meanX, meanY] = [x, y].map((v) => v.reduce((a, b) => a + b, 0) / v.length) as [number, number]
  let wide = 0
  let rise = 0
  x.forEach((at, i) => {
    wide += (at - meanX) ** 2
    rise += (at - meanX) * ((y[i] as number) - meanY)
  })
  return wide > 0 ? rise / wide : 0
}

/** Noise of one reading that strokes at even intervals do not swell: the least over some distances. */
function evenNoise(bars: readonly number[]): number {
  const far = [1, 2, 3, 4].filter((lag) => bars.length > 4 * lag)
  return smallest(far.length ? far.map((lag) => noiseOf(bars, lag)) : [noiseOf(bars)])
}
