import { type Vector, cross, dot, lengthOf, minus, plus, times, unit } from '../../space/vector.js'
import { Symmetric } from './symmetric.js'

/** A straight leg between two corners. */
export interface FrameLeg {
  from: number
  to: number
  /** From the first to the second corner, mm. */
  way: Vector
  /** Of its section: area in mm², moment of inertia in mm⁴; modulus in MPa. */
  areaMm2: number
  inertiaMm4: number
  modulusMpa: number
  /** How much longer it would be if nothing held it, as a share of its length. */
  strain: number
}
/** What keeps a corner where it is: altogether, or but for moving along the pipe. */
export interface Hold {
  node: number
  along: Vector | null
}
/** A frame as it stands when its legs have grown. */
export interface FrameMoved {
  /** How far each corner went, mm. */
  moved: Vector[]
  /** Force of the frame on each hold, N, in their order. */
  forces: Vector[]
}

/**
 * Moves a frame of straight legs that grow, every corner kept from turning: each leg bends as a guided cantilever, 12 E I /
 * L³ across, and pushes with E A / L along. For one chain between two anchors it is the formula of the handbooks, growth
 * shared among the legs across it by the cube of their lengths. Source: `guided-cantilever`.
 * @param count of corners. Whatever hangs together must have a hold that keeps it altogether.
 */
export function guidedFrame(count: number, legs: readonly FrameLeg[], holds: readonly Hold[]): FrameMoved {
  const ways = freeWays(count, holds)
  let unknowns = 0
  const first = ways.map((own) => (unknowns += own.length) - own.length)
  const system = new Symmetric(unknowns)
  for (const leg of legs) enter(system, leg, ways, first)
  const found = system.solved()
  const moved = ways.map((own, node) =>
    own.reduce<Vector>(
      (sum, way, at) => plus(sum, times(way, found[(first[node] as number) + at] as number)),
      [0, 0, 0],
    ),
  )
  const onto = new Map<number, Vector>()
  const push = (node: number, force: Vector): void =>
    void onto.set(node, plus(onto.get(node) ?? [0, 0, 0], force))
  for (const leg of legs) {
    const { from, to } = leg
    const held = legForce(leg, minus(moved[to] as Vector, moved[from] as Vector))
    push(from, held)
    push(to, times(held, -1))
  }
  return { moved, forces: holds.map(({ node }) => onto.get(node) ?? [0, 0, 0]) }
}
/** What must pull at the far end of a leg, N, so that its ends stand so much further apart than they did. */
function legForce(leg: FrameLeg, apart: Vector): Vector {
  const { axis, along, across } = stiffness(leg)
  const out = dot(apart, axis)
  return plus(
    times(axis, along * (out - leg.strain * lengthOf(leg.way)) - across * out),
    times(apart, across),
  )
}
/** How hard a leg is to pull and to bend, N a mm. */
function stiffness({ way, areaMm2, inertiaMm4, modulusMpa }: FrameLeg): {
  axis: Vector
  along: number
  across: number
} {
  const lengthMm = lengthOf(way)
  return {
    axis: times(way, 1 / lengthMm),
    along: (modulusMpa * areaMm2) / lengthMm,
    across: (12 * modulusMpa * inertiaMm4) / lengthMm ** 3,
  }
}
const AXES: readonly Vector[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
]
/** In which ways each corner may go: three at right angles, those that its holds leave it. */
function freeWays(count: number, holds: readonly Hold[]): (readonly Vector[])[] {
  const ways: (readonly Vector[])[] = Array.from({ length: count }, () => AXES)
  for (const { node, along } of holds) {
    const had = ways[node] ?? []
    const axis = along && unit(along)
    // Two guides along different ways leave nothing between them.
    const free = axis && (had.length === 3 || had.some((way) => lengthOf(cross(way, axis)) < 1e-6))
    ways[node] = free ? [axis] : []
  }
  return ways
}
function enter(
  system: Symmetric,
  leg: FrameLeg,
  ways: readonly (readonly Vector[])[],
  first: readonly number[],
): void {
  const { axis, along, across } = stiffness(leg)
  const grown = along * leg.strain * lengthOf(leg.way)
  const ends = [
    { node: leg.from, sense: -1 },
    { node: leg.to, sense: 1 },
  ].flatMap(({ node, sense }) =>
    (ways[node] ?? []).map((way, at) => ({ at: (first[node] as number) + at, way: times(way, sense) })),
  )
  ends.forEach((one, i) => {
    const out = dot(one.way, axis)
    system.right[one.at] = (system.right[one.at] as number) + grown * out
    for (const other of ends.slice(i)) {
      const tie = across * dot(one.way, other.way) + (along - across) * out * dot(other.way, axis)
      system.add(one.at, other.at, tie)
    }
  })
}
