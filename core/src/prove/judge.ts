import { ATMOSPHERE_BAR_ABS } from '../units/units.js'
import { type Expected, type Lacking, expectedCourse, mostBarPerK } from './expected.js'
import { type LineFit, fitLine, student975 } from './fit.js'
import { type Points, type TestSeries, barAt, pointsOf, stepDoubt, stepOf } from './series.js'

export type Cause = 'few' | 'short' | 'lacking' | 'stuck' | 'not-as-said' | 'temperature' | 'air' | 'creep'
export type DoubtCause = Cause | 'resolution' | 'sensor' | 'noise'
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
  parts: Readonly<Record<'scatter' | 'temperature' | 'air' | 'creep' | 'resolution' | 'sensor', number>>
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

/** The air about may rise or fall so much in an hour, bar (95 %), more slowly than in step with time. Source: `ours-verdict`. */
const BAROMETER_BAR = 0.001
const BAROMETER_GROWS = 0.8
/** What turns a direction by more than this is not as it was said. */
const NOT_AS_SAID = 3.5
/** Times beyond this are not offered. */
const MOST_MORE_S = 48 * 3600
/** Readings may end so little before the hold does. */
const END_S = 1
const NO_PARTS = { scatter: 0, temperature: 0, air: 0, creep: 0, resolution: 0, sensor: 0 }

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

/** Nobody said how much air is shut in: each of these is tried, per cent of the bore, with its weight beforehand. */
const AIRS: readonly (readonly [pct: number, weight: number])[] = [
  [0, 0.24],
  [0.05, 0.1],
  [0.1, 0.1],
  [0.2, 0.12],
  [0.4, 0.12],
  [0.8, 0.12],
  [1.5, 0.1],
  [3, 0.1],
]
const APART_S = 2400
/** An amount of air that is less likely than this is ruled out. */
const LIKELY = 0.005
/** However well they fit, readings narrow what was not known before to no less than this share. */
const NARROWS_TO = 0.33
interface Tried {
  known: Expected
  /** The same from the hold on. */
  expected: Expected
  fit: LineFit
  weight: number
}
/** Fits the readings with each amount of air that may be in, and weighs them by how well they explain what was read. */
function weigh(
  s: TestSeries,
  points: Points,
  from: number,
):
  | { best: Tried; meanSlope: number; reach: number; likely: Tried[]; airPct: number }
  | { lacking: Lacking }
  | null {
  const tS = points.tS.slice(from)
  const bar = points.bar.slice(from)
  const leastSd = Math.max(s.resolutionBar / Math.sqrt(12), 1e-6) / Math.sqrt(points.each > 4 ? 4 : 1)
  const airs = s.medium === 'water' && s.airPct === null ? AIRS : [[s.airPct ?? 0, 1] as const]
  const tried: Tried[] = []
  for (const [pct, weight] of airs) {
    const known = expectedCourse(s, points, from, pct)
    if ('lacking' in known) return known
    const expected = cut(known, from)
    const kept = bar.map((b, i) => b - (expected.bar[i] as number))
    const fit = fitLine(
      tS,
      kept,
      expected.directions.map((d) => d.bar),
      leastSd,
    )
    if (!fit) return null
    // What temperatures tell is smoothed over some time: only so many stretches speak for themselves.
    const apart = Math.max(3, ((tS.at(-1) as number) - (tS[0] as number)) / APART_S) / tS.length
    tried.push({ known, expected, fit, weight: Math.log(weight) + fit.evidence * Math.min(1, apart) })
  }
  const top = Math.max(...tried.map((t) => t.weight))
  let sum = 0
  for (const t of tried) sum += t.weight = Math.exp(t.weight - top)
  const mean = (of: (t: Tried) => number): number => tried.reduce((a, t) => a + (t.weight / sum) * of(t), 0)
  const meanSlope = mean((t) => t.fit.slope)
  const likely = tried.filter((t) => t.weight / sum >= LIKELY)
  const best = tried.reduce((a, b) => (b.weight > a.weight ? b : a))
  // The doubt is lopsided: it reaches to the farthest amount of air that is not ruled out, and to the end of its own.
  const end = (t: Tried): number => Math.abs(t.fit.slope - meanSlope) + 2 * t.fit.slopeSd
  const reach = Math.max(...likely.map(end)) - (likely.length > 1 ? 2 * best.fit.slopeSd : end(best))
  return {
    best,
    meanSlope,
    reach,
    likely,
    airPct: mean((t) => t.known.airPct),
  }
}
const range = (v: readonly number[]): number => Math.max(...v) - Math.min(...v)
const root = (...v: readonly number[]): number => Math.sqrt(v.reduce((sum, x) => sum + x * x, 0))

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

const cut = (e: Expected, from: number): Expected => ({
  ...e,
  bar: e.bar.slice(from),
  directions: e.directions.map((d) => ({ ...d, bar: d.bar.slice(from) })),
})

