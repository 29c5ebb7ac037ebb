import { FORMS, type Form, type OwnForm, SHAPES } from '../log/own-form.js'
import {
  type Shape as Input,
  firstFault,
  list,
  may,
  need,
  number,
  object,
  oneOf,
  unknownFields,
  yupOf,
} from '../schema/shape.js'
import { type EndUsual, type Part } from './vocabulary.js'

/** A take-off of a part of a house's own. */
export interface OwnTakeOff {
  /** Which end: 0 the way in, 1 the way on, 2 and 3 its branches. */
  end: number
  /** Size of that end. */
  size: string
  mm: number
  to: 'face' | 'stop'
}
/** A fitting that a house names itself. */
export interface OwnPart extends OwnForm {
  /** As it is typed, in small letters. */
  name: string
  /** What each end is: `usual` in its line, a word for a kind of end, or that nothing is joined to it. */
  ends: readonly string[]
  takeOffs: readonly OwnTakeOff[]
}

/** Ends of each form; of what ends a line the second is one that nothing is joined to. */
export const ENDS_OF: Readonly<Record<Form, number>> = { through: 2, turn: 2, tee: 3, cross: 4, end: 2 }
const word: Input = { type: 'string', max: 24 }
/** A part of a house's own as it is kept. */
const OWN_PART: Input = object(
  need('name', { type: 'string', max: 40 }, 'name'),
  need('form', oneOf(...FORMS), 'form'),
  may('turnDeg', number({ above: 0, max: 179 }), 'turnDeg'),
  need('shapes', SHAPES, 'shapes'),
  need('ends', list(word, 2, 4), 'ends'),
  need(
    'takeOffs',
    list(
      object(
        need('end', number({ min: 0, max: 3, integer: true }), 'end'),
        need('size', { type: 'string', max: 20 }, 'size'),
        need('mm', number({ min: 0, max: 5000 }), 'mm'),
        need('to', oneOf('face', 'stop'), 'to'),
      ),
      0,
      60,
    ),
    'takeOffs',
  ),
)

/** Several of them, as they are sent. */
export const OWN_PARTS = {
  type: 'object',
  fields: [need('parts', list(OWN_PART, 1, 500), 'parts')],
} as const satisfies Input
const CHECK = yupOf(OWN_PARTS)
/** What of parts that are sent is not as it should be, at its field; null where all is. */
export function sentPartsFault(value: unknown): { message: string; field: string } | null {
  const fault = firstFault(OWN_PARTS, CHECK, value)
  if (fault) return fault
  const [stray] = unknownFields(OWN_PARTS, value)
  return stray === undefined ? null : { message: `${stray} is no field of a part.`, field: stray }
}

/** A part of a house's own as one of the vocabulary. */
export const partOfOwn = ({ name, form, ends }: Pick<OwnPart, 'name' | 'form' | 'ends'>): Part => ({
  name,
  words: [],
  form,
  ends: ends as readonly EndUsual[],
})
