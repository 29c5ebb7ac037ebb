import type pg from 'pg'
import { type Device, ownDevices } from '../db/devices.js'
import type { Heads } from '../live/heads.js'
import { loggerReports } from './line-stand-in.js'
import { runningTest } from './logger.js'
import { type ModbusSettings, readModbus } from './modbus.js'
import { type Reports, takeReports } from './report.js'
import { type Solely, solely } from './solely.js'

const LOCK = 7_301_926

/** Plays the stand-in loggers and reads those on Modbus, while a test runs on their section; one process does it. */
export function readLoggers(pool: pg.Pool, heads: Heads, nowS: () => number, everyMs = 1000): Solely {
  async function reportsOf(d: Device, now: number): Promise<Reports['reports']> {
    const test = d.sectionId ? await runningTest(pool, d.jobId, d.sectionId) : null
    if (!test) return []
    if (d.settings) {
      const read = await readModbus(d.settings as unknown as ModbusSettings)
      const temperature = read.temperatureC === null ? {} : { temperatureC: read.temperatureC }
      return [
        { seq: Math.round(now * 10), atDeviceS: now, what: 'pressure', value: read.bar, ...temperature },
      ]
    }
    const last = await pool.query<{ at: number | null }>(
      'select extract(epoch from max(occurred_at))::float8 as at from event where job_id = $1 and device_id = $2',
      [d.jobId, d.deviceId],
    )
    return loggerReports(d, test, Math.max(last.rows[0]?.at ?? 0, test.begunAtS - 0.5), now)
  }
  async function read(): Promise<number> {
    let said = 0
    for (const d of (await ownDevices(pool)).filter((x) => x.kind === 'pressure-logger')) {
      const now = nowS()
      // One that does not answer leaves a gap; the others are read all the same.
      const reports = await reportsOf(d, now).catch(() => [])
      if (!reports.length) continue
      const done = await takeReports(pool, d, { sentAtDeviceS: now, reports }, now).catch(() => null)
      if (!done) continue
      said += reports.length
      heads.grew(d.jobId, done.head.seq)
    }
    return said
  }
  return solely(pool, LOCK, read, everyMs)
}
