import type { OrderModel } from './model.js'

/**
 * Greatest common divisor of whole numbers.
 * @example gcd(18, 12) // 6
 */
export const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))

export interface Grid {
  /** Ends of joints are so many seconds apart from the start of the plan, or a multiple of it. */
  ends: number
  /** So is when something is ready. */
  ready: number
}
/**
 * In a plan in which no joint could begin sooner all times are sums of what it is built of, so they lie on a grid. Some
 * plan like that is among the best.
 */
export function gridOf({ startS, tasks, people, sections, walkS }: OrderModel): Grid {
  let grid = 0
  const take = (seconds: number): void => {
    if (Number.isFinite(seconds)) grid = gcd(Math.abs(seconds), grid)
  }
  for (const { shifts } of people) for (const { fromS } of shifts) take(fromS - startS)
  const tables = [...new Set(tasks.map((task) => task.table))].flat()
  for (const { fromS } of tables) take(fromS - startS)
  for (const task of tasks) {
    take(task.workS)
    take(task.keepS)
    take(task.earliestS - startS)
    if (task.fixedS !== null) take(task.fixedS - startS)
    for (const { fromS } of task.within ?? []) take(fromS - startS)
    for (const { lagS } of task.before) take(lagS)
  }
  take(walkS)
  const ends = grid === 0 ? 1 : grid
  for (const { afterS } of tables) take(afterS)
  for (const { doneReadyS } of sections) take(doneReadyS - startS)
  return { ends, ready: grid === 0 ? 1 : grid }
}
/**
 * The first time on the grid that is no sooner. Any unit.
 * @example upToGrid(107, 100, 5) // 110
 */
export const upToGrid = (atS: number, startS: number, grid: number): number =>
  Number.isFinite(atS) ? startS + Math.ceil((atS - startS) / grid) * grid : atS
/**
 * The last time on the grid that is no later. Any unit.
 * @example downToGrid(107, 100, 5) // 105
 */
export const downToGrid = (atS: number, startS: number, grid: number): number =>
  Number.isFinite(atS) ? startS + Math.floor((atS - startS) / grid) * grid : atS
