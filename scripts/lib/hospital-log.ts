import type { JobEvent } from '../../core/src/index.js'
import { hospital } from './hospital.mjs'

const [jobId, deviceId, actorId] = [1, 2, 3].map((n) => `0000000${n}-0000-4000-8000-000000000000`) as [
  string,
  string,
  string,
]
/** The log of a hospital of so many joints, up to a time, epoch s. */
export const hospitalLog = (joints: number, nowS: number): JobEvent[] =>
  hospital({ joints, nowS }).map((draft, i) => ({
    ...draft,
    deviceSeq: i + 1,
    jobId,
    deviceId,
    actorId,
    occurredAtS: draft.atDeviceS,
    clockErrorS: 0,
  }))
