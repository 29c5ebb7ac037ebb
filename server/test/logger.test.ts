import { randomUUID } from 'node:crypto'
import net from 'node:net'
import { type JobEvent, foldJob, judgeRun } from '@jugalis/core'
import Modbus from 'jsmodbus'
import { headsOf, loggerReports, readLog, readLoggers, readModbus, silenceOf, valueOf } from '../src/index.js'
import { type Harness, batch, draft, harness, jobSet } from './harness.js'

let h: Harness
const NOW = 1_790_000_000
beforeAll(async () => {
  h = await harness()
  await h.signIn('wren')
})
afterAll(() => h.close())

const testData = (section: string, testId: string) => ({
  testId,
  sectionId: section,
  bar: 9,
  medium: 'water',
  holdS: 60,
  allowedDropBar: 0.3,
  resolutionBar: 0.0062,
  sensorErrorBar: 0.002,
  temperatureOf: 'medium',
  tester: 'Wren',
  physics: { pipeMaterial: 'pvc-u', odMm: 63, wallMm: 3, axial: 'free', volumeM3: 0.08 },
})
/** A section without a test door in the way: its test is written straight into the log. */
async function sectionUnderTest(): Promise<{ job: string; section: string; testId: string }> {
  const [job, section, testId] = [randomUUID(), randomUUID(), randomUUID()]
  await h.call('POST', '/jobs', { jobId: job, name: 'J' })
  await h.call('POST', `/jobs/${job}/events`, batch([jobSet()]))
  await h.call(
    'POST',
    `/jobs/${job}/events`,
    batch([
      draft('section-set', {
        sectionId: section,
        tag: 'S',
        jointIds: [],
        workingBar: 6,
        testBar: 9,
        holdS: 60,
        allowedDropBar: 0.3,
      }),
    ]),
  )
  return { job, section, testId }
}
/** The door of a test asks for joints: this one is put into the log as an older server would have. */
async function beginInLog(job: string, section: string, testId: string): Promise<void> {
  const head = await h.pool.query<{ seq: string; hash: Buffer }>(
    'select seq, hash from job_head where job_id = $1',
    [job],
  )
  expect(head.rows).toHaveLength(1)
  const e = draft('test-begun', testData(section, testId)) as { id: string }
  const body = JSON.stringify({
    ...e,
    jobId: job,
    deviceId: randomUUID(),
    actorId: randomUUID(),
    occurredAtS: NOW,
    atDeviceS: NOW,
    clockErrorS: 0,
  })
  await h.pool.query(
    `insert into event (job_id, seq, id, kind, v, body, actor_id, device_id, device_seq, occurred_at, clock_error_s, recorded_at, prev_hash, hash)
     values ($1, $2, $3, 'test-begun', 1, $4, $5, $6, 1, to_timestamp($7), 0, now(), $8, $8)`,
    [job, Number(head.rows[0]?.seq) + 1, e.id, body, randomUUID(), randomUUID(), NOW, head.rows[0]?.hash],
  )
  await h.pool.query('update job_head set seq = seq + 1 where job_id = $1', [job])
}
const put = (job: string, d: Record<string, unknown>) => h.call('POST', `/jobs/${job}/devices`, d)
const report = (token: string, reports: unknown[], sentAtDeviceS = NOW) =>
  h.call(
    'POST',
    '/devices/reports',
    { sentAtDeviceS, reports },
    { as: 'nobody', headers: { authorization: `Bearer ${token}` } },
  )
const eventsOf = async (job: string): Promise<JobEvent[]> =>
  (await readLog(h.pool, job, 0)).map((l) => JSON.parse(l.body) as JobEvent)
const row = (seq: number, value = 9) => ({
  seq,
  atDeviceS: NOW - 100 + seq,
  what: 'pressure',
  value,
  temperatureC: 15,
})

