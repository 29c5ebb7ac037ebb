import { closeFrom, closeTargets, closingOutcome, closingWays } from '../src/index.js'
import { bench } from './line-bench.js'
import { uuid } from './make-job.js'

/** A line that ends in a coupling, and a point ahead of it, 300 aside. */
function ahead(fitting: string) {
  const b = bench('from +2.000 east', 'cap 63', '1000 c-c', fitting)
  b.log.put('point-set', { pointId: uuid(900), name: 'G1', atMm: [3000, 300, 2000], heading: 'east' })
  const { state, line } = b
  const from = closeFrom(state, line, b.cursor)
  const to = closeTargets(state).find(({ name }) => name === 'G1')
  if (!from || !to) throw new Error('nothing to close on')
  const by = { takeOffMm: 40, minStraightMm: 50 }
  const way = closingWays(from, to, by).find(({ angleDeg }) => angleDeg === 45)
  if (!way) throw new Error('no way')
  return {
    b,
    way,
    outcome: closingOutcome(state, line, b.cursor, way.entries, { takeOffMm: 40, shop: b.shop }),
  }
}
/** ISO 727-1: what goes into a socket of d63. */
const DEPTH = 63 / 2 + 6

describe('what closing a line comes to', () => {
  it('cut lengths: travel less both take-offs, plus what goes in; the job itself stays as it is', () => {
    const { b, way, outcome } = ahead('coupling')
    expect(outcome?.cuts.map(({ tag }) => tag)).toEqual(['Q2/P02', 'Q2/P03', 'Q2/P04'])
    // Handbooks: travel of 45\\u00b0 fittings is the set times 1.414.
    expect(way.travelMm).toBeCloseTo(300 * 1.41421, 2)
    expect(outcome?.cuts[1]?.cutMm.value).toBeCloseTo((way.travelMm ?? 0) - 2 * 40 + 2 * DEPTH, 2)
    expect(b.line.items).toHaveLength(3)
  })
  it('the last piece ends at a point that nothing is joined to: it slips in', () => {
    expect(ahead('coupling').outcome?.getsIn?.code).toBe('closing-slips-in')
  })
  it('how much it may be wrong: 2 mm a measure, by the root of their number', () => {
    const { outcome } = ahead('coupling')
    // The piece there is, and three that close it.
    expect(outcome?.mayErrMm).toBeCloseTo(2 * Math.sqrt(4), 6)
  })
  it('a take-off that the job knows is not replaced by one that is thought of', () => {
    const { b, way } = ahead('coupling')
    b.log.put('take-off', { fitting: 'elbow 45', size: 'd63', takeOffMm: 60, takeOffTo: 'face' })
    const known = closingOutcome(b.state, b.line, b.cursor, way.entries, { takeOffMm: 40, shop: b.shop })
    expect(known?.cuts[1]?.cutMm.value).toBeCloseTo((way.travelMm ?? 0) - 2 * 60 + 2 * DEPTH, 2)
  })
  it('entries that cannot be set out come to nothing', () => {
    const { b } = ahead('coupling')
    expect(
      closingOutcome(b.state, b.line, b.cursor, ['elbow 90 63'], { takeOffMm: 40, shop: b.shop }),
    ).toBeNull()
  })
})
