import { type Glance, type Named, foldJob, glanceOf, namedInJob, readToFold } from '@jugalis/core'
import { and, eq, inArray, ne, sql } from 'drizzle-orm'
import type pg from 'pg'
import { dateOf, inTransaction, on, secondsOf } from './connect.js'
import { LEFT } from './jobs.js'
import { event, job, jobGlance, jobHead, jobMember, jobNamed } from './schema.js'

/** Version of a glance as it is kept: what an older one lacks is made anew. */
const GLANCE_V = 4
/** A cure goes by the temperature as time passes: after so long a glance is taken again, though nothing was written. */
const GOOD_FOR_S = 600
/** So many names are written at once. */
const PAGE = 5000

export interface JobSeen {
  jobId: string
  name: string
  role: string
  /** Put away from the list. */
  away: boolean
  /** Null until it was made once. */
  glance: Glance | null
  /** A newer one is being made. */
  stale: boolean
}

/** A glance as it is kept, and where the log stands that it was taken of. */
const KEPT = {
  head: jobHead.seq,
  seq: jobGlance.seq,
  v: jobGlance.v,
  madeAt: jobGlance.madeAt,
  glance: jobGlance.body,
}
/** The jobs of a person, each with the glance that is kept of it. */
export async function jobsSeen(pool: pg.Pool, personId: string, nowS: number): Promise<JobSeen[]> {
  const rows = await on(pool)
    .select({
      jobId: job.jobId,
      name: job.name,
      role: jobMember.role,
      awayAt: job.awayAt,
      ...KEPT,
    })
    .from(jobMember)
    .innerJoin(job, eq(job.jobId, jobMember.jobId))
    .innerJoin(jobHead, eq(jobHead.jobId, jobMember.jobId))
    .leftJoin(jobGlance, eq(jobGlance.jobId, jobMember.jobId))
    .where(and(eq(jobMember.personId, personId), ne(jobMember.role, LEFT)))
    .orderBy(job.createdAt, job.name)
  return rows.map(({ jobId, name, role, awayAt, ...kept }) => {
    const known = kept.v === GLANCE_V
    const grown = kept.seq !== kept.head
    const old = kept.madeAt === null || nowS - secondsOf(kept.madeAt) >= GOOD_FOR_S
    const glance = known ? (kept.glance as Glance) : null
    return { jobId, name, role, away: awayAt !== null, glance, stale: !known || grown || old }
  })
}

/** The glance that is kept of one job, with when it was taken; null where none is kept that can be read. */
export async function jobSeen(
  pool: pg.Pool,
  jobId: string,
): Promise<{ name: string; glance: Glance; madeAtS: number; stale: boolean } | null> {
  const [row] = await on(pool)
    .select({
      name: job.name,
      ...KEPT,
    })
    .from(jobGlance)
    .innerJoin(job, eq(job.jobId, jobGlance.jobId))
    .innerJoin(jobHead, eq(jobHead.jobId, jobGlance.jobId))
    .where(eq(jobGlance.jobId, jobId))
  if (!row || row.v !== GLANCE_V) return null
  const { name, glance, madeAt } = row
  return { name, glance: glance as Glance, madeAtS: secondsOf(madeAt), stale: row.seq !== row.head }
}

/** Takes a glance at a job's log and keeps it, with the names in it. One that knew more of the log stays. */
export async function takeGlance(pool: pg.Pool, jobId: string, nowS: number): Promise<void> {
  const rows = await on(pool)
    .select({ seq: event.seq, body: event.body })
    .from(event)
    .where(eq(event.jobId, jobId))
    .orderBy(event.seq)
  const state = foldJob(readToFold(rows.map((row) => row.body)))
  const kept = {
    seq: rows.at(-1)?.seq ?? 0,
    v: GLANCE_V,
    madeAt: dateOf(nowS),
    body: glanceOf(state, nowS),
  }
  await inTransaction(pool, async (client) => {
    const had = await on(client)
      .select({ seq: jobGlance.seq, v: jobGlance.v })
      .from(jobGlance)
      .where(eq(jobGlance.jobId, jobId))
    const put = await on(client)
      .insert(jobGlance)
      .values({ jobId, ...kept })
      .onConflictDoUpdate({
        target: jobGlance.jobId,
        set: kept,
        setWhere: sql`${jobGlance.seq} <= excluded.seq`,
      })
      .returning({ jobId: jobGlance.jobId })
    // The names go by the log alone: where it has not grown, and they are made as now, they are as they were.
    if (put.length && (had[0]?.seq !== kept.seq || had[0].v !== GLANCE_V))
      await putNames(client, jobId, namedInJob(state))
  })
}
async function putNames(client: pg.PoolClient, jobId: string, names: readonly Named[]): Promise<void> {
  await on(client).delete(jobNamed).where(eq(jobNamed.jobId, jobId))
  for (let from = 0; from < names.length; from += PAGE)
    await on(client)
      .insert(jobNamed)
      .values(names.slice(from, from + PAGE).map((name) => ({ jobId, ...name })))
      .onConflictDoNothing()
}

export interface Hit extends Named {
  jobId: string
  job: string
}
/** What a person's jobs have under a name: those that begin with it first, then those that hold it. */
export async function lookFor(pool: pg.Pool, personId: string, text: string, most: number): Promise<Hit[]> {
  const like = text.replace(/[\\%_]/g, '\\$&')
  const mine = on(pool)
    .select({ jobId: jobMember.jobId })
    .from(jobMember)
    .where(and(eq(jobMember.personId, personId), ne(jobMember.role, LEFT)))
  const rows = await on(pool)
    .select({
      jobId: jobNamed.jobId,
      job: job.name,
      kind: jobNamed.kind,
      ref: jobNamed.ref,
      label: jobNamed.label,
      more: jobNamed.more,
    })
    .from(jobNamed)
    .innerJoin(job, eq(job.jobId, jobNamed.jobId))
    .where(
      and(
        inArray(jobNamed.jobId, mine),
        sql`(${jobNamed.label} ilike ${`%${like}%`} or ${jobNamed.more} ilike ${`${like}%`})`,
      ),
    )
    .orderBy(
      sql`${jobNamed.label} not ilike ${`${like}%`}`,
      sql`length(${jobNamed.label})`,
      jobNamed.label,
      job.name,
    )
    .limit(most)
  return rows as Hit[]
}
