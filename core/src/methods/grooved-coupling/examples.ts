import type { Example } from '../method.js'

/** Joints as they are made, the usual one of a school first. */
export const EXAMPLES: readonly Example[] = [
  {
    school: 'inch',
    spec: { material: 'carbon-steel', size: 'NPS 4', kind: 'flexible' },
    reads: { grooveMm: 110, endGapMm: 1.6, deflectionDeg: 0.5 },
  },
  {
    school: 'metric',
    spec: { material: 'carbon-steel', size: 'NPS 6', kind: 'rigid', torqueNm: 90 },
    reads: { grooveMm: 163.7, endGapMm: 1, torqueNm: 90 },
  },
  { school: 'inch', spec: { material: 'carbon-steel', size: 'NPS 12' } },
]
