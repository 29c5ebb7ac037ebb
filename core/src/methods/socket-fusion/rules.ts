import type { Size } from '../../sizes/size.js'
import { type Fig, fig, msg, noFig } from '../../sources/source.js'
import { tableOf } from '../../sources/table.js'
import { EDGE_C, HOUR_S } from '../../units/units.js'
import DEPTHS_FILE from './fusion-depths.json' with { type: 'json' }
import TIMES_FILE from './fusion-times.json' with { type: 'json' }

export const TOOL_MIN_C = 250
export const TOOL_MAX_C = 270
/** Wider band that some accept. Source: `cp-fusion-band`. */
export const TOOL_WIDE_C = [240, 280] as const
export const MAX_TILT_DEG = 5
const COLD_C = 5
const COLD_FACTOR = 1.5
export const TEST_AFTER_COOL_S = HOUR_S

export interface FusionRow {
  depthMm: number
  heatS: number
  /** Longest time from heat to joined and set straight. */
  changeoverS: number
  /** Hold by hand before the joint bears itself. */
  fixS: number
  coolS: number
}
const TIMES = tableOf(TIMES_FILE, 'dvs-2207-11')
const DEPTHS = tableOf(DEPTHS_FILE, 'cp-fusion-depth')
export const TABLES = [TIMES, DEPTHS]

/**
 * Depth in mm and times in s of a size that is welded; any other is a fault of ours and throws. Sources:
 * `dvs-2207-11`, `cp-fusion-depth`.
 * @example rowOf(parseSize('d32')).changeoverS // 6
 */
export function rowOf(size: Size): FusionRow {
  const [times, depth] = [TIMES.at(size.text), DEPTHS.at(size.text)]
  if (!times || !depth) throw new Error(`no fusion row for ${size.text}`)
  return {
    depthMm: depth.depth,
    heatS: times.heat,
    changeoverS: times.changeover,
    fixS: times.hold,
    coolS: times.cool,
  }
}
/**
 * Heating time in seconds, counted from full depth. Below +5 °C half again (ours; the trade says longer). Not a
 * minimum.
 * @example heatS(parseSize('d32'), 20).value // 8
 */
export function heatS(size: Size, airC: number | null): Fig {
  if (airC === null) return noFig(msg('no-temperature'))
  const base = rowOf(size).heatS
  return airC < COLD_C - EDGE_C ? fig(base * COLD_FACTOR, 'ours-fusion-cold') : fig(base, 'dvs-2207-11')
}
