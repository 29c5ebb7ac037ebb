import { EDGE_C } from '../../units/units.js'
import { type Fig, type Finding, fig, finding, msg, noFig } from '../../sources/source.js'
import { pipeInSocket, ring } from '../kit/drawing.js'
import { choiceRule } from '../kit/choice.js'
import { defineMethod } from '../kit/define.js'
import { type BaseSpec, measuredDepth, odOf, ownFig } from '../kit/spec.js'
import type { Need } from '../method.js'
import { RESAND_AFTER_S, RESIN_RULE, SAND_BEYOND_MM, catalystAt, cutFromC, resinCureS } from './rules.js'
import { anywhere, nps } from '../kit/joins.js'
import { bench } from './bench.js'
import { EXAMPLES } from './examples.js'
import { SOURCES } from './sources.js'
import { WORDS } from './words.js'
import { choiceRead } from '../kit/steps.js'
import type { Joins } from '../joinable.js'

interface BondSpec extends BaseSpec {
  socketDepthMm: number | null
}
const RESIN = anywhere(nps('1', '14'))
const JOINS: Joins = { 'epoxy-resin': RESIN, 'vinyl-ester-resin': RESIN, 'cored-resin': RESIN }
const practice = 'cp-resin-steps'
const depth = (spec: BondSpec): Fig =>
  ownFig(spec, 'socketDepthMm', noFig(msg('depth-measure', { size: spec.size }), 'socketDepthMm'))
const plus = (f: Fig, mm: number): Fig => (f.value === null ? f : fig(f.value + mm, f.source))
const dust = finding('warn', 'caution-resin-dust', practice)
/** Epoxy hardens with an amine: there is no peroxide in its kit. */
const peroxide = (spec: BondSpec): Finding[] =>
  spec.material === 'epoxy-resin' ? [] : [finding('stop', 'caution-resin-peroxide', practice)]
const skin = finding('warn', 'caution-resin-skin', practice)

