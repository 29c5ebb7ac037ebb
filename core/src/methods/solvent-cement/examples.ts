import type { Example } from '../method.js'

/** Joints as they are made, the usual one of a school first. */
export const EXAMPLES: readonly Example[] = [
  {
    school: 'metric',
    spec: { material: 'pvc-u', size: 'd63', checkOffsetMm: 50, pressureService: true },
    reads: { checkMm: 50 },
  },
  {
    school: 'inch',
    spec: { material: 'pvc', size: 'NPS 2', schedule: '80', checkOffsetMm: 50.8, pressureService: true },
    reads: { checkMm: 50.8 },
  },
  { school: 'metric', spec: { material: 'pvc-u', size: 'd110', checkOffsetMm: 50, pressureService: true } },
  { school: 'metric', spec: { material: 'abs', size: 'd20', checkOffsetMm: 50, pressureService: true } },
  { school: 'inch', spec: { material: 'cpvc', size: 'CTS 3/4', checkOffsetMm: 50.8, pressureService: true } },
  { school: 'inch', spec: { material: 'abs', size: 'NPS 3', checkOffsetMm: 50.8, pressureService: false } },
]
