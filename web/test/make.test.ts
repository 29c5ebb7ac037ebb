import fc from 'fast-check'
import type { JointFacts } from '@jugalis/core'
import { type Running, rung, runningClocks } from '../src/clocks/running'
import { groupsOf } from '../src/places/make/groups'
import { turnsText } from '../src/places/make/reads/turns-text'
import { type Filter, passes } from '../src/places/wait/filters'
import { hhmm, lastAt } from '../src/when'

const NOW = 1_790_000_000

describe('turns in words', () => {
  it.each([
    [0, '0'],
    [0.125, '1/8'],
    [0.75, '3/4'],
    [1, '1'],
    [1.25, '1-1/4'],
    [2.5, '2-1/2'],
    [1.625, '1-5/8'],
  ])('%p is %p', (turns, says) => expect(turnsText(turns)).toBe(says))
})

describe('a time of day that has been', () => {
  it('is the last one that the clocks of the zone showed, and never lies ahead', () => {
    const zones = fc.constantFrom('UTC', 'Europe/London', 'America/St_Johns', 'Pacific/Auckland')
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 400 * 86400 }),
        fc.integer({ min: 0, max: 1439 }),
        zones,
        (ahead, minute, zone) => {
          const now = NOW + ahead
          const text = `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`
          const at = lastAt(text, now, zone) as number
          // An hour that clocks leave out is shown by none of them.
          if (hhmm(at, zone) !== text) return
          expect(now - at).toBeGreaterThanOrEqual(0)
          expect(now - at).toBeLessThanOrEqual(25 * 3600 + 60)
        },
      ),
    )
  })
  it('yesterday means the day before, and nonsense is none', () => {
    const noon = Date.UTC(2026, 10, 25, 12, 0) / 1000
    expect(lastAt('11:30', noon, 'UTC')).toBe(noon - 1800)
    expect(lastAt('13:00', noon, 'UTC')).toBe(noon - 23 * 3600)
    expect(lastAt('13:00', noon, 'UTC', 1)).toBe(noon - 23 * 3600)
    expect(lastAt('11:00', noon, 'UTC', 1)).toBe(noon - 25 * 3600)
    for (const text of ['', '25:00', '12:75', 'noon', '1']) expect(lastAt(text, noon, 'UTC')).toBeNull()
  })
})

const clock = (o: Record<string, unknown>) => ({
  id: 'c',
  step: 's',
  kind: 'window',
  label: { code: 'l', params: {} },
  shows: 'window',
  fromS: NOW - 60,
  untilS: { value: NOW + 60, source: 'x' },
  onMiss: { backTo: 'cut-out', say: { code: 'm', params: {} } },
  why: [],
  ...o,
})
const facts = (tag: string, o: Record<string, unknown> = {}): JointFacts =>
  ({
    id: tag,
    tag,
    clocks: [],
    life: null,
    homeAtS: null,
    inspection: null,
    movable: { value: null },
    ...o,
  }) as never

describe('clocks', () => {
  const all = [
    facts('A', { clocks: [clock({ shows: 'set', kind: 'dwell', untilS: { value: NOW + 900 } })] }),
    facts('B', { clocks: [clock({})] }),
    facts('C', { clocks: [clock({ untilS: { value: NOW - 5 } })] }),
    facts('D', { clocks: [clock({ shows: 'hold', kind: 'dwell', untilS: { value: NOW + 20 } })] }),
    facts('E', { clocks: [clock({ stoppedAtS: NOW - 1 })] }),
  ]
  const at = (s: number): Running[] => runningClocks(all, s)
  it('late windows stand first, then windows, holds, and what only has to be waited for', () => {
    expect(at(NOW).map((r) => r.tag)).toEqual(['C', 'B', 'D', 'A'])
  })
  it('ring at their points and not between: windows half a minute and ten seconds before too', () => {
    const said = (fromS: number, toS: number): string[] => rung(at(fromS), fromS, toS).map((r) => r.tag)
    expect(said(NOW + 29, NOW + 30)).toEqual(['B'])
    expect(said(NOW + 31, NOW + 40)).toEqual([])
    expect(said(NOW + 49, NOW + 50)).toEqual(['B'])
    expect(said(NOW + 19, NOW + 21)).toEqual(['D'])
    expect(said(NOW + 899, NOW + 901)).toEqual(['A'])
  })
  it('a property: over any cut of time each point rings once', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 119 }), { maxLength: 20 }), (cuts) => {
        const times = [0, ...cuts.sort((a, b) => a - b), 120].map((s) => NOW + s)
        const rings = times.slice(1).flatMap((to, i) => {
          const from = times[i] as number
          return rung(at(from), from, to).filter((r) => r.tag === 'D')
        })
        expect(rings).toHaveLength(1)
      }),
    )
  })
})

it('what is assembled and not fixed stands first, what is begun before what is not', () => {
  const done = { done: [{ step: 'fit' }] }
  const assembled = { life: done, steps: [{ id: 'fit', reaches: 'assembled' }] }
  const begun = { life: done, steps: [{ id: 'fit', reaches: 'prepared' }] }
  const joints = [
    facts('Q-1'),
    facts('Q-2', begun),
    facts('Q-3', assembled),
    facts('Q-4', { life: done, homeAtS: NOW, inspection: { verdict: 'pass' } }),
    facts('Q-5', { life: done, homeAtS: NOW, inspection: { verdict: 'unknown' } }),
    facts('Q-6', { life: done, homeAtS: NOW, inspection: { verdict: 'fail' } }),
  ]
  const g = groupsOf(joints)
  expect(g.groups.map((x) => [x.title, x.joints.map((j) => j.tag)])).toEqual([
    ['Assembled, not fixed', ['Q-3']],
    ['To make', ['Q-2', 'Q-6', 'Q-1']],
    ['To look at', ['Q-5']],
    ['Made', ['Q-4']],
  ])
  expect(g.toMake.map((j) => j.tag)).toEqual(['Q-3', 'Q-2', 'Q-6', 'Q-1', 'Q-5'])
})

it('filters in words', () => {
  const j = (o: Record<string, unknown>, readyAtS: number | null) =>
    ({ facts: facts('Q', o), readyAtS }) as never
  const cases: [unknown, Filter[]][] = [
    [j({}, null), ['all', 'not-made']],
    [j({ homeAtS: NOW, movable: { value: NOW + 9 } }, NOW + 99), ['all', 'waiting', 'not-to-be-moved']],
    [j({ homeAtS: NOW, movable: { value: NOW - 9 } }, NOW - 1), ['all']],
    [
      j({ homeAtS: NOW, movable: { value: NOW - 9 }, inspection: { verdict: 'fail' } }, null),
      ['all', 'failed-or-doubtful'],
    ],
  ]
  const FILTERS: Filter[] = ['all', 'waiting', 'not-to-be-moved', 'not-made', 'failed-or-doubtful']
  for (const [joint, kept] of cases)
    expect(FILTERS.filter((f) => passes(joint as never, f, NOW))).toEqual(kept)
})
