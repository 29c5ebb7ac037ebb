import { randomUUID } from 'node:crypto'
import { type Draft, readToFold, setOutAnew, standingEvents } from '@jugalis/core'
import { and, eq, ne } from 'drizzle-orm'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import { dateOf, on, inTransaction } from './connect.js'
import { LEFT, insertJob, insertMember, isJob } from './jobs.js'
import { appendInside } from './log.js'
import { device, event, job, jobGlance, jobHead, jobJoint, jobMember, jobNamed, photo } from './schema.js'

interface Person {
  personId: string
  orgId: string
  name: string
}

/** Begins a job in which all is set out as in another one and nothing is done. All of it or nothing. */
export async function copyJob(
  pool: pg.Pool,
  fromId: string,
  as: { jobId: string; name: string; measures: boolean },
  who: Person,
  nowS: number,
): Promise<void> {
  const rows = await on(pool)
    .select({ body: event.body })
    .from(event)
    .where(eq(event.jobId, fromId))
    .orderBy(event.seq)
  const standing = standingEvents(readToFold(rows.map((row) => row.body)))
  const events = setOutAnew(standing, { ...as, newId: randomUUID }).map((entry, at): Draft => ({
    ...entry,
    id: randomUUID(),
    jointId: null,
    atDeviceS: nowS,
    deviceSeq: at + 1,
    after: [],
  }))
  await inTransaction(pool, async (client) => {
    if (await isJob(client, as.jobId))
      throw new HttpError(409, 'id-reused', refusal('refused-this-job-is-already'), 'jobId')
    await insertJob(client, as.jobId, who.orgId, as.name, nowS)
    await insertMember(client, as.jobId, who.personId, who.name, 'owner')
    const batch = { deviceId: randomUUID(), sentAtDeviceS: nowS, clockErrorS: 0, events }
    await appendInside(client, as.jobId, who.personId, batch, nowS)
  })
}

/** Puts a job away from the list, or back into it. */
export async function putAway(pool: pg.Pool, jobId: string, away: boolean, nowS: number): Promise<void> {
  await on(pool)
    .update(job)
    .set({ awayAt: away ? dateOf(nowS) : null })
    .where(eq(job.jobId, jobId))
}

/** Hands a job to another of its members; who had it stays on it. */
export async function handTo(
  pool: pg.Pool,
  jobId: string,
  { from, to }: { from: string; to: string },
): Promise<void> {
  await inTransaction(pool, async (client) => {
    const as = (role: string, personId: string) =>
      on(client)
        .update(jobMember)
        .set({ role })
        .where(and(eq(jobMember.jobId, jobId), eq(jobMember.personId, personId), ne(jobMember.role, LEFT)))
        .returning({ personId: jobMember.personId })
    await as('fitter', from)
    if (!(await as('owner', to)).length)
      throw new HttpError(422, 'unknown-person', refusal('refused-not-on-this-job'), 'personId')
  })
}

/** Kinds of a job in which nothing is yet. */
const NOTHING_YET: ReadonlySet<string> = new Set(['job-set', 'place-set', 'correction'])
/** Takes out a job in which nothing was ever set out or written; what holds work is never taken out. */
export async function takeOut(pool: pg.Pool, jobId: string): Promise<void> {
  await inTransaction(pool, async (client) => {
    // Whoever writes to it at this moment comes before or after, not between.
    await client.query('select 1 from job_head where job_id = $1 for update', [jobId])
    const kinds = await on(client)
      .selectDistinct({ kind: event.kind })
      .from(event)
      .where(eq(event.jobId, jobId))
    const held = await Promise.all(
      [device, photo, jobJoint].map((table) => on(client).$count(table, eq(table.jobId, jobId))),
    )
    if (kinds.some(({ kind }) => !NOTHING_YET.has(kind)) || held.some((count) => count > 0))
      throw new HttpError(409, 'not-empty', refusal('refused-job-not-empty'))
    for (const table of [jobNamed, jobGlance, event, jobHead, jobMember, job])
      await on(client).delete(table).where(eq(table.jobId, jobId))
  })
}
