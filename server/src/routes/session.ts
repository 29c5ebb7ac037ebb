import { KINDS_OF_QUANTITY, LANGUAGES } from '@jugalis/core'
import { eq } from 'drizzle-orm'
import { type Request, type RequestHandler, Router } from 'express'
import type pg from 'pg'
import { ipKeyGenerator, rateLimit } from 'express-rate-limit'
import * as yup from 'yup'
import { checked } from '../checked.js'
import { keepAudit } from '../db/audit.js'
import { on } from '../db/connect.js'
import { isAdmin } from '../db/people.js'
import { person } from '../db/schema.js'
import { takeKey } from '../db/device-keys.js'
import { endSessions, sessionKey, sessionsOf } from '../db/sessions.js'
import { HttpError } from '../errors.js'
import { PUBLISHED, hashPassword, isOldHash, isPassword } from '../passwords.js'
import { settingsOf } from '../people.js'
import { refusal } from '../words.js'
import { type Person, isGuest, isShared, ownPin, requireFull, takingOver } from './hands.js'
import { ownPasskeys, signingInByKey } from './passkeys.js'
import { checkPassword } from './password-check.js'
import { jsonBody } from '../json-body.js'

declare module 'express-session' {
  interface SessionData {
    person: Person
    /** When they signed in here, epoch s, and with what. */
    sinceS: number
    agent: string
  }
}
const signIn = yup
  .object({ login: yup.string().required().max(100), password: yup.string().required().max(200) })
  .noUnknown()
const ownUnits = yup.string().oneOf(['metric', 'inch'])
/** What is kept with a person wherever they sign in: how they read, and whether single keys act. */
const settings = yup
  .object({
    own: yup
      .object(Object.fromEntries(KINDS_OF_QUANTITY.map((k) => [k, ownUnits])))
      .noUnknown()
      .required(),
    decimal: yup.string().oneOf(['device', '.', ',']).required(),
    hours: yup.number().oneOf([12, 24]).required(),
    // Pages of before it was asked do not send it.
    language: yup.string().oneOf([...LANGUAGES, 'pseudo']),
    keys: yup.boolean().required(),
  })
  .noUnknown()
const CHANGED = yup
  .object({ old: yup.string().max(1000).required(), password: yup.string().max(1000).required() })
  .noUnknown()

const KEY = yup
  .object({ personId: yup.string().uuid().required(), spki: yup.string().max(1000).required() })
  .noUnknown()

/** Who asks. @throws HttpError 401 where nobody signed in. */
export function me(req: Request): Person {
  const { person: signedIn } = req.session
  if (!signedIn) throw new HttpError(401, 'sign-in', refusal('refused-sign-in-first-4'))
  return signedIn
}
export const requireSession: RequestHandler = (req, _res, next) => {
  me(req)
  next()
}

/** Signs somebody in on this browser: under a new name, so that nobody who knew the old one comes along. */
export async function signInAs(req: Request, person: Person, nowS: number): Promise<void> {
  await new Promise<void>((done, fail) =>
    req.session.regenerate((e?: unknown) => (e ? fail(e as Error) : done())),
  )
  req.session.person = person
  req.session.sinceS = nowS
  req.session.full = { ...person, atS: nowS }
  req.session.agent = (req.get('user-agent') ?? '').slice(0, MOST_AGENT)
}
const MOST_AGENT = 200

/** What signing in stands on. */
interface On {
  pool: pg.Pool
  nowS: () => number
  /** Is this the demo, whose password is published? Then it holds on this machine alone. */
  demo: boolean
  /** Are tries counted? */
  limited: boolean
}
/** A published password opens nothing for anybody elsewhere. */
const isHere = (req: Request): boolean => req.ip === undefined || /^(?:127\.|::1$|::ffff:127\.)/.test(req.ip)

/** So many wrong tries for one name from one address; nobody locks others out by guessing at their name. */
const MOST_TRIES = 12
const TRIES_MS = 15 * 60_000
const triesOf = (limited: boolean) =>
  rateLimit({
    windowMs: TRIES_MS,
    limit: MOST_TRIES,
    // What is no try is refused for its form.
    skip: (req) => !limited || !signIn.isValidSync(req.body, { strict: true }),
    skipSuccessfulRequests: true,
    standardHeaders: false,
    legacyHeaders: false,
    keyGenerator: (req) =>
      `${ipKeyGenerator(req.ip ?? '')} ${String((req.body as { login?: unknown })?.login)
        .toLowerCase()
        .slice(0, 100)}`,
    handler: (_req, _res, next) => next(new HttpError(429, 'too-many', refusal('refused-too-many-tries'))),
  })

