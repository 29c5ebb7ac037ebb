import bcrypt from 'bcryptjs'
import type pg from 'pg'

export interface NewPerson {
  personId: string
  orgId: string
  name: string
  login: string
  password: string
}
/** Adds a person who may sign in. */
export async function addPerson(pool: pg.Pool, p: NewPerson): Promise<void> {
  await pool.query(
    'insert into person (org_id, person_id, name, login, password_hash) values ($1, $2, $3, $4, $5) on conflict (person_id) do nothing',
    [p.orgId, p.personId, p.name, p.login, await bcrypt.hash(p.password, 10)],
  )
}
