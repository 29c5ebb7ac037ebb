const rad = (deg: number): number => (deg * Math.PI) / 180
const EPSILON_MM = 1e-9

export interface Bent {
  /** Start of each arc from end 0, mm. */
  marksMm: number[]
  developedMm: number
  /** What each bend saves against its two legs: 2 R tan(a/2) - R a. */
  gainsMm: number[]
}
export type BendFound =
  | ({ ok: true } & Bent)
  /** The straight of this leg is too short; `leastMm` is the least leg that works with its neighbours as they are. */
  | { ok: false; leg: number; straightMm: number; leastMm: number }

/**
 * From an apex to where its arc begins: R tan(a/2). Lengths in mm, deflection in degrees.
 * @example setbackMm(76, 90) // 76
 */
export const setbackMm = (radiusMm: number, angleDeg: number): number =>
  radiusMm * Math.tan(rad(angleDeg) / 2)
/**
 * Length of tube in a bend along its centre line, mm. @param radiusMm of the centre line, above 0. @param angleDeg
 * turned, 0 to 180. Formula: radius times angle in radians.
 * @example arcMm(76, 90) // 119.4
 */
export const arcMm = (radiusMm: number, angleDeg: number): number => radiusMm * rad(angleDeg)

/**
 * Marks and length of a tube bent at several places. Source: geometry (`bend-geometry`).
 * @param radiusMm centre-line radius. @param legs tube end or apex to next apex or end, one more than angles.
 * @param anglesDeg deflections, 0 < a < 180. @param minStraightMm least straight of every leg.
 */
export function bendMarks(
  radiusMm: number,
  legs: readonly number[],
  anglesDeg: readonly number[],
  minStraightMm = 0,
): BendFound {
  const setbacks = anglesDeg.map((a) => setbackMm(radiusMm, a))
  const marksMm: number[] = []
  let along = 0
  for (const [i, leg] of legs.entries()) {
    const taken = (setbacks[i - 1] ?? 0) + (setbacks[i] ?? 0)
    const straightMm = leg - taken
    if (straightMm < minStraightMm - EPSILON_MM)
      return { ok: false, leg: i, straightMm, leastMm: taken + minStraightMm }
    along += straightMm
    const angle = anglesDeg[i]
    if (angle === undefined) break
    marksMm.push(along)
    along += arcMm(radiusMm, angle)
  }
  return {
    ok: true,
    marksMm,
    developedMm: along,
    gainsMm: anglesDeg.map((a, i) => 2 * (setbacks[i] as number) - arcMm(radiusMm, a)),
  }
}

export interface Offset {
  travelMm: number
  runMm: number
}
/**
 * Travel and run of an offset, rolled or not. Source: geometry (`offset-geometry`).
 * @param angleDeg deflection of the fitting, above 0 to 90.
 * @example offset(300, 0, 45) // { travelMm: 424.26, runMm: 300 }
 */
export function offset(setMm: number, rollMm: number, angleDeg: number): Offset {
  const across = Math.hypot(setMm, rollMm)
  const angle = rad(angleDeg)
  return { travelMm: across / Math.sin(angle), runMm: angleDeg === 90 ? 0 : across / Math.tan(angle) }
}

export interface Point {
  x: number
  y: number
}
const ARC_STEP_DEG = 3
/**
 * The bent tube's centre line in its plane, mm, from end 0 along x, as points close enough to draw.
 * @param turnsDeg deflections with their sense: above 0 to the left, below to the right.
 * @example centreLine(100, [300, 400], [90]).at(-1) // { x: 300, y: 400 }
 */
export function centreLine(radiusMm: number, legs: readonly number[], turnsDeg: readonly number[]): Point[] {
  const out: Point[] = [{ x: 0, y: 0 }]
  let heading = 0
  const forward = (mm: number): void => {
    const { x, y } = out[out.length - 1] as Point
    out.push({ x: x + mm * Math.cos(heading), y: y + mm * Math.sin(heading) })
  }
  legs.forEach((leg, i) => {
    const before = setbackMm(radiusMm, Math.abs(turnsDeg[i - 1] ?? 0))
    const turn = turnsDeg[i] ?? 0
    forward(leg - before - setbackMm(radiusMm, Math.abs(turn)))
    const steps = Math.ceil(Math.abs(turn) / ARC_STEP_DEG)
    for (let k = 0; k < steps; k++) {
      const part = rad(turn) / steps
      // A chord lies half its turn off the heading it starts from.
      heading += part / 2
      forward(2 * radiusMm * Math.sin(Math.abs(part) / 2))
      heading += part / 2
    }
  })
  return out
}

/** Reads a bent run as it is said: `200 90 300 -45 150`: leg, turn, leg, turn, leg. Null when it is none. */
export function parseRun(
  text: string,
  length: (t: string) => number | null,
): { legs: number[]; turnsDeg: number[] } | null {
  const parts = text.trim().split(/\s+/)
  if (parts.length < 3 || parts.length % 2 === 0) return null
  const legs = parts.filter((_, i) => i % 2 === 0).map(length)
  const turnsDeg = parts
    .filter((_, i) => i % 2 === 1)
    .map((t) => Number(t.replace(',', '.').replace(/°$/, '')))
  if (legs.some((l) => l === null || l <= 0)) return null
  if (turnsDeg.some((t) => !Number.isFinite(t) || t === 0 || Math.abs(t) >= 180)) return null
  return { legs: legs as number[], turnsDeg }
}
