import { jointPlaces } from '../../joint/lookup.js'
import { lineInSpace } from '../../line/space/in-job.js'
import type { SpaceNode } from '../../line/space/walked.js'
import type { JobState, Section } from '../../log/state.js'
import { greatest, smallest } from '../../units/extent.js'
import { planOf } from './section-plan.js'

/** Where a height comes from: somebody said it, or the line lies there. */
export type HeightFrom = 'said' | 'line'
/** Heights that a test reckons with, m. */
export interface Heights {
  gaugeM: number | null
  lowM: number | null
  highM: number | null
  from: Readonly<Partial<Record<'gauge' | 'low' | 'high', HeightFrom>>>
}
/** Parts that a gauge is on. */
const GAUGES: readonly string[] = ['gauge', 'gauge tee']
const METRE_MM = 1000

/**
 * Heights of a section and of its gauge: as somebody said them, else where its lines lie, if all of it has a place. The
 * gauge is that of the one gauge, or gauge tee, that stands in the section.
 */
export function heightsOf(state: JobState, section: Section): Heights {
  const { gaugeM, lowM, highM } = planOf(section)
  if (gaugeM !== null && lowM !== null && highM !== null)
    return { gaugeM, lowM, highM, from: { gauge: 'said', low: 'said', high: 'said' } }
  const nodes = nodesOf(state, section)
  const levels = nodes?.map((node) => node.atMm[2] / METRE_MM) ?? []
  const gauges = nodes?.filter(({ fitting }) => GAUGES.includes(fitting?.fitting ?? '')) ?? []
  const found = {
    gauge: pick(gaugeM, gauges.length === 1 ? (gauges[0] as SpaceNode).atMm[2] / METRE_MM : null),
    low: pick(lowM, levels.length ? smallest(levels) : null),
    high: pick(highM, levels.length ? greatest(levels) : null),
  }
  const from = Object.fromEntries(
    Object.entries(found).flatMap(([name, one]) => (one.from ? [[name, one.from]] : [])),
  )
  return { gaugeM: found.gauge.m, lowM: found.low.m, highM: found.high.m, from }
}
const pick = (said: number | null, line: number | null): { m: number | null; from: HeightFrom | null } =>
  said !== null ? { m: said, from: 'said' } : { m: line, from: line === null ? null : 'line' }

/** Both ends of all that its joints hold; null where one of them has no known place. */
function nodesOf(state: JobState, section: Section): SpaceNode[] | null {
  const places = jointPlaces(state)
  const out = new Map<string, SpaceNode>()
  for (const id of section.jointIds) {
    const place = places.get(id)
    if (!place) continue
    const { part, met } = place
    for (const [line, item] of [
      [place.line, part] as const,
      ...(met ? [[met.line, met.fitting] as const] : []),
    ]) {
      const space = lineInSpace(state, line)
      const node = space.nodes[space.nodeOf.get(item.id) ?? -1]
      if (!node?.known) return null
      out.set(`${line.id} ${node.tag}`, node)
    }
  }
  return out.size ? [...out.values()] : null
}
