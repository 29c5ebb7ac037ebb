import { ASKED, ASKED_FACTS, NOT_KNOWN } from '../methods/around.js'
import { type Input, flag, list, number, object, oneOf, text } from '../schema/shape.js'
import { anything, id, instant, m, n, tag } from './kinds-shapes.js'

/** Events of work on several joints at once, and of what the work is done with. */
/** What a picture of a joint may be. */
export const PHOTO = { kinds: ['image/jpeg', 'image/png', 'image/webp'], mostBytes: 4_194_304 } as const

export const MAKE_KINDS: Readonly<Record<string, { v: number; joint: boolean; fields: readonly Input[] }>> = {
  // Several joints, or one, written down in one go: every step lies somewhere between the two times.
  'batch-done': {
    v: 1,
    joint: false,
    fields: [
      n(
        'joints',
        list(
          object(
            n('jointId', id),
            n('life', number({ min: 1, max: 999, integer: true })),
            m('pin', anything),
          ),
          1,
          200,
        ),
      ),
      n('steps', list(object(n('step', tag), n('readings', anything)), 1, 20)),
      n('fromS', instant),
      n('toS', instant),
      n('basis', oneOf('seen', 'memory')),
      m('tinId', id),
      m('toolIds', list(id, 0, 10)),
    ],
  },
  // What only somebody on site can say of a joint's surroundings: for a whole line, or for one joint that differs.
  'around-said': {
    v: 1,
    joint: false,
    fields: [
      n('lineId', id),
      m('jointId', id),
      n('said', object(...ASKED_FACTS.map((fact) => m(fact, oneOf(...ASKED[fact], NOT_KNOWN))))),
    ],
  },
  'tool-set': {
    v: 1,
    joint: false,
    fields: [
      n('toolId', id),
      n('kind', tag),
      n('name', tag),
      // What it fits: size, profile …, compared with what a joint needs.
      n('matches', anything),
      m('dueOn', { type: 'string', max: 10 }),
    ],
  },
  'tool-proof': { v: 1, joint: false, fields: [n('toolId', id), n('good', flag), m('how', text)] },
  'tool-found': {
    v: 1,
    joint: false,
    fields: [n('toolId', id), n('fromS', instant), m('toS', instant), n('says', text)],
  },
  // What a tool reports by itself.
  'tool-said': {
    v: 1,
    joint: false,
    fields: [
      n('toolId', id),
      n('what', oneOf('cycle', 'torque', 'blanket')),
      n('result', oneOf('complete', 'interrupted', 'reached', 'not-reached', 'on', 'off', 'fault')),
      n('atS', instant),
      m('value', number({ min: -100, max: 10_000 })),
      m('jaw', tag),
      m('profile', tag),
    ],
  },
  // A picture of a joint: the log names its bytes by their SHA-256; they are kept beside it.
  'photo-kept': {
    v: 1,
    joint: true,
    fields: [
      n('life', number({ min: 1, max: 1000, integer: true })),
      m('step', tag),
      n('hash', { type: 'string', max: 64 }),
      n('kind', oneOf(...PHOTO.kinds)),
      n('widthPx', number({ min: 1, max: 20_000, integer: true })),
      n('heightPx', number({ min: 1, max: 20_000, integer: true })),
      n('bytes', number({ min: 1, max: PHOTO.mostBytes, integer: true })),
    ],
  },
  'permit-set': {
    v: 1,
    joint: false,
    fields: [n('what', oneOf('hot-work')), n('number', tag), n('fromS', instant), n('untilS', instant)],
  },
}
