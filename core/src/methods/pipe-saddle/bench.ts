import { benchOf } from '../../bench/bench.js'
import { fall, nearClock, tilted } from '../../bench/shape.js'
import { ROWS, leastPath, meanOf, surface } from '../../bench/surface.js'
import { BOLTED_BAR, benchBolts, byTightness, slickHow, tightHow, torqueNm } from '../kit/bolt-bench.js'
import type { BoltedSpec } from '../kit/bolted.js'
import { odOf } from '../kit/spec.js'
import type { FaultId, StepId } from '../kit/words.js'
import type { HoleAsked } from './rules.js'
import type { WORDS } from './words.js'

type Spec = BoltedSpec & HoleAsked
/** A saddle holds about this share of a bolted joint whose gasket lies between two faces (ours). */
const OF_BOLTED = 0.4
/** A hole on the bench, of the pipe's diameter, and how much larger it may be: for practice only. */
const HOLE = { share: 0.28, more: 0.08 }
const holeOf = (spec: Spec): number => spec.holeMm ?? odOf(spec) * HOLE.share
const mostOf = (spec: Spec): number => spec.holeMostMm ?? holeOf(spec) * (1 + HOLE.more)

export const bench = benchOf<Spec, StepId<typeof WORDS>, FaultId<typeof WORDS>>()({
  details: (spec) => {
    const holeMm = Math.round(odOf(spec) * HOLE.share)
    return { ...benchBolts(spec.size), bolts: 2, holeMm, holeMostMm: Math.ceil(holeMm * (1 + HOLE.more)) }
  },
  hows: (spec) => ({
    // What is cut beyond the size asked for: a wandering saw, a second cut.
    wideMm: { step: 'hole', usual: 0.2, spread: 0.1, min: 0, max: holeOf(spec), unit: 'mm' },
    burrPct: { step: 'edge', usual: 1, spread: 0.5, min: 0, max: 100, undone: 70, unit: 'pct' },
    slickPct: slickHow('seat'),
    firstPct: { step: 'tighten', usual: 0, min: 0, max: 100, unit: 'pct' },
    tightPct: tightHow('tighten'),
  }),
  faults: {
    'hole-large': { step: 'hole', to: { wideMm: 12 } },
    burr: { step: 'edge', to: { burrPct: 100 } },
    'dry-gasket': { step: 'seat', to: { slickPct: 0 } },
    tilted: { step: 'tighten', to: { firstPct: 100 } },
    loose: { step: 'tighten', to: { tightPct: 15 } },
    'over-tight': { step: 'tighten', to: { tightPct: 250 } },
  },
  play: (spec, how, { chance }) => {
    const caught = chance.even('burr') * 12
    const pinch = chance.even('pinch') * 12
    const dry = 1 - how.slickPct / 100
    const room = Math.max(1, mostOf(spec) - holeOf(spec))
    const seat = fall(how.wideMm / room, 0.5, 3, 0.05)
    const cells = surface((row) => {
      const burred = 1 - 0.8 * (how.burrPct / 100) * Math.max(0.15, nearClock(row, ROWS, caught, 2))
      const pinched = 1 - 0.75 * dry * Math.max(0.3, nearClock(row, ROWS, pinch, 2))
      const open = 1 - 0.75 * (how.firstPct / 100) * tilted(row, ROWS, 9)
      return burred * pinched * open * seat * byTightness(how.tightPct)
    })
    const tilt = how.firstPct > 40
    return {
      weepsBar: OF_BOLTED * BOLTED_BAR * leastPath(cells),
      burstsBar: OF_BOLTED * BOLTED_BAR * 1.4 * meanOf(cells),
      readings: {
        hole: { holeMm: holeOf(spec) + how.wideMm, disc: 'out' },
        tighten: { torqueNm: torqueNm(spec, how.tightPct) },
        look: { seated: tilt ? 'tilted' : 'even' },
      },
      seen: [
        tilt ? 'tilted' : 'even',
        ...(how.burrPct > 50 ? (['burred'] as const) : []),
        ...(how.tightPct > 160 ? (['oval'] as const) : []),
        ...(dry > 0.8 ? (['rubber-out'] as const) : []),
      ],
      cut: { surface: cells, figures: { heldPct: 100 * meanOf(cells), holeMm: holeOf(spec) + how.wideMm } },
    }
  },
  words: {
    hows: {
      wideMm: 'Hole larger than asked for by',
      burrPct: 'Burr left round the hole',
      slickPct: 'Gasket lubricated',
      firstPct: 'One side drawn up first',
      tightPct: 'Torque, of what it asks for',
    },
    seen: {
      even: 'Gasket even all round',
      tilted: 'Saddle stands tilted',
      burred: 'Burr under the gasket',
      oval: 'Pipe pressed oval under the strap',
      'rubber-out': 'Rubber shows at one side',
    },
    surface: 'gasket sealed',
  },
})
