import * as photos from '../stores/photos'
import * as device from './device'
import { type Ports, createEngine } from './engine'
import * as kept from './kept-log'

/**
 * Sends what a person wrote on this device in jobs that stand open nowhere in this page, one job after the other, each
 * the way an open job sends it: placed in time, read back, and only then let go of.
 * @param openJob the job that sends by itself. @returns how many entries went out.
 */
export async function catchUp(ports: Ports, personId: string, openJob: string | null): Promise<number> {
  const jobs = (await device.jobsWaiting(personId)).filter((jobId) => jobId !== openJob)
  const deviceId = await device.deviceId()
  let gone = 0
  for (const jobId of jobs) {
    const engine = createEngine(ports, () => undefined)
    const had = await kept.open(jobId, personId)
    const waiting = await device.waiting(jobId, personId)
    engine.open(
      { jobId, personId, deviceId },
      {
        known: had.events,
        columns: had.columns,
        head: { seq: had.head, hash: had.hash },
        waiting,
        returned: await device.tray(jobId, personId),
      },
    )
    await engine.settled()
    engine.close()
    gone += waiting.length - (await device.waiting(jobId, personId)).length
    void photos.send(jobId)
  }
  return gone
}
