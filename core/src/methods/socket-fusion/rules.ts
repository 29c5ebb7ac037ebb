import { type FusionRow, fusionRow } from '../../sizes/insertions.js'
import type { Size } from '../../sizes/size.js'
import { type Fig, fig, msg, noFig } from '../../sources/source.js'
import { EDGE_C, HOUR_S } from '../../units/units.js'

export const TOOL_MIN_C = 250
export const TOOL_MAX_C = 270
/** Wider band that some accept. Source: `cp-fusion-band`. */
export const TOOL_WIDE_C = [240, 280] as const
export const MAX_TILT_DEG = 5
const COLD_C = 5
const COLD_FACTOR = 1.5
export const TEST_AFTER_COOL_S = HOUR_S

export const rowOf = (size: Size): FusionRow => {
  const row = fusionRow(size)
  if (!row) throw new Error(`no fusion row for ${size.text}`)
  return row
}
/** Heating time in seconds, counted from full depth. Below +5 °C half again (ours; the trade says longer). Not a minimum. */
export function heatS(size: Size, airC: number | null): Fig {
  if (airC === null) return noFig(msg('no-temperature'))
  const base = rowOf(size).heatS
  return airC < COLD_C - EDGE_C ? fig(base * COLD_FACTOR, 'ours-fusion-cold') : fig(base, 'dvs-2207-11')
}
