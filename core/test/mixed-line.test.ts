import fc from 'fast-check'
import { entriesOf, entryText, jointFacts, jointPlaces, lineFaults, takeOut } from '../src/index.js'
import { Bench } from './line-bench.js'
import { COPPER, PVC, line, refused, ways } from './mixed-help.js'

describe('a line as it is built', () => {
  it('hot water: soldered copper, a dielectric union to steel, a pressed valve, a flange at a pump, a threaded drain', () => {
    const b = line(
      COPPER,
      'tee 2 2 3/4',
      '18 c-c',
      'ball valve 2 press',
      '12 c-f',
      'flange 2',
      'expansion joint 2',
      'pump 2 flanged',
      'flange',
      '24 c-c',
      'tee 2 2 3/4',
      '6 c-f',
      'dielectric union 2',
      '12 f-f in steel',
      'elbow 90',
      'branch',
    )
    expect(b.type('..')).toBe('ok')
    b.cursor = { after: b.item('Q2/F01').id, branch: 2 }
    expect(b.type('8 c-f')).toBe('ok')
    expect(b.type('female adapter 3/4')).toBe('ok')
    expect(b.type('drain')).toBe('ok')
    expect(ways(b)).toEqual([
      'P06>F01 solder copper CTS 3/4',
      'P06>F10 solder copper CTS 3/4',
      'F11>F10 threaded brass NPS 3/4',
      'P01>F01 solder copper CTS 2',
      'P01>F02 press copper CTS 2',
      'P02>F02 press copper CTS 2',
      'P02>F03 solder copper CTS 2',
      'F04>F03 expansion-joint brass NPS 2',
      'F05>F04 expansion-joint brass NPS 2',
      'F06>F05 flange brass NPS 2',
      'P03>F06 solder copper CTS 2',
      'P03>F07 solder copper CTS 2',
      'P04>F07 solder copper CTS 2',
      'P04>F08 solder copper CTS 2',
      'P05>F08 threaded carbon-steel NPS 2',
      'P05>F09 threaded carbon-steel NPS 2',
    ])
    expect(lineFaults(b.line)).toEqual([])
  })
  it('a plastic line that ends in a threaded adapter', () => {
    const b = line(PVC, 'elbow 90 1-1/2', '30 c-c', 'adapter 1-1/2 x 1-1/2 mip', 'union 1-1/2 fip of brass')
    expect(ways(b)).toEqual([
      'P01>F01 solvent-cement pvc NPS 1-1/2',
      'P01>F02 solvent-cement pvc NPS 1-1/2',
      'F03>F02 threaded pvc NPS 1-1/2',
    ])
    const [joint] = b.item('Q2/F03').joints
    // Male plastic into female metal: what it goes into is known to the joint.
    const spec = jointFacts(b.state, joint as string, 'coldest', 0)?.spec
    expect(spec).toMatchObject({ material: 'pvc', into: 'brass', standard: 'npt', cutOn: 'fitting' })
  })
  it('every part by what fitters call it', () => {
    const b = new Bench(PVC)
    for (const entry of [
      'elbow 22-1/2 2',
      '20',
      'bend 45',
      '20',
      'double wye 2 2 1-1/2',
      '20',
      'p-trap',
      '20',
      'street elbow 45',
      'non-return valve',
      '20',
      'cleanout',
    ])
      expect([entry, b.type(entry)]).toEqual([entry, 'ok'])
    expect(b.line.items.filter((i) => i.type === 'fitting').map((i) => i.fitting)).toEqual([
      'elbow 22-1/2',
      'elbow 45',
      'double wye',
      'p-trap',
      'street elbow 45',
      'check valve',
      'cleanout',
    ])
  })
  it('a part is turned where only so it fits', () => {
    const b = line(PVC, 'tee 2', 'bushing 2 1-1/2', '20 f-f', 'bushing 2 1-1/2', 'tee 2')
    const sizes = (tag: string) => [b.item(tag).size, b.item(tag).size2]
    expect([sizes('Q2/F02'), sizes('Q2/F03')]).toEqual([
      ['NPS 2', 'NPS 1-1/2'],
      ['NPS 1-1/2', 'NPS 2'],
    ])
    expect(ways(b)).toEqual([
      'F02>F01 solvent-cement pvc NPS 2',
      'P01>F02 solvent-cement pvc NPS 1-1/2',
      'P01>F03 solvent-cement pvc NPS 1-1/2',
      'F04>F03 solvent-cement pvc NPS 2',
    ])
  })
  it('both branches of a cross are runs of their own', () => {
    const b = line(PVC, 'elbow 90 2', '20', 'cross 2 2 1', 'branch', '10 c-c', 'cap')
    b.cursor = { after: b.item('Q2/F02').id, branch: false }
    expect([b.type('branch 2'), b.type('12 c-c'), b.type('elbow 90')]).toEqual(['ok', 'ok', 'ok'])
    expect([b.type('..'), b.type('14 c-c'), b.type('cap')]).toEqual(['ok', 'ok', 'ok'])
    const at = [...jointPlaces(b.state).values()].filter((p) => p.fitting?.tag === 'Q2/F02')
    expect(at.map((p) => [p.way.size, p.branch])).toEqual([
      ['NPS 2', false],
      ['NPS 1', true],
      ['NPS 1', true],
      ['NPS 2', false],
    ])
    expect(b.take(takeOut(b.line, b.ids('Q2/F02'), b.shop))).toBe('edit-has-branch')
  })
})

