import type { Example } from '../method.js'

/** Joints as they are made, the usual one of a school first. */
export const EXAMPLES: readonly Example[] = [
  { school: 'metric', spec: { material: 'pp-r', size: 'd20' }, reads: { toolC: 260, tiltDeg: 1 } },
  { school: 'metric', spec: { material: 'pp-r', size: 'd32' } },
  { school: 'metric', spec: { material: 'pp-r-layered', size: 'd125' } },
]
