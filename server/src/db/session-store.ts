import connectPgSimple from 'connect-pg-simple'
import session from 'express-session'
import type pg from 'pg'

/** A session lasts a week from when it was last used: to the hour is near enough. */
const SELDOM_MS = 3600_000
/** What nobody can use any more is taken away now and then, s. */
const PRUNE_S = 3600
/** So many are remembered by one process. */
const MOST = 10_000

/** Sessions in the database; that one is in use is written down once an hour, not with every request. */
export function sessionStore(pool: pg.Pool): session.Store {
  const Store = connectPgSimple(session)
  const store = new Store({ pool, tableName: 'session', pruneSessionInterval: PRUNE_S })
  const touchedMs = new Map<string, number>()
  const touch = store.touch.bind(store)
  store.touch = (sid, data, done) => {
    const now = Date.now()
    if (now - (touchedMs.get(sid) ?? -Infinity) < SELDOM_MS) return done?.()
    if (touchedMs.size >= MOST) touchedMs.clear()
    touchedMs.set(sid, now)
    touch(sid, data, done)
  }
  return store
}