/** A sensor that shows the same for the whole hold, while temperature alone must have moved it by several steps. */
function stuck(s: TestSeries, bar: readonly number[], e: Expected): boolean {
  if (bar.length < 10 || range(bar) > 0) return false
  const doubt = root(...e.directions.filter((d) => d.of !== 'creep').map((d) => range(d.bar)))
  return range(e.bar) - 2 * doubt > 3 * s.resolutionBar
}

/** A fall is laid to one thing only where that makes up so much of it, and is known to half of itself. */
const MOSTLY = 0.65
/**
 * What most of the fall comes from: a leak or the temperature. Null where the fall is too small to speak of, nothing
 * stands out, or it is the pipe that gives way: that is never plain enough. How often it is right: docs/verdict.md.
 */
function mostlyOf(
  { expected, fit }: Tried,
  leakBar: number,
  parts: Judgement['parts'],
  scaled: number,
  allowedBar: number,
): Judgement['mostly'] {
  const fall = (v: readonly number[]): number => ((v[0] as number) - (v.at(-1) as number)) * scaled
  const by = { leak: leakBar, temperature: fall(expected.bar), creep: 0 }
  expected.directions.forEach((d, i) => {
    if (d.of !== 'air') by[d.of] += fall(d.bar) * (fit.turned[i]?.value ?? 0)
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

function partsOf(
  s: TestSeries,
  { fit, expected: e }: Tried,
  airReach: number,
  at: { bar: number[]; c: number[]; scaled: number; seenS: number },
): Judgement['parts'] {
  const student = student975(fit.free)
  const scatter = student * fit.scatterSd * s.holdS
  // What the doubt about directions adds, shared out by how far each still moves the ends.
  const added = Math.max(0, fit.slopeSd ** 2 - fit.scatterSd ** 2) * (student * s.holdS) ** 2
  const weight = { temperature: 0, air: 0, creep: 0 }
  const before = { temperature: 0, air: 0, creep: 0 }
  e.directions.forEach((d, i) => {
    const ends = ((d.bar.at(-1) as number) - (d.bar[0] as number)) * at.scaled
    weight[d.of] += (ends * (fit.turned[i]?.sd ?? 0)) ** 2
    before[d.of] += (2 * ends * NARROWS_TO) ** 2
  })
  const all = weight.temperature + weight.air + weight.creep || 1
  const doubt = (of: keyof typeof weight): number =>
    Math.sqrt(Math.max((added * weight[of]) / all, before[of]))
  const noise = Math.sqrt(Math.max(0, fit.restSd ** 2 - s.resolutionBar ** 2 / 12))
  const step = stepOf(at.c)
  const kStep = step * Math.abs(e.barPerK)
  const thermal =
    stepDoubt(kStep, e.readSd * Math.abs(e.barPerK), range(at.c) * Math.abs(e.barPerK)) * at.scaled
  const air = s.medium === 'water' ? 0 : BAROMETER_BAR * (at.seenS / 3600) ** BAROMETER_GROWS * at.scaled
  return {
    scatter,
    temperature: root(doubt('temperature'), thermal, air),
    air: root(doubt('air'), airReach),
    creep: doubt('creep'),
    resolution: stepDoubt(s.resolutionBar, noise, range(at.bar)) * at.scaled,
    sensor: s.sensorErrorBar * at.scaled,
  }
}

/**
 * A fall so great, from end to end, that nothing that was said or left open explains it. It finds what a straight line
 * does not fit: a joint that lets go.
 */
function endToEnd(
  s: TestSeries,
  e: Expected,
  bar: readonly number[],
  parts: Judgement['parts'],
  seenS: number,
): boolean {
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

function largest(parts: Judgement['parts']): DoubtCause {
  const [name] = Object.entries(parts).reduce((a, b) => (b[1] > a[1] ? b : a))
  return name === 'scatter' ? 'noise' : (name as DoubtCause)
}

/**
 * Further time after which the same fall would be settled either way, s: scatter fades with the power 1.5 of the time
 * seen, what moves the ends with the time itself. Null beyond two days.
 */
function moreTime(
  allowedBar: number,
  dropBar: number,
  parts: Judgement['parts'],
  seenS: number,
): number | null {
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

/** Litres an hour that the corrected fall stands for: liquid, or gas at one atmosphere and 15 °C. */
function leakRate(s: TestSeries, dropBar: number, e: Expected, points: Points): number | null {
  if (s.volumeM3 === null) return null
  const barPerH = (dropBar / s.holdS) * 3600
  if (s.medium === 'water') return e.givePerBar === null ? null : barPerH * e.givePerBar * s.volumeM3 * 1000
  const kelvin = (points.c[0] as number) + 273.15
  return ((barPerH * s.volumeM3 * 1000) / ATMOSPHERE_BAR_ABS) * (288.15 / kelvin)
}
