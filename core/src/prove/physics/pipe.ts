import { layingOf } from '../../cut/laying/tables.js'

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
interface Stretch {
  modulusGpa: number
  off: number
  growthOff: number
  poisson: number
  creep: number
  conducts: number
  holds: number
}
/** Source: `cp-pipe-stretch`. Growth comes from `cp-expansion`, which Set out uses too. */
const plastic = (modulusGpa: number, creep: number, off = 0.12): Stretch => ({
  modulusGpa,
  off,
  growthOff: 0.1,
  poisson: 0.38,
  creep,
  conducts: 0.18,
  holds: 1.5e6,
})
const metal = (modulusGpa: number, poisson: number, conducts: number): Stretch => ({
  modulusGpa,
  off: 0.05,
  growthOff: 0.04,
  poisson,
  creep: 0,
  conducts,
  holds: 3.7e6,
})
const resin: Stretch = { ...plastic(11, 0.02, 0.25), growthOff: 0.2 }
const STRETCH: Readonly<Record<string, Stretch>> = {
  'pvc-u': plastic(3, 0.04),
  pvc: { ...plastic(2.9, 0.04), growthOff: 0.18 },
  cpvc: plastic(2.7, 0.04),
  abs: plastic(2.1, 0.05),
  'pp-r': plastic(0.85, 0.1, 0.15),
  'pp-r-layered': { ...plastic(1.5, 0.08, 0.3), growthOff: 0.25 },
  pe: plastic(0.9, 0.12, 0.2),
  pex: plastic(0.7, 0.1, 0.2),
  pfa: plastic(0.5, 0.12, 0.3),
  multilayer: { ...plastic(8, 0.02, 0.4), growthOff: 0.2 },
  copper: metal(120, 0.34, 380),
  'carbon-steel': metal(205, 0.3, 50),
  stainless: metal(195, 0.3, 15),
  'epoxy-resin': resin,
  'vinyl-ester-resin': resin,
  'cored-resin': resin,
}
const BAR_PER_GPA = 10_000

/** What is known of a pipe material for a pressure test; null = nothing. Sources: `cp-pipe-stretch`, `cp-expansion`. */
export function stuffOf(material: string): PipeStuff | null {
  const s = STRETCH[material]
  const { growth } = layingOf(material)
  if (!s || growth === null) return null
  return {
    growthPerK: growth / 1000,
    growthOff: s.growthOff,
    modulusBar: s.modulusGpa * BAR_PER_GPA,
    modulusOff: s.off,
    poisson: s.poisson,
    creepPerDecade: s.creep,
    conducts: s.conducts,
    holds: s.holds,
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
