import {
  type AuthenticationResponseJSON,
  type RegistrationResponseJSON,
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
} from '@simplewebauthn/server'
import { eq } from 'drizzle-orm'
import type { Request, RequestHandler, Router } from 'express'
import type pg from 'pg'
import * as yup from 'yup'
import { checked } from '../checked.js'
import { keepAudit } from '../db/audit.js'
import { on } from '../db/connect.js'
import { dropPasskey, keepPasskey, passkeyBy, passkeysOf, usedPasskey } from '../db/passkeys.js'
import { person } from '../db/schema.js'
import { HttpError } from '../errors.js'
import { jsonBody } from '../json-body.js'
import { isPassword } from '../passwords.js'
import { refusal } from '../words.js'
import { type Person, requireFull } from './hands.js'

declare module 'express-session' {
  interface SessionData {
    /** What a key was asked to sign, for what, and when, epoch s. */
    asked: { challenge: string; what: 'add' | 'sign-in'; atS: number }
  }
}
interface On {
  pool: pg.Pool
  nowS: () => number
}
/** What a key was asked is good for so long, s. */
const GOOD_FOR_S = 300
/** More keys than anybody has devices. */
const MOST_KEYS = 20
/** A browser's answer: what is in it the package looks at, not we. */
const ANSWER = yup
  .object({ id: yup.string().max(2000).required(), response: yup.object().required() })
  .required()
const ADDED = yup.object({ name: yup.string().trim().min(1).max(60).required(), answer: ANSWER }).noUnknown()
const CAME = yup.object({ answer: ANSWER }).noUnknown()
const PASSWORD = yup.object({ password: yup.string().max(1000).required() }).noUnknown()
/** Where this server is, as a browser calls it: a key is for that name alone. */
const placeOf = (req: Request) => ({
  expectedRPID: req.hostname,
  expectedOrigin: `${req.protocol}://${req.host}`,
  requireUserVerification: true,
})
const wrongKey = (): HttpError => new HttpError(422, 'wrong-passkey', refusal('refused-passkey'), 'answer')

/** What was asked in this session, once: a second answer to it is none. @throws HttpError 409 nothing was, or too long ago. */
function challengeOf(req: Request, what: 'add' | 'sign-in', nowS: number): string {
  const { asked } = req.session
  delete req.session.asked
  if (!asked || asked.what !== what || nowS - asked.atS > GOOD_FOR_S)
    throw new HttpError(409, 'asked-too-long-ago', refusal('refused-passkey-late'))
  return asked.challenge
}
/** What the package says of an answer; whatever it finds wrong is one thing to who sent it. */
async function verified<Found extends { verified: boolean }>(look: () => Promise<Found>): Promise<Found> {
  const found = await look().catch(() => null)
  if (!found?.verified) throw wrongKey()
  return found
}

/** One's own keys: put on with the password, listed, taken away. */
export function ownPasskeys(
  routes: Router,
  requireSession: RequestHandler,
  { pool, nowS }: On,
  me: (req: Request) => Person,
): void {
  const full = [requireSession, requireFull]
  routes.get('/passkeys', requireSession, async (req, res) => {
    res.json({ passkeys: await passkeysOf(pool, me(req).personId) })
  })
  routes.post('/passkeys/begin', ...full, jsonBody('4kb'), async (req, res) => {
    const { password } = checked(PASSWORD, req.body)
    const { personId, name } = me(req)
    const [row] = await on(pool).select().from(person).where(eq(person.personId, personId))
    if (!(await isPassword(password, row?.passwordHash ?? null)))
      throw new HttpError(422, 'wrong-password', refusal('refused-old-password'), 'password')
    const had = await passkeysOf(pool, personId)
    if (had.length >= MOST_KEYS) throw new HttpError(409, 'too-many', refusal('refused-too-many-keys'))
    const options = await generateRegistrationOptions({
      rpName: 'Jugalis',
      rpID: req.hostname,
      userName: row?.login ?? name,
      userDisplayName: name,
      userID: new Uint8Array(Buffer.from(personId.replaceAll('-', ''), 'hex')),
      attestationType: 'none',
      excludeCredentials: had.map(({ key }) => ({ id: key })),
      authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
    })
    req.session.asked = { challenge: options.challenge, what: 'add', atS: nowS() }
    res.json({ options })
  })
  routes.post('/passkeys', ...full, jsonBody('32kb'), async (req, res) => {
    const { name, answer } = checked(ADDED, req.body)
    const expectedChallenge = challengeOf(req, 'add', nowS())
    const { registrationInfo } = await verified(() =>
      verifyRegistrationResponse({
        response: answer as unknown as RegistrationResponseJSON,
        expectedChallenge,
        ...placeOf(req),
      }),
    )
    if (!registrationInfo) throw wrongKey()
    const { id, publicKey, counter } = registrationInfo.credential
    if (!(await keepPasskey(pool, me(req), { id, name, publicKey, counter }, nowS()))) throw wrongKey()
    await told(req, 'passkey-added', name)
    res.status(201).json({ key: id })
  })
  routes.delete('/passkeys/:key', ...full, async (req, res) => {
    const name = await dropPasskey(pool, me(req).personId, String(req.params.key))
    if (name !== null) await told(req, 'passkey-gone', name)
    res.status(204).end()
  })
  const told = (req: Request, what: 'passkey-added' | 'passkey-gone', said: string): Promise<void> => {
    const { personId, orgId } = me(req)
    return keepAudit(pool, { what, atS: nowS(), orgId, by: personId, of: personId, said })
  }
}

/** Signing in with a key: the device says who it is and that its owner is there. */
export function signingInByKey(
  routes: Router,
  { pool, nowS }: On,
  signInAs: (req: Request, person: Person, nowS: number) => Promise<void>,
): void {
  routes.post('/passkey/begin', async (req, res) => {
    const options = await generateAuthenticationOptions({ rpID: req.hostname, userVerification: 'required' })
    req.session.asked = { challenge: options.challenge, what: 'sign-in', atS: nowS() }
    // Nobody is signed in by it: it need not outlive the question.
    if (!req.session.person) req.session.cookie.maxAge = GOOD_FOR_S * 1000
    res.json({ options })
  })
  routes.post('/passkey', jsonBody('32kb'), async (req, res) => {
    const { answer } = checked(CAME, req.body)
    const expectedChallenge = challengeOf(req, 'sign-in', nowS())
    const known = await passkeyBy(pool, answer.id)
    const [row] = known ? await on(pool).select().from(person).where(eq(person.personId, known.personId)) : []
    if (!known || !row?.login || row.leftAt) throw wrongKey()
    const line = { atS: nowS(), by: null, of: row.personId, orgId: row.orgId, said: req.ip ?? '' }
    const { credentialId: id, publicKey, counter } = known
    const { authenticationInfo } = await verified(() =>
      verifyAuthenticationResponse({
        response: answer as unknown as AuthenticationResponseJSON,
        expectedChallenge,
        credential: { id, publicKey: new Uint8Array(publicKey), counter },
        ...placeOf(req),
      }),
    ).catch(async (error: unknown) => {
      await keepAudit(pool, { ...line, what: 'sign-in-failed' })
      throw error
    })
    await usedPasskey(pool, id, authenticationInfo.newCounter, nowS())
    const own = { personId: row.personId, name: row.name, orgId: row.orgId }
    await signInAs(req, own, nowS())
    await keepAudit(pool, { ...line, what: 'signed-in' })
    res.json({ person: { ...own, admin: row.admin } })
  })
}
