import type { JobState, Line } from '../../log/state.js'
import { once } from '../../units/memo.js'
import { extremes } from './extremes.js'
import { lineInSpace } from './in-job.js'
import { type PartOfIt, linesAsOne } from './lines-as-one.js'
import type { SpaceNode } from './walked.js'

/** A high or a low point: nodes of one level stretch, and what serves it there. */
export interface Extreme {
  nodes: SpaceNode[]
  levelMm: number
  /** Something there lets air out, or water. */
  served: boolean
}
/** Parts that let air out, and water. A line's own open end does both. */
const LETS_AIR: readonly string[] = ['air vent', 'relief valve', 'tank adapter']
const LETS_WATER: readonly string[] = ['drain', 'hose end', 'tank adapter', 'floor flange']

/** Where air stays for want of a vent, told with the line that the stretch begins in. Source: `cp-vents-and-drains`. */
export const highPoints = (state: JobState, line: Line): readonly Extreme[] =>
  inJob(state).get(line.id)?.high ?? []
/** Where water stays for want of a drain, told the same way. Source: `cp-vents-and-drains`. */
export const lowPoints = (state: JobState, line: Line): readonly Extreme[] =>
  inJob(state).get(line.id)?.low ?? []

interface OfLine {
  high: Extreme[]
  low: Extreme[]
}
/** Lines that are joined are one: air and water go from one to the other. */
const inJob = once((state: JobState): ReadonlyMap<string, OfLine> => {
  const lines = [...state.lines.values()]
  const [main] = lines
  const out = new Map<string, OfLine>()
  if (!main) return out
  const all = linesAsOne(
    state,
    main,
    lines.map((line) => lineInSpace(state, line)),
  )
  // A bare end that has come to something is no open one.
  const shut = new Set(all.meets.flatMap(({ node, own }) => (own === null ? [] : [node])))
  const lineOf = (node: number): Line =>
    (all.each.findLast(({ from, space }) => from <= node && space.nodes.length > 0) as PartOfIt).space.line
  const found = extremes(all)
  for (const kind of ['high', 'low'] as const)
    for (const numbers of found[kind]) {
      const { id } = lineOf(numbers[0] as number)
      const own = out.get(id) ?? { high: [], low: [] }
      const serves = kind === 'high' ? LETS_AIR : LETS_WATER
      const nodes = numbers.map((number) => all.nodes[number] as SpaceNode)
      const served = nodes.some(({ fitting }, at) =>
        fitting ? serves.includes(fitting.fitting ?? '') : !shut.has(numbers[at] as number),
      )
      own[kind].push({ nodes, levelMm: nodes[0]?.atMm[2] ?? 0, served })
      out.set(id, own)
    }
  return out
})
