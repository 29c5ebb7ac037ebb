import { type Vector, angleDeg, dot, lengthOf, minus, plus, times, unit } from './vector.js'

/** An end of a straight in the building, and how the way goes on there. */
export interface Standing {
  atMm: Vector
  heading: Vector
}
/** What the piece is joined with: two fittings alike. */
export interface Fittings {
  /** Deflection of each, above 0, at most 90 degrees. */
  angleDeg: number
  /** Centre to face, mm. */
  takeOffMm: number
  /** How far the pipe goes in, mm. */
  insertionMm: number
  /** Least pipe between faces, mm. */
  minStraightMm: number
}
export type ClosingReason = 'headings-differ' | 'does-not-fit'
/** The piece between two ends that do not move. */
export interface Closing {
  kind: 'straight' | 'offset' | 'none'
  /** By how much the headings differ, degrees. */
  turnDeg: number
  /** Vertical and level part of the offset, mm, neither below 0. */
  setMm: number
  rollMm: number
  trueOffsetMm: number
  travelMm: number | null
  runMm: number | null
  travelHeading: Vector | null
  leadInMm: number | null
  leadOutMm: number | null
  cutMm: number | null
  reason: ClosingReason | null
}

/** Ends that are off each other by no more than this lie in one line. */
const IN_LINE_MM = 0.5
/** Headings that differ by more than this are not of one direction. */
const PARALLEL_DEG = 0.5
/** Of figures that are worked out. */
const ROUNDING_MM = 1e-9

/**
 * The piece that closes the way from one end to another of the same heading, with two fittings alike: set and roll are the
 * offset's vertical and level part, travel = offset / sin, run = offset / tan of the fittings' angle. Source:
 * `closing-geometry`.
 */
export function closingPiece(from: Standing, to: Standing, by: Fittings): Closing {
  const way = minus(to.atMm, from.atMm)
  const alongMm = dot(way, from.heading)
  const off = minus(way, times(from.heading, alongMm))
  const trueOffsetMm = lengthOf(off)
  const seen = {
    turnDeg: angleDeg(from.heading, to.heading),
    setMm: Math.abs(off[2]),
    rollMm: Math.hypot(off[0], off[1]),
    trueOffsetMm,
  }
  if (seen.turnDeg > PARALLEL_DEG) return { ...seen, ...NOTHING, reason: 'headings-differ' }
  if (trueOffsetMm <= IN_LINE_MM) return { ...seen, ...straight(alongMm, from.heading, by) }
  return { ...seen, ...offsetBy(alongMm, off, from.heading, by) }
}
const NOTHING = {
  kind: 'none',
  travelMm: null,
  runMm: null,
  travelHeading: null,
  leadInMm: null,
  leadOutMm: null,
  cutMm: null,
} as const
type Worked = Omit<Closing, 'turnDeg' | 'setMm' | 'rollMm' | 'trueOffsetMm'>

/** In one line: what is between them, and what goes in at both ends. */
function straight(roomMm: number, heading: Vector, { insertionMm, minStraightMm }: Fittings): Worked {
  if (roomMm <= 0 || roomMm < minStraightMm - ROUNDING_MM) return { ...NOTHING, reason: 'does-not-fit' }
  return {
    kind: 'straight',
    travelMm: roomMm,
    runMm: roomMm,
    travelHeading: heading,
    leadInMm: 0,
    leadOutMm: 0,
    cutMm: roomMm + 2 * insertionMm,
    reason: null,
  }
}
function offsetBy(alongMm: number, off: Vector, heading: Vector, by: Fittings): Worked {
  const radians = (by.angleDeg * Math.PI) / 180
  const [sin, cos] = by.angleDeg === 90 ? [1, 0] : [Math.sin(radians), Math.cos(radians)]
  const offsetMm = lengthOf(off)
  const travelMm = offsetMm / sin
  const runMm = (offsetMm * cos) / sin
  const leadInMm = by.takeOffMm + by.minStraightMm
  const leadOutMm = alongMm - runMm - leadInMm
  const betweenMm = travelMm - 2 * by.takeOffMm
  const fits = leadOutMm >= leadInMm - ROUNDING_MM && betweenMm >= by.minStraightMm - ROUNDING_MM
  const cutMm = betweenMm + 2 * by.insertionMm
  return {
    kind: fits ? 'offset' : 'none',
    travelMm,
    runMm,
    travelHeading: unit(plus(times(unit(off) ?? heading, sin), times(heading, cos))),
    leadInMm,
    leadOutMm,
    cutMm: fits ? cutMm : null,
    reason: fits ? null : 'does-not-fit',
  }
}