describe('a pressure logger', () => {
  it('is refused while no test runs, and in words', async () => {
    const { job, section } = await sectionUnderTest()
    const made = await put(job, { name: 'L', kind: 'pressure-logger', sectionId: section })
    const answer = await report((made.body as unknown as { token: string }).token, [row(1)])
    expect([answer.status, answer.body.error?.code]).toEqual([409, 'no-test'])
  })
  it('refuses what does not ascend, what is no pressure, and the future', async () => {
    const { job, section } = await sectionUnderTest()
    const made = await put(job, { name: 'L', kind: 'pressure-logger', sectionId: section })
    const { token } = made.body as unknown as { token: string }
    for (const [reports, field] of [
      [[row(2), row(1)], 'reports[1].seq'],
      [[{ ...row(1), what: 'wall' }], 'reports[0].what'],
      [[{ ...row(1), atDeviceS: NOW + 500 }], 'reports[0].atDeviceS'],
    ] as const) {
      const answer = await report(token, [...reports])
      expect([answer.status, answer.body.error?.field]).toEqual([422, field])
    }
  })
})

describe('registers', () => {
  it.each([
    ['uint16', [900], 'high first', 900],
    ['int16', [0xffff], 'high first', -1],
    ['uint32', [1, 2], 'high first', 65538],
    ['uint32', [2, 1], 'low first', 65538],
    ['int32', [0xffff, 0xfffe], 'high first', -2],
  ] as const)('%s %j %s is %d', (type, words, wordOrder, value) =>
    expect(valueOf([...words], { type, wordOrder, scale: 1, offset: 0 })).toBe(value),
  )
  it('a double comes back, and words whose low byte comes first', () => {
    const b = Buffer.alloc(8)
    b.writeDoubleBE(9.0625)
    const words = [0, 2, 4, 6].map((i) => b.readUInt16BE(i))
    const r = { type: 'float64' as const, scale: 1, offset: 0 }
    expect(valueOf(words, { ...r, wordOrder: 'high first' })).toBe(9.0625)
    expect(valueOf([...words].reverse(), { ...r, wordOrder: 'low first' })).toBe(9.0625)
    const turned = words.map((w) => ((w & 0xff) << 8) | (w >> 8))
    expect(valueOf(turned, { ...r, wordOrder: 'high first', byteOrder: 'low first' })).toBe(9.0625)
  })
  it('an answer that is too short is no pressure', () => {
    const r = { wordOrder: 'high first' as const, scale: 1, offset: 0 }
    expect(() => valueOf([900], { ...r, type: 'float32' })).toThrow('short')
    expect(() => valueOf([], { ...r, type: 'uint16' })).toThrow('short')
    expect(() => valueOf([1, 2, 3], { ...r, type: 'float64' })).toThrow('short')
  })
  it('a float comes back, in either order, scaled and shifted', () => {
    const b = Buffer.alloc(4)
    b.writeFloatBE(9.125)
    const words = [b.readUInt16BE(0), b.readUInt16BE(2)]
    const r = { type: 'float32' as const, scale: 0.1, offset: 1 }
    expect(valueOf(words, { ...r, wordOrder: 'high first' })).toBeCloseTo(1.9125, 9)
    expect(valueOf([...words].reverse(), { ...r, wordOrder: 'low first' })).toBeCloseTo(1.9125, 9)
  })
})

