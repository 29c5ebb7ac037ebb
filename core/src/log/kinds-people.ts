import { flag, list, oneOf, text } from '../schema/shape.js'
import { type Kind, day, id, may, must, tag } from './kinds-shapes.js'
import { ROLES } from './roles.js'

/** Events of people on a job: what each is there, and what their papers say they may make. */
export const PEOPLE_KINDS: Readonly<Record<string, Kind>> = {
  // What a paper says somebody may make. The same id again replaces it; withdrawn, it counts no more.
  qualified: {
    v: 1,
    joint: false,
    fields: [
      must('qualificationId', id),
      must('personId', id),
      must('methods', list(tag, 1, 20)),
      may('covers', text),
      may('paper', text),
      may('untilOn', day),
      may('withdrawn', flag),
    ],
  },
  'role-given': { v: 1, joint: false, fields: [must('personId', id), must('role', oneOf(...ROLES))] },
}
