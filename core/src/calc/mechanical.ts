import { KINDS, type CompressionKind, turnsFor } from '../methods/compression/rules.js'
import { lubricatedTorqueNm, starOrder } from '../methods/kit/torque.js'
import { type PressReadings, judgePress } from '../methods/press/rules.js'
import { type ClampReadings, judgeClamp } from '../methods/sanitary-clamp/rules.js'
import { say } from '../words/words.js'
import * as c from './common.js'
import { Refusal, calculation } from './calculation.js'
import { flag, may, need, number, oneOf } from '../schema/shape.js'

const MM = number({ min: 0, max: 100_000 })
export const pressCheck = calculation({
  name: 'press-check',
  summary: 'Judges a press joint by depth, distances, surface, lubricant, indicator and mark.',
  inputs: [
    c.material,
    c.size,
    need('depthMm', number({ above: 0, max: 1000 }), 'How deep it is in'),
    may(
      'depthRequiredMm',
      number({ above: 0, max: 1000 }),
      'What the maker asks for; wins over the generic figure',
    ),
    may('toWeldMm', MM, 'Distance to the nearest weld'),
    may('toBendMm', MM, 'Distance to the nearest bend'),
    may('coatingMm', number({ min: 0, max: 100 }), 'Thickness of coating on the pipe'),
    need('stamped', flag, 'Is the pipe stamped or engraved under the fitting'),
    may('lubricant', oneOf('none', 'water', 'soap', 'oil', 'grease', 'silicone'), 'What eased assembly'),
    need('indicatorGone', flag, 'Is the unpressed indicator gone or crimped'),
    need('markAtEdge', flag, 'Does the depth mark stand at the fitting\u2019s edge'),
  ],
  sources: [
    'cp-press-steps',
    'cp-press-depth',
    'cp-press-clearance',
    'cp-press-surface',
    'cp-press-lubricant',
  ],
  example: {
    input: {
      material: 'copper',
      size: 'd22',
      depthMm: 21,
      stamped: false,
      indicatorGone: true,
      markAtEdge: true,
    },
    result: {
      verdict: 'pass',
      reasons: [
        {
          code: 'press-depth-generic',
          level: 'note',
          message: say({ code: 'press-depth-generic', params: {} }),
        },
      ],
      unread: ['toWeldMm', 'toBendMm', 'coatingMm', 'lubricant'],
    },
  },
  compute(i: PressReadings & { material: string; size: string }, working) {
    const size = c.checkJoint({ method: 'press', material: i.material, size: i.size, school: 'inch' })
    const verdict = judgePress(i.material, size, i)
    working.put('verdict', verdict.verdict, 'cp-press-steps', [
      'given',
      'cp-press-steps',
      verdict.depthRequired.value === null ? 'given' : verdict.depthRequired.source,
    ])
    const generic = i.depthRequiredMm === undefined || i.depthRequiredMm === null
    const note = verdict.depthRequired.value === null ? 'press-depth-unknown' : 'press-depth-generic'
    working.put('reasons', [
      ...verdict.findings.map(c.reason),
      ...(generic ? [{ code: note, level: 'note', message: say({ code: note, params: {} }) }] : []),
    ])
    working.put('unread', verdict.unread, 'given')
  },
})

export const compressionCalc = calculation({
  name: 'compression',
  summary: 'How far to tighten a compression joint, and where a mark on the nut ends.',
  inputs: [
    need('kind', oneOf(...KINDS), 'Kind of fitting'),
    c.size,
    need('hardAlloy', flag, 'Hard alloy or severe service'),
    need('remake', flag, 'Was it made before'),
  ],
  sources: ['cp-compression-turns', 'cp-service-turns'],
  example: {
    input: { kind: 'twin-ferrule', size: 'OD 1/2', hardAlloy: false, remake: false },
    result: { start: 'tube-tight', turnsMin: 1.25, turnsMax: 1.25, flatsMin: 7.5, markEndsAtClock: 9 },
  },
  compute(input: { kind: CompressionKind; size: string; hardAlloy: boolean; remake: boolean }, working) {
    const tube = /^(d|OD)/.test(input.size)
    const size = c.checkJoint({
      method: 'compression',
      // A size decides nothing here but whether it is made; pipe sizes are made of PE, the rest of copper as well.
      material: /^NPS/.test(input.size) ? 'pe' : 'copper',
      size: input.size,
      school: 'inch',
    })
    if (tube !== (input.kind === 'twin-ferrule') && input.kind !== 'stab')
      working.warn(
        'kind-not-for-size',
        say({ code: 'kind-not-for-size', params: { kind: input.kind, size: input.size } }),
        'kind',
      )
    const turns = turnsFor(input.kind, size, input.hardAlloy, input.remake)
    working.put('start', turns.start, turns.source)
    for (const key of ['turnsMin', 'turnsMax', 'flatsMin', 'markEndsAtClock'] as const)
      working.put(key, turns[key], turns.source)
    if (input.kind === 'stab' && input.remake)
      working.warn('new-grip-ring', say({ code: 'choice-stab-class', params: {} }), 'remake')
    if (turns.preset) working.warn('preset-ferrules', say({ code: 'ferrules-preset', params: {} }), 'size')
  },
})

