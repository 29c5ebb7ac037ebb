import type { JobState } from '../../log/state.js'
import { branchEnds } from '../../parts/ends.js'
import type { EndAt } from '../../parts/neighbours.js'
import type { HeadingName } from '../../space/heading.js'
import { type Vector, plus, times } from '../../space/vector.js'
import { type LineInSpace, reachesIn } from './in-job.js'
import type { SpaceNode } from './walked.js'

/** A place of a line in the building, mm: east, north and level. */
export interface Coordinate {
  tag: string
  /** A fitting's centre or the face of one of its ends, or the bare end of a pipe. */
  what: 'centre' | 'face' | 'end'
  /** Of a face: which end. */
  at: EndAt | null
  atMm: Vector
  /** Every measure on the way to it is known. */
  known: boolean
  /** How far along the pipe from where its line begins, mm. */
  alongMm: number
}

/** Ways out of a fitting, by end: back where it was come from, on, and by its branches. */
function waysOut(space: LineInSpace, number: number, node: SpaceNode): [EndAt, Vector][] {
  const into = space.legs[space.inTo[number] ?? -1]?.heading
  const branches = node.fitting ? branchEnds(node.fitting) : []
  return [
    ...(into ? [[0, times(into, -1)] as [EndAt, Vector]] : []),
    ...(node.way ? [[1, node.way] as [EndAt, Vector]] : []),
    ...branches.flatMap((at): [EndAt, Vector][] => {
      const way = node.branches[at]
      return way ? [[at, way]] : []
    }),
  ]
}

/** Coordinates of every centre, face and bare end of a line, as one goes along it. A face without its take-off has none. */
export function coordinatesOf(state: JobState, space: LineInSpace): Coordinate[] {
  const reaches = reachesIn(state, space.line)
  const along: number[] = []
  return space.nodes.flatMap((node, number): Coordinate[] => {
    const leg = space.legs[space.inTo[number] ?? -1]
    const alongMm = (along[number] = leg ? (along[leg.from] ?? 0) + leg.lengthMm : 0)
    const { tag, fitting, atMm, known } = node
    const own: Coordinate = { tag, what: fitting ? 'centre' : 'end', at: null, atMm, known, alongMm }
    if (!fitting) return [own]
    const faces = waysOut(space, number, node).flatMap(([at, way]): Coordinate[] => {
      const takeOff = reaches.takeOff(fitting, at)
      if (takeOff?.to !== 'face' || takeOff.mm <= 0) return []
      const sense = at === 0 ? -1 : 1
      const face = plus(atMm, times(way, takeOff.mm))
      return [{ tag, what: 'face', at, atMm: face, known, alongMm: alongMm + sense * takeOff.mm }]
    })
    return [own, ...faces]
  })
}

/** How far a line goes each way, mm: what is measured only, one direction against the other. */
export type AxisSums = Readonly<Record<HeadingName, number>>
const AXES = [
  ['east', 'west'],
  ['north', 'south'],
  ['up', 'down'],
] as const
/** Sums by axis of all ways of a line whose length is known. */
export function axisSums(space: LineInSpace): AxisSums {
  const sums = { east: 0, west: 0, north: 0, south: 0, up: 0, down: 0 }
  for (const { from, to, known, insidePipe } of space.legs) {
    const [one, other] = [space.nodes[from], space.nodes[to]]
    if (!known || insidePipe || !one || !other) continue
    AXES.forEach(([on, back], axis) => {
      const mm = (other.atMm[axis] as number) - (one.atMm[axis] as number)
      sums[mm < 0 ? back : on] += Math.abs(mm)
    })
  }
  return sums
}
