import { type Finding, fig, finding, msg } from '../../sources/source.js'
import { pipeInSocket, ring } from '../kit/drawing.js'
import { numberOf, passing } from '../kit/inspection.js'
import { choiceRule } from '../kit/choice.js'
import { defineMethod } from '../kit/define.js'
import { type BaseSpec, measuredDepth, odOf, ownFig, seconds, sizeOf } from '../kit/spec.js'
import type { Field, Need } from '../method.js'
import {
  TABLES,
  MAX_TILT_DEG,
  TEST_AFTER_COOL_S,
  TOOL_MAX_C,
  TOOL_MIN_C,
  TOOL_WIDE_C,
  heatS,
  rowOf,
} from './rules.js'
import { anywhere, metric } from '../kit/joins.js'
import { bench } from './bench.js'
import { EXAMPLES } from './examples.js'
import { SOURCES } from './sources.js'
import { WORDS } from './words.js'
import { choiceRead } from '../kit/steps.js'
import type { Joins } from '../joinable.js'

interface FusionSpec extends BaseSpec {
  heatS: number | null
  coolS: number | null
  socketDepthMm: number | null
}
const JOINS: Joins = { 'pp-r': anywhere(metric(16, 125)), 'pp-r-layered': anywhere(metric(16, 125)) }
const practice = 'cp-fusion-steps'
const depth = (spec: FusionSpec) =>
  ownFig(spec, 'socketDepthMm', fig(rowOf(sizeOf(spec)).depthMm, 'cp-fusion-depth'))
const heat = (spec: FusionSpec, airC: number | null) => ownFig(spec, 'heatS', heatS(sizeOf(spec), airC))
const cool = (spec: FusionSpec) => ownFig(spec, 'coolS', fig(rowOf(sizeOf(spec)).coolS, 'dvs-2207-11'))
const burns = finding('warn', 'caution-fusion-burn', practice)

const toolRead: Field = {
  key: 'toolC',
  label: msg('field-tool-temperature'),
  needed: true,
  unit: 'C',
  min: 100,
  max: 400,
  control: 'temperature',
}

