import { type JointPlace, jointPlaces } from '../../joint/lookup.js'
import type { JobState, Line } from '../../log/state.js'
import { namesSaid } from '../../log/names.js'
import { lengthOf, minus, unit } from '../../space/vector.js'
import { once } from '../../units/memo.js'
import { append } from '../../units/extent.js'
import { type LineInSpace, lineInSpace } from './in-job.js'
import { together } from './together.js'
import type { Leg, Met, SpaceNode, Walked } from './walked.js'

/** Lines as one: their places and ways numbered through, and what joins them. */
export interface LinesAsOne extends Walked {
  /** The one that is asked about. */
  line: Line
  each: readonly PartOfIt[]
}
export interface PartOfIt {
  space: LineInSpace
  /** Number of its first node. */
  from: number
}
/** Tags of all of them. */
export const tagsOf = ({ each }: LinesAsOne): string => each.map(({ space }) => space.line.tag).join(' + ')
/** A line by itself. */
export const asOne = (space: LineInSpace): LinesAsOne => ({ ...space, each: [{ space, from: 0 }] })

/** Places nearer than this are one, mm. */
const SAME_MM = 0.5

/**
 * Lines where they lie, as one: where one is joined to another their places are one, or a way leads from the one to the other.
 * @param main the line that is asked about.
 */
export function linesAsOne(state: JobState, main: Line, spaces: readonly LineInSpace[]): LinesAsOne {
  const nodes: SpaceNode[] = []
  const legs: Leg[] = []
  const inTo: number[] = []
  const meets: Met[] = []
  const each: PartOfIt[] = []
  for (const space of spaces) {
    const [from, leg] = [nodes.length, legs.length]
    const on = (number: number): number => (number < 0 ? number : number + from)
    each.push({ space, from })
    append(
      nodes,
      space.nodes.map((node) => ({ ...node, back: on(node.back) })),
    )
    append(
      legs,
      space.legs.map((one) => ({ ...one, from: on(one.from), to: on(one.to) })),
    )
    append(
      inTo,
      space.inTo.map((number) => (number < 0 ? number : number + leg)),
    )
    append(
      meets,
      space.meets.map((met) => ({ ...met, node: on(met.node), own: met.own === null ? null : on(met.own) })),
    )
  }
  const whole = { nodes, legs, inTo, meets, each }
  for (const place of acrossOf(state)) join(whole, place)
  return {
    ...whole,
    line: main,
    nodeOf: new Map(
      each.flatMap(({ space, from }) => [...space.nodeOf].map(([id, node]) => [id, node + from])),
    ),
    courses: new Map(spaces.flatMap(({ courses }) => [...courses])),
    faults: spaces.flatMap(({ faults }) => faults),
  }
}
/** Joints between lines. */
const acrossOf = once((state: JobState): readonly JointPlace[] =>
  [...jointPlaces(state).values()].filter(({ met, line }) => met !== null && met.line.id !== line.id),
)
type Whole = Pick<LinesAsOne, 'each'> & { nodes: SpaceNode[]; legs: Leg[]; inTo: number[]; meets: Met[] }
function join({ nodes, legs, inTo, meets, each }: Whole, { part, end, met, line }: JointPlace): void {
  const partOf = (one: Line | undefined) => each.find(({ space }) => space.line.id === one?.id)
  const [own, other] = [partOf(line), partOf(met?.line)]
  if (!met || !own || !other) return
  const [from, to] = [
    nodeAt(own.space, part.id, part.type === 'piece' ? end : 1),
    nodeAt(other.space, met.fitting.id, met.fitting.type === 'piece' && met.at === 0 ? 0 : 1),
  ]
  if (from === undefined || to === undefined) return
  const [node, there] = [from + own.from, to + other.from]
  const [one, two] = [nodes[node], nodes[there]] as [SpaceNode, SpaceNode]
  const way = minus(one.atMm, two.atMm)
  const [lengthMm, heading] = [lengthOf(way), unit(way)]
  if (lengthMm < SAME_MM || !heading)
    return void meets.push({ node, name: met.fitting.tag, own: there, item: part, reachedMm: null })
  // Two fittings that stand on each other: a way leads from the one to the other.
  const known = one.known && two.known
  legs.push({ item: null, from: there, to: node, lengthMm, known, heading, viaMm: [], toLevel: false })
  if ((inTo[node] ?? -1) < 0) inTo[node] = legs.length - 1
  if (one.back < 0) nodes[node] = { ...one, back: there }
}
/** Node at an end of a part; undefined where it has none. */
function nodeAt(space: LineInSpace, partId: string, end: 0 | 1): number | undefined {
  const leg = end === 0 ? space.legs.find(({ item }) => item?.id === partId) : undefined
  return leg ? leg.from : space.nodeOf.get(partId)
}

/** Lines that hang together with each other, by their ids: one begins at a part of another, or comes to it. */
const groupsOf = once((state: JobState): ReadonlyMap<string, number> => {
  const lines = [...state.lines.values()]
  const byTag = new Map(
    lines.flatMap(({ items }, at) => items.map(({ tag }) => [tag.toLowerCase(), at] as const)),
  )
  const kin = together(
    lines.length,
    lines.flatMap((line, at) =>
      namesSaid(line).flatMap((name) => {
        const other = byTag.get(name)
        return other === undefined ? [] : [[at, other] as const]
      }),
    ),
  )
  return new Map(lines.map(({ id }, at) => [id, kin(at)]))
})
/** Of these lines those that have a place and hang together, group by group; the line asked about first in its own. */
export function hangTogether(state: JobState, lines: readonly Line[]): LineInSpace[][] {
  const groups = new Map<number, LineInSpace[]>()
  for (const line of lines) {
    const space = lineInSpace(state, line)
    if (!space.nodes.length) continue
    const group = groupsOf(state).get(line.id) ?? -1
    groups.set(group, [...(groups.get(group) ?? []), space])
  }
  return [...groups.values()]
}
/** All lines that hang together with one, itself first; only itself where none does. */
export function joinedTo(state: JobState, line: Line): LineInSpace[] {
  const group = groupsOf(state).get(line.id)
  const others = [...state.lines.values()].filter(
    ({ id }) => id !== line.id && groupsOf(state).get(id) === group,
  )
  return [line, ...others].map((one) => lineInSpace(state, one)).filter(({ nodes }) => nodes.length > 0)
}
