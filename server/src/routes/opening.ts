import { pipeline } from 'node:stream/promises'
import { createBrotliDecompress } from 'node:zlib'
import { Router } from 'express'
import { jobSeen } from '../db/glance.js'
import { packOf } from '../db/pack.js'
import type { On } from './stands.js'

/** What was last seen of the job: for who waits until its log is there. */
function glimpse(routes: Router, { pool, nowS, glances, jobId }: On): void {
  routes.get('/glance', async (req, res) => {
    const id = await jobId(req)
    const seen = await jobSeen(pool, id)
    if (!seen || seen.stale) glances.ask([id], nowS())
    if (!seen) return void res.status(204).end()
    res.json(seen)
  })
}

/** The log as it was packed last, and word that it should be anew where much was written since. */
function packed(routes: Router, { pool, nowS, packs, jobId }: On): void {
  routes.get('/pack', async (req, res) => {
    const id = await jobId(req)
    const { pack, stale } = await packOf(pool, id)
    if (stale) packs.ask([id], nowS())
    if (!pack) return void res.status(204).end()
    res.type('json').set('vary', 'accept-encoding')
    if (req.acceptsEncodings('br')) return void res.set('content-encoding', 'br').end(pack)
    const plain = createBrotliDecompress()
    plain.end(pack)
    await pipeline(plain, res)
  })
}

/** What a large job is opened with, before its log and instead of most of it. */
export function openingRoutes(on: On): Router {
  const routes = Router({ mergeParams: true })
  glimpse(routes, on)
  packed(routes, on)
  return routes
}
