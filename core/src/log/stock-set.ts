/** What a job is cut from: the saw, the lengths that bars come in, and what was kept of earlier bars. */
export interface StockSet {
  kerfMm: number
  /** Shorter leftovers are scrap. */
  keepMm: number
  barsMm: readonly number[]
  offcuts: readonly Offcut[]
}
export interface Offcut {
  id: string
  /** Pipe it is of, as `pipeOf` names it. */
  pipe: string
  lengthMm: number
}
