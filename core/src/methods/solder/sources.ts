import { computed, practice } from '../../sources/records.js'
import type { Source } from '../../sources/records.js'

/** Where its figures and steps come from. */
export const SOURCES = [
  practice(
    'cp-solder-steps',
    'Soldering, step by step, as the trade does it (flux as ASTM B813, procedure as ASTM B828)',
  ),
  practice('cp-solder-wire', 'Wire of 1/8 in as long as the joint is wide, to about 1 in'),
  computed(
    'ours-solder-wire',
    'Above 1 in: volume of the joint, gap 0.1 mm, as wire of 1/8 in',
    ['asme-b16-22', 'cp-solder-wire'],
    'Ours: gives about 3 in at 2 and 9 in at 4.',
  ),
  practice('cp-solder-cool', 'Cools by itself 10 to 20 min; no quench'),
  practice('cp-solder-peel', 'Peeled joint: 70 % covered and no void above 30 % of the depth'),
] as const satisfies readonly Source[]
declare module '../../sources/source.js' {
  interface SourceBook {
    solder: typeof SOURCES
  }
}
