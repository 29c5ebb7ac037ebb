import { endsOf, foldJob, heightsOf, limitsOf } from '../src/index.js'
import { bench } from './line-bench.js'
import { uuid } from './make-job.js'

const SECTION = uuid(501)
/** A riser of 10 m with a gauge tee 1 m above its foot, all of it in one section. */
function riser() {
  const b = bench(
    'from +1.000 up',
    'cap 63',
    '1000',
    'gauge tee 63 x 63 x 1/2 branch east',
    '9000',
    'elbow 90 63 east',
    '400',
    'cap',
  )
  b.log.put('section-set', {
    sectionId: SECTION,
    tag: 'A',
    jointIds: b.line.items.flatMap((item) => item.joints.filter((id) => id !== null)),
    workingBar: 6,
    testBar: 9,
    holdS: 3600,
    allowedDropBar: 0.1,
    ratingBar: 10,
  })
  return b
}
const heights = (b: ReturnType<typeof riser>) => {
  const state = foldJob(b.log.events)
  const section = state.sections.get(SECTION)
  if (!section) throw new Error('no section')
  return { state, section, found: heightsOf(state, section) }
}

describe('heights of a section', () => {
  it('as the line lies: lowest, highest, and where the gauge is; head follows without a figure typed', () => {
    const { state, section, found } = heights(riser())
    expect(found).toMatchObject({ gaugeM: 2, lowM: 1, highM: 11 })
    expect(found.from).toEqual({ gauge: 'line', low: 'line', high: 'line' })
    // Water: 0.0980665 bar for each metre at 1,000 kg/m3 (rounded at 15 degrees).
    expect(endsOf(state, section, 9)?.atLowBar).toBeCloseTo(9.098, 2)
    expect(endsOf(state, section, 9)?.atHighBar).toBeCloseTo(9 - 9 * 0.0980665, 2)
    // What is rated sees the lowest point.
    expect(limitsOf(state, section)[0]?.atGaugeBar).toBeCloseTo(10 - 0.098, 2)
  })
  it('what is typed wins, field by field, and is named', () => {
    const b = riser()
    b.log.put('section-plan', { sectionId: SECTION, gaugeM: 1.5 })
    const { found } = heights(b)
    expect(found).toMatchObject({ gaugeM: 1.5, lowM: 1, highM: 11 })
    expect(found.from).toEqual({ gauge: 'said', low: 'line', high: 'line' })
  })
  it('where a part of it has no known place, no height is taken from the line', () => {
    const b = riser()
    b.type('from +1.000 up')
    const item = b.item('Q2/P01')
    b.log.put('item-put', {
      lineId: b.line.id,
      itemId: item.id,
      item: {
        type: 'piece',
        tag: item.tag,
        size: item.size,
        measure: 'centre-centre',
        jointA: item.joints[0],
        jointB: item.joints[1],
      },
    })
    expect(heights(b).found).toEqual({ gaugeM: null, lowM: null, highM: null, from: {} })
  })
})
