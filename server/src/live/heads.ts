import type pg from 'pg'

export type LiveMode = 'push' | 'poll'
type Told = (seq: number) => void

const CHANNEL = 'job_head'
const POLL_MS = 500
/** Appends that come in a burst are told once. */
const TELL_MS = 40
const AGAIN_MS = 1000
/** Before a log's head was ever read. */
const UNKNOWN = -1

export interface Heads {
  /** Told where a job's log stands now, and whenever it has grown; gives the way to stop. What is told is a hint: the log is read by its number. */
  watch(jobId: string, told: Told): () => void
  /** An append of this process has been committed. */
  grew(jobId: string, seq: number): void
  stop(): Promise<void>
}

/**
 * Where jobs' logs stand, told to whoever watches. `push`: one connection listens to the database, and what this
 * process appends is told to the others from outside the transaction that wrote it. `poll`: heads of the watched jobs
 * are read twice a second. Either way a lost connection costs a moment, never an event.
 */
export function headsOf(pool: pg.Pool, mode: LiveMode = 'push'): Heads {
  const watched = new Map<string, { seq: number; told: Set<Told> }>()
  const toTell = new Map<string, number>()
  let telling: NodeJS.Timeout | undefined
  let polling: NodeJS.Timeout | undefined
  let again: NodeJS.Timeout | undefined
  let client: pg.PoolClient | null = null
  let connecting = false
  let stopped = false

  const heard = (jobId: string, seq: number): void => {
    const w = watched.get(jobId)
    if (!w || seq <= w.seq) return
    w.seq = seq
    for (const told of w.told) told(seq)
  }
  async function readHeads(): Promise<void> {
    if (!watched.size) return
    const r = await pool.query<{ job_id: string; seq: string }>(
      'select job_id, seq from job_head where job_id = any($1::uuid[])',
      [[...watched.keys()]],
    )
    for (const row of r.rows) heard(row.job_id, Number(row.seq))
  }
  function poll(): void {
    polling = setTimeout(() => {
      void readHeads()
        .catch(() => undefined)
        .finally(() => {
          if (!stopped && watched.size) poll()
          else polling = undefined
        })
    }, POLL_MS)
  }
  async function listen(): Promise<void> {
    if (client || connecting || stopped) return
    connecting = true
    try {
      const c = await pool.connect()
      const lost = (): void => {
        if (client !== c) return
        client = null
        c.release(true)
        if (!stopped) again = setTimeout(() => void listen(), AGAIN_MS)
      }
      c.on('error', lost)
      c.on('end', lost)
      c.on('notification', (n) => {
        const [jobId, seq] = (n.payload ?? '').split(' ')
        if (jobId && Number.isFinite(Number(seq))) heard(jobId, Number(seq))
      })
      await c.query(`listen ${CHANNEL}`)
      client = c
      if (stopped) return void c.release(true)
      // What was told while nobody listened is read once.
      await readHeads()
    } catch {
      if (!stopped) again = setTimeout(() => void listen(), AGAIN_MS)
    } finally {
      connecting = false
    }
  }
  const start = (): void => {
    if (mode === 'poll') {
      if (!polling) poll()
    } else if (client) void readHeads().catch(() => undefined)
    else void listen()
  }
  return {
    watch(jobId, told) {
      const w = watched.get(jobId)
      // Who comes later is told what the others know, even where nothing is written yet.
      if (w && w.seq > UNKNOWN) told(w.seq)
      const entry = w ?? { seq: UNKNOWN, told: new Set<Told>() }
      entry.told.add(told)
      watched.set(jobId, entry)
      start()
      return () => {
        entry.told.delete(told)
        if (!entry.told.size && watched.get(jobId) === entry) watched.delete(jobId)
      }
    },
    grew(jobId, seq) {
      heard(jobId, seq)
      if (mode === 'poll') return
      toTell.set(jobId, Math.max(seq, toTell.get(jobId) ?? 0))
      telling ??= setTimeout(() => {
        telling = undefined
        const all = [...toTell]
        toTell.clear()
        void pool
          .query(`select pg_notify($1, x) from unnest($2::text[]) as t(x)`, [
            CHANNEL,
            all.map(([id, s]) => `${id} ${s}`),
          ])
          .catch(() => undefined)
      }, TELL_MS)
    },
    async stop() {
      stopped = true
      clearTimeout(telling)
      clearTimeout(polling)
      clearTimeout(again)
      const c = client
      client = null
      c?.release(true)
      await Promise.resolve()
    },
  }
}