describe('Modbus TCP', () => {
  let server: net.Server
  let port: number
  beforeAll(async () => {
    const holding = Buffer.alloc(64)
    holding.writeFloatBE(9.25, 8)
    holding.writeInt16BE(153, 20)
    const input = Buffer.alloc(64)
    input.writeUInt16BE(4712, 8)
    server = new net.Server()
    new Modbus.server.TCP(server, { holding, input })
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
    port = (server.address() as net.AddressInfo).port
  })
  afterAll(() => new Promise<void>((done) => server.close(() => done())))
  const settings = () => ({
    host: '127.0.0.1',
    port,
    unit: 1,
    pressure: {
      table: 'holding' as const,
      register: 4,
      type: 'float32' as const,
      wordOrder: 'high first' as const,
      byteOrder: 'high first' as const,
      scale: 1,
      offset: 0,
    },
    temperature: {
      table: 'holding' as const,
      register: 10,
      type: 'int16' as const,
      wordOrder: 'high first' as const,
      byteOrder: 'high first' as const,
      scale: 0.1,
      offset: 0,
    },
  })
  it('reads pressure and temperature by the map of registers', async () => {
    const read = await readModbus(settings())
    expect(read.bar).toBeCloseTo(9.25, 6)
    expect(read.temperatureC).toBeCloseTo(15.3, 6)
  })
  it('reads input registers too, where the map says so', async () => {
    const at = { ...settings().pressure, table: 'input' as const, type: 'uint16' as const, scale: 0.001 }
    const read = await readModbus({ ...settings(), pressure: at, temperature: undefined })
    expect(read.bar).toBeCloseTo(4.712, 6)
    expect(read.temperatureC).toBeNull()
  })
  it('a host that nobody allowed is not spoken to, and not even written down', async () => {
    await expect(readModbus({ ...settings(), host: '10.1.2.3' })).rejects.toThrow(/MODBUS_HOSTS/)
    const { job, section } = await sectionUnderTest()
    const answer = await put(job, {
      name: 'M',
      kind: 'pressure-logger',
      sectionId: section,
      settings: { ...settings(), host: 'gateway.example' },
    })
    expect([answer.status, answer.body.error?.field]).toEqual([422, 'settings.host'])
  })
  it('what a map leaves out goes by its defaults', async () => {
    const { job, section } = await sectionUnderTest()
    const answer = await put(job, {
      name: 'M',
      kind: 'pressure-logger',
      sectionId: section,
      settings: { host: '127.0.0.1', pressure: { register: 4, type: 'float32', scale: 1 } },
    })
    expect(answer.status).toBe(201)
    const { devices } = (await h.call('GET', `/jobs/${job}/devices`)).body as unknown as {
      devices: { settings: Record<string, unknown> }[]
    }
    expect(devices[0]?.settings).toMatchObject({
      port: 502,
      unit: 1,
      pressure: { table: 'holding', wordOrder: 'high first', byteOrder: 'high first', offset: 0 },
    })
  })
  it('a dead one costs the others nothing', async () => {
    const silent = net.createServer()
    const lines = new Set<net.Socket>()
    silent.on('connection', (c) => lines.add(c))
    await new Promise<void>((done) => silent.listen(0, '127.0.0.1', done))
    const dead = await sectionUnderTest()
    const good = await sectionUnderTest()
    for (const { job, section, testId } of [dead, good]) await beginInLog(job, section, testId)
    const logger = (where: typeof dead, at: number) =>
      put(where.job, {
        name: 'M',
        kind: 'pressure-logger',
        sectionId: where.section,
        settings: { ...settings(), port: at },
      })
    await logger(dead, (silent.address() as net.AddressInfo).port)
    await logger(good, port)
    let now = NOW
    const loop = readLoggers(h.pool, headsOf(h.pool), () => (now += 1), 150)
    const rows = async (job: string) => (await eventsOf(job)).filter((e) => e.kind === 'test-log').length
    const until = Date.now() + 1400
    while (Date.now() < until && (await rows(good.job)) < 4) await new Promise((r) => setTimeout(r, 30))
    // Within the time that the dead one alone would have taken.
    expect(await rows(good.job)).toBeGreaterThanOrEqual(4)
    expect(await rows(dead.job)).toBe(0)
    await loop.stop()
    lines.forEach((c) => c.destroy())
    await new Promise<void>((done) => silent.close(() => done()))
  }, 20_000)
  it('why one can\u2019t be read is known, and is forgotten when it answers', async () => {
    const { job, section, testId } = await sectionUnderTest()
    await beginInLog(job, section, testId)
    await put(job, {
      name: 'M',
      kind: 'pressure-logger',
      sectionId: section,
      settings: { ...settings(), port: 9 },
    })
    const known = async () => {
      const answer = await h.call('GET', `/jobs/${job}/devices`)
      const { devices } = answer.body as unknown as {
        devices: { silent: { why: string; sinceS: number } | null; lastAtS: number | null }[]
      }
      return devices.map(({ silent, lastAtS }) => ({ silent, heard: lastAtS !== null }))
    }
    let now = NOW
    const loop = readLoggers(h.pool, headsOf(h.pool), () => (now += 1), 1e6)
    await loop.once()
    const first = await known()
    expect(first).toEqual([
      { silent: { why: 'refused', sinceS: expect.any(Number) as number }, heard: false },
    ])
    await loop.once()
    expect(await known()).toEqual(first)
    await h.pool.query('update device set settings = $2 where job_id = $1', [job, JSON.stringify(settings())])
    await loop.once()
    expect(await known()).toEqual([{ silent: null, heard: true }])
    await loop.stop()
  })
  it.each([
    [Object.assign(new Error('x'), { code: 'ECONNREFUSED' }), 'refused'],
    [new Error('no answer'), 'no-answer'],
    [{ err: 'Timeout', message: 'Req timed out' }, 'no-answer'],
    [new Error('short answer'), 'short-answer'],
    [new Error('no number'), 'no-number'],
    [{ err: 'ModbusException', message: 'A Modbus Exception Occurred' }, 'other'],
  ])('%p is told as %s', (thrown, why) => expect(silenceOf(thrown)).toBe(why))
  it('one that does not answer leaves a gap, and no error', async () => {
    await expect(readModbus({ ...settings(), port: 9 })).rejects.toThrow()
  })
})

