import { ratingAt23Bar } from '../../sizes/plastic-walls.js'
import { type Size, outsideDiameterMm } from '../../sizes/size.js'
import { seriesKey, wallSeriesOf, wallMm } from '../../sizes/walls.js'
import { type Fig, fig, msg, noFig, type SourceId } from '../../sources/source.js'
import { type Table, tableOf } from '../../sources/table.js'
import { EDGE_C, psiToBar } from '../../units/units.js'
import { copperRatingBar, pprDesignMpa } from './lasting.js'
import ABS_FILE from './tables/abs-derating.json' with { type: 'json' }
import CPVC_FILE from './tables/cpvc-derating.json' with { type: 'json' }
import D2241_FILE from './tables/d2241-pressures.json' with { type: 'json' }
import D2846_FILE from './tables/d2846-pressures.json' with { type: 'json' }
import PVC_FILE from './tables/pvc-derating.json' with { type: 'json' }
import PVC_U_FILE from './tables/pvc-u-derating.json' with { type: 'json' }
import PVC_U_PN_FILE from './tables/pvc-u-pressures.json' with { type: 'json' }

/** Share of the rating that is left up to a temperature, °C. Between rows the hotter row counts. */
const DERATING = {
  pvc: tableOf(PVC_FILE, 'astm-d1785-derate'),
  cpvc: tableOf(CPVC_FILE, 'astm-f441-derate'),
  'pvc-u': tableOf(PVC_U_FILE, 'iso-1452-2'),
  abs: tableOf(ABS_FILE, 'cp-abs-derate'),
} as const
type Derating = Table<{ to: number; keeps: number }>
const deratingOf = (material: string): Derating | undefined =>
  (DERATING as Readonly<Record<string, Derating>>)[material]
const isPpr = (material: string): boolean => material === 'pp-r' || material === 'pp-r-layered'

/**
 * Share of its rating when cool that pipe keeps at a temperature.
 * @example deratingFactor('pvc-u', 40).value // 0.71
 */
export function deratingFactor(material: string, temperatureC: number): Fig {
  if (isPpr(material)) {
    const [now, cool] = [pprDesignMpa(temperatureC), pprDesignMpa(20)]
    return now.value === null || cool.value === null ? now : fig(now.value / cool.value, now.source)
  }
  const table = deratingOf(material)
  const row = table?.rows.find(({ to }) => temperatureC <= to + EDGE_C)
  if (!table) return noFig(msg('derating-unknown', { material }))
  return row ? fig(row.keeps, table.source) : noFig(msg('derating-too-hot', { material, c: temperatureC }))
}

/**
 * Nominal pressure of PVC-U pipe by its ratio: to d90 (design stress 10 MPa), above (12.5 MPa). The standard names rounded
 * pressures: 6.25 bar is PN 6. Source: `iso-1452-2`.
 */
const PVC_U_PN = tableOf(PVC_U_PN_FILE, 'iso-1452-2')
/** Up to this diameter the lesser design stress counts. */
const PVC_U_SMALL_MM = 90
/** Rating at 73 °F by ratio, whatever the size. Sources: ASTM D2241, D2846. */
const BY_RATIO = {
  pvc: tableOf(D2241_FILE, 'astm-d2241'),
  cpvc: tableOf(D2846_FILE, 'astm-d2846'),
} as const
/** Design stress of ABS: metric in MPa at 20 °C, inch (ABS 1210) in psi at 73 °F. */
const ABS_STRESS = { mpa: 8, psi: 1000 } as const
/** Pressure of pipe by its stress and ratio: 20 stress / (SDR - 1), bar and MPa. Source: ISO 161-1. */
const bySdr = (mpa: number, sdr: number): number => (20 * mpa) / (sdr - 1)

