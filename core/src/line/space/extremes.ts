import type { Walked } from './walked.js'

/** Where air stays and where water stays, by number of their nodes. */
export interface Extremes {
  high: number[]
  low: number[]
}
/** Legs that fall by less than this over their length are level. */
const LEVEL = 1e-9

/**
 * Nodes of a level stretch from which every way falls (high) or rises (low), ends too. A line that is level from end to
 * end has neither.
 */
export function extremes(walked: Walked): Extremes {
  const group = groups(walked)
  const rises = new Map<number, { up: boolean; down: boolean }>()
  const meet = (node: number, by: number): void => {
    const own = group(node)
    const known = rises.get(own) ?? { up: false, down: false }
    rises.set(own, { up: known.up || by > 0, down: known.down || by < 0 })
  }
  for (const { from, to, heading } of walked.legs) {
    if (to < 0 || Math.abs(heading[2]) <= LEVEL) continue
    meet(from, heading[2])
    meet(to, -heading[2])
  }
  const where = (is: (r: { up: boolean; down: boolean }) => boolean): number[] =>
    walked.nodes.flatMap((_, node) => {
      const own = rises.get(group(node))
      return own && is(own) ? [node] : []
    })
  return { high: where((r) => r.down && !r.up), low: where((r) => r.up && !r.down) }
}

/** Nodes that hang together level, and those that are one place. */
function groups(walked: Walked): (node: number) => number {
  const parent = walked.nodes.map((_, i) => i)
  const find = (at: number): number => {
    let root = at
    while (parent[root] !== root) root = parent[root] as number
    parent[at] = root
    return root
  }
  const join = (a: number, b: number): void => void (parent[find(a)] = find(b))
  for (const { from, to, heading } of walked.legs)
    if (to >= 0 && Math.abs(heading[2]) <= LEVEL) join(from, to)
  for (const { node, own } of walked.meets) if (own !== null) join(node, own)
  return find
}
