import type { SourceId } from '../../sources/source.js'
import { EDGE_C } from '../../units/units.js'
import type { CureRule } from './rule.js'

/** Seconds that a maker asks for from a wall temperature up, °C. */
export interface ChartTime {
  fromC: number
  s: number
}
/** A maker's cure times: bands of wall temperature, for each pressure up to which they count. */
export interface ChartCure {
  cure: readonly (ChartTime & { toBar: number })[]
  set: readonly ChartTime[]
  source: SourceId
}

const isTime = (x: unknown): x is ChartTime => {
  const { fromC, s: lasts } = (x ?? {}) as Partial<ChartTime>
  return Number.isFinite(fromC) && Number.isFinite(lasts) && (lasts as number) > 0
}
/** A chart's cure times out of a raw specification; null when there are none. */
export function chartCureOf(raw: unknown): ChartCure | null {
  const chart = (raw ?? {}) as Partial<ChartCure>
  if (!Array.isArray(chart.cure) || !chart.cure.length || typeof chart.source !== 'string') return null
  const whole = chart.cure.every((x) => isTime(x) && Number.isFinite((x as { toBar?: number }).toBar))
  const set = Array.isArray(chart.set) && chart.set.every(isTime) ? chart.set : []
  return whole ? { cure: chart.cure, set, source: chart.source } : null
}

/** The band a temperature falls in: on an edge the colder one, except at the coldest, which begins on its edge. */
function timeAt(bands: readonly ChartTime[], temperatureC: number): number | null {
  const coldestFirst = [...bands].sort((a, b) => a.fromC - b.fromC)
  const found = coldestFirst.findLast((band, i) =>
    i ? temperatureC > band.fromC + EDGE_C : temperatureC >= band.fromC - EDGE_C,
  )
  return found?.s ?? null
}

const rules = new WeakMap<ChartCure, CureRule>()
/**
 * A maker's cure times as a rule. Colder than the coldest band, and above the highest pressure, there is no figure.
 * @param usual the rule that would count without the chart: keeps its set times where the chart gives none.
 */
export function chartRule(chart: ChartCure, usual: CureRule | null): CureRule {
  let rule = rules.get(chart)
  if (!rule) {
    const bars = [...new Set(chart.cure.map((c) => c.toBar))].sort((a, b) => a - b)
    rule = {
      id: `chart ${JSON.stringify(chart)} ${usual?.id}`,
      sourceAt: () => chart.source,
      setSource: chart.set.length ? chart.source : (usual?.setSource ?? chart.source),
      classes: bars.map((toBar) => ({
        toBar,
        requiredS: (temperatureC) =>
          timeAt(
            chart.cure.filter((c) => c.toBar === toBar),
            temperatureC,
          ),
      })),
      perBarS: null,
      setS: (t) => (chart.set.length ? timeAt(chart.set, t) : (usual?.setS(t) ?? null)),
    }
    rules.set(chart, rule)
  }
  return rule
}
