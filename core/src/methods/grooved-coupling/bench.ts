import { benchOf } from '../../bench/bench.js'
import { fall, nearClock, tilted } from '../../bench/shape.js'
import { ROWS, leastPath, meanOf, surface } from '../../bench/surface.js'
import { BOLTED_BAR, byTightness, slickHow, tightHow } from '../kit/bolt-bench.js'
import { type BaseSpec, odOf, sizeOf } from '../kit/spec.js'
import type { FaultId, StepId } from '../kit/words.js'
import { grooveOf } from './rules.js'
import type { WORDS } from './words.js'

interface Spec extends BaseSpec {
  kind: 'rigid' | 'flexible' | null
  torqueNm: number | null
  leaveMm: number | null
}
/** Middle of what a groove may measure, mm. */
function middle(spec: Spec): number {
  const groove = grooveOf(sizeOf(spec))
  return groove ? (groove.mostMm + groove.leastMm) / 2 : odOf(spec) * 0.97
}
const depthMm = (spec: Spec): number => (odOf(spec) - middle(spec)) / 2

export const bench = benchOf<Spec, StepId<typeof WORDS>, FaultId<typeof WORDS>>()({
  details: () => ({ kind: 'rigid' }),
  hows: (spec) => ({
    shallowMm: {
      step: 'groove',
      usual: 0,
      spread: 0.03,
      min: -5,
      max: 10,
      undone: depthMm(spec) * 2,
      unit: 'mm',
    },
    slickPct: slickHow('gasket'),
    keys: { step: 'housing', usual: 'in', options: ['in', 'out'] },
    firstPct: { step: 'tighten', usual: 0, min: 0, max: 100, unit: 'pct' },
    tightPct: tightHow('tighten'),
  }),
  faults: {
    'shallow-groove': { step: 'groove', to: { shallowMm: 3.5 } },
    'dry-gasket': { step: 'gasket', to: { slickPct: 0 } },
    'key-out': { step: 'housing', to: { keys: 'out' } },
    'one-side': { step: 'tighten', to: { firstPct: 100 } },
    'pads-apart': { step: 'tighten', to: { tightPct: 15 } },
  },
  play: (spec, how, { chance }) => {
    const pinch = chance.even('pinch') * 12
    const dry = 1 - how.slickPct / 100
    const held = fall(how.shallowMm / (2 * depthMm(spec)), 0.05, 1, 0.1) * (how.keys === 'out' ? 0.2 : 1)
    const cells = surface((row) => {
      const pinched = 1 - 0.7 * dry * Math.max(0.3, nearClock(row, ROWS, pinch, 2))
      const nipped = 1 - 0.7 * (how.firstPct / 100) * tilted(row, ROWS, 9)
      return pinched * nipped * byTightness(how.tightPct) * (0.3 + 0.7 * held)
    })
    const apart = how.tightPct < 60
    const uneven = how.firstPct > 40 || dry > 0.7
    return {
      weepsBar: BOLTED_BAR * Math.min(held, leastPath(cells)),
      burstsBar: BOLTED_BAR * 1.5 * held * Math.max(0.2, byTightness(how.tightPct)),
      readings: {
        groove: { grooveMm: middle(spec) + how.shallowMm },
        ends: { endGapMm: Math.min(0.6, (spec.leaveMm ?? 0) + 0.4) },
        tighten: spec.torqueNm === null ? {} : { torqueNm: (spec.torqueNm * how.tightPct) / 100 },
        look: { pads: uneven ? 'uneven' : apart ? 'apart' : 'met', keys: how.keys, deflectionDeg: 0.2 },
      },
      seen: [
        uneven ? 'pads-uneven' : apart ? 'pads-apart' : 'pads-met',
        ...(how.keys === 'out' ? (['key-rides'] as const) : []),
        ...(dry > 0.8 ? (['rubber-out'] as const) : []),
      ],
      cut: {
        surface: cells,
        figures: { heldPct: 100 * meanOf(cells), grooveMm: depthMm(spec) - how.shallowMm / 2 },
      },
    }
  },
  words: {
    hows: {
      shallowMm: 'Groove too shallow by',
      slickPct: 'Gasket lubricated',
      keys: { says: 'Keys', options: { in: 'in both grooves', out: 'one beside its groove' } },
      firstPct: 'One side drawn up first',
      tightPct: 'Tightened, of what it takes',
    },
    seen: {
      'pads-met': 'Pads metal to metal',
      'pads-apart': 'Pads apart',
      'pads-uneven': 'Pads uneven',
      'key-rides': 'Housing rides up on one pipe',
      'rubber-out': 'Rubber shows between the pads',
    },
    surface: 'gasket sealed',
  },
})
