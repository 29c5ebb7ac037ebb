import fc from 'fast-check'
import { intersect } from 'mathjs'
import { tooNear } from '../../src/index.js'
import { nearest } from '../../src/space/nearest.js'
import { type Vector, lengthOf, minus, plus, times } from '../../src/space/vector.js'
import { Bench } from '../line-bench.js'
import { uuid } from '../make-job.js'

const figure = fc.integer({ min: -1000, max: 1000 })
const place = fc.tuple(figure, figure, figure)
const segment = fc.tuple(place, place).filter(([a, b]) => lengthOf(minus(b, a)) > 1)
const along = ([a, b]: readonly [Vector, Vector], share: number): Vector => plus(a, times(minus(b, a), share))

describe('where two straights come nearest', () => {
  it('no place on either is nearer, and it is where it is said to be', () =>
    fc.assert(
      fc.property(segment, segment, (one, other) => {
        const { shares, apart } = nearest(one, other)
        expect(lengthOf(minus(along(one, shares[0]), along(other, shares[1])))).toBeCloseTo(apart, 9)
        for (let i = 0; i <= 20; i++)
          for (let j = 0; j <= 20; j++)
            expect(lengthOf(minus(along(one, i / 20), along(other, j / 20)))).toBeGreaterThan(apart - 1e-6)
      }),
    ))
  it('what meets meets there (mathjs intersect)', () => {
    const [one, other] = [
      [
        [0, 0, 0],
        [10, 4, 2],
      ],
      [
        [5, 2, -9],
        [5, 2, 11],
      ],
    ] as unknown as [[Vector, Vector], [Vector, Vector]]
    const { shares, apart } = nearest(one, other)
    expect(apart).toBeLessThan(1e-9)
    const there = intersect([...one[0]], [...one[1]], [...other[0]], [...other[1]]) as number[]
    along(one, shares[0]).forEach((at, axis) => expect(at).toBeCloseTo(there[axis] as number, 6))
  })
})

interface Own {
  entries: string[]
  stands?: object
  head?: { method: string; material: string; details?: object }
}
/** Lines of one job. */
function house(...lines: Own[]): Bench {
  let beside: Bench | undefined
  lines.forEach(({ entries, stands, head }, i) => {
    const own: Bench = new Bench({ tag: `Q${2 + i}`, ...head }, beside)
    if (!beside) {
      own.log.put('point-set', { pointId: uuid(90), name: 'Corner', atMm: [0, 0, 2400] })
      own.log.put('point-set', { pointId: uuid(91), name: 'Bay', atMm: [-1000, 0, 2560] })
      own.log.put('point-set', { pointId: uuid(92), name: 'Hall', atMm: [500, -1000, 2700] })
    }
    expect(own.type(...entries)).toBe('ok')
    if (stands) own.log.put('line-stands', { lineId: own.lineId, stands: { ...own.line.stands, ...stands } })
    beside = own
  })
  return beside as unknown as Bench
}
const said = (b: Bench) =>
  tooNear(b.state).map(
    ({ how, item, other, gapMm }) => `${how} ${item.tag} ${other.item.tag} ${gapMm.toFixed(1)}`,
  )
const EAST = {
  entries: ['from Corner east', 'elbow 90 63 up', '200 c-c', 'elbow 90 east', '3000 c-c', 'cap'],
}

describe('what comes nearer than it may', () => {
  // d63 pipes, ISO 4065: half of 63 each.
  const above = { entries: ['from Hall north', 'cap 63', '2000 c-c', 'cap'] }
  it('two pipes 100 mm apart from middle to middle have 37 between them', () => {
    expect(said(house(EAST, above))).toEqual([])
    expect(said(house({ ...EAST, stands: { clearMm: 50 } }, above))).toContainEqual('near Q2/P02 Q3/P01 37.0')
    expect(
      said(house({ ...EAST, stands: { clearMm: 37 } }, above)).filter((one) => one.includes('37.0')),
    ).toEqual([])
  })
  it('insulation takes up room: 30 mm on one leaves 7, on both they cross', () => {
    const stands = { insulationMm: 30, clearMm: 10 }
    expect(said(house({ ...EAST, stands }, above))).toContainEqual('near Q2/P02 Q3/P01 7.0')
    const both = said(house({ ...EAST, stands }, { ...above, stands: { insulationMm: 30 } }))
    expect(both).toContainEqual('crosses Q2/P02 Q3/P01 -23.0')
  })
  it('lines that begin at levels alone are not compared: how far apart they are nobody said', () => {
    const at = (text: string) => ({
      entries: [text, 'elbow 90 63 up', '200 c-c', 'elbow 90 east', '3000 c-c', 'cap'],
    })
    expect(said(house(at('from +2.400 east'), at('from +2.400 east')))).toEqual([])
    expect(
      said(house(at('from Corner east'), at('from Corner east'))).some((one) => one.startsWith('crosses')),
    ).toBe(true)
  })
  it('a line that comes back over itself is told; pipes that meet at a fitting are not', () => {
    const b = house({
      entries: [
        'from Corner east',
        'elbow 90 63 north',
        '1000 c-c',
        'elbow 90 east',
        '1000 c-c',
        'elbow 90 up',
        '40 c-c',
        'elbow 90 south',
        '500 c-c',
        'elbow 90 west',
        '2000 c-c',
        'cap',
      ],
    })
    expect(said(b)).toContainEqual('crosses Q2/P01 Q2/P05 -23.0')
    expect(said(b).some((one) => one.includes('P01 Q2/P02'))).toBe(false)
  })
  it('the room that a press tool needs, as it is asked of that joint', () => {
    const head = { method: 'press', material: 'copper' }
    const row = [
      'from Corner east',
      'elbow 90 22 up',
      '60 c-c',
      'elbow 90 east',
      '3000 c-c',
      'coupling',
      '500 c-c',
      'cap',
    ]
    const beside = ['from Bay east', 'cap 22', '9000 c-c', 'cap']
    const asked = (toolRoomMm?: number): string[] =>
      said(
        house(
          { entries: row, head: { ...head, ...(toolRoomMm ? { details: { toolRoomMm } } : {}) } },
          { entries: beside, head },
        ),
      )
    expect(asked()).toEqual([])
    // 100 mm from middle to middle less half of d22: the joint at the elbow below is 160 off, and has the room.
    const near = asked(120)
    expect(near).toContain('tool Q2/P02 Q3/P01 89.0')
    expect(asked(89)).toEqual([])
  })
})
