import { randomUUID } from 'node:crypto'
import { type JobEvent, checkChain } from '@jugalis/core'
import { readLog } from '../src/index.js'
import { DEVICE, type Harness, batch, draft, harness, jobSet } from './harness.js'

let h: Harness
let job: string
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
  await h.signIn('teal')
})
afterAll(() => h.close())
beforeEach(async () => {
  job = randomUUID()
  h.clock.s = 1_790_000_000
  expect((await h.call('POST', '/jobs', { jobId: job, name: 'J' })).status).toBe(201)
})
const send = (events: unknown[], o: Record<string, unknown> = {}, as = 'wren') =>
  h.call('POST', `/jobs/${job}/events`, batch(events, o), { as })
const seqs = (r: { body: unknown }): number[] =>
  (r.body as { seqs: { seq: number }[] }).seqs.map((s) => s.seq)
const log = () => readLog(h.pool, job, 0)
const piece = (a: string, b: string) =>
  draft('item-put', {
    lineId: randomUUID(),
    itemId: randomUUID(),
    item: { type: 'piece', tag: 'P', size: 'd63', jointA: a, jointB: b },
  })

describe('who may', () => {
  it('nobody without signing in; nobody who is not on the job', async () => {
    expect((await h.call('GET', '/jobs', undefined, { as: 'nobody' })).status).toBe(401)
    for (const [method, where] of [
      ['GET', 'events'],
      ['POST', 'events'],
      ['GET', 'export.json'],
      ['GET', 'log.csv'],
      ['GET', 'members'],
      ['GET', 'verify'],
    ] as const)
      expect(
        (
          await h.call(method, `/jobs/${job}/${where}`, method === 'POST' ? batch([jobSet()]) : undefined, {
            as: 'teal',
          })
        ).status,
      ).toBe(404)
    expect((await h.call('GET', `/jobs/not-an-id/events`)).status).toBe(404)
  })
  it('a wrong password says neither name nor password', async () => {
    const wrong = await h.call('POST', '/session', { login: 'wren', password: 'x' }, { as: 'x' })
    const nobody = await h.call('POST', '/session', { login: 'gull', password: 'x' }, { as: 'x' })
    expect([wrong.status, wrong.body]).toEqual([nobody.status, nobody.body])
    expect((await h.call('POST', '/session', { login: 1, password: 'x' }, { as: 'x' })).status).toBe(422)
  })
})

describe('joints of a job', () => {
  const step = (jointId: string) =>
    draft('step-done', { life: 1, step: 'fit', readings: {}, shown: [] }, { jointId })
  it('are those of its pieces, put one by one or many at once; others are refused', async () => {
    const [a, b, c] = [randomUUID(), randomUUID(), randomUUID()]
    const item = { type: 'piece', tag: 'P', size: 'd63', jointA: b, tagA: 'Q-1' }
    const many = draft('items-put', { lineId: randomUUID(), items: [{ itemId: randomUUID(), item }] })
    expect((await send([piece(a, randomUUID()), many])).status).toBe(200)
    expect((await send([step(a), step(b)])).status).toBe(200)
    const batchOf = (jointId: string) =>
      draft('batch-done', {
        joints: [
          { jointId: a, life: 1 },
          { jointId, life: 1 },
        ],
        steps: [{ step: 'cement', readings: {} }],
        fromS: 1,
        toS: 2,
        basis: 'seen',
      })
    expect((await send([batchOf(b)])).status).toBe(200)
    for (const unknown of [c, 'nonsense']) expect((await send([batchOf(unknown)])).status).toBe(422)
    const other = await send([step(c)])
    expect([other.status, (other.body as { error: { code: string } }).error.code]).toEqual([
      422,
      'unknown-joint',
    ])
  })
  it('a joint without a proper id makes no trouble, and is no joint', async () =>
    expect((await send([piece('abc', randomUUID())])).status).toBe(200))
})

