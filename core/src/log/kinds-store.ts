import { flag, list, number, oneOf, text } from '../schema/shape.js'
import { type Kind, anything, day, id, instant, may, must, tag } from './kinds-shapes.js'
import { AMOUNT_UNITS, ITEM_STATES } from './store-item.js'

/** A number of days that anything keeps. */
const MOST_DAYS = 36_500

/** Events of what joints are made with: everything with a date, a batch or a state. */
export const STORE_KINDS: Readonly<Record<string, Kind>> = {
  'tool-set': {
    v: 1,
    joint: false,
    fields: [
      must('toolId', id),
      must('kind', tag),
      must('name', tag),
      // What it fits: size, profile …, compared with what a joint needs.
      must('matches', anything),
      may('dueOn', day),
      may('checkedOn', day),
      may('certificate', tag),
      may('boughtOn', day),
    ],
  },
  // So much of something that is used up, all of one batch.
  'lot-set': {
    v: 1,
    joint: false,
    fields: [
      must('lotId', id),
      must('kind', tag),
      must('name', tag),
      must('matches', anything),
      may('batch', tag),
      may('boughtOn', day),
      may('expiresOn', day),
      may('openDays', number({ min: 1, max: MOST_DAYS, integer: true })),
      may('amount', number({ above: 0, max: 1e9 })),
      may('unit', oneOf(...AMOUNT_UNITS)),
    ],
  },
  // A tin of cement, as it was written before there were lots.
  'tin-set': {
    v: 1,
    joint: false,
    fields: [
      must('tinId', id),
      must('plastic', { type: 'string', max: 40 }),
      must('code', tag),
      must('expiresOn', day),
    ],
  },
  'store-state': {
    v: 1,
    joint: false,
    fields: [
      must('itemId', id),
      must('state', oneOf(...ITEM_STATES)),
      may('atS', instant),
      may('says', text),
    ],
  },
  'tool-proof': { v: 1, joint: false, fields: [must('toolId', id), must('good', flag), may('how', text)] },
  'tool-found': {
    v: 1,
    joint: false,
    fields: [must('toolId', id), must('fromS', instant), may('toS', instant), must('says', text)],
  },
  // Joints that are to be looked at again, whoever or whatever made them.
  'joints-doubted': {
    v: 1,
    joint: false,
    fields: [must('jointIds', list(id, 1, 20_000)), must('says', text)],
  },
  // What a tool reports by itself.
  'tool-said': {
    v: 1,
    joint: false,
    fields: [
      must('toolId', id),
      must('what', oneOf('cycle', 'torque', 'blanket')),
      must('result', oneOf('complete', 'interrupted', 'reached', 'not-reached', 'on', 'off', 'fault')),
      must('atS', instant),
      may('value', number({ min: -100, max: 10_000 })),
      may('jaw', tag),
      may('profile', tag),
    ],
  },
}
