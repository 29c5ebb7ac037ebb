import {
  NO_LINES,
  type Item,
  type Laid,
  type LaidJoint,
  type LaidPart,
  type Line,
  type ReadLine,
} from '@jugalis/core'
import fc from 'fast-check'
import { nextTick, ref } from 'vue'
import {
  bandsOf,
  fullScaleOf,
  inDrawingOrder,
  inSight,
  tagX,
  tagsAt,
} from '../src/places/set-out/line-shapes'
import { fittingMark, outline, stemPaths } from '../src/places/set-out/line-paths'
import { importEntries, itemEntries } from '../src/places/set-out/line-entries'
import { useWindow } from '../src/places/set-out/use-window'
import { type Labelled, fullScale, placeEvery, thinned } from '../src/tapes/labels'

const item = (id: string, more: Partial<Item> = {}): Item => ({
  id,
  type: 'fitting',
  tag: id,
  size: 'd63',
  size2: null,
  fitting: 'tee',
  measure: null,
  measuredMm: null,
  joints: [null, null],
  jointTags: [null, null],
  cut: null,
  ...more,
})
const part = (fromMm: number, toMm: number, more: Partial<LaidPart> = {}): LaidPart => ({
  item: item(`p${fromMm}`),
  lane: 0,
  fromMm,
  toMm,
  odMm: 63,
  guessed: false,
  ...more,
})
const joint = (n: number, atMm: number, lane = 0): LaidJoint => ({
  id: `j${n}`,
  tag: `Q2-${String(n).padStart(2, '0')}`,
  piece: item(`p${n}`, { type: 'piece' }),
  end: n % 2 ? 0 : 1,
  atMm,
  lane,
})
const joints = fc
  .array(fc.tuple(fc.integer({ min: 0, max: 60_000 }), fc.integer({ min: 0, max: 2 })), {
    minLength: 1,
    maxLength: 120,
  })
  .map((list) => inDrawingOrder(list.map(([at, lane], i) => joint(i, at, lane))))

describe('names in a drawing', () => {
  const labels = fc
    .array(fc.tuple(fc.integer({ min: 0, max: 4000 }), fc.integer({ min: 20, max: 60 })), { maxLength: 150 })
    .map((list) => list.map(([x, width]): Labelled => ({ x, width, lane: 0 })).sort((a, b) => a.x - b.x))
  it('never lie over one another, and are every n-th for the least n that fits', () => {
    fc.assert(
      fc.property(labels, fc.integer({ min: 1, max: 3 }), (list, rows) => {
        const { stride, placed } = thinned(list, rows)
        for (const a of placed)
          for (const b of placed) {
            if (a === b || a.row !== b.row) continue
            const [la, lb] = [list[a.at] as Labelled, list[b.at] as Labelled]
            expect(Math.abs(la.x - lb.x)).toBeGreaterThanOrEqual((la.width + lb.width) / 2)
          }
        if (stride)
          expect(placed.map((p) => p.at)).toEqual(list.map((_, i) => i).filter((i) => i % stride === 0))
        if (stride > 1) expect(placeEvery(list, 1, rows)).toBeNull()
      }),
    )
  })
  it('100 % is the least scale at which all have room', () => {
    const at = (scale: number): Labelled[] =>
      [0, 100, 250, 260].map((mm) => ({ x: mm * scale, width: 40, lane: 0 }))
    const full = fullScale(at, 1, { least: 0.01, most: 100 })
    expect(placeEvery(at(full), 1, 1)).not.toBeNull()
    expect(placeEvery(at(full * 0.98), 1, 1)).toBeNull()
    // The two that stand 10 mm apart decide: 40 px of name and 6 px between.
    expect(full).toBeCloseTo(4.6, 1)
  })
  it('of joints: all at 100 %, none twice, glyphs apart at any scale', () => {
    fc.assert(
      fc.property(joints, fc.double({ min: 0.001, max: 3, noNaN: true }), (list, scale) => {
        const { glyphs } = tagsAt(list, scale)
        for (const [k, at] of glyphs.entries()) {
          const next = list[glyphs[k + 1] ?? -1]
          const one = list[at] as LaidJoint
          if (next && next.lane === one.lane)
            expect(tagX(next, scale) - tagX(one, scale)).toBeGreaterThanOrEqual(34 - 1e-9)
        }
        const full = fullScaleOf(list)
        if (full < 3.9) expect(tagsAt(list, full).placed).toHaveLength(list.length)
      }),
      { numRuns: 60 },
    )
  })
})

