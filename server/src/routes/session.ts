import { KINDS_OF_QUANTITY, LANGUAGES } from '@jugalis/core'
import bcrypt from 'bcryptjs'
import express, { type RequestHandler, Router } from 'express'
import type pg from 'pg'
import * as yup from 'yup'
import { checked } from '../checked.js'
import { HttpError } from '../errors.js'
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

export const requireSession: RequestHandler = (req, _res, next) => {
  if (!req.session.person) throw new HttpError(401, 'sign-in', refusal('refused-sign-in-first-4'))
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
    const r = await pool.query<{
      person_id: string
      name: string
      org_id: string
      password_hash: string | null
    }>('select person_id, name, org_id, password_hash from person where login = $1', [login.toLowerCase()])
    const row = r.rows[0]
    const right = await bcrypt.compare(password, row?.password_hash ?? NOBODY)
    if (!row || !row.password_hash || !right)
      throw new HttpError(401, 'wrong-sign-in', refusal('refused-name-or-password-is'), 'password')
    await new Promise<void>((done, fail) =>
      req.session.regenerate((e?: unknown) => (e ? fail(e as Error) : done())),
    )
    req.session.person = { personId: row.person_id, name: row.name, orgId: row.org_id }
    res.json({ person: req.session.person })
  })
  routes.get('/settings', requireSession, async (req, res) => {
    const r = await pool.query<{ settings: unknown }>('select settings from person where person_id = $1', [
      req.session.person?.personId,
    ])
    res.json({ settings: r.rows[0]?.settings ?? null })
  })
  routes.put('/settings', requireSession, express.json({ limit: '4kb' }), async (req, res) => {
    const asked = checked(settings, req.body)
    await pool.query('update person set settings = $2 where person_id = $1', [
      req.session.person?.personId,
      JSON.stringify(asked),
    ])
    res.status(204).end()
  })
  routes.delete('/', async (req, res) => {
    await new Promise<void>((done) => req.session.destroy(() => done()))
    res.status(204).end()
  })
  return routes
}
