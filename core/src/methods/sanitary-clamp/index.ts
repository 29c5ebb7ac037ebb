import { flangeOdMm, flangeTwins } from '../../sizes/hygienic.js'
import { type Size, parseSize } from '../../sizes/size.js'
import { type Fig, fig, finding, msg, noFig } from '../../sources/source.js'
import { append } from '../../units/extent.js'
import { judgeTorque, torqueReading } from '../kit/bolted.js'
import { faceToFace, ring } from '../kit/drawing.js'
import { numberOf } from '../kit/inspection.js'
import { care } from '../kit/care.js'
import { choiceRule } from '../kit/choice.js'
import { defineMethod } from '../kit/define.js'
import { type BaseSpec, gapReads, odOf, sizeOf } from '../kit/spec.js'
import type { Need } from '../method.js'
import { INTRUSION_MAX_MM, TILT_FAIL_DEG, TILT_WARN_DEG, judgeClamp } from './rules.js'
import { anywhere, bpe, dn, sizesOf } from '../kit/joins.js'
import { bench } from './bench.js'
import { EXAMPLES } from './examples.js'
import { SOURCES } from './sources.js'
import { WORDS } from './words.js'
import { choiceRead } from '../kit/steps.js'
import type { Joins } from '../joinable.js'

interface ClampSpec extends BaseSpec {
  gasket: string | null
  tighten: 'hand' | 'torque' | null
  torqueNm: number | null
  steam: boolean | null
}
const JOINS: Joins = {
  stainless: anywhere(
    bpe('1/4', '3/8', '1/2', '3/4', '1', '1-1/2', '2', '2-1/2', '3', '4', '6'),
    dn(10, 15, 20, 25, 32, 40, 50, 65, 80, 100),
  ),
}
const practice = 'cp-clamp-steps'
/** Every ferrule that is made, to find those that share a flange. */
const ferrules = (): Size[] => sizesOf(JOINS, 'stainless').flatMap((text) => parseSize(text) ?? [])
const flange = (spec: ClampSpec): number => flangeOdMm(sizeOf(spec)).value ?? odOf(spec) * 1.4
/** By the plant's rule; on steam with a torque tool, whatever the rule says. */
const byTorque = (spec: ClampSpec): boolean => spec.steam === true || spec.tighten === 'torque'

const makersTorque = (spec: ClampSpec): Fig =>
  spec.torqueNm === null ? noFig(msg('torque-by-maker')) : fig(spec.torqueNm, 'given')
/** A season, by the calendar. Source: `cp-clamp-season`. */
const SEASON_MONTHS = 3

