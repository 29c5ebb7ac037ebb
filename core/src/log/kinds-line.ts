import { SERIES } from '../sizes/walls.js'
import { type Input, flag, list, number, object, oneOf, text } from '../schema/shape.js'
import { ITEM } from './kinds-item.js'
import { anything, bar, falls, heading, id, level, may, must, tag } from './kinds-shapes.js'

/** A line without its parts. */
const LINE: readonly Input[] = [
  must('lineId', id),
  must('tag', tag),
  must('name', text),
  must('method', { type: 'string', max: 40 }),
  must('material', { type: 'string', max: 40 }),
  must('school', oneOf('inch', 'metric')),
  may('schedule', oneOf('40', '80')),
  may('series', oneOf(...SERIES)),
  may('details', anything),
  may('ways', anything),
  must('placeId', id),
  may('ratingBar', bar),
  may('insideOf', id),
]
/** Kinds of events about lines, their parts, and where they lie. */
export const LINE_KINDS: Readonly<Record<string, { v: number; joint: boolean; fields: readonly Input[] }>> = {
  'line-set': { v: 1, joint: false, fields: LINE },
  // The same once more: what was begun before it stays what it was.
  'line-changed': { v: 1, joint: false, fields: LINE },
  // An empty one: nobody knows any more where it lies.
  'line-stands': {
    v: 1,
    joint: false,
    fields: [
      must('lineId', id),
      must(
        'stands',
        object(
          may('levelMm', level),
          may('name', tag),
          may('branch', flag),
          may('heading', heading),
          may('falls', falls),
          may('carries', oneOf('drain', 'condensate')),
          may('flows', oneOf('on', 'back')),
          may('insulationMm', number({ min: 0, max: 500 })),
          may('clearMm', number({ min: 0, max: 5000 })),
        ),
      ),
    ],
  },
  'point-set': {
    v: 1,
    joint: false,
    fields: [
      must('pointId', id),
      must('name', tag),
      // Without a place it is put away.
      may('atMm', list(level, 3, 3)),
      may('heading', heading),
    ],
  },
  'item-put': {
    v: 1,
    joint: false,
    fields: [must('lineId', id), must('itemId', id), may('afterItemId', id), must('item', ITEM)],
  },
  'items-put': {
    v: 1,
    joint: false,
    fields: [must('lineId', id), must('items', list(object(must('itemId', id), must('item', ITEM)), 1, 500))],
  },
  'item-moved': {
    v: 1,
    joint: false,
    fields: [must('lineId', id), must('itemId', id), may('afterItemId', id)],
  },
  'item-removed': { v: 1, joint: false, fields: [must('lineId', id), must('itemId', id)] },
}
