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
  stop(): void
}

/** A way to hear of logs that grew. */
interface Ear {
  /** Somebody began to watch. */
  start(): void
  stop(): void
}
/** Reads the heads of the watched jobs twice a second, for as long as any is watched. */
function polling(readHeads: () => Promise<void>, anyWatched: () => boolean): Ear {
  let timer: NodeJS.Timeout | undefined
  let stopped = false
  const poll = (): void => {
    timer = setTimeout(() => {
      void readHeads()
        .catch(() => undefined)
        .finally(() => {
          if (!stopped && anyWatched()) poll()
          else timer = undefined
        })
    }, POLL_MS)
  }
  return {
    start: () => {
      if (!timer) poll()
    },
    stop: () => {
      stopped = true
      clearTimeout(timer)
    },
  }
}
/** One connection listens to the database; lost, it is made again. */
function listening(
  pool: pg.Pool,
  heard: (jobId: string, seq: number) => void,
  readHeads: () => Promise<void>,
): Ear {
  let client: pg.PoolClient | null = null
  let connecting = false
  let stopped = false
  let again: NodeJS.Timeout | undefined
  const later = (): void => {
    if (!stopped) again = setTimeout(() => void listen(), AGAIN_MS)
  }
  async function listen(): Promise<void> {
    if (client || connecting || stopped) return
    connecting = true
    try {
      const own = await pool.connect()
      const lost = (): void => {
        if (client !== own) return
        client = null
        own.release(true)
        later()
      }
      own.on('error', lost)
      own.on('end', lost)
      own.on('notification', (note) => {
        const [jobId, seq] = (note.payload ?? '').split(' ')
        if (jobId && Number.isFinite(Number(seq))) heard(jobId, Number(seq))
      })
      await own.query(`listen ${CHANNEL}`)
      client = own
      if (stopped) return void own.release(true)
      // What was told while nobody listened is read once.
      await readHeads()
    } catch {
      later()
    } finally {
      connecting = false
    }
  }
  return {
    start: () => void (client ? readHeads().catch(() => undefined) : listen()),
    stop: () => {
      stopped = true
      clearTimeout(again)
      const own = client
      client = null
      own?.release(true)
    },
  }
}
/** Tells other processes where logs stand, those of a burst at once and outside the transaction that wrote them. */
function teller(pool: pg.Pool): { tell(jobId: string, seq: number): void; stop(): void } {
  const toTell = new Map<string, number>()
  let timer: NodeJS.Timeout | undefined
  const send = (): void => {
    timer = undefined
    const all = [...toTell]
    toTell.clear()
    void pool
      .query(`select pg_notify($1, x) from unnest($2::text[]) as t(x)`, [
        CHANNEL,
        all.map(([id, seq]) => `${id} ${seq}`),
      ])
      .catch(() => undefined)
  }
  return {
    tell: (jobId, seq) => {
      toTell.set(jobId, Math.max(seq, toTell.get(jobId) ?? 0))
      timer ??= setTimeout(send, TELL_MS)
    },
    stop: () => clearTimeout(timer),
  }
}

/**
 * Where jobs' logs stand, told to whoever watches. `push`: one connection listens to the database, and what this
 * process appends is told to the others. `poll`: heads of the watched jobs are read twice a second. Either way a lost
 * connection costs a moment, never an event.
 */
export function headsOf(pool: pg.Pool, mode: LiveMode = 'push'): Heads {
  const watched = new Map<string, { seq: number; told: Set<Told> }>()
  const heard = (jobId: string, seq: number): void => {
    const entry = watched.get(jobId)
    if (!entry || seq <= entry.seq) return
    entry.seq = seq
    for (const told of entry.told) told(seq)
  }
  async function readHeads(): Promise<void> {
    if (!watched.size) return
    const found = await pool.query<{ job_id: string; seq: string }>(
      'select job_id, seq from job_head where job_id = any($1::uuid[])',
      [[...watched.keys()]],
    )
    for (const row of found.rows) heard(row.job_id, Number(row.seq))
  }
  const ear = mode === 'poll' ? polling(readHeads, () => watched.size > 0) : listening(pool, heard, readHeads)
  const others = teller(pool)
  return {
    watch(jobId, told) {
      const known = watched.get(jobId)
      // Who comes later is told what the others know, even where nothing is written yet.
      if (known && known.seq > UNKNOWN) told(known.seq)
      const entry = known ?? { seq: UNKNOWN, told: new Set<Told>() }
      entry.told.add(told)
      watched.set(jobId, entry)
      ear.start()
      return () => {
        entry.told.delete(told)
        if (!entry.told.size && watched.get(jobId) === entry) watched.delete(jobId)
      }
    },
    grew(jobId, seq) {
      heard(jobId, seq)
      if (mode === 'push') others.tell(jobId, seq)
    },
    stop() {
      ear.stop()
      others.stop()
    },
  }
}
