import { benchOf } from '../../bench/bench.js'
import { fall, nearClock, tilted } from '../../bench/shape.js'
import { ROWS, leastPath, meanOf, surface } from '../../bench/surface.js'
import { BOLTED_BAR, benchBolts, byTightness, slickHow, tightHow, torqueNm } from '../kit/bolt-bench.js'
import type { BoltedSpec } from '../kit/bolted.js'
import type { FaultId, StepId } from '../kit/words.js'
import type { WORDS } from './words.js'

export const bench = benchOf<BoltedSpec, StepId<typeof WORDS>, FaultId<typeof WORDS>>()({
  details: ({ size }) => ({ ...benchBolts(size), bolts: 4 }),
  hows: () => ({
    gapMm: { step: 'gasket', usual: 1, spread: 0.3, min: 0, max: 100, unit: 'mm' },
    slickPct: slickHow('gasket'),
    unevenPct: { step: 'bolts', usual: 2, spread: 0.5, min: 0, max: 100, unit: 'pct' },
    tightPct: tightHow('bolts'),
    turnedDeg: { step: 'look', usual: 0, min: 0, max: 180, unit: 'deg' },
  }),
  faults: {
    gap: { step: 'gasket', to: { gapMm: 14 } },
    'dry-gasket': { step: 'gasket', to: { slickPct: 0 } },
    uneven: { step: 'bolts', to: { unevenPct: 100 } },
    'over-stretched': { step: 'bolts', to: { tightPct: 200 } },
    'too-loose': { step: 'bolts', to: { tightPct: 15 } },
    rotated: { step: 'look', to: { turnedDeg: 15 } },
  },
  play: (spec, how, { chance }) => {
    const pinch = chance.even('pinch') * 12
    const dry = 1 - how.slickPct / 100
    const cells = surface((row) => {
      const pinched = 1 - 0.75 * dry * Math.max(0.3, nearClock(row, ROWS, pinch, 2))
      const open = 1 - 0.7 * (how.unevenPct / 100) * tilted(row, ROWS, 3)
      const rolled =
        1 - (1 - fall(how.turnedDeg, 0, 15, 0.25)) * Math.max(0.5, nearClock(row, ROWS, pinch, 3))
      return pinched * open * rolled * fall(how.gapMm, 2, 14, 0.15) * byTightness(how.tightPct)
    })
    const apart = how.gapMm > 6 || dry > 0.6 || how.unevenPct > 50 || how.tightPct < 50
    return {
      weepsBar: BOLTED_BAR * leastPath(cells),
      burstsBar: BOLTED_BAR * 1.4 * meanOf(cells),
      readings: {
        bolts: { torqueNm: torqueNm(spec, how.tightPct) },
        look: { faces: apart ? 'apart' : 'together' },
      },
      seen: [
        apart ? 'faces-apart' : 'faces-together',
        ...(how.turnedDeg > 8 ? (['turned'] as const) : []),
        ...(dry > 0.8 ? (['rubber-out'] as const) : []),
      ],
      cut: { surface: cells, figures: { heldPct: 100 * meanOf(cells), gapMm: how.gapMm } },
    }
  },
  words: {
    hows: {
      gapMm: 'Gap between the ends',
      slickPct: 'Gasket lubricated',
      unevenPct: 'One side drawn up before the other',
      tightPct: 'Torque, of what it asks for',
      turnedDeg: 'Turned under load by',
    },
    seen: {
      'faces-together': 'Faces together on both sides',
      'faces-apart': 'Faces apart',
      turned: 'Halves stand turned on the pipe',
      'rubber-out': 'Rubber shows between the faces',
    },
    surface: 'gasket sealed',
  },
})
