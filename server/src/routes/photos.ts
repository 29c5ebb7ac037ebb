import { PHOTO } from '@jugalis/core'
import express, { type Request, Router } from 'express'
import type pg from 'pg'
import { keepPhoto, photoOf, pictureIn } from '../db/photos.js'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import type { JobOf } from './job-of.js'

const HASH = /^[0-9a-f]{64}$/
const hashIn = (req: Request): string => {
  const hash = String(req.params.hash).toLowerCase()
  if (!HASH.test(hash)) throw new HttpError(404, 'not-found', refusal('refused-there-is-no-such-picture'))
  return hash
}

/**
 * Pictures of joints: bytes only, under the hash that the log names. What a log says of a picture may come before or
 * after the picture itself; neither waits for the other.
 * @param jobId who may: the id of a job of which the person asking is a member.
 */
export function photoRoutes(pool: pg.Pool, jobId: JobOf): Router {
  const routes = Router({ mergeParams: true })
  const raw = express.raw({ type: [...PHOTO.kinds], limit: PHOTO.mostBytes })
  routes.put('/:hash', raw, async (req, res) => {
    const id = await jobId(req, 'make')
    const hash = hashIn(req)
    const bytes: unknown = req.body
    const picture = pictureIn(Buffer.isBuffer(bytes) ? bytes : Buffer.alloc(0))
    if (picture.hash !== hash)
      throw new HttpError(422, 'bad-input', refusal('refused-the-picture-is-not'), 'hash')
    await keepPhoto(pool, id, picture)
    res.status(201).json({ hash })
  })
  routes.get('/:hash', async (req, res) => {
    const id = await jobId(req)
    const found = await photoOf(pool, id, hashIn(req))
    if (!found) throw new HttpError(404, 'not-found', refusal('refused-this-picture-has-not'))
    res.type(found.kind).set('cache-control', 'private, max-age=31536000, immutable').send(found.bytes)
  })
  return routes
}
