import { cure } from './cure.js'
import type { Calculation } from './calculation.js'
import { ladder } from './ladder.js'
import { cutLengthCalc, dewPoint, dualContainment, insertionVerdict, tinDate } from './simple.js'
import { adhesiveBondCalc, flareCalc, peelCalc, socketFusionCalc, solderCalc } from './hot.js'
import { clampCheck, compressionCalc, lubricatedTorque, pressCheck, starOrderCalc } from './mechanical.js'
import { planOrderCalc } from './plan-order.js'
import { practiceRunCalc } from './practice-run.js'
import { stockPlanCalc } from './stock.js'
import { derating, staticHead, storedEnergyCalc, testPlanCalc } from './prove.js'
import { testVerdict } from './verdict.js'
import { bendMarksCalc, offsetCalc } from './tube.js'
import { lineInSpaceCalc } from './line-in-space.js'
import { closingPieceCalc } from './space.js'
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
    bendMarksCalc,
    offsetCalc,
    closingPieceCalc,
    lineInSpaceCalc,
    stockPlanCalc,
    planOrderCalc,
    practiceRunCalc,
    adhesiveBondCalc,
    socketFusionCalc,
    flareCalc,
    pressCheck,
    solderCalc,
    peelCalc,
    compressionCalc,
    clampCheck,
    lubricatedTorque,
    starOrderCalc,
    testPlanCalc,
    staticHead,
    derating,
    storedEnergyCalc,
    testVerdict,
    dewPoint,
    tinDate,
  ].map((c) => [c.name, c]),
)
export { Refusal } from './calculation.js'
export { usePlanner } from './stock.js'
export type { Answer, Calculation } from './calculation.js'
