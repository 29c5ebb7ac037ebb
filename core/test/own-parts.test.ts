import fc from 'fast-check'
import {
  type OwnPart,
  FORMS,
  entryText,
  foldJob,
  jointPlaces,
  lineInSpace,
  ownPartFault,
  ownPartsCsv,
  partsToType,
  placeTexts,
  readOwnParts,
  retyped,
  shapesSaid,
  shapesText,
  symbolOf,
  takeOffsBrought,
  withSpace,
} from '../src/index.js'
import { Bench } from './line-bench.js'

const BOX: OwnPart = {
  name: 'flow box',
  form: 'through',
  shapes: [{ kind: 'box', at: [-10, -8, 10, 8] }],
  ends: ['usual', 'flanged'],
  takeOffs: [
    { end: 0, size: 'd63', mm: 120, to: 'face' },
    { end: 1, size: 'd63', mm: 95, to: 'face' },
  ],
}
const BEND: OwnPart = {
  ...BOX,
  name: 'lazy bend',
  form: 'turn',
  turnDeg: 37,
  ends: ['usual', 'usual'],
  takeOffs: [],
}
const SPIDER: OwnPart = {
  ...BOX,
  name: 'spider',
  form: 'tee',
  ends: ['usual', 'usual', 'female'],
  takeOffs: [],
}
const HOUSE = [BOX, BEND, SPIDER]

/** A bench that knows the parts of its house. */
const typed = (b: Bench, ...texts: string[]): string => {
  const reader = { units: b.line.school, parts: partsToType(b.state, HOUSE) }
  const placed = placeTexts(b.line, texts, b.cursor, b.shop, reader)
  if (placed.ok) b.cursor = placed.cursor
  return b.take(placed)
}

describe('fittings of a house’s own', () => {
  it('are typed like any other; their ends make the joints that they are made for', () => {
    const b = new Bench()
    expect(typed(b, 'tee 63', '500 c-c', 'flow box', 'valve 63 flanged', 'flange 63', '?')).toBe('ok')
    expect([...jointPlaces(b.state).values()].map((p) => [p.part.fitting ?? 'pipe', p.way.method])).toEqual([
      ['pipe', 'solvent-cement'],
      ['pipe', 'solvent-cement'],
      ['valve', 'flange'],
      ['flange', 'flange'],
      ['pipe', 'solvent-cement'],
    ])
    expect(b.item('Q2/F02').own).toEqual({ form: 'through', shapes: BOX.shapes })
  })
  it('bring their take-offs into a job that has none, each once', () => {
    const b = new Bench()
    expect(typed(b, 'flow box 63', '500 c-c', 'flow box')).toBe('ok')
    const brought = takeOffsBrought(b.state, b.line.items, HOUSE)
    expect(brought).toEqual([
      { fitting: 'flow box', size: 'd63', size2: null, takeOffMm: 120, takeOffTo: 'face' },
      { fitting: 'flow box flanged', size: 'd63', size2: null, takeOffMm: 95, takeOffTo: 'face' },
    ])
    // What a line begins with looks outward: its flange is its way in, and has its own take-off still.
    expect(b.item('Q2/F01').ends?.map(({ kind }) => kind)).toEqual(['flange', undefined])
    b.log.put('take-off', { ...brought[0], takeOffMm: 118 })
    expect(takeOffsBrought(b.state, b.line.items, HOUSE).map(({ fitting }) => fitting)).toEqual([
      'flow box flanged',
    ])
  })
  it('turn the way by their own angle, and branch', () => {
    const b = new Bench()
    expect(typed(b, 'from +1.000 east', 'cap 63', '1000 c-c', 'lazy bend up', '1000 c-c', 'cap')).toBe('ok')
    const [, , end] = lineInSpace(b.state, b.line).nodes
    const angle = (37 * Math.PI) / 180
    expect(end?.atMm[0]).toBeCloseTo(1000 + 1000 * Math.cos(angle), 6)
    expect(end?.atMm[2]).toBeCloseTo(1000 + 1000 * Math.sin(angle), 6)
    const tee = new Bench({ method: 'solder', material: 'copper', school: 'inch' })
    expect(typed(tee, 'spider 1 1/2', 'branch', 'male adapter 1/2 x 1/2')).toBe('ok')
    expect([...jointPlaces(tee.state).values()].map((p) => [p.branch, p.way.method])).toEqual([
      [true, 'threaded'],
    ])
  })
  it('come back from their rows as they are, also where the house has them no more', () => {
    const b = new Bench()
    expect(typed(b, 'from +1.000 east', 'flow box 63', '500 c-c', 'lazy bend up', '300')).toBe('ok')
    for (const item of b.line.items.filter((i) => i.own)) {
      const text = entryText(item, { units: 'metric' })
      const reader = { units: 'metric' as const, parts: partsToType(b.state, []) }
      const again = withSpace(b.state, b.line, retyped(b.line, item, text, b.shop, reader), b.shop)
      expect([text, again.ok && again.edits]).toEqual([text, []])
      expect(retyped(b.line, item, text, b.shop, { units: 'metric' }).ok).toBe(false)
    }
    expect(foldJob(b.log.events).lines.get(b.lineId)?.items).toEqual(b.line.items)
  })
  it('are drawn by their own shapes, along the pipe and aside of it', () => {
    const b = new Bench()
    expect(typed(b, 'flow box 63')).toBe('ok')
    const [sign] = symbolOf(b.line.items[0] as (typeof b.line.items)[0], [100, 50], [0, 1], [-1, 0])
    expect(sign).toMatchObject({
      kind: 'path',
      closed: true,
      points: [
        [108, 40],
        [108, 60],
        [92, 60],
        [92, 40],
      ],
    })
  })
  it.each([
    ['tee', 'own-name-taken'],
    ['ball valve', 'own-name-taken'],
    ['to the tank', 'own-name-reserved'],
    ['flow on', 'own-name-reserved'],
    ['Box!', 'own-name'],
  ])('is not called %s: %s', (name, code) => {
    expect(ownPartFault({ ...BOX, name })?.says.code).toBe(code)
  })
  it('flow box is a name though flow is a word of the line', () => expect(ownPartFault(BOX)).toBeNull())
})

