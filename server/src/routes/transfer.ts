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
import type pg from 'pg'
import { inTransaction, on } from '../db/connect.js'
import { verifies } from '../db/device-keys.js'
import { keepInstruments } from '../db/devices.js'
import { keepJobKeys } from '../db/job-keys.js'
import { LEFT, insertJob, insertMember, isJob } from '../db/jobs.js'
import { type SignedLogLine, insertLines, writeHead } from '../db/lines.js'
import { jointsDefined } from '../db/append-view.js'
import { appendInside } from '../db/log.js'
import { type Picture, keepPhoto, pictureIn } from '../db/photos.js'
import * as schema from '../db/schema.js'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import { type FilePhoto, shaped } from './job-file-shape.js'

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
  const pictures = (job.photos ?? []).map((each, i) => pictureOf(each, `photos[${i}]`))
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
    for (const picture of pictures) await keepPhoto(client, job.jobId, picture)
    await keepInstruments(client, job.jobId, job.instruments ?? [], nowS)
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
/** A picture of a file: under its own hash, and of a kind that is taken. @throws HttpError 422. */
function pictureOf({ hash, bytes }: FilePhoto, at: string): Picture {
  const picture = pictureIn(Buffer.from(bytes, 'base64'))
  if (picture.hash !== hash) throw new HttpError(422, 'bad-input', refusal('refused-the-picture-is-not'), at)
  return picture
}
