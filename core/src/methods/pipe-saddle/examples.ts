import type { Example } from '../method.js'

/** Joints as they are made, the usual one of a school first. */
export const EXAMPLES: readonly Example[] = [
  {
    school: 'inch',
    spec: {
      material: 'pvc',
      size: 'NPS 4',
      bolts: 2,
      dryTorqueNm: 27,
      kDry: null,
      kLubricated: null,
      holeMm: 25.4,
      holeMostMm: 28,
    },
    reads: { holeMm: 25.4, torqueNm: 27 },
  },
  {
    school: 'metric',
    spec: {
      material: 'pvc-u',
      size: 'd110',
      bolts: 2,
      dryTorqueNm: 25,
      kDry: null,
      kLubricated: null,
      holeMm: 30,
      holeMostMm: 32,
    },
    reads: { holeMm: 30, torqueNm: 25 },
  },
  { school: 'inch', spec: { material: 'carbon-steel', size: 'NPS 6' } },
]
