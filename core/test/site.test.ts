import { DateTime } from 'luxon'
import {
  curedUnder,
  epochInZone,
  foldJob,
  jointFacts,
  placeHealth,
  readForecast,
  sectionAnswer,
  withForecast,
} from '../src/index.js'
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

describe('a forecast from a table', () => {
  const C = (n: number): number => n
  it('is read by the clocks of the job, over a change of clocks too', () => {
    const zone = 'Europe/London'
    const read = readForecast(
      'time,temperature\n2026-10-25 00:30,9\n2026-10-25 01:30,"8,5"\n2026-10-25 02:30,8\n2026-10-25T02:30:00+01:00,7',
      zone,
      C,
    )
    const ours = read.ok ? read.rows.map((r) => r.atS) : []
    // Against a date library (luxon), as independent reference.
    const theirs = ['2026-10-25T00:30', '2026-10-25T01:30', '2026-10-25T02:30'].map((t) =>
      DateTime.fromISO(t, { zone }).toSeconds(),
    )
    // 01:30 comes twice: the library takes its second, ours is the first.
    expect(ours.slice(0, 3)).toEqual(theirs.map((t, i) => (i === 1 ? t - 3600 : t)))
    expect(ours[3]).toBe(Date.UTC(2026, 9, 25, 1, 30) / 1000)
    expect(read.ok && read.rows[1]?.value).toBe(8.5)
  })
  it('every hour of a year in three zones: as the date library has it', () => {
    for (const zone of ['Europe/London', 'America/St_Johns', 'Pacific/Auckland'])
      for (let h = 0; h < 24 * 365; h += 7) {
        const t = DateTime.fromSeconds(1_767_225_600 + h * 3600, { zone })
        const found = epochInZone(t.toFormat('yyyy-MM-dd'), t.toFormat('HH:mm'), zone)
        // The repeated hour stands for its first.
        expect([0, 3600]).toContain(t.toSeconds() - (found ?? 0))
        expect(DateTime.fromSeconds(found ?? 0, { zone }).toFormat('HH:mm')).toBe(t.toFormat('HH:mm'))
      }
  })
  it('bad rows are named by line, and none is taken', () => {
    const read = readForecast(
      'time,temperature\n2026-11-26 25:00,4\n2026-11-31 10:00,4\n2026-11-26 10:00,warm',
      'UTC',
      C,
    )
    expect(read.ok ? [] : read.faults.map((f) => [f.line, f.column])).toEqual([
      [2, 'time'],
      [3, 'time'],
      [4, 'temperature'],
    ])
    expect(readForecast('when,what\n1,2', 'UTC', C).ok).toBe(false)
    expect(readForecast('time,temperature', 'UTC', C).ok).toBe(false)
  })
})

