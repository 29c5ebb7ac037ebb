import { type JobEvent, foldJob, jointLog, jointPlaces, readEvents } from '@jugalis/core'
import { stringify } from 'csv-stringify/sync'
import type pg from 'pg'
import { membersOf } from '../db/jobs.js'
import { readLog } from '../db/read-log.js'
import { readerOf } from '../people.js'

/** A spreadsheet runs what begins like a formula; such text is marked as text. */
const plain = (value: unknown): string => {
  const text = value === null || value === undefined ? '' : String(value)
  return /^[=+\-@\t\r\n]/.test(text) && !/^-?\d+(\.\d+)?$/.test(text) ? `'${text}` : text
}
async function logOf(pool: pg.Pool, jobId: string) {
  const lines = await readLog(pool, jobId, 0)
  const events = readEvents(lines.map((l) => l.body))
  const names = new Map((await membersOf(pool, jobId)).map((m) => [m.personId, m.name]))
  return { lines, events, state: foldJob(events), nameOf: (id: string) => names.get(id) ?? id }
}

/** The joint log as people keep it: a row for each life of each joint, in the job's zone and the units of who asks. */
export async function jointLogCsv(pool: pg.Pool, jobId: string, personId: string): Promise<string> {
  const { state, nameOf } = await logOf(pool, jobId)
  const { columns, rows } = jointLog(state, nameOf, await readerOf(pool, personId, state.job.school))
  return stringify([columns, ...rows.map((r) => r.map(plain))])
}

/** The raw log: a row for each entry, as it was written, with its hash. Times in UTC. */
export async function entriesCsv(pool: pg.Pool, jobId: string): Promise<string> {
  const { lines, events, state, nameOf } = await logOf(pool, jobId)
  const places = jointPlaces(state)
  const rows = lines.map((line, i) => {
    const event = events[i] as JobEvent
    const place = event.jointId ? places.get(event.jointId) : undefined
    return [
      line.seq,
      new Date(event.occurredAtS * 1000).toISOString(),
      nameOf(event.actorId),
      place?.tag ?? '',
      place?.way.size ?? '',
      event.kind,
      event.data.life ?? '',
      event.data.step ?? '',
      JSON.stringify(event.data),
      line.hash,
    ].map(plain)
  })
  return stringify([
    ['seq', 'occurred_at_utc', 'who', 'joint', 'size', 'entry', 'life', 'step', 'data', 'hash'],
    ...rows,
  ])
}
