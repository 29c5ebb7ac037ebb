import { cure } from './cure.js'
import type { Calculation } from './door.js'
import { ladder } from './ladder.js'
import { cutLengthCalc, dewPoint, dualContainment, insertionVerdict, tinDate } from './simple.js'
import { insertion, solventSetup } from './solvent.js'

/** Every calculation behind the door, by name. */
export const CALCULATIONS: ReadonlyMap<string, Calculation> = new Map(
  [
    insertion,
    insertionVerdict,
    solventSetup,
    cure,
    ladder,
    cutLengthCalc,
    dualContainment,
    dewPoint,
    tinDate,
  ].map((c) => [c.name, c]),
)
export { Refusal } from './door.js'
export type { Answer, Calculation } from './door.js'
