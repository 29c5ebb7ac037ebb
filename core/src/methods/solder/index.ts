import { cupDepthMm } from '../../sizes/copper.js'
import { fig, finding, msg, noFig } from '../../sources/source.js'
import { pipeInSocket, ring } from '../kit/drawing.js'
import { choiceRule } from '../kit/choice.js'
import { defineMethod } from '../kit/define.js'
import { type BaseSpec, measuredDepth, odOf, ownFig, sizeOf } from '../kit/spec.js'
import type { Field, Need } from '../method.js'
import { judgePeel, seenIn } from './peel.js'
import { COOL_MAX_S, FIRE_WATCH_S, solderWireMm } from './rules.js'
import { anywhere, cts, mm } from '../kit/joins.js'
import { bench } from './bench.js'
import { EXAMPLES } from './examples.js'
import { SOURCES } from './sources.js'
import { WORDS } from './words.js'
import { choiceRead } from '../kit/steps.js'
import type { Code } from '../../sources/wording.js'
import type { Joins } from '../joinable.js'

interface SolderSpec extends BaseSpec {
  socketDepthMm: number | null
  part: 'plain' | 'union' | 'ball-valve' | 'gate-valve' | null
}
const JOINS: Joins = {
  copper: anywhere(
    cts('1/4', '3/8', '1/2', '5/8', '3/4', '1', '1-1/4', '1-1/2', '2', '2-1/2', '3', '3-1/2', '4'),
    mm(6, 8, 10, 12, 14, 15, 16, 18, 22, 28, 35, 42, 54, 64, 66.7, 76.1, 88.9, 108),
  ),
}
const practice = 'cp-solder-steps'
const depth = (spec: SolderSpec) => ownFig(spec, 'socketDepthMm', cupDepthMm(sizeOf(spec)))
const hotWork = [
  finding('warn', 'caution-solder-fire', 'cp-hot-work'),
  finding('warn', 'caution-solder-steam', practice),
]

/** What is asked of a part that heat could spoil, before the flame. */
const asked = (key: string, label: Code, ...options: string[]): Field[] => [
  { key, label: msg(label), needed: true, control: 'choice', options, asked: true },
]
const PART_READS: Partial<Record<string, Field[]>> = {
  'ball-valve': asked('valvePosition', 'field-valve-position', 'closed', 'open', 'part-open'),
  union: asked('unionNut', 'field-union-nut', 'on', 'other-side', 'forgotten'),
}

