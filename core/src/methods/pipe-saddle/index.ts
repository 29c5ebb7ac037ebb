import { type Fig, fig, finding, msg, noFig } from '../../sources/source.js'
import { GASES } from '../around.js'
import { type Joins, WALL_KIND, isPlastic } from '../joinable.js'
import { type BoltedSpec, boltFields, judgeTorque, torqueOf, torqueRead } from '../kit/bolted.js'
import { lookedOver } from '../kit/care.js'
import { choiceRule } from '../kit/choice.js'
import { defineMethod } from '../kit/define.js'
import { drawnWall, ring } from '../kit/drawing.js'
import { numberOf } from '../kit/inspection.js'
import { anywhere, cts, metric, mm, nps } from '../kit/joins.js'
import { odOf, ownFig } from '../kit/spec.js'
import { choiceRead } from '../kit/steps.js'
import type { Field, Need, Shape } from '../method.js'
import { bench } from './bench.js'
import { EXAMPLES } from './examples.js'
import { type HoleAsked, judgeHole } from './rules.js'
import { SOURCES } from './sources.js'
import { WORDS } from './words.js'

/** A joint of a saddle: what bolts it, and the hole it sits over. */
export interface SaddleSpec extends BoltedSpec, HoleAsked {}
const practice = 'cp-saddle-steps'
const IRON_SIZES = nps('1', '24')
const ANY = anywhere([...IRON_SIZES, ...metric(32, 630)])
const JOINS: Joins = {
  'pvc-u': ANY,
  pvc: ANY,
  cpvc: ANY,
  abs: ANY,
  pe: ANY,
  'carbon-steel': ANY,
  stainless: ANY,
  copper: anywhere(cts('1', '1-1/4', '1-1/2', '2', '2-1/2', '3', '4'), mm(28, 35, 42, 54)),
}
const holeField = (key: keyof HoleAsked, label: 'field-saddle-hole' | 'field-saddle-hole-most'): Field => ({
  key,
  label: msg(label),
  needed: false,
  unit: 'mm',
  min: 3,
  max: 600,
  control: 'length',
})
const holeRead: Field = {
  key: 'holeMm',
  label: msg('field-hole'),
  needed: true,
  unit: 'mm',
  min: 1,
  max: 600,
  control: 'length',
  gauged: true,
}
const ofHole = (spec: SaddleSpec, key: keyof HoleAsked): Fig =>
  ownFig(spec, key, noFig(msg('choice-saddle-hole'), key), 'given')
const pressure = finding('stop', 'caution-saddle-pressure', practice)
const drill = finding('warn', 'caution-saddle-drill', practice)

/** The pipe along its length with the collar in its hole, and the strap once it is on. Seen from the side: both walls. */
function drawing(spec: SaddleSpec, state: { marked: boolean; made: boolean }): Shape[] {
  const od = odOf(spec)
  const hole = spec.holeMm ?? od * 0.3
  const run = od * 1.4
  const pipe: Shape = { kind: 'pipe', x1: -run, x2: run, odMm: od, wallMm: drawnWall(spec) }
  if (!state.marked) return [pipe]
  const gasket = ring('seal', -hole * 0.9, hole * 0.9, od, od * 1.06)
  const strap = ring('clamp', -hole * 1.3, hole * 1.3, od * 1.06, od * 1.22)
  return state.made ? [pipe, gasket, strap] : [pipe, { kind: 'mark', at: 0, as: 'depth' }]
}

