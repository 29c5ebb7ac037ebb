import { benchOf } from '../../bench/bench.js'
import { lumpedC, wlf } from '../../bench/heat.js'
import { fall, nearClock, tilted } from '../../bench/shape.js'
import { ROWS, leastPath, meanOf, surface } from '../../bench/surface.js'
import { type BaseSpec, odOf, sizeOf } from '../kit/spec.js'
import type { FaultId, StepId } from '../kit/words.js'
import { GAP_MAX_MM, GAP_MIN_MM, flareHeatS, flareHoldS, flareWallMm } from './rules.js'
import type { WORDS } from './words.js'

interface Spec extends BaseSpec {
  heatS: number | null
  grooved: boolean | null
  quenched: boolean | null
  cold: boolean | null
  gapFromMm: number | null
  gapToMm: number | null
}
/** A sound nut and flare hold about this on 1/2 in tube (ours). */
const WHOLE_BAR = 60
/** The gun's air, and what the tube is at when it flares well, °C; it melts at 302 to 310 (handbooks, from memory). */
const GUN_C = 420
const FLARES_C = 280
const BUCKLES_C = 310
const KINKED_C = 360
const COLD_C = 240
/** Glass transition of PFA, °C (handbooks, from memory: about 80 to 90), and how long it takes to give way there, s (ours). */
const GLASS_C = 85
const GIVES_WAY_S = 1000
/** What comes off its mandrel is watched for so long: what has not sprung back by then stays (ours). */
const WATCHED_S = 60
/** Most that a flare shrinks, of what fits (ours). */
const SHRINKS = 0.6

const heats = (spec: Spec): number =>
  spec.heatS ??
  flareHeatS(sizeOf(spec)).value ??
  Math.round(10 + 8 * (flareWallMm(sizeOf(spec)).value ?? 1.6))
const holds = (spec: Spec): number => flareHoldS(spec.quenched ?? false).value ?? 120
/** Time constant of the tube in the gun's air: what makes the usual heating reach the right heat from 20 °C. */
const constantS = (spec: Spec): number => heats(spec) / Math.log((GUN_C - 20) / (GUN_C - FLARES_C))

/**
 * What springs back of a flare that is taken off its mandrel so soon, as a share: by how warm it still is. Held as long as
 * it should be, it has cooled to its glass transition. Of a cold flare: of what it was held for.
 */
function springsBack(spec: Spec, airC: number, heldS: number): number {
  if (spec.cold) return Math.exp((-4 * heldS) / holds(spec))
  const coolsS = holds(spec) / Math.log((FLARES_C - airC) / (GLASS_C - airC))
  const stillC = lumpedC(FLARES_C, airC, coolsS, heldS)
  return 1 - Math.exp(-WATCHED_S / (GIVES_WAY_S * wlf(stillC - GLASS_C)))
}

