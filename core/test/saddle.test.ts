import {
  type Item,
  alignmentOf,
  changeTo,
  drawLine,
  entriesOf,
  entryText,
  faultsOf,
  growthOf,
  highPoints,
  jointPlaces,
  layOut,
  lineInSpace,
  lowPoints,
  moveAfter,
  parseEntry,
  pieceCut,
  retyped,
  splitWith,
  takeOffFor,
  takeOut,
  tapsOf,
  unknownTakeOffs,
} from '../src/index.js'
import { Bench } from './line-bench.js'
import { T0 } from './make-job.js'
import { COPPER, PVC, line, refused, ways } from './mixed-help.js'

const MAIN = ['elbow 90 4', "10' c-c"]
const METRIC = ['cap 110', '3000 c-c', 'elbow 90']
const inch = { units: 'inch' } as const
const metric = { units: 'metric' } as const

/** A PVC main of 4 in with a saddle 3 ft along it, and a pipe from there. */
const main = () => line(PVC, ...MAIN, 'saddle 4 x 1 at 36', 'male adapter 1', "2' c-c", 'cap 1')

describe('a saddle in a line', () => {
  it('sits on the pipe that stays whole: one joint on the wall, the branch goes on from it', () => {
    const b = main()
    expect(b.tags()).toBe('F01 P01 F02 F03 P02 F04')
    expect(ways(b)).toEqual([
      'P01>F01 solvent-cement pvc NPS 4',
      'F02>P01 pipe-saddle pvc NPS 4',
      'F03>F02 threaded pvc NPS 1',
      'P02>F03 solvent-cement pvc NPS 1',
      'P02>F04 solvent-cement pvc NPS 1',
    ])
    expect(faultsOf(b.state, b.line)).toEqual([])
    // It goes on behind the pipe, and the pipe has its two ends.
    expect(b.type('..', 'elbow 90')).toBe('ok')
    expect(b.joints().filter((j) => j.includes(':P01>'))).toEqual(['Q2-01:P01>F01', 'Q2-06:P01>F05'])
    expect(pieceCut(b.state, b.line, b.item('Q2/P01')).ends.map((e) => e.fitting?.tag)).toEqual([
      'Q2/F01',
      'Q2/F05',
    ])
  })
  it('is typed where its pipe stands or behind the fitting that follows, and written back as typed', () => {
    const b = line({}, ...METRIC, 'saddle 1 at 1200 up', '..', 'saddle 1 grooved at 2400')
    expect(b.line.items.map((i) => entryText(i, metric)).filter((text) => text.startsWith('saddle'))).toEqual(
      ['saddle 1 at 1200 up', 'saddle 1 grooved at 2400'],
    )
    for (const saddle of b.line.items.filter((i) => i.fitting === 'saddle')) {
      const read = parseEntry(entryText(saddle, metric), metric, ['d110'])
      expect(read).toMatchObject({ ok: true, fitting: 'saddle', alongMm: saddle.alongMm })
    }
    // As a group it sets itself out again.
    const again = line({}, ...entriesOf(b.line.items, metric))
    expect(again.line.items.map((i) => [i.fitting, i.size, i.size2, i.alongMm, i.ends])).toEqual(
      b.line.items.map((i) => [i.fitting, i.size, i.size2, i.alongMm, i.ends]),
    )
  })
  it.each([
    ['saddle 1', 'entry-saddle-where'],
    ["saddle 1 at 12'", 'entry-saddle-beyond'],
    ['saddle 1 at -3', 'entry-not-a-length'],
    ['saddle 1 at wall', 'entry-not-a-length'],
    ['saddle 6 x 1 at 36', 'mate-sizes'],
    ['elbow 90 4 at 36', 'entry-not-understood'],
    ['saddle 1 2 3 at 36', 'entry-too-many-ends'],
  ])('%s is refused, and the line stays', (said, code) => {
    expect(refused(PVC, MAIN, said)).toBe(code)
  })
  it('needs a straight pipe, and one of a size that saddles are made for', () => {
    expect(refused(PVC, ['elbow 90 4'], 'saddle 1 at 36')).toBe('entry-saddle-no-pipe')
    expect(refused(PVC, ['tee 4', 'branch'], 'saddle 1 at 36')).toBe('entry-saddle-no-pipe')
    expect(refused(COPPER, ['elbow 90 1/2', '40 c-c'], 'saddle 1/4 at 12')).toBe('entry-size-unknown')
    expect(refused(COPPER, ['elbow 90 2', 'bent 20 90 20 r 6'], 'saddle 1/2 at 12')).toBe('entry-saddle-bent')
  })
  it('stays on its pipe: it is not moved, copied or parted from it', () => {
    const b = main()
    const put = (edited: { ok: boolean; why?: { code: string } }) => (edited.ok ? 'ok' : edited.why?.code)
    expect(put(moveAfter(b.line, b.ids('Q2/F02'), b.item('Q2/F01').id, b.shop))).toBe('edit-saddle')
    expect(put(moveAfter(b.line, b.ids('Q2/F04'), b.item('Q2/P01').id, b.shop))).toBe('ok')
    expect(put(takeOut(b.line, b.ids('Q2/F02'), b.shop))).toBe('edit-saddle')
    expect(put(takeOut(b.line, b.ids('Q2/P01'), b.shop))).toBe('edit-has-branch')
    expect(put(splitWith(b.line, b.item('Q2/P01'), 'union', b.shop))).toBe('edit-has-branch')
    expect(put(retyped(b.line, b.item('Q2/F02'), 'tee 4', b.shop, inch))).toBe('edit-saddle')
    expect(put(retyped(b.line, b.item('Q2/F03'), 'saddle 1 at 12', b.shop, inch))).toBe('edit-saddle')
    expect(put(takeOut(b.line, b.ids('Q2/F02', 'Q2/F03', 'Q2/P02', 'Q2/F04'), b.shop))).toBe('ok')
  })
  it('is measured anew by typing it over; a joint of it that is begun stays', () => {
    const b = main()
    expect(b.take(retyped(b.line, b.item('Q2/F02'), 'saddle 1 at 40', b.shop, inch))).toBe('ok')
    expect(b.item('Q2/F02').alongMm).toBeCloseTo(1016, 6)
    expect(retyped(b.line, b.item('Q2/F02'), "saddle 1 at 11'", b.shop, inch)).toMatchObject({
      why: { code: 'entry-saddle-beyond' },
    })
    b.begun.add(b.item('Q2/F02').joints[0] as string)
    b.log.step(b.item('Q2/F02').joints[0] as string, 'place', T0)
    expect(retyped(b.line, b.item('Q2/F02'), 'saddle 1 at 44', b.shop, inch)).toMatchObject({
      why: { code: 'edit-joint-begun' },
    })
  })
  it('a pipe that is measured shorter than its saddle says so; one of another size takes its saddle along', () => {
    const b = main()
    const shorter = parseEntry('30 c-c', inch)
    if (!shorter.ok) throw new Error('not read')
    expect(b.take(changeTo(b.line, b.item('Q2/P01'), shorter, b.shop))).toBe('ok')
    expect(faultsOf(b.state, b.line).map((f) => f.says.code)).toEqual(['entry-saddle-beyond'])
    const c = main()
    expect(c.take(retyped(c.line, c.item('Q2/F01'), 'elbow 90 6', c.shop, inch))).toBe('ok')
    expect([c.item('Q2/F02').size, c.item('Q2/F02').ends?.[1]?.size ?? c.item('Q2/F02').size2]).toEqual([
      'NPS 6',
      'NPS 1',
    ])
  })
})

