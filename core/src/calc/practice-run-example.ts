/** What the door answers to its own example: a copper joint of d22 that nobody pressed. */
export const EXAMPLE_RESULT = {
  details: {},
  did: [
    {
      step: 'insert',
      atS: 0,
      how: {
        shortMm: 0.3826865102600104,
        burrPct: 0,
        askewDeg: 0.162731309414443,
        scratchPct: 0,
        lubricant: 'water',
        cut: 'through',
      },
    },
    {
      step: 'press',
      atS: 30,
      how: {
        pressed: 'left',
        cyclePct: 100,
        jaw: 'right',
      },
    },
    {
      step: 'look',
      atS: 60,
      how: {},
    },
  ],
  faults: [
    {
      fault: 'not-pressed',
      step: 'press',
    },
    {
      fault: 'short',
      step: 'insert',
    },
    {
      fault: 'wrong-jaw',
      step: 'press',
    },
    {
      fault: 'no-deburr',
      step: 'insert',
    },
    {
      fault: 'askew',
      step: 'insert',
    },
    {
      fault: 'cycle-broken',
      step: 'press',
    },
    {
      fault: 'wrong-lubricant',
      step: 'insert',
    },
    {
      fault: 'scratched',
      step: 'insert',
    },
    {
      fault: 'snapped',
      step: 'insert',
    },
  ],
  seen: ['indicator-there', 'mark-at-edge'],
  readings: {
    look: {
      indicator: 'there',
      edge: 'at-edge',
    },
  },
  verdict: 'unknown',
  weepsAtBar: 5.890660997068569,
  burstsAtBar: 5.890660997068569,
  triedToBar: 40,
  holdsOf: 0.05046190183995248,
  causes: [
    {
      fault: 'not-pressed',
      weight: 1,
      step: 'press',
      atS: 30,
    },
  ],
  cut: {
    surface: Array.from({ length: 24 }, () => Array.from({ length: 12 }, () => 0.24)) as number[][],
    figures: {
      depthMm: 20.61731348973999,
      heldPct: 24.00000000000001,
      leastPct: 24,
    },
  },
}