const GAP = number({ min: 0, max: 100 })
export const clampCheck = calculation({
  name: 'clamp-check',
  summary: 'Judges a sanitary clamp by its gaps, the gasket in the bore and the clamp\u2019s jaws.',
  inputs: [
    c.size,
    need('gapMinMm', GAP, 'Least gap across the flange'),
    need('gapMaxMm', GAP, 'Most gap, opposite'),
    may('gapMin2Mm', GAP, 'Least gap on the other axis'),
    may('gapMax2Mm', GAP, 'Most gap on the other axis'),
    need('intrusionMm', number({ min: -100, max: 100 }), 'Gasket into the bore; behind it is negative'),
    need('jawsTouch', flag, 'Do the jaws of the clamp touch'),
  ],
  sources: ['clamp-tilt', 'cp-clamp-tilt', 'asme-bpe-intrusion', 'asme-bpe', 'din-32676'],
  example: {
    input: { size: 'BPE 2', gapMinMm: 0.9, gapMaxMm: 0.9, intrusionMm: 0.1, jawsTouch: false },
    result: { misalignmentDeg: 0, verdict: 'pass', reasons: [] },
  },
  compute(i: ClampReadings & { size: string }, working) {
    const size = c.checkJoint({
      method: 'sanitary-clamp',
      material: 'stainless',
      size: i.size,
      school: 'inch',
    })
    const pairs = [
      ['gapMinMm', 'gapMaxMm'],
      ['gapMin2Mm', 'gapMax2Mm'],
    ] as const
    for (const [low, high] of pairs) {
      const [a, b] = [i[low] ?? null, i[high] ?? null]
      if ((a === null) !== (b === null))
        throw new Refusal('missing-field', 'The second axis needs both its gaps.', a === null ? low : high)
      if (a !== null && b !== null && b < a)
        throw new Refusal('bad-input', 'The most is less than the least: measure again.', high)
    }
    const verdict = judgeClamp(size, i)
    working.put('misalignmentDeg', verdict.misalignmentDeg, 'clamp-tilt', [
      'given',
      /^DN/.test(i.size) ? 'din-32676' : 'asme-bpe',
    ])
    working.put('verdict', verdict.verdict, 'cp-clamp-tilt', ['given', 'cp-clamp-tilt', 'asme-bpe-intrusion'])
    working.put('reasons', verdict.findings.map(c.reason))
  },
})

const shape = number({ above: 0, max: 2 })
export const lubricatedTorque = calculation({
  name: 'lubricated-torque',
  summary: 'Torque for lubricated bolts from the published dry one, by the nut factor.',
  inputs: [
    need('dryTorqueNm', number({ above: 0, max: 1_000_000 }), 'Published torque, dry'),
    need('kDry', shape, 'Nut factor dry'),
    need('kLubricated', shape, 'Nut factor lubricated'),
  ],
  sources: ['nut-factor'],
  example: { input: { dryTorqueNm: 100, kDry: 0.2, kLubricated: 0.15 }, result: { torqueNm: 75 } },
  compute(input: { dryTorqueNm: number; kDry: number; kLubricated: number }, working) {
    working.put(
      'torqueNm',
      lubricatedTorqueNm(input.dryTorqueNm, input.kDry, input.kLubricated),
      'nut-factor',
      ['given', 'nut-factor'],
    )
    if (input.kLubricated > input.kDry)
      working.warn(
        'lubricant-adds',
        'Lubricated bolts turn harder than dry ones by these figures: check the two.',
        'kLubricated',
      )
  },
})

export const starOrderCalc = calculation({
  name: 'star-order',
  summary: 'Order in which the bolts of a flange are tightened.',
  inputs: [need('bolts', number({ min: 4, max: 32, integer: true }), 'How many bolts, a multiple of 4')],
  sources: ['asme-pcc-1'],
  example: { input: { bolts: 8 }, result: { order: [1, 5, 3, 7, 2, 6, 4, 8] } },
  compute(input: { bolts: number }, working) {
    if (input.bolts % 4)
      throw new Refusal('bad-input', 'The number of bolts must be a multiple of 4.', 'bolts')
    working.put('order', starOrder(input.bolts), 'asme-pcc-1')
  },
})
