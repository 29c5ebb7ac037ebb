import { type Size, nominalKey } from '../../sizes/size.js'
import { wallMm } from '../../sizes/walls.js'
import { type Fig, fig, msg, noFig } from '../../sources/source.js'
import { tableOf } from '../../sources/table.js'
import { inchToMm } from '../../units/units.js'
import HEATING_FILE from './heating.json' with { type: 'json' }
import TORQUES_FILE from './torques.json' with { type: 'json' }

export const GAP_MIN_MM = inchToMm(0.08)
export const GAP_MAX_MM = inchToMm(0.15)
export const HOLD_QUENCHED_S = 20
export const HOLD_S = 120
const HEATING = tableOf(HEATING_FILE, 'cp-flare-heat')
const TORQUES = tableOf(TORQUES_FILE, 'cp-flare-torque')
export const TABLES = [HEATING, TORQUES]

/**
 * Wall of a tube that is flared, mm; no figure for sizes that are not.
 * @example flareWallMm(parseSize('OD 1/2')).value // 1.575
 */
export const flareWallMm = (size: Size): Fig => wallMm('pfa', size)
/**
 * How long the tube's end is heated, s. Source: its table.
 * @example flareHeatS(parseSize('OD 3/4')).value // 25
 */
export function flareHeatS(size: Size): Fig {
  const row = HEATING.at(nominalKey(size))
  return row ? fig(row.heat, HEATING.source) : noFig(msg('flare-heat-unknown', { size: size.text }))
}
/**
 * How long the flare is held on its mandrel, s: less where it is quenched.
 * @example flareHoldS(true).value // 20
 */
export const flareHoldS = (quenched: boolean): Fig =>
  fig(quenched ? HOLD_QUENCHED_S : HOLD_S, 'cp-flare-hold')
/**
 * Torque of the nut, Nm, by the size of the tube.
 * @example flareTorqueNm(parseSize('OD 3/4')).value // 1.582
 */
export function flareTorqueNm(size: Size): Fig {
  const row = TORQUES.at(nominalKey(size))
  return row ? fig(row.torque, TORQUES.source) : noFig(msg('flare-torque-unknown', { size: size.text }))
}
