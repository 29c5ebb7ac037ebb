import { computed, practice, published } from './records.js'
import type { Source } from './records.js'

const MAKER = 'Common practice, no published source: usual handbook figures. The maker\u2019s figure wins.'

/** Sources of how pipe lies: supports, growth with warmth, weight. */
export const LAYING_SOURCES = [
  published(
    'ipc-308-5',
    'IPC, table 308.5: hanger spacing, horizontal pipe and risers',
    '2021',
    'From memory: check the code that is in force before you rely on it. Metric sizes are read by outside diameter.',
  ),
  published(
    'b31-3-c8',
    'ASME B31.3, table C-8: modulus of elasticity of nonmetals at 73 °F',
    'recent',
    'From memory, ABS and polypropylene not sure: check the standard before you rely on it.',
  ),
  published(
    'b31-3-c6',
    'ASME B31.3, table C-6: modulus of elasticity of metals at 70 °F',
    'recent',
    'From memory: check the standard before you rely on it.',
  ),
  published(
    'ipc-704-1',
    'IPC, table 704.1: slope of horizontal drainage pipe',
    '2021',
    'From memory: check the code that is in force before you rely on it. Metric sizes are read by outside diameter.',
  ),
  practice('cp-condensate-fall', 'Condensate drains fall at least 1/8 in a foot', MAKER),
  practice('cp-span-warm', 'Closer supports where the wall is warm', MAKER),
  practice('cp-expansion', 'Growth of pipe with temperature', MAKER),
  practice(
    'cp-expansion-arm',
    'Arm that takes up growth: constant of the material times the root of diameter and growth',
    MAKER,
  ),
  practice('cp-density', 'Densities of pipe materials', MAKER),
  computed('wall-weight', 'Weight from diameter, wall and density', ['cp-density']),
  computed(
    'guided-cantilever',
    'Guided cantilever: every corner is kept from turning, and legs across a growth share it by the cube of their lengths',
    ['cp-expansion', 'b31-3-c6', 'b31-3-c8'],
    'The usual handbook way, from memory; extended by us to branches and loops. Friction, the give of hangers and what weakens elbows are left out: an engineer decides where it matters.',
  ),
  computed(
    'sag-span',
    'Span that sags by a five-hundredth when full: several equal spans, half the short-time modulus for years of load',
    ['b31-3-c8', 'cp-density'],
    'Ours. For wall temperatures up to 25 °C.',
  ),
] as const satisfies readonly Source[]
