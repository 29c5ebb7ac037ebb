import type { Example } from '../method.js'

/** Joints as they are made. */
export const EXAMPLES: readonly Example[] = [
  {
    school: 'inch',
    spec: { material: 'carbon-steel', size: 'NPS 3/4' },
    reads: { sealant: 'tape', turns: 2, threadsShowing: 3 },
  },
  {
    school: 'metric',
    spec: { material: 'stainless', size: 'NPS 1/2' },
    reads: { sealant: 'tape-and-paste', turns: 2, threadsShowing: 3 },
  },
  {
    school: 'inch',
    spec: { material: 'pvc', size: 'NPS 1', into: 'brass' },
    reads: { sealant: 'tape', turns: 1.5 },
  },
  { school: 'inch', spec: { material: 'brass', size: 'NPS 2', into: 'carbon-steel' } },
]
