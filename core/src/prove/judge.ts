import { ATMOSPHERE_BAR_ABS } from '../units/units.js'
import {
  type DoubtCause,
  NO_PARTS,
  type Parts,
  largest,
  moreTime,
  mostlyOf,
  partsOf,
  range,
  root,
} from './doubt.js'
import { type Expected, type Lacking, mostBarPerK } from './expected.js'
import { fitLine, student975 } from './fit.js'
import { type Points, type TestSeries, barAt, pointsOf, stepDoubt } from './series.js'
import { weigh } from './weigh.js'

export interface Judgement {
  verdict: 'held' | 'lost' | 'inconclusive'
  /** Over the hold, positive when falling; null before there is a line. */
  rawDropBar: number | null
  correctedDropBar: number | null
  /** 95 % half-width. */
  uncertaintyBar: number | null
  leakRateLPerH: number | null
  /** 0 when settled; null when more time can't settle it. */
  moreTimeS: number | null
  /** What hides the answer, when it is inconclusive. */
  cause: DoubtCause | null
  lacking: Lacking | null
  /** What makes up the half-width, each 95 %, bar. */
  parts: Parts
  /** Time seen after stabilising, s. */
  seenS: number
  /** The course that temperature alone explains, at times from the first reading; for the chart. */
  course: { tS: number[]; bar: number[] } | null
  barPerK: number | null
  /** What most of the raw fall comes from, where that is plain. */
  mostly: 'leak' | 'temperature' | null
  /** Air shut in by these readings, per cent of the bore: what was said, or what they point to. */
  airPct: number | null
}

/** What turns a direction by more than this is not as it was said. */
const NOT_AS_SAID = 3.5
/** Readings may end so little before the hold does. */
const END_S = 1

const nothing = (cause: DoubtCause, more: Partial<Judgement> = {}): Judgement => ({
  verdict: 'inconclusive',
  rawDropBar: null,
  correctedDropBar: null,
  uncertaintyBar: null,
  leakRateLPerH: null,
  moreTimeS: null,
  cause,
  lacking: null,
  parts: NO_PARTS,
  seenS: 0,
  course: null,
  barPerK: null,
  mostly: null,
  airPct: null,
  ...more,
})

/**
 * Judges a pressure test from its readings. The fall that the medium's temperature explains is taken out; what is left
 * is fitted with a straight line, in which all that is not known for sure may turn within its own bounds. Method, on one
 * page: docs/verdict.md. Source: `ours-verdict`.
 */
export function judgeSeries(s: TestSeries): Judgement {
  const last = s.readings.at(-1)
  const { points, from } = pointsOf(s)
  const tS = points.tS.slice(from)
  if (!last || tS.length < 3) return nothing('few')
  const seenS = last.tS - s.stabiliseS
  const bar = points.bar.slice(from)
  const rawDropBar =
    ((barAt(s.readings, s.stabiliseS) - barAt(s.readings, s.stabiliseS + Math.min(seenS, s.holdS))) *
      s.holdS) /
    Math.min(seenS, s.holdS)
  const weighed = weigh(s, points, from)
  if (weighed === null) return nothing('few', { seenS, rawDropBar })
  if ('lacking' in weighed) return withoutPhysics(s, points, from, weighed.lacking, rawDropBar, seenS)
  const { best, meanSlope, reach, likely } = weighed
  const { known, fit, expected } = best
  const isStuck = stuck(s, bar, expected)
  const correctedDropBar = -meanSlope * s.holdS
  const scaled = s.holdS / seenS
  const parts = partsOf(s, best, reach * s.holdS, { bar, c: points.c.slice(from), scaled, seenS })
  // A rise that nothing explains may hide as great a fall.
  const uncertaintyBar = root(...Object.values(parts)) + Math.max(0, -correctedDropBar)
  const drop = { correctedDropBar, uncertaintyBar, rawDropBar }
  const told = (verdict: Judgement['verdict'], cause: DoubtCause | null, moreTimeS: number | null) => ({
    ...drop,
    verdict,
    cause,
    moreTimeS,
    leakRateLPerH: leakRate(s, correctedDropBar, known, points),
    lacking: null,
    parts,
    seenS,
    course: { tS: points.tS, bar: known.bar },
    barPerK: known.barPerK,
    airPct: s.medium === 'water' ? weighed.airPct : null,
    mostly: mostlyOf(best, correctedDropBar, parts, scaled, s.allowedDropBar),
  })
  if (isStuck) return told('inconclusive', 'stuck', null)
  const odd = fit.turned.some((k, i) => {
    const of = expected.directions[i]?.of
    return Math.abs(k.value) > NOT_AS_SAID && of !== 'creep'
  })
  const surelyLost = likely.every((t) => endToEnd(s, t.expected, bar, parts, seenS))
  if (
    surelyLost ||
    (!odd && correctedDropBar - uncertaintyBar > s.allowedDropBar && seenS >= s.holdS - END_S)
  )
    return told('lost', null, 0)
  if (seenS < s.holdS - END_S) return told('inconclusive', 'short', Math.ceil(s.holdS - seenS))
  if (odd) return told('inconclusive', 'not-as-said', null)
  if (correctedDropBar + uncertaintyBar <= s.allowedDropBar) return told('held', null, 0)
  return told('inconclusive', largest(parts), moreTime(s.allowedDropBar, correctedDropBar, parts, seenS))
}

