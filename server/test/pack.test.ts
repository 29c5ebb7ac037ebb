import { randomUUID } from 'node:crypto'
import { brotliDecompressSync, constants, brotliCompressSync } from 'node:zlib'
import { type JobEvent, type Packed, foldFrom, foldJob, packLog, unpackEntries } from '@jugalis/core'
import { saysTheSame } from '../src/index.js'
import { type Harness, batch, draft, harness } from './harness.js'
import { smallJob } from './small-job.js'

/** More than a log may hold that is sent as it is. */
const READINGS = 3200
const HOUR_S = 3600
let h: Harness
const [job, small] = [randomUUID(), randomUUID()]
const [line, place] = [randomUUID(), randomUUID()]
const joints = [randomUUID(), randomUUID()] as const
/** As a probe writes it, a moment after it was read. */
const reading = (atS: number, value: number) => ({
  ...draft('reading', { placeId: place, what: 'wall', basis: 'measured', atS, value }),
  atDeviceS: atS + 1,
})
const send = async (drafts: ReturnType<typeof draft>[]): Promise<void> => {
  for (let i = 0; i < drafts.length; i += 800) {
    const said = await h.call('POST', `/jobs/${job}/events`, batch(drafts.slice(i, i + 800)))
    expect([said.status, said.body.error?.message]).toEqual([200, undefined])
  }
}
const ask = (as = 'wren') => h.call('GET', `/jobs/${job}/pack`, undefined, { as })
/** What is made behind whoever asked, or wrote much, comes in its own time. @param from how much of the log it must know. */
async function packed(from = 0): Promise<Packed> {
  for (let tries = 0; tries < 400; tries++) {
    const { status, body } = await ask()
    const pack = body as unknown as Packed
    if (status === 200 && pack.seq >= from) return pack
    expect([200, 204]).toContain(status)
    await new Promise((done) => setTimeout(done, 50))
  }
  throw new Error('no pack came')
}
const logOf = async (): Promise<JobEvent[]> => {
  const { body } = await h.call('GET', `/jobs/${job}/events?after=0`)
  return (body.lines as { event: JobEvent }[]).map(({ event }) => event)
}
/** Put into the table as if it had been made so. */
const forge = (text: string, v = 1) =>
  h.pool.query('update job_pack set v = $2, body = $3 where job_id = $1', [
    job,
    v,
    brotliCompressSync(text, { params: { [constants.BROTLI_PARAM_QUALITY]: 1 } }),
  ])

beforeAll(async () => {
  h = await harness({ packs: true })
  await h.signIn('wren')
  await h.signIn('teal')
  await h.call('POST', '/jobs', { jobId: job, name: 'Long' })
  await h.call('POST', '/jobs', { jobId: small, name: 'Short' })
  const nowS = 1_790_000_000
  await send([
    ...smallJob({ name: 'Long', place, line, item: randomUUID(), tag: 'L', joints }),
    ...Array.from({ length: READINGS }, (_, i) =>
      reading(nowS - (READINGS - i) * HOUR_S, Math.round(120 + 40 * Math.sin(i / 4)) / 10),
    ),
  ])
})
afterAll(() => h.close())

it('a large log is packed behind whoever wrote or opens it, and says what the log says', async () => {
  const pack = await packed()
  const log = (await logOf()).slice(0, pack.seq)
  expect(pack.seq).toBeGreaterThan(3000)
  expect(saysTheSame(pack, log)).toBe(true)
  const { state } = foldFrom(unpackEntries(pack.entries), pack)
  const valuesOf = ({ readings }: typeof state) => readings.get(place)?.wall.map(({ value }) => value)
  expect(valuesOf(state)).toEqual(valuesOf(foldJob(log)))
  // It ends at a line of the log: what was written since is read after it.
  const after = await h.call('GET', `/jobs/${job}/events?after=${pack.seq}`)
  expect(after.body.hashAfter).toBe(pack.hash)
  const { rows } = await h.pool.query<{ body: Buffer }>('select body from job_pack where job_id = $1', [job])
  const kept = rows[0]?.body as Buffer
  expect(JSON.parse(brotliDecompressSync(kept).toString())).toEqual(pack)
  expect(pack.columns).toHaveLength(1)
  expect(kept.length * 4).toBeLessThan(JSON.stringify(log).length)
})
it('whoever is not on the job gets none; a small job has none; without brotli it comes all the same', async () => {
  expect((await ask('teal')).status).toBe(404)
  expect((await h.call('GET', `/jobs/${small}/pack`)).status).toBe(204)
  const { rows } = await h.pool.query('select 1 from job_pack where job_id = $1', [small])
  expect(rows).toEqual([])
  const plain = await h.call('GET', `/jobs/${job}/pack`, undefined, {
    headers: { 'accept-encoding': 'identity' },
  })
  expect((plain.body as unknown as Packed).seq).toBe((await packed()).seq)
})
it('one of another version is none, and is made anew', async () => {
  await forge('{}', 99)
  expect((await ask()).status).toBe(204)
  const log = await logOf()
  expect(saysTheSame(await packed(log.length), log)).toBe(true)
})
it('a log that has grown by much is packed anew', async () => {
  const before = await packed()
  const nowS = 1_790_000_000
  await send(Array.from({ length: 2100 }, (_, i) => reading(nowS - i, 15)))
  const log = await logOf()
  const after = await packed(before.seq + 1)
  expect(saysTheSame(after, log.slice(0, after.seq))).toBe(true)
})
it('one that says anything else than its log is known to', async () => {
  const log = await logOf()
  const pack = packLog(log, { seq: log.length, hash: 'x' })
  expect(saysTheSame(pack, log)).toBe(true)
  const [first, ...others] = pack.columns
  expect(first?.values.length).toBeGreaterThan(READINGS / 2)
  if (!first) throw new Error('no column')
  const [value, ...rest] = first.values
  const wrong = { ...first, values: [(value ?? 0) + 1, ...rest] }
  expect(saysTheSame({ ...pack, columns: [wrong, ...others] }, log)).toBe(false)
  expect(saysTheSame({ ...pack, columns: others }, log)).toBe(false)
})
