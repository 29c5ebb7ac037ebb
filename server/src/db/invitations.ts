import { createHash, randomBytes, randomUUID } from 'node:crypto'
import { and, eq, gt, isNull } from 'drizzle-orm'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { hashPassword } from '../passwords.js'
import { refusal } from '../words.js'
import { keepAudit } from './audit.js'
import { type Client, dateOf, inTransaction, on, secondsOf } from './connect.js'
import { insertMember } from './jobs.js'
import { invitation, job, org, person } from './schema.js'
import { endSessions } from './sessions.js'

/** What an invitation is for. */
export interface Wanted {
  orgId: string
  name: string
  admin: boolean
  jobId: string | null
  /** Whose password it makes anew. */
  personId: string | null
  by: string | null
}
/** An invitation that was not used yet, as it is listed. */
export interface Open {
  key: string
  name: string
  admin: boolean
  again: boolean
  untilS: number
}
/** Days an invitation is good; the code of a first start is good for one. */
export const GOOD_DAYS = 7
const DAY_S = 86_400
const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest()
const TOKEN_BYTES = 18

/** Makes an invitation; its token is known to whoever asked, and here only by its hash. */
export async function invite(
  client: Client,
  wanted: Wanted,
  nowS: number,
  days = GOOD_DAYS,
): Promise<string> {
  const token = randomBytes(TOKEN_BYTES).toString('base64url')
  const { by, ...rest } = wanted
  await on(client)
    .insert(invitation)
    .values({
      ...rest,
      tokenHash: hashOf(token),
      madeBy: by,
      madeAt: dateOf(nowS),
      until: dateOf(nowS + days * DAY_S),
    })
  return token
}
export async function openInvitations(client: Client, orgId: string, nowS: number): Promise<Open[]> {
  const rows = await on(client)
    .select()
    .from(invitation)
    .where(and(eq(invitation.orgId, orgId), isNull(invitation.usedAt), gt(invitation.until, dateOf(nowS))))
  return rows.map((row) => ({
    key: row.tokenHash.toString('hex'),
    name: row.name,
    admin: row.admin,
    again: row.personId !== null,
    untilS: secondsOf(row.until),
  }))
}
/** Takes an invitation back. @returns whether there was one. */
export async function uninvite(client: Client, orgId: string, key: string): Promise<boolean> {
  if (!/^[0-9a-f]{64}$/.test(key)) return false
  const gone = await on(client)
    .delete(invitation)
    .where(
      and(
        eq(invitation.orgId, orgId),
        eq(invitation.tokenHash, Buffer.from(key, 'hex')),
        isNull(invitation.usedAt),
      ),
    )
  return (gone.rowCount ?? 0) > 0
}

export interface Guest {
  name: string
  /** Of the organisation; null: the first start, it has none yet. */
  org: string | null
  /** Whose password it is about, as they sign in; null: somebody new. */
  login: string | null
}
const noSuch = (): HttpError => new HttpError(404, 'no-invitation', refusal('refused-no-invitation'))

/** The invitation that a token opens. @throws HttpError 404 where there is none, or it was used, or is past its time. */
async function found(client: Client, token: string, nowS: number) {
  const [row] = await on(client)
    .select()
    .from(invitation)
    .where(
      and(
        eq(invitation.tokenHash, hashOf(token)),
        isNull(invitation.usedAt),
        gt(invitation.until, dateOf(nowS)),
      ),
    )
  if (!row) throw noSuch()
  const [own] = await on(client).select({ name: org.name }).from(org).where(eq(org.orgId, row.orgId))
  const [whose] = row.personId
    ? await on(client).select({ login: person.login }).from(person).where(eq(person.personId, row.personId))
    : []
  return { row, org: own?.name ?? null, login: whose?.login ?? null }
}
export async function guestOf(client: Client, token: string, nowS: number): Promise<Guest> {
  const { row, org: own, login } = await found(client, token, nowS)
  return { name: row.name, org: own, login }
}
export interface Coming {
  name: string
  login: string
  password: string
  /** Name of the organisation, where it is the first start. */
  org: string
}

/** Somebody comes in by an invitation, or has a new password by it. All of it, or nothing; a token is good once. */
export const accept = (
  pool: pg.Pool,
  token: string,
  coming: Coming,
  nowS: number,
): Promise<{ personId: string; name: string; orgId: string }> =>
  inTransaction(pool, async (client) => {
    const { row, org: own } = await found(client, token, nowS)
    const used = await on(client)
      .update(invitation)
      .set({ usedAt: dateOf(nowS) })
      .where(and(eq(invitation.tokenHash, row.tokenHash), isNull(invitation.usedAt)))
    // Two who open the same link at once.
    if (!used.rowCount) throw noSuch()
    const passwordHash = await hashPassword(coming.password)
    const { orgId } = row
    if (row.personId) {
      const [whose] = await on(client)
        .update(person)
        .set({ passwordHash, leftAt: null })
        .where(eq(person.personId, row.personId))
        .returning({ name: person.name })
      if (!whose) throw noSuch()
      await endSessions(client, row.personId)
      const audit = { what: 'password-changed', atS: nowS, orgId, by: row.madeBy, of: row.personId } as const
      await keepAudit(client, { ...audit, said: whose.name })
      return { personId: row.personId, name: whose.name, orgId }
    }
    const [taken] = await on(client)
      .select({ login: person.login })
      .from(person)
      .where(eq(person.login, coming.login))
    if (taken)
      throw new HttpError(
        409,
        'login-taken',
        refusal('refused-login-taken', { login: coming.login }),
        'login',
      )
    if (own === null) await on(client).insert(org).values({ orgId, name: coming.org })
    const personId = randomUUID()
    const { name, login } = coming
    await on(client).insert(person).values({ orgId, personId, name, login, passwordHash, admin: row.admin })
    if (row.jobId) {
      const there = await on(client).$count(job, eq(job.jobId, row.jobId))
      if (there) await insertMember(client, row.jobId, personId, name, 'fitter')
    }
    await keepAudit(client, { what: 'came', atS: nowS, orgId, by: row.madeBy, of: personId, said: name })
    return { personId, name, orgId }
  })

/** A code for the first administrator where there is none yet; null where there is. Codes of earlier starts end. */
export const firstCode = (pool: pg.Pool, nowS: number): Promise<string | null> =>
  inTransaction(pool, async (client) => {
    if (await on(client).$count(person, and(eq(person.admin, true), isNull(person.leftAt)))) return null
    await on(client)
      .delete(invitation)
      .where(and(isNull(invitation.madeBy), isNull(invitation.usedAt)))
    // An organisation that was there before anybody administered it keeps its name and its jobs.
    const [had] = await on(client).select({ orgId: org.orgId }).from(org).limit(1)
    const orgId = had?.orgId ?? randomUUID()
    return invite(client, { orgId, name: '', admin: true, jobId: null, personId: null, by: null }, nowS, 1)
  })
