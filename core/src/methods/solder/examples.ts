import type { Example } from '../method.js'

/** Joints as they are made, the usual one of a school first. */
export const EXAMPLES: readonly Example[] = [
  { school: 'metric', spec: { material: 'copper', size: 'd15', part: 'ball-valve' } },
  { school: 'inch', spec: { material: 'copper', size: 'CTS 3/4', part: 'union' } },
  { school: 'inch', spec: { material: 'copper', size: 'CTS 3/4', part: 'ball-valve' } },
  { school: 'inch', spec: { material: 'copper', size: 'CTS 4', part: 'union' } },
  { school: 'metric', spec: { material: 'copper', size: 'd6' } },
]
