import { finding, fig, msg } from '../../sources/source.js'
import { type BoltedSpec, boltFields, judgeTorque, torqueOf, torqueRead } from '../kit/bolted.js'
import { faceToFace, ring } from '../kit/drawing.js'
import { numberOf } from '../kit/inspection.js'
import { lookedOver } from '../kit/care.js'
import { choiceRule } from '../kit/choice.js'
import { defineMethod } from '../kit/define.js'
import { odOf } from '../kit/spec.js'
import type { Need } from '../method.js'
import { LARGE_PIPE } from '../kit/joins.js'
import { bench } from './bench.js'
import { EXAMPLES } from './examples.js'
import { WORDS } from './words.js'
import { choiceRead } from '../kit/steps.js'

const practice = 'cp-bolted-steps'
const body = finding('warn', 'caution-coupling-body', practice)

/** Split ring couplings on heavy process pipe. Nothing cures. */
export const splitCoupling = defineMethod<BoltedSpec, typeof WORDS>({
  id: 'split-coupling',
  key: 'coupling',
  version: 1,
  joins: LARGE_PIPE,
  ends: [{ kind: 'ringed-end', meets: 'ringed-end', said: ['ringed', 'ring'] }],
  words: WORDS,
  bench,
  sources: [],
  works: { minutes: 15, perMm: 0.1 },
  findBy: ['coupling', 'split'],
  examples: EXAMPLES,
  fields: [...boltFields],
  practice,
  params: (spec) => ({
    size: spec.size,
    torqueNm: torqueOf(spec).value ?? -1,
    lubricated: torqueOf(spec).value !== spec.dryTorqueNm ? 1 : 0,
  }),
  steps: (spec) => [
    {
      id: 'ready',
      reaches: 'marked',
      exceptions: [['part-missing', 'ready']],
      cautions: [body, finding('stop', 'caution-coupling-isolate', practice)],
      tools: ['tool-rigging', 'tool-parts-list'],
      skip: 'stop',
    },
    {
      id: 'gasket',
      reaches: 'prepared',
      exceptions: [['gap-to-ring', 'gasket']],
      tools: ['tool-seal-lubricant'],
    },
    {
      id: 'halves',
      reaches: 'assembled',
      exceptions: [['faces-apart', 'gasket']],
      cautions: [body],
      people: fig(2, practice),
    },
    {
      id: 'bolts',
      reaches: 'made',
      exceptions: [['bolt-stuck', 'halves']],
      cautions: [body],
      reads: [torqueRead(spec)],
      tools: ['tool-torque'],
    },
    {
      id: 'look',
      reaches: 'verified',
      exceptions: [['moved', 'on']],
      reads: [choiceRead('faces', 'field-faces', ['together', 'apart'])],
    },
  ],
  mends: { 'torque-over': 'bolts', 'torque-under': 'bolts' },
  judge: (spec, readings) => {
    const findings = judgeTorque(torqueOf(spec), numberOf(readings, 'torqueNm'), 'nut-factor', 'dryTorqueNm')
    if (readings.faces === 'apart') findings.push(finding('stop', 'coupling-faces-apart', practice))
    return {
      findings,
      causes: readings.faces === 'apart' ? [msg('cause-coupling-gap'), msg('cause-coupling-dry')] : [],
    }
  },
  interrupted: [
    { after: 'gasket', code: 'interrupted-coupling-open' },
    { after: 'halves', code: 'interrupted-coupling-hanging' },
  ],
  beforeTest: [finding('warn', 'test-rigging-off', practice)],
  needs: (spec): Need[] => [
    {
      item: 'coupling-gasket',
      lasts: false,
      qty: fig(1, practice),
      unit: 'count',
      matches: { size: spec.size },
    },
    { item: 'rigging', lasts: true, qty: fig(1, practice), unit: 'count', matches: {} },
  ],
  upkeep: (spec) => [lookedOver(torqueOf(spec))],
  cautions: () => [body, finding('stop', 'caution-coupling-isolate', practice)],
  rules: [
    choiceRule('stop', 'choice-coupling-lugs', practice, ['rigged'], (_s, a) => a.rigged === 'to-lugs'),
    choiceRule(
      'warn',
      'choice-torque-lubricated',
      'nut-factor',
      [],
      (spec) => spec.dryTorqueNm !== null && (spec.kDry === null || spec.kLubricated === null),
    ),
  ],
  figures: (spec) => [{ key: 'torqueNm', fig: torqueOf(spec), unit: 'Nm' }],
  drawing: (spec, state) => {
    const od = odOf(spec)
    const shapes = faceToFace(spec, od * 1.12, od * 0.06, state.made ? 1 : od * 0.04)
    if (!state.marked) return shapes
    const seal = ring('seal', -od * 0.1, od * 0.1, od * 1.12, od * 1.2)
    return state.made
      ? [...shapes, seal, ring('clamp', -od * 0.2, od * 0.2, od * 1.2, od * 1.42)]
      : [...shapes, seal]
  },
})