/** A sensor that shows the same for the whole hold, while temperature alone must have moved it by several steps. */
function stuck(s: TestSeries, bar: readonly number[], e: Expected): boolean {
  if (bar.length < 10 || range(bar) > 0) return false
  const doubt = root(...e.directions.filter((d) => d.of !== 'creep').map((d) => range(d.bar)))
  return range(e.bar) - 2 * doubt > 3 * s.resolutionBar
}

/**
 * A fall so great, from end to end, that nothing that was said or left open explains it. It finds what a straight line
 * does not fit: a joint that lets go.
 */
function endToEnd(s: TestSeries, e: Expected, bar: readonly number[], parts: Parts, seenS: number): boolean {
  const n = bar.length
  const share = Math.max(1, Math.floor(n / 20))
  const mean = (v: readonly number[], from: number, to: number): number =>
    v.slice(from, to).reduce((a, b) => a + b, 0) / (to - from)
  const fall = (v: readonly number[]): number => mean(v, 0, share) - mean(v, n - share, n)
  const rest = bar.map((b, i) => b - (e.bar[i] as number))
  const doubt = 2 * root(...e.directions.map((d) => fall(d.bar)))
  const spread = root(doubt, parts.resolution, parts.sensor, s.resolutionBar)
  // Seen over the hold or less: what was lost by then is lost.
  return fall(rest) * Math.min(1, s.holdS / seenS) - spread * 1.5 > s.allowedDropBar
}

function withoutPhysics(
  s: TestSeries,
  points: Points,
  from: number,
  lacking: Lacking,
  rawDropBar: number,
  seenS: number,
): Judgement {
  const c = points.c.slice(from).filter((x) => !Number.isNaN(x))
  const first = points.bar[0] as number
  const most = c.length
    ? range(points.c.filter((x) => !Number.isNaN(x))) * mostBarPerK(s, first, c[0] as number)
    : null
  const base = { rawDropBar, seenS, lacking }
  if (most === null || most > s.allowedDropBar / 4) return nothing('lacking', base)
  const fit = fitLine(
    points.tS.slice(from),
    points.bar.slice(from),
    [],
    Math.max(s.resolutionBar / 3.47, 1e-6),
  )
  if (!fit) return nothing('few', base)
  const scaled = s.holdS / seenS
  const noise = Math.sqrt(Math.max(0, fit.restSd ** 2 - s.resolutionBar ** 2 / 12))
  const parts = {
    ...NO_PARTS,
    scatter: student975(fit.free) * fit.scatterSd * s.holdS,
    temperature: most,
    resolution: stepDoubt(s.resolutionBar, noise, range(points.bar.slice(from))) * scaled,
    sensor: s.sensorErrorBar * scaled,
  }
  const correctedDropBar = -fit.slope * s.holdS
  const uncertaintyBar = root(...Object.values(parts))
  const told = { ...nothing('lacking', base), correctedDropBar, uncertaintyBar, parts }
  if (seenS < s.holdS - END_S) return { ...told, cause: 'short', moreTimeS: Math.ceil(s.holdS - seenS) }
  if (correctedDropBar - uncertaintyBar > s.allowedDropBar)
    return { ...told, verdict: 'lost', cause: null, moreTimeS: 0 }
  if (correctedDropBar + uncertaintyBar <= s.allowedDropBar)
    return { ...told, verdict: 'held', cause: null, moreTimeS: 0 }
  return {
    ...told,
    cause: largest(parts),
    moreTimeS: moreTime(s.allowedDropBar, correctedDropBar, parts, seenS),
  }
}

/** Litres an hour that the corrected fall stands for: liquid, or gas at one atmosphere and 15 °C. */
function leakRate(s: TestSeries, dropBar: number, e: Expected, points: Points): number | null {
  if (s.volumeM3 === null) return null
  const barPerH = (dropBar / s.holdS) * 3600
  if (s.medium === 'water') return e.givePerBar === null ? null : barPerH * e.givePerBar * s.volumeM3 * 1000
  const kelvin = (points.c[0] as number) + 273.15
  return ((barPerH * s.volumeM3 * 1000) / ATMOSPHERE_BAR_ABS) * (288.15 / kelvin)
}
