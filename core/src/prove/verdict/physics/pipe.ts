import { layingOf } from '../../../line/laying/tables.js'
import { tableOf } from '../../../sources/table.js'
import STRETCH_FILE from './pipe-stretch.json' with { type: 'json' }

/** How a pipe gives way: figures and how far they may be off (one standard deviation, as a share). */
export interface PipeStuff {
  /** Volume-wise it counts three times, or twice and a bit when held. Per kelvin. */
  growthPerK: number
  growthOff: number
  /** Short-time modulus, bar. */
  modulusBar: number
  modulusOff: number
  poisson: number
  /** Share by which the pipe gives way further in each tenfold of time under pressure; 0 for metal. */
  creepPerDecade: number
  /** Heat conducted, W/(m K). */
  conducts: number
  /** Heat held, J/(m³ K). */
  holds: number
}
/** Growth comes from `cp-expansion`, which Set out uses too. */
const STRETCH = tableOf(STRETCH_FILE, 'cp-pipe-stretch')

/**
 * What is known of a pipe material for a pressure test; null = nothing. Sources: `cp-pipe-stretch`, `cp-expansion`.
 * @example stuffOf('glass') // null
 */
export function stuffOf(material: string): PipeStuff | null {
  const row = STRETCH.at(material)
  const { growth } = layingOf(material)
  if (!row || growth === null) return null
  return {
    growthPerK: growth / 1000,
    growthOff: row.growthOff,
    modulusBar: row.modulus,
    modulusOff: row.modulusOff,
    poisson: row.poisson,
    creepPerDecade: row.creep,
    conducts: row.conducts,
    holds: row.holds,
  }
}

/**
 * Share by which the bore's volume grows for each bar inside (thick ring, elastic), per bar.
 * @param axial `free`: closed ends that may move; `anchored`: held along. Source: Lamé.
 */
export function stretchPerBar(
  stuff: PipeStuff,
  odMm: number,
  wallMm: number,
  axial: 'free' | 'anchored',
): number {
  const k2 = (odMm / (odMm - 2 * wallMm)) ** 2
  const around = (k2 + 1) / (k2 - 1)
  const along = axial === 'free' ? 1 / (k2 - 1) : (2 * stuff.poisson) / (k2 - 1)
  const hoop = around - stuff.poisson * (along - 1)
  const length = axial === 'free' ? along - (2 * stuff.poisson) / (k2 - 1) : 0
  return (2 * hoop + length) / stuff.modulusBar
}
/** Share by which the bore's volume grows for each kelvin. Held along, the pipe grows the more around. */
export const growthPerK = (stuff: PipeStuff, axial: 'free' | 'anchored'): number =>
  axial === 'free' ? 3 * stuff.growthPerK : 2 * (1 + stuff.poisson) * stuff.growthPerK
