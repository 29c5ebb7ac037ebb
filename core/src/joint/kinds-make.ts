import { type Input, flag, list, number, object, oneOf, text } from '../schema/shape.js'
import { anything, id, instant, m, n, tag } from './kinds-shapes.js'

/** Events of work on several joints at once, and of what the work is done with. */
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
  'permit-set': {
    v: 1,
    joint: false,
    fields: [n('what', oneOf('hot-work')), n('number', tag), n('fromS', instant), n('untilS', instant)],
  },
}
