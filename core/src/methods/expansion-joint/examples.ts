import type { Example } from '../method.js'

/** Joints as they are made, the usual one of a school first. */
export const EXAMPLES: readonly Example[] = [
  {
    school: 'inch',
    spec: { material: 'carbon-steel', size: 'NPS 6', dryTorqueNm: 80, rods: 'limit', extensionMm: 10 },
    reads: { torqueNm: 80, outerMm: 10 },
  },
  {
    school: 'inch',
    spec: {
      material: 'carbon-steel',
      size: 'NPS 8',
      bolts: 8,
      dryTorqueNm: 90,
      rods: 'control',
      extensionMm: 12,
      compressionMm: 20,
    },
  },
  { school: 'metric', spec: { material: 'pvc-u', size: 'd160', rods: 'none', anchored: false } },
]
