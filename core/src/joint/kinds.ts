import { CURE_TABLES } from '../methods/cure/rule.js'
import { SERIES } from '../sizes/walls.js'
import { type Input, flag, list, number, object, oneOf, text } from '../schema/shape.js'
import { anything, bar, id, instant, m, mm, n, size, tag } from './kinds-shapes.js'
import { ITEM } from './kinds-item.js'
import { MAKE_KINDS } from './kinds-make.js'
import { ENDED_MORE, PROVE_KINDS, TEST_MORE } from './kinds-prove.js'

/** Every kind of event, its version and the shape of its data. */
export const KINDS: Readonly<Record<string, { v: number; joint: boolean; fields: readonly Input[] }>> = {
  ...MAKE_KINDS,
  ...PROVE_KINDS,
  'job-set': {
    v: 1,
    joint: false,
    fields: [
      n('name', text),
      n('zone', text),
      n('school', oneOf('inch', 'metric')),
      m('table', oneOf(...CURE_TABLES)),
      m('checkOffsetMm', number({ min: 10, max: 300 })),
    ],
  },
  'place-set': { v: 1, joint: false, fields: [n('placeId', id), n('name', text)] },
  'line-set': {
    v: 1,
    joint: false,
    fields: [
      n('lineId', id),
      n('tag', tag),
      n('name', text),
      n('method', { type: 'string', max: 40 }),
      n('material', { type: 'string', max: 40 }),
      n('school', oneOf('inch', 'metric')),
      m('schedule', oneOf('40', '80')),
      m('series', oneOf(...SERIES)),
      m('details', anything),
      n('placeId', id),
      m('ratingBar', bar),
      m('insideOf', id),
    ],
  },
  'item-put': {
    v: 1,
    joint: false,
    fields: [n('lineId', id), n('itemId', id), m('afterItemId', id), n('item', ITEM)],
  },
  'items-put': {
    v: 1,
    joint: false,
    fields: [n('lineId', id), n('items', list(object(n('itemId', id), n('item', ITEM)), 1, 500))],
  },
  'item-moved': { v: 1, joint: false, fields: [n('lineId', id), n('itemId', id), m('afterItemId', id)] },
  'item-removed': { v: 1, joint: false, fields: [n('lineId', id), n('itemId', id)] },
  'group-set': {
    v: 1,
    joint: false,
    fields: [
      n('groupId', id),
      n('name', tag),
      // An empty list takes the group away.
      n('entries', list({ type: 'string', max: 60 }, 0, 60)),
    ],
  },
  'take-off': {
    v: 1,
    joint: false,
    fields: [
      n('fitting', { type: 'string', max: 40 }),
      n('size', size),
      m('size2', size),
      n('takeOffMm', number({ min: 0, max: 5000 })),
      n('takeOffTo', oneOf('face', 'stop')),
      m('chart', { type: 'string', max: 200 }),
    ],
  },
  'socket-measured': {
    v: 1,
    joint: false,
    fields: [
      n('material', { type: 'string', max: 40 }),
      n('size', size),
      n('depthMm', number({ above: 0, max: 500 })),
    ],
  },
  'piece-cut': { v: 1, joint: false, fields: [n('itemId', id), n('cutMm', mm)] },
  'stock-set': {
    v: 1,
    joint: false,
    fields: [
      n('kerfMm', number({ min: 0, max: 100 })),
      n('keepMm', number({ min: 0, max: 100_000 })),
      n('barsMm', list(mm, 0, 20)),
      n('offcuts', list(object(n('id', id), n('pipe', tag), n('lengthMm', mm)), 0, 2000)),
    ],
  },
  'section-set': {
    v: 1,
    joint: false,
    fields: [
      n('sectionId', id),
      n('tag', tag),
      n('jointIds', list(id, 0, 20000)),
      n('workingBar', bar),
      n('testBar', number({ above: 0, max: 1000 })),
      n('holdS', number({ above: 0, max: 864000 })),
      n('allowedDropBar', bar),
      m('ratingBar', bar),
    ],
  },
  'section-state': {
    v: 1,
    joint: false,
    fields: [n('sectionId', id), n('state', oneOf('drained', 'full', 'under pressure', 'under vacuum'))],
  },
  gate: {
    v: 1,
    joint: false,
    fields: [n('sectionId', id), n('gate', { type: 'string', max: 40 }), n('done', flag), m('how', text)],
  },
  reading: {
    v: 1,
    joint: false,
    fields: [
      n('placeId', id),
      n('what', oneOf('air', 'wall', 'humidity')),
      n('basis', oneOf('typed', 'measured', 'forecast')),
      n('atS', instant),
      n('value', number({ min: -60, max: 150 })),
      m('supersedes', id),
    ],
  },
  'tin-set': {
    v: 1,
    joint: false,
    fields: [
      n('tinId', id),
      n('plastic', { type: 'string', max: 40 }),
      n('code', tag),
      n('expiresOn', { type: 'string', max: 10 }),
    ],
  },
  'joint-placed': { v: 1, joint: true, fields: [n('placeId', id), n('fromS', instant)] },
  'step-done': {
    v: 2,
    joint: true,
    fields: [
      n('life', number({ min: 1, max: 999, integer: true })),
      n('step', { type: 'string', max: 40 }),
      n('readings', anything),
      m('pin', anything),
      m('shown', { ...list(anything, 0, 40) }),
      m('tinId', id),
      m('earliestS', instant),
      m('latestS', instant),
      m('skipped', text),
      m('toolIds', list(id, 0, 10)),
      m('basis', oneOf('seen', 'memory')),
    ],
  },
  correction: {
    v: 1,
    joint: false,
    fields: [n('target', id), n('undo', flag), m('atS', instant), m('reason', text)],
  },
  'cut-out': {
    v: 1,
    joint: true,
    fields: [n('life', number({ min: 1, max: 999, integer: true })), m('reason', text)],
  },
  interrupted: {
    v: 1,
    joint: true,
    fields: [n('life', number({ min: 1, max: 999, integer: true })), n('what', { type: 'string', max: 40 })],
  },
  'test-begun': {
    v: 1,
    joint: false,
    fields: [
      n('testId', id),
      n('sectionId', id),
      n('bar', number({ above: 0, max: 1000 })),
      n('medium', oneOf('water', 'air', 'nitrogen')),
      n('holdS', number({ above: 0, max: 864000 })),
      n('allowedDropBar', bar),
      n('resolutionBar', number({ above: 0, max: 10 })),
      m('gauge', text),
      n('tester', text),
      ...TEST_MORE,
    ],
  },
  'test-read': {
    v: 1,
    joint: false,
    fields: [
      n('testId', id),
      n('atS', instant),
      n('bar', number({ min: -1, max: 1000 })),
      m('temperatureC', number({ min: -60, max: 150 })),
    ],
  },
  'test-ended': {
    v: 1,
    joint: false,
    fields: [
      n('testId', id),
      n('verdict', oneOf('held', 'lost', 'inconclusive')),
      m('dropBar', number({ min: -1000, max: 1000 })),
      m('note', text),
      ...ENDED_MORE,
    ],
  },
  'chart-loaded': {
    v: 1,
    joint: false,
    fields: [
      n('chartId', id),
      n('name', { type: 'string', max: 80 }),
      n(
        'rows',
        list(
          object(
            n('method', { type: 'string', max: 40 }),
            n('material', { type: 'string', max: 40 }),
            n('size', { type: 'string', max: 20 }),
            n('field', { type: 'string', max: 40 }),
            n('value', number({ above: 0, max: 3e6 })),
            m('fromC', number({ min: -60, max: 120 })),
            m('toBar', number({ above: 0, max: 1000 })),
            n('reference', { type: 'string', max: 200 }),
          ),
          1,
          3000,
        ),
      ),
    ],
  },
  'source-checked': {
    v: 1,
    joint: false,
    fields: [
      n('sourceId', { type: 'string', max: 80 }),
      n('edition', { type: 'string', max: 80 }),
      n('on', { type: 'string', max: 10 }),
      m('note', { type: 'string', max: 500 }),
    ],
  },
  signed: {
    v: 1,
    joint: false,
    fields: [n('what', { type: 'string', max: 40 }), n('refId', id), n('statement', text)],
  },
}
