import pg from 'pg'
import type { Away } from './away.js'
import { awayOf } from './away.js'

/** Whether the database answers at all, felt on a connection of its own. */
export interface Pulse {
  /** Why it does not answer, since when (epoch ms); null while it does. */
  away(): { why: Away; sinceMs: number } | null
  /** Told once if the database is lost while this lasts; gives the way to stop. */
  during(lost: (why: Away) => void): () => void
  /** Feels it now: a feeling that had begun before does not count, since what it found may be over. */
  feel(): Promise<void>
  stop(): Promise<void>
}
const EVERY_MS = 400
const ANSWERS_WITHIN_MS = 900

/**
 * Feels for the database while somebody waits for it, and while it is away. A statement may take long for reasons of its
 * own; a database that is stopped, or behind a line that is cut, takes a connection and never answers.
 */
export function pulseOf(url: string): Pulse {
  const waiting = new Set<(why: Away) => void>()
  let away: { why: Away; sinceMs: number } | null = null
  let client: pg.Client | null = null
  let feeling: Promise<void> | null = null
  let timer: NodeJS.Timeout | undefined
  let stopped = false

  async function ask(): Promise<void> {
    const own = (client ??= new pg.Client({
      connectionString: url,
      connectionTimeoutMillis: ANSWERS_WITHIN_MS,
      query_timeout: ANSWERS_WITHIN_MS,
    }))
    if (!own.listenerCount('error')) {
      own.on('error', () => (client = client === own ? null : client))
      await own.connect()
    }
    await own.query('select 1')
  }
  const shared = (): Promise<void> =>
    (feeling ??= ask()
      .then(() => void (away = null))
      .catch((error: unknown) => {
        const gone = client
        client = null
        // It may never answer: nobody waits for its farewell.
        void gone?.end().catch(() => undefined)
        const why = awayOf(error) ?? 'lost'
        away = { why, sinceMs: away?.sinceMs ?? Date.now() }
        for (const lost of [...waiting]) lost(why)
        waiting.clear()
      })
      .finally(() => (feeling = null)))
  const feel = (): Promise<void> => (feeling ? feeling.then(shared) : shared())
  function beat(): void {
    if (timer || stopped) return
    timer = setTimeout(() => {
      timer = undefined
      void shared().finally(() => {
        if (waiting.size || away) beat()
      })
    }, EVERY_MS)
    timer.unref()
  }
  return {
    away: () => away,
    during(lost) {
      waiting.add(lost)
      beat()
      return () => waiting.delete(lost)
    },
    feel,
    async stop() {
      stopped = true
      clearTimeout(timer)
      const own = client
      client = null
      await own?.end().catch(() => undefined)
    },
  }
}
