import { benchOf } from '../../bench/bench.js'
import { fall, tilted } from '../../bench/shape.js'
import { ROWS, leastPath, meanOf, surface } from '../../bench/surface.js'
import { smallest } from '../../units/extent.js'
import {
  BOLTED_BAR,
  benchBolts,
  byTightness,
  drawnUp,
  pressByRow,
  tightHow,
  torqueNm,
} from '../kit/bolt-bench.js'
import type { BoltedSpec } from '../kit/bolted.js'
import type { FaultId, StepId } from '../kit/words.js'
import type { WORDS } from './words.js'

export const bench = benchOf<BoltedSpec, StepId<typeof WORDS>, FaultId<typeof WORDS>>()({
  details: ({ size }) => benchBolts(size),
  hows: () => ({
    pulledMm: { step: 'align', usual: 0.3, spread: 0.1, min: 0, max: 100, unit: 'mm' },
    oldPct: { step: 'gasket', usual: 0, min: 0, max: 100, undone: 100, unit: 'pct' },
    firstPct: { step: 'star', usual: 0, min: 0, max: 100, unit: 'pct' },
    rounds: { step: 'star', usual: 2, min: 0, max: 10, unit: 'count' },
    tightPct: tightHow('star'),
  }),
  faults: {
    'one-side': { step: 'star', to: { firstPct: 100 } },
    'no-last-round': { step: 'star', to: { rounds: 0 } },
    'pulled-in': { step: 'align', to: { pulledMm: 8 } },
    'old-gasket': { step: 'gasket', to: { oldPct: 100 } },
    'over-stretched': { step: 'star', to: { tightPct: 200 } },
    'too-loose': { step: 'star', to: { tightPct: 15 } },
  },
  play: (spec, how, { chance }) => {
    const loads = drawnUp(spec.bolts ?? 8, how.rounds)
    const press = pressByRow(loads)
    const first = how.firstPct / 100
    const side = chance.even('pulled side') * 12
    const cells = surface((row) => {
      // Drawn up first, that side is crushed for good; the other never gets as tight.
      const crushed = 1 - 0.65 * first * tilted(row, ROWS, 3)
      const strained = 1 - (1 - fall(how.pulledMm, 0.5, 8, 0.3)) * tilted(row, ROWS, side)
      return (
        (press[row] as number) *
        crushed *
        strained *
        fall(how.oldPct, 0, 100, 0.3) *
        byTightness(how.tightPct)
      )
    })
    const uneven = first > 0.35 || how.pulledMm > 2 || smallest(press) < 0.6
    return {
      weepsBar: BOLTED_BAR * leastPath(cells),
      burstsBar: BOLTED_BAR * 1.4 * meanOf(cells),
      readings: {
        star: { torqueNm: torqueNm(spec, how.tightPct) },
        look: { faces: uneven ? 'uneven' : 'even' },
      },
      seen: [
        uneven ? 'gap-uneven' : 'gap-even',
        ...(how.oldPct > 50 ? (['gasket-edge'] as const) : []),
        ...(how.pulledMm > 4 ? (['springs'] as const) : []),
      ],
      cut: {
        surface: cells,
        figures: { heldPct: 100 * meanOf(cells), leastBoltPct: 100 * smallest(loads), bolts: loads.length },
      },
    }
  },
  words: {
    hows: {
      pulledMm: 'Pulled into line by',
      oldPct: 'Gasket used before',
      firstPct: 'One side drawn up first',
      rounds: 'Last passes round',
      tightPct: 'Torque, of what it asks for',
    },
    seen: {
      'gap-even': 'Gap even all round',
      'gap-uneven': 'Gap uneven',
      'gasket-edge': 'Old print at the gasket\u2019s edge',
      springs: 'Pipes under strain',
    },
    surface: 'gasket pressed',
  },
})
