import type { Example } from '../method.js'

/** Joints as they are made, the usual one of a school first. */
export const EXAMPLES: readonly Example[] = [
  {
    school: 'inch',
    spec: { material: 'pfa', size: 'OD 1/2', cold: true, quenched: true },
    reads: { gapMinMm: 2.7, gapMaxMm: 2.7 },
  },
  { school: 'inch', spec: { material: 'pfa', size: 'OD 3/4', grooved: true, quenched: true } },
  { school: 'inch', spec: { material: 'pfa', size: 'OD 1/2', cold: true } },
]
