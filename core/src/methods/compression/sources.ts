import { practice } from '../../sources/records.js'
import type { Source } from '../../sources/records.js'

/** Where its figures and steps come from. */
export const SOURCES = [
  practice('cp-compression-steps', 'Compression joints, step by step, as the trade does it'),
  practice(
    'cp-compression-turns',
    'Twin ferrule 1-1/4 turns; 3/4 to 3/16 in and 4 mm; remake about 1/4; over 1 in and 25 mm pre-set',
  ),
  practice(
    'cp-service-turns',
    'Service-line nuts: packed 1 to 1-1/2, grip 1-1/2 to 2-1/2 past first compression; stop nut to its stop',
  ),
  practice('cp-service-gap', 'Grip and stop nut: tube 1/8 in off the bottom'),
] as const satisfies readonly Source[]
declare module '../../sources/source.js' {
  interface SourceBook {
    compression: typeof SOURCES
  }
}
