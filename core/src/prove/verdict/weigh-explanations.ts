import { greatest } from '../../units/extent.js'
import { type Expected, type Lacking, NO_CREEP, expectedCourse } from './expected.js'
import { type LineFit, fitLine } from './fit.js'
import type { Points, TestSeries } from './series.js'

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
/** Smoothed temperatures are no surer than this, K: so the readings turn no direction to explain less. Source: `ours-verdict`. */
const UNREAD_K = 0.005
/** What temperatures tell is smoothed over so long: only such stretches speak for themselves, s. */
const APART_S = 2400
/** An amount of air that is less likely than this is ruled out. */
const LIKELY = 0.005
/** However well they fit, readings narrow what was not known before to no less than this share. */
export const NARROWS_TO = 0.33
export interface Tried {
  known: Expected
  /** The same from the hold on. */
  expected: Expected
  fit: LineFit
  weight: number
}
/** Fits the readings with each amount of air that may be in, and weighs them by how well they explain what was read. */
export function weigh(
  series: TestSeries,
  points: Points,
  from: number,
):
  | { best: Tried; meanSlope: number; reach: number; likely: Tried[]; airPct: number }
  | { lacking: Lacking }
  | null {
  const tS = points.tS.slice(from)
  const bar = points.bar.slice(from)
  const leastSd = Math.max(series.resolutionBar / Math.sqrt(12), 1e-6) / Math.sqrt(points.each > 4 ? 4 : 1)
  const airs = series.medium === 'water' && series.airPct === null ? AIRS : [[series.airPct ?? 0, 1] as const]
  const tried: Tried[] = []
  for (const [pct, weight] of airs) {
    const known = expectedCourse(series, points, from, pct)
    if ('lacking' in known) return known
    const expected = cut(known, from)
    const kept = bar.map((b, i) => b - (expected.bar[i] as number))
    const fit = fitGiving(tS, kept, expected, Math.hypot(leastSd, UNREAD_K * known.barPerK))
    if (!fit) return null
    // What temperatures tell is smoothed over some time: only so many stretches speak for themselves.
    const apart = Math.max(3, ((tS.at(-1) as number) - (tS[0] as number)) / APART_S) / tS.length
    tried.push({ known, expected, fit, weight: Math.log(weight) + fit.evidence * Math.min(1, apart) })
  }
  const top = greatest(tried.map((t) => t.weight))
  let sum = 0
  for (const one of tried) sum += one.weight = Math.exp(one.weight - top)
  const mean = (of: (t: Tried) => number): number => tried.reduce((a, t) => a + (t.weight / sum) * of(t), 0)
  const meanSlope = mean((t) => t.fit.slope)
  const likely = tried.filter((t) => t.weight / sum >= LIKELY)
  const best = tried.reduce((a, b) => (b.weight > a.weight ? b : a))
  // The doubt is lopsided: it reaches to the farthest amount of air that is not ruled out, and to the end of its own.
  const end = (t: Tried): number => Math.abs(t.fit.slope - meanSlope) + 2 * t.fit.slopeSd
  const reach = greatest(likely.map(end)) - (likely.length > 1 ? 2 * best.fit.slopeSd : end(best))
  return {
    best,
    meanSlope,
    reach,
    likely,
    airPct: mean((t) => t.known.airPct),
  }
}

/**
 * The line, with what a plastic gives way by its book figure taken out. Where the readings would have it give way
 * backwards it is taken to give way not at all.
 */
function fitGiving(
  tS: readonly number[],
  kept: readonly number[],
  expected: Expected,
  leastSd: number,
): LineFit | null {
  const given = kept.map((b, i) => b - (expected.creep[i] as number))
  const all = expected.directions.map((d) => d.bar)
  const fit = fitLine(tS, given, all, leastSd)
  const first = expected.directions.findIndex((d) => d.of === 'creep')
  if (!fit || first < 0 || (fit.turned[first]?.value ?? 0) >= NO_CREEP) return fit
  const others = expected.directions.filter((d) => d.of !== 'creep')
  const bare = fitLine(
    tS,
    kept,
    others.map((d) => d.bar),
    leastSd,
  )
  if (!bare) return bare
  const turned = expected.directions.map((direction, i) => {
    const at = others.indexOf(direction)
    return at >= 0
      ? (bare.turned[at] as (typeof bare.turned)[number])
      : { value: i === first ? NO_CREEP : 0, sd: fit.turned[i]?.sd ?? 0 }
  })
  return { ...bare, turned }
}

const cut = (expected: Expected, from: number): Expected => ({
  ...expected,
  bar: expected.bar.slice(from),
  creep: expected.creep.slice(from),
  directions: expected.directions.map((d) => ({ ...d, bar: d.bar.slice(from) })),
})
