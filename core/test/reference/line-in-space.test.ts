import fc from 'fast-check'
import { add, cross, dot, multiply, norm, rotate } from 'mathjs'
import { INCH, METRIC, type Xyz, ask, at, near, refused } from '../in-space.js'

const NAMED: Record<string, Xyz> = {
  east: [1, 0, 0],
  west: [-1, 0, 0],
  north: [0, 1, 0],
  south: [0, -1, 0],
  up: [0, 0, 1],
  down: [0, 0, -1],
}
const heading = fc.constantFrom(...Object.keys(NAMED))
const angle = fc.constantFrom('11-1/4', '22-1/2', '30', '45', '60', '90')
const degrees = (text: string): number => {
  const [whole = '0', part] = text.split('-')
  const [top = 0, bottom = 1] = part?.split('/').map(Number) ?? []
  return Number(whole) + top / bottom
}

describe('a line walked in space, against a general maths library (mathjs)', () => {
  it('elbows of every angle towards any heading: turned about the axis of both, the same place comes out', () =>
    fc.assert(
      fc.property(
        heading,
        fc.array(fc.record({ angle, heading, mm: fc.integer({ min: 50, max: 4000 }) }), {
          minLength: 1,
          maxLength: 12,
        }),
        (first, legs) => {
          const entries = [`from +1.000 ${first}`]
          let way = NAMED[first] as number[]
          let place = [0, 0, 1000]
          for (const leg of legs) {
            const to = NAMED[leg.heading] as number[]
            const axis = cross(way, to) as number[]
            const between = (Math.atan2(norm(axis) as number, dot(way, to)) * 180) / Math.PI
            if (between < 1 || between > 179 || degrees(leg.angle) > between + 4.9) continue
            entries.push(`elbow ${leg.angle} ${leg.heading}`, `${leg.mm} c-c`)
            way = rotate(way, (degrees(leg.angle) * Math.PI) / 180, axis) as number[]
            place = add(place, multiply(way, leg.mm) as number[])
          }
          if (entries.length < 3) return
          const r = ask(entries)
          near(r.nodes.at(-1)?.atMm as Xyz, place, 1e-3)
          expect(r.nodes.at(-1)?.fitting).toBe('end')
          expect(r.pieces).toHaveLength((entries.length - 1) / 2)
        },
      ),
    ))
  it('an elbow of any angle, with its sign or, where no pipe is made in that size, without', () => {
    const rise = (entry: string): number => at(ask(['from +0.000 east', entry, '1000 c-c']), 'E01')[2]
    expect(rise('elbow 37° up')).toBeCloseTo(1000 * Math.sin((37 * Math.PI) / 180), 6)
    expect(rise('elbow 37 up')).toBeCloseTo(1000 * Math.sin((37 * Math.PI) / 180), 6)
    expect(rise('elbow 12.5 63 up')).toBeCloseTo(1000 * Math.sin((12.5 * Math.PI) / 180), 6)
    // A size stays one: an elbow of 90.
    expect(rise('elbow 50 up')).toBeCloseTo(1000, 6)
  })
  it('left and right are a quarter turn about the upright', () => {
    const r = ask(['from +0.000 north', 'elbow 45 left', '1000 c-c', 'elbow 90 right', '1000 c-c'])
    near(at(r, 'E01'), [0, 2000 * Math.SQRT1_2, 0], 1e-6)
    expect(at(r, 'F02')[0]).toBeLessThan(0)
  })
  it('on a riser left is as before it, and nowhere where no way was level yet', () => {
    const r = ask(['from +0.000 east', 'elbow 90 up', '2000 c-c', 'elbow 90 left', '300 c-c'])
    near(at(r, 'E01'), [0, 300, 2000])
    expect(refused(['from +0.000 up', '2000 c-c', 'elbow 90 left'])).toEqual(['bad-input', 'entries[2]'])
  })
})

