import { type Input, flag, list, number, object, oneOf, text } from '../schema/shape.js'
import { bar, id, instant, m, n, tag } from './kinds-shapes.js'

const metres = number({ min: -1000, max: 1000 })
const MEDIA = oneOf('water', 'air', 'nitrogen')
/** Parts of a section with a rating of their own, and what is put up or taken out for a test and must come back. */
export const PART_KINDS = ['thread', 'union', 'valve', 'flange', 'fitting', 'pipe', 'other'] as const
export const TAG_KINDS = ['blank', 'closed isolation', 'valve taken out', 'relief gagged', 'cap off'] as const
const name: Input['shape'] = { type: 'string', max: 80 }

/** What the verdict needs to know of the line. */
const PHYSICS = object(
  n('pipeMaterial', { type: 'string', max: 40 }),
  m('odMm', number({ above: 0, max: 5000 })),
  m('wallMm', number({ above: 0, max: 500 })),
  m('axial', oneOf('free', 'anchored')),
  m('airPct', number({ min: 0, max: 50 })),
  m('volumeM3', number({ above: 0, max: 1e6 })),
)
export const STAGES = list(
  object(n('name', tag), n('bar', bar), n('holdS', number({ min: 0, max: 864_000 })), n('look', flag)),
  0,
  20,
)
/** What a test carries besides what it always did: how it is read and judged, and which stops were set aside. */
export const TEST_MORE: readonly Input[] = [
  m('rule', tag),
  m('stages', STAGES),
  m('stabiliseS', number({ min: 0, max: 864_000 })),
  m('sensorErrorBar', number({ min: 0, max: 100 })),
  m('temperatureOf', oneOf('medium', 'wall', 'air')),
  m('physics', PHYSICS),
  m('gaugeDueOn', { type: 'string', max: 10 }),
  m('gaugeTopBar', number({ above: 0, max: 5000 })),
  m('setAside', list(object(n('code', tag), n('reason', text)), 0, 20)),
]
export const ENDED_MORE: readonly Input[] = [
  m('rawDropBar', number({ min: -10_000, max: 10_000 })),
  m('uncertaintyBar', number({ min: 0, max: 10_000 })),
  m('leakRateLPerH', number({ min: -1e9, max: 1e9 })),
]

export const PROVE_KINDS: Readonly<Record<string, { v: number; joint: boolean; fields: readonly Input[] }>> =
  {
    // How a section is to be tested, and what it is: the last word on it.
    'section-plan': {
      v: 1,
      joint: false,
      fields: [
        n('sectionId', id),
        m('rule', tag),
        m('designBar', bar),
        n('medium', MEDIA),
        m('temperatureC', number({ min: -60, max: 150 })),
        m('gaugeM', metres),
        m('lowM', metres),
        m('highM', metres),
        m('axial', oneOf('free', 'anchored')),
        m('airPct', number({ min: 0, max: 50 })),
        m('stressRatio', number({ min: 1, max: 20 })),
        // Sections behind one valve are live together.
        m('valve', tag),
        m('keep', oneOf('full', 'empty')),
      ],
    },
    'part-set': {
      v: 1,
      joint: false,
      fields: [
        n('sectionId', id),
        n('partId', id),
        n('name', name),
        n('kind', oneOf(...PART_KINDS)),
        n('ratingBar', number({ above: 0, max: 2000 })),
        m('atM', metres),
        m('gone', flag),
      ],
    },
    'tag-put': {
      v: 1,
      joint: false,
      fields: [n('tagId', id), n('sectionId', id), n('kind', oneOf(...TAG_KINDS)), n('where', name)],
    },
    'tag-back': { v: 1, joint: false, fields: [n('tagId', id), m('how', text)] },
    // Readings of a test in one go: time, pressure and, where there is one, temperature.
    'test-log': {
      v: 1,
      joint: false,
      fields: [
        n('testId', id),
        m('from', name),
        n('rows', list(list(number({ min: -1000, max: 4e9 }), 2, 3), 1, 2000)),
      ],
    },
    // A stage of a test is over: its pressure was there, its time is up, the line was walked where it had to be.
    'stage-done': {
      v: 1,
      joint: false,
      fields: [n('testId', id), n('stage', number({ min: 0, max: 19, integer: true })), m('note', text)],
    },
    'leak-seen': { v: 1, joint: false, fields: [n('testId', id), n('where', text)] },
    // What follows a test: draining, flushing, filling …
    'after-done': {
      v: 1,
      joint: false,
      fields: [n('sectionId', id), n('step', tag), m('how', text), m('fromS', instant)],
    },
    'hold-point': {
      v: 1,
      joint: false,
      fields: [n('holdId', id), n('sectionId', id), n('name', name), m('who', name)],
    },
    'hold-answered': {
      v: 1,
      joint: false,
      fields: [n('holdId', id), n('answer', oneOf('go on', 'wait')), m('note', text)],
    },
  }
