import { type Method, fig, finding, msg, noFig } from '../src/index.js'
import { benchOf } from '../src/bench/bench.js'
import { surface } from '../src/bench/surface.js'
import type { CodesOf, Wordings } from '../src/sources/wording.js'

interface ToySpec {
  size: string
}
const WORDS = {
  'toy-name': 'Toy clip',
  'toy-size': 'Size',
  'toy-no-size': 'Clips are made in d40.',
  'toy-do': 'Clip it.',
  'toy-look': 'It clicks.',
  'toy-mistake': 'Half in.',
  'toy-act': 'Clipped',
  'toy-hint': 'until it clicks',
  'toy-loose': 'Loose',
  'toy-wait': 'leave it',
  'toy-missed': 'Too soon.',
  'fault-toy-half': 'Half in',
  'how-toy-shortMm': 'Short by',
  'seen-toy-gap': 'A gap',
  'surface-toy': 'clipped',
} as const satisfies Wordings
declare module '../src/sources/wording.js' {
  interface WordBook extends CodesOf<typeof WORDS> {}
}
const DWELL_S = 90
const toyBench = benchOf<ToySpec, 'clip', 'half'>()({
  hows: () => ({
    shortMm: { step: 'clip', usual: 0.1, spread: 0.02, min: 0, max: 20, undone: 20, unit: 'mm' },
  }),
  faults: { half: { step: 'clip', to: { shortMm: 10 } } },
  play: (_spec, how) => {
    const held = Math.max(0.01, 1 - how.shortMm / 20)
    return {
      weepsBar: 20 * held,
      burstsBar: 30 * held,
      readings: {},
      seen: how.shortMm > 2 ? ['gap'] : [],
      cut: { surface: surface(() => held), figures: { shortMm: how.shortMm } },
    }
  },
  words: { hows: { shortMm: 'Short by' }, seen: { gap: 'A gap' }, surface: 'clipped' },
})
/** A made-up joint that clips together, bears 5 bar after 90 s and wants one look. Proves that nothing knows methods by name. */
export const toyMethod: Method<ToySpec> = {
  id: 'toy-clip',
  version: 1,
  name: msg('toy-name'),
  words: WORDS,
  sources: [],
  tables: [],
  works: { minutes: 5, perMm: 0.1 },
  findBy: ['toy'],
  differs: [],
  examples: [{ school: 'metric', spec: { material: 'toy', size: 'd40' } }],
  joins: {},
  ends: [{ kind: 'toy-end', meets: 'plain', said: ['toyed'] }],
  fields: [{ key: 'size', label: msg('toy-size'), needed: true, control: 'size' }],
  sizes: () => ['d40'],
  inserts: true,
  parse(raw) {
    const size = (raw as { size?: unknown } | null)?.size
    return size === 'd40'
      ? { ok: true, spec: { size } }
      : { ok: false, errors: [finding('stop', 'toy-no-size', 'given', {}, 'size')] }
  },
  upgrade: (raw) => raw,
  onWall: false,
  cutOutTakes: 'nothing',
  rules: [],
  asks: [],
  selection: () => [],
  insertion: () => ({
    depthMm: fig(20, 'measured'),
    shortMaxMm: 1,
    overMaxMm: 1,
    marks: [{ kind: 'depth', fromEndMm: fig(20, 'measured') }],
  }),
  clearances: () => [],
  steps: () => [
    {
      id: 'clip',
      after: [],
      does: msg('toy-do'),
      lookFor: msg('toy-look'),
      mistake: msg('toy-mistake'),
      action: msg('toy-act'),
      hint: msg('toy-hint'),
      exceptions: [{ id: 'loose', says: msg('toy-loose'), backTo: 'cut-out' }],
      cautions: [],
      reads: [],
      reaches: 'made',
      skip: 'stop',
      people: fig(1, 'cp-crew'),
      tools: [],
    },
  ],
  clocks: (_spec, life) =>
    life.done.map((d) => ({
      id: 'dwell',
      step: 'clip',
      kind: 'dwell',
      shows: 'set',
      label: msg('toy-wait'),
      fromS: d.latestS,
      untilS: fig(d.latestS + DWELL_S, 'measured'),
      onMiss: { backTo: 'clip', say: msg('toy-missed') },
      why: [],
    })),
  cures: false,
  curing: () => ({ by: 'nothing' }),
  pressure: (_spec, life) =>
    life.cutOutAtS !== undefined
      ? []
      : life.done.map((d) => ({ fromS: d.latestS + DWELL_S, bar: 5, slopeBarPerS: 0, source: 'measured' })),
  movableFromS: (_spec, life) =>
    life.done[0] ? fig(life.done[0].latestS + DWELL_S, 'measured') : noFig(msg('not-home')),
  mends: {},
  inspection: (_spec, life) => ({
    verdict: life.done.length ? 'pass' : 'unknown',
    findings: [],
    unread: [],
    next: { do: 'nothing' },
    causes: [],
  }),
  interruption: () => [],
  testing: () => ({ open: [], forbids: [] }),
  upkeep: () => [],
  consumables: () => [],
  cautions: () => [],
  figures: () => [{ key: 'depthMm', fig: fig(20, 'measured'), unit: 'mm', otherSchools: [] }],
  section: () => [{ kind: 'pipe', x1: -40, x2: 0, odMm: 40, wallMm: 2 }],
  faults: [{ id: 'half', step: 'clip', shows: msg('fault-toy-half') }],
  key: 'toy',
  bench: toyBench,
}
