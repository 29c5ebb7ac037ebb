import { type Shape, flag, list, number, object, oneOf } from '../schema/shape.js'
import { OWN_FORM } from './own-form.js'
import { falls, heading, id, level, may, mm, must, size, tag } from './kinds-shapes.js'

const word: Shape = { type: 'string', max: 24 }
const END_SAID = object(may('kind', word), may('size', size), may('of', word))

/** A fitting or a piece of pipe, as an event puts it into a line. */
export const ITEM = object(
  must('type', oneOf('fitting', 'piece')),
  must('tag', tag),
  must('size', size),
  may('size2', size),
  may('fitting', { type: 'string', max: 40 }),
  may('measure', oneOf('centre-centre', 'centre-face', 'face-face', 'end-end')),
  may('measuredMm', mm),
  may('jointA', id),
  may('jointB', id),
  may('tagA', tag),
  may('tagB', tag),
  may('closing', flag),
  may('run', { type: 'string', max: 129 }),
  may('gapMm', number({ min: 0, max: 100 })),
  may('ends', list(END_SAID, 0, 4)),
  may('of', word),
  may('way', object(may('method', word), may('material', word), may('series', word))),
  may('heading', heading),
  may('falls', falls),
  may('branchFalls', falls),
  may('meets', tag),
  may('toLevelMm', level),
  may('alongMm', mm),
  may('own', OWN_FORM),
  may('held', list(object(must('as', oneOf('anchor', 'guide')), may('atMm', mm)), 0, 40)),
  may(
    'bend',
    object(
      must('radiusMm', mm),
      must('legsMm', list(mm, 2, 40)),
      must('turnsDeg', list(number({ min: -179.99, max: 179.99 }), 1, 39)),
    ),
  ),
  may(
    'near',
    list(
      object(
        must('end', number({ min: 0, max: 1, integer: true })),
        must('to', oneOf('weld', 'bend', 'wall')),
        must('mm', number({ min: 0, max: 10_000 })),
      ),
      0,
      6,
    ),
  ),
)
