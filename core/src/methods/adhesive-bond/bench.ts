import { type Site, benchOf } from '../../bench/bench.js'
import { arrhenius } from '../../bench/heat.js'
import { fall, nearClock } from '../../bench/shape.js'
import { ROWS, lapBar, leastPath, meanOf, surface } from '../../bench/surface.js'
import { type BaseSpec, odOf } from '../kit/spec.js'
import type { FaultId, StepId } from '../kit/words.js'
import { RESAND_AFTER_S, cutFromC } from './rules.js'
import type { WORDS } from './words.js'

type Spec = BaseSpec & { socketDepthMm: number | null }
/** Lap shear of a cured bond, MPa (ours: about what adhesive kits are tested to). */
const SHEAR_MPA = 10
/** How long a mixed kit stays usable at 25 °C, s, and the energy by which heat shortens that and speeds the cure (ours). */
const POT_S = 1800
const ENERGY_KJ = 50
/** Rate of cure at 25 °C, so that a day gets it to about 95 % (first order; ours). */
const PER_DAY = 3

const depth = (spec: Spec): number => spec.socketDepthMm ?? odOf(spec) * 0.5
const potS = ({ airC }: Site): number => Math.min(4 * POT_S, POT_S / arrhenius(ENERGY_KJ, airC, 25))
const cured = (atC: number): number => 1 - Math.exp(-PER_DAY * arrhenius(ENERGY_KJ, atC, 25))

export const bench = benchOf<Spec, StepId<typeof WORDS>, FaultId<typeof WORDS>>()({
  details: ({ size }) => ({ socketDepthMm: Math.round(20 + 12 * Number(/\d+/.exec(size)?.[0] ?? 2)) }),
  hows: (spec, site) => ({
    cutC: {
      step: 'sand',
      usual: Math.max(site.wallC, cutFromC(spec.material) + 4),
      spread: 0.5,
      min: -60,
      max: 120,
      unit: 'C',
    },
    glazePct: {
      step: 'sand',
      usual: 1,
      spread: 0.3,
      min: 0,
      max: 100,
      undone: 100,
      unit: 'pct',
      round: 'left',
    },
    touchedPct: { step: 'sand', usual: 0, min: 0, max: 100, unit: 'pct' },
    sandedS: { step: 'mix', usual: 600, spread: 40, min: 0, wait: true, unit: 's' },
    mixedPct: { step: 'mix', usual: 98, spread: 0.5, min: 0, max: 100, undone: 0, unit: 'pct' },
    potS: { step: 'bond', usual: Math.min(180, potS(site) * 0.35), spread: 8, min: 0, wait: true, unit: 's' },
    otherPct: { step: 'fillet', usual: 0, min: 0, max: 100, unit: 'pct' },
    // A blanket where the air is too cold for a day to do.
    cureC: { step: 'look', usual: Math.max(25, site.airC), spread: 0.5, min: -60, max: 120, unit: 'C' },
  }),
  faults: {
    'cold-cut': { step: 'sand', to: { cutC: -20 } },
    'glaze-left': { step: 'sand', to: { glazePct: 100 } },
    touched: { step: 'sand', to: { touchedPct: 100 } },
    'too-late': { step: 'bond', to: { sandedS: 24_000 } },
    'not-mixed': { step: 'mix', to: { mixedPct: 15 } },
    gelled: { step: 'bond', to: { potS: 18_000 } },
    'other-end': { step: 'fillet', to: { otherPct: 100 } },
    'half-cured': { step: 'look', to: { cureC: 0 } },
  },
  play: (spec, how, { site, chance }) => {
    const depthMm = depth(spec)
    const cracked = fall(how.cutC, cutFromC(spec.material), cutFromC(spec.material) - 35, 0.2)
    const stale = fall(how.sandedS / RESAND_AFTER_S, 1, 3, 0.4)
    const gel = how.potS / potS(site)
    const home = fall(gel, 0.9, 2, 0.1)
    const hard = cured(how.cureC) / cured(Math.max(25, site.airC))
    const star = chance.even('star') * 12
    const streak = chance.even('streak') * 12
    const all =
      fall(how.glazePct, 5, 100, 0.04) * fall(how.touchedPct, 0, 100, 0.35) * stale * Math.min(1, hard)
    const cells = surface((row, deep) => {
      if (deep > 0.1 + 0.9 * home) return 0
      const split = 1 - (1 - cracked) * Math.max(0.2, nearClock(row, ROWS, star, 1.2))
      const sticky =
        1 - (1 - fall(how.mixedPct, 95, 15, 0.1)) * Math.max(0.4, nearClock(row, ROWS, streak, 3))
      const opened = deep < 0.35 ? fall(how.otherPct, 0, 100, 0.2) : fall(how.otherPct, 0, 100, 0.7)
      return all * split * sticky * opened * home
    })
    const short = home < 0.9
    const gaps = how.mixedPct < 50 || how.otherPct > 50
    const bar = (share: number): number => lapBar(SHEAR_MPA, share, depthMm, odOf(spec))
    return {
      weepsBar: bar(leastPath(cells)),
      burstsBar: bar(meanOf(cells)),
      readings: { look: { home: short ? 'short' : 'bottomed', fillet: gaps ? 'gaps' : 'all-round' } },
      seen: [
        gaps ? 'fillet-gaps' : 'fillet-all-round',
        ...(short ? (['not-home'] as const) : []),
        ...(how.mixedPct < 60 ? (['streaks'] as const) : []),
        ...(cracked < 0.6 ? (['star-cracks'] as const) : []),
        ...(hard < 0.7 ? (['fillet-soft'] as const) : []),
      ],
      cut: {
        surface: cells,
        figures: { heldPct: 100 * meanOf(cells), curedPct: 100 * cured(how.cureC), depthMm: depthMm * home },
      },
    }
  },
  words: {
    hows: {
      cutC: 'Pipe when it was cut',
      glazePct: 'Glaze left',
      touchedPct: 'Touched, wet or dusty',
      sandedS: 'From sanding to mixing',
      mixedPct: 'Mixed through',
      potS: 'From mixing to home',
      otherPct: 'Other end worked while soft',
      cureC: 'Kept at, for a day',
    },
    seen: {
      'fillet-all-round': 'Fillet all round',
      'fillet-gaps': 'Gaps in the fillet',
      'not-home': 'Pipe not bottomed',
      streaks: 'Sticky streaks',
      'star-cracks': 'Star-shaped cracks at the cut',
      'fillet-soft': 'Fillet takes a fingernail',
    },
    surface: 'bonded',
  },
})
