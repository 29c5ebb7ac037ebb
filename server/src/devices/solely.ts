import type pg from 'pg'

export interface Solely {
  /** Does the work once, if it is this process's to do. */
  once(): Promise<number>
  stop(): Promise<void>
}
/**
 * Work that is done again and again by one server process of however many there are: the one that holds the lock. When
 * that one goes, the next takes over.
 */
export function solely(pool: pg.Pool, lock: number, work: () => Promise<number>, everyMs: number): Solely {
  let client: pg.PoolClient | null = null
  let stopped = false
  let busy: Promise<number> | null = null

  async function hold(): Promise<boolean> {
    if (client) return true
    const c = await pool.connect()
    const r = await c.query<{ ok: boolean }>('select pg_try_advisory_lock($1) as ok', [lock])
    if (!r.rows[0]?.ok || stopped) {
      c.release()
      return false
    }
    // A connection that is lost is given back at once: a pool that waits for it would never end.
    c.on('error', () => {
      if (client !== c) return
      client = null
      c.release(true)
    })
    client = c
    return true
  }
  const once = (): Promise<number> =>
    (busy ??= hold()
      .then((mine) => (mine ? work() : 0))
      .catch(() => 0)
      .finally(() => (busy = null)))
  const timer = setInterval(() => void once(), everyMs)
  void once()
  return {
    once,
    async stop() {
      stopped = true
      clearInterval(timer)
      await busy
      const c = client
      client = null
      await c?.query('select pg_advisory_unlock($1)', [lock]).catch(() => undefined)
      c?.release()
    },
  }
}
