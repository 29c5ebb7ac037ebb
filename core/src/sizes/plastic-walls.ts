import { type Fig, fig, msg, noFig } from '../sources/source.js'
import { tableOf } from '../sources/table.js'
import { MM_PER_INCH } from '../units/units.js'
import { type Size, outsideDiameterMm } from './size.js'
import PIPE from './tables/d1785-pipe.json' with { type: 'json' }

const D1785 = tableOf(PIPE, 'astm-d1785-rating')
const rowOf = (sizeText: string, schedule: string): (typeof D1785.rows)[number] | undefined =>
  D1785.rows.find((row) => row.schedule === schedule && row.size === sizeText.replace('NPS ', ''))

/**
 * Least wall in mm of inch plastic pipe. @param schedule `40` or `80`. Source: ASTM D1785.
 * @example plasticWallMm('NPS 2', '80').value // 5.537
 */
export function plasticWallMm(sizeText: string, schedule: string): Fig {
  const row = rowOf(sizeText, schedule)
  return row ? fig(row.wall, D1785.source) : noFig(msg('wall-unknown', { size: sizeText }))
}
/**
 * Pressure rating in bar at 23 °C of PVC 1120 pipe with plain ends. Source: ASTM D1785.
 * @example ratingAt23Bar('NPS 2', '80').value // 27.58
 */
export function ratingAt23Bar(sizeText: string, schedule: string): Fig {
  const row = rowOf(sizeText, schedule)
  return row ? fig(row.rating, D1785.source) : noFig(msg('rating-unknown', { size: sizeText }))
}

/** ASTM D2241 and D2846: diameter over ratio in inches to three places, none thinner than these (from memory). */
const LEAST_INCH = { NPS: 0.06, CTS: 0.068 } as const
/**
 * Least wall in inches of inch plastic pipe by its ratio. @param series as `SDR 21`. Sources: ASTM D2241, D2846.
 * @example sdrWallInch(parseSize('NPS 2'), 'SDR 21') // 0.113
 */
export function sdrWallInch(size: Size, series: string): number | null {
  const odMm = outsideDiameterMm(size)
  if (odMm === null || (size.family !== 'NPS' && size.family !== 'CTS')) return null
  const inch = odMm / MM_PER_INCH / Number(series.slice('SDR '.length))
  return Math.max(LEAST_INCH[size.family], Math.round(inch * 1000) / 1000)
}
