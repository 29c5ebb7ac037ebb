import { type JobEvent, type LogLine, checkChain, draftFault, isUuid } from '@jugalis/core'
import { eq } from 'drizzle-orm'
import type pg from 'pg'
import * as yup from 'yup'
import { on, inTransaction } from '../db/connect.js'
import { insertJob, insertMember, isJob, membersOf } from '../db/jobs.js'
import { insertLines, jointsDefined, writeHead } from '../db/log.js'
import { readLog } from '../db/read-log.js'
import * as schema from '../db/schema.js'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'

const FORMAT = 'jugalis-job-1'
const file = yup.object({
  format: yup.string().oneOf([FORMAT]).required(),
  jobId: yup.string().required(),
  name: yup.string().required(),
  people: yup
    .array()
    .of(
      yup.object({
        personId: yup.string().uuid().required(),
        name: yup.string().required(),
        role: yup.string().required(),
      }),
    )
    .required(),
  head: yup.object({ seq: yup.number().required(), hash: yup.string().required() }).required(),
  lines: yup
    .array()
    .of(
      yup.object({
        seq: yup.number().integer().required(),
        recordedAt: yup.string().required(),
        body: yup.string().required(),
        prevHash: yup
          .string()
          .matches(/^[0-9a-f]{64}$/)
          .required(),
        hash: yup
          .string()
          .matches(/^[0-9a-f]{64}$/)
          .required(),
      }),
    )
    .required(),
})
export type JobFile = yup.InferType<typeof file>

/** A whole job in one file: the log as it was hashed, and the names behind its actors. */
export async function exportJob(
  pool: pg.Pool,
  jobId: string,
  nowS: number,
): Promise<JobFile & { exportedAt: string }> {
  const [found] = await on(pool)
    .select({ name: schema.job.name })
    .from(schema.job)
    .where(eq(schema.job.jobId, jobId))
  const lines = await readLog(pool, jobId, 0)
  const last = lines.at(-1)
  return {
    format: FORMAT,
    jobId,
    name: found?.name ?? '',
    exportedAt: new Date(nowS * 1000).toISOString(),
    people: await membersOf(pool, jobId),
    head: { seq: last?.seq ?? 0, hash: last?.hash ?? '0'.repeat(64) },
    lines,
  }
}

/** Reads a job file back: same job, same hashes, in one transaction. The importer becomes a member. */
export async function importJob(
  pool: pg.Pool,
  raw: unknown,
  importer: { personId: string; name: string; orgId: string },
  nowS: number,
): Promise<{ jobId: string; seq: number; hash: string }> {
  try {
    file.validateSync(raw, { strict: true })
  } catch (error) {
    const fault = error as yup.ValidationError
    throw new HttpError(422, 'bad-input', refusal('refused-this-is-not-a'), fault.path ?? null)
  }
  const job = raw as JobFile
  if (!isUuid(job.jobId)) throw new HttpError(422, 'bad-input', refusal('refused-the-job-id-is'), 'jobId')
  const check = checkChain(job.jobId, job.lines as LogLine[])
  if (!check.ok)
    throw new HttpError(
      422,
      'broken-chain',
      refusal('refused-line-does-not-hold', { seq: check.seq, why: check.why }),
      `lines[${check.seq - 1}]`,
    )
  if (check.hash !== job.head.hash || check.seq !== job.head.seq)
    throw new HttpError(422, 'broken-chain', refusal('refused-the-end-of-the'), 'head')
  const events = job.lines.map((l, i) => readEvent(l.body, job.jobId, `lines[${i}].body`))
  await inTransaction(pool, async (client) => {
    if (await isJob(client, job.jobId))
      throw new HttpError(409, 'id-reused', refusal('refused-this-job-is-already-here'), 'jobId')
    await insertJob(client, job.jobId, importer.orgId, job.name, nowS)
    for (const person of job.people) {
      await on(client)
        .insert(schema.person)
        .values({ orgId: importer.orgId, personId: person.personId, name: person.name })
        .onConflictDoNothing()
      await insertMember(client, job.jobId, person.personId, person.name, person.role)
    }
    await insertMember(client, job.jobId, importer.personId, importer.name, 'owner')
    const joints = [...new Set(jointsDefined(events))]
    if (joints.length)
      await client.query('insert into job_joint (job_id, joint_id) select $1, unnest($2::uuid[])', [
        job.jobId,
        joints,
      ])
    await insertLines(client, job.jobId, events, job.lines as LogLine[])
    await writeHead(client, job.jobId, check)
  })
  return { jobId: job.jobId, seq: check.seq, hash: check.hash }
}

function readEvent(body: string, jobId: string, path: string): JobEvent {
  let event: JobEvent
  try {
    event = JSON.parse(body) as JobEvent
  } catch {
    throw new HttpError(422, 'bad-input', refusal('refused-an-entry-cant-be'), path)
  }
  // Older versions of an event are lawful here: they are brought up when they are read.
  if (event.jobId !== jobId)
    throw new HttpError(422, 'bad-input', refusal('refused-entry-of-another-job'), path)
  const fault = draftFault({ ...event }, path)
  const olderVersion = fault && fault.message.includes('is written in version')
  if (fault && !olderVersion) throw new HttpError(422, 'bad-input', fault.message, path)
  return event
}
