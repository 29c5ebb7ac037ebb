import type { Device } from '../db/devices.js'
import { LinePlayer, STUFF, type Stuff } from './line-model.js'
import type { Running } from './logger.js'
import { chance } from './models.js'
import type { Reports } from './report.js'

/** A stand-in logger reads each second; told of late, it catches up by no more than this. */
const EVERY_S = 1
const MOST_ROWS = 400
const STEP_BAR = 25 / 4096
const START_C = 16

const scatter = (...names: (string | number)[]): number =>
  (chance('a', ...names) + chance('b', ...names) + chance('c', ...names)) / 1.5 - 1

/**
 * What a stand-in logger on a line under test has to say between two times, from a model of the line. It may play a
 * leak of four times what is allowed, a hall that warms and cools, a pocket of air, or a sensor that is stuck.
 */
export function loggerReports(
  device: Pick<Device, 'deviceId' | 'standIn'>,
  test: Running,
  fromS: number,
  toS: number,
): Reports['reports'] {
  const data = test.data as {
    bar: number
    holdS: number
    allowedDropBar: number
    medium: 'water' | 'air' | 'nitrogen'
    physics?: { pipeMaterial?: string; odMm?: number | null; wallMm?: number | null; axial?: string | null }
  }
  const stuff = (STUFF[data.physics?.pipeMaterial ?? ''] ?? STUFF['carbon-steel']) as Stuff
  const leak = device.standIn === 'leak' ? (4 * Math.max(data.allowedDropBar, 0.02) * 3600) / data.holdS : 0
  const player = new LinePlayer({
    filledWith: data.medium,
    odMm: data.physics?.odMm ?? 60.3,
    wallMm: data.physics?.wallMm ?? 3.9,
    lengthM: 30,
    anchored: data.physics?.axial === 'anchored',
    airShare: device.standIn === 'air pocket' ? 0.03 : 0,
    startBar: data.bar,
    startC: START_C,
    stuff,
    outside: 10,
    inside: 150,
    leakBarPerH: leak,
  })
  const airC = (atS: number): number =>
    START_C +
    (device.standIn === 'swing' ? 6 * Math.sin((2 * Math.PI * atS) / 1500) : 0.1 * Math.sin(atS / 700))
  const out: Reports['reports'] = []
  for (let afterS = 0; test.begunAtS + afterS <= toS && out.length < MOST_ROWS; afterS += EVERY_S) {
    const atDeviceS = Math.round((test.begunAtS + afterS) * 1000) / 1000
    if (atDeviceS > fromS && !(device.standIn === 'gaps' && afterS % 60 >= 40)) {
      const seq = Math.round(atDeviceS)
      const bar =
        device.standIn === 'stuck' ? data.bar : player.bar + 0.001 * scatter(device.deviceId, 'p', seq)
      const jump = device.standIn === 'jumps' && chance(device.deviceId, 'j', seq) < 0.02 ? 3 : 0
      out.push({
        seq,
        atDeviceS,
        what: 'pressure',
        value: Number((Math.round(bar / STEP_BAR) * STEP_BAR + jump).toFixed(4)),
        temperatureC: Number((player.inC + 0.02 * scatter(device.deviceId, 'c', seq)).toFixed(2)),
      })
    }
    player.step(EVERY_S, airC(afterS))
  }
  return out
}
