import { extent } from '../../units/extent.js'
import { student975 } from './fit.js'
import { type TestSeries, stepDoubt, stepOf } from './series.js'
import { NARROWS_TO, type Tried } from './weigh-explanations.js'

export type DoubtCause =
  | 'few'
  | 'short'
  | 'lacking'
  | 'stuck'
  | 'gap'
  | 'outlier'
  | 'temperature-jump'
  | 'pressure-restored'
  | 'not-as-said'
  | 'temperature'
  | 'air'
  | 'creep'
  | 'resolution'
  | 'sensor'
  | 'noise'
/** What makes up the half-width, each 95 %, bar. */
export type Parts = Readonly<
  Record<'scatter' | 'temperature' | 'air' | 'creep' | 'resolution' | 'sensor' | 'odd', number>
>
export const NO_PARTS: Parts = {
  scatter: 0,
  temperature: 0,
  air: 0,
  creep: 0,
  resolution: 0,
  sensor: 0,
  odd: 0,
}
/**
 * Root of the sum of squares: independent doubts together, in the unit of each.
 * @example root(3, 4) // 5
 */
export const root = (...v: readonly number[]): number => Math.sqrt(v.reduce((sum, x) => sum + x * x, 0))

/** The air about may rise or fall so much in an hour, bar (95 %), more slowly than in step with time. Source: `ours-verdict`. */
const BAROMETER_BAR = 0.001
const BAROMETER_GROWS = 0.8
/** What turns a direction by more standard deviations than this is not as it was said. */
const NOT_AS_SAID = 3.5
/** Times beyond this are not offered. */
const MOST_MORE_S = 48 * 3600
/** A fall is laid to one thing only where that makes up so much of it, and is known to half of itself. */
const MOSTLY = 0.65
/**
 * What most of the fall comes from: a leak or the temperature. Null where the fall is too small to speak of, nothing
 * stands out, or it is the pipe that gives way: that is never plain enough. How often it is right: docs/verdict.md.
 */
export function mostlyOf(
  { expected, fit }: Tried,
  leakBar: number,
  parts: Parts,
  scaled: number,
  allowedBar: number,
): 'leak' | 'temperature' | null {
  const fall = (v: readonly number[]): number => ((v[0] as number) - (v.at(-1) as number)) * scaled
  const by = { leak: leakBar, temperature: fall(expected.bar), creep: fall(expected.creep) }
  expected.directions.forEach((direction, i) => {
    if (direction.of !== 'air') by[direction.of] += fall(direction.bar) * (fit.turned[i]?.value ?? 0)
  })
  const doubt = {
    leak: root(...Object.values(parts)),
    temperature: root(parts.temperature, parts.air),
    creep: parts.creep,
  }
  const all = Math.abs(by.leak) + Math.abs(by.temperature) + Math.abs(by.creep)
  const [name, bar] = Object.entries(by).reduce((a, b) => (Math.abs(b[1]) > Math.abs(a[1]) ? b : a)) as [
    keyof typeof by,
    number,
  ]
  if (all < allowedBar / 2 || Math.abs(bar) < MOSTLY * all || doubt[name] > Math.abs(bar) / 2) return null
  return name === 'creep' || (name === 'leak' && bar < 0) ? null : name
}

/** What the half-width is made of. @param airReach what the air that nobody measured adds, bar. */
export function partsOf(
  series: TestSeries,
  { fit, expected: expected }: Tried,
  airReach: number,
  at: { bar: number[]; c: number[]; scaled: number; seenS: number },
): Parts {
  const student = student975(fit.free)
  const scatter = student * fit.scatterSd * series.holdS
  // What the doubt about directions adds, shared out by how far each still moves the ends.
  const added = Math.max(0, fit.slopeSd ** 2 - fit.scatterSd ** 2) * (student * series.holdS) ** 2
  const weight = { temperature: 0, air: 0, creep: 0 }
  // A direction that is turned beyond belief says that something is not as it was told: all it moved is in doubt.
  let odd = 0
  const before = { temperature: 0, air: 0, creep: 0 }
  expected.directions.forEach((direction, i) => {
    const ends = ((direction.bar.at(-1) as number) - (direction.bar[0] as number)) * at.scaled
    weight[direction.of] += (ends * (fit.turned[i]?.sd ?? 0)) ** 2
    before[direction.of] += (2 * ends * NARROWS_TO) ** 2
    const turned = fit.turned[i]?.value ?? 0
    if (direction.of !== 'creep' && Math.abs(turned) > NOT_AS_SAID) odd += Math.abs(ends * turned)
  })
  const all = weight.temperature + weight.air + weight.creep || 1
  const doubt = (of: keyof typeof weight): number =>
    Math.sqrt(Math.max((added * weight[of]) / all, before[of]))
  const noise = Math.sqrt(Math.max(0, fit.restSd ** 2 - series.resolutionBar ** 2 / 12))
  const step = stepOf(at.c)
  const kStep = step * Math.abs(expected.barPerK)
  const thermal =
    stepDoubt(
      kStep,
      expected.readSd * Math.abs(expected.barPerK),
      extent(at.c) * Math.abs(expected.barPerK),
    ) * at.scaled
  const air = series.medium === 'water' ? 0 : BAROMETER_BAR * (at.seenS / 3600) ** BAROMETER_GROWS * at.scaled
  return {
    scatter,
    temperature: root(doubt('temperature'), thermal, air),
    air: root(doubt('air'), airReach),
    creep: doubt('creep'),
    resolution: stepDoubt(series.resolutionBar, noise, extent(at.bar)) * at.scaled,
    sensor: series.sensorErrorBar * at.scaled,
    odd,
  }
}

/** The largest part of the doubt. */
export function largest(parts: Parts): DoubtCause {
  const [name] = Object.entries(parts).reduce((a, b) => (b[1] > a[1] ? b : a))
  return name === 'scatter' ? 'noise' : name === 'odd' ? 'not-as-said' : (name as DoubtCause)
}

/**
 * Further time after which the same fall would be settled either way, s: scatter fades with the power 1.5 of the time
 * seen, what moves the ends with the time itself. Null beyond two days.
 */
export function moreTime(allowedBar: number, dropBar: number, parts: Parts, seenS: number): number | null {
  const { scatter, ...ends } = parts
  const far = Math.abs(dropBar - allowedBar)
  const at = (moreS: number): number => {
    const share = seenS / (seenS + moreS)
    return root(scatter * share ** 1.5, ...Object.values(ends).map((p) => p * share))
  }
  if (at(MOST_MORE_S) > far) return null
  let low = 0
  let high = MOST_MORE_S
  while (high - low > 30) {
    const mid = (low + high) / 2
    if (at(mid) > far) low = mid
    else high = mid
  }
  return Math.ceil(high / 60) * 60
}
