import { type Batch, FIRST_HASH, type JobEvent } from '@jugalis/core'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { type Head, type Weighed, weigh } from './append-rules.js'
import { type Sent, lookAt } from './append-view.js'
import { type Client, inTransaction } from './connect.js'
import { checkBatchSigned } from './device-keys.js'
import { writeBehind } from './lines.js'
import { nameJob } from './named.js'
import { giveRoles } from './rights.js'
import { type Gates, checkTests, gatesHere } from './test-gates.js'

export interface Appended {
  seqs: { id: string; seq: number }[]
  head: Head
}
export const NEW_HEAD = { seq: 0, hash: FIRST_HASH }

/** Entries that change more than the log: the name of the job, who is what on it. They are written one batch at a time. */
const FOLLOWED: ReadonlySet<string> = new Set(['job-set', 'correction', 'role-given'])
const has = ({ batch }: Sent, kinds: ReadonlySet<string>): boolean =>
  batch.events.some(({ kind }) => kinds.has(kind))
const BEGIN: ReadonlySet<string> = new Set(['test-begun'])
/**
 * Tries without a lock. Where another server writes into the same log, the next of its appends hold it at once: to look
 * and find it moved again and again takes longer than to wait.
 */
const TRIES = 2
const SHARED_MS = 5000
const shared = new Map<string, number>()
function isShared(jobId: string): boolean {
  const untilMs = shared.get(jobId)
  if (untilMs === undefined || untilMs > Date.now()) return untilMs !== undefined
  shared.delete(jobId)
  return false
}
/** Entries that are written together. */
const TOGETHER = 1000

type Outcome = Map<Sent, Appended | HttpError>
const asAppended = (weighed: Weighed | HttpError): Appended | HttpError =>
  weighed instanceof HttpError ? weighed : { seqs: weighed.seqs, head: weighed.head }

/**
 * Looks, weighs, and writes behind the head that was looked at. @returns null where somebody wrote in between: then
 * nothing of it was written.
 */
async function appendOn(
  client: Client,
  jobId: string,
  all: readonly Sent[],
  gates: Gates,
): Promise<{ outcome: Outcome; fresh: readonly JobEvent[] } | null> {
  const seen = await lookAt(client, jobId, all)
  const weighed = weigh(seen, jobId, all)
  const good = [...weighed.values()].filter((one): one is Weighed => !(one instanceof HttpError))
  const fresh = good.flatMap((one) => one.fresh)
  if (fresh.some(({ kind }) => kind === 'test-begun')) await checkTests(gates, jobId, seen.head.seq, fresh)
  const head = good.reduce<Head>((last, one) => (one.head.seq > last.seq ? one.head : last), seen.head)
  if (fresh.length) {
    const lines = good.flatMap((one) => one.lines)
    const joints = [...new Set(good.flatMap((one) => one.defined))]
    if (!(await writeBehind(client, jobId, seen.head, { events: fresh, lines, joints, head }))) return null
  }
  const outcome: Outcome = new Map([...weighed].map(([sent, one]) => [sent, asAppended(one)]))
  return { outcome, fresh }
}

/** The same with the log held: nobody writes in between. */
async function appendHeld(
  client: pg.PoolClient,
  jobId: string,
  all: readonly Sent[],
  gates: Gates,
): Promise<Outcome> {
  // Held by a statement of its own: the next one then sees what whoever held it before has written.
  await client.query('select 1 from job_head where job_id = $1 for update', [jobId])
  const done = await appendOn(client, jobId, all, gates)
  if (!done) throw new Error(`the log of ${jobId} moved while it was held`)
  await nameJob(client, jobId, done.fresh)
  await giveRoles(client, jobId, done.fresh)
  return done.outcome
}
/** What came of one batch. @throws HttpError as it was refused. */
function appended(outcome: Outcome, sent: Sent): Appended {
  const as = outcome.get(sent)
  if (!as || as instanceof HttpError) throw as ?? new Error('a batch was lost')
  return as
}
/** Appends batches of one job together. One that is refused leaves the others as they are. */
async function appendAll(pool: pg.Pool, jobId: string, all: readonly Sent[], gates: Gates): Promise<Outcome> {
  const held = all.some((sent) => has(sent, FOLLOWED))
  // A test is weighed for long, and finds much written meanwhile: that is no sign of another server.
  const begins = all.some((sent) => has(sent, BEGIN))
  for (let tries = 0; tries < TRIES && !held && (begins || !isShared(jobId)); tries++) {
    const done = await appendOn(pool, jobId, all, gates)
    if (done) return done.outcome
    if (!begins) shared.set(jobId, Date.now() + SHARED_MS)
  }
  return inTransaction(pool, (client) => appendHeld(client, jobId, all, gates))
}

interface Waiting {
  sent: Sent
  gates: Gates
  done: (as: Appended) => void
  fail: (error: unknown) => void
}
/** Batches that wait while others of their job are written, by the way to the database and the job. */
const queues = new WeakMap<pg.Pool, Map<string, Waiting[]>>()
const isAlone = ({ sent }: Waiting): boolean => has(sent, FOLLOWED)
/** Of what waits, what is written next: all that may be written together, in the order in which it came. */
function nextOf(waiting: Waiting[]): Waiting[] {
  let count = 0
  const end = waiting.findIndex((one, at) => {
    count += one.sent.batch.events.length
    return at > 0 && (isAlone(one) || isAlone(waiting[at - 1] as Waiting) || count > TOGETHER)
  })
  return waiting.splice(0, end < 0 ? waiting.length : end)
}
async function work(pool: pg.Pool, jobId: string, waiting: Waiting[], ended: () => void): Promise<void> {
  while (waiting.length) {
    const next = nextOf(waiting)
    try {
      const outcome = await appendAll(
        pool,
        jobId,
        next.map(({ sent }) => sent),
        (next[0] as Waiting).gates,
      )
      for (const { sent, done, fail } of next)
        try {
          done(appended(outcome, sent))
        } catch (error) {
          fail(error)
        }
    } catch (error) {
      for (const { fail } of next) fail(error)
    }
  }
  // In the same breath as it was found empty: nobody joins a queue that nobody works at.
  ended()
}

/**
 * Appends a batch to a job's log: all of it or nothing. Known ids with the same body are answered with their number. What
 * comes while another is being written is written together with what else came by then.
 * @param receivedAtS server time, epoch seconds. @throws HttpError 409 for a reused id, a stale batch, a refused test.
 */
export async function appendBatch(
  pool: pg.Pool,
  jobId: string,
  sent: Sent,
  gates: Gates = gatesHere(pool),
): Promise<Appended> {
  await checkBatchSigned(pool, jobId, sent.actorId, sent.batch)
  // What a test begins on is worked out for a while: nobody waits behind it.
  if (has(sent, BEGIN)) return appended(await appendAll(pool, jobId, [sent], gates), sent)
  const all = queues.get(pool) ?? new Map<string, Waiting[]>()
  queues.set(pool, all)
  return new Promise((done, fail) => {
    const own = { sent, gates, done, fail }
    const under = all.get(jobId)
    if (under) return void under.push(own)
    const waiting = [own]
    all.set(jobId, waiting)
    void work(pool, jobId, waiting, () => all.delete(jobId))
  })
}

/** The same inside the caller's transaction; signatures were held against their key before. */
export async function appendInside(
  client: pg.PoolClient,
  jobId: string,
  actorId: string,
  batch: Batch,
  receivedAtS: number,
): Promise<Appended> {
  const sent = { actorId, batch, receivedAtS }
  return appended(await appendHeld(client, jobId, [sent], gatesHere(client)), sent)
}