/** Saddles strapped over a hole in a pipe that stays whole. Nothing cures. */
export const pipeSaddle = defineMethod<SaddleSpec, typeof WORDS>({
  id: 'pipe-saddle',
  key: 'saddle',
  version: 1,
  joins: JOINS,
  onWall: true,
  ends: [{ kind: 'saddle', meets: WALL_KIND, said: ['saddle'], takes: 'any' }],
  words: WORDS,
  bench,
  sources: SOURCES,
  works: { minutes: 20, perMm: 0.05 },
  findBy: ['saddle', 'tapping'],
  examples: EXAMPLES,
  fields: [
    holeField('holeMm', 'field-saddle-hole'),
    holeField('holeMostMm', 'field-saddle-hole-most'),
    ...boltFields,
  ],
  practice,
  cutOutTakes: 'pipe',
  params: (spec) => ({
    size: spec.size,
    holeMm: spec.holeMm ?? -1,
    torqueNm: torqueOf(spec).value ?? -1,
  }),
  steps: (spec) => [
    {
      id: 'place',
      reaches: 'marked',
      exceptions: [
        ['wrong-saddle', 'place'],
        ['seat-bad', 'place'],
      ],
      cautions: [pressure],
      skip: 'stop',
    },
    {
      id: 'hole',
      exceptions: [
        ['off-mark', 'cut-out'],
        ['disc-inside', 'hole'],
      ],
      cautions: [pressure, drill],
      reads: [holeRead, choiceRead('disc', 'field-disc', ['out', 'lost'])],
      tools: ['tool-hole-saw'],
      skip: 'stop',
    },
    { id: 'edge', reaches: 'prepared', exceptions: [['seat-bad', 'cut-out']] },
    {
      id: 'seat',
      reaches: 'assembled',
      exceptions: [['collar-tight', 'hole']],
      tools: ['tool-saddle-gasket', 'tool-seal-lubricant'],
    },
    {
      id: 'tighten',
      reaches: 'made',
      exceptions: [['bolt-stuck', 'seat']],
      reads: [torqueRead(spec)],
      tools: ['tool-torque'],
    },
    {
      id: 'look',
      reaches: 'verified',
      exceptions: [['cannot-see', 'on']],
      reads: [choiceRead('seated', 'field-seated', ['even', 'tilted'])],
    },
  ],
  mends: {
    'saddle-hole-small': 'hole',
    'saddle-disc-lost': 'hole',
    'saddle-tilted': 'seat',
    'torque-over': 'tighten',
    'torque-under': 'tighten',
  },
  judge: (spec, readings) => {
    const findings = [
      ...judgeHole(spec, numberOf(readings, 'holeMm')),
      ...judgeTorque(torqueOf(spec), numberOf(readings, 'torqueNm'), 'nut-factor', 'dryTorqueNm'),
    ]
    if (readings.disc === 'lost') findings.push(finding('stop', 'saddle-disc-lost', practice))
    if (readings.seated !== 'tilted') return { findings, causes: [] }
    findings.push(finding('stop', 'saddle-tilted', practice))
    return { findings, causes: [msg('cause-saddle-one-side'), msg('cause-saddle-collar')] }
  },
  interrupted: [
    { after: 'hole', code: 'interrupted-saddle-open' },
    { after: 'edge', code: 'interrupted-saddle-open' },
    { after: 'seat', code: 'interrupted-saddle-loose' },
  ],
  beforeTest: [finding('warn', 'test-saddle-branch', practice)],
  needs: (spec): Need[] => [
    { item: 'gasket', lasts: false, qty: fig(1, practice), unit: 'count', matches: { size: spec.size } },
    { item: 'hole-saw', lasts: true, qty: fig(1, practice), unit: 'count', matches: {} },
  ],
  upkeep: (spec) => [lookedOver(torqueOf(spec))],
  cautions: () => [pressure, drill],
  rules: [
    choiceRule('stop', 'choice-saddle-gas', practice, ['medium'], (_s, { medium }) =>
      (GASES as readonly string[]).includes(medium ?? ''),
    ),
    choiceRule('warn', 'choice-saddle-plastic', practice, [], (spec) => isPlastic(spec.material)),
    choiceRule(
      'warn',
      'choice-saddle-hole',
      practice,
      [],
      (spec) => spec.holeMm === null && spec.holeMostMm === null,
    ),
  ],
  figures: (spec) => [
    { key: 'saddleHoleMm', fig: ofHole(spec, 'holeMm'), unit: 'mm', gauged: true },
    { key: 'saddleHoleMostMm', fig: ofHole(spec, 'holeMostMm'), unit: 'mm', gauged: true },
    { key: 'torqueNm', fig: torqueOf(spec), unit: 'Nm' },
  ],
  drawing,
})