function signingIn(routes: Router, { pool, nowS, demo, limited }: On): void {
  const tries = triesOf(limited)
  routes.get('/', async (req, res) => {
    const { person: own } = req.session
    const admin = own && !isGuest(req) ? await isAdmin(pool, own.personId) : false
    res.json({ person: own ? { ...own, admin } : null, demo, shared: await isShared(pool, req) })
  })
  routes.post('/', jsonBody('10kb'), tries, async (req, res) => {
    if (!signIn.isValidSync(req.body, { strict: true }))
      throw new HttpError(422, 'bad-input', refusal('refused-give-a-name-and'), 'login')
    const { login, password } = req.body as { login: string; password: string }
    const [row] = await on(pool).select().from(person).where(eq(person.login, login.toLowerCase()))
    const right = await isPassword(password, row?.passwordHash ?? null)
    const line = { atS: nowS(), by: null, of: row?.personId ?? null, said: req.ip ?? '' }
    if (!row || !row.passwordHash || !right || row.leftAt) {
      if (row) await keepAudit(pool, { ...line, what: 'sign-in-failed', orgId: row.orgId })
      throw new HttpError(401, 'wrong-sign-in', refusal('refused-name-or-password-is'), 'password')
    }
    if (password === PUBLISHED && !isHere(req))
      throw new HttpError(403, 'published', refusal('refused-published-password'), 'password')
    if (isOldHash(row.passwordHash)) await keepPassword(pool, row.personId, password)
    const own = { personId: row.personId, name: row.name, orgId: row.orgId }
    await signInAs(req, own, nowS())
    await keepAudit(pool, { ...line, what: 'signed-in', orgId: row.orgId })
    res.json({ person: { ...own, admin: row.admin } })
  })
  routes.delete('/', async (req, res) => {
    await new Promise<void>((done) => req.session.destroy(() => done()))
    res.status(204).end()
  })
}
async function keepPassword(pool: pg.Pool, personId: string, password: string): Promise<void> {
  await on(pool)
    .update(person)
    .set({ passwordHash: await hashPassword(password) })
    .where(eq(person.personId, personId))
}

function ownSessions(routes: Router, { pool, nowS }: On): void {
  routes.put('/password', requireSession, requireFull, jsonBody('8kb'), async (req, res) => {
    const { old, password } = checked(CHANGED, req.body)
    const { personId, name, orgId } = me(req)
    const [row] = await on(pool).select().from(person).where(eq(person.personId, personId))
    if (!(await isPassword(old, row?.passwordHash ?? null)))
      throw new HttpError(422, 'wrong-password', refusal('refused-old-password'), 'old')
    checkPassword(password, row?.login ?? '')
    await keepPassword(pool, personId, password)
    // Whoever knew the old one is signed out with it.
    await endSessions(pool, personId, { butNot: req.sessionID })
    await keepAudit(pool, {
      what: 'password-changed',
      atS: nowS(),
      orgId,
      by: personId,
      of: personId,
      said: name,
    })
    res.status(204).end()
  })
  routes.get('/all', requireSession, async (req, res) => {
    const here = sessionKey(req.sessionID)
    const all = await sessionsOf(pool, me(req).personId)
    res.json({ sessions: all.map((one) => ({ ...one, here: one.key === here })) })
  })
  routes.delete('/all/:key', requireSession, requireFull, async (req, res) => {
    const { personId, orgId } = me(req)
    const key = String(req.params.key)
    const ended = await endSessions(
      pool,
      personId,
      key === 'others' ? { butNot: req.sessionID } : { only: key },
    )
    if (ended)
      await keepAudit(pool, {
        what: 'sessions-ended',
        atS: nowS(),
        orgId,
        by: personId,
        of: personId,
        said: String(ended),
      })
    res.status(204).end()
  })
}
/** The key of this browser: what is written here is signed with its other half. */
function deviceKeys(routes: Router, { pool, nowS }: On): void {
  routes.put('/key', requireSession, jsonBody('4kb'), async (req, res) => {
    const { personId, spki } = checked(KEY, req.body)
    // A device that two people share: the key of one is not taken under the other's name.
    if (personId !== me(req).personId)
      throw new HttpError(401, 'other-person', refusal('refused-key-of-another'), 'personId')
    const agent = (req.get('user-agent') ?? '').slice(0, MOST_AGENT)
    res.json({ key: await takeKey(pool, me(req), spki, { agent, nowS: nowS() }) })
  })
}
function choices(routes: Router, { pool }: On): void {
  routes.get('/settings', requireSession, async (req, res) => {
    res.json({ settings: await settingsOf(pool, me(req).personId) })
  })
  routes.put('/settings', requireSession, jsonBody('4kb'), async (req, res) => {
    const asked = checked(settings, req.body)
    await on(pool)
      .update(person)
      .set({ settings: asked })
      .where(eq(person.personId, me(req).personId))
    res.status(204).end()
  })
}
export function sessionRoutes(given: On): Router {
  const routes = Router()
  for (const part of [signingIn, ownSessions, deviceKeys, choices]) part(routes, given)
  for (const part of [ownPin, takingOver]) part(routes, requireSession, given)
  ownPasskeys(routes, requireSession, given, me)
  signingInByKey(routes, given, signInAs)
  return routes
}
