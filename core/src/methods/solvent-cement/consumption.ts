import { type Fig, fig, msg, noFig } from '../../sources/source.js'
import { tableOf } from '../../sources/table.js'
import { L_PER_US_QUART } from '../../units/units.js'
import JOINTS_FILE from './cement-joints-per-quart.json' with { type: 'json' }
import { type SolventSpec, odMm } from './spec.js'

export const CONSUMPTION = tableOf(JOINTS_FILE, 'cp-joints-per-quart')

/** Metric pipe lies a hair beside the inch size it is read at. */
const ALIKE_MM = 0.5
/** As the same handbooks say of primer: a quart goes twice as far. */
const PRIMER_SHARE = 0.5

/**
 * Cement that a joint takes, litres: by its outside diameter, read at the next larger size of the table, so that a tin is
 * rather empty on paper than on the scaffold. None for pipe larger than the table. Source: `cp-joints-per-quart`.
 */
export function cementL(spec: Pick<SolventSpec, 'size' | 'material' | 'school'>): Fig {
  const outside = odMm(spec)
  const row = CONSUMPTION.rows.find((one) => one.outside + ALIKE_MM >= outside)
  return row ? fig(L_PER_US_QUART / row.joints, CONSUMPTION.source) : noFig(msg('quantity-unknown'))
}
/** Primer that a joint takes, litres. Source: `cp-joints-per-quart`. */
export function primerL(spec: Pick<SolventSpec, 'size' | 'material' | 'school'>): Fig {
  const cement = cementL(spec)
  return cement.value === null ? cement : fig(cement.value * PRIMER_SHARE, cement.source)
}
