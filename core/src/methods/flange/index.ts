import { fig, finding, msg, noFig } from '../../sources/source.js'
import { type BoltedSpec, boltFields, judgeTorque, torqueOf, torqueRead } from '../kit/bolted.js'
import { faceToFace, ring } from '../kit/drawing.js'
import { numberOf } from '../kit/inspection.js'
import { lookedOver } from '../kit/care.js'
import { choiceRule } from '../kit/choice.js'
import { defineMethod } from '../kit/define.js'
import { odOf } from '../kit/spec.js'
import type { Need } from '../method.js'
import { starOrder } from '../kit/torque.js'
import { LARGE_PIPE } from '../kit/joins.js'
import { bench } from './bench.js'
import { EXAMPLES } from './examples.js'
import { WORDS } from './words.js'
import { choiceRead } from '../kit/steps.js'

const practice = 'asme-pcc-1'
const opened = finding('stop', 'caution-flange-open', practice)
const plastic = (material: string): boolean => material === 'pvc' || material === 'pvc-u'

/** Bolted flanges: star order, passes of 30, 60 and 100 %, then round. Nothing cures. */
export const flange = defineMethod<BoltedSpec, typeof WORDS>({
  id: 'flange',
  version: 1,
  joins: LARGE_PIPE,
  ends: [{ kind: 'flange', meets: 'flange', said: ['flanged', 'flange', 'flg'] }],
  words: WORDS,
  bench,
  sources: [],
  works: { minutes: 25, perMm: 0.2 },
  findBy: ['flange', 'flanges', 'bolts'],
  examples: EXAMPLES,
  fields: [...boltFields],
  practice,
  params: (spec) => ({
    size: spec.size,
    torqueNm: torqueOf(spec).value ?? -1,
    order: spec.bolts !== null && spec.bolts % 4 === 0 ? starOrder(spec.bolts).join(' ') : '',
  }),
  steps: (spec) => [
    {
      id: 'align',
      reaches: 'marked',
      exceptions: [
        ['pulls', 'align'],
        ['face-bad', 'cut-out'],
      ],
      cautions: [opened],
      skip: 'stop',
    },
    {
      id: 'gasket',
      reaches: 'assembled',
      exceptions: [['gasket-bad', 'gasket']],
      tools: ['tool-gasket', 'tool-studs'],
    },
    {
      id: 'star',
      reaches: 'made',
      exceptions: [['bolt-stuck', 'gasket']],
      reads: [torqueRead(spec)],
      tools: ['tool-torque'],
    },
    {
      id: 'look',
      reaches: 'verified',
      exceptions: [['cannot-see', 'on']],
      reads: [choiceRead('faces', 'field-faces', ['even', 'uneven'])],
    },
  ],
  mends: { 'torque-over': 'star', 'torque-under': 'star' },
  judge: (spec, readings) => {
    const findings = judgeTorque(torqueOf(spec), numberOf(readings, 'torqueNm'), practice, 'dryTorqueNm')
    if (readings.faces === 'uneven') findings.push(finding('stop', 'flange-uneven', practice))
    return {
      findings,
      causes: readings.faces === 'uneven' ? [msg('cause-flange-order')] : [],
    }
  },
  interrupted: [{ after: 'gasket', code: 'interrupted-bolts-loose' }],
  beforeTest: [finding('warn', 'test-flange-gauge', practice)],
  needs: (spec): Need[] => [
    { item: 'gasket', lasts: false, qty: fig(1, practice), unit: 'count', matches: { size: spec.size } },
    {
      item: 'bolts',
      lasts: false,
      qty: spec.bolts === null ? noFig(msg('by-the-flange')) : fig(spec.bolts, 'given'),
      unit: 'count',
      matches: {},
    },
  ],
  upkeep: (spec) => [lookedOver(torqueOf(spec))],
  cautions: () => [opened],
  rules: [
    choiceRule('warn', 'choice-flange-plastic', practice, [], (spec) => plastic(spec.material)),
    choiceRule(
      'warn',
      'choice-torque-lubricated',
      'nut-factor',
      [],
      (spec) => spec.dryTorqueNm !== null && (spec.kDry === null || spec.kLubricated === null),
    ),
  ],
  figures: (spec) => [
    { key: 'torqueNm', fig: torqueOf(spec), unit: 'Nm' },
    { key: 'passOnePct', fig: fig(30, practice), unit: 'pct' },
    { key: 'passTwoPct', fig: fig(60, practice), unit: 'pct' },
    { key: 'passThreePct', fig: fig(100, practice), unit: 'pct' },
  ],
  drawing: (spec, state) => {
    const od = odOf(spec)
    const gap = state.made ? 2 : od * 0.05
    const shapes = faceToFace(spec, od * 1.7, od * 0.1, gap)
    const seal = ring('seal', -gap / 2, gap / 2, od, od * 1.35)
    const bolts = state.made ? [ring('bolt', -od * 0.16, od * 0.16, od * 1.46, od * 1.56)] : []
    return [...shapes, seal, ...bolts]
  },
})
