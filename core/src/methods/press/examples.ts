import type { Example } from '../method.js'

/** Joints as they are made, the usual one of a school first. */
export const EXAMPLES: readonly Example[] = [
  { school: 'metric', spec: { material: 'copper', size: 'd22' } },
  { school: 'inch', spec: { material: 'carbon-steel', size: 'NPS 1' } },
  { school: 'inch', spec: { material: 'carbon-steel', size: 'NPS 3' } },
  { school: 'metric', spec: { material: 'multilayer', size: 'd40' } },
  { school: 'metric', spec: { material: 'stainless', size: 'd108', socketDepthMm: 77 } },
]