describe('what a joint has cured under', () => {
  /** An inch line (PVC NPS 2), home at T0, with hourly walls at 20 °C and humidity as given by the hour. */
  const inchJob = (humidity: (h: number) => number) => {
    const log = lineJob(1)
    const line = log.events.find((e) => e.kind === 'line-set')
    if (line) line.data = { ...line.data, material: 'pvc', school: 'inch', schedule: '80' }
    for (const e of log.events)
      if (e.kind === 'item-put' || e.kind === 'job-set')
        e.data = JSON.parse(
          JSON.stringify(e.data).replaceAll('"d63"', '"NPS 2"').replace('"metric"', '"inch"'),
        )
    walls(log, T0 - H, Array<number>(40).fill(20))
    for (let h = -1; h < 39; h++)
      log.put('reading', read(T0 + h * H, humidity(h), { what: 'humidity' }), { atS: T0 + h * H })
    for (const n of [1, 2]) {
      log.step(joint(n), 'fit', T0)
      log.step(joint(n), 'prime', T0 + 20)
      log.step(joint(n), 'cement', T0 + 60)
      log.step(joint(n), 'home', T0 + 100)
    }
    for (const e of log.events)
      if (e.kind === 'step-done')
        e.data = { ...e.data, pin: { rules: 1, chart: null, school: 'inch', table: 'current' } }
    return log
  }
  const readyS = (log: ReturnType<typeof inchJob>) =>
    sectionAnswer(foldJob(log.events), SECTION, T0 + 38 * H, 'coldest')?.readyAtS ?? NaN
  it('a dry start and a damp night take half again, and since when is said', () => {
    const dry = readyS(inchJob(() => 50)) - T0 - 100
    const wet = inchJob((h) => (h >= 1 && h < 2 ? 80 : 50))
    expect(readyS(wet) - T0 - 100).toBeCloseTo(1.5 * dry, 6)
    const state = foldJob(wet.events)
    const facts = jointFacts(state, joint(1), 'coldest', T0 + 38 * H)
    if (!facts) throw new Error('no joint')
    const under = curedUnder(state, facts, 'current', T0 + 38 * H)
    expect(under).toMatchObject({ coldestC: 20, passed: null, dampFromS: T0 + 100 })
  })
  /** What the first joint cured under, up to an hour. @param more readings beside those of each hour: when, °C. */
  const underAt = (nowS: number, more: readonly (readonly [atS: number, c: number])[], damp = 50) => {
    const log = inchJob(() => damp)
    for (const [atS, c] of more) log.put('reading', read(atS, c), { atS })
    const state = foldJob(log.events)
    const facts = jointFacts(state, joint(1), 'coldest', nowS)
    if (!facts) throw new Error('no joint')
    return curedUnder(state, facts, 'current', nowS)
  }
  it('only what lies between home and now counts', () => {
    const [homeS, nowS] = [T0 + 100, T0 + 10 * H + 100]
    const cold = (fromS: number): [number, number][] =>
      [0, 5, 10, 15, 20, 25, 30].map((min) => [fromS + min * 60, 7])
    // Cold before it was home; cold when nobody asked yet; cold while it cured.
    expect(underAt(nowS, cold(homeS - H))?.coldestC).toBe(20)
    expect(underAt(nowS, cold(nowS + H))?.coldestC).toBe(20)
    expect(underAt(nowS, cold(homeS + H))?.coldestC).toBe(7)
  })
  it('of two dips that were passed over the colder is shown; one that is not colder than what counted is not', () => {
    const around = (atS: number, c: number): [number, number][] => [
      [atS - 60, 20],
      [atS, c],
      [atS + 60, 20],
    ]
    const nowS = T0 + 20 * H
    const dips = [
      ...around(T0 + 3 * H + 120, 9),
      ...around(T0 + 5 * H + 120, 6),
      ...around(T0 + 7 * H + 120, 8),
    ]
    expect(underAt(nowS, dips)?.passed).toMatchObject({ atS: T0 + 5 * H + 120, value: 6 })
    const cold = [0, 10, 20, 30].map((min): [number, number] => [T0 + 12 * H + min * 60, 5])
    expect(underAt(nowS, [...dips, ...cold])).toMatchObject({ coldestC: 5, passed: null })
    // Before home, and after what is asked about: no matter of this joint.
    expect(underAt(nowS, around(T0 - H + 120, 6))?.passed ?? null).toBeNull()
    expect(underAt(T0 + 2 * H, dips)?.passed ?? null).toBeNull()
  })
  it('damp is told where the rule asks for more in damp air, and before home nothing is', () => {
    expect(underAt(T0 + 5 * H, [], 80)?.dampFromS).toBe(T0 + 100)
    expect(underAt(T0 + 5 * H, [], 40)?.dampFromS).toBeNull()
    const state = foldJob(lineJob(1).events)
    const facts = jointFacts(state, joint(1), 'coldest', T0)
    if (!facts) throw new Error('no joint')
    expect(curedUnder(state, facts, 'current', T0)).toBeNull()
  })
  it('a dip that one reading saw is passed over, and shown', () => {
    const log = inchJob(() => 50)
    for (const [s, v] of [
      [3 * H + 60, 20],
      [3 * H + 120, 6],
      [3 * H + 180, 20],
    ] as const)
      log.put('reading', read(T0 + s, v), { atS: T0 + s })
    const state = foldJob(log.events)
    const facts = jointFacts(state, joint(1), 'coldest', T0 + 38 * H)
    if (!facts) throw new Error('no joint')
    expect(curedUnder(state, facts, 'current', T0 + 38 * H)).toMatchObject({
      coldestC: 20,
      passed: { atS: T0 + 3 * H + 120, value: 6 },
      dampFromS: null,
    })
  })
})