/** Socket fusion of PP-R, plain and with an aluminium layer. */
export const socketFusion = defineMethod<FusionSpec, typeof WORDS>({
  id: 'socket-fusion',
  key: 'fusion',
  version: 1,
  joins: JOINS,
  ends: [{ kind: 'fusion-socket', meets: 'plain', said: ['fused', 'fusion'] }],
  words: WORDS,
  bench,
  sources: SOURCES,
  tables: TABLES,
  works: { minutes: 4, perMm: 0.12 },
  findBy: ['fusion', 'fuse', 'welding'],
  differs: { 'fusion-tool': { inch: 'a', metric: 'a' } },
  examples: EXAMPLES,
  fields: [measuredDepth(100), seconds('heatS', 'field-heat', 600), seconds('coolS', 'field-cool', 7200)],
  practice,
  depth,
  shortMaxMm: 1,
  overMaxMm: 1,
  params: (spec, ctx) => ({
    depthMm: depth(spec).value ?? -1,
    heatS: heat(spec, ctx.airC).value ?? -1,
    changeoverS: rowOf(sizeOf(spec)).changeoverS,
    layered: spec.material === 'pp-r-layered' ? 1 : 0,
    tiltDeg: MAX_TILT_DEG,
  }),
  steps: (spec) => [
    {
      id: 'ready',
      reaches: 'marked',
      exceptions: [
        ['foil-left', 'ready'],
        ['die-dirty', 'ready'],
      ],
      tools: [
        'tool-fusion-cutter',
        ...(spec.material === 'pp-r-layered' ? (['tool-peeler'] as const) : []),
        'tool-fusion-dies',
      ],
    },
    {
      id: 'heat',
      reaches: 'prepared',
      exceptions: [
        ['turned', 'cut-out'],
        ['lost-hold', 'ready'],
      ],
      cautions: [burns, finding('warn', 'caution-fusion-fumes', practice)],
      reads: [toolRead],
      skip: 'stop',
    },
    {
      id: 'join',
      reaches: 'made',
      exceptions: [
        ['too-slow', 'cut-out'],
        ['twisted', 'cut-out'],
      ],
      cautions: [burns],
    },
    {
      id: 'look',
      reaches: 'verified',
      exceptions: [['cannot-see', 'on']],
      reads: [
        choiceRead('fusionBead', 'field-fusion-bead', ['double-all-round', 'broken', 'bore-closed']),
        {
          key: 'tiltDeg',
          label: msg('field-tilt'),
          needed: true,
          unit: 'deg',
          min: 0,
          max: 45,
          control: 'turns',
        },
      ],
    },
  ],
  clocks: (spec, ctx) => {
    const row = rowOf(sizeOf(spec))
    const heating = heat(spec, ctx.airC)
    return [
      {
        id: 'heat',
        step: 'heat',
        kind: 'exact',
        shows: 'hold',
        lastsS: heating,
        stoppedBy: ['join'],
        backTo: 'cut-out',
      },
      {
        id: 'changeover',
        step: 'heat',
        kind: 'window',
        shows: 'window',
        lastsS: heating.value === null ? heating : fig(heating.value + row.changeoverS, 'dvs-2207-11'),
        stoppedBy: ['join'],
        backTo: 'cut-out',
      },
      {
        id: 'fix',
        step: 'join',
        kind: 'dwell',
        shows: 'hold',
        lastsS: fig(row.fixS, 'dvs-2207-11'),
        backTo: 'cut-out',
      },
      {
        id: 'cool',
        step: 'join',
        kind: 'dwell',
        shows: 'set',
        lastsS: cool(spec),
        backTo: 'look',
      },
    ]
  },
  cure: (spec) => {
    const own = cool(spec)
    const coolS = own.value ?? rowOf(sizeOf(spec)).coolS
    return {
      id: `fusion-cool/${spec.size}/${coolS}`,
      sourceAt: () => 'ours-fusion-ready',
      setSource: own.value === null ? 'dvs-2207-11' : own.source,
      classes: [{ toBar: null, requiredS: () => coolS + TEST_AFTER_COOL_S }],
      perBarS: null,
      setS: () => coolS,
      steady: true,
    }
  },
  judge: (_spec, readings) => {
    const findings: Finding[] = []
    const tool = numberOf(readings, 'toolC')
    if (tool !== null) {
      const params = { temperatureC: tool, minC: TOOL_MIN_C, maxC: TOOL_MAX_C }
      if (tool < TOOL_WIDE_C[0] || tool > TOOL_WIDE_C[1])
        findings.push(finding('stop', 'fusion-tool-off', 'cp-fusion-band', params))
      else if (tool < TOOL_MIN_C || tool > TOOL_MAX_C)
        findings.push(passing(finding('warn', 'fusion-tool-wide', 'cp-fusion-band', params)))
    }
    if (readings.fusionBead === 'broken') findings.push(finding('stop', 'fusion-bead-broken', practice))
    if (readings.fusionBead === 'bore-closed') findings.push(finding('stop', 'fusion-bore-closed', practice))
    const tilt = numberOf(readings, 'tiltDeg')
    if (tilt !== null && tilt > MAX_TILT_DEG)
      findings.push(finding('stop', 'fusion-tilted', practice, { deg: tilt }))
    return {
      findings,
      causes:
        readings.fusionBead === 'bore-closed'
          ? [msg('cause-fusion-too-deep')]
          : readings.fusionBead === 'broken'
            ? [msg('cause-fusion-cold')]
            : [],
    }
  },
  interrupted: [
    { after: 'ready', code: 'interrupted-fusion-ready' },
    { after: 'heat', code: 'interrupted-fusion-hot' },
    { after: 'join', code: 'interrupted-fusion-joined' },
  ],
  beforeTest: [finding('warn', 'test-fusion-hour', 'cp-fusion-test')],
  needs: (spec): Need[] => [
    {
      item: 'fusion-tool',
      lasts: true,
      qty: fig(1, practice),
      unit: 'count',
      matches: { dies: spec.size, layered: spec.material === 'pp-r-layered' ? 'yes' : 'no' },
    },
    ...(spec.material === 'pp-r-layered'
      ? [
          {
            item: 'peeler',
            lasts: true,
            qty: fig(1, practice),
            unit: 'count' as const,
            matches: { size: spec.size },
          },
        ]
      : []),
  ],
  cautions: () => [
    burns,
    finding('warn', 'caution-fusion-fumes', practice),
    finding('warn', 'caution-solder-fire', 'cp-hot-work'),
  ],
  rules: [
    choiceRule('stop', 'choice-fusion-peel', practice, [], (spec) => spec.material === 'pp-r-layered'),
    choiceRule('stop', 'choice-solder-permit', 'cp-hot-work', [], (_s, a) => a.hotWorkPermit === false),
    choiceRule(
      'warn',
      'choice-fusion-cold',
      'ours-fusion-cold',
      [],
      (_s, _a, ctx) => ctx.airC !== null && ctx.airC < 5,
    ),
  ],
  figures: (spec, ctx) => {
    const row = rowOf(sizeOf(spec))
    return [
      { key: 'depthMm', fig: depth(spec), unit: 'mm' },
      { key: 'heatS', fig: heat(spec, ctx.airC), unit: 's' },
      { key: 'changeoverS', fig: fig(row.changeoverS, 'dvs-2207-11'), unit: 's' },
      { key: 'fixS', fig: fig(row.fixS, 'dvs-2207-11'), unit: 's' },
      { key: 'coolS', fig: cool(spec), unit: 's' },
      { key: 'toolMinC', fig: fig(TOOL_MIN_C, 'dvs-2207-11'), unit: 'C' },
      { key: 'toolMaxC', fig: fig(TOOL_MAX_C, 'dvs-2207-11'), unit: 'C' },
    ]
  },
  drawing: (spec, state) => {
    const od = odOf(spec)
    const shapes = pipeInSocket(spec, depth(spec).value ?? od * 0.6, state)
    return state.made ? [...shapes, ring('bead', -od * 0.06, 0, od, od * 1.12)] : shapes
  },
})
