import type { LineInSpace } from './in-job.js'
import type { SpaceNode } from './walked.js'

/** A high or a low point of a line: nodes of one level stretch, and what serves it there. */
export interface Extreme {
  nodes: SpaceNode[]
  levelMm: number
  /** Something there lets air out, or water. */
  served: boolean
}
/** Parts that let air out, and water. A line's own open end does both. */
const LETS_AIR: readonly string[] = ['air vent', 'relief valve', 'tank adapter']
const LETS_WATER: readonly string[] = ['drain', 'hose end', 'tank adapter', 'floor flange']

/** Where air stays for want of a vent. Source: `cp-vents-and-drains`. */
export const highPoints = (space: LineInSpace): Extreme[] => extremesOf(space, space.high, LETS_AIR)
/** Where water stays for want of a drain. Source: `cp-vents-and-drains`. */
export const lowPoints = (space: LineInSpace): Extreme[] => extremesOf(space, space.low, LETS_WATER)

const extremesOf = (
  space: LineInSpace,
  stretches: readonly number[][],
  serves: readonly string[],
): Extreme[] =>
  stretches.map((numbers) => {
    const nodes = numbers.flatMap((at) => space.nodes[at] ?? [])
    const served = nodes.some(({ fitting }) => fitting === null || serves.includes(fitting.fitting ?? ''))
    return { nodes, levelMm: nodes[0]?.atMm[2] ?? 0, served }
  })