interface Asked {
  material: string
  size: Size
  series: string
}
function inchRating({ material, size, series }: Asked): Fig {
  const byRatio = material === 'pvc' || material === 'cpvc' ? BY_RATIO[material] : null
  const ratio = byRatio?.at(series)
  if (byRatio && ratio) return fig(ratio.rating, byRatio.source)
  const schedule = /^Sch (40|80)$/.exec(series)?.[1]
  if (size.family === 'NPS' && schedule && (material === 'pvc' || material === 'cpvc'))
    return ratingAt23Bar(size.text, schedule)
  const wall = wallMm(material, size, series)
  const od = outsideDiameterMm(size)
  if (material === 'abs' && wall.value !== null && od !== null)
    return fig(psiToBar((2 * ABS_STRESS.psi * wall.value) / (od - wall.value)), 'astm-d1527')
  return noFig(msg('rating-unknown', { size: size.text }), 'material')
}
function metricRating({ material, size, series }: Asked): Fig {
  const pn = /^PN (\d+(?:\.\d+)?)$/.exec(series)
  if (pn) return fig(Number(pn[1]), material === 'pvc-u' ? 'iso-1452-2' : 'iso-15493-pn')
  const sdr = /^SDR (\d+(?:\.\d+)?)$/.exec(series)?.[1]
  const ratio = Number(sdr)
  const pnOf = material === 'pvc-u' ? PVC_U_PN.at(`SDR ${ratio}`) : undefined
  if (pnOf) return fig(size.nominal <= PVC_U_SMALL_MM ? pnOf['to d90'] : pnOf.above, PVC_U_PN.source)
  if (sdr && material === 'abs') return fig(bySdr(ABS_STRESS.mpa, ratio), 'iso-15493-pn')
  const ppr = isPpr(material) ? pprDesignMpa(20) : null
  if (sdr && ppr && ppr.value !== null) return fig(bySdr(ppr.value, ratio), ppr.source)
  return noFig(msg('rating-unknown', { size: size.text }), 'series')
}
/** Rating of plain pipe when cool, bar: inch by schedule or ratio, metric by PN or ratio. */
const coolRating = (asked: Asked): Fig =>
  asked.size.family === 'd' ? metricRating(asked) : inchRating(asked)

export interface Rated {
  ratingBar: number
  factor: number
  /** Sources of the cool rating and of the factor. */
  sources: [SourceId, SourceId]
}
/**
 * Pressure that pipe may take for ever at a temperature, bar. Threaded Sch 80 takes half; Sch 40 is not threaded.
 * @param series as `Sch 80` (or `80`), `PN 10`, `SDR 21`, for copper tube `L` or `Table X`.
 */
export function pipeRating(
  pipe: { material: string; size: Size; series: string; threaded: boolean },
  temperatureC: number,
): Rated | { value: null; why: ReturnType<typeof msg>; field: string } {
  const { material, size, threaded } = pipe
  const series = seriesKey(pipe.series) ?? ''
  const none = (fig: Fig, field: string) =>
    ({
      value: null,
      why: 'why' in fig ? fig.why : msg('rating-unknown', { size: size.text }),
      field,
    }) as const
  if (threaded && series !== 'Sch 80')
    return none(noFig(msg('no-threads', { schedule: series.replace(/^Sch /, '') })), 'threaded')
  if (material === 'copper') return copperRated(size, series, temperatureC)
  const cool = coolRating({ material, size, series })
  if (cool.value === null) return none(cool, cool.field ?? 'material')
  const factor = deratingFactor(material, temperatureC)
  if (factor.value === null) return none(factor, 'temperatureC')
  const half = threaded ? 0.5 : 1
  return {
    ratingBar: cool.value * factor.value * half,
    factor: factor.value * half,
    sources: [cool.source, threaded ? 'half-when-threaded' : factor.source],
  }
}
function copperRated(size: Size, series: string, temperatureC: number): ReturnType<typeof pipeRating> {
  const unknown = { value: null, why: msg('rating-unknown', { size: size.text }), field: 'series' } as const
  const wall = wallMm('copper', size, series)
  const od = outsideDiameterMm(size)
  if (!wallSeriesOf('copper', size.family).includes(series) || wall.value === null || od === null)
    return unknown
  const [now, cool] = [temperatureC, 20].map((c) => copperRatingBar(od, wall.value as number, c)) as [
    Fig,
    Fig,
  ]
  if (now.value === null) return { value: null, why: now.why, field: 'temperatureC' }
  return {
    ratingBar: now.value,
    factor: now.value / (cool.value ?? now.value),
    sources: [now.source, wall.source],
  }
}
