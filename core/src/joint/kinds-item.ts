import { flag, list, number, object, oneOf } from '../schema/shape.js'
import { id, m, mm, n, size, tag } from './kinds-shapes.js'

/** A fitting or a piece of pipe, as an event puts it into a line. */
export const ITEM = object(
  n('type', oneOf('fitting', 'piece')),
  n('tag', tag),
  n('size', size),
  m('size2', size),
  m('fitting', { type: 'string', max: 40 }),
  m('measure', oneOf('centre-centre', 'centre-face', 'face-face', 'end-end')),
  m('measuredMm', mm),
  m('jointA', id),
  m('jointB', id),
  m('tagA', tag),
  m('tagB', tag),
  m('closing', flag),
  m('run', id),
  m('gapMm', number({ min: 0, max: 100 })),
  m(
    'bend',
    object(
      n('radiusMm', mm),
      n('legsMm', list(mm, 2, 40)),
      n('turnsDeg', list(number({ min: -179.99, max: 179.99 }), 1, 39)),
    ),
  ),
  m(
    'near',
    list(
      object(
        n('end', number({ min: 0, max: 1, integer: true })),
        n('to', oneOf('weld', 'bend', 'wall')),
        n('mm', number({ min: 0, max: 10_000 })),
      ),
      0,
      6,
    ),
  ),
)
