import { type Finding, fig, finding, msg, noFig } from '../../sources/source.js'
import type { Code } from '../../sources/wording.js'
import { inchToMm } from '../../units/units.js'
import { drawnWall, ring } from '../kit/drawing.js'
import { numberOf } from '../kit/inspection.js'
import { choiceRule } from '../kit/choice.js'
import { defineMethod } from '../kit/define.js'
import { type BaseSpec, gapReads, measuredDepth, odOf, ownFig, seconds, sizeOf } from '../kit/spec.js'
import type { Field } from '../method.js'
import {
  TABLES,
  GAP_MAX_MM,
  GAP_MIN_MM,
  flareHeatS,
  flareHoldS,
  flareTorqueNm,
  flareWallMm,
} from './rules.js'
import { anywhere, od } from '../kit/joins.js'
import { bench } from './bench.js'
import { EXAMPLES } from './examples.js'
import { SOURCES } from './sources.js'
import { WORDS } from './words.js'
import type { Joins } from '../joinable.js'

interface FlareSpec extends BaseSpec {
  heatS: number | null
  minTorqueNm: number | null
  socketDepthMm: number | null
  grooved: boolean | null
  quenched: boolean | null
  cold: boolean | null
  /** Gap behind the nut, by the maker. */
  gapFromMm: number | null
  gapToMm: number | null
}
/** Least and most gap behind the nut, mm, each with its source. */
const gapLimits = (spec: FlareSpec) => ({
  from: spec.gapFromMm ?? GAP_MIN_MM,
  to: spec.gapToMm ?? GAP_MAX_MM,
  fromSource: spec.gapFromMm ? (spec.from?.gapFromMm ?? 'given') : 'cp-flare-gap',
  toSource: spec.gapToMm ? (spec.from?.gapToMm ?? 'given') : 'cp-flare-gap',
})
const gapField = (key: string, label: Code): Field => ({
  key,
  label: msg(label),
  needed: false,
  unit: 'mm',
  min: 0.05,
  max: 15,
  control: 'gap-round',
})
const JOINS: Joins = { pfa: anywhere(od('1/4', '3/8', '1/2', '3/4', '1', '1-1/4')) }
const practice = 'cp-flare'
const heat = (spec: FlareSpec) => ownFig(spec, 'heatS', flareHeatS(sizeOf(spec)))
const torque = (spec: FlareSpec) => ownFig(spec, 'minTorqueNm', flareTorqueNm(sizeOf(spec)))
const hot = [
  finding('warn', 'caution-flare-burn', practice),
  finding('warn', 'caution-flare-fumes', practice),
]

