import fc from 'fast-check'
import { cross as mathCross, dot as mathDot, norm } from 'mathjs'
import { CALCULATIONS } from '../../src/index.js'
import { closingPiece } from '../../src/space/closing-piece.js'
import { headingOf } from '../../src/space/heading.js'
import {
  type Vector,
  angleDeg,
  cross,
  dot,
  lengthOf,
  minus,
  plus,
  times,
  unit,
} from '../../src/space/vector.js'

const figure = fc.double({ min: -1e4, max: 1e4, noNaN: true, noDefaultInfinity: true })
const vector = fc.tuple(figure, figure, figure)
const direction = vector.filter((v) => lengthOf(v) > 1).map((v) => unit(v) as Vector)
const near = (a: Vector, b: Vector, off = 1e-6): void => expect(lengthOf(minus(a, b))).toBeLessThan(off)

describe('vectors against a general maths library (mathjs)', () => {
  it('products, lengths, angles', () =>
    fc.assert(
      fc.property(vector, vector, (a, b) => {
        expect(dot(a, b)).toBeCloseTo(mathDot([...a], [...b]), 3)
        near(cross(a, b), mathCross([...a], [...b]) as unknown as Vector, 1e-3)
        expect(lengthOf(a)).toBeCloseTo(norm([...a]) as number, 6)
        const [la, lb] = [norm([...a]) as number, norm([...b]) as number]
        if (la < 1 || lb < 1) return
        const cos = Math.max(-1, Math.min(1, mathDot([...a], [...b]) / la / lb))
        expect(angleDeg(a, b)).toBeCloseTo((Math.acos(cos) * 180) / Math.PI, 3)
      }),
    ))
  it('headings by name and as vectors; what is no direction is none', () => {
    expect([headingOf('north'), headingOf('down'), headingOf('left'), headingOf('constructor')]).toEqual([
      [0, 1, 0],
      [0, 0, -1],
      null,
      null,
    ])
    expect(headingOf([0.7071, 0.7071, 0])).not.toBeNull()
    expect([headingOf([1, 1, 0]), headingOf([0, 0, 0]), headingOf([1, 0])]).toEqual([null, null, null])
  })
})

const EAST = [1, 0, 0] as const
const by = { angleDeg: 45, takeOffMm: 40, insertionMm: 25, minStraightMm: 0 }
const between = (way: Vector, more: Partial<typeof by> = {}) =>
  closingPiece({ atMm: [0, 0, 0], heading: EAST }, { atMm: way, heading: EAST }, { ...by, ...more })

