import { computed, practice } from '../../sources/records.js'
import type { Source } from '../../sources/records.js'

/** Where its figures and steps come from. */
export const SOURCES = [
  practice('cp-clamp-steps', 'Sanitary clamps, step by step, as the trade does it'),
  practice('cp-clamp-tilt', 'Misalignment: warn above 2°, fail above 3°'),
  computed(
    'clamp-tilt',
    'Angle = atan(difference / flange diameter); two axes by the root of the sum of squares of the tangents',
    ['measured'],
  ),
  practice(
    'cp-clamp-recheck',
    'Torque of a clamp is looked at again after the first heat cycles: PTFE flows when cold',
  ),
  practice(
    'cp-clamp-season',
    'Clamps on steam: torque looked at again each season, here every three months',
    'Common practice, no published source; the three months are ours. The plant\u2019s rule goes first.',
  ),
  practice('cp-clamp-squeeze', 'A good joint squeezes the gasket about 0.012 in (0.3 mm)'),
] as const satisfies readonly Source[]
declare module '../../sources/source.js' {
  interface SourceBook {
    'sanitary-clamp': typeof SOURCES
  }
}
