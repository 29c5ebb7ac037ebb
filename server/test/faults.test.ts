import { jest } from '@jest/globals'
import { randomUUID } from 'node:crypto'
import { readFileSync, readdirSync } from 'node:fs'
import { setTimeout as pause } from 'node:timers/promises'
import path from 'node:path'
import pg from 'pg'
import { seedDemo } from '../../demo/seed.js'
import { startPostgres } from '../../scripts/lib/pg.mjs'
import { type Database, connect, migrateUnderLock } from '../src/index.js'
import { type Answer, type Harness, batch, draft, harness, jobSet } from './harness.js'

/** A database that goes, comes back, stands still, is locked or full: the server lives, says so soon, and loses nothing. */
let cluster: Awaited<ReturnType<typeof startPostgres>>
let h: Harness
const job = randomUUID()
jest.setTimeout(120_000)
beforeAll(async () => {
  cluster = await startPostgres({ throwaway: true, mayBeKilled: true })
  h = await harness({ base: cluster.base })
  await h.signIn('wren')
  expect((await h.call('POST', '/jobs', { jobId: job, name: 'J' })).status).toBe(201)
  expect((await h.call('POST', `/jobs/${job}/events`, batch([jobSet()]))).status).toBe(200)
})
afterAll(async () => {
  await h?.close()
  await cluster?.stop()
})

/** Soon enough, on a machine that does other things beside. */
const SOON_MS = 2000
interface Timed extends Answer {
  ms: number
}
async function timed(ask: () => Promise<Answer>): Promise<Timed> {
  const began = performance.now()
  const answer = await ask()
  return { ...answer, ms: performance.now() - began }
}
const place = () => batch([draft('place-set', { placeId: randomUUID(), name: 'P' })])
const append = (body: object) => timed(() => h.call('POST', `/jobs/${job}/events`, body))
/** Is what a phone needs to ask again: not now, soon said, and when. */
function isAway(answer: Timed, why?: string): void {
  expect(answer.status).toBe(503)
  expect(answer.ms).toBeLessThan(SOON_MS)
  expect(answer.body.error).toMatchObject({ code: 'database-away', retryAfterS: 2, ...(why ? { why } : {}) })
}
async function untilHere(): Promise<void> {
  for (let tries = 0; tries < 100; tries++) {
    if ((await h.call('GET', '/health')).status === 200) return
    await pause(100)
  }
  throw new Error('it did not come back')
}
/** The server of the cluster and everything it began. */
const familyOf = (parent: number): number[] =>
  readdirSync('/proc').flatMap((entry) => {
    if (!/^\d+$/.test(entry)) return []
    try {
      const ppid = Number(/\) \S (\d+)/.exec(readFileSync(`/proc/${entry}/stat`, 'utf8'))?.[1])
      return ppid === parent ? [Number(entry)] : []
    } catch {
      return []
    }
  })
const signal = (what: NodeJS.Signals): void => {
  const parent = cluster.pid() as number
  for (const pid of [parent, ...familyOf(parent)]) process.kill(pid, what)
}

/** Writes one entry after another as a phone does: the same again until it is answered. */
function writer() {
  const sent: string[] = []
  const seen = new Set<number>()
  let slowest = 0
  let ended = false
  const running = (async () => {
    while (!ended) {
      const body = place()
      const [first] = body.events as { id: string }[]
      for (let done = false; !done && !ended;) {
        const answer = await append(body)
        seen.add(answer.status)
        slowest = Math.max(slowest, answer.ms)
        done = answer.status === 200
        if (done) sent.push(first?.id ?? '')
        else await pause(100)
      }
    }
  })()
  return {
    async end() {
      ended = true
      await running
      return { sent, seen: [...seen].sort(), slowest }
    },
  }
}
/** Every entry that was acknowledged is there, once, and the log is whole. */
async function holds(sent: readonly string[]): Promise<void> {
  const { rows } = await h.pool.query<{ id: string }>('select id from event where job_id = $1', [job])
  const ids = rows.map(({ id }) => id)
  expect(new Set(ids).size).toBe(ids.length)
  expect(sent.filter((id) => !ids.includes(id))).toEqual([])
  expect((await h.call('GET', `/jobs/${job}/verify`)).body).toMatchObject({ ok: true })
}

