import { randomUUID } from 'node:crypto'
import { batch, draft } from './harness.js'
import { sectionsOnServer } from './section-under-test.js'

/** What somebody may not write is refused at the door, whole batch, and nothing of it is kept. */
const { server, sectionUnderTest, beginInLog, eventsOf } = sectionsOnServer()
const put = (job: string, events: unknown[], as = 'wren', device = randomUUID()) =>
  server().call('POST', `/jobs/${job}/events`, batch(events, { deviceId: device }), { as })
const ended = (testId: string, more: object = {}) => draft('test-ended', { testId, verdict: 'lost', ...more })
const undo = (target: string) => draft('correction', { target, undo: true })
async function running() {
  const h = server()
  await h.signIn('teal')
  const made = await sectionUnderTest()
  await h.call('POST', `/jobs/${made.job}/members`, { login: 'teal' })
  // Begun by somebody who is neither.
  await beginInLog(made.job, made.section, made.testId)
  return made
}

it('a test is ended by who began it, or by who has the job with a reason', async () => {
  const { job, testId } = await running()
  expect((await put(job, [ended(testId)], 'teal')).body.error).toMatchObject({ code: 'not-the-tester' })
  expect((await put(job, [ended(testId)])).body.error).toMatchObject({ code: 'say-why', field: 'events[0]' })
  const before = await eventsOf(job)
  const mixed = [draft('place-set', { placeId: randomUUID(), name: 'P' }), ended(testId)]
  expect((await put(job, mixed, 'teal')).body.error).toMatchObject({ field: 'events[1]' })
  expect(await eventsOf(job)).toEqual(before)
  expect((await put(job, [ended(testId, { reason: 'the tester went home' })])).status).toBe(200)
})
it('a verdict, a signature and what they stand on are never taken back, nor in the batch that made them', async () => {
  const { job, testId } = await running()
  const verdict = ended(testId, { reason: 'dark' })
  const signed = draft('signed', { what: 'test', refId: testId, statement: 'lost' })
  expect((await put(job, [verdict, undo(verdict.id)])).body.error).toMatchObject({
    code: 'sealed',
    field: 'events[1]',
  })
  const begun = (await eventsOf(job)).find(({ kind }) => kind === 'test-begun')
  // While it runs, its beginning may be a slip.
  const slip = undo(String(begun?.id))
  expect((await put(job, [verdict, signed])).status).toBe(200)
  for (const target of [verdict.id, signed.id])
    expect((await put(job, [undo(target)])).body.error?.code).toBe('sealed')
  expect((await put(job, [slip])).body.error?.code).toBe('sealed')
  // A second verdict is kept, and changes nothing: see the fold.
  expect((await put(job, [ended(testId, { reason: 'again', verdict: 'held' })])).status).toBe(200)
})
it('the same batch sent once more is answered as the first time', async () => {
  const { job, testId } = await running()
  const device = randomUUID()
  const events = [ended(testId, { reason: 'dark' })]
  const first = await put(job, events, 'wren', device)
  expect(first.status).toBe(200)
  expect((await put(job, events, 'wren', device)).body.seqs).toEqual(first.body.seqs)
})
