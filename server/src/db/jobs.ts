import { rolesToGive } from '@jugalis/core'
import { and, eq, isNull, ne, notInArray } from 'drizzle-orm'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { type Client, dateOf, on } from './connect.js'
import { NEW_HEAD } from './log.js'
import { job, jobHead, jobMember, person } from './schema.js'
import { refusal } from '../words.js'

/** The role of who is no longer on a job: their name stays with what they wrote. */
export const LEFT = 'left'
export interface JobRow {
  jobId: string
  name: string
  role: string
}
/** Creates a job with its first member. Inside the caller's transaction. */
export async function insertJob(
  client: Client,
  jobId: string,
  orgId: string,
  name: string,
  createdAtS: number,
): Promise<void> {
  await on(client)
    .insert(job)
    .values({ jobId, orgId, name, createdAt: dateOf(createdAtS) })
  await on(client)
    .insert(jobHead)
    .values({ jobId, seq: 0, hash: Buffer.from(NEW_HEAD.hash, 'hex') })
}
/** Is there a job of this id, whoever's it is? */
export async function isJob(client: Client, jobId: string): Promise<boolean> {
  return (await on(client).$count(job, eq(job.jobId, jobId))) > 0
}
export async function insertMember(
  client: Client,
  jobId: string,
  personId: string,
  name: string,
  role: string,
): Promise<void> {
  await on(client)
    .insert(jobMember)
    .values({ jobId, personId, name, role })
    // Who left comes back; who is on it stays what they are.
    .onConflictDoUpdate({
      target: [jobMember.jobId, jobMember.personId],
      set: { role },
      setWhere: eq(jobMember.role, LEFT),
    })
}

/** Puts somebody of the same organisation on a job, by login. */
export async function addMember(pool: pg.Pool, jobId: string, orgId: string, login: string): Promise<string> {
  const [found] = await on(pool)
    .select({ personId: person.personId, name: person.name })
    .from(person)
    .where(and(eq(person.orgId, orgId), eq(person.login, login.trim().toLowerCase()), isNull(person.leftAt)))
  if (!found)
    throw new HttpError(422, 'unknown-person', refusal('refused-nobody-here-signs-in', { login }), 'login')
  await insertMember(pool, jobId, found.personId, found.name, 'fitter')
  return found.name
}

export const jobsOf = (pool: pg.Pool, personId: string): Promise<JobRow[]> =>
  on(pool)
    .select({ jobId: job.jobId, name: job.name, role: jobMember.role })
    .from(job)
    .innerJoin(jobMember, eq(jobMember.jobId, job.jobId))
    .where(and(eq(jobMember.personId, personId), ne(jobMember.role, LEFT)))
    .orderBy(job.createdAt, job.name)

export const membersOf = (
  pool: pg.Pool,
  jobId: string,
): Promise<{ personId: string; name: string; role: string }[]> =>
  on(pool)
    .select({ personId: jobMember.personId, name: jobMember.name, role: jobMember.role })
    .from(jobMember)
    .where(eq(jobMember.jobId, jobId))
    .orderBy(jobMember.name)

/** Is this person on the job? */
export async function isMember(client: Client, jobId: string, personId: string): Promise<boolean> {
  const mine = and(eq(jobMember.jobId, jobId), eq(jobMember.personId, personId), ne(jobMember.role, LEFT))
  return (await on(client).$count(jobMember, mine)) > 0
}
/** Refuses anyone who is not on the job. A job that is not there looks the same as one that is not yours. */
export async function requireMember(pool: pg.Pool, jobId: string, personId: string): Promise<string> {
  const [member] = await on(pool)
    .select({ role: jobMember.role })
    .from(jobMember)
    .where(and(eq(jobMember.jobId, jobId), eq(jobMember.personId, personId)))
  return roleIn(member?.role)
}
/** What somebody is on a job, by what is kept of them. @throws HttpError 404 where they are not on it, or left. */
export function roleIn(role: string | undefined): string {
  if (!role || role === LEFT) throw new HttpError(404, 'not-found', refusal('refused-there-is-no-such-job'))
  return role
}

/** May one take another off a job? Who leads it takes off whoever they could give a role to. */
export async function mayTakeOff(
  pool: pg.Pool,
  jobId: string,
  { by, who }: { by: string; who: string },
): Promise<boolean> {
  const roles = new Map((await membersOf(pool, jobId)).map(({ personId, role }) => [personId, role]))
  const may = rolesToGive(roles.get(by) ?? '')
  return may.some((role) => role === roles.get(who)) || (may.length > 0 && !roles.has(who))
}

/** Ends somebody's sight of a job. Who owns it hands it to another first. @returns whether they were on it. */
export async function leaveJob(client: Client, jobId: string, personId: string): Promise<boolean> {
  const left = await on(client)
    .update(jobMember)
    .set({ role: LEFT })
    .where(
      and(
        eq(jobMember.jobId, jobId),
        eq(jobMember.personId, personId),
        notInArray(jobMember.role, ['owner', LEFT]),
      ),
    )
  return (left.rowCount ?? 0) > 0
}
