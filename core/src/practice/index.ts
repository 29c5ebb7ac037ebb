/** What the interface uses of practice. */
export * from './drills.js'
export * from './sites.js'
export { type Act, fromTimes, usualActs } from './acts.js'
export { type OnBench, laidOn } from './laid.js'
export { type PracticeAnswer, type PracticeQuestion, lifeOf, practiceRun } from './run.js'
export type { Cause } from './blame.js'
export type { HowDef, HowUnit } from '../bench/bench.js'
export type { Surface } from '../bench/surface.js'
