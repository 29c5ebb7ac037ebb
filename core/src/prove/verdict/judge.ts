import { extent, median } from '../../units/extent.js'
import { ATMOSPHERE_BAR_ABS } from '../../units/units.js'
import { type DoubtCause, NO_PARTS, type Parts, largest, moreTime, mostlyOf, partsOf, root } from './doubt.js'
import { type Expected, type Lacking, mostBarPerK } from './expected.js'
import { fitLine, student975 } from './fit.js'
import { type Cleaned, withoutOutliers } from './outliers.js'
import { fallsFaster, isRestored } from './restored.js'
import { type Points, type TestSeries, barAt, pointsOf, stepDoubt } from './series.js'
import { type Tried, weigh } from './weigh-explanations.js'
import { type Coverage, coverageOf, windowOf } from './window.js'

/** Something about the readings that a person should know, whatever the verdict. */
export type ReadingReason = 'outlier' | 'temperature-jump' | 'pressure-restored'
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
  /** What was set aside and how often, and whether somebody pumped. */
  reasons: { code: ReadingReason; count: number }[]
  lacking: Lacking | null
  /** What makes up the half-width, each 95 %, bar. */
  parts: Parts
  /** Time of the hold that was seen, s. */
  seenS: number
  /** The course that temperature alone explains, at times from the first reading; for the chart. */
  course: { tS: number[]; bar: number[] } | null
  barPerK: number | null
  /** What most of the raw fall comes from, where that is plain. */
  mostly: 'leak' | 'temperature' | null
  /** Air shut in by these readings, per cent of the bore: what was said, or what they point to. */
  airPct: number | null
}
type Drop = Pick<Judgement, 'correctedDropBar' | 'uncertaintyBar' | 'parts'> & {
  correctedDropBar: number
  uncertaintyBar: number
}
type Settled = Pick<Judgement, 'verdict' | 'cause' | 'moreTimeS'>

const NOTHING: Omit<Judgement, 'cause'> = {
  verdict: 'inconclusive',
  rawDropBar: null,
  correctedDropBar: null,
  uncertaintyBar: null,
  leakRateLPerH: null,
  moreTimeS: null,
  reasons: [],
  lacking: null,
  parts: NO_PARTS,
  seenS: 0,
  course: null,
  barPerK: null,
  mostly: null,
  airPct: null,
}

/**
 * Judges a pressure test from its readings. The fall that the medium's temperature explains is taken out; what is left
 * is fitted with a straight line, in which all that is not known for sure may turn within its own bounds. The numbered
 * steps are those of docs/verdict.md. Source: `ours-verdict`.
 */
export function judgeSeries(given: TestSeries): Judgement {
  // Steps 1 and 2: what is judged, and what of it is believed.
  const cleaned = withoutOutliers(windowOf(given))
  const series = cleaned.series
  const reasons = reasonsOf(cleaned)
  const { points, from } = pointsOf(series)
  // Step 3: was enough of the hold read?
  const coverage = coverageOf(series)
  const { seenS } = coverage
  if (points.tS.length - from < 3) return { ...NOTHING, cause: 'few', reasons, seenS }
  const rawDropBar =
    ((barAt(series.readings, series.stabiliseS) - barAt(series.readings, series.stabiliseS + seenS)) *
      series.holdS) /
    seenS
  const base = { ...NOTHING, reasons, rawDropBar, seenS }
  // Step 4: the fall and its doubt.
  const weighed = weigh(series, points, from)
  if (weighed === null) return { ...base, cause: 'few' }
  if ('lacking' in weighed)
    return withoutPhysics(
      series,
      points,
      from,
      { ...base, cause: 'lacking', lacking: weighed.lacking },
      cleaned,
      coverage,
    )
  const { best } = weighed
  const bar = points.bar.slice(from)
  const scaled = series.holdS / seenS
  const parts = partsOf(series, best, weighed.reach * series.holdS, {
    bar,
    c: points.c.slice(from),
    scaled,
    seenS,
  })
  const line: Drop = {
    correctedDropBar: -weighed.meanSlope * series.holdS,
    uncertaintyBar: root(...Object.values(parts)),
    parts,
  }
  const sure = endToEnd(series, weighed.likely, bar, parts, line)
  // Step 5: did somebody pump?
  // A rise that nothing explains may hide as great a fall.
  const drop = { ...sure, uncertaintyBar: sure.uncertaintyBar + Math.max(0, -sure.correctedDropBar) }
  const restored =
    rises(sure) ||
    weighed.likely.every((t) => isRestored(series, points, t.known)) ||
    (isHeld(drop, series) && fallsFaster(series, points, best.known, best.fit.turned))
  if (restored) reasons.push({ code: 'pressure-restored', count: 1 })
  const settled = settle(series, drop, cleaned, coverage, {
    restored,
    stuck: stuck(series, bar, best.expected),
  })
  return {
    ...base,
    ...drop,
    ...settled,
    leakRateLPerH: leakRate(series, drop.correctedDropBar, best.known, points),
    course: { tS: points.tS, bar: best.known.bar },
    barPerK: best.known.barPerK,
    airPct: series.medium === 'water' ? weighed.airPct : null,
    mostly: mostlyOf(best, drop.correctedDropBar, drop.parts, scaled, series.allowedDropBar),
  }
}

