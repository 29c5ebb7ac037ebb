import { type Fig, fig, msg, noFig } from '../../sources/source.js'
import { tableOf } from '../../sources/table.js'
import { EDGE_C, KELVIN_0C, YEAR_H } from '../../units/units.js'
import COPPER_FILE from './tables/copper-stress.json' with { type: 'json' }

/** Design coefficient of PP-R pipe and the years it is to last; hotter than this there is no figure. */
const PPR = { coefficient: 1.5, years: 50, hotYears: 25, hotAboveC: 70, maxC: 80 } as const

/**
 * Stress in MPa at which PP-R pipe gives way after a time, by the reference curves of ISO 15874-2 (the lesser branch
 * counts). Source: `iso-15874-2`. @param hours above 0. @param temperatureC 10 to 95.
 * @example pprStressMpa(438_000, 20) // 9.707
 */
export function pprStressMpa(hours: number, temperatureC: number): number {
  const kelvin = temperatureC + KELVIN_0C
  const log = Math.log10(hours)
  const ductile = (25502.2 / kelvin - 55.725 - log) / (9484.1 / kelvin - 6.39)
  const brittle = (9507 / kelvin - 19.98 - log) / 4.11
  return 10 ** Math.min(ductile, brittle)
}
/**
 * Stress that PP-R pipe is used with at a temperature, MPa: 50 years, above 70 °C 25. Below 20 °C as at 20 °C.
 * @example pprDesignMpa(20).value // 6.471
 */
export function pprDesignMpa(temperatureC: number): Fig {
  if (temperatureC > PPR.maxC + EDGE_C)
    return noFig(msg('derating-too-hot', { material: 'pp-r', c: temperatureC }))
  const years = temperatureC > PPR.hotAboveC + EDGE_C ? PPR.hotYears : PPR.years
  return fig(pprStressMpa(years * YEAR_H, Math.max(20, temperatureC)) / PPR.coefficient, 'iso-15874-2')
}

const COPPER = tableOf(COPPER_FILE, 'asme-b31-copper')
/** What the wall of a tube may be less than its name (ASTM B88 tolerances come to some 10 %). */
const THINNEST = 0.9
/**
 * Pressure that copper tube may take for ever, bar: annealed, since heat softens it. 2 S t / (D - 0.8 t) with the
 * thinnest wall. Source: `asme-b31-copper`. Between rows the hotter counts.
 * @example copperRatingBar(22, 1, 20).value // 34.99
 */
export function copperRatingBar(odMm: number, wallMm: number, temperatureC: number): Fig {
  const row = COPPER.rows.find(({ to }) => temperatureC <= to + EDGE_C)
  if (!row) return noFig(msg('derating-too-hot', { material: 'copper', c: temperatureC }))
  const wall = THINNEST * wallMm
  return fig((2 * row.stress * wall) / (odMm - 0.8 * wall), COPPER.source)
}
