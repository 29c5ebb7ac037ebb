import type pg from 'pg'
import { HttpError } from '../errors.js'
import { NEW_HEAD } from './log.js'
import { refusal } from '../words.js'

export interface JobRow {
  jobId: string
  name: string
  role: string
}
/** Creates a job with its first member. Inside the caller's transaction. */
export async function insertJob(
  client: pg.PoolClient,
  jobId: string,
  orgId: string,
  name: string,
  createdAtS: number,
): Promise<void> {
  await client.query(
    'insert into job (job_id, org_id, name, created_at) values ($1, $2, $3, to_timestamp($4))',
    [jobId, orgId, name, createdAtS],
  )
  await client.query('insert into job_head (job_id, seq, hash) values ($1, 0, $2)', [
    jobId,
    Buffer.from(NEW_HEAD.hash, 'hex'),
  ])
}
export async function insertMember(
  client: pg.PoolClient | pg.Pool,
  jobId: string,
  personId: string,
  name: string,
  role: string,
): Promise<void> {
  await client.query(
    'insert into job_member (job_id, person_id, name, role) values ($1, $2, $3, $4) on conflict do nothing',
    [jobId, personId, name, role],
  )
}

/** Puts somebody of the same organisation on a job, by login. */
export async function addMember(pool: pg.Pool, jobId: string, orgId: string, login: string): Promise<string> {
  const r = await pool.query<{ person_id: string; name: string }>(
    'select person_id, name from person where org_id = $1 and login = $2',
    [orgId, login.trim().toLowerCase()],
  )
  const found = r.rows[0]
  if (!found)
    throw new HttpError(422, 'unknown-person', refusal('refused-nobody-here-signs-in', { login }), 'login')
  await insertMember(pool, jobId, found.person_id, found.name, 'member')
  return found.name
}

export async function jobsOf(pool: pg.Pool, personId: string): Promise<JobRow[]> {
  const r = await pool.query<{ job_id: string; name: string; role: string }>(
    'select j.job_id, j.name, m.role from job j join job_member m on m.job_id = j.job_id where m.person_id = $1 order by j.created_at, j.name',
    [personId],
  )
  return r.rows.map((x) => ({ jobId: x.job_id, name: x.name, role: x.role }))
}
export async function membersOf(
  pool: pg.Pool,
  jobId: string,
): Promise<{ personId: string; name: string; role: string }[]> {
  const r = await pool.query<{ person_id: string; name: string; role: string }>(
    'select person_id, name, role from job_member where job_id = $1 order by name',
    [jobId],
  )
  return r.rows.map((x) => ({ personId: x.person_id, name: x.name, role: x.role }))
}

/** Refuses anyone who is not on the job. A job that is not there looks the same as one that is not yours. */
export async function requireMember(pool: pg.Pool, jobId: string, personId: string): Promise<string> {
  const r = await pool.query<{ role: string }>(
    'select role from job_member where job_id = $1 and person_id = $2',
    [jobId, personId],
  )
  const role = r.rows[0]?.role
  if (!role) throw new HttpError(404, 'not-found', refusal('refused-there-is-no-such-job'))
  return role
}

export async function inTransaction<T>(
  pool: pg.Pool,
  work: (client: pg.PoolClient) => Promise<T>,
): Promise<T> {
  const client = await pool.connect()
  try {
    await client.query('begin')
    const done = await work(client)
    await client.query('commit')
    return done
  } catch (e) {
    await client.query('rollback').catch(() => undefined)
    throw e
  } finally {
    client.release()
  }
}