const reasonsOf = (cleaned: Cleaned): Judgement['reasons'] => [
  ...(cleaned.outliers ? [{ code: 'outlier' as const, count: cleaned.outliers }] : []),
  ...(cleaned.jumps ? [{ code: 'temperature-jump' as const, count: cleaned.jumps }] : []),
]

/** So many of its half-widths a rise is beyond doubt. */
const SURE_RISE = 1.5
const rises = (d: Drop): boolean => -d.correctedDropBar > SURE_RISE * d.uncertaintyBar
const isHeld = (d: Drop, s: TestSeries): boolean => d.correctedDropBar + d.uncertaintyBar <= s.allowedDropBar

/**
 * Step 6: the two inequalities decide. Where too little was read, too much set aside, or the sensor does not move, there
 * are no readings of this hold to decide by; where somebody pumped nothing was held.
 */
function settle(
  series: TestSeries,
  drop: Drop,
  cleaned: Cleaned,
  coverage: Coverage,
  seen: { restored: boolean; stuck: boolean },
): Settled {
  const doubt = (cause: DoubtCause, moreTimeS: number | null = null): Settled => ({
    verdict: 'inconclusive',
    cause,
    moreTimeS,
  })
  if (coverage.lacks === 'short') return doubt('short', Math.ceil(series.holdS - coverage.seenS))
  if (coverage.lacks) return doubt(coverage.lacks)
  if (cleaned.tooMany) return doubt(cleaned.outliers >= cleaned.jumps ? 'outlier' : 'temperature-jump')
  if (seen.stuck) return doubt('stuck')
  const { correctedDropBar: fall, uncertaintyBar: half, parts } = drop
  if (fall - half > series.allowedDropBar) return { verdict: 'lost', cause: null, moreTimeS: 0 }
  if (seen.restored) return doubt('pressure-restored')
  if (isHeld(drop, series)) return { verdict: 'held', cause: null, moreTimeS: 0 }
  return doubt(largest(parts), moreTime(series.allowedDropBar, fall, parts, coverage.seenS))
}

/** A sensor that shows the same for the whole hold, while temperature alone must have moved it by several steps. */
function stuck(series: TestSeries, bar: readonly number[], expected: Expected): boolean {
  if (bar.length < 10 || extent(bar) > 0) return false
  const doubt = root(...expected.directions.filter((d) => d.of !== 'creep').map((d) => extent(d.bar)))
  return extent(expected.bar) - 2 * doubt > 3 * series.resolutionBar
}

/** How much wider than figured beforehand the doubt is taken from end to end. */
const ENDS_WIDER = 1.5
/**
 * A joint that lets go is no straight line: the line's own doubt then hides a fall that is plain from end to end. Where
 * the ends alone show more than is allowed, whatever amount of air is likely, they give the fall and its doubt, without
 * anything that the readings are said to have narrowed.
 */
