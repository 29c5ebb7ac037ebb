import fc from 'fast-check'
import { foldJob, offcutsAfter, stockQuestion } from '../src/index.js'
import { everyPattern } from '../src/cut/stock/every.js'
import { Fillings } from '../src/cut/stock/knapsack.js'
import { gatherLeftover, onCheapest } from '../src/cut/stock/leftover.js'
import { type Model, type Pattern, modelOf, newBars, openedMm, widthOf } from '../src/cut/stock/model.js'
import { lineJob } from './make-job.js'

const model = (rooms: number[], widths: number[], wanted: number[]): Model => ({
  items: widths.map((width, i) => ({
    width,
    pieces: Array.from({ length: wanted[i] as number }, () => ({ id: `p${i}`, lengthMm: width })),
  })),
  stocks: rooms.map((room, i) => ({ lengthMm: room, room, offcut: i === 1, count: 3 })),
  kerfMm: 0,
  exact: true,
})
const problem = fc.record({
  rooms: fc.array(fc.integer({ min: 12, max: 40 }), { minLength: 1, maxLength: 2 }),
  items: fc.array(
    fc.tuple(
      fc.integer({ min: 3, max: 15 }),
      fc.integer({ min: 1, max: 4 }),
      fc.double({ min: 0, max: 9, noNaN: true }),
    ),
    {
      minLength: 1,
      maxLength: 4,
    },
  ),
})
/** Every way to take of each item between none and all, by plain counting. */
function* ways(most: readonly number[]): Generator<number[]> {
  const total = most.reduce((n, m) => n * (m + 1), 1)
  for (let k = 0; k < total; k++) {
    let rest = k
    yield most.map((m) => {
      const n = rest % (m + 1)
      rest = Math.floor(rest / (m + 1))
      return n
    })
  }
}
const widthBy = (widths: readonly number[], counts: readonly number[]): number =>
  counts.reduce((sum, n, i) => sum + n * (widths[i] as number), 0)

it('the best filling is the best of all ways, for every room at once', () => {
  fc.assert(
    fc.property(problem, ({ items }) => {
      const widths = items.map(([w]) => w)
      const fillings = new Fillings(
        40,
        items.map(([width, most, worth]) => ({ width, most, worth })),
      )
      for (const room of [5, 17, 40]) {
        let best = 0
        for (const counts of ways(items.map(([, most]) => most)))
          if (widthBy(widths, counts) <= room)
            best = Math.max(
              best,
              counts.reduce((s, n, i) => s + n * (items[i]?.[2] ?? 0), 0),
            )
        expect(fillings.worth(room)).toBeCloseTo(best, 6)
        const counts = fillings.counts(room)
        expect(widthBy(widths, counts)).toBeLessThanOrEqual(room)
        expect(counts.reduce((s, n, i) => s + n * (items[i]?.[2] ?? 0), 0)).toBeCloseTo(best, 6)
      }
    }),
  )
})
it('every pattern: exactly the fillings to which no wanted piece can be added', () => {
  fc.assert(
    fc.property(problem, ({ rooms, items }) => {
      const widths = items.map(([w]) => w)
      const wanted = items.map(([, n]) => n)
      const found = everyPattern(model(rooms, widths, wanted), 10_000)
      const expected = rooms.flatMap((room, stock) =>
        [...ways(wanted)]
          .filter((c) => c.some((n) => n > 0) && widthBy(widths, c) <= room)
          .filter(
            (c) =>
              !widths.some(
                (w, i) => (c[i] as number) < (wanted[i] as number) && widthBy(widths, c) + w <= room,
              ),
          )
          .map((c) => `${stock}: ${c.join()}`),
      )
      expect(found?.map((p) => `${p.stock}: ${p.counts.join()}`).sort()).toEqual(expected.sort())
    }),
  )
  expect(everyPattern(model([100], [3, 4, 5], [20, 20, 20]), 5)).toBeNull()
})
it('gathering the leftover moves pieces only: nothing opened, lost or overfilled, and the longest gets no shorter', () => {
  const m = model([40, 25], [15, 11, 7, 4], [3, 4, 5, 6])
  const plan: Pattern[] = [
    { stock: 0, counts: [1, 1, 1, 1] },
    { stock: 0, counts: [1, 1, 0, 3] },
    { stock: 0, counts: [1, 1, 1, 1] },
    { stock: 0, counts: [0, 0, 2, 0] },
    { stock: 1, counts: [0, 1, 1, 1] },
  ]
  const left = (p: readonly Pattern[]): number =>
    Math.max(...p.map((x) => (m.stocks[x.stock]?.room ?? 0) - widthOf(m, x.counts)))
  const sums = (p: readonly Pattern[]): number[] =>
    m.items.map((_, i) => p.reduce((n, x) => n + (x.counts[i] ?? 0), 0))
  const after = gatherLeftover(m, plan)
  expect(sums(after)).toEqual(sums(plan))
  for (const p of after) expect(widthOf(m, p.counts)).toBeLessThanOrEqual(m.stocks[p.stock]?.room ?? 0)
  expect([newBars(m, after), openedMm(m, after)]).toEqual([newBars(m, plan), openedMm(m, plan)])
  expect(left(after)).toBeGreaterThanOrEqual(left(plan))
  // What fits the offcut goes there, as long as one is left.
  expect(onCheapest(m, [{ stock: 0, counts: [0, 1, 1, 1] }])[0]?.stock).toBe(1)
})
it('millimetres are whole units as they stand, inch fractions are held between two roundings', () => {
  const whole = modelOf({
    stock: [{ lengthMm: 6000 }],
    kerfMm: 3,
    pieces: [{ id: 'a', lengthMm: 997, count: 2 }],
  })
  expect([whole.loose, whole.model.items[0]?.pieces.length]).toEqual([null, 2])
  const inch = modelOf({
    stock: [{ lengthMm: 6096 }],
    kerfMm: 3.175,
    pieces: [{ id: 'a', lengthMm: 436.5625, count: 1 }],
  })
  const share = (m: Model | null): number => (m?.items[0]?.width ?? 0) / (m?.stocks[0]?.room ?? 1)
  const truth = (436.5625 + 3.175) / (6096 + 3.175)
  expect(share(inch.model)).toBeGreaterThanOrEqual(truth)
  expect(share(inch.loose)).toBeLessThanOrEqual(truth)
})

