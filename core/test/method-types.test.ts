import type { Joins } from '../src/methods/joinable.js'
import { anywhere, cts, dn, nps } from '../src/methods/kit/joins.js'
import type { Manifest, Recipe } from '../src/methods/kit/recipe.js'
import type { BaseSpec } from '../src/methods/kit/spec.js'
import { choiceRead } from '../src/methods/kit/steps.js'
import { benchOf } from '../src/bench/bench.js'
import type { FaultId, MethodWords } from '../src/methods/kit/words.js'

const TEXTS = {
  does: 'Clip it.',
  look: 'It clicks.',
  mistake: 'Half in.',
  act: 'Clipped',
  hint: 'until it clicks',
}
const WORDS = {
  name: 'Clip',
  steps: { clip: TEXTS },
  exceptions: { loose: 'Loose' },
  clocks: { rest: { runs: 'leave it', missed: 'Too soon.' } },
  faults: { half: 'Half in' },
  differs: { side: { point: 'Side', a: 'Left', b: 'Right', here: 'Left.' } },
  says: {},
} as const satisfies MethodWords
type R = Recipe<BaseSpec, typeof WORDS>

// The compiler is the test: what follows an `@ts-expect-error` is an error, or the mark is one itself.
const good: Pick<R, 'steps' | 'clocks' | 'interrupted' | 'mends'> = {
  steps: () => [{ id: 'clip', exceptions: [['loose', 'clip']], tools: ['tool-torque'] }, null],
  clocks: () => [],
  interrupted: [{ after: 'clip', code: 'interrupted-no-clock' }],
  mends: { 'torque-over': 'clip' },
}
const steps: R['steps'][] = [
  // @ts-expect-error a step that has no words
  () => [{ id: 'glue' }],
  // @ts-expect-error a way out that has no words
  () => [{ id: 'clip', exceptions: [['broken', 'cut-out']] }],
  // @ts-expect-error it leads to a step that is not there
  () => [{ id: 'clip', exceptions: [['loose', 'glue']] }],
  // @ts-expect-error a tool that nobody named
  () => [{ id: 'clip', tools: ['tool-nobody-named'] }],
]
const toBench = {
  hows: () => ({ shortMm: { step: 'clip', usual: 0 } }) as const,
  play: () => ({
    weepsBar: 1,
    burstsBar: 1,
    readings: {},
    seen: ['gap'] as const,
    cut: { surface: [[1]], figures: {} },
  }),
  words: { hows: { shortMm: 'Short by' }, seen: { gap: 'A gap' }, surface: 'clipped' },
}
const others = (): unknown[] => [
  benchOf<BaseSpec, 'clip', FaultId<typeof WORDS>>()({
    ...toBench,
    faults: {
      half: { step: 'clip', to: { shortMm: 9 } },
      // @ts-expect-error a fault that has no words
      'upside-down': { step: 'clip', to: { shortMm: 9 } },
    },
  }),
  // @ts-expect-error a fault that its words name and nobody can make
  benchOf<BaseSpec, 'clip', FaultId<typeof WORDS>>()({ ...toBench, faults: {} }),
  benchOf<BaseSpec, 'clip', FaultId<typeof WORDS>>()({
    ...toBench,
    // @ts-expect-error a fault of something that is not asked
    faults: { half: { step: 'clip', to: { tightPct: 9 } } },
  }),
  benchOf<BaseSpec, 'clip', FaultId<typeof WORDS>>()({
    ...toBench,
    faults: { half: { step: 'clip', to: { shortMm: 9 } } },
    // @ts-expect-error what is asked, without words
    words: { hows: {}, seen: { gap: 'A gap' }, surface: 'clipped' },
  }),
  // @ts-expect-error what an interruption costs, unsaid
  [{ after: 'clip', code: 'interrupted-nobody-said' }] satisfies R['interrupted'],
  // @ts-expect-error a finding that is not one
  { 'no-such-finding': 'clip' } satisfies R['mends'],
  // @ts-expect-error two ways of doing it that its words do not tell of
  { height: { inch: 'a', metric: 'b' } } satisfies Manifest<typeof WORDS>['differs'],
  // @ts-expect-error an option without words
  choiceRead('faces', 'field-faces', ['together', 'inside-out']),
  // @ts-expect-error a figure that the Handbook has no name for
  [{ key: 'nobodyNamedMm', fig: { value: 1, source: 'given' }, unit: 'mm' }] satisfies ReturnType<
    R['figures']
  >,
  // @ts-expect-error a source that nobody wrote down
  'cp-nobody-wrote' satisfies R['practice'],
  // @ts-expect-error pipe that is not made of this
  { wood: anywhere(nps('1', '2')) } satisfies Joins,
  // @ts-expect-error a pipe size that there is not
  nps('1', '7'),
  // @ts-expect-error nor this tube size
  cts('three quarters'),
  // @ts-expect-error nor this
  dn(42),
]

it('what a method lacks, or names and has not, does not compile', () => {
  expect([Object.keys(WORDS.steps), typeof good.steps, steps.length, typeof others]).toEqual([
    ['clip'],
    'function',
    4,
    'function',
  ])
})
