import { foldJob, jointFacts, placeHealth, sectionAnswer, withForecast } from '../src/index.js'
import { PLACE, SECTION, T0, joint, lineJob, walls } from './make-job.js'

const H = 3600
const read = (atS: number, value: number, more: Record<string, unknown> = {}) => ({
  placeId: PLACE,
  what: 'wall',
  basis: 'measured',
  atS,
  value,
  ...more,
})

describe('readings of a site', () => {
  it('one from the future is kept and does not count', () => {
    const log = lineJob(1)
    log.put('reading', read(T0 + 5 * H, 40), { atS: T0 })
    log.put('reading', read(T0 + 60, 12), { atS: T0 })
    const state = foldJob(log.events)
    expect(state.readings.get(PLACE)?.wall.map((r) => r.value)).toEqual([12])
    expect(state.notes.map((n) => n.says.code)).toEqual(['flag-future-reading'])
  })
  it('a probe that jumps by 40 K waits for a person; what a person types is not doubted', () => {
    const log = lineJob(1)
    for (const [s, v] of [
      [0, 12],
      [60, 52],
      [120, 12.2],
    ] as const)
      log.put('reading', read(T0 + s, v), { atS: T0 + s })
    const before = placeHealth(foldJob(log.events), PLACE, T0, T0 + 200)
    expect(before.jumps.map((r) => r.value)).toEqual([52])
    const jump = before.jumps[0]?.eventId
    // Somebody held a hand to it: the sun does stand on the pipe.
    log.put('reading', read(T0 + 60, 52, { basis: 'typed', supersedes: jump }), { atS: T0 + 300 })
    const after = placeHealth(foldJob(log.events), PLACE, T0, T0 + 400)
    expect(after.jumps.map((r) => r.value)).toEqual([12.2])
  })
  it('hours without a reading are named, the last one while it lasts', () => {
    const log = lineJob(1)
    for (const h of [0, 1, 5, 6]) log.put('reading', read(T0 + h * H, 10), { atS: T0 + h * H })
    expect(placeHealth(foldJob(log.events), PLACE, T0, T0 + 9 * H).gaps).toEqual([
      { fromS: T0 + H, toS: T0 + 5 * H },
      { fromS: T0 + 6 * H, toS: T0 + 9 * H },
    ])
  })
})

describe('a forecast', () => {
  it('moves what is planned and never what is signed off', () => {
    const cold = lineJob(1)
    walls(cold, T0 - H, [12, 12, 12])
    cold.make(joint(1), T0)
    cold.make(joint(2), T0 + 300)
    const line = cold.events.find((e) => e.kind === 'line-set')
    if (line) line.data = { ...line.data, material: 'abs' }
    const at = T0 + H
    const without = foldJob(cold.events)
    for (let h = 2; h < 72; h++)
      cold.put('reading', read(T0 + h * H, 2, { basis: 'forecast' }), { atS: T0 + H })
    const forecast = foldJob(cold.events)
    const ready = (state: typeof forecast, mode: 'coldest' | 'accumulate') =>
      sectionAnswer(state, SECTION, at, mode)?.readyAtS ?? null
    expect(ready(forecast, 'coldest')).toBe(ready(without, 'coldest'))
    expect(ready(without, 'accumulate')).not.toBeNull()
    expect(ready(forecast, 'accumulate') ?? Infinity).toBeGreaterThan(ready(without, 'accumulate') ?? 0)
    const spans = jointFacts(forecast, joint(1), 'accumulate', at)?.history ?? []
    expect(spans.filter((s) => s.fromS > T0 + H).every((s) => s.basis === 'projected')).toBe(true)
  })
  it('lies behind no reading: what was read stands', () => {
    const h = withForecast(
      [
        { atS: 0, value: 10 },
        { atS: 600, value: 11 },
      ],
      [{ atS: 300, value: -20 }],
    )
    expect(Math.min(...h.filter((s) => s.basis !== 'none').map((s) => s.minC))).toBe(10)
  })
})
