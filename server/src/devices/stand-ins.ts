import type pg from 'pg'
import { type Device, ownDevices } from '../db/devices.js'
import type { Heads } from '../live/heads.js'
import { chance, climateAt, underBlanket } from './models.js'
import { type Reports, takeReports } from './report.js'
import { type Solely, solely } from './solely.js'

const WORK = 'play-stand-ins'
const SLOT_S = 300
/** A stand-in that was off does not tell of more than this. */
const BACK_S = 6 * 3600
const WHATS = ['wall', 'air', 'humidity'] as const

/**
 * What a stand-in probe has to say between two times: three readings every five minutes, numbered by the clock,
 * so that two that play the same part say the same. It may misbehave as instruments do.
 */
export function probeReports(
  device: Pick<Device, 'deviceId' | 'standIn'>,
  fromS: number,
  toS: number,
): Reports['reports'] {
  const out: Reports['reports'] = []
  for (let slot = Math.floor(fromS / SLOT_S) + 1; slot * SLOT_S <= toS; slot++) {
    const atS = slot * SLOT_S
    const luck = chance(device.deviceId, 'luck', slot)
    // Some hours long nothing is heard of it.
    if (device.standIn === 'gaps' && chance(device.deviceId, 'gap', Math.floor(slot / 48)) < 0.4) continue
    const climate = climateAt(
      device.standIn === 'stuck' ? Math.floor(atS / 86400) * 86400 : atS,
      device.deviceId,
    )
    const values = [climate.wallC, climate.airC, climate.humidityPct]
    WHATS.forEach((what, i) => {
      const jump = device.standIn === 'jumps' && what === 'wall' && luck < 0.05 ? 40 : 0
      out.push({ seq: slot * 4 + i, atDeviceS: atS, what, value: (values[i] as number) + jump })
    })
  }
  return out
}

const BLANKET_C = 60
/** What a stand-in blanket has to say: the wall under it, every five minutes since it was switched on. */
export function blanketReports(
  device: Pick<Device, 'deviceId'>,
  onS: number,
  fromS: number,
  toS: number,
): Reports['reports'] {
  const start = climateAt(onS, device.deviceId).wallC
  const slots = Array.from({ length: Math.floor(toS / SLOT_S) - Math.floor(Math.max(fromS, onS) / SLOT_S) })
  return slots.map((_, i) => {
    const slot = Math.floor(Math.max(fromS, onS) / SLOT_S) + 1 + i
    const value = underBlanket(start, BLANKET_C, slot * SLOT_S - onS)
    return { seq: slot * 4, atDeviceS: slot * SLOT_S, what: 'wall', value }
  })
}

/**
 * Plays the stand-ins of all jobs, in one server process of however many there are: the one that holds the lock. When
 * that one goes, the next takes over and goes on from what was reported last.
 */
export function playStandIns(pool: pg.Pool, heads: Heads, nowS: () => number, everyMs = 15_000): Solely {
  async function play(): Promise<number> {
    let said = 0
    for (const device of await ownDevices(pool)) {
      if (!device.standIn || (device.kind !== 'probe' && device.kind !== 'heat-blanket') || !device.placeId)
        continue
      const last = await pool.query<{ at: number | null; on: number | null }>(
        `select extract(epoch from max(occurred_at) filter (where kind = 'reading'))::float8 as at,
           (select case when body::jsonb #>> '{data,result}' = 'on' then extract(epoch from occurred_at)::float8 end
            from event where job_id = $1 and device_id = $2 and kind = 'tool-said' order by occurred_at desc limit 1) as on
         from event where job_id = $1 and device_id = $2`,
        [device.jobId, device.deviceId],
      )
      const { at, on } = last.rows[0] ?? { at: null, on: null }
      const now = nowS()
      const fromS = Math.max(at ?? device.createdAtS, now - BACK_S)
      const reports =
        device.kind === 'probe'
          ? probeReports(device, fromS, now)
          : on === null
            ? []
            : blanketReports(device, on, fromS, now)
      if (!reports.length) continue
      // A clock that runs ahead sends what has not been yet: the door refuses it.
      const sentAtDeviceS = device.standIn === 'future' ? now - 86400 : now
      const done = await takeReports(pool, device, { sentAtDeviceS, reports }, now).catch(() => null)
      if (!done) continue
      said += reports.length
      heads.grew(device.jobId, done.head.seq)
    }
    return said
  }
  return solely(pool, WORK, play, everyMs)
}
