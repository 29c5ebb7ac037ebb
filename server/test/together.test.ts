import { randomUUID } from 'node:crypto'
import { type JobEvent, type LogLine, checkChain } from '@jugalis/core'
import { appendBatch, readLog } from '../src/index.js'
import { type Harness, batch, draft, harness, jobSet } from './harness.js'
import { testData } from './section-under-test.js'

/** Many who write into one log at once: nothing lost, nothing doubled, nobody held up by another. */
let h: Harness
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
})
afterAll(() => h.close())

const PLACE = randomUUID()
const reading = (value: number) =>
  draft('reading', { placeId: PLACE, what: 'wall', basis: 'measured', atS: h.clock.s - 10, value })
const whoIs = async (): Promise<string> =>
  ((await h.call('GET', '/session')).body.person as { personId: string }).personId
const send = (job: string, entries: object[]) => h.call('POST', `/jobs/${job}/events`, batch(entries))
async function newJob(): Promise<string> {
  const job = randomUUID()
  await h.call('POST', '/jobs', { jobId: job, name: 'J' })
  expect((await send(job, [jobSet()])).status).toBe(200)
  return job
}
async function wholeLog(job: string): Promise<LogLine[]> {
  const lines = await readLog(h.pool, job, 0)
  const { rows } = await h.pool.query<{ seq: string; hash: Buffer }>(
    'select seq, hash from job_head where job_id = $1',
    [job],
  )
  const [head] = rows
  expect(checkChain(job, lines)).toEqual({
    ok: true,
    seq: Number(head?.seq),
    hash: head?.hash.toString('hex'),
  })
  return lines
}
const idsOf = (lines: readonly LogLine[]): string[] =>
  lines.map(({ body }) => (JSON.parse(body) as JobEvent).id)
/** Work, and what was asked of the database for it: what other servers are told comes a moment after an append. */
async function asked(work: () => Promise<unknown>): Promise<string[]> {
  const said: string[] = []
  const { pool } = h
  const own = pool.query
  pool.query = ((...args: unknown[]) => {
    const [first] = args as [string | { text: string }]
    const text = typeof first === 'string' ? first : first.text
    if (!text.includes('pg_notify')) said.push(text)
    return (own as (...all: unknown[]) => unknown).apply(pool, args)
  }) as typeof pool.query
  await work().finally(() => (pool.query = own))
  return said
}

it('an entry is looked at and written: two questions to the database besides who asks', async () => {
  const job = await newJob()
  const said = await asked(async () => expect((await send(job, [reading(12)])).status).toBe(200))
  expect(said).toHaveLength(3)
  expect(said.filter((text) => /insert into event/.test(text))).toHaveLength(1)
  expect(said.filter((text) => /begin|for update/i.test(text))).toEqual([])
})

it('what comes while another is written is written together, each answered by itself', async () => {
  const job = await newJob()
  const actorId = await whoIs()
  const lone = Array.from({ length: 40 }, (_, i) => reading(i))
  const said = await asked(async () => {
    const answers = await Promise.all(
      lone.map((entry) =>
        appendBatch(h.pool, job, { actorId, batch: batch([entry]) as never, receivedAtS: h.clock.s }),
      ),
    )
    // In the order in which they came, and each is told where the log ended with its own entry.
    expect(answers.map(({ seqs }) => seqs)).toEqual(lone.map(({ id }, i) => [{ id, seq: i + 2 }]))
    expect(answers.map(({ head }) => head.seq)).toEqual(lone.map((_, i) => i + 2))
  })
  // The first by itself, the others behind it.
  expect(said.filter((text) => /insert into event/.test(text))).toHaveLength(2)
  expect(idsOf(await wholeLog(job)).slice(1)).toEqual(lone.map(({ id }) => id))
})

it('one that is refused among others is as if it had never come', async () => {
  const job = await newJob()
  const good = Array.from({ length: 12 }, (_, i) => [reading(i)])
  const bad = [reading(30), { ...reading(31), jointId: randomUUID() as string | null }]
  const answers = await Promise.all(
    [...good.slice(0, 6), bad, ...good.slice(6)].map((entries) => send(job, entries)),
  )
  expect(answers.map(({ status }) => status)).toEqual([
    ...good.slice(0, 6).map(() => 200),
    422,
    ...good.slice(6).map(() => 200),
  ])
  expect(answers[6]?.body.error).toMatchObject({ code: 'unknown-joint', field: 'events[1].jointId' })
  const ids = idsOf(await wholeLog(job))
  expect(ids).toHaveLength(1 + good.length)
  for (const { id } of bad) expect(ids).not.toContain(id)
})

it('the same batch sent over and over at once is written once, and told its number each time', async () => {
  const job = await newJob()
  const own = batch([reading(1), reading(2)])
  const answers = await Promise.all(
    Array.from({ length: 10 }, () => h.call('POST', `/jobs/${job}/events`, own)),
  )
  expect(answers.map(({ status }) => status)).toEqual(answers.map(() => 200))
  expect(new Set(answers.map(({ body }) => JSON.stringify(body.seqs))).size).toBe(1)
  expect(await wholeLog(job)).toHaveLength(3)
})

it('entries that wait for others of the same moment count in the order in which they came', async () => {
  const job = await newJob()
  const head = { expectedSeq: 1 }
  const [first, second] = await Promise.all([
    h.call('POST', `/jobs/${job}/events`, { ...batch([reading(1)]), ...head }),
    h.call('POST', `/jobs/${job}/events`, { ...batch([reading(2)]), ...head }),
  ])
  expect([first.status, second.status].sort()).toEqual([200, 409])
})

it('two servers write into one log at once: none lost, the chain holds', async () => {
  const job = await newJob()
  const other = await h.another()
  const cookie = h.cookieOf('wren')
  const sent = Array.from({ length: 60 }, (_, i) => batch([reading(i)]))
  const answers = await Promise.all(
    sent.map((own, i) =>
      i % 2
        ? h.call('POST', `/jobs/${job}/events`, own).then(({ status }) => status)
        : fetch(`${other}/api/jobs/${job}/events`, {
            method: 'POST',
            headers: { 'content-type': 'application/json', cookie },
            body: JSON.stringify(own),
          }).then(({ status }) => status),
    ),
  )
  expect(answers).toEqual(sent.map(() => 200))
  const ids = idsOf(await wholeLog(job))
  expect(ids).toHaveLength(sent.length + 1)
  expect(new Set(ids).size).toBe(ids.length)
})

it('while a test is held against the log others write, and the test begins behind what they wrote', async () => {
  const job = await newJob()
  const actorId = await whoIs()
  let open: () => void = () => undefined
  const held = new Promise<null>((done) => (open = () => done(null)))
  const looked: number[] = []
  const begin = draft('test-begun', testData(randomUUID(), randomUUID()))
  const begun = appendBatch(
    h.pool,
    job,
    { actorId, batch: batch([begin]) as never, receivedAtS: h.clock.s },
    (_jobId, until) => {
      looked.push(until)
      return held
    },
  )
  while (!looked.length) await new Promise((done) => setImmediate(done))
  expect((await send(job, [reading(1)])).status).toBe(200)
  open()
  const { seqs } = await begun
  expect(seqs).toEqual([{ id: begin.id, seq: 3 }])
  // Looked at once more, with what was written in between.
  expect(looked).toEqual([1, 2])
  await wholeLog(job)
})