describe('ends that do not mate are said at the entry, and the line stays as it was', () => {
  it.each([
    [COPPER, ['tee 2'], 'elbow 90', 'mate-two-sockets'],
    [COPPER, ['tee 2', '12'], '12', 'entry-between'],
    [COPPER, ['valve 2 flanged'], '12', 'mate-kinds'],
    [COPPER, ['male adapter 3/4'], 'male adapter 3/4', 'mate-two-sockets'],
    [COPPER, ['union 3/4', '12', 'male adapter'], 'nipple 3/4', 'mate-alike'],
    [COPPER, ['union 3/4', '12', 'female adapter'], '12', 'material-not-joined'],
    [COPPER, ['union 3/4', '12', 'female adapter'], 'valve 3/4 rp', 'mate-standards'],
    [COPPER, ['union 3/4', '12', 'female adapter'], 'nipple 3/4 r', 'mate-standards'],
    [COPPER, ['union 3/4', '12', 'female adapter'], 'drain 1/2', 'mate-sizes'],
    [COPPER, ['union 3/4', '12', 'cap'], '12', 'mate-shut'],
    [COPPER, ['union 3/4', '12'], 'adapter', 'entry-say-end'],
    [COPPER, ['union 3/4', '12'], 'valve 3/4 x 3/4 x 3/4', 'entry-too-many-ends'],
    [COPPER, ['union 3/4', '12'], 'valve 3/4 gizmo', 'entry-word-unknown'],
    [COPPER, ['union 3/4', '12'], 'elbow 95', 'entry-size-unknown'],
    [PVC, ['elbow 90 1', '12', 'female adapter'], 'nipple 1 of brass', 'mate-plastic-female'],
    [PVC, ['elbow 90 1', '12'], 'valve 1 press', 'material-not-joined'],
  ] as const)('%j %j then %s: %s', (head, first, last, code) =>
    expect(refused(head, [...first], last)).toBe(code),
  )
  it('copper on steel without anything between is said; it can be joined all the same', () => {
    const b = line(COPPER, 'union 3/4', '12', 'union 3/4 compression of carbon steel')
    expect(lineFaults(b.line).map((f) => [f.at, f.stops, f.says.code])).toEqual([
      ['Q2/F02, Q2/P01', false, 'mate-metals'],
    ])
  })
  it('what an edit brings together is said of the line', () => {
    const b = line(COPPER, 'tee 2', '12', 'flange 2', 'valve 2 flanged')
    expect(lineFaults(b.line)).toEqual([])
    expect(b.take(takeOut(b.line, b.ids('Q2/F02'), b.shop))).toBe('ok')
    expect(lineFaults(b.line).map((f) => f.says.code)).toEqual(['mate-kinds'])
  })
})

describe('what was set out is typed again as it stands', () => {
  const PARTS = [
    'tee 2 2 3/4',
    'tee 2 1-1/2 1',
    'valve 2 flanged',
    'ball valve 2 press',
    'flange 2',
    'union 2',
    'adapter 2 x 2 mip',
    'male adapter 2',
    'female adapter 1',
    'nipple 2',
    'elbow 22-1/2 2',
    'elbow 37° 2',
    'street elbow 45 2',
    'reducer 2 1-1/2',
    'coupling 2 fip of brass',
    'dielectric union 2',
    'pump 2 flanged',
    'expansion joint 2',
    'cross 2 2 1',
    '12 c-c',
    '?',
    '6 f-f in steel',
    'cap 2',
  ]
  it.each([COPPER, PVC])('any parts that go on one another, $material', (head) =>
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...PARTS), { minLength: 1, maxLength: 12 }), (entries) => {
        const b = new Bench(head)
        for (const entry of entries) b.type(entry)
        const again = new Bench(head)
        for (const text of entriesOf(b.line.items, { units: 'inch' }))
          expect([text, again.type(text)]).toEqual([text, 'ok'])
        const bare = (x: Bench) =>
          x.line.items.map(({ id: _id, joints, ...rest }) => ({
            ...rest,
            joints: joints.map((j) => j !== null),
          }))
        expect(bare(again)).toEqual(bare(b))
      }),
      { numRuns: 150 },
    ),
  )
  it('as short as it can be said', () => {
    const b = line(COPPER, 'union 3/4', '18', 'dielectric union 3/4', '12 f-f in steel', 'elbow 90', '10 c-c')
    const said = b.line.items.map((item, i) =>
      entryText(item, { units: 'inch' }, { way: b.line.items[i - 1]?.way }),
    )
    expect(said).toEqual([
      'union CTS 3/4',
      '18 c-c',
      'dielectric union CTS 3/4',
      '12 f-f in carbon steel threaded',
      'elbow 90 3/4',
      '10 c-c',
    ])
  })
})
