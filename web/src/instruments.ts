import { type Msg, type Silence, msg } from '@jugalis/core'
import { api } from './api'

/** An instrument of a job, as the server tells of it. */
export interface Device {
  deviceId: string
  name: string
  kind: string
  placeId: string | null
  toolId: string | null
  sectionId: string | null
  standIn: string | null
  revoked: boolean
  createdAtS: number
  /** When it last said something. */
  lastAtS: number | null
  /** Why the server can\u2019t read it, and since when. */
  silent: { why: Silence; sinceS: number } | null
}
export const devicesPath = (jobId: string | null): string => `/jobs/${jobId}/devices`
export const instrumentsOf = async (jobId: string | null): Promise<Device[]> =>
  (await api<{ devices: Device[] }>('GET', devicesPath(jobId))).devices

/** Loggers are given this long to say something before anybody is told that they do not, s. */
const GRACE_S = 15
/**
 * What is wrong with the loggers of a section while a test runs on it: one that says nothing is a gap in the test.
 * @param gapS longest time without a reading that the test allows, s.
 */
export function silences(
  devices: readonly Device[],
  test: { sectionId: string; begunAtS: number },
  gapS: number,
  nowS: number,
): Msg[] {
  return devices
    .filter((d) => d.kind === 'pressure-logger' && !d.revoked && d.sectionId === test.sectionId)
    .flatMap((device) => {
      if (device.silent) return [msg(`logger-${device.silent.why}`, { name: device.name })]
      const heardS = device.lastAtS !== null && device.lastAtS >= test.begunAtS ? device.lastAtS : null
      const quietS = nowS - (heardS ?? Math.max(test.begunAtS, device.createdAtS))
      if (quietS < GRACE_S || (heardS !== null && quietS < gapS / 2)) return []
      return heardS === null
        ? [msg('logger-nothing-yet', { name: device.name })]
        : [msg('logger-stopped', { name: device.name, forS: Math.round(quietS), gapS })]
    })
}