describe('a saddle in Cut', () => {
  const holes = (b: Bench) => tapsOf(pieceCut(b.state, b.line, b.item('Q2/P01')))
  it('its hole is marked from the end of the pipe: less the take-off there, plus what goes in', () => {
    const b = line({}, ...METRIC, 'saddle 1 at 900')
    expect(holes(b)[0]?.fromEndMm.value).toBeNull()
    b.log.put('take-off', { fitting: 'cap', size: 'd110', takeOffMm: 20, takeOffTo: 'face' })
    // ISO 727-1: a socket of d110 is half of it and 6 mm deep.
    expect(holes(b)[0]?.fromEndMm.value).toBeCloseTo(900 - 20 + 61, 6)
    // Its own take-off is that of its branch alone: it sits on the middle of its pipe.
    expect(unknownTakeOffs(b.state, b.line).map((o) => `${o.fitting.tag} ${o.at}`)).toEqual([
      'Q2/F03 1',
      'Q2/F02 0',
    ])
  })
  it('several are told in order; one that is not on the pipe as it is cut says so', () => {
    const b = line({}, 'cap 110', '500 f-f', 'elbow 90', 'saddle 1 at 450', '..', 'saddle 1 at 100')
    const depth = pieceCut(b.state, b.line, b.item('Q2/P01')).ends[0].depthMm?.value as number
    expect(holes(b).map((h) => h.fromEndMm.value)).toEqual([100 + depth, 450 + depth])
    const near = line({}, 'cap 110', '500 c-c', 'elbow 90', 'saddle 1 at 20')
    for (const fitting of ['cap', 'elbow 90'])
      near.log.put('take-off', { fitting, size: 'd110', takeOffMm: 100, takeOffTo: 'stop' })
    expect(holes(near)[0]?.fromEndMm).toMatchObject({ value: null, why: { code: 'saddle-off-pipe' } })
  })
  it('cut out, the pipe under it is to be cut anew', () => {
    const b = main()
    const joint = b.item('Q2/F02').joints[0] as string
    b.log.put('piece-cut', { itemId: b.item('Q2/P01').id, cutMm: 3000 }, { atS: T0 + 10 })
    expect(pieceCut(b.state, b.line, b.item('Q2/P01')).isCut).toBe(true)
    b.log.step(joint, 'place', T0)
    b.log.put('cut-out', { life: 1 }, { jointId: joint, atS: T0 + 50 })
    expect(pieceCut(b.state, b.line, b.item('Q2/P01')).isCut).toBe(false)
  })
})

