import type { RequestHandler } from 'express'
import type { Pulse } from './db/pulse.js'
import { answerWith, databaseAway } from './errors.js'

/** What needs the database is answered at once while that is away, and not left waiting when it goes. */
export const needsDatabase =
  (pulse: Pulse): RequestHandler =>
  (req, res, next) => {
    const away = pulse.away()
    if (away) {
      // Whoever asks feels for it too: it is back as soon as it is back.
      void pulse.feel()
      throw databaseAway(away.why)
    }
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
