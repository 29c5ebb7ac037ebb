import {
  alignmentOf,
  entryText,
  foldJob,
  jointLog,
  jointPlaces,
  lineInSpace,
  methodOf,
  roundMm,
} from '../src/index.js'
import { bench } from './line-bench.js'
import { T0 } from './make-job.js'

/** What the joints of a line say of how their fittings stand. */
function stands(...texts: string[]): string[] {
  const b = bench(...texts)
  const state = foldJob(b.log.events)
  return [...jointPlaces(state).values()].map((place) => {
    const found = alignmentOf(state, place)
    const joint = `${place.part.tag}>${place.fitting?.tag ?? '-'}`.replaceAll('Q2/', '')
    return found
      ? `${joint} ${found.what} ${found.towards.join(' ')} ${found.clock ?? '-'}`
      : `${joint} as it likes`
  })
}

describe('how a fitting stands on its pipe', () => {
  it('an elbow by its other end, on the clock as one looks into it', () => {
    expect(
      stands('from +1.000 east', 'cap 63', '500', 'elbow 90 up', '500', 'elbow 90 south', '500', 'cap'),
    ).toEqual([
      'P01>F01 as it likes',
      // Eastward, up is twelve; from above back down into the elbow, on a riser, there is no clock.
      'P01>F02 end up 12',
      'P02>F02 end west -',
      'P02>F03 end south -',
      // From the south end one looks north into it: what points down is at six.
      'P03>F03 end down 6',
      'P03>F04 as it likes',
    ])
  })
  it('a tee by its branch; seen from the other side left and right change places', () => {
    const found = stands(
      'from +1.000 east',
      'cap 63',
      '500',
      'tee branch south',
      '500',
      'cap',
      'branch',
      '300',
      'cap',
    )
    // Looking east, south is to the right: three. Looking back west it is to the left: nine. From the branch one looks
    // north, and the way on, east, is to the right.
    expect(found.filter((one) => one.includes('>F02')).sort()).toEqual([
      'P01>F02 branch south 3',
      'P02>F02 branch south 9',
      'P03>F02 end east 3',
    ])
  })
  it('an elbow of 45 degrees between two headings; a line without a place says nothing', () => {
    expect(stands('from +1.000 east', 'cap 63', '500', 'elbow 45 up', '500', 'cap')[1]).toBe(
      'P01>F02 end east up 12',
    )
    expect(stands('cap 63', '500', 'elbow 45', '500', 'cap').every((one) => one.endsWith('likes'))).toBe(true)
  })
})

describe('turned by an angle', () => {
  const turns = (...texts: string[]) => {
    const b = bench(...texts)
    const state = foldJob(b.log.events)
    return [...jointPlaces(state).values()].flatMap((place) => {
      const found = alignmentOf(state, place)
      return found
        ? [`${place.part.tag.slice(3)}>${place.fitting?.tag.slice(3)} ${found.from} ${found.turnDeg}`]
        : []
    })
  }
  it('a branch up, turned 30 degrees towards the south: so far to the right as one looks east', () => {
    const said = ['from +1.000 east', 'cap 63', '500', 'tee 63 branch up 30 south', '500', 'cap']
    expect(turns(...said)).toEqual(['P01>F02 top 30', 'P02>F02 top 330'])
    const b = bench(...said)
    const space = lineInSpace(foldJob(b.log.events), b.line)
    const [east = 0, north = 0, up = 0] = space.nodes[1]?.branches[2] ?? []
    expect([east, north, up].map((x) => Math.round(x * 1e6) / 1e6)).toEqual([0, -0.5, 0.866025])
    // As it was said it is written back.
    expect(entryText(b.item('Q2/F02'), { units: 'metric' })).toBe('tee 63 branch up 30 south')
  })
  it('on a riser it is measured from the north', () => {
    expect(turns('from +1.000 up', 'cap 63', '500', 'tee 63 branch west', '500', 'cap')).toEqual([
      // Looking up, west is to the right of north; looking down into it from above to the left.
      'P01>F02 north 90',
      'P02>F02 north 270',
    ])
  })
  it.each(['up 30 down', 'up 30 up', 'north 20 south'])('%s is no direction', (said) => {
    const b = bench('from +1.000 east', 'cap 63', '500')
    expect(b.type(`tee 63 branch ${said}`)).not.toBe('ok')
  })
  it('round a pipe: the whole way is \u03c0 times its diameter', () => {
    expect(roundMm(360, 110)).toBeCloseTo(345.575, 3)
    // A 2 in pipe (2.375 in) turned by a quarter: 1.865 in, as tables of pipefitters have it.
    expect(roundMm(90, 60.325) / 25.4).toBeCloseTo(1.865, 3)
  })
  it('marks that do not meet are told, and the joint is judged as it is', () => {
    const method = methodOf('pipe-saddle')
    const read = method?.parse({ ...method.examples[0]?.spec, school: 'inch' })
    if (!method || !read?.ok) throw new Error('not read')
    const ctx = { wall: [], airC: 20, wallC: 20, humidityPct: 50, mode: 'coldest', school: 'inch' } as const
    const pin = { rules: 1, chart: null, school: 'inch', table: 'current' } as const
    const told = (marksApartMm: number) => {
      const readings = { ...method.examples[0]?.reads, disc: 'out', seated: 'even', marksApartMm }
      const done = method.steps(read.spec, { ...ctx, pin }).map(({ id }, i) => ({
        step: id,
        readings,
        earliestS: i,
        latestS: i,
        by: 'w',
        eventId: String(i),
      }))
      const life = { no: 1, done, interruptions: [], pin } as unknown as Parameters<
        typeof method.inspection
      >[1]
      const { verdict, findings } = method.inspection(read.spec, life, { ...ctx, pin })
      return [verdict, ...findings.map(({ code }) => code)]
    }
    // 4 in pipe is 4.500 in across (ASME B36.10M): 2 degrees are 2 mm round it.
    expect(told(1.9)).toEqual(['pass'])
    expect(told(6)).toEqual(['pass', 'marks-apart'])
  })
  it('and stand in the joint log', () => {
    const b = bench('from +1.000 east', 'cap 63', '500', 'tee 63 branch south')
    const joint = b.item('Q2/P01').joints[1] as string
    b.log.make(joint, T0)
    b.log.step(joint, 'fit', T0 + 200, { marksApartMm: 4 })
    const { rows, columns } = jointLog(b.state, () => 'Wren', { units: 'metric' })
    const row = rows.find((cells) => cells.includes('Q2-02')) ?? []
    expect(row[columns.findIndex((name) => name.startsWith('readings'))]).toContain('they meet): 4 mm')
  })
})