describe('a saddle in space', () => {
  const stands = (...more: string[]) =>
    line({}, 'from +2.000 east', 'cap 110', '3000 c-c', 'elbow 90 north', 'saddle 1 at 1200 up', ...more)
  const at = (b: Bench, tag: string) => {
    const space = lineInSpace(b.state, b.line)
    return space.nodes[space.nodeOf.get(b.item(tag).id) ?? -1]?.atMm
  }
  it('stands on the pipe where it was measured, and what leaves it goes its own way', () => {
    const b = stands('male adapter 32 x 1', '500 c-c', 'cap')
    b.log.put('take-off', {
      fitting: 'saddle threaded',
      size: 'NPS 1',
      size2: 'd110',
      takeOffMm: 90,
      takeOffTo: 'face',
    })
    expect(at(b, 'Q2/F03')).toEqual([1200, 0, 2000])
    expect(at(b, 'Q2/F02')).toEqual([3000, 0, 2000])
    expect(lineInSpace(b.state, b.line).courses.get(b.item('Q2/P02').id)?.way).toEqual([0, 0, 1])
    const joint = jointPlaces(b.state).get(b.item('Q2/F03').joints[0] ?? '')
    expect(joint && alignmentOf(b.state, joint)).toMatchObject({ towards: ['up'], clock: 12 })
  })
  it('without a way nothing behind it has a place, and that is said', () => {
    const b = line(
      {},
      'from +2.000 east',
      'cap 110',
      '3000 c-c',
      'saddle 1 at 1200',
      'male adapter 32 x 1',
      '500',
    )
    expect(lineInSpace(b.state, b.line).faults.map((f) => f.code)).toContain('space-no-turn')
  })
  it('upward from a level main it is neither a low point nor a high one of the main', () => {
    const b = stands('air vent 1')
    expect(
      lowPoints(b.state, b.line).filter((p) => p.nodes.some((n) => n.fitting?.tag === 'Q2/F03')),
    ).toHaveLength(lowPoints(b.state, b.line).length)
    // On a pipe that falls the way goes on under the saddle: water does not stay there.
    const sloped = line(
      {},
      'from +2.000 east; fall 1:100',
      'cap 110',
      '3000 c-c',
      'cap',
      'saddle 1 at 1200 up',
      'nipple 1',
    )
    const lows = lowPoints(sloped.state, sloped.line).flatMap((p) => p.nodes.map((n) => n.tag))
    expect(lows).toEqual(['Q2/F02'])
    expect(highPoints(sloped.state, sloped.line).flatMap((p) => p.nodes.map((n) => n.tag))).toContain(
      'Q2/F01',
    )
  })
  it('as the pipe grows the branch is carried along by the share of where it sits', () => {
    const b = stands('air vent 1')
    for (const { fitting, at } of unknownTakeOffs(b.state, b.line)) {
      const { name, ...sizes } = takeOffFor(fitting, at)
      b.log.put('take-off', { fitting: name, ...sizes, takeOffMm: 90, takeOffTo: 'face' })
    }
    b.cursor = { after: b.item('Q2/F01').id, branch: false }
    expect(b.type('anchor')).toBe('ok')
    const grown = growthOf(b.state)
    const space = lineInSpace(b.state, b.line)
    const moved = (tag: string) =>
      grown.moved.get(b.line.id)?.[space.nodeOf.get(b.item(tag).id) ?? -1] ?? [NaN, NaN, NaN]
    expect(grown.without.map(({ why }) => why)).toEqual([])
    expect(moved('Q2/F02')[0]).toBeGreaterThan(0.1)
    expect(moved('Q2/F03')[0] / moved('Q2/F02')[0]).toBeCloseTo(1200 / 3000, 6)
    expect(moved('Q2/F04')[0]).toBeCloseTo(moved('Q2/F03')[0], 6)
    expect(grown.legs.map((leg) => [leg.from, leg.to])).toEqual(
      expect.arrayContaining([['Q2/F01', 'Q2/F03']]),
    )
  })
  it('is drawn on its pipe, once, with its joint where it sits', () => {
    const b = stands('male adapter 32 x 1', '500 c-c', 'cap')
    const writing = { length: String, level: String, fall: String }
    const space = lineInSpace(b.state, b.line)
    const drawn = drawLine(space, { name: 'isometric', turns: 0 }, true, writing)
    const pipes = drawn.legs.filter((leg) => leg.item?.tag === 'Q2/P01')
    expect(pipes).toHaveLength(1)
    const saddle = b.item('Q2/F03')
    const node = space.nodeOf.get(saddle.id) ?? -1
    expect(drawn.joints.find((j) => j.id === saddle.joints[0])?.at).toEqual(drawn.nodes[node])
    // In the strip it sits over its place on the pipe, to scale.
    const laid = layOut(b.state, b.line)
    const part = (item: Item) => laid.parts.find((p) => p.item.id === item.id) as (typeof laid.parts)[0]
    const middle = (item: Item) => (part(item).fromMm + part(item).toMm) / 2
    expect(middle(saddle) - middle(b.item('Q2/F01'))).toBeCloseTo(1200, 6)
    expect(laid.stems[0]?.atMm).toBeCloseTo(middle(saddle), 6)
  })
})
