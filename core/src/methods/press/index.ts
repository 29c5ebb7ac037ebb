import { pressDepthMm } from '../../sizes/insertions.js'
import { fig, finding, msg, noFig } from '../../sources/source.js'
import { pipeInSocket, ring } from '../kit/drawing.js'
import { choiceRule } from '../kit/choice.js'
import { defineMethod } from '../kit/define.js'
import { type BaseSpec, measuredDepth, odOf, ownFig, sizeOf } from '../kit/spec.js'
import type { Field, Need } from '../method.js'
import { psiToBar } from '../../units/units.js'
import { LEAK_CHECK_PSI, judgePress, pressClearance } from './rules.js'
import { anywhere, cts, mm, npsEach } from '../kit/joins.js'
import { bench } from './bench.js'
import { EXAMPLES } from './examples.js'
import { SOURCES } from './sources.js'
import { WORDS } from './words.js'
import { choiceRead } from '../kit/steps.js'
import type { Joins } from '../joinable.js'

interface PressSpec extends BaseSpec {
  socketDepthMm: number | null
  /** Room that the tool needs between pipe and wall, by its maker. */
  toolRoomMm: number | null
  /** Profile that the fitting's maker asks of the jaw. */
  profile: string | null
}
const INCH = ['1/2', '3/4', '1', '1-1/4', '1-1/2', '2', '2-1/2', '3', '4'] as const
const METRIC_OD = mm(15, 18, 22, 28, 35, 42, 54, 66.7, 76.1, 88.9, 108)
const JOINS: Joins = {
  copper: anywhere(cts(...INCH), mm(12, 14, 16, 64), METRIC_OD),
  stainless: anywhere(METRIC_OD, npsEach(...INCH)),
  'carbon-steel': anywhere(npsEach(...INCH), METRIC_OD),
  multilayer: anywhere(mm(14, 16, 18, 20, 25, 26, 32, 40, 50, 63)),
}
const practice = 'cp-press-steps'
const depth = (spec: PressSpec) => ownFig(spec, 'socketDepthMm', pressDepthMm(spec.material, sizeOf(spec)))
/** Jaws for small sizes, a sling with an adapter for large ones. */
const usesSling = (spec: PressSpec): boolean => {
  const size = sizeOf(spec)
  if (spec.material === 'multilayer') return size.nominal >= 40
  return size.family === 'd' ? size.nominal >= 64 : size.nominal >= 2.5
}

const TOOL_ROOM: Field = {
  key: 'toolRoomMm',
  label: msg('field-tool-room'),
  needed: false,
  unit: 'mm',
  min: 1,
  max: 1000,
  control: 'length',
}

const PROFILE: Field = { key: 'profile', label: msg('field-press-profile'), needed: false, control: 'scan' }

