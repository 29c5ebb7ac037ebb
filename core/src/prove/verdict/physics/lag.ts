/**
 * What follows a temperature late: first-order, from the first value on.
 * @param tS ascending times. @param valuesC what is followed, °C. @param tauS time constant; 0 follows at once.
 * @example lagged([0, 10], [20, 20], 5) // [20, 20]
 */
export function lagged(tS: readonly number[], valuesC: readonly number[], tauS: number): number[] {
  if (tauS <= 0) return [...valuesC]
  let y = valuesC[0] as number
  return valuesC.map((value, i) => {
    if (i === 0) return y
    const dt = (tS[i] as number) - (tS[i - 1] as number)
    const from = valuesC[i - 1] as number
    // Between two readings the temperature runs straight; this is the exact answer to that.
    const keep = Math.exp(-dt / tauS)
    const slope = dt > 0 ? (value - from) / dt : 0
    y = value - slope * tauS + (y - from + slope * tauS) * keep
    return y
  })
}

/**
 * A course without its noise, and its slope per second at each point: a straight line through the points that stand
 * within a window. Water and pipe are too heavy to change within it in any other way.
 * @param windowS to each side; at least two points to each side are taken where there are.
 * @example smoothed([0, 1, 2], [10, 11, 12], 5).slope // [1, 1, 1]
 */
export function smoothed(
  tS: readonly number[],
  valuesC: readonly number[],
  windowS: number,
): { at: number[]; slope: number[] } {
  const points = tS.length
  const base = valuesC[0] as number
  // Running sums, about the first point, give every window's line without going through it again.
  const sums: (readonly [number, number, number, number])[] = [[0, 0, 0, 0]]
  for (let i = 0; i < points; i++) {
    const afterS = (tS[i] as number) - (tS[0] as number)
    const y = (valuesC[i] as number) - base
    const [sumT, sumY, sumTT, sumTY] = sums[i] as readonly [number, number, number, number]
    sums.push([sumT + afterS, sumY + y, sumTT + afterS * afterS, sumTY + afterS * y])
  }
  let low = 0
  let high = 0
  const at: number[] = []
  const slope: number[] = []
  tS.forEach((atS, i) => {
    while ((tS[low] as number) < atS - windowS) low++
    while (high < points && (tS[high] as number) <= atS + windowS) high++
    const from = Math.max(0, Math.min(low, i - 2))
    const to = Math.min(points, Math.max(high, i + 3))
    const part = (k: 0 | 1 | 2 | 3): number => (sums[to]?.[k] ?? 0) - (sums[from]?.[k] ?? 0)
    const count = to - from
    const wide = part(2) - part(0) ** 2 / count
    const rise = wide > 0 ? (part(3) - (part(0) * part(1)) / count) / wide : 0
    slope.push(rise)
    at.push(base + part(1) / count + rise * (atS - (tS[0] as number) - part(0) / count))
  })
  return { at, slope }
}

const WATER_HOLDS = 4.18e6
/** Heat passed to still air round a pipe, and from still water to its wall, W/(m² K). Source: `cp-heat-passed`. */
const TO_AIR = 10
const TO_WATER = 150
export interface Ring {
  odMm: number
  wallMm: number
  conducts: number
  holds: number
}
const metres = (mm: number): number => mm / 1000
/** How late the water follows the outside of its wall, and how far the wall's middle lies on the way to it. */
export function waterBehindWall(ring: Ring): { tauS: number; middle: number } {
  const wall = metres(ring.wallMm) / ring.conducts
  const tauS = ((WATER_HOLDS * metres(ring.odMm - 2 * ring.wallMm)) / 4) * (wall + 1 / TO_WATER)
  return { tauS, middle: wall / 2 / (wall + 1 / TO_WATER) }
}
/** How far the middle of the wall is ahead of the water while that warms or cools: so many seconds of its course. */
export const wallAheadOfWater = (ring: Ring): number =>
  ((WATER_HOLDS * metres(ring.odMm - 2 * ring.wallMm)) / 4) *
  (1 / TO_WATER + metres(ring.wallMm) / ring.conducts / 2)
/** How late a pipe, full of water or of gas, follows the air about it. */
export function pipeBehindAir(ring: Ring, full: boolean): number {
  const bore = metres(ring.odMm - 2 * ring.wallMm)
  const water = full ? (WATER_HOLDS * bore ** 2) / (4 * metres(ring.odMm)) : 0
  return (
    (water + ring.holds * metres(ring.wallMm)) *
    (1 / TO_AIR + (full ? metres(ring.wallMm) / ring.conducts / 2 : 0))
  )
}
