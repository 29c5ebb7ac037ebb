import { benchOf } from '../../bench/bench.js'
import { fall, nearClock } from '../../bench/shape.js'
import { ROWS, leastPath, meanOf, surface } from '../../bench/surface.js'
import { odOf } from '../kit/spec.js'
import type { FaultId, StepId } from '../kit/words.js'
import { type ThreadedSpec, plastic, stainless, turns } from './spec.js'
import type { WORDS } from './words.js'

/** A sound thread of NPS 1 holds about this, plastic a third of it (ours). */
const WHOLE_BAR = 180
/** Threads in sight of a joint turned to the middle of its range (common practice, as `cp-thread-showing`). */
const SHOWING = 3

const range = (spec: ThreadedSpec): { least: number; most: number } => {
  const { least, most } = turns(spec)
  return { least: least.value ?? 1.5, most: most.value ?? 2.5 }
}

export const bench = benchOf<ThreadedSpec, StepId<typeof WORDS>, FaultId<typeof WORDS>>()({
  hows: (spec) => {
    const { least, most } = range(spec)
    return {
      tape: { step: 'seal', usual: 'with', options: ['with', 'against'], undone: 'against' },
      askewDeg: { step: 'hand', usual: 0.2, spread: 0.06, min: 0, max: 30, unit: 'deg' },
      turns: {
        step: 'wrench',
        usual: (least + most) / 2,
        spread: 0.05,
        min: 0,
        max: 12,
        undone: 0,
        unit: 'turns',
      },
      backTurns: { step: 'wrench', usual: 0, min: 0, max: 5, unit: 'turns' },
    }
  },
  faults: {
    'tape-against': { step: 'seal', to: { tape: 'against' } },
    'cross-threaded': { step: 'hand', to: { askewDeg: 6 } },
    'too-few': { step: 'wrench', to: { turns: 0.1 } },
    'backed-off': { step: 'wrench', to: { backTurns: 0.6 } },
    'over-plastic': { step: 'wrench', to: { turns: 5 }, can: plastic },
    'over-turned': { step: 'wrench', to: { turns: 6.5 }, can: (spec) => !plastic(spec) },
  },
  play: (spec, how, { chance }) => {
    const { least, most } = range(spec)
    const tight = fall(how.turns / least, 0.9, 0, 0.1)
    const over = plastic(spec)
      ? fall(how.turns - most, 0.25, 2, 0.15)
      : fall(how.turns - most, 0.8, 3.5, 0.45)
    const loosened = fall(how.backTurns, 0, 0.6, 0.2)
    const crossed = chance.even('crossed') * 12
    const path = chance.even('path') * 12
    const cells = surface((row) => {
      const bunched = how.tape === 'against' ? 1 - 0.7 * Math.max(0.4, nearClock(row, ROWS, path, 2)) : 1
      const gap =
        1 - (1 - fall(how.askewDeg, 0.6, 6, 0.1)) * Math.max(0.3, nearClock(row, ROWS, crossed, 2.5))
      return tight * over * loosened * bunched * gap
    })
    const wholeBar = WHOLE_BAR * Math.min(1.6, Math.sqrt(33.4 / odOf(spec))) * (plastic(spec) ? 0.34 : 1)
    const showing = Math.max(
      0,
      Math.round(SHOWING + (least + most) / 2 - how.turns + fall(how.askewDeg, 5, 1, 0) * 3),
    )
    return {
      weepsBar: wholeBar * leastPath(cells),
      burstsBar: wholeBar * Math.max(leastPath(cells), over * (0.4 + 0.6 * tight)),
      readings: {
        seal: { sealant: stainless(spec) ? 'tape-and-paste' : 'tape' },
        wrench: { turns: how.turns },
        look: plastic(spec) ? {} : { threadsShowing: showing },
      },
      seen: [
        showing > 4 ? 'threads-many' : showing < 1 ? 'threads-none' : 'threads-some',
        ...(how.askewDeg > 3 ? (['askew'] as const) : []),
        ...(how.tape === 'against' ? (['tape-strings'] as const) : []),
        ...(plastic(spec) && how.turns > most + 1 ? (['white-line'] as const) : []),
      ],
      cut: {
        surface: cells,
        figures: { heldPct: 100 * meanOf(cells), turns: how.turns, threadsShowing: showing },
      },
    }
  },
  words: {
    hows: {
      tape: { says: 'Tape wound', options: { with: 'with the thread', against: 'against the thread' } },
      askewDeg: 'Started askew by',
      turns: 'Turns past hand tight',
      backTurns: 'Turned back by',
    },
    seen: {
      'threads-some': 'Two or three threads in sight',
      'threads-many': 'Many threads in sight',
      'threads-none': 'No thread in sight',
      askew: 'Pipe stands askew',
      'tape-strings': 'Strings of tape at the face',
      'white-line': 'White line along the plastic',
    },
    surface: 'sealed',
  },
})
