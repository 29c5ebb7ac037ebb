import { ratingAt23Bar } from '../sizes/plastic-walls.js'
import { type Size } from '../sizes/size.js'
import { type Fig, fig, msg, noFig } from '../sources/source.js'
import { EDGE_C, fToC } from '../units/units.js'

/** Share of the rating that is left up to a temperature. Between rows the hotter row counts. */
type Row = readonly [toC: number, factor: number]
const fromF = (...rows: readonly (readonly [number, number])[]): readonly Row[] =>
  rows.map(([f, k]) => [fToC(f), k] as const)
/** Source: `astm-d1785-derate`. */
const PVC = fromF(
  [73, 1],
  [80, 0.88],
  [90, 0.75],
  [100, 0.62],
  [110, 0.51],
  [120, 0.4],
  [130, 0.31],
  [140, 0.22],
)
/** Source: `astm-f441-derate`. */
const CPVC = fromF(
  [80, 1],
  [90, 0.91],
  [100, 0.82],
  [110, 0.72],
  [120, 0.65],
  [130, 0.57],
  [140, 0.5],
  [150, 0.42],
  [160, 0.4],
  [170, 0.29],
  [180, 0.25],
  [200, 0.2],
)
/** Source: `iso-1452-2`. */
const PVC_U: readonly Row[] = [
  [25, 1],
  [30, 0.9],
  [35, 0.8],
  [40, 0.71],
  [45, 0.63],
]
const AT_20: readonly Row[] = [[20, 1]]
const TABLES: Readonly<Record<string, { rows: readonly Row[]; source: string }>> = {
  pvc: { rows: PVC, source: 'astm-d1785-derate' },
  cpvc: { rows: CPVC, source: 'astm-f441-derate' },
  'pvc-u': { rows: PVC_U, source: 'iso-1452-2' },
  abs: { rows: AT_20, source: 'iso-15493-pn' },
  'pp-r': { rows: AT_20, source: 'iso-15493-pn' },
}

/** Share of its rating that plastic pipe keeps at a temperature. */
export function deratingFactor(material: string, temperatureC: number): Fig {
  const table = TABLES[material]
  const row = table?.rows.find(([toC]) => temperatureC <= toC + EDGE_C)
  if (!table) return noFig(msg('derating-unknown', { material }))
  return row ? fig(row[1], table.source) : noFig(msg('derating-too-hot', { material, c: temperatureC }))
}

/**
 * Nominal pressure of PVC-U pipe by its ratio: to d90 (design stress 10 MPa), above (12.5 MPa). The standard names rounded
 * pressures: 6.25 bar is PN 6. Source: `iso-1452-2`.
 */
const PVC_U_PN: Readonly<Record<string, readonly [to90: number, above: number]>> = {
  '41': [5, 6],
  '34.4': [6, 7.5],
  '33': [6, 8],
  '26': [8, 10],
  '21': [10, 12.5],
  '17': [12.5, 16],
  '13.6': [16, 20],
  '11': [20, 25],
}
/** Rating of plain pipe when cool, bar: inch by schedule, metric by PN, PVC-U by SDR too. */
function coolRating(material: string, size: Size, schedule: string | null, series: string | null): Fig {
  if (size.family === 'NPS')
    return schedule && (material === 'pvc' || material === 'cpvc')
      ? ratingAt23Bar(size.text, schedule)
      : noFig(msg('rating-unknown', { size: size.text }), 'material')
  const pn = /^PN\s?(\d+(?:\.\d+)?)$/i.exec(series ?? '')
  if (pn) return fig(Number(pn[1]), material === 'pvc-u' ? 'iso-1452-2' : 'iso-15493-pn')
  const sdr = /^SDR\s?(\d+(?:\.\d+)?)$/i.exec(series ?? '')
  const pnOf = sdr && material === 'pvc-u' ? PVC_U_PN[String(Number(sdr[1]))] : undefined
  if (pnOf) return fig(pnOf[size.nominal <= 90 ? 0 : 1], 'iso-1452-2')
  return noFig(msg('rating-unknown', { size: size.text }), 'series')
}

export interface Rated {
  ratingBar: number
  factor: number
  /** Sources of the cool rating and of the factor. */
  sources: [string, string]
}
/**
 * Pressure that plastic pipe may take at a temperature, bar. Threaded Sch 80 takes half; Sch 40 is not threaded.
 * @param schedule of inch pipe. @param series of metric pipe: `PN10`, `SDR21`.
 */
export function pipeRating(
  pipe: { material: string; size: Size; schedule: string | null; series: string | null; threaded: boolean },
  temperatureC: number,
): Rated | { value: null; why: ReturnType<typeof msg>; field: string } {
  const { material, size, schedule, series, threaded } = pipe
  const none = (f: Fig, field: string) =>
    ({ value: null, why: 'why' in f ? f.why : msg('rating-unknown', { size: size.text }), field }) as const
  if (threaded && schedule !== '80')
    return none(noFig(msg('no-threads', { schedule: schedule ?? series ?? '' })), 'threaded')
  const cool = coolRating(material, size, schedule, series)
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