describe('what a browser keeps of a log', () => {
  it('is known to be the same by the hash of the line it begins after', async () => {
    await send([jobSet(), piece(randomUUID(), randomUUID())])
    const lines = await log()
    const read = async (after: number) =>
      (await h.call('GET', `/jobs/${job}/events?after=${after}`)).body as {
        head: number
        hashAfter: string | null
        hashHead: string | null
        lines: unknown[]
      }
    expect(await read(0)).toMatchObject({ head: 2, hashAfter: null, hashHead: lines[1]?.hash })
    expect(await read(1)).toMatchObject({ hashAfter: lines[0]?.hash, lines: [{ seq: 2 }] })
    expect(await read(2)).toMatchObject({ head: 2, hashAfter: lines[1]?.hash, lines: [] })
    // Beyond its end there is no such line: the log kept is another.
    expect(await read(9)).toMatchObject({ hashAfter: null, lines: [] })
  })
})

describe('a long log', () => {
  it('is read in parts and comes out whole, each line once, with the hash of its last', async () => {
    for (let i = 0; i < 9; i++)
      expect((await send(Array.from({ length: 950 }, () => jobSet()))).status).toBe(200)
    for (const [after, count] of [
      [0, 8550],
      [4550, 4000],
      [4549, 4001],
      [550, 8000],
      [8550, 0],
    ] as const) {
      const { body } = await h.call('GET', `/jobs/${job}/events?after=${after}`)
      const got = body as { head: number; hashHead: string; lines: { seq: number }[] }
      expect(got.lines.map((l) => l.seq)).toEqual(Array.from({ length: count }, (_, i) => after + 1 + i))
      expect(got.head).toBe(8550)
      expect(got.hashHead).toBe((await log()).at(-1)?.hash)
    }
  })
})

