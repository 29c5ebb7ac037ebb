import { benchOf } from '../../bench/bench.js'
import { fall, nearClock } from '../../bench/shape.js'
import { ROWS, leastPath, meanOf, surface } from '../../bench/surface.js'
import { BOLTED_BAR, benchBolts, byTightness, tightHow, torqueNm } from '../kit/bolt-bench.js'
import type { BoltedSpec } from '../kit/bolted.js'
import type { FaultId, StepId } from '../kit/words.js'
import type { WORDS } from './words.js'

interface Spec extends BoltedSpec {
  rods: 'limit' | 'control' | 'sleeve' | 'integral' | 'none' | null
  extensionMm: number | null
  compressionMm: number | null
  anchored: boolean | null
}
/** Movement that stands where nobody gave one, mm: for the reading only. */
const SOME_MM = 10
const allowed = (spec: Spec, mm: number | null): number => (spec.anchored === false ? 0 : (mm ?? SOME_MM))

export const bench = benchOf<Spec, StepId<typeof WORDS>, FaultId<typeof WORDS>>()({
  details: ({ size }) => ({ ...benchBolts(size), rods: 'limit', extensionMm: SOME_MM }),
  hows: (spec) => ({
    beside: { step: 'place', usual: 'room', options: ['room', 'disc'] },
    pastMm: { step: 'studs', usual: 5, spread: 0.5, min: 0, max: 200, unit: 'mm' },
    tightPct: tightHow('star'),
    looseMm: {
      step: 'rods',
      usual: 0.2,
      spread: 0.05,
      min: 0,
      max: 200,
      undone: 60,
      unit: 'mm',
      off: spec.rods === 'none',
    },
  }),
  faults: {
    'over-torque': { step: 'star', to: { tightPct: 220 } },
    'too-loose': { step: 'star', to: { tightPct: 15 } },
    'long-studs': { step: 'studs', to: { pastMm: 45 } },
    'beside-valve': { step: 'place', to: { beside: 'disc' } },
    'rods-loose': { step: 'rods', to: { looseMm: 40 } },
  },
  play: (spec, how, { chance }) => {
    const cut = chance.even('cut') * 12
    const cells = surface((row) => {
      const studded = 1 - (1 - fall(how.pastMm, 8, 40, 0.2)) * Math.max(0.3, nearClock(row, ROWS, cut, 1.2))
      const disc = how.beside === 'disc' ? 1 - 0.75 * Math.max(0.3, nearClock(row, ROWS, 3, 1.5)) : 1
      return studded * disc * byTightness(how.tightPct)
    })
    // Loose rods: it stretches until they bite, or it tears.
    const stretched = fall(how.looseMm, 2, 40, 0.15)
    const bulged = how.tightPct > 150
    return {
      weepsBar: BOLTED_BAR * leastPath(cells) * stretched,
      burstsBar: BOLTED_BAR * 1.3 * meanOf(cells) * stretched,
      readings: {
        star: { torqueNm: torqueNm(spec, how.tightPct) },
        rods: {
          outerMm: allowed(spec, spec.extensionMm) + how.looseMm,
          innerMm: allowed(spec, spec.compressionMm) + how.looseMm / 2,
        },
      },
      seen: [
        bulged ? 'rubber-bulges' : 'rubber-even',
        ...(how.pastMm > 15 ? (['studs-long'] as const) : []),
        ...(how.beside === 'disc' ? (['disc-near'] as const) : []),
      ],
      cut: {
        surface: cells,
        figures: { heldPct: 100 * meanOf(cells), pastMm: how.pastMm, looseMm: how.looseMm },
      },
    }
  },
  words: {
    hows: {
      beside: { says: 'Beside it', options: { room: 'room for the arch', disc: 'a disc that swings in' } },
      pastMm: 'Studs past the nut',
      tightPct: 'Torque, of what it asks for',
      looseMm: 'Rods looser than they may be by',
    },
    seen: {
      'rubber-even': 'Rubber edge even',
      'rubber-bulges': 'Rubber bulges at the bolts',
      'studs-long': 'Studs stand towards the arch',
      'disc-near': 'Disc swings into the arch',
    },
    surface: 'rubber whole and sealed',
  },
})
