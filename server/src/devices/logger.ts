import { type Draft, type JobEvent, KINDS } from '@jugalis/core'
import { and, eq, inArray, max } from 'drizzle-orm'
import type pg from 'pg'
import { on } from '../db/connect.js'
import type { Device } from '../db/devices.js'
import { type Appended, appendBatch } from '../db/log.js'
import { event, jobHead } from '../db/schema.js'
import { HttpError } from '../errors.js'
import { AHEAD_S, bad, idOf } from './entry.js'
import type { Reports } from './report.js'
import { refusal } from '../words.js'

export interface Running {
  testId: string
  begunAtS: number
  data: Record<string, unknown>
}
/** The test that runs on a section now; null when none does. */
export async function runningTest(pool: pg.Pool, jobId: string, sectionId: string): Promise<Running | null> {
  const rows = await on(pool)
    .select({ body: event.body })
    .from(event)
    .where(and(eq(event.jobId, jobId), inArray(event.kind, ['test-begun', 'test-ended', 'correction'])))
    .orderBy(event.seq)
  const events = rows.map((row) => JSON.parse(row.body) as JobEvent)
  const ended = new Set(events.filter((e) => e.kind === 'test-ended').map((e) => e.data.testId))
  const back = new Set(events.filter((e) => e.kind === 'correction' && e.data.undo).map((e) => e.data.target))
  const begun = events.filter(
    (event) =>
      event.kind === 'test-begun' &&
      event.data.sectionId === sectionId &&
      !ended.has(event.data.testId) &&
      !back.has(event.id),
  )
  const last = begun.at(-1)
  return last ? { testId: String(last.data.testId), begunAtS: last.occurredAtS, data: last.data } : null
}

/**
 * Takes what a pressure logger sends into the log of the test that runs on its section: one entry a sending. Numbers
 * up to the last one taken are passed over, so that what is sent again after a broken line is there once.
 */
export async function takeLog(
  pool: pg.Pool,
  device: Device,
  { sentAtDeviceS, reports }: Reports,
  receivedAtS: number,
): Promise<Appended> {
  if (!device.sectionId) throw bad(refusal('refused-logger-on-no-section'), 'sectionId')
  reports.forEach((report, i) => {
    if (report.what !== 'pressure')
      throw bad(refusal('refused-logger-reports-pressure'), `reports[${i}].what`)
    if (report.value === undefined) throw bad(refusal('refused-reading-needs-a-value'), `reports[${i}].value`)
    if (report.atDeviceS > sentAtDeviceS + AHEAD_S)
      throw bad(refusal('refused-report-from-the-future'), `reports[${i}].atDeviceS`)
    const before = reports[i - 1]
    if (before && (report.seq <= before.seq || report.atDeviceS <= before.atDeviceS))
      throw bad(refusal('refused-numbers-must-ascend'), `reports[${i}].seq`)
  })
  const running = await runningTest(pool, device.jobId, device.sectionId)
  if (!running) throw new HttpError(409, 'no-test', refusal('refused-no-test-is-running'), 'sectionId')
  const [had] = await on(pool)
    .select({ last: max(event.deviceSeq) })
    .from(event)
    .where(and(eq(event.jobId, device.jobId), eq(event.deviceId, device.deviceId)))
  const last = had?.last ?? 0
  const fresh = reports.filter((r) => r.seq > last)
  const end = fresh.at(-1)
  if (!end) {
    const [head] = await on(pool).select().from(jobHead).where(eq(jobHead.jobId, device.jobId))
    return { seqs: [], head: { seq: head?.seq ?? 0, hash: head?.hash.toString('hex') ?? '' } }
  }
  const draft: Draft = {
    id: idOf(device.deviceId, end.seq),
    kind: 'test-log',
    v: KINDS['test-log']?.v ?? 1,
    jointId: null,
    atDeviceS: end.atDeviceS,
    deviceSeq: end.seq,
    after: [],
    data: {
      testId: running.testId,
      from: device.name,
      rows: fresh.map((row) =>
        row.temperatureC === undefined
          ? [row.atDeviceS, row.value as number]
          : [row.atDeviceS, row.value as number, row.temperatureC],
      ),
    },
  }
  return appendBatch(pool, device.jobId, {
    actorId: device.deviceId,
    batch: { deviceId: device.deviceId, sentAtDeviceS, clockErrorS: 0, events: [draft] },
    receivedAtS,
  })
}
