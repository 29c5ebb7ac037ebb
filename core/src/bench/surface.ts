import { smallest } from '../units/extent.js'

/**
 * A joint's surface laid flat: rows clockwise from 12 o'clock facing the socket, columns from its face to its stop; in
 * each cell how much of what should hold is there, 0 to 1.
 */
export type Surface = readonly (readonly number[])[]
export const ROWS = 24
export const COLUMNS = 12

const share = (x: number): number => (x < 0 ? 0 : x > 1 ? 1 : x)
/**
 * A surface, cell by cell. @param of the row, and how deep the middle of the cell lies, 0 at the face to 1 at the stop.
 * @returns cells between 0 and 1.
 */
export const surface = (of: (row: number, deep: number) => number): Surface =>
  Array.from({ length: ROWS }, (_, row) =>
    Array.from({ length: COLUMNS }, (_x, column) => share(of(row, (column + 0.5) / COLUMNS))),
  )
/** Mean over all cells. @example meanOf([[1, 0]]) // 0.5 */
export const meanOf = (cells: Surface): number =>
  cells.reduce((sum, row) => sum + row.reduce((a, b) => a + b, 0), 0) /
  (cells.length * (cells[0]?.length ?? 1))

/**
 * What stands in the way of a leak: the least that any path from the stop to the face goes through, as a share of what a
 * straight path through sound work goes through. Rows wrap round; a path may turn and go back.
 * @example leastPath([[1, 1], [0, 0]]) // 0
 */
export function leastPath(cells: Surface): number {
  const rows = cells.length
  const columns = cells[0]?.length ?? 0
  const costs = Float64Array.from(cells.flat())
  const best = Float64Array.from(costs, (v, i) => (i % columns === columns - 1 ? v : Infinity))
  /** Is there a better way to a cell by a neighbour than was known? */
  const reach = (row: number, column: number): boolean => {
    const here = row * columns + column
    const up = (row ? row - 1 : rows - 1) * columns + column
    const down = (row < rows - 1 ? row + 1 : 0) * columns + column
    let least = best[up] as number
    const by = (at: number): void => {
      const found = best[at] as number
      if (found < least) least = found
    }
    by(down)
    if (column < columns - 1) {
      by(here + 1)
      by(up + 1)
      by(down + 1)
    }
    if (column) {
      by(here - 1)
      by(up - 1)
      by(down - 1)
    }
    const found = least + (costs[here] as number)
    if (found >= (best[here] as number) - 1e-12) return false
    best[here] = found
    return true
  }
  // Swept until nothing gets better: a sound joint takes two sweeps, a maze a few more.
  for (let again = true; again;) {
    again = false
    for (let column = columns - 2; column >= 0; column--)
      for (let row = 0; row < rows; row++) if (reach(row, column)) again = true
    for (let column = 1; column < columns - 1; column++)
      for (let row = 0; row < rows; row++) if (reach(row, column)) again = true
  }
  return smallest(cells.map((_, row) => best[row * columns] as number)) / columns
}

/**
 * Pressure that pushes a lapped joint apart, bar: shear over its surface against the pressure on the pipe's cross-section.
 * @param shearMPa what sound work bears. @param share of the surface that bears. @param depthMm and @param odMm of it.
 * @example lapBar(6.2, 1, 38, 63) // 149.6
 */
export const lapBar = (shearMPa: number, share: number, depthMm: number, odMm: number): number =>
  (40 * shearMPa * share * depthMm) / odMm