/** Flared fluoropolymer tube: plain, grooved, and cold where tube has carried chemicals. */
export const flare = defineMethod<FlareSpec, typeof WORDS>({
  id: 'flare',
  version: 1,
  joins: JOINS,
  ends: [{ kind: 'flare-nose', meets: 'plain', said: ['flared', 'flare'], takes: 'any' }],
  words: WORDS,
  bench,
  sources: SOURCES,
  tables: TABLES,
  works: { minutes: 15, perMm: 0.3 },
  findBy: ['flare', 'flared'],
  examples: EXAMPLES,
  cutOutTakes: 'end',
  fields: [
    measuredDepth(80),
    seconds('heatS', 'field-heat', 600),
    {
      key: 'minTorqueNm',
      label: msg('field-torque'),
      needed: false,
      unit: 'Nm',
      min: 0.1,
      max: 100,
      control: 'torque',
    },
    { key: 'grooved', label: msg('field-grooved'), needed: false, control: 'yes-no' },
    { key: 'quenched', label: msg('field-quenched'), needed: false, control: 'yes-no' },
    { key: 'cold', label: msg('field-cold-flare'), needed: false, control: 'yes-no' },
    gapField('gapFromMm', 'field-gap-from'),
    gapField('gapToMm', 'field-gap-to'),
  ],
  practice,
  depth: (spec) =>
    ownFig(spec, 'socketDepthMm', noFig(msg('insertion-unknown', { size: spec.size }), 'socketDepthMm')),
  marks: () => [],
  params: (spec) => ({
    size: spec.size,
    wallMm: flareWallMm(sizeOf(spec)).value ?? -1,
    grooved: spec.grooved ? 1 : 0,
    cold: spec.cold ? 1 : 0,
    heatS: heat(spec).value ?? -1,
    holdS: flareHoldS(spec.quenched ?? false).value ?? -1,
    quenched: spec.quenched ? 1 : 0,
    torqueNm: torque(spec).value ?? -1,
    gapMinMm: gapLimits(spec).from,
    gapMaxMm: gapLimits(spec).to,
  }),
  steps: (spec) => [
    {
      id: 'nut',
      reaches: 'marked',
      exceptions: [
        ['wrong-wall', 'cut-out'],
        ['not-square', 'nut'],
      ],
      tools: ['tool-tube-cutter', ...(spec.grooved ? (['tool-groover'] as const) : [])],
      never: ['never-flare-knife'],
      skip: 'stop',
    },
    spec.cold
      ? null
      : {
          id: 'heat',
          reaches: 'prepared',
          exceptions: [['kinked', 'nut']],
          cautions: hot,
          tools: ['tool-heat-source'],
        },
    {
      id: 'form',
      exceptions: [
        ['uneven', 'nut'],
        ['shrank-back', 'nut'],
      ],
      cautions: spec.cold ? [] : hot,
      tools: [spec.cold ? 'tool-cold-flare' : 'tool-mandrel'],
    },
    {
      id: 'fit',
      reaches: 'made',
      exceptions: [['wont-go-on', 'cut-out']],
      cautions: [finding('warn', 'caution-flare-chemical', practice)],
      tools: ['tool-torque'],
    },
    {
      id: 'look',
      reaches: 'verified',
      exceptions: [['cannot-measure', 'on']],
      reads: gapReads('gap-round', 15),
    },
  ],
  clocks: (spec) => [
    spec.cold
      ? null
      : {
          id: 'heat',
          step: 'heat',
          kind: 'exact' as const,
          shows: 'hold' as const,
          lastsS: heat(spec),
          stoppedBy: ['form'],
          backTo: 'nut',
        },
    {
      id: 'mandrel',
      step: 'form',
      kind: 'dwell',
      shows: 'hold',
      lastsS: flareHoldS(spec.quenched ?? false),
      stoppedBy: ['fit'],
      backTo: 'nut',
    },
  ],
  mends: { 'readings-contradict': 'look' },
  judge: (spec, readings) => {
    const findings: Finding[] = []
    const [min, max] = [numberOf(readings, 'gapMinMm'), numberOf(readings, 'gapMaxMm')]
    if (min !== null && max !== null && min > max)
      return { findings: [finding('warn', 'readings-contradict', practice, { a: min, b: max })] }
    const gap = gapLimits(spec)
    if (max !== null && max > gap.to + 1e-9)
      findings.push(finding('stop', 'flare-short', gap.toSource, { mm: max, maxMm: gap.to }))
    if (min !== null && min < gap.from - 1e-9)
      findings.push(finding('stop', 'flare-gap-small', gap.fromSource, { mm: min, minMm: gap.from }))
    return { findings, causes: findings.length ? [msg('cause-flare-heat'), msg('cause-flare-square')] : [] }
  },
  interrupted: [
    { after: 'nut', code: 'interrupted-flare-cold' },
    { after: 'heat', code: 'interrupted-flare-hot' },
    { after: 'form', code: 'interrupted-flare-mandrel' },
  ],
  beforeTest: [finding('warn', 'test-flare-water', practice)],
  needs: (spec) => [
    { item: 'mandrel', lasts: true, qty: fig(1, practice), unit: 'count', matches: { size: spec.size } },
    { item: 'nut', lasts: false, qty: fig(1, practice), unit: 'count', matches: { size: spec.size } },
  ],
  cautions: () => [...hot, finding('warn', 'caution-flare-chemical', practice)],
  rules: [
    choiceRule(
      'stop',
      'choice-flare-carried-chemical',
      practice,
      ['carriedChemical'],
      (spec, a) => a.carriedChemical === 'yes' && !spec.cold,
    ),
    choiceRule(
      'stop',
      'choice-solder-permit',
      'cp-hot-work',
      [],
      (spec, a) => a.hotWorkPermit === false && !spec.cold,
    ),
    choiceRule(
      'warn',
      'choice-flare-wall',
      'cp-pfa-wall',
      ['tubeWall'],
      (_s, a) => a.tubeWall === 'other-wall' || a.tubeWall === 'not-measured',
    ),
  ],
  figures: (spec) => [
    { key: 'wallMm', fig: flareWallMm(sizeOf(spec)), unit: 'mm' },
    { key: 'heatS', fig: heat(spec), unit: 's' },
    { key: 'holdS', fig: flareHoldS(spec.quenched ?? false), unit: 's' },
    { key: 'gapMinMm', fig: fig(GAP_MIN_MM, 'cp-flare-gap'), unit: 'mm' },
    { key: 'gapMaxMm', fig: fig(GAP_MAX_MM, 'cp-flare-gap'), unit: 'mm' },
    { key: 'minTorqueNm', fig: torque(spec), unit: 'Nm' },
    { key: 'squareMm', fig: fig(inchToMm(0.07), practice), unit: 'mm' },
  ],
  drawing: (spec, state) => {
    const od = odOf(spec)
    const wall = drawnWall(spec)
    const end = state.made ? 0 : -od * 0.5
    return [
      { kind: 'pipe', x1: end - od * 2.2, x2: end, odMm: od, wallMm: wall },
      ring('ferrule', end - od * 0.7, end, od, od * 1.25),
      ring('fitting', -od * 0.75, od * 0.9, od * 0.45, od - wall * 2),
      ring('fitting', (GAP_MIN_MM + GAP_MAX_MM) / 2, od * 0.9, od - wall * 2, od * 1.5),
      ring('nut', end - od * 1.2, end + od * 0.4, od * 1.3, od * 1.8),
    ]
  },
})
