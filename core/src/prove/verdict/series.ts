import { smoothed } from './physics/lag.js'
import { lastHolding } from '../../units/search.js'

export interface TestReading {
  /** Seconds from the first reading. */
  tS: number
  pressureBar: number
  temperatureC: number | null
}
/** A test as its verdict sees it. Pressures are gauge. */
export interface TestSeries {
  medium: 'water' | 'air' | 'nitrogen'
  pipeMaterial: string
  odMm: number | null
  wallMm: number | null
  axial: 'free' | 'anchored' | null
  /** Air shut in with the water, per cent of the bore at the pressure of the first reading; null = nobody knows. */
  airPct: number | null
  volumeM3: number | null
  resolutionBar: number
  /** What the sensor may drift during the test. */
  sensorErrorBar: number
  temperatureOf: 'medium' | 'wall' | 'air'
  readings: readonly TestReading[]
  /** When the hold begins, on the readings' clock. */
  stabiliseS: number
  holdS: number
  allowedDropBar: number
}

/** Readings drawn together: how many points a fit gets at most. */
const MOST_POINTS = 120
export interface Points {
  tS: number[]
  bar: number[]
  c: number[]
  /** Temperatures without their noise, and their slope per second. */
  smooth: { at: number[]; slope: number[] }
  /** Least readings in one point. */
  each: number
}

/** Means of readings that stand together in time; those without a temperature take the one before. */
export function meansOf(
  readings: readonly TestReading[],
  fromS: number,
  most: number,
): Omit<Points, 'smooth'> {
  const used = readings.filter((r) => r.tS >= fromS)
  const out: Omit<Points, 'smooth'> = { tS: [], bar: [], c: [], each: Infinity }
  const first = used[0]
  const last = used.at(-1)
  if (!first || !last) return out
  const wide = (last.tS - first.tS) / most
  let lastC = used.find((r) => r.temperatureC !== null)?.temperatureC ?? NaN
  let sum = { t: 0, bar: 0, c: 0, n: 0, slot: -1 }
  const close = (): void => {
    if (!sum.n) return
    out.tS.push(sum.t / sum.n)
    out.bar.push(sum.bar / sum.n)
    out.c.push(sum.c / sum.n)
    out.each = Math.min(out.each, sum.n)
  }
  used.forEach((reading, i) => {
    lastC = reading.temperatureC ?? lastC
    const slot = used.length <= most ? i : Math.min(most - 1, Math.floor((reading.tS - first.tS) / wide))
    if (slot !== sum.slot) {
      close()
      sum = { t: 0, bar: 0, c: 0, n: 0, slot }
    }
    sum.t += reading.tS
    sum.bar += reading.pressureBar
    sum.c += lastC
    sum.n++
  })
  close()
  return out
}

/** Over so long to each side temperatures are smoothed, s. */
const SMOOTH_S = 600
/** Points of a test, and the number of the first one of its hold: what comes before only feeds what follows late. */
export function pointsOf(series: TestSeries): { points: Points; from: number } {
  const before = meansOf(
    series.readings.filter((r) => r.tS < series.stabiliseS),
    -Infinity,
    MOST_POINTS / 4,
  )
  const after = meansOf(series.readings, series.stabiliseS, MOST_POINTS)
  const tS = [...before.tS, ...after.tS]
  const temperatures = [...before.c, ...after.c]
  const smooth = tS.length ? smoothed(tS, temperatures, SMOOTH_S) : { at: [], slope: [] }
  return {
    points: { tS, bar: [...before.bar, ...after.bar], c: temperatures, smooth, each: after.each },
    from: before.tS.length,
  }
}

/** Pressure at a time, straight between readings; the end ones beyond. */
export function barAt(readings: readonly TestReading[], tS: number): number {
  const last = readings.length - 1
  const low = lastHolding(0, Math.max(0, last - 1), (i) => (readings[i] as TestReading).tS <= tS)
  const a = readings[low] as TestReading
  const b = readings[Math.min(low + 1, last)] as TestReading
  if (tS <= a.tS || a.tS === b.tS) return a.pressureBar
  if (tS >= b.tS) return b.pressureBar
  return a.pressureBar + ((b.pressureBar - a.pressureBar) * (tS - a.tS)) / (b.tS - a.tS)
}

/**
 * Finest step between values that differ: what an instrument can tell apart. 0 when all are alike.
 * @example stepOf([6, 6.05, 6.1]) // 0.05
 */
export function stepOf(values: readonly number[]): number {
  const sorted = [...new Set(values)].sort((a, b) => a - b)
  let step = Infinity
  for (let i = 1; i < sorted.length; i++)
    step = Math.min(step, (sorted[i] as number) - (sorted[i - 1] as number))
  return Number.isFinite(step) ? step : 0
}

/**
 * 95 % half-width that steps put on the difference of two ends, in the unit of the step. Noise of half a step and more
 * wears the steps away (its share is the first harmonic's), and so does a course that runs over many of them.
 * @example stepDoubt(0.05, 0, 0) // 0.0388
 */
export function stepDoubt(step: number, noiseSd: number, course: number): number {
  if (step === 0) return 0
  const worn = Math.exp(-2 * (Math.PI * (noiseSd / step)) ** 2)
  return (0.776 * step * Math.max(worn, 0.02)) / Math.max(1, course / step)
}
