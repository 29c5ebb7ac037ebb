import { practice } from '../../sources/records.js'
import type { Source } from '../../sources/records.js'

/** Where its figures and steps come from. */
export const SOURCES = [
  practice('cp-flare', 'Flared fluoropolymer tube, step by step, as the trade does it'),
  practice('cp-flare-gap', 'Gap between tube end and body 0.080 to 0.150 in all round'),
  practice('cp-flare-heat', 'Heat about 15 s for 1/4 in and 25 s for 3/4 in'),
  practice('cp-flare-hold', 'On the mandrel 20 s then quenched, or 2 min'),
  practice('cp-flare-torque', 'Least torque 14 in-lbf for 3/4 in'),
] as const satisfies readonly Source[]
declare module '../../sources/source.js' {
  interface SourceBook {
    flare: typeof SOURCES
  }
}
