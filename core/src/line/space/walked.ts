import type { Item } from '../../log/state.js'
import type { EndAt } from '../../parts/neighbours.js'
import type { Msg } from '../../sources/source.js'
import type { Course } from '../../space/heading.js'
import type { Vector } from '../../space/vector.js'

/** What stands at a known place of its own in the building, when a line begins. */
export interface Fixed {
  atMm: Vector
  /** How a way goes on there; null where nobody said. */
  way: Vector | null
  /** It leaves that by a branch: a fitting stands off it, however far. */
  branch?: true
}
/** An end of a fitting whose take-off is not known. */
export interface Missing {
  item: Item
  at: EndAt
}
/** A centre of a fitting, or a bare end of a pipe. */
export interface SpaceNode {
  tag: string
  /** Null: a bare end. */
  fitting: Item | null
  atMm: Vector
  /** Every measure on the way to it is known. */
  known: boolean
  /** How the way goes on through it; null where nobody said. */
  way: Vector | null
  /** Ways out of its branches, by end. */
  branches: Readonly<Partial<Record<EndAt, Vector>>>
  /** Number of the node it was reached from; -1 where a run begins. */
  back: number
}
/** A way from one node to the next: a pipe, or two fittings that stand on each other. */
export interface Leg {
  /** The pipe; null where there is none. */
  item: Item | null
  from: number
  to: number
  lengthMm: number
  known: boolean
  heading: Vector
  /** Where a bent tube turns, between its ends. */
  viaMm: readonly Vector[]
  /** It is as long as it takes to reach a level: no measure. */
  toLevel: boolean
  /** From a pipe's beginning to a saddle on it: the pipe that is there anyhow. */
  insidePipe?: Item
}
/** Something that cannot be as it was said, or that is not known, at a part. */
export interface SpaceFault extends Msg {
  item: Item
  /** It cannot be: what brings it about is refused. Else something is only not known. */
  stops: boolean
  /** What is to be measured, where that would tell. */
  measure?: Missing
}
/** A node that is said to be where something else is. */
export interface Met {
  node: number
  name: string
  /** The node of the same line that has this name; null: it is a place elsewhere. */
  own: number | null
  item: Item
  /** Where the measures led, before it was put where it is said to be; null where that is not known. */
  reachedMm: Vector | null
}
/** A line where it lies. */
export interface Walked {
  nodes: readonly SpaceNode[]
  /** Number of each fitting's node; of a pipe that of its far end. */
  nodeOf: ReadonlyMap<string, number>
  legs: readonly Leg[]
  /** How the way goes on behind each part; null where nobody said. */
  courses: ReadonlyMap<string, Course | null>
  /** Number of the leg that leads to a node; -1 to one where a run begins. */
  inTo: readonly number[]
  meets: readonly Met[]
  faults: readonly SpaceFault[]
}
/** Of a line that has no place. */
export const NOWHERE: Walked = {
  nodes: [],
  nodeOf: new Map(),
  courses: new Map(),
  legs: [],
  inTo: [],
  meets: [],
  faults: [],
}

/** Where a walk stands behind a part. */
export interface Here {
  node: number
  course: Course | null
  falls: number
  /** Behind a pipe: where its far end is. */
  ahead?: { atMm: Vector; known: boolean; leg: number; meets: { name: string; item: Item } | null }
}
