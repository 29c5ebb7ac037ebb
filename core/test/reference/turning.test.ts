import fc from 'fast-check'
import { rotationMatrix, multiply } from 'mathjs'
import { closeFrom, closeTargets, lineInSpace, turningWays } from '../../src/index.js'
import { turningPieces } from '../../src/space/turning-piece.js'
import { type Vector, cross, lengthOf, minus, plus, times, unit } from '../../src/space/vector.js'
import { bench } from '../line-bench.js'
import { uuid } from '../make-job.js'

const ANGLES = [22.5, 30, 45, 60, 90]
const figure = fc.integer({ min: -100, max: 100 })
const direction = fc
  .tuple(figure, figure, figure)
  .filter((v) => lengthOf(v) > 5)
  .map((v) => unit(v) as Vector)
/** A way turned by an angle about an axis across it, by a general maths library. */
function turnedBy(way: Vector, aside: Vector, degrees: number): Vector {
  const axis = unit(cross(way, aside)) as Vector
  return multiply(rotationMatrix((degrees * Math.PI) / 180, [...axis]), [...way]) as unknown as Vector
}
const leg = fc.integer({ min: 200, max: 3000 })

describe('pieces between ends that point elsewhere', () => {
  it('any way of two elbows is found again, and each way that is found leads there', () =>
    fc.assert(
      fc.property(
        direction,
        direction,
        direction,
        fc.constantFrom(...ANGLES),
        fc.constantFrom(...ANGLES),
        fc.tuple(leg, leg, leg),
        (heading, one, other, first, second, lengths) => {
          if (lengthOf(cross(heading, one)) < 0.1) return
          const between = turnedBy(heading, one, first)
          if (lengthOf(cross(between, other)) < 0.1) return
          const last = turnedBy(between, other, second)
          const turn =
            (Math.acos(
              Math.max(-1, Math.min(1, heading[0] * last[0] + heading[1] * last[1] + heading[2] * last[2])),
            ) *
              180) /
            Math.PI
          if (turn < 2 || turn > 178) return
          const atMm = plus(
            plus(times(heading, lengths[0]), times(between, lengths[1])),
            times(last, lengths[2]),
          )
          const found = turningPieces({ atMm: [0, 0, 0], heading }, { atMm, heading: last }, ANGLES, {
            leadMm: 100,
            betweenMm: 100,
          })
          const flat =
            Math.abs(cross(heading, last).reduce((sum, v, i) => sum + v * (between[i] as number), 0)) < 1e-3
          const again = found.some(
            ({ anglesDeg, lengthsMm }) =>
              anglesDeg.length === 2 &&
              anglesDeg[0] === first &&
              anglesDeg[1] === second &&
              (flat || lengthsMm.every((mm, i) => Math.abs(mm - (lengths[i] as number)) < 0.5)),
          )
          // In one plane there is a choice of leads: the shortest first lead may leave no room elsewhere.
          if (!flat) expect(again).toBe(true)
          for (const { ways, lengthsMm } of found) {
            const end = [heading, ...ways].reduce<Vector>(
              (at, way, i) => plus(at, times(way, lengthsMm[i] as number)),
              [0, 0, 0],
            )
            expect(lengthOf(minus(end, atMm))).toBeLessThan(1)
          }
        },
      ),
      { numRuns: 400 },
    ))
  it('one elbow where it is enough; back again by two of 90; none where there is no room', () => {
    const from = { atMm: [0, 0, 0] as Vector, heading: [1, 0, 0] as Vector }
    const leasts = { leadMm: 100, betweenMm: 100 }
    const corner = turningPieces(from, { atMm: [800, 600, 0], heading: [0, 1, 0] }, ANGLES, leasts)
    expect(corner[0]).toMatchObject({ anglesDeg: [90] })
    expect(corner[0]?.lengthsMm).toEqual([800, 600])
    const back = turningPieces(from, { atMm: [300, 0, 500], heading: [-1, 0, 0] }, ANGLES, leasts)
    expect(back).toMatchObject([{ anglesDeg: [90, 90], lengthsMm: [400, 500, 100] }])
    expect(turningPieces(from, { atMm: [80, 60, 0], heading: [0, 1, 0] }, ANGLES, leasts)).toEqual([])
  })
  it('set out by its entries the line comes to where it should', () => {
    const b = bench('from +2.400 east', 'union 63', '500 c-c', 'union')
    b.log.put('point-set', { pointId: uuid(91), name: 'Pump', atMm: [2000, 800, 1200], heading: 'down' })
    const from = closeFrom(b.state, b.line, b.cursor)
    const to = closeTargets(b.state).find(({ name }) => name === 'Pump')
    if (!from || !to) throw new Error('no ends')
    const ways = turningWays(from, to, { takeOffMm: 70, minStraightMm: 20 })
    expect(ways.length).toBeGreaterThan(0)
    expect(b.type(...(ways[0]?.entries ?? []))).toBe('ok')
    const { closing, all } = lineInSpace(b.state, b.line)
    expect(all).toEqual([])
    expect(closing[0]?.missMm).toBeLessThan(0.1)
  })
})
