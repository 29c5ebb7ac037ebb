import {
  changeTo,
  copied,
  entriesOf,
  jointPlaces,
  layOut,
  lineFaults,
  moveAfter,
  neighbours,
  parseEntry,
  pieceCut,
  saidOf,
  splitWith,
  takeOffOf,
  takeOut,
  unknownTakeOffs,
} from '../src/index.js'
import { COPPER, PVC, line, ways } from './mixed-help.js'

describe('edits of a line of mixed joints', () => {
  const set = ['union 3/4', '18 c-c', 'male adapter 3/4', 'valve 3/4 fip', 'nipple 3/4']
  it('a part taken out takes its joints along; those beside it are joined anew where they mate', () => {
    const b = line(COPPER, ...set)
    expect(ways(b)).toHaveLength(4)
    expect(b.take(takeOut(b.line, b.ids('Q2/F03'), b.shop))).toBe('ok')
    // Male on male: no joint comes of it, and it is said.
    expect(ways(b)).toHaveLength(2)
    expect(lineFaults(b.line).map((f) => f.says.code)).toEqual(['mate-alike'])
  })
  it('a joint that was begun stays how it is made', () => {
    const b = line(COPPER, ...set)
    const [joint] = b.item('Q2/F03').joints
    b.begun.add(joint as string)
    const press = parseEntry('valve 3/4 press', { units: 'inch' }, ['CTS 3/4'])
    if (!press.ok) throw new Error(press.why.code)
    expect(b.take(changeTo(b.line, b.item('Q2/F03'), press, b.shop))).toBe('edit-joint-begun')
    expect(b.take(moveAfter(b.line, b.ids('Q2/F03'), null, b.shop))).toBe('edit-joint-begun')
    b.begun.clear()
    expect(b.take(changeTo(b.line, b.item('Q2/F03'), press, b.shop))).toBe('ok')
  })
  it.each([
    ['union', 4],
    ['flange', 5],
    ['slip coupling', 4],
  ])('a piece is let in with a %s: what it makes can be joined', (fitting, joints) => {
    const b = line(PVC, 'tee 2', '60', 'tee 2')
    expect(b.take(splitWith(b.line, b.item('Q2/P01'), fitting, b.shop))).toBe('ok')
    expect(lineFaults(b.line)).toEqual([])
    expect(ways(b)).toHaveLength(joints)
  })
  it('branches of a cross stay on it in a copy, in a group and in the drawing', () => {
    const b = line(
      PVC,
      'elbow 90 2',
      '20',
      'cross 2 2 1',
      'branch',
      '10 c-c',
      'cap',
      '..',
      'branch 2',
      '12 c-c',
      'cap',
    )
    const copy = { ...b.line, items: copied(b.line, 'Q3', () => b.newId()) }
    const met = (l: typeof copy) =>
      l.items.map((i) =>
        neighbours(l.items)
          .get(i.id)
          ?.map((n) => n && l.items.indexOf(n)),
      )
    expect(met(copy)).toEqual(met(b.line))
    const again = line(PVC, ...entriesOf(b.line.items, { units: 'inch' }))
    expect(met(again.line)).toEqual(met(b.line))
    const { stems } = layOut(b.state, b.line)
    expect(new Set(stems.map((s) => s.run)).size).toBe(2)
  })
  it('rubber beside a valve with a disc is known as such, whichever was set out first', () => {
    const steel = { method: 'flange', material: 'carbon-steel', school: 'inch' } as const
    for (const parts of [
      ['butterfly valve 6', 'expansion joint 6'],
      ['expansion joint 6', 'butterfly valve 6'],
    ]) {
      const b = line(steel, ...parts)
      const [place] = jointPlaces(b.state).values()
      expect(place && saidOf(b.state, place)).toEqual({ meets: 'butterfly-valve' })
    }
  })
  it('each kind of end has a take-off of its own', () => {
    const b = line(COPPER, 'valve 3/4', '12', 'valve 3/4 press', '12', 'adapter 3/4 x 3/4 mip')
    expect(unknownTakeOffs(b.state, b.line).map((o) => [o.fitting.tag, o.at])).toEqual([
      ['Q2/F01', 0],
      ['Q2/F02', 0],
      ['Q2/F03', 0],
      ['Q2/F03', 1],
    ])
    b.log.put('take-off', { fitting: 'valve', size: 'CTS 3/4', takeOffMm: 20, takeOffTo: 'face' })
    b.log.put('take-off', { fitting: 'valve press', size: 'CTS 3/4', takeOffMm: 30, takeOffTo: 'face' })
    expect([takeOffOf(b.state, b.item('Q2/F01')), takeOffOf(b.state, b.item('Q2/F02'))]).toMatchObject([
      { takeOffMm: 20 },
      { takeOffMm: 30 },
    ])
    const cut = pieceCut(b.state, b.line, b.item('Q2/P01'))
    const [cup, press] = cut.ends.map((e) => e.depthMm?.value ?? 0) as [number, number]
    // 3/4 cup: 0.75 in (ASME B16.22, from memory); a press end of its own depth.
    expect(cup).toBeCloseTo(19.05, 1)
    expect(press).not.toBeCloseTo(cup, 1)
    expect(cut.cutMm.value).toBeCloseTo(12 * 25.4 - 50 + cup + press, 6)
  })
})
