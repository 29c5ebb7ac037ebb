import fc from 'fast-check'
import { type Clock, type JointFacts, fig, msg, noFig } from '@jugalis/core'
import { digitsOf, runningClocks } from '../src/clocks/running'
import { lengthTicks, roundScale, timeStep } from '../src/tapes/ticks'
import { dated, hhmm, hourOf, onPaper, when, whenShort } from '../src/when'

const at = (iso: string): number => Date.parse(iso) / 1000

describe('clock times', () => {
  it('for what stays, with the day, whatever day it is looked at', () => {
    expect(dated(Date.UTC(2026, 11, 4, 8, 10) / 1000, 'UTC')).toMatch(/^Fri,? 4 Dec 08:10$/)
  })
  const now = at('2026-11-23T20:10:00Z')
  it.each([
    ['2026-11-23T22:00:00Z', '22:00'],
    ['2026-11-24T08:10:00Z', '08:10 tomorrow'],
    ['2026-11-22T15:29:00Z', '15:29 yesterday'],
    ['2026-11-26T08:34:00Z', 'Thu 08:34'],
    ['2026-12-04T08:34:00Z', 'Fri 4 Dec 08:34'],
  ])('%s reads %s', (iso, says) => expect(when(at(iso), now, 'UTC')).toBe(says))
  it('is rounded up: nobody is sent before the time', () => {
    expect(when(at('2026-11-23T22:00:01Z'), now, 'UTC')).toBe('22:01')
    expect(when(at('2026-11-23T23:59:30Z'), now, 'UTC')).toBe('00:00 tomorrow')
  })
  it('goes by the zone of the job, over its change to summer time too', () => {
    expect(hhmm(at('2027-07-01T02:00:00Z'), 'Europe/London')).toBe('03:00')
    expect(whenShort(at('2026-11-23T23:30:00Z'), now, 'Asia/Tokyo')).toBe('08:30')
    expect(when(at('2027-03-28T01:30:00Z'), at('2027-03-28T00:30:00Z'), 'Europe/London')).toBe('02:30')
    expect(hourOf(at('2027-07-01T23:00:00Z'), 'Europe/London')).toBe(0)
  })
  it('a zone that is none is read as UTC, not as a fault', () =>
    expect(hhmm(now, 'Kelpwick/Quay')).toBe('20:10'))
})

describe('graduations', () => {
  it.each([[0.05], [0.21], [0.6], [1], [3], [8]])(
    'at %p px a mm stand apart, and so do their numerals',
    (scale) => {
      for (const units of ['metric', 'inch'] as const) {
        const ticks = lengthTicks(0, 900 / scale, scale, { units })
        expect(ticks.length).toBeGreaterThan(4)
        const gaps = ticks.slice(1).map((t, i) => (t.mm - (ticks[i]?.mm ?? 0)) * scale)
        expect(Math.min(...gaps)).toBeGreaterThanOrEqual(3.9)
        const named = ticks.filter((t) => t.label)
        named
          .slice(1)
          .forEach((t, i) => expect((t.mm - (named[i]?.mm ?? 0)) * scale).toBeGreaterThanOrEqual(40))
        for (const t of named) expect(Number(t.label) * (units === 'inch' ? 25.4 : 1)).toBeCloseTo(t.mm, 6)
      }
    },
  )
  it('are few however long the line: two kilometres on one screen', () => {
    for (const units of ['metric', 'inch'] as const) {
      const ticks = lengthTicks(0, 2_100_000, 0.0004, { units })
      expect(ticks.length).toBeGreaterThan(4)
      expect(ticks.length).toBeLessThan(220)
      expect(ticks.filter((t) => t.label).length).toBeGreaterThan(2)
    }
  })
  it('hour marks keep 64 px apart from minutes to weeks', () => {
    for (const hours of [0.2, 1, 12, 24, 48, 96, 168, 1000])
      expect((timeStep(hours * 3600, 530) / (hours * 3600)) * 530).toBeGreaterThanOrEqual(63.9)
  })
})

describe('the dock', () => {
  const clock = (
    id: string,
    kind: Clock['kind'],
    shows: Clock['shows'],
    untilS: number | null,
    stoppedAtS?: number,
  ): Clock => ({
    id,
    step: 's',
    kind,
    shows,
    label: msg('clock-open'),
    fromS: 0,
    untilS: untilS === null ? noFig(msg('no-temperature')) : fig(untilS, 'cp-hold'),
    onMiss: { backTo: 'x', say: msg('clock-open') },
    why: [],
    ...(stoppedAtS === undefined ? {} : { stoppedAtS }),
  })
  const facts = (id: string, ...clocks: Clock[]): JointFacts =>
    ({ id, tag: id, clocks }) as unknown as JointFacts
  it('late is said in words, never with a minus; so is that there is no figure', () => {
    expect([digitsOf(221), digitsOf(0), digitsOf(-61), digitsOf(null)]).toEqual([
      '3:41',
      '0:00',
      'late 1:01',
      'no figure',
    ])
  })
  it('nearest danger first: late windows, windows, holds, then waits by time; what is over is gone', () => {
    const list = runningClocks(
      [
        facts('a', clock('set', 'dwell', 'set', 500), clock('hold', 'dwell', 'hold', 120)),
        facts('b', clock('open', 'window', 'window', 150)),
        facts('c', clock('open', 'window', 'window', 60)),
        facts('d', clock('open', 'window', 'window', 90, 80), clock('set', 'dwell', 'set', 300)),
        facts('e', clock('set', 'dwell', 'set', 100)),
        facts('f', clock('open', 'window', 'window', null)),
      ],
      100,
    )
    expect(list.map((r) => r.key)).toEqual(['c open', 'f open', 'b open', 'a hold', 'd set', 'a set'])
    expect(list[0]?.leftS).toBe(-40)
    expect(list[1]?.leftS).toBeNull()
  })
})

it('a date on paper has its year and its zone: it is read years later', () => {
  expect(onPaper(Date.UTC(2026, 11, 4, 7, 10) / 1000, 'Europe/Berlin')).toMatch(
    /^Fri,? 4 Dec 2026, 08:10 (GMT\+1|CET)$/,
  )
})

describe('a scale of round numbers', () => {
  const finite = fc.double({ min: -1e5, max: 1e5, noNaN: true })
  it('holds all values, steps evenly, and its numerals have no more digits than its step (once 11.700000000000001)', () =>
    fc.assert(
      fc.property(
        fc.array(finite, { maxLength: 6 }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (values, least) => {
          fc.pre(values.length === 0 || Math.max(...values) - Math.min(...values) > 0.01 || least > 0.01)
          const s = roundScale(values, 6, least)
          for (const v of values) {
            expect(v).toBeGreaterThanOrEqual(s.min - s.interval * 1e-5)
            expect(v).toBeLessThanOrEqual(s.max + s.interval * 1e-5)
          }
          const steps = (s.max - s.min) / s.interval
          expect(Math.abs(steps - Math.round(steps))).toBeLessThan(1e-6)
          expect(steps).toBeLessThanOrEqual(8 + 1e-6)
          for (const end of [s.min, s.max, s.interval])
            expect(String(end)).toBe(String(Number(end.toFixed(s.places))))
        },
      ),
    ))
  it('a test at 12 bar with 0.2 bar allowed', () => {
    expect(roundScale([11.75, 12.06], 6)).toEqual({ min: 11.7, max: 12.1, interval: 0.1, places: 1 })
  })
})
