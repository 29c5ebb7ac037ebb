import type { Example } from '../method.js'

/** Joints as they are made, the usual one of a school first. */
export const EXAMPLES: readonly Example[] = [
  {
    school: 'metric',
    spec: { material: 'stainless', size: 'd12', socketDepthMm: 20 },
    reads: { turns: 1.25 },
  },
  { school: 'inch', spec: { material: 'pe', size: 'CTS 3/4', kind: 'grip-nut' }, reads: { turns: 2 } },
  { school: 'inch', spec: { material: 'stainless', size: 'OD 1/4' } },
  { school: 'metric', spec: { material: 'stainless', size: 'd4', hardAlloy: true, remake: true } },
  { school: 'inch', spec: { material: 'pe', size: 'NPS 1', kind: 'grip-nut' } },
  { school: 'inch', spec: { material: 'pex', size: 'CTS 3/4', kind: 'stop-nut' } },
  { school: 'inch', spec: { material: 'copper', size: 'CTS 2', kind: 'stab' } },
  { school: 'inch', spec: { material: 'copper', size: 'CTS 2', kind: 'packed-nut' } },
]
