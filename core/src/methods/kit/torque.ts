/**
 * Lubricated torque from the published dry one, in proportion to the nut factor: T = K D F. Source: `nut-factor`.
 * @example lubricatedTorqueNm(100, 0.2, 0.15) // 75
 */
export const lubricatedTorqueNm = (dryTorqueNm: number, kDry: number, kLubricated: number): number =>
  (dryTorqueNm * kLubricated) / kDry

/**
 * Where a circle can't be halved any more, the standard steps round it so that neighbours seldom follow each other.
 * Source: `asme-pcc-1`, legacy patterns for 12, 20 and 28 bolts.
 */
const ROUND: Readonly<Record<number, readonly number[]>> = {
  1: [1],
  3: [1, 2, 3],
  5: [1, 3, 5, 2, 4],
  7: [1, 4, 6, 3, 5, 2, 7],
}
/**
 * Tightening order of a bolt circle, numbered clockwise from 1: each bolt is followed by the one opposite, and the
 * circle is halved again and again. Source: `asme-pcc-1`. @param bolts a multiple of 4, at most 32.
 * @example starOrder(4) // [1, 3, 2, 4]
 */
export function starOrder(bolts: number): number[] {
  if (bolts % 2) return [...(ROUND[bolts] ?? [])]
  return starOrder(bolts / 2).flatMap((k) => [k, k + bolts / 2])
}
