import { type Fig, fig, finding, msg, noFig } from '../../sources/source.js'
import type { Joins } from '../joinable.js'
import { judgeTorque, torqueReading } from '../kit/bolted.js'
import { lookedOver } from '../kit/care.js'
import { choiceRule } from '../kit/choice.js'
import { defineMethod } from '../kit/define.js'
import { drawnWall, ring } from '../kit/drawing.js'
import { numberOf } from '../kit/inspection.js'
import { anywhere, nps } from '../kit/joins.js'
import { type BaseSpec, odOf, ownFig, sizeOf } from '../kit/spec.js'
import { choiceRead } from '../kit/steps.js'
import type { Field, Need, Shape } from '../method.js'
import { bench } from './bench.js'
import { EXAMPLES } from './examples.js'
import { TABLES, type Groove, grooveOf, judgeGroove, largestGap, mostDeflection } from './rules.js'
import { SOURCES } from './sources.js'
import { WORDS } from './words.js'

interface GroovedSpec extends BaseSpec {
  kind: 'rigid' | 'flexible' | null
  torqueNm: number | null
  /** What its maker wants left between the ends. */
  leaveMm: number | null
}
const practice = 'cp-grooved-steps'
const JOINS: Joins = { 'carbon-steel': anywhere(nps('1', '3'), nps('4', '12')) }

const gapToLeave = (spec: GroovedSpec): Fig => ownFig(spec, 'leaveMm', fig(0, 'cp-grooved-gap'), 'given')
const mostGapMm = (spec: GroovedSpec): number =>
  Math.max(largestGap(sizeOf(spec)).value ?? 0, gapToLeave(spec).value ?? 0)
const torque = (spec: GroovedSpec): Fig => ownFig(spec, 'torqueNm', noFig(msg('torque-by-maker')), 'given')
const groove = (spec: GroovedSpec): Groove | null => grooveOf(sizeOf(spec))
const ofGroove = (spec: GroovedSpec, key: keyof Groove): Fig => {
  const made = groove(spec)
  return made ? fig(made[key], 'awwa-c606') : noFig(msg('groove-unlisted', { size: spec.size }))
}
const opening = finding('stop', 'caution-grooved-open', practice)
const pinch = finding('warn', 'caution-grooved-pinch', practice)

const FIELDS: readonly Field[] = [
  {
    key: 'kind',
    label: msg('field-grooved-kind'),
    needed: false,
    control: 'choice',
    options: ['rigid', 'flexible'],
  },
  {
    key: 'torqueNm',
    label: msg('field-grooved-torque'),
    needed: false,
    unit: 'Nm',
    min: 1,
    max: 2000,
    control: 'torque',
  },
  {
    key: 'leaveMm',
    label: msg('field-grooved-gap'),
    needed: false,
    unit: 'mm',
    min: 0,
    max: 10,
    control: 'length',
  },
]

/** Pipes apart or together, each with its groove; housing and gasket once they are on. Grooves are drawn deeper than they are. */
function drawing(spec: GroovedSpec, state: { marked: boolean; made: boolean }): Shape[] {
  const od = odOf(spec)
  const made = groove(spec)
  const [seat, width] = [made?.seatMm ?? od * 0.1, made?.widthMm ?? od * 0.06]
  const half = (state.made ? Math.max(1, mostGapMm(spec) / 2) : od * 0.1) / 2
  const run = Math.max(od * 1.5, seat * 4)
  const wallMm = drawnWall(spec)
  const ends = [-1, 1].flatMap((side): Shape[] => {
    const [x1, x2] = side < 0 ? [-half - run, -half] : [half, half + run]
    const [g1, g2] = side < 0 ? [-half - seat - width, -half - seat] : [half + seat, half + seat + width]
    return [{ kind: 'pipe', x1, x2, odMm: od, wallMm }, ring('fitting', g1, g2, od * 0.94, od)]
  })
  if (!state.marked) return ends
  const gasket = ring('seal', -half - seat * 0.8, half + seat * 0.8, od, od * 1.12)
  if (!state.made) return [...ends, gasket]
  const reach = half + seat + width
  // The housing over the gasket, and its keys down in the grooves.
  const keys = [-reach, half + seat].map((x) => ring('clamp', x, x + width, od * 0.94, od * 1.12))
  return [...ends, gasket, ...keys, ring('clamp', -reach, reach, od * 1.12, od * 1.34)]
}