function endToEnd(
  series: TestSeries,
  likely: readonly Tried[],
  bar: readonly number[],
  parts: Parts,
  line: Drop,
): Drop {
  if (line.correctedDropBar - line.uncertaintyBar > series.allowedDropBar) return line
  const count = bar.length
  const share = Math.max(1, Math.floor(count / 20))
  const fall = (v: readonly number[]): number => median(v.slice(0, share)) - median(v.slice(count - share))
  const drops = likely.map(({ expected: expected }): Drop => {
    const left = bar.map((b, i) => b - (expected.bar[i] as number) - (expected.creep[i] as number))
    const by = (of: keyof typeof parts): number =>
      2 * root(...expected.directions.filter((d) => d.of === of).map((d) => fall(d.bar)))
    const wide = {
      ...NO_PARTS,
      temperature: by('temperature'),
      air: by('air'),
      creep: by('creep'),
      resolution: Math.max(parts.resolution, series.resolutionBar),
      sensor: parts.sensor,
    }
    const own = Object.fromEntries(Object.entries(wide).map(([k, v]) => [k, v * ENDS_WIDER])) as Parts
    return { correctedDropBar: fall(left), uncertaintyBar: root(...Object.values(own)), parts: own }
  })
  const surest = drops.reduce((a, b) =>
    b.correctedDropBar - b.uncertaintyBar < a.correctedDropBar - a.uncertaintyBar ? b : a,
  )
  return surest.correctedDropBar - surest.uncertaintyBar > series.allowedDropBar ? surest : line
}

/** What the correction needs is missing: judged all the same where the temperature can do no more than a quarter. */
function withoutPhysics(
  series: TestSeries,
  points: Points,
  from: number,
  base: Judgement,
  cleaned: Cleaned,
  coverage: Coverage,
): Judgement {
  const warm = points.c.slice(from).filter((x) => !Number.isNaN(x))
  const first = points.bar[0] as number
  const most = warm.length
    ? extent(points.c.filter((x) => !Number.isNaN(x))) * mostBarPerK(series, first, warm[0] as number)
    : null
  if (most === null || most > series.allowedDropBar / 4) return base
  const bar = points.bar.slice(from)
  const fit = fitLine(points.tS.slice(from), bar, [], Math.max(series.resolutionBar / 3.47, 1e-6))
  if (!fit) return { ...base, cause: 'few' }
  const scaled = series.holdS / coverage.seenS
  const noise = Math.sqrt(Math.max(0, fit.restSd ** 2 - series.resolutionBar ** 2 / 12))
  const parts: Parts = {
    ...NO_PARTS,
    scatter: student975(fit.free) * fit.scatterSd * series.holdS,
    temperature: most,
    resolution: stepDoubt(series.resolutionBar, noise, extent(bar)) * scaled,
    sensor: series.sensorErrorBar * scaled,
  }
  const drop = {
    correctedDropBar: -fit.slope * series.holdS,
    uncertaintyBar: root(...Object.values(parts)),
    parts,
  }
  const still = points.bar.map(() => 0)
  const flat = {
    bar: still,
    creep: still,
    directions: [],
    airPct: 0,
    readSd: 0,
    givePerBar: null,
    barPerK: 0,
  }
  const restored = rises(drop) || isRestored(series, points, flat)
  return {
    ...base,
    ...drop,
    ...settle(series, drop, cleaned, coverage, { restored, stuck: false }),
    reasons: restored ? [...base.reasons, { code: 'pressure-restored', count: 1 }] : base.reasons,
  }
}

/** Litres an hour that the corrected fall stands for: liquid, or gas at one atmosphere and 15 °C. */
function leakRate(series: TestSeries, dropBar: number, expected: Expected, points: Points): number | null {
  if (series.volumeM3 === null) return null
  const barPerH = (dropBar / series.holdS) * 3600
  if (series.medium === 'water')
    return expected.givePerBar === null ? null : barPerH * expected.givePerBar * series.volumeM3 * 1000
  const kelvin = (points.c[0] as number) + 273.15
  return ((barPerH * series.volumeM3 * 1000) / ATMOSPHERE_BAR_ABS) * (288.15 / kelvin)
}
