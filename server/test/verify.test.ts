import { randomUUID } from 'node:crypto'
import { checkChain } from '@jugalis/core'
import { readLog, verifyLog } from '../src/index.js'
import { type Harness, batch, harness, jobSet } from './harness.js'

let h: Harness
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
})
afterAll(() => h.close())

/** A log of five lines, one with letters that take several bytes. */
async function log(): Promise<string> {
  const job = randomUUID()
  await h.call('POST', '/jobs', { jobId: job, name: 'V' })
  const said = await h.call(
    'POST',
    `/jobs/${job}/events`,
    batch(['a', 'Ä \u2019 \\n', 'c', 'd', 'e'].map(jobSet)),
  )
  expect(said.status).toBe(200)
  return job
}
/** What the database says of it, and what our own code says of what it reads. */
const both = async (job: string) => [
  await verifyLog(h.pool, job),
  checkChain(job, await readLog(h.pool, job, 0)),
]

it('a whole log holds, wherever it is walked', async () => {
  const job = await log()
  const [there, here] = await both(job)
  expect(there).toEqual(here)
  expect(there).toMatchObject({ ok: true, seq: 5 })
})
it('what was known at an entry is told by its id, of this job alone', async () => {
  const job = await log()
  const lines = await readLog(h.pool, job, 0)
  const idAt = (at: number): string => (JSON.parse(lines[at]?.body ?? '{}') as { id: string }).id
  const known = (of: string, entry: string) => h.call('GET', `/jobs/${of}/known/${entry}`)
  expect((await known(job, idAt(2))).body).toMatchObject({ entries: 3, since: 2, later: { steps: 0 } })
  const other = await log()
  for (const entry of [idAt(2), 'x', randomUUID()]) expect((await known(other, entry)).status).toBe(404)
})
it('an empty one does too', async () => {
  const job = randomUUID()
  await h.call('POST', '/jobs', { jobId: job, name: 'E' })
  const [there, here] = await both(job)
  expect(there).toEqual(here)
})
it.each([
  ['a letter of a body', `update event set body = replace(body, '"c"', '"x"') where seq = 3`],
  ['a time', `update event set recorded_at = recorded_at + interval '1 ms' where seq = 2`],
  ['a hash', `update event set hash = sha256('x') where seq = 4`],
  ['a link', `update event set prev_hash = sha256('x') where seq = 4`],
  ['the first line', `delete from event where seq = 1`],
  ['a line in between', `delete from event where seq = 3`],
  ['a number', `update event set seq = 9 where seq = 5`],
  [
    'two lines',
    `update event set body = (select body from event as other where other.job_id = event.job_id and other.seq = 7 - event.seq) where seq in (3, 4)`,
  ],
])('where somebody changed %s, both name the same line', async (_what, change) => {
  const job = await log()
  await h.pool.query(`${change} and job_id = $1`, [job])
  const [there, here] = await both(job)
  expect(there?.ok).toBe(false)
  expect(there).toEqual(here)
})
it('that a session is in use is not written down with every request', async () => {
  const job = await log()
  const expiry = async () =>
    (await h.pool.query<{ expire: Date }>('select expire from session order by expire desc')).rows.map(
      ({ expire }) => expire.getTime(),
    )
  await h.call('GET', `/jobs/${job}/members`)
  const first = await expiry()
  await new Promise((done) => setTimeout(done, 20))
  for (let count = 0; count < 3; count++)
    expect((await h.call('GET', `/jobs/${job}/members`)).status).toBe(200)
  expect(await expiry()).toEqual(first)
})