/** Soldered copper joints, with unions and valves. Bears when it has cooled by itself. */
export const solder = defineMethod<SolderSpec, typeof WORDS>({
  id: 'solder',
  version: 2,
  joins: JOINS,
  ends: [
    { kind: 'solder-cup', meets: 'plain', said: ['soldered', 'solder', 'cup', 'sweat'], takes: 'brass' },
  ],
  words: WORDS,
  bench,
  sources: SOURCES,
  works: { minutes: 6, perMm: 0.2 },
  findBy: ['solder', 'soldered', 'sweat', 'capillary'],
  differs: { 'ball-valve': { inch: null, metric: null }, coverage: { inch: 'b', metric: 'b' } },
  examples: EXAMPLES,
  fields: [
    measuredDepth(100),
    {
      key: 'part',
      label: msg('field-solder-part'),
      needed: false,
      control: 'choice',
      options: ['plain', 'union', 'ball-valve', 'gate-valve'],
      byPart: {
        says: { union: 'union', valve: 'ball-valve', 'gate valve': 'gate-valve' },
        fromRules: 2,
      },
    },
  ],
  practice,
  depth,
  shortMaxMm: 1,
  overMaxMm: 1,
  params: (spec) => ({
    depthMm: depth(spec).value ?? -1,
    wireMm: solderWireMm(sizeOf(spec)).value ?? -1,
    part: spec.part ?? 'plain',
  }),
  steps: (spec) => [
    {
      id: 'fit',
      reaches: 'marked',
      exceptions: [
        ['too-loose', 'cut-out'],
        ['water-in-line', 'fit'],
      ],
      reads: spec.part ? (PART_READS[spec.part] ?? []) : [],
      tools: ['tool-wheel-cutter', 'tool-deburrer', 'tool-solder-cloth'],
      never: ['never-solder-metal-off'],
    },
    {
      id: 'flux',
      reaches: 'prepared',
      exceptions: [['put-down', 'on']],
      cautions: [finding('warn', 'caution-solder-flux', practice)],
      tools: ['tool-flux'],
    },
    {
      id: 'heat',
      reaches: 'made',
      exceptions: [
        ['flux-burnt', 'cut-out'],
        ['moved-while-soft', 'cut-out'],
        ...(spec.part === 'union' ? [['nut-forgotten', 'cut-out'] as const] : []),
      ],
      cautions: hotWork,
      tools: ['tool-torch', 'tool-extinguisher'],
      never: ['never-solder-into-gap', 'never-solder-quench'],
    },
    {
      id: 'look',
      reaches: 'verified',
      exceptions: [['drips', 'look']],
      reads: [
        choiceRead('ring', 'field-solder-ring', ['all-round', 'gaps', 'black']),
        { key: 'coverage', label: msg('field-coverage'), needed: false, control: 'grid' },
      ],
      never: ['never-toothed-wrench'],
    },
  ],
  clocks: () => [
    {
      id: 'cool',
      step: 'heat',
      kind: 'dwell',
      shows: 'set',
      lastsS: fig(COOL_MAX_S, 'cp-solder-cool'),
      backTo: 'look',
    },
    {
      id: 'fire-watch',
      step: 'heat',
      kind: 'watch',
      shows: 'made',
      lastsS: fig(FIRE_WATCH_S, 'nfpa-51b'),
      backTo: 'look',
    },
  ],
  cure: (spec) => ({
    id: `solder-cool/${spec.size}`,
    sourceAt: () => 'cp-solder-cool',
    setSource: 'cp-solder-cool',
    classes: [{ toBar: null, requiredS: () => COOL_MAX_S }],
    perBarS: null,
    setS: () => COOL_MAX_S,
    steady: true,
  }),
  judge: (_spec, readings) => {
    const findings = []
    const seen = seenIn(readings.coverage)
    const peel = seen ? judgePeel(seen.grid) : null
    if (peel?.verdict === 'fail') {
      const { coveragePct, largestVoidPct } = peel
      findings.push(finding('stop', 'solder-coverage', 'cp-solder-peel', { coveragePct, largestVoidPct }))
    }
    if (readings.valvePosition === 'part-open') findings.push(finding('stop', 'solder-part-open', practice))
    if (readings.unionNut === 'forgotten') findings.push(finding('stop', 'solder-nut-forgotten', practice))
    if (readings.ring === 'gaps') findings.push(finding('stop', 'solder-gaps', practice))
    if (readings.ring === 'black') findings.push(finding('stop', 'solder-black', practice))
    const burnt = readings.ring === 'black' || seen?.burnt === true
    const ofPeel = peel?.verdict === 'fail' ? peel.causes : []
    const unlessGaps = burnt ? [msg('cause-solder-burnt')] : ofPeel
    const gaps = [msg('cause-solder-one-side'), msg('cause-solder-flux')]
    return { findings, causes: readings.ring === 'gaps' ? gaps : unlessGaps }
  },
  interrupted: [
    { after: 'fit', code: 'interrupted-solder-clean' },
    { after: 'flux', code: 'interrupted-solder-flux' },
    { after: 'flux', kind: 'rain', code: 'interrupted-solder-wet' },
    { after: 'heat', code: 'interrupted-solder-hot' },
  ],
  beforeTest: [finding('warn', 'test-solder-cool', 'cp-solder-cool')],
  needs: (spec): Need[] => [
    {
      item: 'solder-wire',
      lasts: false,
      qty: solderWireMm(sizeOf(spec)),
      unit: 'mm',
      matches: { lead: 'free' },
    },
    {
      item: 'flux',
      lasts: false,
      qty: noFig(msg('quantity-unknown')),
      unit: 'none',
      matches: { standard: 'ASTM B813' },
    },
    { item: 'abrasive-cloth', lasts: false, qty: fig(1, practice), unit: 'count', matches: { grit: '120' } },
  ],
  cautions: () => [
    ...hotWork,
    finding('warn', 'caution-solder-flux', practice),
    finding('warn', 'caution-solder-burn', practice),
  ],
  rules: [
    choiceRule(
      'stop',
      'choice-solder-lead',
      practice,
      ['medium', 'solderKind'],
      (_s, a) => a.medium === 'drinking-water' && a.solderKind === 'leaded',
    ),
    choiceRule('stop', 'choice-solder-permit', 'cp-hot-work', [], (_s, a) => a.hotWorkPermit === false),
    choiceRule(
      'stop',
      'choice-solder-beside-press',
      'cp-press-steps',
      ['beside'],
      (_s, a) => a.beside === 'press',
    ),
    choiceRule('warn', 'choice-solder-valve-sheet', practice, [], (spec) => spec.part === 'ball-valve'),
    choiceRule('note', 'choice-solder-gate-open', practice, [], (spec) => spec.part === 'gate-valve'),
    choiceRule('warn', 'choice-solder-union-nut', practice, [], (spec) => spec.part === 'union'),
  ],
  figures: (spec) => [
    { key: 'cupDepthMm', fig: depth(spec), unit: 'mm' },
    { key: 'wireMm', fig: solderWireMm(sizeOf(spec)), unit: 'mm' },
    { key: 'coolMaxS', fig: fig(COOL_MAX_S, 'cp-solder-cool'), unit: 's' },
    { key: 'fireWatchS', fig: fig(FIRE_WATCH_S, 'nfpa-51b'), unit: 's' },
  ],
  drawing: (spec, state) => {
    const depthMm = depth(spec).value ?? odOf(spec) * 0.7
    const od = odOf(spec)
    const bead = state.made ? [ring('bead', -Math.max(0.6, od * 0.03), 0, od, od * 1.06)] : []
    return [...pipeInSocket(spec, depthMm, state), ...bead]
  },
})
