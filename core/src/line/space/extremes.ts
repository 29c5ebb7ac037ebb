import { together } from './together.js'
import type { Walked } from './walked.js'

/** Where air stays and where water stays: level stretches, each by the numbers of its nodes. */
export interface Extremes {
  high: number[][]
  low: number[][]
}
/** Legs that fall by less than this over their length are level. */
const LEVEL = 1e-9

/**
 * Level stretches from which every way falls (high) or rises (low), ends too. A line that is level from end to end has
 * neither.
 */
export function extremes(walked: Walked): Extremes {
  const flat = walked.legs.filter(({ to, heading }) => to >= 0 && Math.abs(heading[2]) <= LEVEL)
  const stretchOf = together(walked.nodes.length, [
    ...flat.map(({ from, to }) => [from, to] as const),
    ...samePlaces(walked),
  ])
  const ways = new Map<number, { up: boolean; down: boolean }>()
  const meet = (node: number, by: number): void => {
    const own = stretchOf(node)
    const known = ways.get(own) ?? { up: false, down: false }
    ways.set(own, { up: known.up || by > 0, down: known.down || by < 0 })
  }
  for (const { from, to, heading, insidePipe } of walked.legs) {
    if (to < 0 || Math.abs(heading[2]) <= LEVEL) continue
    meet(from, heading[2])
    meet(to, -heading[2])
    // The pipe goes on under a saddle.
    if (insidePipe) meet(to, heading[2])
  }
  const stretches = new Map<number, number[]>()
  walked.nodes.forEach((_, node) => {
    const own = stretchOf(node)
    stretches.set(own, [...(stretches.get(own) ?? []), node])
  })
  const where = (is: (way: { up: boolean; down: boolean }) => boolean): number[][] =>
    [...stretches].flatMap(([own, nodes]) => {
      const way = ways.get(own)
      return way && is(way) ? [nodes] : []
    })
  return { high: where((way) => way.down && !way.up), low: where((way) => way.up && !way.down) }
}

/** Nodes of a line that are one place: an end that came back, and what it came back to. */
export const samePlaces = (walked: Walked): (readonly [number, number])[] =>
  walked.meets.flatMap(({ node, own }) => (own === null ? [] : [[node, own] as const]))
