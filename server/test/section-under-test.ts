import { randomUUID } from 'node:crypto'
import type { JobEvent } from '@jugalis/core'
import { readLog } from '../src/index.js'
import { type Harness, batch, draft, harness, jobSet } from './harness.js'

export const NOW = 1_790_000_000
export const testData = (section: string, testId: string) => ({
  testId,
  sectionId: section,
  bar: 9,
  medium: 'water',
  holdS: 60,
  allowedDropBar: 0.3,
  resolutionBar: 0.0062,
  sensorErrorBar: 0.002,
  temperatureOf: 'medium',
  tester: 'Wren',
  physics: { pipeMaterial: 'pvc-u', odMm: 63, wallMm: 3, axial: 'free', volumeM3: 0.08 },
})
/** A server of its own for a file of tests, with what tests of instruments need of it: a section, a test on it, instruments, the log. */
export function sectionsOnServer() {
  let h: Harness
  beforeAll(async () => {
    h = await harness()
    await h.signIn('wren')
  })
  afterAll(() => h.close())
  /** A section without a test door in the way: its test is written straight into the log. */
  async function sectionUnderTest(): Promise<{ job: string; section: string; testId: string }> {
    const [job, section, testId] = [randomUUID(), randomUUID(), randomUUID()]
    await h.call('POST', '/jobs', { jobId: job, name: 'J' })
    await h.call('POST', `/jobs/${job}/events`, batch([jobSet()]))
    await h.call(
      'POST',
      `/jobs/${job}/events`,
      batch([
        draft('section-set', {
          sectionId: section,
          tag: 'S',
          jointIds: [],
          workingBar: 6,
          testBar: 9,
          holdS: 60,
          allowedDropBar: 0.3,
        }),
      ]),
    )
    return { job, section, testId }
  }
  /** The door of a test asks for joints: this one is put into the log as an older server would have. */
  async function beginInLog(job: string, section: string, testId: string): Promise<void> {
    const head = await h.pool.query<{ seq: string; hash: Buffer }>(
      'select seq, hash from job_head where job_id = $1',
      [job],
    )
    expect(head.rows).toHaveLength(1)
    const e = draft('test-begun', testData(section, testId)) as { id: string }
    const body = JSON.stringify({
      ...e,
      jobId: job,
      deviceId: randomUUID(),
      actorId: randomUUID(),
      occurredAtS: NOW,
      atDeviceS: NOW,
      clockErrorS: 0,
    })
    await h.pool.query(
      `insert into event (job_id, seq, id, kind, v, body, actor_id, device_id, device_seq, occurred_at, clock_error_s, recorded_at, prev_hash, hash)
       values ($1, $2, $3, 'test-begun', 1, $4, $5, $6, 1, to_timestamp($7), 0, now(), $8, $8)`,
      [job, Number(head.rows[0]?.seq) + 1, e.id, body, randomUUID(), randomUUID(), NOW, head.rows[0]?.hash],
    )
    await h.pool.query('update job_head set seq = seq + 1 where job_id = $1', [job])
  }
  const put = (job: string, d: Record<string, unknown>) => h.call('POST', `/jobs/${job}/devices`, d)
  const eventsOf = async (job: string): Promise<JobEvent[]> =>
    (await readLog(h.pool, job, 0)).map((l) => JSON.parse(l.body) as JobEvent)
  return { server: () => h, sectionUnderTest, beginInLog, put, eventsOf }
}
