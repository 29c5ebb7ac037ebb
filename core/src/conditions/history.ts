import { lastHolding } from '../units/search.js'
/**
 * The temperature of one place over time, as spans that each hold until the next; the last is held on.
 * Times are epoch seconds, or seconds from home in the calculation door: any one clock.
 */
export type SpanBasis =
  /** Covered by readings no more than two hours apart. */
  | 'read'
  /** Between readings more than two hours apart: both ends are known, what lies between is not. */
  | 'gap'
  /** After the last reading. */
  | 'projected'
  /** Before the first reading. */
  | 'none'

export interface Span {
  fromS: number
  minC: number
  maxC: number
  basis: SpanBasis
  /** Is the air about it damp, as cure tables mean it? What nobody read counts as damp. */
  humid: boolean
}
export type History = readonly Span[]

export interface Reading {
  atS: number
  value: number
  /** The entry it came in. */
  eventId?: string
  /** Typed by a person, who looked: no jump of it is doubted. */
  sure?: boolean
}
export interface CleanReadings {
  kept: Reading[]
  /** Jumps of more than 15 K within 5 min, kept aside until a person says which is right. */
  jumps: Reading[]
  /** Dips shorter than 15 min seen by a single reading: shown, not counted. */
  blips: Reading[]
}

const BUCKET_S = 900
export const GAP_S = 7200
const JUMP_K = 15
const JUMP_S = 300

/** Sorts readings, sets jumps and one-reading dips aside. Total for any input. */
export function cleanReadings(readings: readonly Reading[]): CleanReadings {
  const sorted = [...readings].sort((a, b) => a.atS - b.atS || a.value - b.value)
  const jumps: Reading[] = []
  const steady: Reading[] = []
  for (const reading of sorted) {
    const last = steady.at(-1)
    if (
      !reading.sure &&
      last &&
      reading.atS - last.atS <= JUMP_S &&
      Math.abs(reading.value - last.value) > JUMP_K
    )
      jumps.push(reading)
    else steady.push(reading)
  }
  const blips: Reading[] = []
  const kept = steady.filter((reading, i) => {
    const before = steady[i - 1]
    const after = steady[i + 1]
    if (!before || !after || after.atS - before.atS >= BUCKET_S) return true
    const dip = reading.value < Math.min(before.value, after.value)
    if (dip) blips.push(reading)
    return !dip
  })
  return { kept, jumps, blips }
}

const NOTHING_READ: Span = { fromS: -Infinity, minC: NaN, maxC: NaN, basis: 'none', humid: true }
/**
 * Turns readings of one place into a history of 15-minute minima and maxima. Between readings both ends count;
 * after the last one the colder and warmer of the last two are held on.
 */
export function historyOf(readings: readonly Reading[]): History {
  const { kept } = cleanReadings(readings)
  const first = kept[0]
  if (!first) return [NOTHING_READ]
  const spans: Span[] = [NOTHING_READ]
  const push = (fromS: number, a: number, b: number, basis: SpanBasis): void => {
    const minC = Math.min(a, b)
    const maxC = Math.max(a, b)
    const last = spans.at(-1)
    if (last && last.minC === minC && last.maxC === maxC && last.basis === basis) return
    if (last && last.fromS === fromS) {
      last.minC = Math.min(last.minC, minC)
      last.maxC = Math.max(last.maxC, maxC)
      return
    }
    spans.push({ fromS, minC, maxC, basis, humid: true })
  }
  let i = 0
  while (i < kept.length - 1) {
    const here = kept[i] as Reading
    const next = kept[i + 1] as Reading
    if (next.atS - here.atS > BUCKET_S) {
      push(here.atS, here.value, next.value, next.atS - here.atS > GAP_S ? 'gap' : 'read')
      i += 1
      continue
    }
    // Dense readings: one span per quarter hour with everything seen in it, and the reading that ends it.
    let j = i
    let low = here.value
    let high = here.value
    while (j < kept.length - 1 && (kept[j + 1] as Reading).atS - here.atS <= BUCKET_S) {
      j += 1
      low = Math.min(low, (kept[j] as Reading).value)
      high = Math.max(high, (kept[j] as Reading).value)
    }
    push(here.atS, low, high, 'read')
    i = j
  }
  const last = kept.at(-1) as Reading
  const before = kept.at(-2) ?? last
  push(last.atS, last.value, last.atS - before.atS <= GAP_S ? last.value : before.value, 'read')
  // Two hours after the last reading nothing is known any more: planning holds the last two on.
  spans.push({
    fromS: last.atS + GAP_S,
    minC: Math.min(last.value, before.value),
    maxC: Math.max(last.value, before.value),
    basis: 'projected',
    humid: true,
  })
  return spans
}

/**
 * A history that goes on by a forecast after its last reading: for planning. What it says of the time to come stays
 * `projected`, so nothing is signed off by it.
 */
export function withForecast(readings: readonly Reading[], forecast: readonly Reading[]): History {
  const last = cleanReadings(readings).kept.at(-1)
  const ahead = last ? forecast.filter((r) => r.atS > last.atS) : []
  if (!last || !ahead.length) return historyOf(readings)
  return historyOf([...readings, ...ahead.map((r) => ({ ...r, sure: true }))]).map((span) =>
    span.fromS >= last.atS ? { ...span, basis: 'projected' as const } : span,
  )
}

/** A history from exact steps: each value holds until the next (the calculation door). Dry where a step does not say damp. */
export const steadyHistory = (
  steps: readonly { fromS: number; temperatureC: number; humid?: boolean }[],
): History =>
  steps.map((step) => ({
    fromS: step.fromS,
    minC: step.temperatureC,
    maxC: step.temperatureC,
    basis: 'read' as const,
    humid: step.humid ?? false,
  }))

/** Index of the span in force at a time: the last one that starts at or before it; 0 for times before all. */
export function spanAt(history: History, atS: number): number {
  return lastHolding(0, history.length - 1, (i) => (history[i] as Span).fromS <= atS)
}
