import { randomUUID } from 'node:crypto'
import {
  type Batch,
  type JobEvent,
  type PublicKey,
  checkChain,
  checkSigned,
  draftFault,
  isUuid,
} from '@jugalis/core'
import { eq } from 'drizzle-orm'
import type pg from 'pg'
import * as yup from 'yup'
import { on, inTransaction } from '../db/connect.js'
import { LEFT, insertJob, insertMember, isJob, membersOf } from '../db/jobs.js'
import { verifies } from '../db/device-keys.js'
import { keepJobKeys, keysOfJob, keysOnce } from '../db/job-keys.js'
import { type SignedLogLine, insertLines } from '../db/lines.js'
import { appendInside, jointsDefined, writeHead } from '../db/log.js'
import { headOf, readLog } from '../db/read-log.js'
import * as schema from '../db/schema.js'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'

const FORMAT = 'jugalis-job-1'
/** More people than were ever on a job. */
const MOST_PEOPLE = 5000
/** More devices than were ever on a job. */
const MOST_KEYS = 20_000
const HASH = /^[0-9a-f]{64}$/
/** All of a file but its lines. */
const cover = yup.object({
  format: yup.string().oneOf([FORMAT]).required(),
  jobId: yup.string().required(),
  name: yup.string().max(200).required(),
  people: yup
    .array()
    .max(MOST_PEOPLE)
    .of(
      yup.object({
        personId: yup.string().uuid().required(),
        name: yup.string().required(),
        role: yup.string().required(),
      }),
    )
    .required(),
  head: yup.object({ seq: yup.number().required(), hash: yup.string().required() }).required(),
  // Files of before anything was signed have none.
  keys: yup
    .array()
    .max(MOST_KEYS)
    .of(
      yup.object({
        id: yup.string().max(64).required(),
        of: yup.string().oneOf(['device', 'server']).required(),
        spki: yup.string().max(1000).required(),
        personId: yup.string().uuid().nullable(),
      }),
    ),
})
const signature = yup
  .object({ key: yup.string().max(64).required(), signature: yup.string().max(100).required() })
  .default(undefined)
const line = yup.object({
  seq: yup.number().integer().required(),
  recordedAt: yup.string().required(),
  body: yup.string().required(),
  prevHash: yup.string().matches(HASH).required(),
  hash: yup.string().matches(HASH).required(),
  signed: signature,
  countersigned: signature,
})
export type JobFile = Omit<yup.InferType<typeof cover>, 'keys'> & {
  keys?: PublicKey[]
  lines: SignedLogLine[]
}

/** A file by its shape: the first fault ends the look, and nothing of the file is said back. @throws HttpError 422. */
function shaped(raw: unknown): JobFile {
  const wrong = (field: string | null): never => {
    throw new HttpError(422, 'bad-input', refusal('refused-this-is-not-a'), field)
  }
  const look = (schema: yup.Schema, value: unknown, at: string): void => {
    try {
      schema.validateSync(value, { strict: true })
    } catch (error) {
      const { path } = error as yup.ValidationError
      wrong([at, path].filter(Boolean).join('.') || null)
    }
  }
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) return wrong(null)
  const { lines, ...rest } = raw as { lines?: unknown }
  const { people, keys } = rest as { people?: unknown; keys?: unknown }
  if (Array.isArray(people) && people.length > MOST_PEOPLE) wrong('people')
  if (Array.isArray(keys) && keys.length > MOST_KEYS) wrong('keys')
  look(cover, rest, '')
  if (!Array.isArray(lines)) return wrong('lines')
  for (const [i, each] of lines.entries()) {
    const at = `lines[${i}]`
    if (typeof each !== 'object' || each === null || Array.isArray(each)) wrong(at)
    look(line, each, at)
  }
  return raw as JobFile
}

/** Lines put into a file at once: whoever asks for something else meanwhile does not wait for more. */
const AT_ONCE = 1000
/**
 * A whole job in one file, as text in pieces: the log as it was hashed with the signatures under it, the keys of those,
 * the names behind its actors. It ends where the log did when it was asked for.
 */
