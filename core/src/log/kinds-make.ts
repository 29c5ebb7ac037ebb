import { ASKED, ASKED_FACTS, NOT_KNOWN } from '../methods/around.js'
import { list, number, object, oneOf, text } from '../schema/shape.js'
import { type Kind, anything, id, instant, may, must, tag } from './kinds-shapes.js'

/** What a picture of a joint may be. */
export const PHOTO = { kinds: ['image/jpeg', 'image/png', 'image/webp'], mostBytes: 4_194_304 } as const

/** Events of work on several joints at once, and of what is said beside it. */
export const MAKE_KINDS: Readonly<Record<string, Kind>> = {
  // Several joints, or one, written down in one go: every step lies somewhere between the two times.
  'batch-done': {
    v: 1,
    joint: false,
    fields: [
      must(
        'joints',
        list(
          object(
            must('jointId', id),
            must('life', number({ min: 1, max: 999, integer: true })),
            may('pin', anything),
          ),
          1,
          200,
        ),
      ),
      must('steps', list(object(must('step', tag), must('readings', anything)), 1, 20)),
      must('fromS', instant),
      must('toS', instant),
      must('basis', oneOf('seen', 'memory')),
      may('tinId', id),
      may('toolIds', list(id, 0, 10)),
    ],
  },
  // What only somebody on site can say of a joint's surroundings: for a whole line, or for one joint that differs.
  'around-said': {
    v: 1,
    joint: false,
    fields: [
      must('lineId', id),
      may('jointId', id),
      must('said', object(...ASKED_FACTS.map((fact) => may(fact, oneOf(...ASKED[fact], NOT_KNOWN))))),
    ],
  },
  // A picture of a joint: the log names its bytes by their SHA-256; they are kept beside it.
  'photo-kept': {
    v: 1,
    joint: true,
    fields: [
      must('life', number({ min: 1, max: 1000, integer: true })),
      may('step', tag),
      must('hash', { type: 'string', max: 64 }),
      must('kind', oneOf(...PHOTO.kinds)),
      must('widthPx', number({ min: 1, max: 20_000, integer: true })),
      must('heightPx', number({ min: 1, max: 20_000, integer: true })),
      must('bytes', number({ min: 1, max: PHOTO.mostBytes, integer: true })),
    ],
  },
  // Somebody else looked at a joint: an apprentice's joint wants that.
  'looked-over': {
    v: 1,
    joint: true,
    fields: [
      must('life', number({ min: 1, max: 999, integer: true })),
      must('found', oneOf('good', 'wrong')),
      may('note', text),
    ],
  },
  'permit-set': {
    v: 1,
    joint: false,
    fields: [
      must('what', oneOf('hot-work')),
      must('number', tag),
      must('fromS', instant),
      must('untilS', instant),
    ],
  },
}
