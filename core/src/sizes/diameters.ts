import { tableOf } from '../sources/table.js'
import DN_FILE from './tables/dn-tube.json' with { type: 'json' }
import METRIC_FILE from './tables/metric-diameters.json' with { type: 'json' }
import NPS_FILE from './tables/nps-diameters.json' with { type: 'json' }

const NPS = tableOf(NPS_FILE, 'astm-d1785')
const METRIC = tableOf(METRIC_FILE, 'iso-161')
/** Hygienic tube: its wall stands beside its diameter. */
export const DN_TUBE = tableOf(DN_FILE, 'din-11866')

/** Names of inch-nominal sizes, smallest first. They are written here too so that a method's list of sizes is checked by the compiler. */
export const NPS_NAMES = [
  '1/8',
  '1/4',
  '3/8',
  '1/2',
  '3/4',
  '1',
  '1-1/4',
  '1-1/2',
  '2',
  '2-1/2',
  '3',
  '3-1/2',
  '4',
  '5',
  '6',
  '8',
  '10',
  '12',
  '14',
  '16',
  '18',
  '20',
  '24',
] as const
export type NpsName = (typeof NPS_NAMES)[number]
export type DnName = 10 | 15 | 20 | 25 | 32 | 40 | 50 | 65 | 80 | 100

/** Outside diameters of the metric series, mm. Source: `iso-161`. */
export const METRIC_SERIES: readonly number[] = METRIC.rows.map((row) => row.outside)

/**
 * Outside diameter of inch-nominal pipe in mm; null for a size that is not made. @param name as `1-1/4`. Source:
 * `astm-d1785`.
 * @example npsOutsideMm('2') // 60.325
 */
export const npsOutsideMm = (name: string): number | null => NPS.at(name)?.outside ?? null
/**
 * Outside diameter of hygienic tube by DN in mm; null for one that is not made. Source: `din-11866`.
 * @example dnOutsideMm(50) // 53
 */
export const dnOutsideMm = (dn: number): number | null => DN_TUBE.at(String(dn))?.outside ?? null