const shapes = fc.array(
  fc.constantFrom(['line', 4], ['box', 4], ['triangle', 6], ['circle', 3]).chain(([kind, count]) =>
    fc.record({
      kind: fc.constant(kind as 'line'),
      at: fc.array(fc.integer({ min: -20, max: 20 }), {
        minLength: count as number,
        maxLength: count as number,
      }),
    }),
  ),
  { maxLength: 6 },
)
describe('lists of them', () => {
  it('any list written is read back the same', () => {
    const part = fc.constantFrom(...FORMS).chain((form) =>
      fc.record({
        name: fc.constantFrom('alpha box', 'b-9', 'spider'),
        form: fc.constant(form),
        ...(form === 'turn' ? { turnDeg: fc.integer({ min: 1, max: 179 }) } : {}),
        shapes,
        ends: fc.constant(
          {
            through: ['usual', 'flanged'],
            turn: ['usual', 'usual'],
            tee: ['usual', 'usual', 'female'],
            cross: ['usual', 'usual', 'soldered', 'usual'],
            end: ['usual', 'open'],
          }[form],
        ),
        takeOffs: fc.array(
          fc.record({
            end: fc.constantFrom(0, 1),
            size: fc.constantFrom('d63', 'NPS 2'),
            mm: fc.integer({ min: 0, max: 900 }),
            to: fc.constantFrom('face' as const, 'stop' as const),
          }),
          { maxLength: 3 },
        ),
      }),
    )
    fc.assert(
      fc.property(fc.uniqueArray(part, { selector: (p) => p.name, minLength: 1 }), (parts) => {
        expect(readOwnParts(ownPartsCsv(parts as OwnPart[]))).toEqual({ ok: true, parts })
      }),
      { numRuns: 100 },
    )
  })
  it('shapes as text', () => {
    fc.assert(fc.property(shapes, (all) => expect(shapesSaid(shapesText(all))).toEqual(all)))
    expect(shapesSaid('circle 0 0')).toBeNull()
    expect(shapesSaid('star 1 2 3 4')).toBeNull()
    expect(shapesSaid('line 0 0 99 0')).toBeNull()
  })
  it('every bad row is named by its line and column; nothing is taken', () => {
    const rows = [
      'name,form,turn,ends,end,size,take-off,unit,to,drawing',
      'flow box,through,,usual x flanged,in,d63,120,mm,face,box -10 -8 10 8',
      'flow box,,,,sideways,d63,95,mm,face,',
      'flow box,,,,on,?,95,mm,face,',
      'tee,tee,,usual x usual x usual,,,,,,',
      'coil,spiral,,usual,,,,,,',
      'lazy bend,turn,200,usual x usual,,,,,,',
      'lamp,end,,usual x shining,,,,,,star',
      'horn,end,,usual x usual,in,d63,5,ft,face,',
    ]
    const read = readOwnParts(rows.join('\n'))
    expect(!read.ok && read.faults.map(({ line, column, says }) => [line, column, says.code])).toEqual([
      [3, 'end', 'own-which-end'],
      [4, 'size', 'size-not-read'],
      [5, 'name', 'own-name-taken'],
      [6, 'form', 'own-form'],
      [7, 'turn', 'own-turn'],
      [8, 'drawing', 'own-drawing'],
      [9, 'unit', 'chart-unit'],
      [9, 'ends', 'own-end-shuts'],
    ])
  })
})