/** Press joints of copper, carbon steel, stainless and multilayer pipe. Nothing cures; every joint must really be pressed. */
export const press = defineMethod<PressSpec, typeof WORDS>({
  id: 'press',
  version: 1,
  joins: JOINS,
  ends: [{ kind: 'press-end', meets: 'plain', said: ['press', 'pressed'], takes: 'brass' }],
  words: WORDS,
  bench,
  sources: SOURCES,
  works: { minutes: 3, perMm: 0.06 },
  findBy: ['press', 'pressed', 'crimp'],
  differs: { 'press-lubricant': { inch: null, metric: null } },
  examples: EXAMPLES,
  fields: [measuredDepth(200), TOOL_ROOM, PROFILE],
  practice,
  depth,
  shortMaxMm: 0,
  overMaxMm: 3,
  clearances: (spec) => [
    { to: 'weld', minMm: pressClearance(sizeOf(spec)) },
    { to: 'bend', minMm: pressClearance(sizeOf(spec)) },
    { to: 'wall', minMm: ownFig(spec, 'toolRoomMm', noFig(msg('tool-room-unknown')), 'given') },
    { to: 'fitting', minMm: fig(Math.max(10, odOf(spec)), 'cp-press-spacing') },
  ],
  params: (spec) => ({
    depthMm: depth(spec).value ?? -1,
    tool: usesSling(spec) ? 'sling' : 'jaw',
    layered: spec.material === 'multilayer' ? 1 : 0,
    size: spec.size,
  }),
  steps: (spec) => [
    {
      id: 'insert',
      reaches: 'assembled',
      exceptions: [
        ['seal-lifted', 'insert'],
        ['mark-not-reached', 'insert'],
        ['surface-bad', 'cut-out'],
      ],
      tools: [
        'tool-wheel-cutter',
        'tool-deburrer',
        spec.material === 'multilayer' ? 'tool-calibrator' : 'tool-marker',
      ],
      never: ['never-press-saw', 'never-press-grinder', 'never-press-snap', 'never-press-oil'],
      skip: 'stop',
    },
    {
      id: 'press',
      reaches: 'made',
      exceptions: [
        ['cycle-broke', 'press'],
        ['wrong-jaw', 'cut-out'],
      ],
      cautions: [finding('warn', 'caution-press-pinch', practice)],
      tools: [usesSling(spec) ? 'tool-press-sling' : 'tool-press-jaw'],
    },
    {
      id: 'look',
      reaches: 'verified',
      reads: [
        choiceRead('indicator', 'field-press-indicator', ['gone', 'there']),
        choiceRead('edge', 'field-press-edge', ['at-edge', 'off-edge']),
      ],
    },
  ],
  mends: { 'press-tab-there': 'press' },
  judge: (spec, readings) => {
    const verdict = judgePress(spec.material, sizeOf(spec), {
      indicatorGone: readings.indicator === undefined ? null : readings.indicator === 'gone',
      markAtEdge: readings.edge === undefined ? null : readings.edge === 'at-edge',
    })
    const causes = verdict.verdict === 'fail' ? [msg('cause-press-not-in'), msg('cause-press-jaw')] : []
    return { findings: verdict.findings, causes }
  },
  interrupted: [
    { after: 'insert', code: 'interrupted-press-insert' },
    { after: 'insert', kind: 'power', code: 'interrupted-press-cycle' },
    { after: 'press', code: 'interrupted-press-look' },
  ],
  beforeTest: [
    finding('warn', 'test-press-leak-check', 'cp-press-leak-check', {
      airBar: psiToBar(LEAK_CHECK_PSI.air),
      waterBar: psiToBar(LEAK_CHECK_PSI.water),
    }),
  ],
  needs: (spec): Need[] => [
    {
      item: 'press-tool',
      lasts: true,
      qty: fig(1, practice),
      unit: 'count',
      matches: {},
    },
    {
      item: usesSling(spec) ? 'sling' : 'jaw',
      lasts: true,
      qty: fig(1, practice),
      unit: 'count',
      matches: { size: spec.size, ...(spec.profile === null ? {} : { profile: spec.profile }) },
    },
    { item: 'fitting-seal', lasts: false, qty: noFig(msg('by-the-medium')), unit: 'none', matches: {} },
  ],
  cautions: () => [
    finding('warn', 'caution-press-pinch', practice),
    finding('warn', 'caution-press-drop', practice),
    finding('warn', 'caution-press-air', 'cp-press-leak-check'),
  ],
  rules: [
    choiceRule(
      'stop',
      'choice-press-drinking-steel',
      practice,
      ['medium'],
      (spec, a) => spec.material === 'carbon-steel' && a.medium === 'drinking-water',
    ),
    choiceRule(
      'stop',
      'choice-press-oil-epdm',
      practice,
      ['medium', 'seal'],
      (_s, a) => a.medium === 'compressor-oil' && a.seal === 'EPDM',
    ),
    choiceRule('warn', 'choice-press-solder-first', practice, ['beside'], (_s, a) => a.beside === 'solder'),
    choiceRule('stop', 'choice-press-lubricant', 'cp-press-lubricant', ['lubricant'], (_s, around) =>
      ['oil', 'grease', 'silicone'].includes(around.lubricant ?? ''),
    ),
    choiceRule(
      'warn',
      'choice-press-store-dry',
      'cp-press-store',
      [],
      (spec, _a, ctx) => spec.material === 'carbon-steel' && (ctx.humidityPct ?? 0) > 65,
    ),
  ],
  figures: (spec) => [
    { key: 'depthMm', fig: depth(spec), unit: 'mm' },
    { key: 'toWeldMm', fig: pressClearance(sizeOf(spec)), unit: 'mm' },
    { key: 'coatingMaxMm', fig: fig(0.3, 'cp-press-surface'), unit: 'mm' },
  ],
  drawing: (spec, state) => {
    const depthMm = depth(spec).value ?? odOf(spec)
    const od = odOf(spec)
    const groove = ring('seal', depthMm * 0.18, depthMm * 0.18 + Math.max(2, od * 0.08), od, od * 1.18)
    return [...pipeInSocket(spec, depthMm, state), groove]
  },
})
