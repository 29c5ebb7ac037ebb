import { greatest } from '../../units/extent.js'
import { type Msg, msg } from '../../sources/source.js'

export const COVERAGE_MIN_PCT = 70
export const VOID_MAX_PCT = 30
const EPSILON = 1e-9

export interface Peel {
  coveragePct: number
  /** Longest bare run along the depth in any row, of the depth. */
  largestVoidPct: number
  /** A bare path from the socket's face to its stop. */
  leakPath: boolean
  verdict: 'pass' | 'fail'
  causes: Msg[]
}

/**
 * Judges a peeled joint. Rows go clockwise from 12 o'clock facing the socket and wrap round, columns run from the face
 * to the stop; 1 covered, 0 void. Pass: 70 % covered, no void above 30 % of the depth, no path (common practice).
 * @param grid at least one row of at least one cell, all rows equally long.
 */
export function judgePeel(grid: readonly (readonly number[])[]): Peel {
  const columns = (grid[0] as readonly number[]).length
  const covered = grid.reduce((n, row) => n + row.reduce((m, v) => m + v, 0), 0)
  const coveragePct = (covered / (grid.length * columns)) * 100
  const largestVoidPct = (greatest(grid.map(longestVoid)) / columns) * 100
  const leakPath = leakPathOf(grid) !== null
  const fails =
    leakPath || coveragePct < COVERAGE_MIN_PCT - EPSILON || largestVoidPct > VOID_MAX_PCT + EPSILON
  return {
    coveragePct,
    largestVoidPct,
    leakPath,
    verdict: fails ? 'fail' : 'pass',
    causes: coveragePct < 100 ? causesOf(grid) : [],
  }
}

/** What was seen on a peeled joint: covered or bare, and whether flux was burnt anywhere. */
export interface Seen {
  grid: number[][]
  burnt: boolean
}
const BURNT = 2
/** A grid as it was read: 1 covered, 0 bare, 2 bare and black. Where flux is burnt nothing holds. Null for anything else. */
export function seenIn(raw: unknown): Seen | null {
  if (!Array.isArray(raw) || !raw.length) return null
  const rows = raw as unknown[]
  const columns = Array.isArray(rows[0]) ? rows[0].length : 0
  const good = rows.every(
    (row) =>
      Array.isArray(row) &&
      row.length === columns &&
      columns > 0 &&
      row.every((v) => v === 0 || v === 1 || v === BURNT),
  )
  if (!good) return null
  const cells = raw as number[][]
  return {
    grid: cells.map((r) => r.map((v) => (v === BURNT ? 0 : v))),
    burnt: cells.some((r) => r.includes(BURNT)),
  }
}

function longestVoid(row: readonly number[]): number {
  let longest = 0
  let here = 0
  for (const cell of row) longest = Math.max(longest, (here = cell ? 0 : here + 1))
  return longest
}

/**
 * One 8-connected void that touches the first and the last column, as cells [row, column] from the face to the stop;
 * null where there is none. Rows wrap round.
 */
export function leakPathOf(grid: readonly (readonly number[])[]): [row: number, column: number][] | null {
  const rows = grid.length
  const columns = (grid[0] as readonly number[]).length
  const cameFrom = new Map<number, number | null>()
  const waiting: number[] = []
  const visit = (atRow: number, column: number, from: number | null): void => {
    const row = (atRow + rows) % rows
    const key = row * columns + column
    if (column < 0 || column >= columns || grid[row]?.[column] || cameFrom.has(key)) return
    cameFrom.set(key, from)
    waiting.push(key)
  }
  for (let row = 0; row < rows; row++) visit(row, 0, null)
  for (const key of waiting) {
    const [row, column] = [Math.floor(key / columns), key % columns]
    if (column === columns - 1) {
      const path: [number, number][] = []
      for (let at: number | null = key; at !== null; at = cameFrom.get(at) ?? null)
        path.unshift([Math.floor(at / columns), at % columns])
      return path
    }
    for (const dr of [-1, 0, 1]) for (const dc of [-1, 0, 1]) visit(row + dr, column + dc, key)
  }
  return null
}

/** What the pattern speaks of: bare on one side = uneven heat; islands = flux or pair; bare at the stop = heat too near the face. */
function causesOf(grid: readonly (readonly number[])[]): Msg[] {
  const rows = grid.length
  const columns = (grid[0] as readonly number[]).length
  const bare = grid.map((row) => row.filter((v) => !v).length)
  const all = bare.reduce((a, b) => a + b, 0)
  const out: Msg[] = []
  const half = Math.floor(rows / 2)
  const worstHalf =
    rows < 2
      ? 0
      : greatest(
          bare.map((_, i) =>
            Array.from({ length: half }, (_x, k) => bare[(i + k) % rows] as number).reduce(
              (a, b) => a + b,
              0,
            ),
          ),
        )
  const deep = grid.reduce((n, row) => n + row.slice(Math.ceil(columns / 2)).filter((v) => !v).length, 0)
  if (rows >= 2 && worstHalf >= all * 0.8) out.push(msg('cause-solder-one-side'))
  else out.push(msg('cause-solder-flux'))
  if (columns >= 2 && deep >= all * 0.8) out.push(msg('cause-solder-base-cold'))
  return out
}
