import { and, eq, isNotNull, isNull, ne } from 'drizzle-orm'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import { type Audited, keepAudit } from './audit.js'
import { type Client, dateOf, inTransaction, on, secondsOf } from './connect.js'
import { person } from './schema.js'
import { endSessions } from './sessions.js'

/** Somebody of the organisation who signs in, or did. */
export interface Known {
  personId: string
  name: string
  login: string
  admin: boolean
  /** Since when they may not sign in any more, epoch s; null: they may. */
  leftAtS: number | null
}
/** Everybody who signs in or did; who is known from an imported job by name only is not among them. */
export async function peopleOf(client: Client, orgId: string): Promise<Known[]> {
  const rows = await on(client)
    .select()
    .from(person)
    .where(and(eq(person.orgId, orgId), isNotNull(person.login)))
    .orderBy(person.name)
  return rows.map((row) => ({
    personId: row.personId,
    name: row.name,
    login: row.login ?? '',
    admin: row.admin,
    leftAtS: row.leftAt ? secondsOf(row.leftAt) : null,
  }))
}
/** May this person bring people in and let them go? Asked each time: what was so at sign-in may be so no more. */
export const isAdmin = async (client: Client, personId: string): Promise<boolean> =>
  (await on(client).$count(
    person,
    and(eq(person.personId, personId), eq(person.admin, true), isNull(person.leftAt)),
  )) > 0

/** Another state of somebody. An organisation is never left without an administrator. */
export const changePerson = (
  pool: pg.Pool,
  by: { personId: string; orgId: string },
  personId: string,
  to: { admin?: boolean; left?: boolean },
  nowS: number,
): Promise<void> =>
  inTransaction(pool, async (client) => {
    const [whose] = await on(client)
      .select()
      .from(person)
      .where(and(eq(person.orgId, by.orgId), eq(person.personId, personId), isNotNull(person.login)))
      .for('update')
    if (!whose) throw new HttpError(404, 'not-found', refusal('refused-no-such-person'))
    const stays = (to.admin ?? whose.admin) && !(to.left ?? whose.leftAt !== null)
    const others = await on(client)
      .select({ personId: person.personId })
      .from(person)
      .where(
        and(
          eq(person.orgId, by.orgId),
          eq(person.admin, true),
          isNull(person.leftAt),
          ne(person.personId, personId),
        ),
      )
      .for('update')
    if (whose.admin && !stays && !others.length)
      throw new HttpError(409, 'last-admin', refusal('refused-last-admin'))
    const acts: Audited[] = []
    if (to.admin !== undefined && to.admin !== whose.admin) acts.push(to.admin ? 'made-admin' : 'admin-ended')
    if (to.left !== undefined && to.left !== (whose.leftAt !== null)) acts.push(to.left ? 'let-go' : 'back')
    await on(client)
      .update(person)
      .set({
        ...(to.admin === undefined ? {} : { admin: to.admin }),
        ...(to.left === undefined ? {} : { leftAt: to.left ? (whose.leftAt ?? dateOf(nowS)) : null }),
      })
      .where(eq(person.personId, personId))
    if (to.left) await endSessions(client, personId)
    const line = { atS: nowS, orgId: by.orgId, by: by.personId, of: personId, said: whose.name }
    for (const what of acts) await keepAudit(client, { ...line, what })
  })
