import { type Closing, closingPiece } from '../../space/closing-piece.js'
import { directionSaid } from '../../space/heading.js'
import { type Turning, turningPieces } from '../../space/turning-piece.js'
import { type Vector, times } from '../../space/vector.js'
import type { JobState, Line } from '../../log/state.js'
import { branchEnds } from '../../parts/ends.js'
import { branchRun } from '../../parts/neighbours.js'
import { type Cursor, standing } from '../place.js'
import { lineInSpace } from './in-job.js'

/** An end that a line may be closed on: where it is, and how the way goes on into it. */
export interface CloseTarget {
  /** As it is named in an entry. */
  name: string
  atMm: Vector
  heading: Vector
}
/** Ends of a job that nothing is joined to yet, and points with a heading. */
export function closeTargets(state: JobState): CloseTarget[] {
  const points = [...state.points.values()].flatMap(({ name, atMm, heading }): CloseTarget[] => {
    const way = heading === null ? null : directionSaid(heading, null)
    return way ? [{ name, atMm, heading: way }] : []
  })
  const parts = [...state.lines.values()].flatMap((line) => {
    const space = lineInSpace(state, line)
    const runs = new Set(line.items.map((item) => item.run))
    return space.nodes.flatMap(({ tag, fitting, atMm, known, branches, back }): CloseTarget[] => {
      if (!fitting || !known) return []
      // The way into the first part of a line, and out of a branch that nothing leaves by yet.
      const start = line.stands?.heading && back < 0 ? directionSaid(line.stands.heading, null) : null
      const open = branchEnds(fitting).find((at) => branches[at] && !runs.has(branchRun(fitting.id, at)))
      const branch = open === undefined ? undefined : branches[open]
      const heading = start ?? (branch ? times(branch, -1) : null)
      return heading ? [{ name: tag, atMm, heading }] : []
    })
  })
  return [...points, ...parts]
}

/** Where a line goes on from, if it has a place and a way there: the centre of its last fitting. */
export function closeFrom(
  state: JobState,
  line: Line,
  cursor: Cursor,
): { atMm: Vector; heading: Vector; tag: string } | null {
  const item = standing(line, cursor)
  const space = lineInSpace(state, line)
  const node = item && space.nodes[space.nodeOf.get(item.id) ?? -1]
  const way = item && space.courses.get(item.id)?.way
  return item?.type === 'fitting' && node?.known && way
    ? { atMm: node.atMm, heading: way, tag: item.tag }
    : null
}

/** Angles that elbows are made with, for a closing piece with two alike. */
export const CLOSING_ANGLES = [22.5, 30, 45, 60, 90] as const
/** A closing piece by one angle, and the entries that set it out. */
export interface ClosingWay extends Closing {
  angleDeg: number
  entries: string[]
}
/** What is between centres: the fittings' own reach and the least pipe that is wanted between two faces. */
export interface ClosingWith {
  takeOffMm: number
  minStraightMm: number
}
/**
 * The pieces that close a line on an end, with two fittings alike of each angle: straight on where nothing is offset. From
 * and to are centres of fittings, so that each lead has room for two take-offs.
 */
export function closingWays(
  from: { atMm: Vector; heading: Vector },
  to: CloseTarget,
  by: ClosingWith,
): ClosingWay[] {
  const fittings = {
    takeOffMm: by.takeOffMm,
    insertionMm: 0,
    // A lead goes from a centre: the take-off of the fitting there comes on top.
    minStraightMm: by.takeOffMm + by.minStraightMm,
  }
  const ways = CLOSING_ANGLES.map((angleDeg): ClosingWay => {
    const found = closingPiece(from, to, { ...fittings, angleDeg })
    return { ...found, angleDeg, entries: entriesOf(found, angleDeg, to) }
  })
  const first = ways[0] as ClosingWay
  return first.kind === 'straight' || first.reason === 'headings-differ' ? [first] : ways
}
/** A piece between ends that do not point the same way, and the entries that set it out. */
export interface TurningWay extends Turning {
  entries: string[]
}
/** Angles as they are likeliest to be in the van. */
const LIKELIEST = [90, 45, 22.5, 60, 30]
/** So many are offered. */
const MOST_WAYS = 5
/** The pieces that close a line on an end that points elsewhere, with one or two elbows, the simplest first. */
export function turningWays(
  from: { atMm: Vector; heading: Vector },
  to: CloseTarget,
  { takeOffMm, minStraightMm }: ClosingWith,
): TurningWay[] {
  const leastMm = 2 * takeOffMm + minStraightMm
  return turningPieces(from, to, LIKELIEST, { leadMm: leastMm, betweenMm: leastMm })
    .slice(0, MOST_WAYS)
    .map((found) => ({
      ...found,
      entries: [
        ...found.anglesDeg.flatMap((angle, i) => [
          mm(found.lengthsMm[i] as number),
          `elbow ${angle} ${said(found.ways[i] as Vector)}`,
        ]),
        mm(found.lengthsMm.at(-1) as number),
        `to ${to.name}`,
      ],
    }))
}
const said = (v: Vector): string => v.map((x) => Number(x.toFixed(6))).join(',')
const mm = (length: number): string => `${Number(length.toFixed(2))} mm c-c`
function entriesOf(found: Closing, angleDeg: number, to: CloseTarget): string[] {
  const { kind, travelMm, travelHeading, leadInMm, leadOutMm } = found
  if (kind === 'none' || travelMm === null || travelHeading === null) return []
  if (kind === 'straight') return [mm(travelMm), `to ${to.name}`]
  const elbow = `elbow ${angleDeg}`
  return [
    mm(leadInMm ?? 0),
    `${elbow} ${said(travelHeading)}`,
    mm(travelMm),
    `${elbow} ${said(to.heading)}`,
    mm(leadOutMm ?? 0),
    `to ${to.name}`,
  ]
}
