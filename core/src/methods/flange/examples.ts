import type { Example } from '../method.js'

/** Joints as they are made, the usual one of a school first. */
export const EXAMPLES: readonly Example[] = [
  {
    school: 'metric',
    spec: { material: 'pvc-u', size: 'd110', bolts: 8, dryTorqueNm: 30 },
    reads: { torqueNm: 30 },
  },
  {
    school: 'inch',
    spec: { material: 'carbon-steel', size: 'NPS 4', bolts: 8, dryTorqueNm: 90 },
    reads: { torqueNm: 90 },
  },
  { school: 'inch', spec: { material: 'stainless', size: 'NPS 6', bolts: 8, dryTorqueNm: 120 } },
  { school: 'metric', spec: { material: 'pvc-u', size: 'd110' } },
]
