import {
  drawLines,
  growthOf,
  hangTogether,
  joinedTo,
  linesAsOne,
  highPoints,
  jointPlaces,
  lineChange,
  lineHead,
  lineInSpace,
  lowPoints,
  pieceCut,
  settle,
  faultsOf,
  takeOut,
  unknownTakeOffs,
} from '../src/index.js'
import { Bench } from './line-bench.js'
import { T0 } from './make-job.js'
import { COPPER, line } from './mixed-help.js'

/** A main with a branch that stands open, and a line that begins there. */
function mains(
  entries: readonly string[] = [
    'from +2.000 east',
    'cap 63',
    '3000 c-c',
    'tee branch north',
    '500 c-c',
    'cap',
  ],
) {
  const main = line({}, ...entries)
  return { main, other: new Bench({ tag: 'Q3' }, main) }
}
const first = (other: Bench) => jointPlaces(other.state).get(other.line.items[0]?.joints[0] ?? '')

/** A copper main with a tee whose branch stands up, in inches. */
const copperMain = () =>
  line({ ...COPPER, tag: 'H1' }, `from +7'-0" east`, 'cap 3/4', '48 c-c', 'tee branch up', '20 c-c', 'cap')

describe('joints between lines', () => {
  it('a line that begins in a branch of another is joined to it; its piece goes by that part', () => {
    const { main, other } = mains()
    expect(unknownTakeOffs(main.state, main.line).map(({ at }) => at)).not.toContain(2)
    expect(other.type('from Q2/F02 branch', '1000 c-c', 'cap')).toBe('ok')
    expect(first(other)).toMatchObject({
      tag: 'Q3-01',
      end: 0,
      branch: true,
      fitting: { tag: 'Q2/F02' },
      met: { at: 2, line: { tag: 'Q2' } },
      way: { method: 'solvent-cement', size: 'd63' },
    })
    // The tee's branch is measured now, and the piece is cut by it.
    expect(unknownTakeOffs(main.state, main.line).map(({ at }) => at)).toContain(2)
    for (const [fitting, takeOffMm] of [
      ['tee branch', 40],
      ['cap', 5],
    ] as const)
      main.log.put('take-off', { fitting, size: 'd63', takeOffMm, takeOffTo: 'stop' })
    const cut = pieceCut(other.state, other.line, other.item('Q3/P01'))
    expect([cut.ends[0].jointTag, cut.takeOffsMm, cut.cutMm.value]).toEqual(['Q3-01', 45, 955])
    expect(lineInSpace(other.state, other.line).nodes.at(-1)?.atMm).toEqual([3000, 1000, 2000])
  })
  it('measured to a face, the way begins at the face of that part', () => {
    const { main, other } = mains()
    main.log.put('take-off', { fitting: 'tee branch', size: 'd63', takeOffMm: 70, takeOffTo: 'face' })
    main.log.put('take-off', { fitting: 'cap', size: 'd63', takeOffMm: 30, takeOffTo: 'face' })
    expect(other.type('from Q2/F02 branch', '1000 f-f', 'cap')).toBe('ok')
    expect(lineInSpace(other.state, other.line).nodes.at(-1)?.atMm).toEqual([3000, 1100, 2000])
  })
  it('a fitting stands on the other by what both reach less what goes in', () => {
    const { main, other } = mains()
    for (const fitting of ['tee branch', 'street elbow 90 spigot'])
      main.log.put('take-off', { fitting, size: 'd63', takeOffMm: 70, takeOffTo: 'face' })
    expect(other.type('from Q2/F02 branch', 'elbow 90 63 up')).toBe('mate-two-sockets')
    expect(other.line.items).toEqual([])
    expect(other.type('from Q2/F02 branch', 'street elbow 90 63 up')).toBe('ok')
    const depth = 140 - (lineInSpace(other.state, other.line).nodes[0]?.atMm[1] ?? 0)
    // ISO 727-1: half the outside diameter and 6 mm.
    expect(depth).toBeCloseTo(63 / 2 + 6, 6)
  })
  it('a branch is met once: by the line that was begun first, and not by what runs in it', () => {
    const { main, other } = mains()
    expect(other.type('from Q2/F02 branch', '1000 c-c')).toBe('ok')
    const third = new Bench({ tag: 'Q4' }, other)
    expect(third.type('from Q2/F02 branch')).toBe('space-no-open-branch')
    expect(third.type('from Q2/F01 branch')).toBe('space-no-open-branch')
    expect(third.line.stands).toBeUndefined()
    main.cursor = { after: main.item('Q2/F02').id, branch: false }
    expect(main.type('cross branch south', '300')).toBe('mate-two-sockets')
  })
  it('by its own way of joining, in inches: soldered to the tee, pressed from there', () => {
    const main = copperMain()
    const other = new Bench({ tag: 'H2', method: 'press', material: 'copper', school: 'inch' }, main)
    expect(other.type('from H1/F02 branch', '24 c-c', 'elbow 90 east')).toBe('ok')
    expect(
      [...jointPlaces(other.state).values()].filter((p) => p.line.tag === 'H2').map((p) => p.way.method),
    ).toEqual(['solder', 'press'])
    expect(faultsOf(other.state, other.line)).toEqual([])
    const steel = new Bench({ tag: 'H3', method: 'press', material: 'carbon-steel', school: 'inch' }, other)
    expect(steel.type('from H1/F03', '10 c-c')).toBe('entry-no-fitting')
  })
  it('taken out, the part takes the joint along in the same act; one that is begun stays', () => {
    const { main, other } = mains()
    expect(other.type('from Q2/F02 branch', '1000 c-c', 'cap')).toBe('ok')
    const joint = other.item('Q3/P01').joints[0] as string
    const swap = (): string => {
      main.cursor = { after: main.item('Q2/P01').id, branch: false }
      return main.take(takeOut(main.line, main.ids('Q2/F02'), main.shop))
    }
    main.begun.add(joint)
    main.log.step(joint, 'fit', T0)
    expect(swap()).toBe('edit-joint-begun')
    expect(first(other)?.fitting?.tag).toBe('Q2/F02')
    main.begun.clear()
    expect(swap()).toBe('ok')
    expect(other.item('Q3/P01').joints).toEqual([null, other.item('Q3/P01').joints[1]])
  })
  it('comes to a part of another: its way in, or its branch', () => {
    const { main, other } = mains()
    main.log.put('take-off', { fitting: 'tee branch', size: 'd63', takeOffMm: 70, takeOffTo: 'face' })
    expect(other.type('from +2.000 south', 'cap 63', '930 c-f', 'to Q2/F02 branch')).toBe('ok')
    const place = jointPlaces(other.state).get(other.item('Q3/P01').joints[1] ?? '')
    expect(place).toMatchObject({ end: 1, branch: true, fitting: { tag: 'Q2/F02' } })
    const space = lineInSpace(other.state, other.line)
    expect(space.legs[0]?.lengthMm).toBe(1000)
    expect(growthOf(other.state).without).toEqual([])
  })
  it('goes on from the bare end of another line\u2019s pipe: what is put on it is joined to it', () => {
    const main = line({}, 'from +2.000 east', 'cap 63', '3000 c-f')
    const other = new Bench({ tag: 'Q3' }, main)
    expect(other.type('from Q2/P01', '1000 c-c')).toBe('entry-between')
    expect(other.type('from Q2/P01', 'coupling', '1000 c-c', 'elbow 90 up')).toBe('ok')
    expect(first(other)).toMatchObject({
      tag: 'Q3-01',
      part: { tag: 'Q3/F01' },
      fitting: { tag: 'Q2/P01' },
      met: { at: 1, line: { tag: 'Q2' } },
      way: { method: 'solvent-cement', size: 'd63' },
    })
    expect(faultsOf(other.state, other.line)).toEqual([])
    // The pipe is as long as it was measured; the coupling stands over its end by what goes in.
    expect(pieceCut(other.state, main.line, main.item('Q2/P01')).ends[1].jointId).toBeNull()
    main.log.put('take-off', { fitting: 'coupling', size: 'd63', takeOffMm: 40, takeOffTo: 'face' })
    // ISO 727-1: half the outside diameter and 6 mm go in.
    expect(lineInSpace(other.state, other.line).nodes[0]?.atMm[0]).toBeCloseTo(3000 + 40 - (63 / 2 + 6), 6)
    expect(lineInSpace(other.state, other.line).courses.get(other.item('Q3/P01').id)?.way).toEqual([1, 0, 0])
    const all = linesAsOne(other.state, main.line, joinedTo(other.state, main.line))
    expect(all.each.map(({ space }) => space.line.tag)).toEqual(['Q2', 'Q3'])
    expect(all.legs.filter(({ item, from, to }) => !item && from >= 0 && to >= 0)).toHaveLength(1)
  })
  it('of a line that begins with pipe the other end is met, going back the way it came; each end once', () => {
    const inch = { ...COPPER, tag: 'H1' }
    const main = line(inch, `from +7'-0" east`, 'cap 3/4', '48 c-f', 'union', '30 f-f')
    const other = new Bench({ ...COPPER, tag: 'H2' }, main)
    expect(other.type('from H1/P02', 'elbow 90', '10 c-c')).toBe('ok')
    expect(first(other)).toMatchObject({
      fitting: { tag: 'H1/P02' },
      met: { at: 1 },
      way: { method: 'solder' },
    })
    const third = new Bench({ ...COPPER, tag: 'H3' }, other)
    // Its end is taken: the line begins there by name, and is joined to nothing.
    expect(third.type('from H1/P02', 'elbow 90 3/4')).toBe('ok')
    expect(third.line.items[0]?.joints[0]).toBeNull()
    // The pipe is not parted from what another line has put on it and begun.
    const joint = other.line.items[0]?.joints[0] as string
    main.begun.add(joint)
    main.log.step(joint, 'clean', T0)
    expect(main.take(takeOut(main.line, main.ids('H1/P02'), main.shop))).toBe('edit-joint-begun')
  })
  it('pipe that comes to the bare end of pipe is said to lack what goes between', () => {
    const main = line({}, 'from +2.000 east', 'cap 63', '3000 c-f')
    const other = new Bench({ tag: 'Q3' }, main)
    expect(other.type('from +2.000 west', 'cap 63', '500 c-f', 'to Q2/P01')).toBe('ok')
    expect(other.item('Q3/P01').joints[1]).toBeNull()
    expect(faultsOf(other.state, other.line).map((f) => f.says)).toEqual([
      expect.objectContaining({ code: 'pieces-meet', params: { a: 'Q2/P01', b: 'Q3/P01' } }),
    ])
  })
  it('renumbered, it is named by its new tag and the joint is the same one', () => {
    const { main, other } = mains()
    expect(other.type('from Q2/F02 branch', '1000 c-c')).toBe('ok')
    const joint = other.item('Q3/P01').joints[0]
    main.begun.add(joint as string)
    const items = main.line.items.map((i) => (i.tag === 'Q2/F02' ? { ...i, tag: 'V7' } : i))
    expect(main.take(settle(main.line, items, main.shop))).toBe('ok')
    expect(other.line.stands?.name).toBe('V7')
    expect(first(other)?.jointId).toBe(joint)
  })
  it('a begun joint stays as it was made when the other line is changed', () => {
    const main = copperMain()
    const other = new Bench({ ...COPPER, tag: 'H2', method: 'press' }, main)
    expect(other.type('from H1/F02 branch', '24 c-c')).toBe('ok')
    const way = (): string | undefined => first(other)?.way.method
    const head = { ...lineHead(main.line), method: 'press' }
    const change = (): void => void main.log.put('line-changed', { lineId: main.lineId, ...head })
    expect(lineChange(main.state, main.line, head).anew).toBe(5)
    main.log.step(other.item('H2/P01').joints[0] as string, 'cut', T0)
    expect(lineChange(main.state, main.line, head)).toMatchObject({ anew: 4, keep: ['H2-01'] })
    expect(way()).toBe('solder')
    change()
    expect(way()).toBe('solder')
  })
  it('air and water go from one line to the other: what hangs below a main drains it', () => {
    const { main, other } = mains([
      'from +2.000 up',
      'tank adapter 63',
      '3000 c-c',
      'elbow 90 east',
      '900 c-c',
      'tee branch down',
      '500 c-c',
      'cap',
    ])
    // Level with the elbow and the cap, the tee holds water back until something leaves it downwards.
    expect(highPoints(main.state, main.line).map(({ served }) => served)).toEqual([false])
    expect(other.type('from Q2/F03 branch', '1000 c-c', 'elbow 90 east', '200 c-c', 'drain 3/4')).toBe(
      'mate-kinds',
    )
    expect(other.type('from Q2/F03 branch', '1000 c-c', 'cap')).toBe('ok')
    const low = lowPoints(other.state, other.line)
    expect(low.map(({ served, levelMm }) => [served, levelMm])).toEqual([[false, 4000]])
    expect(lowPoints(other.state, main.line).map(({ served }) => served)).toEqual([true])
    expect(highPoints(other.state, other.line)).toEqual([])
    expect(highPoints(other.state, main.line)).toHaveLength(1)
  })
})
describe('lines drawn as one', () => {
  const DRAWN = { length: String, level: String, fall: String }
  const both = () => {
    const { main, other } = mains()
    expect(other.type('from Q2/F02 branch', '1000 c-c', 'elbow 90 up', '400 c-c', 'cap')).toBe('ok')
    return { main, other, spaces: joinedTo(other.state, other.line) }
  }
  it('those that hang together, by names: what begins at a level of its own does not', () => {
    const { main, other } = both()
    const far = new Bench({ tag: 'Q9' }, other)
    expect(far.type('from +1.000 east', 'cap 63', '500 c-c')).toBe('ok')
    expect(joinedTo(far.state, main.line).map(({ line }) => line.tag)).toEqual(['Q2', 'Q3'])
    const lines = [...far.state.lines.values()]
    expect(hangTogether(far.state, lines).map((group) => group.map(({ line }) => line.tag))).toEqual([
      ['Q2', 'Q3'],
      ['Q9'],
    ])
  })
  it.each([true, false])(
    'one place where they meet, and every part and joint of both (to scale: %s)',
    (scaled) => {
      const { other, spaces } = both()
      const whole = linesAsOne(other.state, other.line, spaces)
      const drawn = drawLines(whole, { name: 'isometric', turns: 0 }, scaled, DRAWN)
      const ids = [...other.state.lines.values()]
        .flatMap(({ items }) => items.flatMap((i) => i.joints))
        .filter(Boolean)
      expect(drawn.joints.map(({ id }) => id).sort()).toEqual(ids.sort())
      expect(drawn.symbols).toHaveLength(
        [...other.state.lines.values()].flatMap(({ items }) => items).filter((i) => i.type === 'fitting')
          .length,
      )
      const [pipe, tee] = [
        drawn.legs.find((leg) => leg.item?.tag === 'Q3/P01'),
        drawn.symbols.find((s) => s.item.tag === 'Q2/F02'),
      ]
      const [from] = pipe?.points ?? []
      expect(
        Math.hypot((from?.[0] ?? 99) - (tee?.at[0] ?? 0), (from?.[1] ?? 99) - (tee?.at[1] ?? 0)),
      ).toBeLessThan(1e-6)
      // Its own parts by their short tags, those of the other by their whole ones.
      const tags = drawn.labels.filter(({ key }) => key.startsWith('tag')).map(({ text }) => text)
      expect(tags).toEqual(expect.arrayContaining(['F01', 'Q2/F02']))
    },
  )
  it('a fitting that stands on another line’s: a way leads from the one to the other, with its joint', () => {
    const { main, other } = mains()
    for (const fitting of ['tee branch', 'street elbow 90 spigot'])
      main.log.put('take-off', { fitting, size: 'd63', takeOffMm: 70, takeOffTo: 'face' })
    expect(other.type('from Q2/F02 branch', 'street elbow 90 63 up', '1000 c-c', 'cap')).toBe('ok')
    const drawn = drawLines(
      linesAsOne(other.state, other.line, joinedTo(other.state, other.line)),
      { name: 'isometric', turns: 0 },
      false,
      DRAWN,
    )
    expect(drawn.joints.map(({ tag }) => tag)).toContain('Q3-01')
  })
})
