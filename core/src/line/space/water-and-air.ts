import type { LineInSpace } from './in-job.js'
import type { SpaceNode } from './walked.js'

/** A high or a low point of a line: nodes of one level stretch, and what serves it there. */
export interface Standing {
  nodes: SpaceNode[]
  levelMm: number
  /** Something there lets air out, or water. */
  served: boolean
}
/** Parts that let air out, and water. A line's own open end does both. */
const LETS_AIR: readonly string[] = ['air vent', 'relief valve', 'tank adapter']
const LETS_WATER: readonly string[] = ['drain', 'hose end', 'tank adapter', 'floor flange']

/** Where air stays for want of a vent. Source: `cp-vents-and-drains`. */
export const highPoints = (space: LineInSpace): Standing[] => standings(space, space.high, LETS_AIR)
/** Where water stays for want of a drain. Source: `cp-vents-and-drains`. */
export const lowPoints = (space: LineInSpace): Standing[] => standings(space, space.low, LETS_WATER)

function standings(space: LineInSpace, numbers: readonly number[], served: readonly string[]): Standing[] {
  const wanted = new Set(numbers)
  const seen = new Set<number>()
  const beside = new Map<number, number[]>()
  for (const { from, to, heading } of space.legs)
    if (heading[2] === 0 && wanted.has(from) && wanted.has(to)) {
      beside.set(from, [...(beside.get(from) ?? []), to])
      beside.set(to, [...(beside.get(to) ?? []), from])
    }
  return numbers.flatMap((first) => {
    if (seen.has(first)) return []
    const group: number[] = []
    for (const open = [first]; open.length;) {
      const at = open.pop() as number
      if (seen.has(at)) continue
      seen.add(at)
      group.push(at)
      for (const next of beside.get(at) ?? []) open.push(next)
    }
    const nodes = group.flatMap((at) => space.nodes[at] ?? [])
    return [
      {
        nodes,
        levelMm: nodes[0]?.atMm[2] ?? 0,
        served: nodes.some((node) => node.fitting === null || served.includes(node.fitting.fitting ?? '')),
      },
    ]
  })
}
