import { type Finding, finding } from '../sources/source.js'
import { judgeTorque } from '../methods/kit/bolted.js'
import type { CareItem } from './due.js'

/** More than this share of a torque gone is told. Source: `cp-torque-fell`. */
const FELL = 1 / 3

/**
 * What two readings say of a joint in use: how far its torque fell since it was left last, and whether it was brought
 * back. Nm; null: not read.
 */
export function judgeCare(
  item: Pick<CareItem, 'care' | 'leftNm'>,
  { foundNm, leftNm }: { foundNm: number | null; leftNm: number | null },
): Finding[] {
  const before = item.leftNm
  const fell = before !== null && foundNm !== null && before - foundNm > before * FELL + 1e-9
  const { torqueNm } = item.care
  return [
    ...(fell ? [finding('warn', 'care-torque-fell', 'cp-torque-fell', { foundNm, leftNm: before })] : []),
    ...(torqueNm ? judgeTorque(torqueNm, leftNm, item.care.source, 'torqueNm') : []),
  ]
}
