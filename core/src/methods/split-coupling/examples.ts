import type { Example } from '../method.js'

/** Joints as they are made, the usual one of a school first. */
export const EXAMPLES: readonly Example[] = [
  {
    school: 'inch',
    spec: {
      material: 'carbon-steel',
      size: 'NPS 8',
      bolts: 4,
      dryTorqueNm: 200,
      kDry: 0.2,
      kLubricated: 0.15,
    },
    reads: { torqueNm: 150 },
  },
  {
    school: 'inch',
    spec: {
      material: 'carbon-steel',
      size: 'NPS 12',
      bolts: 4,
      dryTorqueNm: 270,
      kDry: 0.2,
      kLubricated: 0.15,
    },
  },
  { school: 'metric', spec: { material: 'pvc-u', size: 'd110' } },
]
