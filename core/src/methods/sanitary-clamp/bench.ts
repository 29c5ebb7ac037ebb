import { flangeOdMm } from '../../sizes/hygienic.js'
import { benchOf } from '../../bench/bench.js'
import { relaxed, ringBar } from '../../bench/gasket.js'
import { fall, tilted } from '../../bench/shape.js'
import { ROWS, leastPath, meanOf, surface } from '../../bench/surface.js'
import { type BaseSpec, odOf, sizeOf } from '../kit/spec.js'
import type { FaultId, StepId } from '../kit/words.js'
import type { WORDS } from './words.js'

interface Spec extends BaseSpec {
  gasket: string | null
  tighten: 'hand' | 'torque' | null
  torqueNm: number | null
  steam: boolean | null
}
/** Squeeze of a gasket that is tight as it should be, mm (common practice, as `cp-clamp-squeeze`), and how thick it is. */
const SQUEEZE_MM = 0.3
const THICK_MM = 2
/** Stress of its rubber at a full squeeze, MPa (ours: a sound clamp then holds about 53 bar). */
const RUBBER_MPA = 35
/** Lips of soft rubber that still touch where the ferrules gape (ours): it does not drip. */
const LIPS = 0.25
/** Share of its squeeze that a gasket loses for each tenfold of hot hours (ours: a third after the first cycles). */
const FLOWS = 0.17
const HOT_HOURS = 100

const flange = (spec: Spec): number => flangeOdMm(sizeOf(spec)).value ?? odOf(spec) * 1.4
const byTorque = (spec: Spec): boolean => spec.steam === true || spec.tighten === 'torque'

export const bench = benchOf<Spec, StepId<typeof WORDS>, FaultId<typeof WORDS>>()({
  details: () => ({ gasket: 'EPDM', tighten: 'hand', torqueNm: 3, steam: true }),
  hows: (spec) => ({
    size: { step: 'parts', usual: 'same', options: ['same', 'other'] },
    oldPct: { step: 'parts', usual: 0, min: 0, max: 100, undone: 100, unit: 'pct' },
    dirtPct: { step: 'parts', usual: 0, min: 0, max: 100, undone: 60, unit: 'pct' },
    tiltDeg: { step: 'gaps', usual: 0.3, spread: 0.1, min: 0, max: 30, unit: 'deg' },
    tightPct: { step: 'torque', usual: 100, spread: 2, min: 0, max: 500, undone: 10, unit: 'pct' },
    again: { step: 'look', usual: 'done', options: ['done', 'left'], off: !spec.steam },
  }),
  faults: {
    'wrong-size': { step: 'parts', to: { size: 'other' } },
    tilted: { step: 'gaps', to: { tiltDeg: 6 } },
    'under-tightened': { step: 'torque', to: { tightPct: 15 } },
    'over-torque': { step: 'torque', to: { tightPct: 260 } },
    'old-gasket': { step: 'parts', to: { oldPct: 100 } },
    residue: { step: 'parts', to: { dirtPct: 100 } },
    'not-rechecked': { step: 'look', to: { again: 'left' } },
  },
  play: (spec, how, { chance }) => {
    const flangeMm = flange(spec)
    const tight = how.tightPct / 100
    const side = chance.even('open side') * 12
    const differMm = Math.tan((how.tiltDeg * Math.PI) / 180) * flangeMm
    const crushed = fall(tight, 1.4, 2.6, 0.6)
    const flown = how.again === 'left' ? relaxed(1, HOT_HOURS, FLOWS) : 1
    const cells = surface((row) => {
      const squeezeMm =
        SQUEEZE_MM * Math.min(1, tight) - (differMm / 2) * (2 * tilted(row, ROWS, side) - 1) * 0.25
      const share = Math.max(LIPS * Math.min(1, tight), Math.min(1, squeezeMm / (SQUEEZE_MM * 0.8)))
      return share * crushed * flown * fall(how.oldPct, 0, 100, 0.35) * fall(how.dirtPct, 0, 100, 0.4)
    })
    const wholeBar = ringBar(SQUEEZE_MM / THICK_MM, RUBBER_MPA)
    const ledge = how.size === 'other' ? 0.6 : 1
    const gapMinMm = Math.max(0, 1.6 - 0.3 * tight - differMm / 2)
    const jaws = tight > 1.7 ? 'touch' : tight < 0.5 ? 'wide-open' : 'apart'
    const intrusionMm =
      0.12 +
      Math.max(0, tight - 1) * 0.55 +
      Math.max(0, how.tiltDeg - 2) * 0.22 -
      Math.max(0, 0.6 - tight) * 0.8
    return {
      weepsBar: wholeBar * leastPath(cells) * ledge,
      burstsBar: wholeBar * meanOf(cells) * 1.5,
      readings: {
        gaps: { gapMinMm, gapMaxMm: gapMinMm + differMm },
        torque: byTorque(spec) ? { torqueNm: (spec.torqueNm ?? 3) * tight } : {},
        look: { jaws, intrusionMm },
      },
      seen: [
        jaws === 'touch' ? 'jaws-touch' : jaws === 'wide-open' ? 'jaws-wide' : 'jaws-apart',
        ...(how.tiltDeg > 2 ? (['gap-uneven'] as const) : []),
        ...(intrusionMm > 0.64 ? (['into-bore'] as const) : []),
        ...(how.size === 'other' ? (['ledge'] as const) : []),
      ],
      cut: { surface: cells, figures: { heldPct: 100 * meanOf(cells), tiltDeg: how.tiltDeg, intrusionMm } },
    }
  },
  words: {
    hows: {
      size: {
        says: 'Tube of the other ferrule',
        options: { same: 'of the same size', other: 'of another size' },
      },
      oldPct: 'Gasket used before',
      dirtPct: 'Residue on the faces',
      tiltDeg: 'Tilt',
      tightPct: 'Tightened, of what it asks for',
      again: { says: 'After the first steam', options: { done: 'tightened again', left: 'left as it was' } },
    },
    seen: {
      'jaws-apart': 'Jaws apart, gap even',
      'jaws-touch': 'Jaws touch',
      'jaws-wide': 'Jaws wide open',
      'gap-uneven': 'Gap wider on one side',
      'into-bore': 'Gasket stands into the bore',
      ledge: 'A ledge in the bore',
    },
    surface: 'gasket squeezed',
  },
})
