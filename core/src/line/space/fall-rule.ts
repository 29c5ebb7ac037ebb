import type { Carries, Item } from '../../log/state.js'
import { outsideDiameterMm, parseSize } from '../../sizes/size.js'
import type { SourceId } from '../../sources/source.js'
import { tableOf } from '../../sources/table.js'
import { rootOf } from '../../parts/neighbours.js'
import CONDENSATE from '../laying/tables/condensate-falls.json' with { type: 'json' }
import DRAIN from '../laying/tables/drain-falls.json' with { type: 'json' }
import type { LineInSpace } from './in-job.js'

const RULES = {
  drain: tableOf(DRAIN, 'ipc-704-1'),
  condensate: tableOf(CONDENSATE, 'cp-condensate-fall'),
} as const

/**
 * Least fall of horizontal pipe of a size, as a share; null where the size is not read. Sources: `ipc-704-1`,
 * `cp-condensate-fall`.
 * @example leastFall('drain', 'NPS 2')?.share // 0.0208333
 */
export function leastFall(carries: Carries, size: string): { share: number; source: SourceId } | null {
  const read = parseSize(size)
  const odMm = read && outsideDiameterMm(read)
  const { rows, source } = RULES[carries]
  const row = odMm ? rows.find((one) => one.to === null || odMm <= one.to) : undefined
  return row ? { share: row.least, source } : null
}

/** A pipe that does not fall as what it carries asks for. */
export interface FallFault {
  item: Item
  /** It falls, but too little; it lies level; it falls away from the drain. */
  how: 'too-little' | 'level' | 'wrong-way'
  /** Its own fall and the least, as shares. */
  share: number
  least: number
  source: SourceId
}
/** Steeper than this is no horizontal pipe: it drains by itself. */
const STEEP = 0.7
/** Of figures that are worked out. */
const ROUNDING = 1e-6

/**
 * Pipes of a line that do not fall as they should. A main run drains the way it was said to flow, else towards its lower end;
 * a branch into the run it comes out of.
 */
export function fallFaults(space: LineInSpace): FallFault[] {
  const carries = space.line.stands?.carries
  if (!carries) return []
  const towards = new Map<string | null, 1 | -1>()
  const runOf = (item: Item): string | null => item.run ?? null
  const ends = new Map<string | null, { first: number; last: number }>()
  for (const leg of space.legs) {
    if (!leg.item) continue
    const run = runOf(leg.item)
    ends.set(run, { first: ends.get(run)?.first ?? leg.from, last: leg.to })
  }
  const levelOf = (node: number): number => space.nodes[node]?.atMm[2] ?? 0
  for (const [run, { first, last }] of ends) {
    const branch = run !== null && space.line.items.some((item) => item.id === rootOf(run))
    const said = run === null ? space.line.stands?.flows : undefined
    if (said) {
      towards.set(run, said === 'on' ? 1 : -1)
      continue
    }
    // Into the run that it comes out of: against the way one goes.
    towards.set(run, branch || levelOf(last) > levelOf(first) ? -1 : 1)
  }
  return space.legs.flatMap(({ item, heading }): FallFault[] => {
    const rule = item && leastFall(carries, item.size)
    if (!item || !rule || Math.abs(heading[2]) > STEEP) return []
    const share = -heading[2] * (towards.get(runOf(item)) ?? 1)
    if (share >= rule.share - ROUNDING) return []
    const how = Math.abs(share) < ROUNDING ? 'level' : share < 0 ? 'wrong-way' : 'too-little'
    return [{ item, how, share, least: rule.share, source: rule.source }]
  })
}

/** Which way a main run falls: 1 as the line was set out, -1 back, 0 neither. */
export function fallsOn(space: LineInSpace): 1 | -1 | 0 {
  const own = space.legs.filter(({ item }) => item && item.run === undefined)
  const level = (node: number | undefined): number => space.nodes[node ?? -1]?.atMm[2] ?? 0
  const drop = level(own[0]?.from) - level(own.at(-1)?.to)
  return Math.abs(drop) < ROUNDING ? 0 : drop > 0 ? 1 : -1
}
