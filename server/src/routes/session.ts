import { KINDS_OF_QUANTITY, LANGUAGES } from '@jugalis/core'
import bcrypt from 'bcryptjs'
import { eq } from 'drizzle-orm'
import express, { type Request, type RequestHandler, Router } from 'express'
import type pg from 'pg'
import * as yup from 'yup'
import { checked } from '../checked.js'
import { on } from '../db/connect.js'
import { person } from '../db/schema.js'
import { HttpError } from '../errors.js'
import { settingsOf } from '../people.js'
import { refusal } from '../words.js'

declare module 'express-session' {
  interface SessionData {
    person: { personId: string; name: string; orgId: string }
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
// Compared with when nobody has that login, so that both answers take as long.
const NOBODY = bcrypt.hashSync('nobody', 10)

/** Who asks. @throws HttpError 401 where nobody signed in. */
export function me(req: Request): { personId: string; name: string; orgId: string } {
  const { person: signedIn } = req.session
  if (!signedIn) throw new HttpError(401, 'sign-in', refusal('refused-sign-in-first-4'))
  return signedIn
}
export const requireSession: RequestHandler = (req, _res, next) => {
  me(req)
  next()
}

export function sessionRoutes(pool: pg.Pool): Router {
  const routes = Router()
  routes.get('/', (req, res) => {
    res.json({ person: req.session.person ?? null })
  })
  routes.post('/', express.json({ limit: '10kb' }), async (req, res) => {
    if (!signIn.isValidSync(req.body, { strict: true }))
      throw new HttpError(422, 'bad-input', refusal('refused-give-a-name-and'), 'login')
    const { login, password } = req.body as { login: string; password: string }
    const [row] = await on(pool).select().from(person).where(eq(person.login, login.toLowerCase()))
    const right = await bcrypt.compare(password, row?.passwordHash ?? NOBODY)
    if (!row || !row.passwordHash || !right)
      throw new HttpError(401, 'wrong-sign-in', refusal('refused-name-or-password-is'), 'password')
    await new Promise<void>((done, fail) =>
      req.session.regenerate((e?: unknown) => (e ? fail(e as Error) : done())),
    )
    req.session.person = { personId: row.personId, name: row.name, orgId: row.orgId }
    res.json({ person: req.session.person })
  })
  routes.get('/settings', requireSession, async (req, res) => {
    res.json({ settings: await settingsOf(pool, me(req).personId) })
  })
  routes.put('/settings', requireSession, express.json({ limit: '4kb' }), async (req, res) => {
    const asked = checked(settings, req.body)
    await on(pool)
      .update(person)
      .set({ settings: asked })
      .where(eq(person.personId, me(req).personId))
    res.status(204).end()
  })
  routes.delete('/', async (req, res) => {
    await new Promise<void>((done) => req.session.destroy(() => done()))
    res.status(204).end()
  })
  return routes
}
