import { type Finding, fig, finding, msg } from '../../sources/source.js'
import { choiceRule } from '../kit/choice.js'
import { defineMethod } from '../kit/define.js'
import { numberOf } from '../kit/inspection.js'
import { anywhere, nps, npsEach } from '../kit/joins.js'
import { measuredDepth, sizeOf } from '../kit/spec.js'
import { type EndKind, type Joins, type School, isPlastic } from '../joinable.js'
import type { Need } from '../method.js'
import { GASES } from '../around.js'
import { bench } from './bench.js'
import { EXAMPLES } from './examples.js'
import { STANDARDS, TABLES, type ThreadStandard, judgeShowing, judgeTurns, threadOf } from './rules.js'
import { SOURCES } from './sources.js'
import {
  type ThreadedSpec,
  depth,
  drawing,
  intoOf,
  plastic,
  practice,
  sealantRead,
  showingRead,
  stainless,
  standardOf,
  turns,
  turnsRead,
} from './spec.js'
import { WORDS } from './words.js'

const METAL = [...npsEach('1/8', '1/4', '3/8'), ...nps('1/2', '3'), ...npsEach('4', '5', '6')].filter(
  (size) => size !== 'NPS 3-1/2',
)
const PLASTIC = [...npsEach('1/4', '3/8'), ...nps('1/2', '2'), ...npsEach('2-1/2', '3', '4')]
const JOINS: Joins = {
  'carbon-steel': anywhere(METAL),
  stainless: anywhere(METAL),
  brass: anywhere(METAL),
  pvc: anywhere(PLASTIC),
  'pvc-u': anywhere(PLASTIC),
  cpvc: anywhere(PLASTIC),
  abs: anywhere(PLASTIC),
}
const INTO = [...Object.keys(JOINS), 'copper', 'cast-iron']
/** Both ends of a family of threads, with the words that only it goes by. */
function endsOf(
  standard: ThreadStandard,
  school: School,
  female: readonly string[],
  male: readonly string[],
): EndKind[] {
  const either = { school, takes: 'any', halves: true, says: { standard } } as const
  const [into, onto] = [`${standard}-female`, `${standard}-male`]
  return [
    { ...either, kind: into, meets: onto, said: ['female', ...female, 'f', 'threaded'] },
    { ...either, kind: onto, meets: into, said: ['male', ...male, 'm'], onPipe: true },
  ]
}

