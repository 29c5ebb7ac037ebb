/** Lubricated torque from the published dry one, in proportion to the nut factor: T = K D F. Source: `nut-factor`. */
export const lubricatedTorqueNm = (dryTorqueNm: number, kDry: number, kLubricated: number): number =>
  (dryTorqueNm * kLubricated) / kDry

/**
 * Tightening order of a bolt circle, numbered clockwise from 1: each bolt is followed by the one opposite, and the
 * circle is halved again and again. Source: ASME PCC-1. @param bolts a multiple of 4.
 */
export function starOrder(bolts: number): number[] {
  if (bolts % 2) return Array.from({ length: bolts }, (_, i) => i + 1)
  return starOrder(bolts / 2).flatMap((k) => [k, k + bolts / 2])
}
/** Shares of the full torque in the passes of a star order; a circular pass at full torque follows. Source: `asme-pcc-1`. */
export const PASSES = [0.3, 0.6, 1] as const
