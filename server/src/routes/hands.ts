import { and, eq, isNotNull, isNull, ne } from 'drizzle-orm'
import { type Request, type RequestHandler, type Router } from 'express'
import type pg from 'pg'
import { rateLimit } from 'express-rate-limit'
import * as yup from 'yup'
import { checked } from '../checked.js'
import { keepAudit } from '../db/audit.js'
import { type Client, on } from '../db/connect.js'
import { person } from '../db/schema.js'
import { HttpError } from '../errors.js'
import { jsonBody } from '../json-body.js'
import { hashPassword, isPassword, pinFault } from '../passwords.js'
import { refusal } from '../words.js'

/** Somebody signed in here. */
export interface Person {
  personId: string
  name: string
  orgId: string
}
declare module 'express-session' {
  interface SessionData {
    /** Who signed in with their password on this device, and when, epoch s; `person` is who works on it now. */
    full: Person & { atS: number }
  }
}
/** Who signed in with their password. Sessions of before this was told have one person alone. */
export function fullOf({ session }: Request): (Person & { atS: number }) | null {
  if (session.full) return session.full
  return session.person ? { ...session.person, atS: session.sinceS ?? 0 } : null
}
/** Is it somebody else who works on this device than whoever signed in on it? */
export const isGuest = (req: Request): boolean =>
  req.session.person !== undefined && fullOf(req)?.personId !== req.session.person.personId
/** What is for who signed in with a password alone. @throws HttpError 403. */
export const requireFull: RequestHandler = (req, _res, next) => {
  if (isGuest(req)) throw new HttpError(403, 'only-with-password', refusal('refused-only-with-password'))
  next()
}

/** One sign-in with a password a day: until then others may take the device over, s. */
const A_DAY_S = 86_400
/** So many wrong tries at one person from one sign-in: nobody else is locked out by them. */
const MOST_TRIES = 6
const TRIES_MS = 15 * 60_000
const PIN = yup
  .object({ password: yup.string().max(1000).required(), pin: yup.string().max(100).required() })
  .noUnknown()
const TAKEN = yup
  .object({ personId: yup.string().uuid().required(), pin: yup.string().max(100).required() })
  .noUnknown()

/** People of an organisation who take a device over with a PIN. */
const othersOf = (client: Client, orgId: string, butNot: string) =>
  on(client)
    .select({ personId: person.personId, name: person.name })
    .from(person)
    .where(
      and(
        eq(person.orgId, orgId),
        ne(person.personId, butNot),
        isNotNull(person.pinHash),
        isNotNull(person.login),
        isNull(person.leftAt),
      ),
    )
    .orderBy(person.name)
const pinOf = async (client: Client, personId: string): Promise<string | null> => {
  const [row] = await on(client).select().from(person).where(eq(person.personId, personId))
  return row && !row.leftAt ? row.pinHash : null
}

/** Does this device go from hand to hand: is it lent, or could it be? */
export async function isShared(client: Client, req: Request): Promise<boolean> {
  const own = req.session.person
  if (!own) return false
  if (isGuest(req)) return true
  return (
    (await pinOf(client, own.personId)) !== null &&
    (await othersOf(client, own.orgId, own.personId)).length > 0
  )
}
interface On {
  pool: pg.Pool
  nowS: () => number
  limited: boolean
}
/** One's own PIN: set with the password, taken away without. */
export function ownPin(routes: Router, signedIn: RequestHandler, { pool, nowS }: On): void {
  routes.put('/pin', signedIn, requireFull, jsonBody('4kb'), async (req, res) => {
    const { password, pin } = checked(PIN, req.body)
    const own = req.session.person as Person
    const [row] = await on(pool).select().from(person).where(eq(person.personId, own.personId))
    if (!(await isPassword(password, row?.passwordHash ?? null)))
      throw new HttpError(422, 'wrong-password', refusal('refused-old-password'), 'password')
    const fault = pinFault(pin)
    if (fault) throw new HttpError(422, 'weak-pin', refusal(`refused-pin-${fault}`), 'pin')
    await keepPin(pool, own, await hashPassword(pin), nowS())
    res.status(204).end()
  })
  routes.delete('/pin', signedIn, requireFull, async (req, res) => {
    await keepPin(pool, req.session.person as Person, null, nowS())
    res.status(204).end()
  })
}
async function keepPin(pool: pg.Pool, own: Person, pinHash: string | null, atS: number): Promise<void> {
  const { personId, orgId, name } = own
  await on(pool).update(person).set({ pinHash }).where(eq(person.personId, personId))
  await keepAudit(pool, { what: 'pin-changed', atS, orgId, by: personId, of: personId, said: name })
}

/** Who may take this device over, and taking it over. */
export function takingOver(routes: Router, signedIn: RequestHandler, { pool, nowS, limited }: On): void {
  const tries = rateLimit({
    windowMs: TRIES_MS,
    limit: MOST_TRIES,
    skip: (req) => !limited || !TAKEN.isValidSync(req.body, { strict: true }),
    skipSuccessfulRequests: true,
    standardHeaders: false,
    legacyHeaders: false,
    keyGenerator: (req) =>
      `${fullOf(req)?.personId ?? ''} ${String((req.body as { personId?: unknown })?.personId)}`,
    handler: (_req, _res, next) => next(new HttpError(429, 'too-many', refusal('refused-too-many-tries'))),
  })
  routes.get('/hands', signedIn, async (req, res) => {
    const own = req.session.person as Person
    const full = fullOf(req)
    res.json({
      people: await othersOf(pool, own.orgId, own.personId),
      pin: (await pinOf(pool, own.personId)) !== null,
      guest: isGuest(req),
      shared: await isShared(pool, req),
      signedIn: full?.name ?? own.name,
    })
  })
  routes.post('/hands', signedIn, jsonBody('4kb'), tries, async (req, res) => {
    const { personId, pin } = checked(TAKEN, req.body)
    const own = req.session.person as Person
    const full = fullOf(req)
    if (!full || nowS() - full.atS > A_DAY_S)
      throw new HttpError(403, 'sign-in-anew', refusal('refused-sign-in-anew'))
    // Whoever lends the device comes back to it by a PIN too.
    if ((await pinOf(pool, full.personId)) === null)
      throw new HttpError(409, 'no-own-pin', refusal('refused-no-own-pin'))
    const [row] = await on(pool)
      .select()
      .from(person)
      .where(and(eq(person.orgId, own.orgId), eq(person.personId, personId), isNull(person.leftAt)))
    const line = {
      atS: nowS(),
      orgId: own.orgId,
      by: full.personId,
      of: row?.personId ?? null,
      said: full.name,
    }
    if (!(await isPassword(pin, row?.pinHash ?? null)) || !row) {
      if (row) await keepAudit(pool, { ...line, what: 'took-over-failed' })
      throw new HttpError(422, 'wrong-pin', refusal('refused-wrong-pin'), 'pin')
    }
    const taken: Person = { personId: row.personId, name: row.name, orgId: row.orgId }
    req.session.full = full
    req.session.person = taken
    await keepAudit(pool, { ...line, what: 'took-over' })
    res.json({ person: { ...taken, admin: row.admin && taken.personId === full.personId } })
  })
}