describe('levels, falls, measures', () => {
  it('levels with their sign, in metres and in feet and inches', () => {
    expect(at(ask(['from +2.400 east', '100 c-c']), 'E01')).toEqual([0, 0, 2400])
    expect(at(ask(['from -0.350 east', '100 c-c']), 'E01')).toEqual([0, 0, -350])
    near(at(ask([`from +7'-6 1/2" east`, '10 c-c'], INCH), 'E01'), [0, 0, 90.5 * 25.4])
    expect(refused(['from 2.400 east', '100 c-c'])).toEqual(['bad-input', 'entries[0]'])
    expect(refused(['elbow 90 up'])).toEqual(['bad-input', 'entries[0]'])
  })
  it('1 mm in N along the pipe, of level pieces until it ends', () => {
    const r = ask([
      'from +1.000 east',
      'fall 1:80',
      '800 c-c',
      'elbow 90 down',
      '500 c-c',
      'elbow 90 north',
      'rise 1:100',
      '1000 c-c',
      'coupling',
      'fall 0',
      '1000 c-c',
    ])
    expect(at(r, 'F01')[2]).toBeCloseTo(990, 9)
    expect(at(r, 'F01')[0]).toBeCloseTo(Math.sqrt(800 ** 2 - 10 ** 2), 9)
    expect(at(r, 'F02')[2]).toBeCloseTo(490, 9)
    expect(at(r, 'F03')[2]).toBeCloseTo(500, 9)
    expect(at(r, 'E02')[2]).toBeCloseTo(500, 9)
    expect(r.pieces.map((p) => Number(p.fallPerMm.toFixed(6)))).toEqual([0.0125, 1, -0.01, 0])
  })
  it('a piece as long as it takes', () => {
    const r = ask(['from +2.400 east', '1000 c-c', 'elbow 90 up', 'to +3.150', 'elbow 45 east', '100 c-c'])
    expect(r.pieces[1]?.lengthMm).toBeCloseTo(750, 9)
    const inclined = ask(['from +1.000 east', 'elbow 45 up', 'to +1.500'])
    expect(inclined.pieces[0]?.lengthMm).toBeCloseTo(500 * Math.SQRT2, 9)
    expect(refused(['from +1.000 east', '500 c-c', 'elbow 90 down', 'to +1.500'])).toEqual([
      'bad-input',
      'entries[3]',
    ])
    expect(refused(['from +1.000 east', 'elbow 90 north', 'to +1.500'])).toEqual(['bad-input', 'entries[2]'])
  })
  it('measures to faces and stops: by the take-offs, else no figure', () => {
    const takeOffs = [
      { fitting: 'elbow 90', takeOffMm: 40, insertionMm: 30 },
      { fitting: 'tee', end: 'run', takeOffMm: 50, takeOffTo: 'stop', insertionMm: 30 },
      { fitting: 'tee', end: 'branch', takeOffMm: 60, insertionMm: 30 },
    ]
    const entries = ['from +0.000 east', 'elbow 90 north', '1000 MEASURE', 'tee branch up']
    const length = (measure: string): number =>
      ask(
        entries.map((e) => e.replace('MEASURE', measure)),
        { ...METRIC, takeOffs },
      ).pieces[0]?.lengthMm as number
    expect(length('c-c')).toBe(1000)
    // Tee: 50 to the stop and 30 in, so its face is 80 from the centre; the elbow's face is at 40, its stop at 10.
    expect(length('c-f')).toBe(1080)
    expect(length('f-f')).toBe(1120)
    expect(length('e-e')).toBe(1060)
    const branch = ask([...entries.map((e) => e.replace('MEASURE', 'c-c')), 'branch', '500 f-f'], {
      ...METRIC,
      takeOffs,
    })
    near(at(branch, 'E01'), [0, 1000, 560])
    expect(refused(entries.map((e) => e.replace('MEASURE', 'c-f')))).toEqual(['no-figure', 'entries[2]'])
    expect(refused(entries.map((e) => e.replace('1000 MEASURE', '?')))).toEqual(['no-figure', 'entries[2]'])
  })
  it('tees and wyes: the branch leaves where it points, the run goes on', () => {
    const r = ask(
      ['from +0.000 east', '500 c-c', 'tee branch down', '500 c-c', 'cap', '..', 'branch', '300 c-c'].filter(
        (e) => e !== '..',
      ),
    )
    near(at(r, 'F02'), [1000, 0, 0])
    near(at(r, 'E02'), [500, 0, -300])
    const wye = ask(['from +0.000 east', '500 c-c', 'wye branch north', 'branch', '1000 c-c'])
    near(at(wye, 'E02'), [500 + 1000 * Math.SQRT1_2, 1000 * Math.SQRT1_2, 0])
    const double = ask([
      'from +0.000 east',
      '500 c-c',
      'cross branch up',
      'branch',
      '100 c-c',
      'cap',
      '..',
      'branch 2',
      '200 c-c',
    ])
    near(at(double, 'E02'), [500, 0, -200])
  })
})

describe('what cannot be is refused at its entry', () => {
  it.each([
    ['goes back on itself', ['from +0.000 east', 'elbow 90 west'], 1],
    ['goes on as it went', ['from +0.000 east', 'elbow 45 east'], 1],
    ['up twice', ['from +0.000 east', '100 c-c', 'elbow 90 up', '100 c-c', 'tee branch up'], 4],
    ['a tee whose branch points back', ['from +0.000 east', '100 c-c', 'tee branch west'], 2],
    ['past what it is turned to', ['from +0.000 east', 'elbow 45 up', '100 c-c', 'elbow 90 up'], 3],
    ['a fall on a riser', ['from +0.000 east', 'elbow 90 up', 'fall 1:80', '100 c-c'], 2],
    ['a loop of one piece', ['from +0.000 east', 'elbow 90 up', '100 c-c', 'to F01'], 3],
    ['a name that nothing has', ['from +0.000 east', 'elbow 90 up', '100 c-c', 'to B7'], 3],
    ['from a point that nobody measured', ['from B7 east', '100 c-c'], 0],
    ['a valve that turns', ['from +0.000 east', '100 c-c', 'valve up'], 2],
    ['an elbow that turns nowhere', ['from +0.000 east', '100 c-c', 'elbow 90', '100 c-c'], 2],
    ['no way to go', ['from +0.000', '100 c-c'], 1],
    ['a heading without length', ['from +0.000 east', 'elbow 90 0,0,0'], 1],
    ['two pipes in a row', ['from +0.000 east', '100 c-c', '100 c-c'], 2],
  ])('%s', (_what, entries, entry) => {
    expect(refused(entries)).toEqual(['bad-input', `entries[${entry}]`])
  })
  it('87-1/2 after 87-1/2 is no more than 5 degrees past: it goes', () => {
    const r = ask(['from +0.000 east', 'elbow 87-1/2 up', '1000 c-c', 'elbow 87-1/2 east', '100 c-c'])
    expect(at(r, 'F02')[2]).toBeCloseTo(1000 * Math.sin((87.5 * Math.PI) / 180), 6)
    expect(refused(['from +0.000 east', 'elbow 90 up', '1000 c-c', 'elbow 87-1/2 up'])).toEqual([
      'bad-input',
      'entries[3]',
    ])
  })
})
