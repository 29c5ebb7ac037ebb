import type { JointPlace } from '../../joint/lookup.js'
import type { Item, JobState } from '../../log/state.js'
import { HEADINGS, type HeadingName } from '../../space/heading.js'
import { type Vector, cross, dot, minus, times, unit } from '../../space/vector.js'
import { type EndAt, WALL, isBranch } from '../../parts/neighbours.js'
import { lineInSpace } from './in-job.js'

/** How a fitting stands on its pipe: where what is beside the pipe's axis points. */
export interface Alignment {
  fitting: Item
  /** What points: its branch, its other end; of a saddle what leaves it. */
  what: 'branch' | 'end' | 'saddle'
  /** Where to, by one or two names. */
  towards: readonly HeadingName[]
  /** Looking along the pipe into the fitting, or the way the pipe under a saddle goes, 12 is up; null on a pipe that goes straight up or down. */
  clock: number | null
  /** From where it is turned: the top of the pipe, north on one that is upright. */
  from: 'top' | 'north'
  /** By how much, clockwise seen the same way, degrees from 0 to below 360. */
  turnDeg: number
}
/** A direction has a part along an axis from this on. */
const SHARE = 0.25
/** Names of a direction, the strongest first. */
function namesOf(way: Vector): HeadingName[] {
  return (Object.keys(HEADINGS) as HeadingName[])
    .map((name) => ({ name, share: dot(way, HEADINGS[name]) }))
    .filter(({ share }) => share > SHARE)
    .sort((a, b) => b.share - a.share)
    .slice(0, 2)
    .map(({ name }) => name)
}

/**
 * How the fitting of a joint is turned about its pipe before it is fixed: marked on socket and pipe, the marks meet. Null
 * where nobody said where the line lies, or where nothing of the fitting leaves the pipe's axis.
 */
export function alignmentOf(state: JobState, place: JointPlace): Alignment | null {
  if (!place.met) return null
  const { fitting, at: met, line } = place.met
  if (met === WALL) return saddleAlignment(state, place)
  const space = lineInSpace(state, line)
  const number = space.nodeOf.get(fitting.id) ?? -1
  const node = space.nodes[number]
  if (!node) return null
  const into = space.legs[space.inTo[number] ?? -1]?.heading ?? null
  const out = [into && times(into, -1), node.way, node.branches[2] ?? null, node.branches[3] ?? null]
  const own = out[met]
  if (!own) return null
  const axis = times(own, -1)
  const order: readonly EndAt[] = isBranch(met) ? [1, 0] : [2, met === 0 ? 1 : 0]
  for (const at of order) {
    const way = out[at]
    const aside = way && unit(minus(way, times(axis, dot(way, axis))))
    if (way && aside && Math.abs(dot(way, axis)) < 0.999)
      return {
        fitting,
        what: isBranch(at) ? 'branch' : 'end',
        towards: namesOf(way),
        clock: clockOf(axis, aside),
        ...turnOf(axis, aside),
      }
  }
  return null
}
/** Where the branch of a saddle points, looking the way its pipe goes. */
function saddleAlignment(state: JobState, { part, line }: JointPlace): Alignment | null {
  const space = lineInSpace(state, line)
  const number = space.nodeOf.get(part.id) ?? -1
  const way = space.nodes[number]?.way
  const axis = space.legs[space.inTo[number] ?? -1]?.heading
  if (!way || !axis) return null
  return {
    fitting: part,
    what: 'saddle',
    towards: namesOf(way),
    clock: clockOf(axis, way),
    ...turnOf(axis, way),
  }
}
/** How far round an axis a direction across it is, clockwise seen along the axis. */
function turnOf(axis: Vector, aside: Vector): Pick<Alignment, 'from' | 'turnDeg'> {
  const upright = Math.abs(axis[2]) > 0.999
  const from = upright ? HEADINGS.north : HEADINGS.up
  const zero = unit(minus(from, times(axis, dot(from, axis)))) as Vector
  const right = cross(axis, zero)
  const deg = (Math.atan2(dot(aside, right), dot(aside, zero)) * 180) / Math.PI
  return { from: upright ? 'north' : 'top', turnDeg: (Math.round(deg * 10) / 10 + 360) % 360 }
}
/** Hours on a clock face seen along an axis, to the half hour; null where the axis is upright. */
function clockOf(axis: Vector, aside: Vector): number | null {
  const up = unit(minus(HEADINGS.up, times(axis, axis[2])))
  if (!up || Math.abs(axis[2]) > 0.999) return null
  const right = cross(axis, up)
  const hours = (Math.atan2(dot(aside, right), dot(aside, up)) * 6) / Math.PI
  const half = Math.round(((hours + 12) % 12) * 2) / 2
  return half < 0.5 ? 12 : half
}
