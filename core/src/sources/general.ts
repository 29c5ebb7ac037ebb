import { computed, practice, published } from './records.js'
import type { Source } from './records.js'

/** Sources that every method shares. */
export const GENERAL_SOURCES = [
  published('iso-161', 'ISO 161-1, nominal outside diameters of thermoplastics pipes, metric series', '2018'),
  published(
    'astm-d1785',
    'ASTM D1785, outside diameters of PVC pipe Sch 40, 80, 120 (as ASME B36.10M)',
    'recent',
  ),
  published(
    'astm-d2846',
    'ASTM D2846, CPVC tube and fittings, copper tube sizes: diameters, walls, socket lengths; 400 psi at 73 °F',
    'recent',
  ),
  published('magnus', 'Magnus formula over water, coefficients 17.62 and 243.12 °C (WMO No. 8)', '2008'),
  practice('cp-crew', 'Two people coat at once: metric above d75 ABS and d90 PVC-U; inch from about 6 in'),
  practice(
    'ours-reading-gap',
    'Readings more than 2 h apart: the slower of both ends for planning, unknown for sign-off',
    'Our rule.',
  ),
  published(
    'gs1-general',
    'GS1 General Specifications: application identifiers of batch, days and serial numbers in codes; years within 50 of now',
    'recent',
  ),
  practice('cp-cut-length', 'Measure less take-offs, plus insertions, less gaps'),
  practice('cp-gates', 'What must be true before pressure is put on a section'),
  practice(
    'cp-no-gas-on-plastic',
    'No air or gas test on PVC, CPVC or ABS: brittle, it bursts into splinters',
  ),
  computed('ladder', 'Least pressure over all joints at each time, by the cure rule of each', []),
  computed(
    'practice-model',
    'Practice: what becomes of a joint made so, by a model of each process',
    [],
    'For learning, never for deciding: constants and what is left out stand in docs/practice.md.',
  ),
  computed('given', 'As given in the request', []),
  {
    id: 'measured',
    kind: 'measured',
    reference: 'Measured on the fitting in hand',
    verified: false,
    note: 'The socket in the hand wins over the published minimum.',
  },
] as const satisfies readonly Source[]