describe('the stand-in line', () => {
  const run = (standIn: string, holdS = 1200) => {
    const test = { testId: 't', begunAtS: NOW, data: { ...testData('s', 't'), holdS } }
    const reports = loggerReports(
      { deviceId: 'd', standIn: standIn as 'well' },
      test,
      NOW - 1,
      NOW + holdS + 5,
    )
    return { test, reports }
  }
  it('says the same however often it is asked, and goes on from where it was', () => {
    const { test, reports } = run('well', 120)
    const late = loggerReports({ deviceId: 'd', standIn: 'well' }, test, NOW + 60, NOW + 125)
    expect(late).toEqual(reports.filter((r) => r.atDeviceS > NOW + 60))
  })
  it('leaks, swings, holds air and sticks as it is told', () => {
    const fall = (s: string) => {
      const { reports } = run(s, 300)
      return (reports[0]?.value ?? 0) - (reports.at(-1)?.value ?? 0)
    }
    expect(Math.abs(fall('well'))).toBeLessThan(0.25)
    expect(fall('leak')).toBeGreaterThan(0.9)
    expect(fall('stuck')).toBe(0)
    const temps = run('swing', 380).reports.map((r) => r.temperatureC ?? 0)
    expect(Math.max(...temps) - Math.min(...temps)).toBeGreaterThan(0.1)
  })
  it('two processes that play it write every reading once', async () => {
    const { job, section, testId } = await sectionUnderTest()
    const made = await put(job, { name: 'L', kind: 'pressure-logger', sectionId: section, standIn: 'leak' })
    const { deviceId } = made.body as unknown as { deviceId: string }
    await beginInLog(job, section, testId)
    const heads = headsOf(h.pool, 'poll')
    let now = NOW + 30
    const [one, two] = [
      readLoggers(h.pool, heads, () => now, 1e6),
      readLoggers(h.pool, heads, () => now, 1e6),
    ]
    for (const step of [0, 20, 40]) {
      now = NOW + 30 + step
      await Promise.all([one.once(), two.once()])
    }
    await Promise.all([one.stop(), two.stop()])
    await heads.stop()
    const state = foldJob(await eventsOf(job))
    const times = state.tests.get(testId)?.readings.map((r) => r.atS) ?? []
    expect(times.length).toBeGreaterThan(60)
    expect(new Set(times).size).toBe(times.length)
    const written = (await eventsOf(job)).filter((x) => x.kind === 'test-log')
    expect(written.every((x) => x.deviceId === deviceId)).toBe(true)
    expect(written.flatMap((x) => x.data.rows as unknown[]).length).toBe(times.length)
    const run = state.tests.get(testId)
    expect(run && judgeRun(state, run).verdict).toBe('lost')
  })
})
