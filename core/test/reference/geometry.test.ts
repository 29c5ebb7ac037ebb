import fc from 'fast-check'
import { type Complex, add, complex, cos, exp, multiply, sin, tan, unit } from 'mathjs'
import { ask, refused } from './door.js'

const rad = (deg: number): number => unit(deg, 'deg').toNumber('rad')
/** e^(i a) by the maths library. */
const turn = (deg: number): Complex => exp(complex(0, rad(deg))) as unknown as Complex
const plus = (a: Complex, b: Complex): Complex => add(a, b) as Complex
const times = (a: Complex, b: Complex | number): Complex => multiply(a, b) as Complex

describe('bends against a general maths library (mathjs): the tube is walked to its end', () => {
  it('marks, arcs and straights lead to where the legs lead', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 120, noNaN: true }),
        fc.array(
          fc.record({
            a: fc.double({ min: 5, max: 120, noNaN: true }),
            extra: fc.double({ min: 0, max: 400, noNaN: true }),
          }),
          { minLength: 1, maxLength: 4 },
        ),
        (radiusMm, bends) => {
          const setback = bends.map((b) => radiusMm * (tan(rad(b.a) / 2) as number))
          const legs = [...bends, { a: 0, extra: 50 }].map(
            (b, i) => (setback[i - 1] ?? 0) + (setback[i] ?? 0) + b.extra + 1,
          )
          const angles = bends.map((b) => b.a)
          const r = ask('bend-marks', { odMm: 10, radiusMm, legs, anglesDeg: angles }) as {
            marksMm: number[]
            developedMm: number
            gainsMm: number[]
          }
          // Where the legs lead: apex to apex.
          let goal = complex(0, 0)
          let heading = 0
          legs.forEach((leg, i) => {
            goal = plus(goal, times(turn(heading), leg))
            heading += angles[i] ?? 0
          })
          // Where the bent tube leads: straight to each mark, round each arc.
          let here = complex(0, 0)
          let along = 0
          heading = 0
          r.marksMm.forEach((mark, i) => {
            here = plus(here, times(turn(heading), mark - along))
            const a = angles[i] as number
            const chord = complex(
              radiusMm * (sin(rad(a)) as number),
              radiusMm * (1 - (cos(rad(a)) as number)),
            )
            here = plus(here, times(turn(heading), chord))
            heading += a
            along = mark + radiusMm * rad(a)
          })
          here = plus(here, times(turn(heading), r.developedMm - along))
          expect(Math.hypot(here.re - goal.re, here.im - goal.im)).toBeLessThan(1e-6)
          const sum = legs.reduce((n, l) => n + l, 0) - r.gainsMm.reduce((n, g) => n + g, 0)
          expect(Math.abs(sum - r.developedMm)).toBeLessThan(1e-6)
        },
      ),
    ))
  it('the 90° gain is 2 R - pi R / 2: 0.4292 R (bending handbooks, from memory)', () => {
    const r = ask('bend-marks', { odMm: 10, radiusMm: 100, legs: [300, 300], anglesDeg: [90] })
    expect((r.gainsMm as number[])[0]).toBeCloseTo(42.92, 2)
    expect(r.developedMm).toBeCloseTo(600 - 42.92, 2)
    expect((r.marksMm as number[])[0]).toBeCloseTo(200, 9)
  })
  it('a straight too short is refused and the least leg that works is named, and works', () => {
    const input = { odMm: 10, radiusMm: 100, legs: [110, 300], anglesDeg: [90], minStraightMm: 25 }
    expect(refused('bend-marks', input)).toBe('does-not-fit legs[0]')
    expect(ask('bend-marks', { ...input, legs: [125, 300] }).marksMm).toEqual([expect.closeTo(25, 9)])
    expect(refused('bend-marks', { ...input, legs: [124.9, 300] })).toBe('does-not-fit legs[0]')
    expect(refused('bend-marks', { ...input, legs: [300, 150, 300], anglesDeg: [90, 90] })).toBe(
      'does-not-fit legs[1]',
    )
  })
  it('angles of 0 and 180, a leg too few, are refused', () => {
    const input = { odMm: 10, radiusMm: 30, legs: [200, 200], anglesDeg: [90] }
    expect(refused('bend-marks', { ...input, anglesDeg: [0] })).toBe('bad-input anglesDeg[0]')
    expect(refused('bend-marks', { ...input, anglesDeg: [180] })).toBe('bad-input anglesDeg[0]')
    expect(refused('bend-marks', { ...input, legs: [200] })).toBe('bad-input legs')
  })
})

describe('offsets: pipe-trade tables of multipliers, travel per unit of set (from memory)', () => {
  it.each([
    [60, 1.1547, 0.5774],
    [45, 1.4142, 1],
    [30, 2, 1.7321],
    [22.5, 2.6131, 2.4142],
    [11.25, 5.1258, 5.0273],
    [90, 1, 0],
  ])('%p°: travel %p, run %p', (angleDeg, travel, runs) => {
    const r = ask('offset', { setMm: 1000, angleDeg })
    expect((r.travelMm as number) / 1000).toBeCloseTo(travel, 3)
    expect((r.runMm as number) / 1000).toBeCloseTo(runs, 3)
  })
  it('a roll adds at right angles: 300 and 400 are 500', () =>
    expect(ask('offset', { setMm: 300, rollMm: 400, angleDeg: 30 }).travelMm).toBeCloseTo(1000, 9))
  it('no offset at 0°, none beyond 90°', () => {
    expect(refused('offset', { setMm: 300, angleDeg: 0 })).toBe('bad-input angleDeg')
    expect(refused('offset', { setMm: 300, angleDeg: 91 })).toBe('bad-input angleDeg')
  })
})
