import { Router } from 'express'
import type pg from 'pg'
import * as yup from 'yup'
import { checked } from '../checked.js'
import { accept, guestOf } from '../db/invitations.js'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import { checkPassword } from './password-check.js'
import { signInAs } from './session.js'
import { jsonBody } from '../json-body.js'

const COMING = yup
  .object({
    name: yup.string().trim().max(80).default(''),
    login: yup.string().trim().lowercase().max(80).default(''),
    password: yup.string().max(1000).required(),
    org: yup.string().trim().max(120).default(''),
  })
  .noUnknown()
/** As somebody signs in: no spaces, nothing that looks like another letter. */
const LOGIN = /^[a-z0-9][a-z0-9._@+-]{1,79}$/

/** Where an invitation leads: who is invited, and how they come in. Nobody has to be signed in. */
export function welcomeRoutes(pool: pg.Pool, nowS: () => number): Router {
  const routes = Router()
  routes.get('/:token', async (req, res) => {
    res.json(await guestOf(pool, req.params.token, nowS()))
  })
  routes.post('/:token', jsonBody('8kb'), async (req, res) => {
    const coming = checked(COMING, req.body)
    const guest = await guestOf(pool, req.params.token, nowS())
    if (guest.login === null) {
      if (guest.org === null && !coming.org)
        throw new HttpError(422, 'bad-input', refusal('refused-name-of-org'), 'org')
      if (!coming.name) throw new HttpError(422, 'bad-input', refusal('refused-name-of-person'), 'name')
      if (!LOGIN.test(coming.login)) throw new HttpError(422, 'bad-input', refusal('refused-login'), 'login')
    }
    checkPassword(coming.password, guest.login ?? coming.login)
    const person = await accept(pool, req.params.token, coming, nowS())
    await signInAs(req, person, nowS())
    res.status(201).json({ person })
  })
  return routes
}
