import { LANGUAGES, type Reader, type System } from '@jugalis/core'
import bcrypt from 'bcryptjs'
import type pg from 'pg'

/** How a person reads: the units, the decimal sign and the language they chose, the school's units for the rest. */
export async function readerOf(pool: pg.Pool, personId: string, school: System): Promise<Reader> {
  const r = await pool.query<{
    settings: Partial<{
      own: Reader['own']
      decimal: string
      language: string
    }> | null
  }>('select settings from person where person_id = $1', [personId])
  const { own, decimal, language } = r.rows[0]?.settings ?? {}
  return {
    units: school,
    ...(own ? { own } : {}),
    ...(decimal === '.' || decimal === ',' ? { decimal } : {}),
    language: LANGUAGES.find((l) => l === language) ?? 'en',
  }
}

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