/** Adhesive-bonded resin pipe: epoxy, vinyl ester, resin-lined cored. */
export const adhesiveBond = defineMethod<BondSpec, typeof WORDS>({
  id: 'adhesive-bond',
  key: 'bond',
  version: 1,
  joins: JOINS,
  ends: [{ kind: 'bond-socket', meets: 'plain', said: ['bonded', 'bond', 'bell'] }],
  words: WORDS,
  bench,
  sources: SOURCES,
  works: { minutes: 20, perMm: 0.2 },
  findBy: ['adhesive', 'bond', 'bonded', 'resin', 'frp'],
  examples: EXAMPLES,
  fields: [measuredDepth(400)],
  practice,
  depth,
  marks: (_spec, fig) => [
    { kind: 'depth', fromEndMm: fig },
    { kind: 'sand', fromEndMm: plus(fig, SAND_BEYOND_MM) },
  ],
  shortMaxMm: 3,
  overMaxMm: 3,
  params: (spec, ctx) => ({
    depthMm: depth(spec).value ?? -1,
    sandMm: plus(depth(spec), SAND_BEYOND_MM).value ?? -1,
    cutFromC: cutFromC(spec.material),
    epoxy: spec.material === 'epoxy-resin' ? 1 : 0,
    // Without a temperature nothing is said of the catalyst.
    catalyst: (ctx.airC === null ? null : catalystAt(spec.material, ctx.airC).value) ?? '',
  }),
  steps: (spec) => [
    {
      id: 'sand',
      reaches: 'prepared',
      exceptions: [
        ['wet', 'sand'],
        ['damaged', 'cut-out'],
      ],
      cautions: [dust],
      tools: ['tool-resin-saw', 'tool-resin-grit'],
      never: ['never-toothed-blade', 'never-flap-wheel', 'never-resin-solvent'],
    },
    {
      id: 'mix',
      exceptions: [['not-uniform', 'mix']],
      cautions: [...peroxide(spec), skin],
      tools: ['tool-resin-kit', 'tool-resin-gloves'],
      skip: 'stop',
    },
    {
      id: 'bond',
      reaches: 'made',
      exceptions: [
        ['gelled', 'mix'],
        ['not-bottomed', 'cut-out'],
      ],
      cautions: [skin],
    },
    {
      id: 'fillet',
      exceptions: [['moved', 'on']],
      cautions: [finding('warn', 'caution-resin-hot', practice)],
    },
    {
      id: 'look',
      reaches: 'verified',
      exceptions: [['cannot-see', 'on']],
      reads: [
        choiceRead('home', 'field-bond-home', ['bottomed', 'short']),
        choiceRead('fillet', 'field-bond-fillet', ['all-round', 'gaps']),
      ],
    },
  ],
  clocks: () => [
    {
      id: 'sanded',
      step: 'sand',
      kind: 'window',
      shows: 'window',
      lastsS: fig(RESAND_AFTER_S, 'cp-resin-sand'),
      stoppedBy: ['bond'],
      backTo: 'sand',
    },
    {
      id: 'pot-life',
      step: 'mix',
      kind: 'window',
      shows: 'window',
      lastsS: noFig(msg('pot-life-by-kit')),
      stoppedBy: ['bond'],
      backTo: 'mix',
    },
    {
      id: 'fillet',
      step: 'fillet',
      kind: 'dwell',
      shows: 'set',
      lastsS: noFig(msg('fillet-by-touch')),
      backTo: 'look',
    },
  ],
  cure: () => RESIN_RULE,
  mends: { 'bond-fillet-gaps': 'fillet' },
  judge: (_spec, readings) => {
    const findings = []
    if (readings.home === 'short') findings.push(finding('stop', 'bond-short', practice))
    if (readings.fillet === 'gaps') findings.push(finding('warn', 'bond-fillet-gaps', practice))
    return {
      findings,
      causes: readings.home === 'short' ? [msg('cause-bond-gelled')] : [],
    }
  },
  interrupted: [
    { after: 'sand', code: 'interrupted-bond-sanded' },
    { after: 'sand', kind: 'rain', code: 'interrupted-bond-wet' },
    { after: 'mix', code: 'interrupted-bond-mixed' },
    { after: 'bond', code: 'interrupted-bond-moved' },
    { after: 'fillet', kind: 'power', code: 'interrupted-bond-blanket' },
  ],
  beforeTest: [finding('warn', 'test-bond-cured', 'cp-resin-cure')],
  needs: (spec): Need[] => [
    {
      item: 'adhesive-kit',
      lasts: false,
      qty: noFig(msg('quantity-unknown')),
      unit: 'none',
      matches: { resin: spec.material },
    },
    {
      item: 'grit',
      lasts: false,
      qty: noFig(msg('quantity-unknown')),
      unit: 'none',
      matches: { grit: '36-60' },
    },
    { item: 'heat-blanket', lasts: true, qty: fig(1, practice), unit: 'count', matches: { size: spec.size } },
  ],
  cautions: (spec) => [
    ...peroxide(spec),
    skin,
    dust,
    finding('warn', 'caution-resin-left-over', practice),
    finding('warn', 'caution-resin-hot', practice),
  ],
  rules: [
    choiceRule(
      'stop',
      'choice-bond-cold-pipe',
      'cp-resin-cut',
      [],
      (spec, _a, ctx) => ctx.wallC !== null && ctx.wallC < cutFromC(spec.material) - EDGE_C,
    ),
    choiceRule(
      'stop',
      'choice-bond-cold-air',
      'cp-resin-catalyst',
      [],
      (spec, _a, ctx) => ctx.airC !== null && catalystAt(spec.material, ctx.airC).why !== null,
    ),
    choiceRule(
      'warn',
      'choice-bond-blanket',
      'cp-resin-cure',
      [],
      (_s, _a, ctx) => ctx.airC !== null && resinCureS(ctx.airC).value === null,
    ),
  ],
  figures: (spec, ctx) => [
    { key: 'depthMm', fig: depth(spec), unit: 'mm' },
    { key: 'sandBeyondMm', fig: fig(SAND_BEYOND_MM, 'cp-resin-sand'), unit: 'mm' },
    { key: 'resandAfterS', fig: fig(RESAND_AFTER_S, 'cp-resin-sand'), unit: 's' },
    { key: 'cutFromC', fig: fig(cutFromC(spec.material), 'cp-resin-cut'), unit: 'C' },
    { key: 'cureS', fig: ctx.airC === null ? noFig(msg('no-temperature')) : resinCureS(ctx.airC), unit: 's' },
  ],
  drawing: (spec, state) => {
    const od = odOf(spec)
    const depthMm = depth(spec).value ?? od * 0.5
    const shapes = pipeInSocket(spec, depthMm, state)
    if (state.made) return [...shapes, ring('bead', -od * 0.08, 0, od, od * 1.12)]
    return [...shapes, { kind: 'mark', at: -depthMm * 0.35 - depthMm - SAND_BEYOND_MM, as: 'sand' }]
  },
})
