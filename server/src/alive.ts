import type { RequestHandler } from 'express'
import { setTimeout as pause } from 'node:timers/promises'
import type { Pulse } from './db/pulse.js'
import { answerWith, databaseAway } from './errors.js'

/** Whoever waits for an answer is told within two seconds; the rest of that is for the way. */
const FEEL_WITHIN_MS = 900

/** What needs the database is answered soon while that is away, and not left waiting when it goes. */
export const needsDatabase =
  (pulse: Pulse): RequestHandler =>
  async (req, res, next) => {
    // Whoever asks feels for it: it is back for them as soon as it is back, and not when somebody next looks.
    if (pulse.away()) await Promise.race([pulse.feel(), pause(FEEL_WITHIN_MS, undefined, { ref: false })])
    const away = pulse.away()
    if (away) throw databaseAway(away.why)
    // What is hung on the end of an answer later (the session is kept then) would wait for the database too.
    const { end: endNow } = res
    const end = pulse.during((why) => {
      if (res.headersSent) return
      res.end = endNow
      // Not by `next`: whoever is at work below goes on to its own end.
      answerWith(databaseAway(why), req, res)
    })
    res.on('close', end)
    next()
  }

/** How it is: 200 while all is well, 503 with what is wrong. */
export const health =
  (pulse: Pulse, nowS: () => number): RequestHandler =>
  async (_req, res) => {
    await pulse.feel()
    const away = pulse.away()
    res
      .status(away ? 503 : 200)
      .json(
        away
          ? { ok: false, serverNowS: nowS(), database: { is: away.why, sinceS: away.sinceMs / 1000 } }
          : { ok: true, serverNowS: nowS(), database: { is: 'here' } },
      )
  }
