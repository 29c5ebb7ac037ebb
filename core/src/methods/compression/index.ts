import { type Finding, fig, finding, msg, noFig } from '../../sources/source.js'
import { inchToMm } from '../../units/units.js'
import { pipeInSocket, ring } from '../kit/drawing.js'
import { numberOf } from '../kit/inspection.js'
import { choiceRule } from '../kit/choice.js'
import { defineMethod } from '../kit/define.js'
import { measuredDepth, odOf } from '../kit/spec.js'
import type { Need } from '../method.js'
import { TABLES, KINDS, TURNS_TOLERANCE } from './rules.js'
import { anywhere, cts, mm, npsEach, od } from '../kit/joins.js'
import { bench } from './bench.js'
import { EXAMPLES } from './examples.js'
import { SOURCES } from './sources.js'
import { type CompressionSpec, depth, isTube, kindOf, practice, standsOff, turns, twin } from './spec.js'
import { steps } from './steps.js'
import { WORDS } from './words.js'
import type { Joins } from '../joinable.js'

const TUBE_OD = od(
  '1/16',
  '1/8',
  '3/16',
  '1/4',
  '5/16',
  '3/8',
  '1/2',
  '5/8',
  '3/4',
  '7/8',
  '1',
  '1-1/4',
  '1-1/2',
  '2',
)
const TUBE_MM = mm(2, 3, 4, 5, 6, 8, 10, 12, 14, 15, 16, 18, 20, 22, 25, 28, 30, 32, 35, 38, 42, 50)
const SERVICE_CTS = cts('3/4', '1', '1-1/4', '1-1/2', '2')
const JOINS: Joins = {
  stainless: anywhere(TUBE_OD, TUBE_MM),
  copper: anywhere(TUBE_OD, TUBE_MM, SERVICE_CTS),
  pfa: anywhere(TUBE_OD, TUBE_MM),
  pe: anywhere(SERVICE_CTS, npsEach('3/4', '1', '1-1/4', '1-1/2', '2')),
  pex: anywhere(SERVICE_CTS),
}
/** Twin-ferrule tube fittings and the four service-line nuts. Nothing cures; turns and marks are the proof. */
export const compression = defineMethod<CompressionSpec, typeof WORDS>({
  id: 'compression',
  version: 1,
  joins: JOINS,
  ends: [{ kind: 'compression-nut', meets: 'plain', said: ['compression', 'comp'], takes: 'any' }],
  words: WORDS,
  bench,
  sources: SOURCES,
  tables: TABLES,
  works: { minutes: 5, perMm: 0.15 },
  findBy: ['compression', 'ferrule', 'ferrules', 'nut'],
  differs: {
    'compression-start': { inch: null, metric: null },
    'compression-turns': { inch: null, metric: null },
  },
  examples: EXAMPLES,
  cutOutTakes: 'end',
  fields: [
    measuredDepth(120),
    { key: 'kind', label: msg('field-compression-kind'), needed: false, control: 'choice', options: KINDS },
    { key: 'hardAlloy', label: msg('field-hard-alloy'), needed: false, control: 'yes-no' },
    { key: 'remake', label: msg('field-remake'), needed: false, control: 'yes-no' },
    {
      key: 'ownTurns',
      label: msg('field-own-turns'),
      needed: false,
      unit: 'turns',
      min: 0.1,
      max: 6,
      control: 'turns',
    },
  ],
  check: (spec): Finding[] => {
    if (!spec.kind && !isTube(spec))
      return [finding('stop', 'kind-needed', 'given', { field: 'kind' }, 'kind')]
    if (spec.kind && (spec.kind === 'twin-ferrule') !== isTube(spec))
      return [finding('stop', 'kind-not-for-size', 'given', { kind: spec.kind, size: spec.size }, 'kind')]
    return []
  },
  practice,
  depth,
  params: (spec) => {
    const asked = turns(spec)
    return {
      kind: kindOf(spec),
      depthMm: depth(spec).value ?? -1,
      turnsMin: asked.turnsMin ?? -1,
      turnsTo: asked.turnsMax === asked.turnsMin ? 0 : (asked.turnsMax ?? 0),
      clock: asked.markEndsAtClock ?? 0,
      start: asked.start,
      remake: spec.remake ? 1 : 0,
      plastic: spec.material === 'pe' || spec.material === 'pex' ? 1 : 0,
      offMm: inchToMm(1 / 8),
    }
  },
  steps,
  mends: { 'turns-short': 'turn', 'nut-not-at-stop': 'turn' },
  judge: (spec, readings) => {
    const asked = turns(spec)
    const findings: Finding[] = []
    const turned = numberOf(readings, 'turns')
    if (turned !== null && asked.turnsMin !== null && asked.turnsMax !== null) {
      if (turned > asked.turnsMax + TURNS_TOLERANCE)
        findings.push(finding('stop', 'turns-over', asked.source, { turns: turned, max: asked.turnsMax }))
      else if (turned < asked.turnsMin - TURNS_TOLERANCE)
        findings.push(finding('warn', 'turns-short', asked.source, { turns: turned, min: asked.turnsMin }))
    }
    if (readings.stop === 'not-yet') findings.push(finding('warn', 'nut-not-at-stop', asked.source))
    if (readings.mark === 'not-moved') findings.push(finding('stop', 'tube-not-home', practice))
    if (readings.mark === 'moved-out') findings.push(finding('stop', 'tube-pulled-out', practice))
    return { findings, causes: [] }
  },
  interrupted: [
    { after: 'ready', code: 'interrupted-compression-ready' },
    { after: 'start', code: 'interrupted-compression-start' },
    { after: 'turn', code: 'interrupted-compression-turn' },
  ],
  beforeTest: [finding('warn', 'test-before-backfill', practice)],
  needs: (spec): Need[] => [
    {
      item: 'fitting',
      lasts: false,
      qty: fig(1, practice),
      unit: 'count',
      matches: { kind: kindOf(spec), size: spec.size },
    },
    ...(spec.material === 'pe' || spec.material === 'pex'
      ? [
          {
            item: 'insert-stiffener',
            lasts: false,
            qty: fig(1, practice),
            unit: 'count' as const,
            matches: { size: spec.size },
          },
        ]
      : []),
  ],
  cautions: () => [
    finding('warn', 'caution-compression-pressure', practice),
    finding('warn', 'caution-hot-media', practice),
  ],
  rules: [
    choiceRule(
      'warn',
      'choice-compression-preset',
      'cp-compression-turns',
      [],
      (spec) => twin(spec) && turns(spec).preset,
    ),
    choiceRule(
      'stop',
      'choice-compression-mixed',
      practice,
      ['makers'],
      (_s, a) => a.makers === 'mixed-makers',
    ),
    choiceRule(
      'warn',
      'choice-compression-stiffener',
      practice,
      [],
      (spec) => (spec.material === 'pe' || spec.material === 'pex') && kindOf(spec) !== 'stab',
    ),
    choiceRule('warn', 'choice-stab-class', practice, [], (spec) => kindOf(spec) === 'stab'),
    choiceRule('warn', 'choice-backfill', practice, ['buried'], (_s, a) => a.buried === 'yes'),
  ],
  figures: (spec) => {
    const asked = turns(spec)
    return [
      { key: 'depthMm', fig: depth(spec), unit: 'mm' },
      {
        key: 'turnsMin',
        fig: asked.turnsMin === null ? noFig(msg('turns-to-stop')) : fig(asked.turnsMin, asked.source),
        unit: 'turns',
      },
      {
        key: 'turnsMax',
        fig: asked.turnsMax === null ? noFig(msg('turns-to-stop')) : fig(asked.turnsMax, asked.source),
        unit: 'turns',
      },
      ...(standsOff(spec)
        ? [{ key: 'offBottomMm' as const, fig: fig(inchToMm(1 / 8), 'cp-service-gap'), unit: 'mm' as const }]
        : []),
    ]
  },
  drawing: (spec, state) => {
    const od = odOf(spec)
    const depthMm = depth(spec).value ?? od * 1.6
    const shapes = pipeInSocket(spec, depthMm, state)
    const nut = ring('nut', -od * 0.9, depthMm * 0.25, od * 1.05, od * 2)
    if (!twin(spec)) return [...shapes, nut, ring('seal', -od * 0.15, depthMm * 0.2, od, od * 1.3)]
    return [
      ...shapes,
      nut,
      ring('ferrule', 0, od * 0.3, od, od * 1.25),
      ring('ferrule', -od * 0.25, 0, od, od * 1.25),
    ]
  },
})
