import fc from 'fast-check'
import { METRIC, type Xyz, ask, at, near } from '../in-space.js'

describe('what closes and what does not', () => {
  const LOOP = [
    ['elbow 90 north', '2000 c-c'],
    ['elbow 90 up', '700 c-c'],
    ['elbow 90 west', '1500 c-c'],
    ['elbow 90 south', '2000 c-c'],
    ['elbow 90 down', '700 c-c'],
    ['elbow 90 east', '1500 c-c'],
  ].flat()
  it('a loop round a room closes; 40 too much is named with its parallel, the longer first', () => {
    const good = ask(['from +0.000 east', ...LOOP, 'to F01'])
    expect(good.closing).toHaveLength(1)
    expect(good.closing[0]?.missMm).toBeLessThan(1e-9)
    expect(good.closing[0]?.expectedMm).toBeCloseTo(2 * Math.sqrt(6), 9)
    expect(good.closing[0]?.suspects).toEqual([])
    const bad = ask(
      ['from +0.000 east', ...LOOP.map((e) => e.replace('1500', '1540')), 'to F01'].map((e, i) =>
        i === 6 ? '1500 c-c' : e,
      ),
    )
    expect(bad.closing[0]?.missMm).toBeCloseTo(40, 9)
    near(bad.closing[0]?.errorMm as Xyz, [40, 0, 0])
    expect(bad.closing[0]?.suspects).toEqual(['P06', 'P03'])
  })
  it('measured without any error, what is wrong is still named', () => {
    const exact = { ...METRIC, measureErrorMm: 0 }
    expect(ask(['from +0.000 east', ...LOOP, 'to F01'], exact).closing[0]?.suspects).toEqual([])
    const wrong = ['from +0.000 east', ...LOOP, 'to F01'].map((entry, i) => (i === 4 ? '730 c-c' : entry))
    expect(ask(wrong, exact).closing[0]?.suspects).toEqual(['P02', 'P05'])
  })
  it('between two measured points; the way goes on from there', () => {
    const points = [
      { name: 'A', atMm: [0, 0, 0], heading: 'east' },
      { name: 'B', atMm: [1000, 505, 0] },
    ]
    const r = ask(['from A', '1000 c-c', 'elbow 90 north', '500 c-c', 'to B', 'elbow 90 up', '100 c-c'], {
      ...METRIC,
      points,
    })
    expect(r.closing).toMatchObject([{ from: 'A', to: 'B', missMm: 5, suspects: ['P02'] }])
    near(r.closing[0]?.errorMm as Xyz, [0, -5, 0])
    near(at(r, 'E02'), [1000, 505, 100])
  })
  it('random loops with one planted error, at most two pieces parallel: it is among the first two in 95 of 100', () => {
    let [found, tried] = [0, 0]
    fc.assert(
      fc.property(
        // Lengths of up to three legs there; they are gone back in another order, so that each direction has two.
        fc.tuple(...(['north', 'up', 'west'] as const).map(() => fc.integer({ min: 300, max: 3000 }))),
        fc.integer({ min: 0, max: 5 }),
        fc.constantFrom(-60, -40, -25, 25, 40, 60),
        fc.array(fc.double({ min: -2, max: 2, noNaN: true }), { minLength: 6, maxLength: 6 }),
        ([n, u, w], which, planted, noise) => {
          const true0 = [n, u, w, n, u, w] as number[]
          const ways = ['north', 'up', 'west', 'south', 'down', 'east']
          const measured = true0.map((mm, i) => mm + (noise[i] as number) + (i === which ? planted : 0))
          const entries = ways.flatMap((way, i) => [
            `elbow 90 ${way}`,
            `${(measured[i] as number).toFixed(1)} c-c`,
          ])
          const { closing } = ask(['from +0.000 east', ...entries, 'to F01'])
          tried++
          const tag = `P0${which + 1}`
          if (closing[0]?.suspects.slice(0, 2).includes(tag)) found++
        },
      ),
      { numRuns: 400 },
    )
    expect(found / tried).toBeGreaterThanOrEqual(0.95)
  })
  it('a piece that reaches a level takes up what is upright: no measure before it is blamed for that', () => {
    const points = [{ name: 'B', atMm: [1000, 0, 2040] }]
    const r = ask(
      ['from +0.000 up', '500 c-c', 'elbow 90 east', '1000 c-c', 'elbow 90 up', 'to +2.000', 'to B'],
      { ...METRIC, points },
    )
    expect(r.closing).toMatchObject([{ missMm: 40, suspects: [] }])
    expect(r.closing[0]?.expectedMm).toBeCloseTo(2 * Math.sqrt(2), 9)
  })
})

describe('high and low points', () => {
  it('a level stretch from which every way falls, ends too', () => {
    const r = ask([
      'from +0.000 east',
      '500 c-c',
      'elbow 90 up',
      '300 c-c',
      'elbow 90 east',
      '400 c-c',
      'elbow 90 down',
      '600 c-c',
      'elbow 90 east',
      'rise 1:100',
      '1000 c-c',
    ])
    expect(r.high).toEqual(['F02', 'F03', 'E02'])
    expect(r.low).toEqual(['E01', 'F01', 'F04'])
  })
  it('a line that is level from end to end has neither', () => {
    const r = ask(['from +0.000 east', '500 c-c', 'elbow 90 north', '300 c-c'])
    expect([r.high, r.low]).toEqual([[], []])
  })
})
