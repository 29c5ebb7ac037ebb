import { type Fig, type SourceId, msg } from '../../sources/source.js'
import type { Code } from '../../sources/wording.js'
import type { Care, CareDue } from '../method.js'

/** Cares that have words: `care-gasket`. */
type CareId = Extract<Code, `care-${string}`> extends `care-${infer I}` ? I : never

/**
 * Something that a joint in use asks for. @param torqueNm what it is brought back to; null: nothing is read.
 * @example care('looked-over', 'look', { by: 'maker' }, 'cp-upkeep').act // 'look'
 */
export const care = (
  id: CareId,
  act: Care['act'],
  due: CareDue,
  source: SourceId,
  torqueNm: Fig | null = null,
): Care => ({ id, does: msg(`care-${id}`), act, due, source, torqueNm })
/** Looked over as often as its maker says; the torque with it, where it is bolted. */
export const lookedOver = (torqueNm: Fig): Care =>
  care('looked-over', 'look', { by: 'maker' }, 'cp-upkeep', torqueNm)