describe('the piece that closes', () => {
  // Multipliers of the offset as fitters\u2019 handbooks have them: travel for each 1 of set.
  it.each([
    [60, 1.155, 0.577],
    [45, 1.414, 1],
    [30, 2, 1.732],
    [22.5, 2.613, 2.414],
    [11.25, 5.126, 5.027],
    [90, 1, 0],
  ])('%s°: travel %s, run %s of the offset', (angle, travel, run) => {
    const closing = between([10_000, 0, 1000], { angleDeg: angle })
    expect(closing.travelMm).toBeCloseTo(travel * 1000, -0.5)
    expect(closing.runMm).toBeCloseTo(run * 1000, -0.5)
  })
  it('a rolled offset: set up, roll across, and what is cut', () => {
    const closing = between([2000, -400, 300])
    expect(closing).toMatchObject({ kind: 'offset', setMm: 300, rollMm: 400, trueOffsetMm: 500, turnDeg: 0 })
    expect(closing.travelMm).toBeCloseTo(500 * Math.SQRT2, 9)
    expect(closing.cutMm).toBeCloseTo(500 * Math.SQRT2 - 80 + 50, 9)
    expect([closing.leadInMm, closing.leadOutMm]).toEqual([40, expect.closeTo(1460, 9)])
  })
  it('on a riser all of it is roll', () => {
    const up = { heading: [0, 0, 1] as const }
    const closing = closingPiece({ atMm: [0, 0, 0], ...up }, { atMm: [300, 400, 2000], ...up }, by)
    expect(closing).toMatchObject({ kind: 'offset', setMm: 0, rollMm: 500 })
  })
  it('whatever the headings: lead in, travel and lead out lead from one end to the other, turning by the angle', () =>
    fc.assert(
      fc.property(
        vector,
        direction,
        vector,
        fc.double({ min: 5, max: 90, noNaN: true }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        (at, heading, way, angle, takeOffMm) => {
          const to = { atMm: plus(at, way), heading }
          const closing = closingPiece({ atMm: at, heading }, to, { ...by, angleDeg: angle, takeOffMm })
          expect(Math.hypot(closing.setMm, closing.rollMm)).toBeCloseTo(closing.trueOffsetMm, 6)
          if (closing.kind !== 'offset') return
          const travel = closing.travelHeading as Vector
          expect(angleDeg(heading, travel)).toBeCloseTo(angle, 6)
          const end = [
            times(heading, closing.leadInMm as number),
            times(travel, closing.travelMm as number),
            times(heading, closing.leadOutMm as number),
          ].reduce(plus, at)
          near(end, to.atMm, 1e-5)
        },
      ),
      { numRuns: 500 },
    ))
  it.each([
    ['in one line', [800, 0, 0.5], {}, 'straight', null, 850],
    ['just not', [800, 0, 0.51], {}, 'none', 'does-not-fit', null],
    ['no room at all', [-10, 0, 0], {}, 'none', 'does-not-fit', null],
    ['fittings touch', [1000, 0, 40], {}, 'none', 'does-not-fit', null],
    ['lead-out shorter than lead-in', [379, 0, 300], {}, 'none', 'does-not-fit', null],
    ['lead-out as long as lead-in', [380, 0, 300], {}, 'offset', null, 300 * Math.SQRT2 - 30],
    [
      'less pipe than wanted between the faces',
      [2000, 0, 100],
      { minStraightMm: 80 },
      'none',
      'does-not-fit',
      null,
    ],
  ] as const)('%s', (_what, way, more, kind, reason, cutMm) => {
    const closing = between(way, more)
    expect([closing.kind, closing.reason]).toEqual([kind, reason])
    if (cutMm === null) expect(closing.cutMm).toBeNull()
    else expect(closing.cutMm).toBeCloseTo(cutMm, 6)
  })
  it.each([
    [0.49, 'offset', null],
    [0.51, 'none', 'headings-differ'],
    [180, 'none', 'headings-differ'],
  ])('headings %s° apart: %s', (deg, kind, reason) => {
    const radians = (deg * Math.PI) / 180
    const heading = [Math.cos(radians), Math.sin(radians), 0] as const
    const closing = closingPiece({ atMm: [0, 0, 0], heading: EAST }, { atMm: [2000, 0, 300], heading }, by)
    expect([closing.kind, closing.reason]).toEqual([kind, reason])
    expect(closing.turnDeg).toBeCloseTo(deg, 6)
  })
})

describe('its door', () => {
  const door = CALCULATIONS.get('closing-piece')
  const input = door?.example.input as Record<string, unknown>
  it('answers a bad finding with what is in the way, not with a refusal', () => {
    const answer = door?.run({ ...input, to: { atMm: [100, 0, 300], heading: 'east' } })
    expect(answer?.result).toMatchObject({
      kind: 'none',
      cutMm: null,
      reasons: [{ code: 'does-not-fit', level: 'stop' }],
    })
    expect(answer?.sources.map((s) => s.figure)).not.toContain('reasons')
  })
  it('has one source for every figure that is there', () => {
    const answer = door?.run(input)
    const figures = Object.keys(answer?.result ?? {}).filter((k) => k !== 'reasons')
    expect(answer?.sources.map((s) => s.figure).sort()).toEqual(figures.sort())
  })
  it.each([
    [{ from: { atMm: [0, 0], heading: 'east' } }, 'from.atMm'],
    [{ from: { atMm: [0, 0, 0], heading: 'left' } }, 'from.heading'],
    [{ from: { atMm: [0, 0, 0], heading: [1, 1, 0] } }, 'from.heading'],
    [{ from: { atMm: [0, 0, 0] } }, 'from.heading'],
    [{ from: null }, 'from'],
    [{ angleDeg: 91 }, 'angleDeg'],
    [{ angleDeg: 0 }, 'angleDeg'],
    [{ takeOffMm: -1 }, 'takeOffMm'],
    [{ insertionMm: undefined }, 'insertionMm'],
  ])('%j is refused at %s', (more, field) => {
    let refused: unknown
    try {
      door?.run({ ...input, ...more })
    } catch (e) {
      refused = e
    }
    expect(refused).toMatchObject({ field })
  })
})
