import { foldJob, judgeRun } from '@jugalis/core'
import { headsOf, loggerReports, readLoggers } from '../src/index.js'
import { NOW, sectionsOnServer, testData } from './section-under-test.js'

const on = sectionsOnServer()
const report = (token: string, reports: unknown[], sentAtDeviceS = NOW) =>
  on
    .server()
    .call(
      'POST',
      '/devices/reports',
      { sentAtDeviceS, reports },
      { as: 'nobody', headers: { authorization: `Bearer ${token}` } },
    )
const row = (seq: number, value = 9) => ({
  seq,
  atDeviceS: NOW - 100 + seq,
  what: 'pressure',
  value,
  temperatureC: 15,
})

describe('a pressure logger', () => {
  it('is refused while no test runs, and in words', async () => {
    const { job, section } = await on.sectionUnderTest()
    const made = await on.put(job, { name: 'L', kind: 'pressure-logger', sectionId: section })
    const answer = await report((made.body as unknown as { token: string }).token, [row(1)])
    expect([answer.status, answer.body.error?.code]).toEqual([409, 'no-test'])
  })
  it('refuses what does not ascend, what is no pressure, and the future', async () => {
    const { job, section } = await on.sectionUnderTest()
    const made = await on.put(job, { name: 'L', kind: 'pressure-logger', sectionId: section })
    const { token } = made.body as unknown as { token: string }
    for (const [reports, field] of [
      [[row(2), row(1)], 'reports[1].seq'],
      [[{ ...row(1), what: 'wall' }], 'reports[0].what'],
      [[{ ...row(1), atDeviceS: NOW + 500 }], 'reports[0].atDeviceS'],
    ] as const) {
      const answer = await report(token, [...reports])
      expect([answer.status, answer.body.error?.field]).toEqual([422, field])
    }
  })
})

describe('the stand-in line', () => {
  const run = (standIn: string, holdS = 1200) => {
    const test = { testId: 't', begunAtS: NOW, data: { ...testData('s', 't'), holdS } }
    const reports = loggerReports(
      { deviceId: 'd', standIn: standIn as 'well' },
      test,
      NOW - 1,
      NOW + holdS + 5,
    )
    return { test, reports }
  }
  it('says the same however often it is asked, and goes on from where it was', () => {
    const { test, reports } = run('well', 120)
    const late = loggerReports({ deviceId: 'd', standIn: 'well' }, test, NOW + 60, NOW + 125)
    expect(late).toEqual(reports.filter((r) => r.atDeviceS > NOW + 60))
  })
  it('leaks, swings, holds air and sticks as it is told', () => {
    const fall = (s: string) => {
      const { reports } = run(s, 300)
      return (reports[0]?.value ?? 0) - (reports.at(-1)?.value ?? 0)
    }
    expect(Math.abs(fall('well'))).toBeLessThan(0.25)
    expect(fall('leak')).toBeGreaterThan(0.9)
    expect(fall('stuck')).toBe(0)
    const temps = run('swing', 380).reports.map((r) => r.temperatureC ?? 0)
    expect(Math.max(...temps) - Math.min(...temps)).toBeGreaterThan(0.1)
  })
  it('two processes that play it write every reading once', async () => {
    const { job, section, testId } = await on.sectionUnderTest()
    const made = await on.put(job, {
      name: 'L',
      kind: 'pressure-logger',
      sectionId: section,
      standIn: 'leak',
    })
    const { deviceId } = made.body as unknown as { deviceId: string }
    await on.beginInLog(job, section, testId)
    const heads = headsOf(on.server().pool, 'poll')
    let now = NOW + 30
    const [one, two] = [
      readLoggers(on.server().pool, heads, () => now, 1e6),
      readLoggers(on.server().pool, heads, () => now, 1e6),
    ]
    for (const step of [0, 20, 40]) {
      now = NOW + 30 + step
      await Promise.all([one.once(), two.once()])
    }
    await Promise.all([one.stop(), two.stop()])
    heads.stop()
    const state = foldJob(await on.eventsOf(job))
    const times = state.tests.get(testId)?.readings.map((r) => r.atS) ?? []
    expect(times.length).toBeGreaterThan(60)
    expect(new Set(times).size).toBe(times.length)
    const written = (await on.eventsOf(job)).filter((x) => x.kind === 'test-log')
    expect(written.every((x) => x.deviceId === deviceId)).toBe(true)
    expect(written.flatMap((x) => x.data.rows as unknown[]).length).toBe(times.length)
    const run = state.tests.get(testId)
    expect(run && judgeRun(state, run).verdict).toBe('lost')
  })
})
