import { computed, practice, published } from '../../sources/records.js'
import type { Source } from '../../sources/records.js'

/** Where its figures and steps come from. */
export const SOURCES = [
  practice('cp-grooved-steps', 'Grooved couplings, step by step, as the trade does it'),
  published(
    'awwa-c606',
    'ANSI/AWWA C606, standard roll groove for pipe of iron-pipe sizes: gasket seat, width, diameter and its tolerance, least wall',
    '2015',
    'From memory, widths below 2 in and least walls less sure: check the standard before you rely on it.',
  ),
  practice(
    'cp-grooved-gap',
    'Ends of roll-grooved pipe stand 0 to 1/16 in apart to 3-1/2 in, 0 to 1/8 in from 4 in',
    'Common practice, no published source. The coupling\u2019s own sheet rules.',
  ),
  computed(
    'grooved-deflection',
    'Angle a flexible coupling may take = atan(largest gap / outside diameter)',
    ['cp-grooved-gap'],
    'Geometry: one side of the gap closed, the other open.',
  ),
  practice(
    'cp-grooved-lubricant',
    'Gaskets are lubricated thinly all over; no mineral oil or grease on EPDM',
  ),
] as const satisfies readonly Source[]
declare module '../../sources/source.js' {
  interface SourceBook {
    'grooved-coupling': typeof SOURCES
  }
}
