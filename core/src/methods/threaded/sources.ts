import { computed, practice, published } from '../../sources/records.js'
import type { Source } from '../../sources/records.js'

/** Where its figures and steps come from. */
export const SOURCES = [
  practice('cp-thread-steps', 'Threaded joints, step by step, as the trade does it'),
  published(
    'asme-b1-20-1',
    'ASME B1.20.1, taper pipe thread NPT: threads in an inch, engagement by hand (L1), make-up by wrench (L3)',
    '2013',
    'From memory: check the standard before you rely on it.',
  ),
  published(
    'iso-7-1',
    'ISO 7-1, pipe threads that seal on the thread: gauge length, turns by wrench',
    '1994',
    'From memory: check the standard before you rely on it.',
  ),
  practice(
    'cp-thread-engagement',
    'Engagement of inch taper thread when it is tight, by size, as handbooks have it',
    'Common practice, from memory. The fitting in the hand rules: measure one that is made up.',
  ),
  computed(
    'thread-engagement',
    'Engagement = gauge length + turns by wrench × pitch',
    ['iso-7-1'],
    'The male thread at its gauge plane.',
  ),
  practice(
    'cp-thread-turns',
    'Metal, past hand tight: 1-1/2 to 3 turns to 1 in, 1-1/2 to 2-1/2 to 2 in, 2 to 2-1/2 above',
  ),
  practice('cp-thread-plastic', 'Plastic: finger tight plus 1 to 2 turns, by strap wrench'),
  practice(
    'cp-thread-showing',
    'Metal: 2 to 3 threads stay in sight; none is too far, more than four is short',
  ),
  practice(
    'cp-threads-materials',
    'Male plastic into female metal, never the other way round; sealant that suits both materials; unlike metals kept apart',
  ),
] as const satisfies readonly Source[]
declare module '../../sources/source.js' {
  interface SourceBook {
    threaded: typeof SOURCES
  }
}
