import type { SourceId } from '../sources/source.js'
import { either, list, may, need, number, object, oneOf } from '../schema/shape.js'
import { closingPiece } from '../space/closing-piece.js'
import { HEADINGS, headingOf } from '../space/heading.js'
import type { Vector } from '../space/vector.js'
import { Refusal, calculation } from './calculation.js'

/** Nothing in a building is further off than this, mm. */
const FAR = 1_000_000
const figures = (min: number, max: number) => list(number({ min, max }), 3, 3)
/** A direction. */
export const headingShape = either(oneOf(...Object.keys(HEADINGS)), figures(-1.01, 1.01))
/** A place in a building: east, north, up. */
export const placeShape = figures(-FAR, FAR)
const standing = object(
  need('atMm', placeShape, 'Where it is: east, north, up'),
  need('heading', headingShape, 'How the way goes on there: a name, or a vector of length 1'),
)

interface Given {
  atMm: [number, number, number]
  heading: string | number[]
}
interface ClosingInput {
  from: Given
  to: Given
  angleDeg: number
  takeOffMm: number
  insertionMm: number
  minStraightMm?: number | null
}
function directionOf(given: Given, field: string): Vector {
  const found = headingOf(given.heading)
  if (!found)
    throw new Refusal(
      'bad-input',
      `${field}.heading must be a name, or a vector of length 1 (east, north, up).`,
      `${field}.heading`,
    )
  return found
}

const WHY = {
  'headings-differ': 'The two ends do not point the same way: two fittings alike do not close it.',
  'does-not-fit':
    'There is no room for it: fittings of a smaller angle, or shorter ones, or ends further apart.',
} as const
export const closingPieceCalc = calculation({
  name: 'closing-piece',
  summary: 'The piece between two ends known in place and direction, with two fittings alike.',
  inputs: [
    need('from', standing, 'End of the straight before it'),
    need('to', standing, 'End of the straight after it; its heading is how the way goes on'),
    need('angleDeg', number({ above: 0, max: 90 }), 'Deflection of both fittings'),
    need('takeOffMm', number({ min: 0, max: 5000 }), 'Centre to face of both fittings'),
    need('insertionMm', number({ min: 0, max: 5000 }), 'How far the pipe goes into them'),
    may('minStraightMm', number({ min: 0, max: FAR }), 'Least pipe between faces; 0 if absent'),
  ],
  rules: 'x is east, y north, z up. Headings are east, west, north, south, up, down or a vector of length 1.',
  sources: ['closing-geometry'],
  example: {
    input: {
      from: { atMm: [0, 0, 0], heading: 'east' },
      to: { atMm: [1000, 0, 300], heading: 'east' },
      angleDeg: 45,
      takeOffMm: 40,
      insertionMm: 25,
    },
    result: {
      kind: 'offset',
      turnDeg: 0,
      setMm: 300,
      rollMm: 0,
      trueOffsetMm: 300,
      travelMm: 424.26406871192853,
      runMm: 300.00000000000006,
      travelHeading: [0.7071067811865476, 0, 0.7071067811865475],
      leadInMm: 40,
      leadOutMm: 660,
      cutMm: 394.26406871192853,
      reasons: [],
    },
  },
  compute(input: ClosingInput, working) {
    const standingAt = (field: 'from' | 'to') => ({
      atMm: input[field].atMm,
      heading: directionOf(input[field], field),
    })
    const [from, to] = [standingAt('from'), standingAt('to')]
    const { reason, ...found } = closingPiece(from, to, {
      angleDeg: input.angleDeg,
      takeOffMm: input.takeOffMm,
      insertionMm: input.insertionMm,
      minStraightMm: input.minStraightMm ?? 0,
    })
    const source: SourceId[] = ['given', 'closing-geometry']
    for (const [figure, value] of Object.entries(found))
      working.put(figure, value, 'closing-geometry', source)
    working.put('reasons', reason ? [{ code: reason, level: 'stop', message: WHY[reason] }] : [])
  },
})
