import { setTimeout } from 'node:timers/promises'
import { and, eq, max } from 'drizzle-orm'
import type pg from 'pg'
import { on, secondsOf } from '../db/connect.js'
import { event } from '../db/schema.js'
import { type Device, keepSilence, ownDevices } from '../db/devices.js'
import type { Heads } from '../live/heads.js'
import { loggerReports } from './line-stand-in.js'
import { runningTest } from './logger.js'
import { modbusSettings, readModbus, silenceOf } from './modbus.js'
import { type Reports, takeReports } from './report.js'
import { type Solely, solely } from './solely.js'

const WORK = 'read-loggers'

/** Plays the stand-in loggers and reads those on Modbus, while a test runs on their section; one process does it. */
export function readLoggers(pool: pg.Pool, heads: Heads, nowS: () => number, everyMs = 1000): Solely {
  async function reportsOf(device: Device, now: number): Promise<Reports['reports']> {
    const test = device.sectionId ? await runningTest(pool, device.jobId, device.sectionId) : null
    if (!test) return []
    if (device.settings) {
      const read = await readModbus(modbusSettings.cast(device.settings)).catch(async (error: unknown) => {
        await keepSilence(pool, device, silenceOf(error), now)
        throw error
      })
      if (device.silent) await keepSilence(pool, device, null, now)
      const temperature = read.temperatureC === null ? {} : { temperatureC: read.temperatureC }
      return [
        { seq: Math.round(now * 10), atDeviceS: now, what: 'pressure', value: read.bar, ...temperature },
      ]
    }
    const [last] = await on(pool)
      .select({ at: max(event.occurredAt) })
      .from(event)
      .where(and(eq(event.jobId, device.jobId), eq(event.deviceId, device.deviceId)))
    return loggerReports(device, test, Math.max(last?.at ? secondsOf(last.at) : 0, test.begunAtS - 0.5), now)
  }
  /** Reads one and keeps what it said. One that does not answer leaves a gap. */
  async function take(device: Device): Promise<number> {
    const now = nowS()
    const reports = await reportsOf(device, now)
    if (!reports.length) return 0
    const done = await takeReports(pool, device, { sentAtDeviceS: now, reports }, now)
    heads.grew(device.jobId, done.head.seq)
    return reports.length
  }
  /** Those that have not answered yet are not asked again, and nobody waits for them. */
  const asked = new Set<string>()
  async function read(): Promise<number> {
    const loggers = (await ownDevices(pool)).filter(
      (x) => x.kind === 'pressure-logger' && !asked.has(x.deviceId),
    )
    let said = 0
    const all = Promise.all(
      loggers.map(async (device) => {
        asked.add(device.deviceId)
        said += await take(device)
          .catch(() => 0)
          .finally(() => asked.delete(device.deviceId))
      }),
    )
    await Promise.race([all, setTimeout(everyMs, null, { ref: false })])
    return said
  }
  return solely(pool, WORK, read, everyMs)
}