describe('a long line', () => {
  it('is drawn with few shapes, and nothing of it is lost', () => {
    const laid = { parts: Array.from({ length: 9000 }, (_, i) => part(i * 100, i * 100 + 90)) } as Laid
    const all = inSight(laid, 0.001, 0, 1e9)
    expect(all.length).toBeLessThan(60)
    expect([all[0]?.fromMm, all.at(-1)?.toMm]).toEqual([0, 899_990])
    const near = inSight(laid, 1, 5000, 5500)
    expect(near.every((p) => p.toMm >= 5000 && p.fromMm <= 5500)).toBe(true)
    expect(near.length).toBeLessThanOrEqual(7)
  })
  it('sections are bands over joints that follow one another; a joint outside ends a band; overlaps stand in rows', () => {
    const list = [0, 100, 200, 300, 400, 500].map((mm, i) => joint(i, mm))
    const bands = bandsOf(list, [
      { id: 'A', tag: 'Q2-A', jointIds: ['j0', 'j1', 'j3', 'j4'] },
      { id: 'B', tag: 'Q2-B', jointIds: ['j4', 'j5'] },
    ])
    expect(bands.map((b) => [b.name, b.fromMm, b.toMm, b.row, b.hatch])).toEqual([
      ['Q2-A', 0, 100, 0, 0],
      ['Q2-A', 300, 400, 0, 0],
      ['Q2-B', 400, 500, 1, 1],
    ])
  })
  it('parts are outlines; kinds of fittings differ by their mark', () => {
    const frame = { x: (mm: number) => mm, mid: () => 50, thick: () => 20 }
    expect(outline(frame, part(10, 40), 5)).toBe('M10.0 35H40.0v30H10.0Z')
    const kinds = [
      'valve',
      'gate valve',
      'check valve',
      'union',
      'dielectric union',
      'flange',
      'elbow 90',
      'tee',
    ]
    kinds.push(
      'reducer',
      'cap',
      'plug',
      'meter',
      'pump',
      'strainer',
      'expansion joint',
      'gauge',
      'drain',
      'trap',
    )
    const marks = kinds.map((fitting) => fittingMark(frame, part(0, 30, { item: item('f', { fitting }) })))
    expect(new Set(marks).size).toBe(kinds.length)
    const tee = item('t')
    const laid = {
      parts: [part(0, 60, { item: tee }), part(40, 400, { item: item('b', { run: 't' }), lane: 1 })],
      stems: [{ tee, run: tee.id, atMm: 30, fromLane: 0, toLane: 1, odMm: 63 }],
    } as unknown as Laid
    expect(stemPaths(frame, laid, 0, 1000)).toEqual([{ id: 't', d: 'M30 60V50H40', width: 14 }])
    expect(stemPaths(frame, laid, 5000, 6000)).toEqual([])
  })
})

describe('the window on a drawing', () => {
  const open = (total = 10_000) => {
    const key = ref(`line ${Math.random()}`)
    return { key, w: useWindow(key, ref(total), ref(500), ref(0.5)) }
  }
  it('fits at first, zooms about a point, pans within the line, and is remembered by line', async () => {
    const { key, w } = open()
    expect([w.scale.value, w.fromMm.value, w.toMm.value]).toEqual([0.05, 0, 10_000])
    w.zoom(1, 250)
    // The point under the pointer stays where it is.
    expect((5000 - w.fromMm.value) * w.scale.value).toBeCloseTo(250, 6)
    w.pan(1e6)
    expect(w.toMm.value).toBeCloseTo(10_000, 6)
    w.pan(-1e6)
    expect(w.fromMm.value).toBe(0)
    const was = w.scale.value
    const first = key.value
    key.value = 'another'
    await nextTick()
    expect(w.scale.value).toBe(0.05)
    key.value = first
    await nextTick()
    expect(w.scale.value).toBe(was)
  })
  it('brings a place into sight, and leaves one alone that is', () => {
    const { w } = open()
    w.zoomTo(0.5, 0)
    w.show(8000)
    expect(w.fromMm.value).toBeLessThan(8000)
    expect(w.toMm.value).toBeGreaterThan(8000)
    const at = w.fromMm.value
    w.show(7600)
    expect(w.fromMm.value).toBe(at)
  })
})

describe('what a schedule writes', () => {
  const like: Line = {
    id: 'L',
    tag: 'Q2',
    name: 'n',
    method: 'solvent-cement',
    material: 'pvc-u',
    school: 'metric',
    schedule: null,
    details: {},
    placeId: 'p',
    ratingBar: null,
    insideOf: null,
    items: [item('a'), item('b', { type: 'piece', fitting: null })],
  }
  const read = (tag: string | null): ReadLine => ({
    tag,
    items: [item(`c${tag}`), item(`d${tag}`, { type: 'piece', fitting: null }), item(`e${tag}`)],
  })
  let made = 0
  const SHOP = { begun: new Set<string>(), newId: () => `made-${++made}`, lines: NO_LINES }
  it('joins on to the open line, and begins the lines that are not there', () => {
    const entries = importEntries(like, [read(null), read('Q7')], [like], SHOP)
    expect(entries.map((e) => [e.kind, e.data.lineId === 'L'])).toEqual([
      // The last piece of the open line meets the first fitting that comes: it gains a joint.
      ['item-put', true],
      ['items-put', true],
      ['line-set', false],
      ['items-put', false],
    ])
    expect(entries[2]?.data).toMatchObject({ tag: 'Q7', material: 'pvc-u' })
    const joints = (entries[1]?.data.items as { item: { jointA: string | null } }[]).map(
      (i) => i.item.jointA !== null,
    )
    expect(joints).toEqual([false, true, false])
  })
  it('many parts go into few entries, in order', () => {
    const items = Array.from({ length: 1000 }, (_, i) => item(`i${i}`))
    const entries = itemEntries('L', items)
    expect(entries).toHaveLength(3)
    const ids = entries.flatMap((e) => (e.data.items as { itemId: string }[]).map((i) => i.itemId))
    expect(ids).toEqual(items.map((i) => i.id))
  })
})
