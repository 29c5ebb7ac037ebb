import { list, number, object, oneOf } from '../schema/shape.js'
import { type Kind, id, instant, may, must, tag } from './kinds-shapes.js'

const minutes = number({ min: 0, max: 1439, integer: true })
/** Most people of one crew. */
const MOST_CREW = 100
const MOST_PLANNED = 20_000
const crew = list(id, 0, MOST_CREW)

/** Events of the plan: who is there when, how long work takes, what stays where it was put, which plan is followed. */
export const PLAN_KINDS: Readonly<Record<string, Kind>> = {
  'crew-set': {
    v: 1,
    joint: false,
    fields: [
      must(
        'people',
        list(
          object(
            must('id', id),
            must('name', tag),
            must('days', list(number({ min: 1, max: 7, integer: true }), 1, 7)),
            must('fromMin', minutes),
            must('untilMin', minutes),
            may('breakFromMin', minutes),
            may('breakUntilMin', minutes),
            may('makes', list(id, 0, MOST_CREW)),
          ),
          0,
          MOST_CREW,
        ),
      ),
      // From one line to another, and setting up there.
      may('walkMin', number({ min: 0, max: 240 })),
    ],
  },
  // How long joints of one way take; without minutes ours counts again, or what was measured.
  'work-time': {
    v: 1,
    joint: false,
    fields: [must('method', id), may('minutes', number({ min: 1, max: 1440 }))],
  },
  // Somebody makes it, or it begins then, whatever the plan would rather; neither: it is let go.
  'joint-fixed': { v: 1, joint: true, fields: [may('crew', crew), may('startS', instant)] },
  // A section is out of service from, until, with what it takes to empty it and to bring it back; without a time: not any more.
  'shutdown-set': {
    v: 1,
    joint: false,
    fields: [
      must('sectionId', id),
      may(
        'shut',
        object(
          must('fromS', instant),
          must('untilS', instant),
          must('beforeMin', number({ min: 0, max: 2880 })),
          must('afterMin', number({ min: 0, max: 2880 })),
        ),
      ),
    ],
  },
  // The plan that is followed; without joints: none is.
  'plan-pinned': {
    v: 1,
    joint: false,
    fields: [
      must('aim', oneOf('each', 'last')),
      must(
        'joints',
        list(
          object(must('jointId', id), must('startS', instant), must('endS', instant), must('crew', crew)),
          0,
          MOST_PLANNED,
        ),
      ),
      must('valueS', instant),
      must('boundS', instant),
    ],
  },
}
