import { type Input, flag, list, number, object, oneOf, text } from '../schema/shape.js'
import { bar, id, instant, may, must, tag } from './kinds-shapes.js'

const metres = number({ min: -1000, max: 1000 })
const MEDIA = oneOf('water', 'air', 'nitrogen')
/** Parts of a section with a rating of their own, and what is put up or taken out for a test and must come back. */
export const PART_KINDS = ['thread', 'union', 'valve', 'flange', 'fitting', 'pipe', 'other'] as const
export const TAG_KINDS = ['blank', 'closed isolation', 'valve taken out', 'relief gagged', 'cap off'] as const
const name: Input['shape'] = { type: 'string', max: 80 }

/** What the verdict needs to know of the line. */
const PHYSICS = object(
  must('pipeMaterial', { type: 'string', max: 40 }),
  may('odMm', number({ above: 0, max: 5000 })),
  may('wallMm', number({ above: 0, max: 500 })),
  may('axial', oneOf('free', 'anchored')),
  may('airPct', number({ min: 0, max: 50 })),
  may('volumeM3', number({ above: 0, max: 1e6 })),
)
export const STAGES = list(
  object(
    must('name', tag),
    must('bar', bar),
    must('holdS', number({ min: 0, max: 864_000 })),
    must('look', flag),
  ),
  0,
  20,
)
/** What a test carries besides what it always did: how it is read and judged, and which stops were set aside. */
export const TEST_MORE: readonly Input[] = [
  may('rule', tag),
  may('stages', STAGES),
  may('stabiliseS', number({ min: 0, max: 864_000 })),
  may('sensorErrorBar', number({ min: 0, max: 100 })),
  may('temperatureOf', oneOf('medium', 'wall', 'air')),
  may('physics', PHYSICS),
  may('gaugeDueOn', { type: 'string', max: 10 }),
  may('gaugeTopBar', number({ above: 0, max: 5000 })),
  may('setAside', list(object(must('code', tag), must('reason', text)), 0, 20)),
]
export const ENDED_MORE: readonly Input[] = [
  may('rawDropBar', number({ min: -10_000, max: 10_000 })),
  may('uncertaintyBar', number({ min: 0, max: 10_000 })),
  may('leakRateLPerH', number({ min: -1e9, max: 1e9 })),
  // Why another than its tester ended it.
  may('reason', text),
]

export const PROVE_KINDS: Readonly<Record<string, { v: number; joint: boolean; fields: readonly Input[] }>> =
  {
    // How a section is to be tested, and what it is: the last word on it.
    'section-plan': {
      v: 1,
      joint: false,
      fields: [
        must('sectionId', id),
        may('rule', tag),
        may('designBar', bar),
        must('medium', MEDIA),
        may('temperatureC', number({ min: -60, max: 150 })),
        may('gaugeM', metres),
        may('lowM', metres),
        may('highM', metres),
        may('axial', oneOf('free', 'anchored')),
        may('airPct', number({ min: 0, max: 50 })),
        may('stressRatio', number({ min: 1, max: 20 })),
        // Sections behind one valve are live together.
        may('valve', tag),
        may('keep', oneOf('full', 'empty')),
      ],
    },
    'part-set': {
      v: 1,
      joint: false,
      fields: [
        must('sectionId', id),
        must('partId', id),
        must('name', name),
        must('kind', oneOf(...PART_KINDS)),
        must('ratingBar', number({ above: 0, max: 2000 })),
        may('atM', metres),
        may('gone', flag),
      ],
    },
    'tag-put': {
      v: 1,
      joint: false,
      fields: [
        must('tagId', id),
        must('sectionId', id),
        must('kind', oneOf(...TAG_KINDS)),
        must('where', name),
      ],
    },
    'tag-back': { v: 1, joint: false, fields: [must('tagId', id), may('how', text)] },
    // Readings of a test in one go: time, pressure and, where there is one, temperature.
    'test-log': {
      v: 1,
      joint: false,
      fields: [
        must('testId', id),
        may('from', name),
        must('rows', list(list(number({ min: -1000, max: 4e9 }), 2, 3), 1, 2000)),
      ],
    },
    // A stage of a test is over: its pressure was there, its time is up, the line was walked where it had to be.
    'stage-done': {
      v: 1,
      joint: false,
      fields: [
        must('testId', id),
        must('stage', number({ min: 0, max: 19, integer: true })),
        may('note', text),
      ],
    },
    'leak-seen': { v: 1, joint: false, fields: [must('testId', id), must('where', text)] },
    // What follows a test: draining, flushing, filling …
    'after-done': {
      v: 1,
      joint: false,
      fields: [must('sectionId', id), must('step', tag), may('how', text), may('fromS', instant)],
    },
    'hold-point': {
      v: 1,
      joint: false,
      fields: [must('holdId', id), must('sectionId', id), must('name', name), may('who', name)],
    },
    'hold-answered': {
      v: 1,
      joint: false,
      fields: [must('holdId', id), must('answer', oneOf('go on', 'wait')), may('note', text)],
    },
  }
