import { eq } from 'drizzle-orm'
import type pg from 'pg'
import { devicesOf } from '../db/devices.js'
import { on } from '../db/connect.js'
import { keysOfJob, keysOnce } from '../db/job-keys.js'
import { membersOf } from '../db/jobs.js'
import { photosOf } from '../db/photos.js'
import { headOf, readLog } from '../db/read-log.js'
import { job } from '../db/schema.js'
import { FORMAT, type JobFile } from './job-file-shape.js'

/** Lines put into a file at once: whoever asks for something else meanwhile does not wait for more. */
const AT_ONCE = 1000
/**
 * A whole job in one file, as text in pieces: the log as it was hashed with the signatures under it, the keys of those,
 * the names behind its actors, the pictures it names, what hung on it. It ends where the log did when it was asked for.
 */
export async function* exportJob(pool: pg.Pool, jobId: string, nowS: number): AsyncGenerator<string> {
  const [found] = await on(pool).select({ name: job.name }).from(job).where(eq(job.jobId, jobId))
  const { seq, hash } = await headOf(pool, jobId)
  const cover: Omit<JobFile, 'lines'> & { exportedAt: string } = {
    format: FORMAT,
    jobId,
    name: found?.name ?? '',
    exportedAt: new Date(nowS * 1000).toISOString(),
    people: await membersOf(pool, jobId),
    head: { seq, hash },
    keys: keysOnce(await keysOfJob(pool, jobId)),
    instruments: (await devicesOf(pool, jobId)).map(
      ({ deviceId, name, kind, placeId, toolId, sectionId }) => ({
        deviceId,
        name,
        kind,
        placeId,
        toolId,
        sectionId,
      }),
    ),
  }
  yield `${JSON.stringify(cover).slice(0, -1)},"lines":[`
  for (let after = 0; after < seq; after += AT_ONCE) {
    const lines = await readLog(pool, jobId, after, { until: Math.min(after + AT_ONCE, seq) })
    yield `${after ? ',' : ''}${lines.map((line) => JSON.stringify(line)).join(',')}`
  }
  yield '],"photos":['
  let first = true
  for await (const { hash, kind, bytes } of photosOf(pool, jobId)) {
    yield `${first ? '' : ','}${JSON.stringify({ hash, kind, bytes: bytes.toString('base64') })}`
    first = false
  }
  yield ']}'
}