const grooveRead: Field = {
  key: 'grooveMm',
  label: msg('field-groove'),
  needed: true,
  unit: 'mm',
  min: 10,
  max: 700,
  control: 'length',
  gauged: true,
}
const endGapRead: Field = {
  key: 'endGapMm',
  label: msg('field-end-gap'),
  needed: true,
  unit: 'mm',
  min: 0,
  max: 20,
  control: 'length',
}
const deflectionRead: Field = {
  key: 'deflectionDeg',
  label: msg('field-deflection'),
  needed: true,
  unit: 'deg',
  min: 0,
  max: 45,
  control: 'turns',
}

/** Grooved couplings of steel pipe: a housing whose keys sit in rolled grooves over a gasket. Nothing cures. */
export const groovedCoupling = defineMethod<GroovedSpec, typeof WORDS>({
  id: 'grooved-coupling',
  key: 'grooved',
  version: 1,
  joins: JOINS,
  ends: [{ kind: 'groove', meets: 'groove', said: ['grooved', 'groove'], onPipe: true }],
  words: WORDS,
  bench,
  sources: SOURCES,
  tables: TABLES,
  works: { minutes: 10, perMm: 0.08 },
  findBy: ['grooved', 'groove', 'housing'],
  differs: { 'grooved-pads': { inch: null, metric: null } },
  examples: EXAMPLES,
  fields: FIELDS,
  practice,
  gap: gapToLeave,
  cutOutTakes: 'nothing',
  params: (spec) => ({
    size: spec.size,
    leastMm: ofGroove(spec, 'leastMm').value ?? NaN,
    mostMm: ofGroove(spec, 'mostMm').value ?? NaN,
    gapMm: mostGapMm(spec),
    torqueNm: torque(spec).value ?? -1,
    flexible: spec.kind === 'flexible' ? 1 : 0,
  }),
  steps: (spec) => [
    {
      id: 'groove',
      reaches: 'marked',
      exceptions: [
        ['seat-bad', 'cut-out'],
        ['pipe-flared', 'cut-out'],
      ],
      cautions: [finding('warn', 'caution-grooved-roller', practice)],
      reads: [grooveRead],
      tools: ['tool-diameter-tape', 'tool-go-gauge'],
      skip: 'stop',
    },
    {
      id: 'gasket',
      reaches: 'prepared',
      exceptions: [['gasket-wrong', 'gasket']],
      tools: ['tool-gasket', 'tool-gasket-lubricant'],
      never: ['never-mineral-oil'],
    },
    {
      id: 'ends',
      exceptions: [['not-in-line', 'ends']],
      cautions: [pinch],
      reads: [endGapRead],
    },
    {
      id: 'housing',
      reaches: 'assembled',
      exceptions: [['gasket-pinched', 'gasket']],
      cautions: [pinch],
    },
    {
      id: 'tighten',
      reaches: 'made',
      exceptions: [['bolt-stuck', 'housing']],
      tools: torque(spec).value === null ? ['tool-wrench'] : ['tool-torque'],
      reads: torque(spec).value === null ? [] : [torqueReading(2000)],
    },
    {
      id: 'look',
      reaches: 'verified',
      exceptions: [['cannot-see', 'on']],
      reads: [
        choiceRead('pads', 'field-pads', ['met', 'apart', 'uneven']),
        choiceRead('keys', 'field-keys', ['in', 'out']),
        { ...deflectionRead, needed: spec.kind === 'flexible' },
      ],
    },
  ],
  mends: {
    'groove-shallow': 'groove',
    'grooved-gap-wide': 'ends',
    'grooved-pads-apart': 'tighten',
    'grooved-pads-uneven': 'gasket',
    'grooved-key-out': 'housing',
    'grooved-bent': 'ends',
    'grooved-rigid-bent': 'ends',
    'torque-over': 'tighten',
    'torque-under': 'tighten',
  },
  judge: (spec, readings) => {
    const gap = numberOf(readings, 'endGapMm')
    const bent = numberOf(readings, 'deflectionDeg')
    const most = mostDeflection(sizeOf(spec), mostGapMm(spec)).value ?? 0
    const findings = [
      ...judgeGroove(groove(spec), numberOf(readings, 'grooveMm')),
      ...(torque(spec).value === null
        ? []
        : judgeTorque(torque(spec), numberOf(readings, 'torqueNm'), practice, 'torqueNm')),
    ]
    if (gap !== null && gap > mostGapMm(spec) + 0.05)
      findings.push(
        finding('stop', 'grooved-gap-wide', 'cp-grooved-gap', { mm: gap, mostMm: mostGapMm(spec) }),
      )
    if (readings.keys === 'out') findings.push(finding('stop', 'grooved-key-out', practice))
    if (readings.pads === 'uneven') findings.push(finding('stop', 'grooved-pads-uneven', practice))
    if (readings.pads === 'apart' && torque(spec).value === null)
      findings.push(finding('stop', 'grooved-pads-apart', practice))
    if (bent !== null && spec.kind === 'flexible' && bent > most + 0.05)
      findings.push(finding('stop', 'grooved-bent', 'grooved-deflection', { deg: bent, most }))
    if (bent !== null && spec.kind !== 'flexible' && bent > 0.5)
      findings.push(finding('warn', 'grooved-rigid-bent', practice, { deg: bent }))
    const causes = [
      ...(readings.pads === 'met' || readings.pads === undefined ? [] : [msg('cause-grooved-dry')]),
      ...(readings.keys === 'out' ? [msg('cause-grooved-keys')] : []),
    ]
    return { findings, causes }
  },
  interrupted: [
    { after: 'groove', code: 'interrupted-grooved-open' },
    { after: 'gasket', code: 'interrupted-grooved-open' },
    { after: 'ends', code: 'interrupted-grooved-open' },
    { after: 'housing', code: 'interrupted-grooved-loose' },
  ],
  beforeTest: [finding('warn', 'test-grooved-supports', practice)],
  needs: (spec): Need[] => [
    { item: 'housing', lasts: false, qty: fig(1, practice), unit: 'count', matches: { size: spec.size } },
    { item: 'gasket', lasts: false, qty: fig(1, practice), unit: 'count', matches: { size: spec.size } },
  ],
  upkeep: (spec) => [lookedOver(torque(spec))],
  cautions: () => [opening, pinch],
  rules: [
    choiceRule(
      'stop',
      'choice-grooved-lubricant',
      'cp-grooved-lubricant',
      ['lubricant', 'seal'],
      (_s, a) => ['oil', 'grease'].includes(a.lubricant ?? '') && a.seal === 'EPDM',
    ),
    choiceRule(
      'stop',
      'choice-grooved-oil',
      practice,
      ['medium', 'seal'],
      (_s, a) => a.medium === 'compressor-oil' && a.seal === 'EPDM',
    ),
    choiceRule(
      'warn',
      'choice-grooved-drinking',
      practice,
      ['medium'],
      (_s, a) => a.medium === 'drinking-water',
    ),
  ],
  figures: (spec) => [
    { key: 'grooveMostMm', fig: ofGroove(spec, 'mostMm'), unit: 'mm', gauged: true },
    { key: 'grooveLeastMm', fig: ofGroove(spec, 'leastMm'), unit: 'mm', gauged: true },
    { key: 'grooveSeatMm', fig: ofGroove(spec, 'seatMm'), unit: 'mm' },
    { key: 'grooveWidthMm', fig: ofGroove(spec, 'widthMm'), unit: 'mm' },
    { key: 'grooveWallMm', fig: ofGroove(spec, 'wallMm'), unit: 'mm' },
    { key: 'endGapMostMm', fig: largestGap(sizeOf(spec)), unit: 'mm' },
    { key: 'deflectionDeg', fig: mostDeflection(sizeOf(spec), mostGapMm(spec)), unit: 'deg' },
    { key: 'torqueNm', fig: torque(spec), unit: 'Nm' },
  ],
  drawing,
})
