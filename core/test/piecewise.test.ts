import fc from 'fast-check'
import { type Piece, combine, timeOf, valueAt } from '../src/methods/cure/piecewise.js'
import { type LadderJoint, ladderOf } from '../src/prove/test-plan/ladder.js'

/** Times as they are in life: at 1.79e9 seconds a double holds only a quarter of a microsecond. */
const START = 1_790_000_000

/** A never-falling curve from home on: flat, ramp and jump in any turn. */
const anyCurve = fc
  .record({
    homeS: fc.double({ min: 0, max: 90_000, noNaN: true }),
    parts: fc.array(
      fc.record({
        lastS: fc.double({ min: 60, max: 60_000, noNaN: true }),
        slope: fc.constantFrom(0, 0, 1 / 3600, 1 / 3600, 1 / 7200),
        jump: fc.constantFrom(0, 0, 0, 2, 11.031611669085295),
      }),
      { minLength: 1, maxLength: 6 },
    ),
  })
  .map(({ homeS, parts }) => {
    const made = START + homeS
    const pieces: Piece[] = [{ fromS: made, bar: 0, slopeBarPerS: 0, holder: 0, reachedS: made }]
    let atS = made + 60
    let bar = 0
    for (const p of parts) {
      bar += p.jump
      pieces.push({ fromS: atS, bar, slopeBarPerS: p.slope, holder: 0, reachedS: atS })
      bar += p.slope * p.lastS
      atS += p.lastS
    }
    pieces.push({ fromS: atS, bar, slopeBarPerS: 0, holder: 0, reachedS: atS })
    return { made, pieces }
  })
const times = fc.array(fc.double({ min: -1000, max: 500_000, noNaN: true }), { minLength: 20, maxLength: 20 })

describe('the least of several curves', () => {
  it('is the least at every time, never falls, and is met where its holder stands', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(anyCurve, fc.option(fc.double({ min: 1, max: 16, noNaN: true }))), {
          minLength: 1,
          maxLength: 7,
        }),
        times,
        (curves, offsets) => {
          const joints = curves.map(([c, ratingBar], i): LadderJoint => ({
            id: `j${i}`,
            madeAtS: c.made,
            ratingBar,
            pieces: c.pieces,
          }))
          const { pieces, steps } = ladderOf(joints, START)
          const own = (j: LadderJoint, t: number): number =>
            Math.min(valueAt(j.pieces ?? [], t), j.ratingBar ?? Infinity)
          // Every break as well as any moment: mistakes like to sit just behind a crossing.
          const moments = [
            ...offsets.map((o) => START + o),
            ...pieces.flatMap((p) => [p.fromS, p.fromS + 1, p.fromS + 600]),
          ]
          for (const t of moments.filter((x) => x >= START)) {
            const least = Math.min(...joints.map((j) => own(j, t)))
            expect(Math.abs(valueAt(pieces, t) - least)).toBeLessThan(1e-6)
          }
          steps.forEach((s, i) => {
            const next = steps[i + 1]
            if (!next) return
            expect(next.allowedBar ?? Infinity).toBeGreaterThanOrEqual(
              (s.allowedBar ?? Infinity) + (s.ramp ? s.slopeBarPerS * (next.fromS - s.fromS) : 0) - 1e-6,
            )
          })
        },
      ),
      { numRuns: 400 },
    ))
  it('a ramp that meets a ceiling stays under it (it once ran on for hours)', () => {
    for (let k = 0; k < 200; k++) {
      const homeS = START + k * 997.13
      const flat: Piece[] = [
        { fromS: START - 90_000, bar: 0, slopeBarPerS: 0, holder: 0, reachedS: START - 90_000 },
        {
          fromS: START - 50_000,
          bar: 11.031611669085295,
          slopeBarPerS: 0,
          holder: 0,
          reachedS: START - 50_000,
        },
      ]
      const ramp: Piece[] = [
        { fromS: START - 90_000, bar: 0, slopeBarPerS: 0, holder: 1, reachedS: homeS },
        { fromS: homeS, bar: 0, slopeBarPerS: 1 / 3600, holder: 1, reachedS: homeS },
        { fromS: homeS + 57_600, bar: 16, slopeBarPerS: 0, holder: 1, reachedS: homeS + 57_600 },
      ]
      const least = combine(flat, ramp, 'min')
      expect(valueAt(least, homeS + 55_000)).toBeCloseTo(11.031611669085295, 9)
      expect(least.at(-1)?.holder).toBe(0)
    }
  })
  it('a pressure is reached when the curve gets there, or never', () =>
    fc.assert(
      fc.property(anyCurve, fc.double({ min: 0.1, max: 40, noNaN: true }), ({ pieces }, bar) => {
        const atS = timeOf(pieces, bar)
        if (atS === null) return expect(valueAt(pieces, START + 1e7)).toBeLessThan(bar)
        expect(valueAt(pieces, atS + 0.01)).toBeGreaterThanOrEqual(bar - 1e-6)
        if (atS > START + 1) expect(valueAt(pieces, atS - 1)).toBeLessThan(bar + 1e-6)
      }),
    ))
})
