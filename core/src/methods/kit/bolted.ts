import { type Fig, type Finding, type SourceId, fig, finding, msg, noFig } from '../../sources/source.js'
import type { Field } from '../method.js'
import { type BaseSpec, ownFig } from './spec.js'
import { lubricatedTorqueNm } from './torque.js'

/** Joints held by bolts: how many, how tight, and what the lubricant takes off. */
export interface BoltedSpec extends BaseSpec {
  bolts: number | null
  dryTorqueNm: number | null
  kDry: number | null
  kLubricated: number | null
}
export const boltFields: readonly Field[] = [
  {
    key: 'bolts',
    label: msg('field-bolts'),
    needed: false,
    min: 2,
    max: 64,
    control: 'turns',
    unit: 'count',
  },
  {
    key: 'dryTorqueNm',
    label: msg('field-dry-torque'),
    needed: false,
    unit: 'Nm',
    min: 0.1,
    max: 20000,
    control: 'torque',
  },
  {
    key: 'kDry',
    label: msg('field-k-dry'),
    needed: false,
    min: 0.01,
    max: 1,
    control: 'turns',
    unit: 'none',
  },
  {
    key: 'kLubricated',
    label: msg('field-k-lubricated'),
    needed: false,
    min: 0.01,
    max: 1,
    control: 'turns',
    unit: 'none',
  },
]
/** Torque to tighten to: the maker's dry one, lowered for the lubricant where both nut factors are known. */
export function torqueOf(spec: BoltedSpec): Fig {
  if (spec.dryTorqueNm === null) return noFig(msg('torque-by-maker'), 'dryTorqueNm')
  if (spec.kDry === null || spec.kLubricated === null)
    return ownFig(spec, 'dryTorqueNm', noFig(msg('torque-by-maker')), 'given')
  return fig(lubricatedTorqueNm(spec.dryTorqueNm, spec.kDry, spec.kLubricated), 'nut-factor')
}
/** How far a torque may lie off and still pass (ours). */
export const TORQUE_TOLERANCE = 0.1

/**
 * Findings of a torque reading against what the bolts ask for. Over it the joint takes no pressure until it has been
 * loosened and tightened again; where no torque is known, no reading can be judged good.
 * @param nm as read, Nm; null: not read. @param field the field of the line that gives the torque.
 */
export function judgeTorque(want: Fig, nm: number | null, source: SourceId, field: string): Finding[] {
  if (nm === null) return []
  if (want.value === null) return [finding('warn', 'torque-unknown', source, { torqueNm: nm }, field)]
  const params = { torqueNm: nm, wantNm: want.value }
  if (nm > want.value * (1 + TORQUE_TOLERANCE)) return [finding('stop', 'torque-over', source, params)]
  return nm < want.value * (1 - TORQUE_TOLERANCE) ? [finding('warn', 'torque-under', source, params)] : []
}

/**
 * A torque as it is read at a step. @param maxNm the most that can be meant.
 * @example torqueReading(100).max // 100
 */
export const torqueReading = (maxNm: number): Field => ({
  key: 'torqueNm',
  label: msg('field-torque'),
  needed: true,
  unit: 'Nm',
  min: 0,
  max: maxNm,
  control: 'torque',
})
/** The same against what the bolts ask for. */
export const torqueRead = (spec: BoltedSpec): Field => {
  const value = torqueOf(spec)
  const off = (value.value ?? 0) * TORQUE_TOLERANCE
  return { ...torqueReading(20000), target: { value, shortMax: off, overMax: off } }
}
