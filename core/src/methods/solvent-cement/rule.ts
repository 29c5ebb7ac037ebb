import { NPS_NAMES } from '../../sizes/diameters.js'
import { outsideDiameterMm, parseSize } from '../../sizes/size.js'
import { type Msg, msg } from '../../sources/source.js'
import { EDGE_C, HOUR_S } from '../../units/units.js'
import type { CureClass, CureRule } from '../cure/rule.js'
import { type SolventSpec, sizeOf } from './spec.js'
import { chartRule } from '../cure/chart-rule.js'
import { type Band, type CureTable, HUMID_FACTOR, TABLES } from './tables.js'
import type { Code } from '../../sources/wording.js'

/** Hours per bar is a quick rule for ordinary pressures: it stops here. */
export const HOURS_PER_BAR_TO_BAR = 16
const HOURS_PER_BAR_TO_MM = 160
const METRIC_SET_TO_MM = 110
const ABS_SET_TO_MM = 140
const WARM_C = 10
const COLD_C = 5
const HOT_C = 40

/** Seconds of the band a temperature falls in, warmest first; on an edge the colder one. Null outside all. */
function inBand(bands: readonly Band[], temperatureC: number): number | null {
  const last = bands.length - 1
  if (temperatureC > (bands[0] as Band).toC + EDGE_C) return null
  const found = bands.find((band, i) =>
    i < last ? temperatureC > band.fromC + EDGE_C : temperatureC >= band.fromC - EDGE_C,
  )
  return found?.seconds ?? null
}

interface InchRow {
  id: string
  classes: CureClass[]
  setS(t: number): number | null
}
function inchRow(table: CureTable, nominalInch: number): InchRow | null {
  const band = table.sizeToInch.findIndex((to) => nominalInch <= to)
  const classes = table.cure[band]
  const set = table.set[band]
  if (!classes || !set) return null
  return {
    id: `${table.id}/${band}`,
    classes: classes.map(({ toBar, bands }) => ({
      toBar,
      requiredS: (temperatureC, humid) => {
        const seconds = inBand(bands, temperatureC)
        return seconds === null ? null : seconds * (humid ? HUMID_FACTOR : 1)
      },
    })),
    setS: (t) => inBand(set, t),
  }
}

/** Nominal inch size whose outside diameter is next at or above a metric one; d20 and less count as the first band. */
function nextInchSize(od: number): number | null {
  if (od <= 20) return 0.5
  let best: { inch: number; od: number } | null = null
  for (const name of NPS_NAMES) {
    const size = parseSize(`NPS ${name}`)
    const theirs = size && outsideDiameterMm(size)
    if (size && theirs && theirs >= od - 1e-9 && (!best || theirs < best.od))
      best = { inch: size.nominal, od: theirs }
  }
  return best?.inch ?? null
}

export type RuleFound = { ok: true; rule: CureRule } | { ok: false; why: Msg }
const cache = new Map<string, RuleFound>()

/**
 * The cure rule of a solvent-cemented joint: the maker's, where a chart gives one.
 * In damp air the inch schedules take half again. @param table which inch schedule: `current` or `d2855-96`.
 */
export function cureRule(
  spec: Pick<SolventSpec, 'material' | 'size' | 'school' | 'chartCure'>,
  table: string,
): RuleFound {
  const key = `${spec.material} ${spec.size} ${spec.school} ${table}`
  let found = cache.get(key)
  if (!found) cache.set(key, (found = makeRule(spec, TABLES[table] ?? (TABLES.current as CureTable))))
  return spec.chartCure ? { ok: true, rule: chartRule(spec.chartCure, found.ok ? found.rule : null) } : found
}

function makeRule(spec: Pick<SolventSpec, 'material' | 'size' | 'school'>, table: CureTable): RuleFound {
  const size = sizeOf(spec)
  const no = (code: Code): RuleFound => ({
    ok: false,
    why: msg(code, { material: spec.material, size: spec.size }),
  })
  if (spec.school === 'inch') {
    if (spec.material === 'abs') return no('no-cure-abs-inch')
    const row = inchRow(table, size.nominal)
    if (!row) return no('no-cure-size')
    return {
      ok: true,
      rule: {
        id: row.id,
        sourceAt: () => table.source,
        setSource: table.source,
        classes: row.classes,
        perBarS: null,
        setS: row.setS,
      },
    }
  }
  if (spec.material === 'abs') return { ok: true, rule: absRule(size.nominal) }
  if (spec.material !== 'pvc-u') return no('no-cure-metric')
  if (size.nominal > HOURS_PER_BAR_TO_MM) return no('no-cure-size')
  return pvcuRule(size.nominal, table, no)
}

function absRule(od: number): CureRule {
  const day = (temperatureC: number): number | null => {
    if (temperatureC < COLD_C - EDGE_C || temperatureC > HOT_C + EDGE_C) return null
    return temperatureC > WARM_C + EDGE_C && temperatureC < 30 - EDGE_C ? 24 * HOUR_S : 48 * HOUR_S
  }
  return {
    id: `abs-day/${od <= ABS_SET_TO_MM ? 'small' : 'large'}`,
    sourceAt: () => 'cp-abs-day',
    setSource: 'cp-set-metric',
    classes: [{ toBar: null, requiredS: day }],
    perBarS: null,
    setS: (temperatureC) =>
      od > ABS_SET_TO_MM || temperatureC < COLD_C - EDGE_C || temperatureC > HOT_C + EDGE_C
        ? null
        : temperatureC <= WARM_C + EDGE_C
          ? 900
          : 600,
  }
}

function pvcuRule(od: number, table: CureTable, no: (code: Code) => RuleFound): RuleFound {
  const inch = nextInchSize(od)
  const row = inch === null ? null : inchRow(table, inch)
  if (!row) return no('no-cure-size')
  const inRange = (t: number): boolean => t >= COLD_C - EDGE_C && t <= HOT_C + EDGE_C
  const warm = (t: number): boolean => t > WARM_C + EDGE_C
  const below = row.classes.filter((c) => (c.toBar as number) < HOURS_PER_BAR_TO_BAR)
  const last = row.classes[below.length]
  // At 10 °C and below the inch row counts as well; where it has no figure for the pressure, there is none.
  const cold: CureClass[] = [
    ...below,
    { toBar: HOURS_PER_BAR_TO_BAR, requiredS: (t, humid) => (last ? last.requiredS(t, humid) : null) },
  ]
  const classes: CureClass[] = cold.map((cureClass) => ({
    toBar: cureClass.toBar,
    requiredS: (t, humid) => (!inRange(t) ? null : warm(t) ? 0 : cureClass.requiredS(t, humid)),
  }))
  return {
    ok: true,
    rule: {
      id: `pvc-u-hours/${row.id}/${od <= METRIC_SET_TO_MM ? 'small' : 'large'}`,
      sourceAt: (t) => (warm(t) ? 'cp-hours-per-bar' : `cp-hours-per-bar+${table.source}`),
      setSource: od <= METRIC_SET_TO_MM ? 'cp-set-metric' : table.source,
      classes,
      perBarS: HOUR_S,
      setS: (t) => (!inRange(t) ? null : od <= METRIC_SET_TO_MM ? 300 : row.setS(t)),
    },
  }
}
