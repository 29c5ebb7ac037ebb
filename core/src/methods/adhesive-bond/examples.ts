import type { Example } from '../method.js'

/** Joints as they are made, the usual one of a school first. */
export const EXAMPLES: readonly Example[] = [
  { school: 'inch', spec: { material: 'epoxy-resin', size: 'NPS 4', socketDepthMm: 50 } },
  { school: 'inch', spec: { material: 'vinyl-ester-resin', size: 'NPS 4', socketDepthMm: 50 } },
  { school: 'inch', spec: { material: 'epoxy-resin', size: 'NPS 12' } },
  { school: 'metric', spec: { material: 'cored-resin', size: 'NPS 2' } },
]
