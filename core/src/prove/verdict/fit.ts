import { greatest, smallest } from '../../units/extent.js'
import { Matrix, determinant, solve } from 'ml-matrix'

/** What a straight line with known directions of doubt says. */
export interface LineFit {
  /** Change for each unit of t. */
  slope: number
  /** One standard deviation of the slope: scatter and doubt together. */
  slopeSd: number
  /** The same, were there no doubt about the directions. */
  scatterSd: number
  /** Value of each direction, in its own standard deviations, and how sure that is. */
  turned: readonly { value: number; sd: number }[]
  /** Standard deviation of what is left of each point, and how much a point's rest resembles the next one's, 0 to 1. */
  restSd: number
  alike: number
  /** Degrees of freedom, counted as points that do not resemble one another. */
  free: number
  rests: readonly number[]
  /** Logarithm of how well this explains the points, up to a constant: to weigh one fit of them against another. */
  evidence: number
}

const ROUNDS = 3
/** Neighbours this much alike at most: at 1 the rests would be a random walk, of which no mean is known. */
const MOST_ALIKE = 0.97

/**
 * How much each rest resembles the next, mended for what a short row hides (Kendall). 0 to 0.97. Rests smaller than
 * what is believed of any rest are no row that wanders: a sensor that shows one figure leaves only what the computer
 * rounds, and that is as alike as can be.
 */
function alikeness(rests: readonly number[], leastSd: number): number {
  const count = rests.length
  let all = 0
  let next = 0
  rests.forEach((rest, i) => {
    all += rest * rest
    if (i) next += rest * (rests[i - 1] as number)
  })
  if (all === 0 || count < 6) return 0
  const seen = next / Math.max(all, count * leastSd ** 2)
  return Math.min(MOST_ALIKE, Math.max(0, seen + (1 + 3 * seen) / count))
}
function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0
  for (let i = 0; i < a.length; i++) sum += (a[i] as number) * (b[i] as number)
  return sum
}
/** Takes the resemblance of neighbours out of a column, so that its points count as independent. */
const whiten = (column: readonly number[], alike: number): number[] =>
  column.map((x, i) => (i ? x - alike * (column[i - 1] as number) : x * Math.sqrt(1 - alike ** 2)))

/**
 * Least squares of y = a + slope·t + Σ k·direction, where each k is about 0 with a standard deviation of 1: that is
 * prior knowledge as one more observation. Neighbouring points may resemble one another (first-order), which is found
 * in the rests and counted. Source: `ours-verdict`.
 * @param leastSd no rest is believed to be smaller, in the unit of y.
 */
export function fitLine(
  t: readonly number[],
  y: readonly number[],
  directions: readonly (readonly number[])[],
  leastSd: number,
): LineFit | null {
  const count = t.length
  if (count < 3) return null
  const middle = t.reduce((a, b) => a + b, 0) / count
  const span = greatest(t) - smallest(t)
  if (!(span > 0)) return null
  // Times are scaled, so that the equations are of one size.
  const time = t.map((x) => (x - middle) / span)
  const columns = [t.map(() => 1), time, ...directions]
  let alike = 0
  let variance = leastSd ** 2
  let rests: number[] = []
  let k: number[] = []
  let free = count - 2
  let normal = Matrix.zeros(1, 1)
  let misfit = 0
  for (let round = 0; round < ROUNDS; round++) {
    const white = columns.map((c) => whiten(c, alike))
    const right = whiten(y, alike)
    normal = new Matrix(white.map((a) => white.map((b) => dot(a, b))))
    for (let j = 2; j < columns.length; j++) normal.set(j, j, normal.get(j, j) + variance)
    k = solve(normal, Matrix.columnVector(white.map((c) => dot(c, right)))).to1DArray()
    rests = y.map((v, i) => v - columns.reduce((sum, c, j) => sum + (k[j] as number) * (c[i] as number), 0))
    alike = alikeness(rests, leastSd)
    const inner = whiten(rests, alike)
    free = Math.max(1, count * ((1 - alike) / (1 + alike)) - 2)
    const used = Math.max(1, count - 2)
    const scatter = inner.reduce((a, r) => a + r * r, 0)
    misfit = scatter + variance * k.slice(2).reduce((a, x) => a + x * x, 0)
    variance = Math.max(leastSd ** 2, scatter / used)
  }
  const size = columns.length
  const inverse = solve(normal, Matrix.eye(size))
  const bare = solve(normal.subMatrix(0, 1, 0, 1), Matrix.eye(2))
  const sd = (m: Matrix, j: number): number => Math.sqrt(Math.max(0, m.get(j, j) * variance))
  return {
    slope: (k[1] as number) / span,
    slopeSd: sd(inverse, 1) / span,
    scatterSd: sd(bare, 1) / span,
    turned: directions.map((_, j) => ({ value: k[j + 2] as number, sd: sd(inverse, j + 2) })),
    restSd: Math.sqrt(rests.reduce((a, r) => a + r * r, 0) / Math.max(1, count - 2)),
    alike,
    free,
    rests,
    evidence:
      -0.5 *
      (count * Math.log(variance) +
        misfit / variance -
        Math.log(1 - alike ** 2) +
        Math.log(Math.max(determinant(normal), 1e-300)) -
        size * Math.log(variance)),
  }
}

/**
 * 97.5 % point of Student's t (Cornish and Fisher's series; exact values for 1 and 2 degrees of freedom).
 * @example student975(10) // 2.228
 */
export function student975(free: number): number {
  if (free < 1.5) return 12.706
  if (free < 2.5) return 4.303
  const z95 = 1.959964
  return (
    z95 +
    (z95 ** 3 + z95) / (4 * free) +
    (5 * z95 ** 5 + 16 * z95 ** 3 + 3 * z95) / (96 * free ** 2) +
    (3 * z95 ** 7 + 19 * z95 ** 5 + 17 * z95 ** 3 - 15 * z95) / (384 * free ** 3)
  )
}