describe('what a job is cut from', () => {
  const set = {
    kerfMm: 3,
    keepMm: 400,
    barsMm: [3000],
    offcuts: [
      { id: 'x', pipe: 'pvc-u d63', lengthMm: 3500 },
      { id: 'y', pipe: 'copper d22', lengthMm: 900 },
    ],
  }
  it('is noted, the last word counts, and was nothing before', () => {
    const log = lineJob(1)
    expect(foldJob(log.events).stock).toBeNull()
    log.put('stock-set', { ...set, kerfMm: 2 })
    log.put('stock-set', set, { atS: 1_790_000_100 })
    expect(foldJob(log.events).stock).toEqual(set)
  })
  it('asks with offcuts of its own pipe only, and names what is longer than all of it', () => {
    const pieces = [3200, 3600, 800].map((lengthMm, i) => ({ id: `${i}`, tag: `P${i}`, lengthMm }))
    const asked = stockQuestion(set, { pipe: 'pvc-u d63', pieces })
    expect(asked.input.stock).toEqual([{ lengthMm: 3000 }, { lengthMm: 3500, offcut: true }])
    expect([asked.input.pieces.map((p) => p.id), asked.tooLong.map((p) => p.tag)]).toEqual([
      ['0', '2'],
      ['P1'],
    ])
  })
  it('keeps what is left of a cut bar if it is long enough, and forgets the offcut it was', () => {
    const bar = (stockMm: number, offcut: boolean, leftMm: number) => ({ stockMm, offcut, cuts: [], leftMm })
    const lengths = (b: ReturnType<typeof bar>) =>
      offcutsAfter(set, 'pvc-u d63', b, 'n').map((o) => o.lengthMm)
    expect(lengths(bar(3000, false, 400))).toEqual([3500, 900, 400])
    expect(lengths(bar(3000, false, 399.9))).toEqual([3500, 900])
    expect(lengths(bar(3500, true, 1200))).toEqual([900, 1200])
  })
})

describe('the question in whole units', () => {
  const { model } = modelOf({
    kerfMm: 2,
    pieces: [
      { id: 'a', lengthMm: 400, count: 2 },
      { id: 'b', lengthMm: 900, count: 1 },
      { id: 'c', lengthMm: 400, count: 1 },
    ],
    stock: [
      { lengthMm: 6000 },
      { lengthMm: 1500, offcut: true, count: 1 },
      { lengthMm: 1500, offcut: true, count: 2 },
      { lengthMm: 3000, count: 0 },
      { lengthMm: 1200, offcut: true },
    ],
  })
  it('pieces of one length are one item, the longest first', () => {
    expect(model.items.map((i) => [i.pieces.map((p) => p.id).join(''), i.pieces[0]?.lengthMm])).toEqual([
      ['b', 900],
      ['aac', 400],
    ])
    expect(model.items[0]?.width).toBeGreaterThan(model.items[1]?.width ?? 0)
  })
  it('bars of one length are counted together; an offcut is there once unless it is said; what is not there is left out', () => {
    expect(model.stocks.map((s) => [s.lengthMm, s.offcut, s.count])).toEqual([
      [6000, false, Infinity],
      [1500, true, 3],
      [1200, true, 1],
    ])
  })
})
