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
    const own = await pool.connect()
    const locked = await own.query<{ ok: boolean }>('select pg_try_advisory_lock($1) as ok', [lock])
    if (!locked.rows[0]?.ok || stopped) {
      own.release()
      return false
    }
    // A connection that is lost is given back at once: a pool that waits for it would never end.
    own.on('error', () => {
      if (client !== own) return
      client = null
      own.release(true)
    })
    client = own
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
      const own = client
      client = null
      await own?.query('select pg_advisory_unlock($1)', [lock]).catch(() => undefined)
      own?.release()
    },
  }
}