/** Sanitary clamps: a cycle of inspect, install, verify, re-check. Nothing cures. */
export const sanitaryClamp = defineMethod<ClampSpec, typeof WORDS>({
  id: 'sanitary-clamp',
  key: 'clamp',
  version: 1,
  joins: JOINS,
  ends: [{ kind: 'clamp-ferrule', meets: 'clamp-ferrule', said: ['clamp', 'clamped', 'ferrule'] }],
  words: WORDS,
  bench,
  sources: SOURCES,
  works: { minutes: 6, perMm: 0.05 },
  findBy: ['clamp', 'sanitary', 'hygienic', 'ferrule-clamp'],
  differs: {
    'clamp-tighten': { inch: null, metric: null },
    'clamp-tilt': { inch: 'a', metric: 'a' },
  },
  examples: EXAMPLES,
  fields: [
    {
      key: 'gasket',
      label: msg('field-gasket'),
      needed: false,
      control: 'choice',
      options: ['EPDM', 'FKM', 'silicone', 'PTFE', 'filled PTFE', 'NBR'],
    },
    {
      key: 'tighten',
      label: msg('field-tighten'),
      needed: false,
      control: 'choice',
      options: ['hand', 'torque'],
    },
    {
      key: 'torqueNm',
      label: msg('field-torque'),
      needed: false,
      unit: 'Nm',
      min: 0.1,
      max: 100,
      control: 'torque',
    },
    { key: 'steam', label: msg('field-steam'), needed: false, control: 'yes-no' },
  ],
  practice,
  params: (spec) => ({
    size: spec.size,
    gasket: spec.gasket ?? '',
    torqueNm: spec.torqueNm ?? -1,
    byTorque: byTorque(spec) ? 1 : 0,
  }),
  steps: (spec) => [
    {
      id: 'parts',
      reaches: 'prepared',
      exceptions: [
        ['gasket-bad', 'parts'],
        ['pulls', 'parts'],
        ['scratched', 'cut-out'],
      ],
      cautions: [finding('stop', 'caution-clamp-open', practice)],
      tools: ['tool-gasket'],
    },
    { id: 'clamp', reaches: 'assembled', exceptions: [['bead-off', 'clamp']], tools: ['tool-clamp'] },
    {
      id: 'gaps',
      exceptions: [['cannot-measure', 'on']],
      reads: gapReads('gap-pair', 20, flangeOdMm(sizeOf(spec))),
    },
    {
      id: 'torque',
      reaches: 'made',
      exceptions: [['galling', 'parts']],
      tools: byTorque(spec) ? ['tool-torque'] : [],
      reads: byTorque(spec) ? [torqueReading(100)] : [],
    },
    {
      id: 'look',
      reaches: 'verified',
      exceptions: [['cannot-see-bore', 'on']],
      reads: [
        choiceRead('jaws', 'field-jaws', ['apart', 'touch', 'wide-open']),
        {
          key: 'intrusionMm',
          label: msg('field-intrusion'),
          needed: true,
          unit: 'mm',
          min: -5,
          max: 5,
          control: 'length',
        },
      ],
    },
  ],
  mends: {
    'clamp-tilted': 'gaps',
    'clamp-tilt-warn': 'gaps',
    'readings-contradict': 'gaps',
    'clamp-wide-open': 'torque',
    'clamp-recessed': 'torque',
    'torque-over': 'torque',
    'torque-under': 'torque',
  },
  judge: (spec, readings) => {
    const [min, max, into] = ['gapMinMm', 'gapMaxMm', 'intrusionMm'].map((k) => numberOf(readings, k))
    const contradicts = min != null && max != null && min > max
    const findings = [
      ...judgeClamp(sizeOf(spec), {
        gapMinMm: contradicts ? 0 : (min ?? 0),
        gapMaxMm: contradicts ? 0 : (max ?? min ?? 0),
        intrusionMm: into ?? 0,
        jawsTouch: readings.jaws === 'touch',
      }).findings,
    ]
    if (byTorque(spec)) {
      append(findings, judgeTorque(makersTorque(spec), numberOf(readings, 'torqueNm'), practice, 'torqueNm'))
    }
    if (contradicts) findings.push(finding('warn', 'readings-contradict', practice, { a: min, b: max }))
    if (into !== null && into < -INTRUSION_MAX_MM)
      findings.push(finding('warn', 'clamp-recessed', practice, { mm: -into }))
    if (readings.jaws === 'wide-open') findings.push(finding('warn', 'clamp-wide-open', practice))
    return {
      findings,
      causes: findings.some((f) => f.code === 'clamp-tilted') ? [msg('cause-clamp-supports')] : [],
    }
  },
  interrupted: [
    { after: 'parts', code: 'interrupted-clamp-parts' },
    { after: 'clamp', code: 'interrupted-clamp-loose' },
    { after: 'gaps', code: 'interrupted-clamp-loose' },
  ],
  beforeTest: [finding('warn', 'test-clamp-cold-first', practice)],
  needs: (spec): Need[] => [
    {
      item: 'gasket',
      lasts: false,
      qty: fig(1, practice),
      unit: 'count',
      matches: { size: spec.size, ...(spec.gasket ? { rubber: spec.gasket } : {}) },
    },
    {
      item: 'clamp',
      lasts: false,
      qty: fig(1, practice),
      unit: 'count',
      matches: { flangeMm: flange(spec).toFixed(1) },
    },
  ],
  upkeep: (spec) => {
    const want = byTorque(spec) ? makersTorque(spec) : null
    return [
      care('torque-hot', 'torque', { by: 'first-heat' }, 'cp-clamp-recheck', want),
      ...(spec.steam
        ? [care('torque-season', 'torque', { by: 'months', months: SEASON_MONTHS }, 'cp-clamp-season', want)]
        : []),
      care('gasket', 'gasket', { by: 'maker' }, 'cp-upkeep', want),
      care('opened', 'open', { by: 'event' }, practice, want),
    ]
  },
  cautions: () => [
    finding('stop', 'caution-clamp-open', practice),
    finding('warn', 'caution-clamp-leak', practice),
  ],
  rules: [
    choiceRule('stop', 'choice-clamp-other-size', 'asme-bpe', ['otherEnd'], (spec, around) => {
      const twins = around.otherEnd === 'other-tube' ? flangeTwins(sizeOf(spec), ferrules()) : []
      return twins.length ? { size: spec.size, other: twins.map((t) => t.text).join(', ') } : false
    }),
    choiceRule(
      'warn',
      'choice-clamp-steam-torque',
      practice,
      [],
      (spec) => spec.steam === true && spec.tighten === 'hand',
    ),
    choiceRule(
      'warn',
      'choice-clamp-ptfe-flows',
      practice,
      [],
      (spec) => spec.gasket?.includes('PTFE') ?? false,
    ),
    choiceRule(
      'stop',
      'choice-clamp-nbr-steam',
      practice,
      [],
      (spec) => spec.gasket === 'NBR' && spec.steam === true,
    ),
    choiceRule('warn', 'choice-clamp-galling', practice, ['nut'], (_s, a) => a.nut === 'same-stainless'),
  ],
  figures: (spec) => [
    { key: 'flangeMm', fig: flangeOdMm(sizeOf(spec)), unit: 'mm' },
    { key: 'tiltWarnDeg', fig: fig(TILT_WARN_DEG, 'cp-clamp-tilt'), unit: 'deg' },
    { key: 'tiltFailDeg', fig: fig(TILT_FAIL_DEG, 'cp-clamp-tilt'), unit: 'deg' },
    { key: 'intrusionMaxMm', fig: fig(INTRUSION_MAX_MM, 'asme-bpe-intrusion'), unit: 'mm' },
    { key: 'squeezeMm', fig: fig(0.3, 'cp-clamp-squeeze'), unit: 'mm' },
  ],
  drawing: (spec, state) => {
    const found = flange(spec)
    const od = odOf(spec)
    const gap = state.made ? 1 : 2.4
    const seal = ring('seal', -gap / 2, gap / 2, od - 2, found * 0.96)
    const clamp = state.made ? [ring('clamp', -4.5, 4.5, found * 0.9, found + 9)] : []
    return [...faceToFace(spec, found, 2.9, gap), seal, ...clamp]
  },
})
