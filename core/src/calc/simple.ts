import { type RunEnd, cutLength } from '../line/cut-length.js'
import { dewPointC } from '../conditions/dew-point.js'
import { judgeCheckMark } from '../methods/solvent-cement/inspection.js'
import { fillingOf } from '../joint/tin-date.js'
import { say } from '../words/words.js'
import { Refusal, calculation } from './calculation.js'
import { list, may, need, number, object, oneOf, text } from '../schema/shape.js'

const LONG = 100_000
export const dewPoint = calculation({
  name: 'dew-point',
  summary: 'Temperature at which water condenses from this air (Magnus formula).',
  inputs: [
    need('airC', number({ min: -60, max: 100 }), 'Air temperature'),
    need('relativeHumidityPct', number({ above: 0, max: 100 }), 'Relative humidity'),
  ],
  sources: ['magnus'],
  example: { input: { airC: 20, relativeHumidityPct: 50 }, result: { dewPointC: 9.255174598981256 } },
  compute(input: { airC: number; relativeHumidityPct: number }, working) {
    working.put('dewPointC', dewPointC(input.airC, input.relativeHumidityPct), 'magnus')
  },
})

export const insertionVerdict = calculation({
  name: 'insertion-verdict',
  summary: 'Judges the distance from socket face to check mark after assembly.',
  inputs: [
    need('readingMm', number({ min: 0, max: LONG }), 'Socket face to check mark'),
    need('checkOffsetMm', number({ above: 0, max: 1000 }), 'What it should be'),
    need('depthMm', number({ above: 0, max: 1000 }), 'Insertion depth'),
  ],
  sources: ['ours-check-mark'],
  example: {
    input: { readingMm: 54, checkOffsetMm: 50, depthMm: 61 },
    result: { shortMm: 4, insertionMm: 57, verdict: 'fail' },
  },
  compute(input: { readingMm: number; checkOffsetMm: number; depthMm: number }, working) {
    const verdict = judgeCheckMark(input.readingMm, input.checkOffsetMm, input.depthMm)
    working.put('shortMm', verdict.shortMm, 'given', ['given'])
    working.put('insertionMm', verdict.insertionMm, 'given', ['given'])
    working.put('verdict', verdict.verdict, 'ours-check-mark')
    if (verdict.insertionMm < 0)
      working.warn('not-in-socket', 'By this reading the pipe is not in the socket.', 'readingMm')
  },
})

const gap = may('gapMm', number({ min: 0, max: LONG }), 'Left open at the stop')
export const cutLengthCalc = calculation({
  name: 'cut-length',
  summary: 'Length to cut, from a measure between centres, faces or ends.',
  inputs: [
    need('measure', oneOf('centre-centre', 'centre-face', 'face-face', 'end-end'), 'What was measured'),
    need('measuredMm', number({ above: 0, max: 1_000_000 }), 'The measure'),
    need(
      'ends',
      {
        ...list(
          object(
            may(
              'takeOffMm',
              number({ min: 0, max: LONG }),
              'Fitting centre to face or stop; needed at centre ends',
            ),
            may('takeOffTo', oneOf('face', 'stop'), 'What the take-off reaches to; face if absent'),
            may('insertionMm', number({ min: 0, max: LONG }), 'Into the socket; needed wherever it counts'),
            gap,
          ),
          2,
          2,
        ),
      },
      'The two ends; ends[0] is the centre of centre-face',
    ),
  ],
  rules:
    'takeOffMm is needed only at centre ends, insertionMm at every end but a centre whose take-off is to the stop, and not for end-end.',
  sources: ['cp-cut-length'],
  example: {
    input: {
      measure: 'centre-centre',
      measuredMm: 1250,
      ends: [
        { takeOffMm: 44, insertionMm: 61 },
        { takeOffMm: 44, insertionMm: 61 },
      ],
    },
    result: { cutMm: 1284 },
  },
  compute(
    input: {
      measure: 'centre-centre' | 'centre-face' | 'face-face' | 'end-end'
      measuredMm: number
      ends: RunEnd[]
    },
    working,
  ) {
    const cut = cutLength(input.measure, input.measuredMm, input.ends)
    if (!cut.ok && cut.reason === 'missing')
      throw new Refusal('missing-field', `${cut.field} is missing.`, cut.field)
    if (!cut.ok)
      throw new Refusal(
        'does-not-fit',
        `Take-offs and gaps are longer than the measure (${input.measuredMm} mm): ${cut.cutMm} mm would be left. Measure again or choose shorter fittings.`,
        'measuredMm',
      )
    working.put('cutMm', cut.cutMm, 'cp-cut-length', ['given', 'cp-cut-length'])
  },
})

export const dualContainment = calculation({
  name: 'dual-containment',
  summary: 'How much longer the inner pipe of a pipe-in-pipe piece is cut.',
  inputs: [
    need('innerSocketMm', number({ above: 0, max: 1000 }), 'Depth of the inner socket'),
    need('outerSocketMm', number({ above: 0, max: 1000 }), 'Depth of the outer socket'),
    need('ends', oneOf(1, 2), 'How many ends sit in such fittings'),
  ],
  sources: ['cp-pipe-in-pipe'],
  example: { input: { innerSocketMm: 31, outerSocketMm: 14.5, ends: 2 }, result: { innerLongerByMm: 33 } },
  compute(input: { innerSocketMm: number; outerSocketMm: number; ends: number }, working) {
    const by = (input.innerSocketMm - input.outerSocketMm) * input.ends
    working.put('innerLongerByMm', by, 'cp-pipe-in-pipe', ['given', 'cp-pipe-in-pipe'])
    if (by < 0)
      working.warn(
        'inner-shallower',
        'The inner socket is shallower than the outer one: check the two figures.',
      )
  },
})

export const tinDate = calculation({
  name: 'tin-date',
  summary: 'Filling and expiry dates from a tin\u2019s ordinal date code.',
  inputs: [
    need('code', text, 'YYDDD, more may follow; century 20'),
    need('on', text, 'The day to judge, YYYY-MM-DD'),
  ],
  sources: ['cp-shelf-life'],
  example: {
    input: { code: '25114B7', on: '2026-11-23' },
    result: { filledOn: '2025-04-24', expiresOn: '2027-04-24', expired: false },
  },
  compute(input: { code: string; on: string }, working) {
    const found = fillingOf(input.code, input.on)
    if (!found.ok) throw new Refusal('bad-input', say(found.why), found.field)
    for (const key of ['filledOn', 'expiresOn', 'expired'] as const)
      working.put(key, found[key], 'cp-shelf-life')
    if (found.filledOn > input.on)
      working.warn('filled-later', 'The tin says it was filled after this day: check the code.', 'code')
  },
})