export const bench = benchOf<Spec, StepId<typeof WORDS>, FaultId<typeof WORDS>>()({
  details: () => ({ socketDepthMm: 14, minTorqueNm: 1.5 }),
  hows: (spec, { airC }) => {
    const cold = spec.cold === true
    // From cold tube a little longer, to the same heat.
    const heatS = Math.round(8 * constantS(spec) * Math.log((GUN_C - airC) / (GUN_C - FLARES_C))) / 8
    return {
      nut: { step: 'nut', usual: 'on', options: ['on', 'forgotten'], undone: 'forgotten' },
      squareMm: { step: 'nut', usual: 0.15, spread: 0.05, min: 0, max: 20, unit: 'mm' },
      groovePct: {
        step: 'nut',
        usual: 98,
        spread: 0.5,
        min: 0,
        max: 100,
        undone: 0,
        unit: 'pct',
        off: !spec.grooved,
      },
      heatS: { step: 'heat', usual: heatS, spread: 0.3, min: 0, max: 900, undone: 0, unit: 's', off: cold },
      evenPct: {
        step: 'heat',
        usual: 95,
        spread: 1,
        min: 0,
        max: 100,
        unit: 'pct',
        round: 'even',
        off: cold,
      },
      offStopMm: { step: 'form', usual: 0.1, spread: 0.03, min: 0, max: 20, undone: 20, unit: 'mm' },
      holdS: { step: 'form', usual: holds(spec) + 4, spread: 1, min: 0, max: 86_400, undone: 0, unit: 's' },
      forcedPct: { step: 'fit', usual: 0, min: 0, max: 100, unit: 'pct' },
    } as const
  },
  takes: { heat: 'heatS', form: 'holdS' },
  faults: {
    'nut-forgotten': { step: 'nut', to: { nut: 'forgotten' } },
    'too-hot': { step: 'heat', to: { heatS: 240 } },
    'one-side': { step: 'heat', to: { evenPct: 0 } },
    'off-too-soon': { step: 'form', to: { holdS: 0 }, after: 'holdS' },
    'short-flare': { step: 'form', to: { offStopMm: 3 } },
    forced: { step: 'fit', to: { forcedPct: 100 } },
    'part-groove': { step: 'nut', to: { groovePct: 30 } },
  },
  play: (spec, how, { site, chance }) => {
    const hotC = spec.cold ? FLARES_C : lumpedC(site.airC, GUN_C, constantS(spec), how.heatS)
    const formed = fall(hotC, COLD_C, 120, 0.15) * fall(hotC, BUCKLES_C, KINKED_C, 0.25)
    const shrunk = SHRINKS * springsBack(spec, site.airC, how.holdS)
    const side = chance.even('cold side') * 12
    const unevenMm = 1.4 * (1 - how.evenPct / 100) + 0.6 * how.squareMm
    const shortMm = how.offStopMm + 1.2 * shrunk + 1.5 * (1 - formed)
    const gripped = spec.grooved ? 0.35 + 0.65 * (how.groovePct / 100) : 1
    const split = fall(how.forcedPct, 0, 100, 0.1)
    const cells = surface((row) => {
      const lackMm = shortMm + unevenMm * tilted(row, ROWS, side)
      const torn = 1 - (1 - split) * Math.max(0.3, nearClock(row, ROWS, side, 1.5))
      return formed * fall(lackMm, 0.2, 4, 0.1) * gripped * torn * (1 - 0.5 * shrunk)
    })
    const wholeBar =
      WHOLE_BAR * Math.min(1.4, (12.7 / odOf(spec)) ** 0.4) * (how.nut === 'forgotten' ? 0.005 : 1)
    const middle = ((spec.gapFromMm ?? GAP_MIN_MM) + (spec.gapToMm ?? GAP_MAX_MM)) / 2
    const gapMinMm = middle + 0.8 * shortMm - 0.1
    return {
      weepsBar: wholeBar * leastPath(cells),
      burstsBar: wholeBar * meanOf(cells),
      readings: { look: { gapMinMm, gapMaxMm: gapMinMm + 0.5 * unevenMm + 0.05 } },
      seen: [
        hotC > BUCKLES_C + 15 ? 'buckled' : 'flare-smooth',
        ...(unevenMm > 0.8 ? (['gap-uneven'] as const) : []),
        ...(shortMm > 1.2 ? (['gap-wide'] as const) : []),
        ...(how.forcedPct > 60 ? (['hairline'] as const) : []),
        ...(how.nut === 'forgotten' ? (['no-nut'] as const) : []),
      ],
      cut: { surface: cells, figures: { heldPct: 100 * meanOf(cells), shortMm, hottestC: hotC } },
    }
  },
  words: {
    hows: {
      nut: { says: 'Nut', options: { on: 'on the tube first', forgotten: 'forgotten' } },
      squareMm: 'Cut out of square by',
      groovePct: 'Groove, of the way round',
      heatS: 'Heated for',
      evenPct: 'Heat evenly round',
      offStopMm: 'Off the stop by',
      holdS: 'Held on the mandrel for',
      forcedPct: 'Forced on',
    },
    seen: {
      'flare-smooth': 'Flare smooth and round',
      buckled: 'Flare buckled',
      'gap-uneven': 'Gap behind the nut uneven',
      'gap-wide': 'Gap behind the nut wide',
      hairline: 'Fine line in the flare',
      'no-nut': 'No nut on the tube',
    },
    surface: 'pressed on the nose',
  },
})
