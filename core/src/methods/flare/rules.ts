import { type Size, nominalKey } from '../../sizes/size.js'
import { wallMm } from '../../sizes/walls.js'
import { type Fig, fig, msg, noFig } from '../../sources/source.js'
import { inLbfToNm, inchToMm } from '../../units/units.js'

export const GAP_MIN_MM = inchToMm(0.08)
export const GAP_MAX_MM = inchToMm(0.15)
export const HOLD_QUENCHED_S = 20
export const HOLD_S = 120
/** Heating times that are known, by nominal inch size. Source: `cp-flare-heat`. */
const HEAT_S: Readonly<Record<string, number>> = { '1/4': 15, '3/4': 25 }
/** Least torques that are known, in-lbf. Source: `cp-flare-torque`. */
const TORQUE_IN_LBF: Readonly<Record<string, number>> = { '3/4': 14 }

export const flareWallMm = (size: Size): Fig => wallMm('pfa', size)
export function flareHeatS(size: Size): Fig {
  const s = HEAT_S[nominalKey(size)]
  return s === undefined ? noFig(msg('flare-heat-unknown', { size: size.text })) : fig(s, 'cp-flare-heat')
}
export const flareHoldS = (quenched: boolean): Fig =>
  fig(quenched ? HOLD_QUENCHED_S : HOLD_S, 'cp-flare-hold')
export function flareTorqueNm(size: Size): Fig {
  const t = TORQUE_IN_LBF[nominalKey(size)]
  return t === undefined
    ? noFig(msg('flare-torque-unknown', { size: size.text }))
    : fig(inLbfToNm(t), 'cp-flare-torque')
}