it('killed while it writes, again and again: 503 in under two seconds, then all flows on by itself', async () => {
  const all: string[] = []
  for (let kill = 0; kill < 3; kill++) {
    const phones = [writer(), writer(), writer()]
    try {
      await pause(400)
      process.kill(cluster.pid() as number, 'SIGKILL')
      await pause(700)
      isAway(await append(place()))
      isAway(await timed(() => h.call('GET', '/jobs')))
      expect((await h.call('GET', '/health')).body).toMatchObject({ ok: false, database: { is: 'lost' } })
      // What needs no database goes on.
      expect((await h.call('GET', '/calc')).status).toBe(200)
      await cluster.again()
      await untilHere()
      await pause(400)
    } finally {
      await Promise.all(phones.map((phone) => phone.end()))
    }
    for (const { sent, seen, slowest } of await Promise.all(phones.map((phone) => phone.end()))) {
      all.push(...sent)
      expect(seen).toEqual([200, 503])
      expect(slowest).toBeLessThan(SOON_MS)
    }
  }
  expect(all.length).toBeGreaterThan(20)
  await holds(all)
})
it('back, it is back for the very first who asks', async () => {
  for (let kill = 0; kill < 3; kill++) {
    process.kill(cluster.pid() as number, 'SIGKILL')
    await pause(100)
    // Felt by nobody since: what is known of it is what was.
    isAway(await append(place()))
    await cluster.again()
    expect((await append(place())).status).toBe(200)
  }
})
it('standing still, it is away too: nobody waits for an answer that does not come', async () => {
  const phone = writer()
  await pause(300)
  signal('SIGSTOP')
  try {
    const asked = await Promise.all([append(place()), append(place()), timed(() => h.call('GET', '/jobs'))])
    for (const answer of asked) isAway(answer)
    isAway(await append(place()))
  } finally {
    signal('SIGCONT')
  }
  await untilHere()
  await pause(300)
  const { sent, slowest } = await phone.end()
  expect(slowest).toBeLessThan(SOON_MS)
  await holds(sent)
})
it('a log that somebody holds is said to be locked, and the next try writes', async () => {
  const other = new pg.Client({
    connectionString: (h.pool as unknown as { options: pg.PoolConfig }).options.connectionString,
  })
  await other.connect()
  const body = place()
  try {
    await other.query('begin')
    await other.query('select 1 from job_head where job_id = $1 for update', [job])
    isAway(await append(body), 'locked')
    // Others are not kept from theirs.
    expect((await h.call('GET', `/jobs/${job}/events?after=0`)).status).toBe(200)
  } finally {
    await other.query('rollback')
    await other.end()
  }
  expect((await append(body)).status).toBe(200)
})
it('without room nothing is half written, and it says so', async () => {
  const body = place()
  await h.pool.query(
    `create function no_room() returns trigger language plpgsql as $$ begin raise exception 'no space left' using errcode = '53100'; end $$`,
  )
  await h.pool.query(
    'create trigger no_room before insert on event for each statement execute function no_room()',
  )
  const before = await h.pool.query('select seq from job_head where job_id = $1', [job])
  isAway(await append(body), 'full')
  expect((await h.pool.query('select seq from job_head where job_id = $1', [job])).rows).toEqual(before.rows)
  await h.pool.query('drop trigger no_room on event')
  expect((await append(body)).status).toBe(200)
})
it('who follows a job hears of its entries again after the database was gone', async () => {
  const heard: number[] = []
  const gone = new AbortController()
  const res = await fetch(`${h.url}/api/jobs/${job}/live`, {
    headers: { cookie: h.cookieOf('wren') },
    signal: gone.signal,
  })
  const reading = (async () => {
    const text = new TextDecoder()
    for await (const part of res.body as unknown as AsyncIterable<Uint8Array>)
      for (const [, seq] of text.decode(part).matchAll(/^data: (\d+)$/gm)) heard.push(Number(seq))
  })().catch(() => undefined)
  expect((await append(place())).status).toBe(200)
  process.kill(cluster.pid() as number, 'SIGKILL')
  await pause(300)
  await cluster.again()
  await untilHere()
  const { body } = await append(place())
  const { seq } = body.head as { seq: number }
  for (let tries = 0; tries < 50 && !heard.includes(seq); tries++) await pause(100)
  expect(heard).toContain(seq)
  gone.abort()
  await reading
})
it('two at once on an empty database take turns; one that is killed half-way leaves nothing, and the next is whole', async () => {
  const admin = new pg.Client({ connectionString: `${cluster.base}/postgres` })
  await admin.connect()
  await admin.query('create database empty_one')
  const both = [1, 2].map(() => connect(`${cluster.base}/empty_one`))
  const [one, other] = both as [Database, Database]
  try {
    const folder = path.join(process.cwd(), 'server/migrations')
    await Promise.all(both.map((database) => migrateUnderLock(database, folder)))
    const nowS = Date.UTC(2026, 10, 23, 20, 0) / 1000
    const killed = seedDemo(one.pool, nowS).then(
      () => 'done',
      () => 'killed',
    )
    await pause(600)
    await admin.query(`select pg_terminate_backend(pid) from pg_stat_activity where datname = 'empty_one'`)
    expect(await killed).toBe('killed')
    for (const table of ['job', 'event', 'person', 'org'])
      expect((await other.pool.query(`select 1 from ${table}`)).rowCount).toBe(0)
    const made = await Promise.all(both.map(({ pool }) => seedDemo(pool, nowS)))
    expect(made.sort()).toEqual([false, true])
    expect((await one.pool.query('select 1 from job')).rowCount).toBe(2)
  } finally {
    await Promise.all(both.map((database) => database.close()))
    await admin.end()
  }
})
