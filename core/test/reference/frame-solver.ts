import { lusolve } from 'mathjs'
import { type Vector, cross, lengthOf, times, unit } from '../../src/space/vector.js'
import type { FrameLeg } from '../../src/line/growth/guided-frame.js'

/**
 * A frame of beams in space by the displacement method as textbooks of structures have it: six ways to move for each
 * corner, stiffness of the leg in its own axes (axial, bending both ways, torsion of a round section), turned into the
 * building's, fixed ends struck out, solved densely. Written for these tests alone, apart from what they test.
 */
export function solveFrame(
  count: number,
  legs: readonly FrameLeg[],
  fixed: readonly number[],
  keptFromTurning = false,
): { moved: Vector[]; onto: Map<number, Vector>; endMoments: [number, number][] } {
  const size = 6 * count
  const K = Array.from({ length: size }, () => new Array<number>(size).fill(0))
  const f = new Array<number>(size).fill(0)
  const each = legs.map((leg) => {
    const { T, k, grown } = element(leg)
    const local = multiply(transpose(T), multiply(k, T))
    const load = multiply(
      transpose(T),
      grown.map((v) => [v]),
    ).map((row) => row[0] as number)
    const at = [...range(6).map((i) => 6 * leg.from + i), ...range(6).map((i) => 6 * leg.to + i)]
    at.forEach((row, i) => {
      f[row] = (f[row] as number) + (load[i] as number)
      at.forEach((column, j) => {
        const line = K[row] as number[]
        line[column] = (line[column] as number) + ((local[i] as number[])[j] as number)
      })
    })
    return { leg, T, k, grown, at }
  })
  const held = new Set(fixed.flatMap((node) => range(6).map((i) => 6 * node + i)))
  if (keptFromTurning) for (const node of range(count)) for (const i of [3, 4, 5]) held.add(6 * node + i)
  const free = range(size).filter((i) => !held.has(i))
  const d = new Array<number>(size).fill(0)
  if (free.length) {
    const found = lusolve(
      free.map((i) => free.map((j) => (K[i] as number[])[j] as number)),
      free.map((i) => f[i] as number),
    ) as number[][]
    free.forEach((i, at) => (d[i] = (found[at] as number[])[0] as number))
  }
  const onto = new Map<number, Vector>()
  for (const node of fixed) {
    const react = [0, 1, 2].map((i) => {
      const row = K[6 * node + i] as number[]
      return row.reduce((sum, v, j) => sum + v * (d[j] as number), 0) - (f[6 * node + i] as number)
    })
    onto.set(node, [-(react[0] as number), -(react[1] as number), -(react[2] as number)])
  }
  const endMoments = each.map(({ T, k, grown, at }): [number, number] => {
    const local = multiply(
      T,
      at.map((i) => [d[i] as number]),
    )
    const ends = multiply(k, local).map((row, i) => (row[0] as number) - (grown[i] as number))
    return [
      Math.hypot(ends[4] as number, ends[5] as number),
      Math.hypot(ends[10] as number, ends[11] as number),
    ]
  })
  const moved = range(count).map((node): Vector => [
    d[6 * node] as number,
    d[6 * node + 1] as number,
    d[6 * node + 2] as number,
  ])
  return { moved, onto, endMoments }
}
const POISSON = 0.3
function element({ way, areaMm2: A, inertiaMm4: I, modulusMpa: E, strain }: FrameLeg) {
  const L = lengthOf(way)
  const x = unit(way) as Vector
  const helper: Vector = Math.abs(x[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0]
  const y = unit(cross(helper, x)) as Vector
  const z = cross(x, y)
  const T = Array.from({ length: 12 }, () => new Array<number>(12).fill(0))
  for (const block of range(4))
    [x, y, z].forEach((axis, i) =>
      axis.forEach((v, j) => ((T[3 * block + i] as number[])[3 * block + j] = v)),
    )
  const k = Array.from({ length: 12 }, () => new Array<number>(12).fill(0))
  const put = (i: number, j: number, v: number): void => {
    ;(k[i] as number[])[j] = v
    ;(k[j] as number[])[i] = v
  }
  const G = E / (2 * (1 + POISSON))
  const spring = (i: number, v: number): void => {
    put(i, i, v)
    put(i + 6, i + 6, v)
    put(i, i + 6, -v)
  }
  spring(0, (E * A) / L)
  spring(3, (G * 2 * I) / L)
  // Bending in both planes: shifts y with turns about z, shifts z with turns about y (other sign).
  for (const [shift, turn, sign] of [
    [1, 5, 1],
    [2, 4, -1],
  ] as const) {
    const [a, b, c, e] = [12 / L ** 3, (6 / L ** 2) * sign, 4 / L, 2 / L].map((v) => v * E * I) as [
      number,
      number,
      number,
      number,
    ]
    spring(shift, a)
    put(turn, turn, c)
    put(turn + 6, turn + 6, c)
    put(turn, turn + 6, e)
    put(shift, turn, b)
    put(shift, turn + 6, b)
    put(shift + 6, turn, -b)
    put(shift + 6, turn + 6, -b)
  }
  const grown = new Array<number>(12).fill(0)
  grown[0] = -E * A * strain
  grown[6] = E * A * strain
  return { T, k, grown }
}
const range = (n: number): number[] => Array.from({ length: n }, (_, i) => i)
const transpose = (m: readonly number[][]): number[][] =>
  (m[0] as number[]).map((_, j) => m.map((row) => row[j] as number))
const multiply = (a: readonly number[][], b: readonly number[][]): number[][] =>
  a.map((row) =>
    (b[0] as number[]).map((_, j) =>
      row.reduce((sum, v, i) => sum + v * ((b[i] as number[])[j] as number), 0),
    ),
  )
/** A way from one place to another. */
export const legBetween = (
  from: number,
  to: number,
  way: Vector,
  section: Pick<FrameLeg, 'areaMm2' | 'inertiaMm4' | 'modulusMpa'>,
  strain: number,
): FrameLeg => ({ from, to, way: times(way, 1), ...section, strain })
