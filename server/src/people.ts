import { LANGUAGES, type Reader, type System } from '@jugalis/core'
import { eq } from 'drizzle-orm'
import type pg from 'pg'
import { type Client, on } from './db/connect.js'
import { person } from './db/schema.js'
import { hashPassword } from './passwords.js'

/** What a person chose of how they read; null: nothing. */
export async function settingsOf(pool: pg.Pool, personId: string): Promise<unknown> {
  const [found] = await on(pool)
    .select({ settings: person.settings })
    .from(person)
    .where(eq(person.personId, personId))
  return found?.settings ?? null
}
/** How a person reads: the units, the decimal sign and the language they chose, the school's units for the rest. */
export async function readerOf(pool: pg.Pool, personId: string, school: System): Promise<Reader> {
  const kept = (await settingsOf(pool, personId)) as Partial<{
    own: Reader['own']
    decimal: string
    language: string
  }> | null
  const { own, decimal, language } = kept ?? {}
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
  /** Brings people in and lets them go. */
  admin?: boolean
}
/** Adds a person who may sign in. */
export async function addPerson(client: Client, fresh: NewPerson): Promise<void> {
  const { password, ...named } = fresh
  await on(client)
    .insert(person)
    .values({ ...named, passwordHash: await hashPassword(password) })
    .onConflictDoNothing({ target: person.personId })
}
