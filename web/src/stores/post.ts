import type { Draft } from '@jugalis/core'
import { api } from '../api'
import { useClock } from './clock'

/** Sends entries of one person on one job, with what the server needs to put their times right. */
export async function post(
  jobId: string,
  from: { deviceId: string; personId: string },
  events: readonly Draft[],
): Promise<void> {
  const clock = useClock()
  const sentAt = Date.now()
  const r = await api<{ serverNowS: number }>('POST', `/jobs/${jobId}/events`, {
    ...from,
    sentAtDeviceS: sentAt / 1000,
    clockErrorS: clock.roundTripS + clock.jumpS,
    events,
  })
  clock.heard(r.serverNowS, sentAt, Date.now())
}
