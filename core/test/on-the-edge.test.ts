import fc from 'fast-check'
import { barGroups, foldJob, parseEntry } from '../src/index.js'
import type { Span } from '../src/conditions/history.js'
import { Fillings } from '../src/cut/stock/knapsack.js'
import { slowerEnd } from '../src/methods/cure/pace.js'
import { holdS } from '../src/methods/solvent-cement/setup.js'
import { Log, uuid } from './make-job.js'

const span = (minC: number, maxC: number, basis: Span['basis'] = 'read'): Span => ({
  fromS: 0,
  minC,
  maxC,
  basis,
  humid: false,
})

describe('what lies on an edge, or on its other side', () => {
  it('the hold: cold is 10 °C or less, by the colder of air and pipe (common practice)', () => {
    const hold = (airC: number, pipeC: number) =>
      holdS({ material: 'pvc', size: 'NPS 2', school: 'inch' }, airC, pipeC).value
    expect([hold(10, 10), hold(10.02, 10.02)]).toEqual([60, 30])
    expect([hold(20, 8), hold(8, 20), hold(20, 20)]).toEqual([60, 60, 30])
  })
  it('of a stretch of temperatures the slower end counts, whichever it is', () => {
    const required = (t: number): number | null => (t > 40 ? null : t > 30 ? 48 : t > 10 ? 24 : 36)
    const slower = (s: Span) => slowerEnd(s, required, 'coldest', false)
    expect([slower(span(5, 20)), slower(span(20, 35)), slower(span(20, 20))]).toEqual([36, 48, 24])
    expect([slower(span(20, 41)), slower(span(41, 41))]).toEqual([Infinity, Infinity])
    expect(slower(span(20, 20, 'none'))).toBe(Infinity)
  })
  it('a bent tube is written whole: nothing before it, nothing behind it', () => {
    const entry = (text: string) => parseEntry(text, { units: 'metric' })
    expect(entry('bent 400 90 500 r76')).toMatchObject({
      ok: true,
      measure: 'centre-centre',
      measuredMm: 900,
      bend: { radiusMm: 76, legsMm: [400, 500], turnsDeg: [90] },
    })
    expect(entry('bent 400 90 500 r 76 f-f')).toMatchObject({ ok: true, measure: 'face-face' })
    for (const text of ['unbent 400 90 500 r76', 'bent 400 90 500 r76 c-c and more', 'bent 400 90 500'])
      expect(entry(text).ok).toBe(false)
    expect(entry('bent 50000 90 50000 r76').ok).toBe(true)
    expect(entry('bent 50000 90 50001 r76')).toMatchObject({
      ok: false,
      why: { code: 'entry-too-long', params: { mm: 100_001 } },
    })
  })
  it('pieces share bars by material, size and wall; where no wall was said, by the first two', () => {
    const log = new Log()
    const begin = (n: number, material: string, size: string, more: Record<string, unknown>): void => {
      const [lineId, tag] = [uuid(800 + n), `Q${n}`]
      const head = { lineId, tag, name: tag, method: 'solvent-cement', school: 'inch', placeId: uuid(1) }
      log.put('line-set', { ...head, material, ...more })
      const item = { type: 'piece', tag: `${tag}/P01`, size, measure: 'end-end', measuredMm: 500 }
      log.put('item-put', { lineId, itemId: uuid(900 + n), item })
    }
    begin(1, 'pvc', 'NPS 2', { schedule: '80' })
    begin(2, 'pvc', 'NPS 2', { schedule: '40' })
    begin(3, 'pvc', 'NPS 2', { schedule: '80' })
    begin(4, 'abs', 'NPS 2', {})
    expect(barGroups(foldJob(log.events)).map((g) => [g.pipe, g.pieces.length])).toEqual([
      ['pvc NPS 2 Sch 80', 2],
      ['pvc NPS 2 Sch 40', 1],
      ['abs NPS 2', 1],
    ])
  })
})

describe('fillings of one bar', () => {
  const item = fc.record({
    width: fc.integer({ min: 1, max: 9 }),
    worth: fc.integer({ min: -2, max: 9 }),
    most: fc.integer({ min: 0, max: 4 }),
  })
  it('are worth what trying every count finds, in no more room and no more pieces than there are', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 24 }),
        fc.array(item, { minLength: 1, maxLength: 3 }),
        (room, items) => {
          let most = 0
          const tryAll = (at: number, left: number, worth: number): void => {
            if (at === items.length) return void (most = Math.max(most, worth))
            const one = items[at] as (typeof items)[number]
            for (let n = 0; n <= one.most && n * one.width <= left; n++)
              tryAll(at + 1, left - n * one.width, worth + n * one.worth)
          }
          tryAll(0, room, 0)
          const fillings = new Fillings(room, items)
          const counts = fillings.counts(room)
          const sum = (of: 'width' | 'worth') =>
            items.reduce((n, one, i) => n + one[of] * (counts[i] ?? 0), 0)
          expect([fillings.worth(room), sum('worth')]).toEqual([most, most])
          expect(sum('width')).toBeLessThanOrEqual(room)
          // What is worth nothing is left out: it would only be in the way.
          for (const [i, one] of items.entries())
            expect(counts[i]).toBeLessThanOrEqual(one.worth > 0 ? one.most : 0)
        },
      ),
      { numRuns: 500 },
    )
  })
})
