import type { Example } from '../method.js'

/** Joints as they are made, the usual one of a school first. */
export const EXAMPLES: readonly Example[] = [
  {
    school: 'metric',
    spec: { material: 'stainless', size: 'DN 40', gasket: 'EPDM', tighten: 'torque', torqueNm: 4 },
    reads: { gapMinMm: 0.9, gapMaxMm: 0.9, torqueNm: 4, intrusionMm: 0.1 },
  },
  {
    school: 'inch',
    spec: { material: 'stainless', size: 'BPE 2', gasket: 'EPDM', tighten: 'torque', torqueNm: 4 },
    reads: { gapMinMm: 0.9, gapMaxMm: 0.9, torqueNm: 4, intrusionMm: 0.1 },
  },
  { school: 'inch', spec: { material: 'stainless', size: 'BPE 1-1/2', gasket: 'PTFE', tighten: 'hand' } },
  {
    school: 'metric',
    spec: { material: 'stainless', size: 'DN 40', gasket: 'NBR', steam: true, torqueNm: 4 },
  },
]
