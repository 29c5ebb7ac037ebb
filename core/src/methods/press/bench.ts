import { pressDepthMm } from '../../sizes/insertions.js'
import { benchOf } from '../../bench/bench.js'
import { fall, nearClock } from '../../bench/shape.js'
import { ROWS, leastPath, meanOf, surface } from '../../bench/surface.js'
import { smallest } from '../../units/extent.js'
import { type BaseSpec, odOf, sizeOf } from '../kit/spec.js'
import type { FaultId, StepId } from '../kit/words.js'
import type { WORDS } from './words.js'

/** Sound d22 comes apart about here; wider pipe earlier, as the pressure's force grows faster than the grip (ours). */
const GRIP_BAR = 120
/** A pipe that is only pushed in slides out about here: friction of the seal (ours; the trade tells of 6 bar on water). */
const FRICTION_BAR = 6
/** Squeeze that a seal has by being pushed in, of what pressing gives it (ours). */
const UNPRESSED = 0.24

type Spec = BaseSpec & { socketDepthMm: number | null }
const depth = (spec: Spec): number =>
  spec.socketDepthMm ?? pressDepthMm(spec.material, sizeOf(spec)).value ?? odOf(spec)

export const bench = benchOf<Spec, StepId<typeof WORDS>, FaultId<typeof WORDS>>()({
  hows: (spec) => ({
    shortMm: { step: 'insert', usual: 0.4, spread: 0.15, min: 0, max: 300, undone: depth(spec), unit: 'mm' },
    burrPct: { step: 'insert', usual: 0, min: 0, max: 100, unit: 'pct' },
    askewDeg: { step: 'insert', usual: 0.3, spread: 0.1, min: 0, max: 45, unit: 'deg' },
    scratchPct: { step: 'insert', usual: 0, min: 0, max: 100, unit: 'pct' },
    lubricant: { step: 'insert', usual: 'water', options: ['water', 'oil'] },
    cut: { step: 'insert', usual: 'through', options: ['through', 'snapped'] },
    pressed: { step: 'press', usual: 'pressed', options: ['pressed', 'left'], undone: 'left' },
    cyclePct: { step: 'press', usual: 100, min: 0, max: 100, unit: 'pct' },
    jaw: { step: 'press', usual: 'right', options: ['right', 'wrong'] },
  }),
  faults: {
    'not-pressed': { step: 'press', to: { pressed: 'left' } },
    short: { step: 'insert', to: { shortMm: 22 } },
    'wrong-jaw': { step: 'press', to: { jaw: 'wrong' } },
    'no-deburr': { step: 'insert', to: { burrPct: 100 } },
    askew: { step: 'insert', to: { askewDeg: 9 } },
    'cycle-broken': { step: 'press', to: { cyclePct: 45 } },
    'wrong-lubricant': { step: 'insert', to: { lubricant: 'oil' } },
    scratched: { step: 'insert', to: { scratchPct: 100 } },
    snapped: { step: 'insert', to: { cut: 'snapped' } },
  },
  play: (spec, how, { chance }) => {
    const depthMm = depth(spec)
    const smaller = Math.min(1, Math.sqrt(22 / odOf(spec)))
    const closed = how.pressed === 'pressed' ? how.cyclePct / 100 : 0
    const profile = how.jaw === 'wrong' ? 0.55 : 1
    const inside = Math.max(0, 1 - how.shortMm / depthMm)
    const whole = how.cut === 'snapped' ? 0.6 : 1
    const gripBar =
      smaller * inside * Math.max(FRICTION_BAR, GRIP_BAR * inside ** 0.5 * closed ** 1.5 * profile * whole)
    const [nick, roll, line] = ['nick', 'roll', 'line'].map((name) => chance.even(name) * 12) as [
      number,
      number,
      number,
    ]
    const swollen = how.lubricant === 'oil' ? 0.5 : 1
    const cells = surface((row) => {
      const squeeze = UNPRESSED + (1 - UNPRESSED) * closed * profile
      const nicked = 1 - 0.9 * (how.burrPct / 100) * nearClock(row, ROWS, nick, 1)
      const rolled = 1 - (1 - fall(how.askewDeg, 1, 8, 0.15)) * nearClock(row, ROWS, roll, 2)
      const scratched = 1 - 0.8 * (how.scratchPct / 100) * nearClock(row, ROWS, line, 0.6)
      // The seal sits near the mouth: a pipe that does not reach it seals nothing.
      return squeeze * nicked * rolled * scratched * swollen * fall(inside, 0.6, 0.25, 0.05)
    })
    const sealBar = GRIP_BAR * 1.1 * smaller * whole * leastPath(cells)
    const half = closed > 0.3 && closed < 0.9
    const gone = closed >= 0.9 || (half && chance.even('tab') < 0.5)
    return {
      weepsBar: Math.min(gripBar, sealBar),
      burstsBar: gripBar,
      readings: {
        look: { indicator: gone ? 'gone' : 'there', edge: how.shortMm > 2 ? 'off-edge' : 'at-edge' },
      },
      seen: [
        gone ? 'indicator-gone' : 'indicator-there',
        how.shortMm > 2 ? 'mark-off' : 'mark-at-edge',
        ...(half ? (['half-closed'] as const) : []),
        ...(how.askewDeg > 4 ? (['askew'] as const) : []),
        ...(how.scratchPct > 60 ? (['scratch'] as const) : []),
      ],
      cut: {
        surface: cells,
        figures: {
          depthMm: Math.max(0, depthMm - how.shortMm),
          heldPct: 100 * meanOf(cells),
          leastPct: 100 * smallest(cells.map((row) => row[0] as number)),
        },
      },
    }
  },
  words: {
    hows: {
      shortMm: 'Short of the mark by',
      burrPct: 'Burr left',
      askewDeg: 'Pushed in askew by',
      scratchPct: 'Scratch along the pipe',
      lubricant: { says: 'On the seal', options: { water: 'water', oil: 'oil or grease' } },
      cut: { says: 'Cut', options: { through: 'right through', snapped: 'part-cut and snapped' } },
      pressed: { says: 'Press tool', options: { pressed: 'used', left: 'not used' } },
      cyclePct: 'Cycle run',
      jaw: { says: 'Jaw', options: { right: 'of this profile', wrong: 'of another profile' } },
    },
    seen: {
      'indicator-gone': 'Indicator gone',
      'indicator-there': 'Indicator there',
      'mark-at-edge': 'Mark at the edge',
      'mark-off': 'Mark away from the edge',
      'half-closed': 'Ridge of the press open on one side',
      askew: 'Pipe stands askew',
      scratch: 'A scratch runs under the fitting',
    },
    surface: 'seal squeezed',
  },
})
