import {
  changeTo,
  entriesOf,
  entryText,
  lineInSpace,
  renumbered,
  retyped,
  settle,
  takeOut,
} from '../src/index.js'
import { bench, entry } from './line-bench.js'
import { LINE, uuid } from './make-job.js'

const OTHER = uuid(77)
const METRIC = { units: 'metric' } as const
const level = (b: ReturnType<typeof bench>, tag: string): number | undefined => {
  const space = lineInSpace(b.state, b.line)
  return space.nodes[space.nodeOf.get(b.item(tag).id) ?? -1]?.atMm[2]
}
/** A second line in the job. */
const another = (b: ReturnType<typeof bench>): void => {
  b.log.put('line-set', {
    lineId: OTHER,
    tag: 'Q3',
    name: 'n',
    method: 'solvent-cement',
    material: 'pvc-u',
    school: 'metric',
    placeId: uuid(1),
  })
}
const ROUND = [
  'from +2.400 east',
  'elbow 90 63 north',
  '2000 c-c',
  'elbow 90 west',
  '1500 c-c',
  'elbow 90 south',
  '2000 c-c',
  'elbow 90 east',
  '1500 c-c',
  'to Q2/F01',
]

describe('a line of a job in space', () => {
  it('a line without directions is as it was, and has no place', () => {
    const b = bench('elbow 90 63', '2000', 'elbow 90')
    expect(lineInSpace(b.state, b.line)).toMatchObject({ stands: false, nodes: [], all: [] })
    expect(b.line.items[0]).not.toHaveProperty('heading')
  })
  it('what was typed comes back from the rows, and makes the same line', () => {
    const b = bench(
      'from +2.000 east',
      'elbow 90 63 up',
      '500 c-c',
      'elbow 90 east; fall 1:80',
      '900 c-c',
      'tee branch down',
      'branch',
      'to +1.000',
      'cap',
      '..',
      '600 c-c',
    )
    expect(entriesOf(b.line.items, METRIC)).toEqual([
      'elbow 90 63 up',
      '500 c-c',
      'elbow 90 63 east',
      'fall 1:80',
      '900 c-c',
      'tee 63 branch down',
      'branch',
      'to +1.000',
      'cap 63',
      '..',
      '600 c-c',
    ])
    const again = bench('from +2.000 east', ...entriesOf(b.line.items, METRIC))
    expect(again.line.items.map((i) => entryText(i, METRIC))).toEqual(
      b.line.items.map((i) => entryText(i, METRIC)),
    )
  })
  it('a fall said in a branch is of the branch alone', () => {
    const b = bench(
      'from +2.000 east',
      'tee 63 branch north',
      'branch',
      'fall 1:40',
      '400',
      'cap',
      '..',
      '400',
      'cap',
    )
    expect(lineInSpace(b.state, b.line).legs.map((leg) => Number((0 - leg.heading[2]).toFixed(4)))).toEqual([
      0.025, 0,
    ])
    expect(entryText(b.item('Q2/F01'), METRIC)).toBe('tee 63 branch north; branch fall 1:40')
    b.take(retyped(b.line, b.item('Q2/F01'), 'tee 63 branch north; fall 1:100', b.shop, METRIC))
    expect(lineInSpace(b.state, b.line).legs.map((leg) => Number((0 - leg.heading[2]).toFixed(4)))).toEqual([
      0.01, 0.01,
    ])
  })
  it('a piece to a level is as long as it takes, and stays so when what is before it changes', () => {
    const b = bench('from +2.400 up', 'elbow 90 63 east', '800', 'elbow 90 up', 'to +3.150', 'elbow 90 east')
    expect(b.item('Q2/P02').measuredMm).toBeCloseTo(750, 9)
    expect(level(b, 'Q2/F03')).toBeCloseTo(3150, 9)
    expect(b.type('from +2.500 up')).toBe('ok')
    expect(b.item('Q2/P02').measuredMm).toBeCloseTo(650, 9)
    expect(entryText(b.item('Q2/P02'), METRIC)).toBe('to +3.150')
  })
  it('a loop closes; a wrong measure is named and mended', () => {
    const b = bench(...ROUND)
    const closing = () => lineInSpace(b.state, b.line).closing[0]
    expect(closing()?.missMm).toBeCloseTo(0, 9)
    const wrong = b.item('Q2/P02')
    b.take(retyped(b.line, wrong, '1540', b.shop, METRIC))
    expect(closing()?.missMm).toBeCloseTo(40, 9)
    expect(closing()?.suspects.map((s) => [s.item.tag, Math.round(s.byMm)])).toEqual([
      ['Q2/P02', -40],
      ['Q2/P04', 40],
    ])
    // The longest first where nothing else tells them apart; both leave nothing.
    expect(closing()?.alike).toBe(2)
    b.take(retyped(b.line, b.item('Q2/P02'), '1500', b.shop, METRIC))
    expect(closing()?.suspects).toEqual([])
  })
  it('a pipe that comes back to a free end is joined to it: to the way in of the first part, or to a branch', () => {
    const b = bench(...ROUND)
    expect(b.joints().at(-1)).toBe('Q2-08:P04>F01')
    // The joint is made like any other, and goes where the pipe no longer comes back.
    b.take(retyped(b.line, b.item('Q2/P04'), '1500', b.shop, METRIC))
    expect(b.item('Q2/P04').joints[1]).toBeNull()
    const tee = bench(
      'from +2.000 east',
      'tee 63 branch north',
      '2000',
      'elbow 90 north',
      '1500',
      'elbow 90 west',
    )
    expect(tee.type('2000', 'elbow 90 south', '1500; to F01 branch')).toBe('ok')
    expect(tee.joints().at(-1)).toMatch(/P04>F01 branch$/)
    // A way in that is taken is no free end.
    const taken = bench('from +2.000 north', 'cap 63', '500', 'elbow 90 west')
    expect(taken.type('900', 'elbow 90 south', '500', 'elbow 90 east', '900; to F02')).toBe('ok')
    expect(taken.line.items.at(-1)?.joints[1]).toBeNull()
  })
  it('what cannot be is refused and the line stays as it was', () => {
    const b = bench('from +2.400 east', 'elbow 90 63 north', '2000')
    const refused = (text: string): string => {
      const before = b.line.items
      const code = b.type(text)
      expect(b.line.items).toEqual(before)
      return code
    }
    expect(refused('elbow 90 south')).toBe('space-along')
    expect(refused('to Q2/F07')).toBe('space-no-such-place')
    expect(refused('to Q2/F01')).toBe('space-loop-of-one')
    expect(refused('elbow 90 up; fall 1:80')).toBe('space-fall-on-riser')
    expect(refused('valve up')).toBe('space-does-not-turn')
    expect(b.type('elbow 90 up')).toBe('ok')
    expect(refused('to +1.000')).toBe('space-level-out-of-reach')
    // A change upstream that makes what stands impossible is not: the next edit may mend it, and the line says so.
    expect(b.take(retyped(b.line, b.item('Q2/F01'), 'elbow 90 63 up', b.shop, METRIC))).toBe('ok')
    expect(lineInSpace(b.state, b.line).all).toMatchObject([{ code: 'space-along', stops: true }])
    expect(bench('elbow 90 63').type('to +1.000')).toBe('space-not-begun')
  })
  it('a part that is named is taken out and missed; numbered anew it is named anew, in other lines too', () => {
    const b = bench(...ROUND)
    const gone = bench(...ROUND)
    gone.take(takeOut(gone.line, gone.ids('Q2/F01'), gone.shop))
    expect(lineInSpace(gone.state, gone.line).all.map((fault) => fault.code)).toContain('space-no-such-place')
    another(b)
    b.log.put('line-stands', { lineId: OTHER, stands: { name: 'Q2/F02', heading: 'up' } })
    b.take(settle(b.line, [...b.line.items.slice(2), ...b.line.items.slice(0, 2)], b.shop))
    const tags = b.tags()
    b.take(settle(b.line, renumbered(b.line, new Set()), b.shop))
    expect(tags).not.toBe(b.tags())
    expect(b.state.lines.get(OTHER)?.stands?.name).toBe('Q2/F01')
  })
  it('points: put, moved, put away', () => {
    const b = bench()
    const point = { pointId: uuid(90), name: 'Wall' }
    b.log.put('point-set', { ...point, atMm: [1000, 2000, 300], heading: 'north' })
    expect(b.type('from wall', 'cap 63', '400', 'elbow 90 up')).toBe('ok')
    const space = lineInSpace(b.state, b.line)
    expect(space.nodes.map((n) => n.atMm)).toEqual([
      [1000, 2000, 300],
      [1000, 2400, 300],
    ])
    b.log.put('point-set', { ...point, atMm: [0, 0, 0] })
    expect(lineInSpace(b.state, b.line).nodes[0]?.atMm).toEqual([0, 0, 0])
    b.log.put('point-set', point)
    expect(lineInSpace(b.state, b.line).nowhere?.code).toBe('space-no-such-place')
  })
  it('two lines that begin at each other have no place', () => {
    const b = bench('from +1.000 east', 'elbow 90 63 north', '500', 'elbow 90 up')
    another(b)
    b.log.put('item-put', {
      lineId: OTHER,
      itemId: uuid(78),
      item: { type: 'fitting', tag: 'Q3/F01', size: 'd63', fitting: 'elbow 90', heading: 'up' },
    })
    b.log.put('line-stands', { lineId: OTHER, stands: { name: 'Q2/F02', heading: 'east' } })
    expect(b.type('from Q3/F01')).toBe('space-circle')
    expect(b.type('from Q9/F01')).toBe('space-no-such-place')
    expect(b.type('from +1.500 east')).toBe('ok')
    const other = b.state.lines.get(OTHER)
    expect(other && lineInSpace(b.state, other).nodes[0]?.atMm).toEqual([0, 500, 1500])
  })
  it('a row typed over: what is not said again of its way is kept, what it meets is not', () => {
    const b = bench(...ROUND)
    b.take(changeTo(b.line, b.item('Q2/F02'), entry('elbow 90 63'), b.shop))
    expect(b.item('Q2/F02').heading).toBe('west')
    expect(b.item('Q2/P04').meets).toBe('Q2/F01')
    b.take(retyped(b.line, b.item('Q2/P04'), '1500', b.shop, METRIC))
    expect(b.item('Q2/P04')).not.toHaveProperty('meets')
    b.take(retyped(b.line, b.item('Q2/P04'), '1500; to Q2/F01', b.shop, METRIC))
    expect(b.item('Q2/P04').meets).toBe('Q2/F01')
    expect(b.line.id).toBe(LINE)
  })
})
