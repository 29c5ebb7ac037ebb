import { randomUUID } from 'node:crypto'
import type pg from 'pg'

export interface Solely {
  /** Does the work once, if it is this process's to do. */
  once(): Promise<number>
  stop(): Promise<void>
}
/** So many rounds a lease outlives its holder. */
const ROUNDS = 5
const LEAST_LEASE_MS = 3000

/**
 * Work that is done again and again by one server process of however many there are: the one that holds the lease, which
 * it renews each time. When that one goes, its lease runs out and the next takes over. By the database's own clock.
 * @param name of the work.
 */
export function solely(pool: pg.Pool, name: string, work: () => Promise<number>, everyMs: number): Solely {
  const holder = randomUUID()
  const leaseMs = Math.max(LEAST_LEASE_MS, everyMs * ROUNDS)
  let stopped = false
  let busy: Promise<number> | null = null

  async function held(): Promise<boolean> {
    const taken = await pool.query(
      `insert into lease as had (name, holder, until) values ($1, $2, now() + $3 * interval '1 ms')
       on conflict (name) do update set holder = excluded.holder, until = excluded.until
       where had.holder = excluded.holder or had.until < now()`,
      [name, holder, leaseMs],
    )
    return !stopped && taken.rowCount === 1
  }
  const once = (): Promise<number> =>
    (busy ??= held()
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
      await pool
        .query('delete from lease where name = $1 and holder = $2', [name, holder])
        .catch(() => undefined)
    },
  }
}