/** Taper pipe threads between other ways of joining. Nothing cures; turns and the threads in sight are the proof. */
export const threaded = defineMethod<ThreadedSpec, typeof WORDS>({
  id: 'threaded',
  key: 'thread',
  version: 1,
  joins: JOINS,
  ends: [
    ...endsOf('npt', 'inch', ['fip', 'fpt'], ['mip', 'mpt', 'npt']),
    ...endsOf('iso-7', 'metric', ['rp', 'rc'], ['r']),
  ],
  words: WORDS,
  bench,
  sources: SOURCES,
  tables: TABLES,
  works: { minutes: 6, perMm: 0.15 },
  findBy: ['thread', 'threaded', 'threads', 'npt', 'taper', 'screwed'],
  examples: EXAMPLES,
  fields: [
    measuredDepth(120),
    {
      key: 'standard',
      label: msg('field-thread-standard'),
      needed: false,
      control: 'choice',
      options: STANDARDS,
      byEnds: true,
    },
    {
      key: 'cutOn',
      label: msg('field-thread-cut-on'),
      needed: false,
      control: 'choice',
      options: ['pipe', 'fitting'],
      byEnds: true,
    },
    {
      key: 'into',
      label: msg('field-thread-into'),
      needed: false,
      control: 'choice',
      options: INTO,
      byEnds: true,
    },
  ],
  practice,
  depth,
  shortMaxMm: 3,
  overMaxMm: 3,
  marks: () => [],
  cutOutTakes: 'nothing',
  params: (spec) => ({
    standard: standardOf(spec),
    plastic: plastic(spec) ? 1 : 0,
    least: turns(spec).least.value ?? NaN,
    most: turns(spec).most.value ?? NaN,
  }),
  steps: (spec) => [
    {
      id: 'thread',
      reaches: 'marked',
      exceptions: [
        ['chipped', 'cut-out'],
        ['will-not-start', 'thread'],
        ['wrong-family', 'cut-out'],
      ],
      cautions: [finding('warn', 'caution-thread-sharp', practice)],
      tools: ['tool-thread-brush'],
    },
    {
      id: 'seal',
      reaches: 'prepared',
      reads: [sealantRead],
      tools: ['tool-thread-sealant'],
    },
    {
      id: 'hand',
      reaches: 'assembled',
      exceptions: [
        ['tape-against', 'seal'],
        ['cross-threaded', 'thread'],
      ],
    },
    {
      id: 'wrench',
      reaches: 'made',
      exceptions: [
        ['backed-off', 'seal'],
        ...(isPlastic(spec.material) ? [] : [['galled', 'cut-out'] as const]),
      ],
      cautions: [finding('warn', 'caution-thread-slip', practice)],
      reads: [turnsRead(spec)],
      tools: [plastic(spec) ? 'tool-strap-wrench' : 'tool-two-wrenches'],
      never: ['never-thread-back-off', ...(stainless(spec) ? (['never-power-on-thread'] as const) : [])],
    },
    {
      id: 'look',
      reaches: 'verified',
      exceptions: [['turned-behind', 'on']],
      reads: plastic(spec) ? [] : [showingRead],
    },
  ],
  mends: {
    'thread-turns-short': 'wrench',
    'thread-turns-over': 'wrench',
    'thread-few-showing': 'wrench',
    'thread-many-showing': 'wrench',
    'thread-paste-plastic': 'seal',
    'thread-stainless-dry': 'seal',
  },
  judge: (spec, readings) => {
    const findings: Finding[] = [
      ...judgeTurns(turns(spec), numberOf(readings, 'turns'), plastic(spec)),
      ...(plastic(spec) ? [] : judgeShowing(numberOf(readings, 'threadsShowing'))),
    ]
    const { sealant } = readings
    if (plastic(spec) && ['paste', 'tape-and-paste', 'anti-seize'].includes(String(sealant)))
      findings.push(finding('warn', 'thread-paste-plastic', 'cp-threads-materials'))
    if (stainless(spec) && sealant === 'tape')
      findings.push(finding('warn', 'thread-stainless-dry', 'cp-threads-materials'))
    const showing = numberOf(readings, 'threadsShowing') ?? 0
    return { findings, causes: showing > 4 ? [msg('cause-thread-askew'), msg('cause-thread-sealant')] : [] }
  },
  interrupted: [
    { after: 'seal', code: 'interrupted-thread-sealed' },
    { after: 'hand', code: 'interrupted-thread-hand' },
  ],
  beforeTest: [finding('warn', 'test-thread-weep', practice)],
  needs: (): Need[] => [
    { item: 'thread-sealant', lasts: false, qty: fig(1, practice), unit: 'count', matches: {} },
  ],
  cautions: () => [
    finding('warn', 'caution-thread-pressure', practice),
    finding('warn', 'caution-thread-sharp', practice),
  ],
  rules: [
    choiceRule(
      'stop',
      'choice-thread-plastic-female',
      'cp-threads-materials',
      [],
      (spec) => isPlastic(intoOf(spec)) && !isPlastic(spec.material),
    ),
    choiceRule(
      'stop',
      'choice-thread-wall',
      'half-when-threaded',
      [],
      (spec) => spec.cutOn === 'pipe' && isPlastic(spec.material) && spec.wallSeries !== 'Sch 80',
    ),
    choiceRule('note', 'choice-thread-half', 'half-when-threaded', [], plastic),
    choiceRule(
      'stop',
      'choice-thread-hot',
      'cp-threads-materials',
      ['medium'],
      (spec, around) => plastic(spec) && around.medium === 'steam',
    ),
    choiceRule('warn', 'choice-thread-gas', practice, ['medium'], (_spec, around) =>
      (GASES as readonly string[]).includes(around.medium ?? ''),
    ),
    choiceRule('warn', 'choice-thread-galls', 'cp-threads-materials', [], stainless),
  ],
  figures: (spec) => {
    const thread = threadOf(standardOf(spec), sizeOf(spec))
    const asked = turns(spec)
    return [
      { key: 'engagementMm', fig: depth(spec), unit: 'mm' },
      ...(thread
        ? ([
            { key: 'byHandMm', fig: thread.byHandMm, unit: 'mm' },
            { key: 'byWrenchMm', fig: thread.byWrenchMm, unit: 'mm' },
            {
              key: 'perInch',
              fig: fig(thread.perInch, standardOf(spec) === 'npt' ? 'asme-b1-20-1' : 'iso-7-1'),
              unit: 'none',
            },
          ] as const)
        : []),
      { key: 'turnsPastMin', fig: asked.least, unit: 'turns' },
      { key: 'turnsPastMax', fig: asked.most, unit: 'turns' },
    ]
  },
  drawing,
})
