import { CURE_TABLES } from '../methods/cure/rule.js'
import { flag, list, number, object, oneOf, text } from '../schema/shape.js'
import { type Kind, anything, bar, id, instant, may, mm, must, size, tag } from './kinds-shapes.js'
import { LINE_KINDS } from './kinds-line.js'
import { MAKE_KINDS } from './kinds-make.js'
import { ENDED_MORE, PROVE_KINDS, TEST_MORE } from './kinds-prove.js'
import { PEOPLE_KINDS } from './kinds-people.js'
import { PLAN_KINDS } from './kinds-plan.js'
import { STORE_KINDS } from './kinds-store.js'
import { USUAL_FIELDS } from './usual-figures.js'
import { UPKEEP_KINDS } from './kinds-upkeep.js'

/** Every kind of event, its version and the shape of its data. */
export const KINDS: Readonly<Record<string, Kind>> = {
  ...MAKE_KINDS,
  ...STORE_KINDS,
  ...PROVE_KINDS,
  ...UPKEEP_KINDS,
  ...PLAN_KINDS,
  'job-set': {
    v: 1,
    joint: false,
    fields: [
      must('name', text),
      must('zone', text),
      must('school', oneOf('inch', 'metric')),
      may('table', oneOf(...CURE_TABLES)),
      may('checkOffsetMm', number({ min: 10, max: 300 })),
      may('site', text),
      may('customer', text),
      may('drawings', text),
      // What is usual in it where nothing else is said: taken as said before, never in secret.
      may('usual', object(...USUAL_FIELDS)),
    ],
  },
  // That its work is done, or goes on after all.
  'job-closed': { v: 1, joint: false, fields: [must('closed', flag)] },
  'place-set': { v: 1, joint: false, fields: [must('placeId', id), must('name', text)] },
  ...LINE_KINDS,
  'group-set': {
    v: 1,
    joint: false,
    fields: [
      must('groupId', id),
      must('name', tag),
      // An empty list takes the group away.
      must('entries', list({ type: 'string', max: 90 }, 0, 60)),
    ],
  },
  'take-off': {
    v: 1,
    joint: false,
    fields: [
      must('fitting', { type: 'string', max: 40 }),
      must('size', size),
      may('size2', size),
      must('takeOffMm', number({ min: 0, max: 5000 })),
      must('takeOffTo', oneOf('face', 'stop')),
      may('chart', { type: 'string', max: 200 }),
    ],
  },
  'socket-measured': {
    v: 1,
    joint: false,
    fields: [
      must('material', { type: 'string', max: 40 }),
      must('size', size),
      must('depthMm', number({ above: 0, max: 500 })),
    ],
  },
  'piece-cut': { v: 1, joint: false, fields: [must('itemId', id), must('cutMm', mm)] },
  'stock-set': {
    v: 1,
    joint: false,
    fields: [
      must('kerfMm', number({ min: 0, max: 100 })),
      must('keepMm', number({ min: 0, max: 100_000 })),
      must('barsMm', list(mm, 0, 20)),
      must('offcuts', list(object(must('id', id), must('pipe', tag), must('lengthMm', mm)), 0, 2000)),
    ],
  },
  'section-set': {
    v: 1,
    joint: false,
    fields: [
      must('sectionId', id),
      must('tag', tag),
      must('jointIds', list(id, 0, 20000)),
      must('workingBar', bar),
      must('testBar', number({ above: 0, max: 1000 })),
      must('holdS', number({ above: 0, max: 864000 })),
      must('allowedDropBar', bar),
      may('ratingBar', bar),
    ],
  },
  'section-state': {
    v: 1,
    joint: false,
    fields: [
      must('sectionId', id),
      must('state', oneOf('drained', 'full', 'under pressure', 'under vacuum')),
    ],
  },
  gate: {
    v: 1,
    joint: false,
    fields: [
      must('sectionId', id),
      must('gate', { type: 'string', max: 40 }),
      must('done', flag),
      may('how', text),
    ],
  },
  reading: {
    v: 1,
    joint: false,
    fields: [
      must('placeId', id),
      must('what', oneOf('air', 'wall', 'humidity')),
      must('basis', oneOf('typed', 'measured', 'forecast')),
      must('atS', instant),
      must('value', number({ min: -60, max: 150 })),
      may('supersedes', id),
    ],
  },
  'joint-placed': { v: 1, joint: true, fields: [must('placeId', id), must('fromS', instant)] },
  'step-done': {
    v: 2,
    joint: true,
    fields: [
      must('life', number({ min: 1, max: 999, integer: true })),
      must('step', { type: 'string', max: 40 }),
      must('readings', anything),
      may('pin', anything),
      may('shown', { ...list(anything, 0, 40) }),
      may('tinId', id),
      may('earliestS', instant),
      may('latestS', instant),
      may('skipped', text),
      may('toolIds', list(id, 0, 10)),
      may('basis', oneOf('seen', 'memory')),
    ],
  },
  correction: {
    v: 1,
    joint: false,
    fields: [
      must('target', id),
      must('undo', flag),
      may('atS', instant),
      may('reason', text),
      // What another proposed, and is so accepted.
      may('proposalId', id),
    ],
  },
  // Somebody else's entry is wrong: its author, or who leads, corrects it or says why not.
  'correction-proposed': {
    v: 1,
    joint: false,
    fields: [must('target', id), must('undo', flag), may('atS', instant), must('reason', text)],
  },
  'proposal-declined': { v: 1, joint: false, fields: [must('proposalId', id), may('note', text)] },
  'cut-out': {
    v: 1,
    joint: true,
    fields: [
      must('life', number({ min: 1, max: 999, integer: true })),
      may('reason', text),
      // Nothing is wrong with it: it is in one fitting with a joint that is cut out.
      may('outWith', id),
    ],
  },
  interrupted: {
    v: 1,
    joint: true,
    fields: [
      must('life', number({ min: 1, max: 999, integer: true })),
      must('what', { type: 'string', max: 40 }),
    ],
  },
  'test-begun': {
    v: 1,
    joint: false,
    fields: [
      must('testId', id),
      must('sectionId', id),
      must('bar', number({ above: 0, max: 1000 })),
      must('medium', oneOf('water', 'air', 'nitrogen')),
      must('holdS', number({ above: 0, max: 864000 })),
      must('allowedDropBar', bar),
      must('resolutionBar', number({ above: 0, max: 10 })),
      may('gauge', text),
      must('tester', text),
      ...TEST_MORE,
    ],
  },
  'test-read': {
    v: 1,
    joint: false,
    fields: [
      must('testId', id),
      must('atS', instant),
      must('bar', number({ min: -1, max: 1000 })),
      may('temperatureC', number({ min: -60, max: 150 })),
    ],
  },
  'test-ended': {
    v: 1,
    joint: false,
    fields: [
      must('testId', id),
      must('verdict', oneOf('held', 'lost', 'inconclusive')),
      may('dropBar', number({ min: -1000, max: 1000 })),
      may('note', text),
      ...ENDED_MORE,
    ],
  },
  'chart-loaded': {
    v: 1,
    joint: false,
    fields: [
      must('chartId', id),
      must('name', { type: 'string', max: 80 }),
      must(
        'rows',
        list(
          object(
            must('method', { type: 'string', max: 40 }),
            must('material', { type: 'string', max: 40 }),
            must('size', { type: 'string', max: 20 }),
            must('field', { type: 'string', max: 40 }),
            must('value', number({ above: 0, max: 3e6 })),
            may('fromC', number({ min: -60, max: 120 })),
            may('toBar', number({ above: 0, max: 1000 })),
            must('reference', { type: 'string', max: 200 }),
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
      must('sourceId', { type: 'string', max: 80 }),
      must('edition', { type: 'string', max: 80 }),
      must('on', { type: 'string', max: 10 }),
      may('note', { type: 'string', max: 500 }),
    ],
  },
  // What somebody is on the job from now on: said by who leads it.
  ...PEOPLE_KINDS,
  // How far the log came in as a file: written by the server that took it in.
  'log-brought': {
    v: 1,
    joint: false,
    fields: [
      must('entries', number({ min: 0, max: 1e9, integer: true })),
      must('head', { type: 'string', max: 64 }),
    ],
  },
  signed: {
    v: 1,
    joint: false,
    fields: [must('what', { type: 'string', max: 40 }), must('refId', id), must('statement', text)],
  },
}