describe('the log', () => {
  it('numbers without gaps, chained, read after a number', async () => {
    expect(seqs(await send([jobSet(), jobSet('K')]))).toEqual([1, 2])
    expect(seqs(await send([jobSet('L')]))).toEqual([3])
    const r = await h.call('GET', `/jobs/${job}/events?after=1`)
    expect(
      (r.body.lines as { seq: number; event: JobEvent }[]).map((l) => [l.seq, l.event.data.name]),
    ).toEqual([
      [2, 'K'],
      [3, 'L'],
    ])
    expect(checkChain(job, await log())).toMatchObject({ ok: true, seq: 3 })
    expect((await h.call('GET', `/jobs/${job}/verify`)).body).toMatchObject({ ok: true, seq: 3 })
    expect((await h.call('GET', `/jobs/${job}/events?after=-1`)).status).toBe(422)
  })
  it('the same id and body again is answered with its number; another body under it is refused', async () => {
    const e = jobSet()
    expect(seqs(await send([e]))).toEqual([1])
    h.clock.s += 60
    expect(seqs(await send([e], { sentAtDeviceS: 1_790_000_060 }))).toEqual([1])
    const other = await send([{ ...e, data: { ...e.data, name: 'Other' } }])
    expect([other.status, other.body.error?.code]).toEqual([409, 'id-reused'])
    expect(await log()).toHaveLength(1)
  })
  it('a number of the device used twice is refused, in one batch and over two', async () => {
    const a = jobSet()
    expect((await send([a, { ...jobSet(), deviceSeq: a.deviceSeq }])).status).toBe(409)
    await send([a])
    expect((await send([{ ...jobSet(), deviceSeq: a.deviceSeq }])).body.error?.code).toBe('device-seq-reused')
  })
  it('is all or nothing: one bad entry and none is written', async () => {
    const r = await send([
      jobSet(),
      draft('step-done', { life: 0, step: 'fit', readings: {}, shown: [] }, { jointId: randomUUID() }),
    ])
    expect([r.status, r.body.error?.field]).toEqual([422, 'events[1].data.life'])
    expect(await log()).toHaveLength(0)
  })
  it('many at once from many devices: still gap-free, still one chain', async () => {
    await Promise.all(
      Array.from({ length: 30 }, (_, i) =>
        send([jobSet(`n${i}`), jobSet(`m${i}`)], { deviceId: randomUUID() }),
      ),
    )
    const lines = await log()
    expect(lines.map((l) => l.seq)).toEqual(Array.from({ length: 60 }, (_, i) => i + 1))
    expect(checkChain(job, lines).ok).toBe(true)
  })
  it('a stale batch is refused before anything is done', async () => {
    await send([jobSet()])
    const r = await send([jobSet()], { expectedSeq: 0 })
    expect([r.status, r.body.error?.code]).toEqual([409, 'stale'])
    expect((await send([jobSet()], { expectedSeq: 1 })).status).toBe(200)
  })
  it('what one person wrote is not taken from the session of another on the same device', async () => {
    const other = await send([jobSet()], { personId: randomUUID() })
    expect([other.status, other.body.error?.code]).toEqual([401, 'other-person'])
    expect(await log()).toHaveLength(0)
    const { person } = (await h.call('GET', '/session')).body as unknown as { person: { personId: string } }
    expect((await send([jobSet()], { personId: person.personId })).status).toBe(200)
  })
  it('a slow phone: time is reckoned back from the sending, and frozen on first receipt', async () => {
    const e = { ...jobSet(), atDeviceS: 1_789_996_000 }
    await send([e], { sentAtDeviceS: 1_789_996_400 })
    const stored = JSON.parse((await log())[0]?.body ?? '{}') as JobEvent
    expect(stored.occurredAtS).toBe(1_790_000_000 - 400)
    expect(stored.atDeviceS).toBe(1_789_996_000)
    await send([e], { sentAtDeviceS: 1_789_999_999 })
    expect((JSON.parse((await log())[0]?.body ?? '{}') as JobEvent).occurredAtS).toBe(1_790_000_000 - 400)
  })
  it('an entry for a joint of another job is refused; of this job, taken', async () => {
    const [a, b] = [randomUUID(), randomUUID()]
    const step = (jointId: string) =>
      draft('step-done', { life: 1, step: 'fit', readings: {}, shown: [] }, { jointId })
    expect((await send([step(a)])).body.error).toMatchObject({
      code: 'unknown-joint',
      field: 'events[0].jointId',
    })
    expect((await send([piece(a, b), step(a)])).status).toBe(200)
    expect((await send([step(b)])).status).toBe(200)
  })
  it('a changed line in the database is found', async () => {
    await send([jobSet(), jobSet(), jobSet()])
    await h.pool.query(
      'update event set body = replace(body, \'"J"\', \'"I"\') where job_id = $1 and seq = 2',
      [job],
    )
    expect((await h.call('GET', `/jobs/${job}/verify`)).body).toMatchObject({ ok: false, seq: 2 })
  })
  it.each([
    ['not an object', 5, 'events[0]'],
    ['an unknown kind', { ...jobSet(), kind: 'magic' }, 'events[0].kind'],
    ['a version of tomorrow', { ...jobSet(), v: 9 }, 'events[0].v'],
    ['no joint where one is needed', draft('cut-out', { life: 1 }), 'events[0].jointId'],
    ['a number as text', draft('piece-cut', { itemId: randomUUID(), cutMm: '900' }), 'events[0].data.cutMm'],
    ['a negative length', draft('piece-cut', { itemId: randomUUID(), cutMm: -1 }), 'events[0].data.cutMm'],
    ['an id that is none', { ...jobSet(), id: 'abc' }, 'events[0].id'],
  ])('%s: 422 at the field', async (_what, e, field) => {
    const r = await send([e])
    expect([r.status, r.body.error?.field]).toEqual([422, field])
    expect(await log()).toHaveLength(0)
  })
  it('2 MB is too much; a job twice is refused; no device id is refused', async () => {
    expect(
      (await send([draft('signed', { what: 'x', refId: 'y', statement: 'z'.repeat(2_000_000) })])).status,
    ).toBe(413)
    expect((await h.call('POST', '/jobs', { jobId: job, name: 'J' })).body.error?.code).toBe('id-reused')
    expect((await h.call('POST', '/jobs', { jobId: randomUUID(), name: '' })).status).toBe(422)
    expect((await send([jobSet()], { deviceId: 'phone' })).body.error?.field).toBe('deviceId')
    expect(DEVICE).toHaveLength(36)
  })
})
