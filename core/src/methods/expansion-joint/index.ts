import { type Finding, fig, finding, msg, noFig } from '../../sources/source.js'
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

interface JointSpec extends BoltedSpec {
  rods: 'limit' | 'control' | 'sleeve' | 'integral' | 'none' | null
  extensionMm: number | null
  compressionMm: number | null
  anchored: boolean | null
}
const practice = 'cp-bolted-steps'
/** Gap at a control rod: the movement allowed, or none at all where the pipe is not anchored. */
const gap = (spec: JointSpec, mm: number | null) =>
  spec.anchored === false
    ? fig(0, practice)
    : mm === null
      ? noFig(msg('movement-by-designer'))
      : fig(mm, 'given')
const withheld = finding('warn', 'caution-expansion-open', practice)

/** Rubber expansion joints between flanges, with or without control rods. Nothing cures. */
export const expansionJoint = defineMethod<JointSpec, typeof WORDS>({
  id: 'expansion-joint',
  key: 'expansion',
  version: 1,
  joins: LARGE_PIPE,
  ends: [{ kind: 'rubber-flange', meets: 'flange', said: ['rubber'] }],
  words: WORDS,
  bench,
  sources: [],
  works: { minutes: 40, perMm: 0.25 },
  findBy: ['expansion', 'rubber'],
  examples: EXAMPLES,
  fields: [
    ...boltFields,
    {
      key: 'rods',
      label: msg('field-rods'),
      needed: false,
      control: 'choice',
      options: ['limit', 'control', 'sleeve', 'integral', 'none'],
    },
    {
      key: 'extensionMm',
      label: msg('field-extension'),
      needed: false,
      unit: 'mm',
      min: 0,
      max: 200,
      control: 'length',
    },
    {
      key: 'compressionMm',
      label: msg('field-compression'),
      needed: false,
      unit: 'mm',
      min: 0,
      max: 200,
      control: 'length',
    },
    { key: 'anchored', label: msg('field-anchored'), needed: false, control: 'yes-no' },
  ],
  practice,
  params: (spec) => ({
    size: spec.size,
    torqueNm: torqueOf(spec).value ?? -1,
    outerMm: gap(spec, spec.extensionMm).value ?? -1,
    innerMm: gap(spec, spec.compressionMm).value ?? -1,
  }),
  steps: (spec) => [
    {
      id: 'place',
      reaches: 'marked',
      exceptions: [
        ['beside-valve', 'cut-out'],
        ['raised-face', 'place'],
      ],
      cautions: [withheld],
      never: ['never-paint-rubber', 'never-heat-tracing'],
      skip: 'stop',
    },
    { id: 'studs', reaches: 'assembled', exceptions: [['stud-long', 'studs']], tools: ['tool-studs'] },
    {
      id: 'star',
      reaches: 'made',
      exceptions: [['metal-to-metal', 'cut-out']],
      reads: [torqueRead(spec)],
      tools: ['tool-torque'],
    },
    {
      id: 'rods',
      reaches: 'verified',
      exceptions: [['no-rods', 'on']],
      reads: [
        {
          key: 'outerMm',
          label: msg('field-outer-gap'),
          needed: spec.rods !== 'none',
          unit: 'mm',
          min: 0,
          max: 200,
          control: 'length',
        },
        {
          key: 'innerMm',
          label: msg('field-inner-gap'),
          needed: spec.rods === 'control' || spec.rods === 'sleeve',
          unit: 'mm',
          min: 0,
          max: 200,
          control: 'length',
        },
      ],
    },
  ],
  mends: { 'torque-over': 'star', 'torque-under': 'star', 'rod-gap-wide': 'rods', 'rods-missing': 'rods' },
  judge: (spec, readings, life) => {
    const findings: Finding[] = judgeTorque(
      torqueOf(spec),
      numberOf(readings, 'torqueNm'),
      practice,
      'dryTorqueNm',
    )
    const rods = life.done.findLast((d) => d.step === 'rods')
    if (rods?.readings.exception === 'no-rods') findings.push(finding('stop', 'rods-missing', practice))
    for (const [key, allowed] of [
      ['outerMm', gap(spec, spec.extensionMm)],
      ['innerMm', gap(spec, spec.compressionMm)],
    ] as const) {
      const mm = numberOf(readings, key)
      // A gap read to the millimetre.
      if (mm !== null && allowed.value !== null && mm > allowed.value + 1)
        findings.push(finding('stop', 'rod-gap-wide', practice, { mm, allowedMm: allowed.value }))
    }
    return { findings }
  },
  interrupted: [
    { after: 'studs', code: 'interrupted-bolts-loose' },
    { after: 'star', code: 'interrupted-expansion-rods' },
  ],
  beforeTest: [finding('warn', 'test-anchors-in', practice)],
  needs: (spec): Need[] => [
    {
      item: 'studs',
      lasts: false,
      qty: spec.bolts === null ? noFig(msg('by-the-flange')) : fig(spec.bolts, 'given'),
      unit: 'count',
      matches: { size: spec.size },
    },
  ],
  upkeep: (spec) => [lookedOver(torqueOf(spec))],
  cautions: () => [withheld, finding('warn', 'caution-expansion-weld', practice)],
  rules: [
    choiceRule(
      'stop',
      'choice-expansion-wafer',
      practice,
      ['meets'],
      (_s, a) => a.meets === 'wafer-valve' || a.meets === 'butterfly-valve',
    ),
    choiceRule('warn', 'choice-expansion-raised', practice, ['meets'], (_s, a) => a.meets === 'raised-face'),
    choiceRule('stop', 'choice-expansion-two', practice, ['meets'], (_s, a) => a.meets === 'expansion-joint'),
    choiceRule('stop', 'choice-expansion-weld', practice, ['welding'], (_s, a) => a.welding === 'yes'),
    choiceRule('stop', 'choice-expansion-traced', practice, ['traced'], (_s, a) => a.traced === 'yes'),
  ],
  figures: (spec) => [
    { key: 'torqueNm', fig: torqueOf(spec), unit: 'Nm' },
    { key: 'outerGapMm', fig: gap(spec, spec.extensionMm), unit: 'mm' },
    { key: 'innerGapMm', fig: gap(spec, spec.compressionMm), unit: 'mm' },
    { key: 'threadsPast', fig: fig(4, practice), unit: 'count' },
  ],
  drawing: (spec, state) => {
    const od = odOf(spec)
    const width = od * 0.7
    const shapes = faceToFace(spec, od * 1.6, od * 0.08, width)
    const rubber = ring('seal', -width / 2, width / 2, od * 0.95, od * 1.25)
    const rod = state.made
      ? [ring('bolt', -width / 2 - od * 0.3, width / 2 + od * 0.3, od * 1.68, od * 1.74)]
      : []
    return [...shapes, rubber, ...rod]
  },
})
