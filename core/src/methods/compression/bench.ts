import { benchOf } from '../../bench/bench.js'
import { fall, nearClock } from '../../bench/shape.js'
import { ROWS, leastPath, meanOf, surface } from '../../bench/surface.js'
import { odOf } from '../kit/spec.js'
import type { FaultId, StepId } from '../kit/words.js'
import { type CompressionSpec, depth, kindOf, standsOff, turns, twin } from './spec.js'
import type { WORDS } from './words.js'

/** Sound 12 mm tube slips about here; wider tube earlier (ours). */
const GRIP_BAR = 220
/** A nut started by hand holds this of a tight one (ours). */
const BY_HAND = 0.12

const deep = (spec: CompressionSpec): number => depth(spec).value ?? odOf(spec) * 1.3 + 6
const plastic = (spec: CompressionSpec): boolean => ['pe', 'pex'].includes(spec.material)
const stiffened = (spec: CompressionSpec): boolean => plastic(spec) && kindOf(spec) !== 'stab'
/** Turns of a sound joint: the middle of what is asked; null where the nut goes to its stop. */
const asked = (spec: CompressionSpec): { least: number; most: number } | null => {
  const { turnsMin, turnsMax } = turns(spec)
  return turnsMin === null || turnsMax === null ? null : { least: turnsMin, most: turnsMax }
}

export const bench = benchOf<CompressionSpec, StepId<typeof WORDS>, FaultId<typeof WORDS>>()({
  details: ({ size }) => ({
    kind: /^(OD|d)/.test(size) ? 'twin-ferrule' : 'grip-nut',
  }),
  hows: (spec) => {
    const want = asked(spec)
    const usual = want ? (want.least + want.most) / 2 : 0
    return {
      scratchPct: { step: 'ready', usual: 0, min: 0, max: 100, unit: 'pct' },
      ovalPct: { step: 'ready', usual: 0.5, spread: 0.1, min: 0, max: 30, unit: 'pct' },
      ferrules: { step: 'ready', usual: 'right', options: ['right', 'turned', 'out'], off: !twin(spec) },
      makers: { step: 'ready', usual: 'one', options: ['one', 'mixed'] },
      stiffener: { step: 'ready', usual: 'in', options: ['in', 'out'], undone: 'out', off: !stiffened(spec) },
      shortMm: { step: 'start', usual: 0.3, spread: 0.1, min: 0, max: 200, undone: deep(spec), unit: 'mm' },
      stands: { step: 'start', usual: 'off', options: ['off', 'bottomed'], off: !standsOff(spec) },
      turns: { step: 'turn', usual, spread: 0.03, min: 0, max: 12, undone: 0, unit: 'turns', off: !want },
      homePct: { step: 'turn', usual: 100, min: 0, max: 100, undone: 0, unit: 'pct', off: Boolean(want) },
      bentDeg: { step: 'look', usual: 0, min: 0, max: 45, unit: 'deg' },
    } as const
  },
  faults: {
    'not-bottomed': { step: 'start', to: { shortMm: 20 } },
    'ferrule-turned': { step: 'ready', to: { ferrules: 'turned' } },
    'ferrule-out': { step: 'ready', to: { ferrules: 'out' } },
    'too-few': { step: 'turn', to: { turns: 0.2 } },
    'over-turned': { step: 'turn', to: { turns: 5 } },
    'not-at-stop': { step: 'turn', to: { homePct: 20 } },
    scratched: { step: 'ready', to: { scratchPct: 100 } },
    oval: { step: 'ready', to: { ovalPct: 8 } },
    'no-stiffener': { step: 'ready', to: { stiffener: 'out' } },
    'mixed-makers': { step: 'ready', to: { makers: 'mixed' } },
    'bottomed-first': { step: 'start', to: { stands: 'bottomed' } },
    backfilled: { step: 'look', to: { bentDeg: 12 } },
  },
  play: (spec, how, { chance }) => {
    const want = asked(spec)
    const turned = want ? Math.min(1, how.turns / want.least) : how.homePct / 100
    const thinned = want ? fall(how.turns / want.most, 1.15, 2.2, 0.65) : 1
    const inside = Math.max(0, 1 - how.shortMm / deep(spec))
    const ferrule = { right: 1, turned: 0.25, out: 0.08 }[how.ferrules]
    const grip =
      (BY_HAND + (1 - BY_HAND) * turned) *
      thinned *
      fall(inside, 0.95, 0.3, 0.05) *
      ferrule *
      (how.makers === 'mixed' ? 0.5 : 1) *
      (how.stiffener === 'out' ? 0.35 : 1) *
      (how.stands === 'bottomed' ? 0.3 : 1) *
      fall(how.bentDeg, 0, 12, 0.4)
    const line = chance.even('line') * 12
    const flat = chance.even('flat') * 12
    const cells = surface((row) => {
      const scratched = 1 - 0.9 * (how.scratchPct / 100) * nearClock(row, ROWS, line, 0.6)
      const lifted = 1 - (1 - fall(how.ovalPct, 1, 7, 0.3)) * nearClock(row, ROWS, flat, 2)
      return Math.min(1, grip) * scratched * lifted
    })
    const wholeBar = GRIP_BAR * Math.min(1.5, Math.sqrt(12 / odOf(spec)))
    const outMark = how.shortMm > 2 || how.bentDeg > 6
    return {
      weepsBar: wholeBar * Math.min(grip, leastPath(cells)),
      burstsBar: wholeBar * grip,
      readings: {
        turn: want
          ? { turns: how.turns }
          : { stop: how.homePct > 85 ? (kindOf(spec) === 'stab' ? 'home' : 'at-stop') : 'not-yet' },
        look: {
          mark: twin(spec)
            ? how.shortMm > 2
              ? 'not-moved'
              : 'shows-behind-nut'
            : outMark
              ? 'moved-out'
              : 'at-nut',
        },
      },
      seen: [
        outMark ? 'mark-off' : 'mark-at-nut',
        ...(want && how.turns > want.most * 1.3 ? (['nut-far'] as const) : []),
        ...(turned < 0.7 ? (['nut-back'] as const) : []),
        ...(how.scratchPct > 50 ? (['scratch'] as const) : []),
        ...(how.bentDeg > 4 ? (['out-of-line'] as const) : []),
      ],
      cut: {
        surface: cells,
        figures: {
          depthMm: Math.max(0, deep(spec) - how.shortMm),
          heldPct: 100 * meanOf(cells),
          bitePct: 100 * turned * thinned,
        },
      },
    }
  },
  words: {
    hows: {
      scratchPct: 'Scratch along the tube',
      ovalPct: 'Oval',
      ferrules: {
        says: 'Ferrules',
        options: { right: 'as they belong', turned: 'one turned round', out: 'one left out' },
      },
      makers: { says: 'Nut and ferrules', options: { one: 'of one maker', mixed: 'of two makers' } },
      stiffener: { says: 'Stiffener', options: { in: 'in', out: 'left out' } },
      shortMm: 'Short of the shoulder by',
      stands: {
        says: 'Pipe',
        options: { off: 'drawn in by the nut', bottomed: 'bottomed before tightening' },
      },
      turns: 'Turns',
      homePct: 'Of the way to its stop',
      bentDeg: 'Pulled out of line by the fill',
    },
    seen: {
      'mark-at-nut': 'Mark where it belongs',
      'mark-off': 'Mark off its place',
      'nut-far': 'Nut far over',
      'nut-back': 'Many threads in sight behind the nut',
      scratch: 'A scratch runs under the nut',
      'out-of-line': 'Pipe out of line with the fitting',
    },
    surface: 'gripped and sealed',
  },
})