export async function* exportJob(pool: pg.Pool, jobId: string, nowS: number): AsyncGenerator<string> {
  const [found] = await on(pool)
    .select({ name: schema.job.name })
    .from(schema.job)
    .where(eq(schema.job.jobId, jobId))
  const { seq, hash } = await headOf(pool, jobId)
  const cover: Omit<JobFile, 'lines'> & { exportedAt: string } = {
    format: FORMAT,
    jobId,
    name: found?.name ?? '',
    exportedAt: new Date(nowS * 1000).toISOString(),
    people: await membersOf(pool, jobId),
    head: { seq, hash },
    keys: keysOnce(await keysOfJob(pool, jobId)),
  }
  yield `${JSON.stringify(cover).slice(0, -1)},"lines":[`
  for (let after = 0; after < seq; after += AT_ONCE) {
    const lines = await readLog(pool, jobId, after, { until: Math.min(after + AT_ONCE, seq) })
    yield `${after ? ',' : ''}${lines.map((line) => JSON.stringify(line)).join(',')}`
  }
  yield ']}'
}

/** Who brings a file in. */
export interface Importer {
  personId: string
  name: string
  orgId: string
}
/** What came in, and where its log stands now. */
export interface Brought {
  jobId: string
  seq: number
  hash: string
}
/**
 * Reads a job file back: same job, same hashes, in one transaction. The importer has the job; whoever else the file names
 * keeps their name and sees nothing, whatever the file says they were. An entry of the importer says how far the log came
 * in as a file: this server did not see those entries written.
 */
export async function importJob(
  pool: pg.Pool,
  raw: unknown,
  importer: Importer,
  nowS: number,
): Promise<Brought> {
  const job = shaped(raw)
  if (!isUuid(job.jobId)) throw new HttpError(422, 'bad-input', refusal('refused-the-job-id-is'), 'jobId')
  const check = checkChain(job.jobId, job.lines)
  if (!check.ok)
    throw new HttpError(
      422,
      'broken-chain',
      refusal('refused-line-does-not-hold', { seq: check.seq, why: check.why }),
      `lines[${check.seq - 1}]`,
    )
  if (check.hash !== job.head.hash || check.seq !== job.head.seq)
    throw new HttpError(422, 'broken-chain', refusal('refused-the-end-of-the'), 'head')
  const keys = job.keys ?? []
  await requireSigned(job.jobId, job.lines, keys)
  const events = job.lines.map((l, i) => readEvent(l.body, job.jobId, `lines[${i}].body`))
  return inTransaction(pool, async (client) => {
    if (await isJob(client, job.jobId))
      throw new HttpError(409, 'id-reused', refusal('refused-this-job-is-already-here'), 'jobId')
    await insertJob(client, job.jobId, importer.orgId, job.name, nowS)
    for (const person of job.people) {
      await on(client)
        .insert(schema.person)
        .values({ orgId: importer.orgId, personId: person.personId, name: person.name })
        .onConflictDoNothing()
      // Also the importer for now, who may be in it under another role.
      await insertMember(client, job.jobId, person.personId, person.name, LEFT)
    }
    await insertMember(client, job.jobId, importer.personId, importer.name, 'owner')
    const joints = [...new Set(jointsDefined(events))]
    if (joints.length)
      await client.query('insert into job_joint (job_id, joint_id) select $1, unnest($2::uuid[])', [
        job.jobId,
        joints,
      ])
    await keepJobKeys(client, job.jobId, keys)
    await insertLines(client, job.jobId, events, job.lines)
    await writeHead(client, job.jobId, check)
    const { head } = await appendInside(client, job.jobId, importer.personId, broughtBy(check, nowS), nowS)
    return { jobId: job.jobId, ...head }
  })
}

/** Every signature of a file stands by the keys that came with it. @throws HttpError 422 for the first that does not. */
async function requireSigned(
  jobId: string,
  lines: readonly SignedLogLine[],
  keys: readonly PublicKey[],
): Promise<void> {
  const { wrong } = await checkSigned(jobId, lines, keys, verifies)
  if (wrong)
    throw new HttpError(
      422,
      'bad-signature',
      refusal('refused-line-not-as-signed', { seq: wrong.seq, why: wrong.why }),
      `lines[${wrong.seq - 1}]`,
    )
}

/** The entry that says how far a log came in as a file. */
const broughtBy = ({ seq, hash }: { seq: number; hash: string }, nowS: number): Batch => ({
  deviceId: randomUUID(),
  sentAtDeviceS: nowS,
  clockErrorS: 0,
  events: [
    {
      id: randomUUID(),
      kind: 'log-brought',
      v: 1,
      jointId: null,
      atDeviceS: nowS,
      deviceSeq: 1,
      after: [],
      data: { entries: seq, head: hash },
    },
  ],
})

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
