import net from 'node:net'
import Modbus from 'jsmodbus'
import { headsOf, readLoggers, readModbus, silenceOf, valueOf } from '../src/index.js'
import { NOW, sectionsOnServer } from './section-under-test.js'

const on = sectionsOnServer()

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
    const { job, section } = await on.sectionUnderTest()
    const answer = await on.put(job, {
      name: 'M',
      kind: 'pressure-logger',
      sectionId: section,
      settings: { ...settings(), host: 'gateway.example' },
    })
    expect([answer.status, answer.body.error?.field]).toEqual([422, 'settings.host'])
  })
  it('what a map leaves out goes by its defaults', async () => {
    const { job, section } = await on.sectionUnderTest()
    const answer = await on.put(job, {
      name: 'M',
      kind: 'pressure-logger',
      sectionId: section,
      settings: { host: '127.0.0.1', pressure: { register: 4, type: 'float32', scale: 1 } },
    })
    expect(answer.status).toBe(201)
    const { devices } = (await on.server().call('GET', `/jobs/${job}/devices`)).body as unknown as {
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
    const dead = await on.sectionUnderTest()
    const good = await on.sectionUnderTest()
    for (const { job, section, testId } of [dead, good]) await on.beginInLog(job, section, testId)
    const logger = (where: typeof dead, at: number) =>
      on.put(where.job, {
        name: 'M',
        kind: 'pressure-logger',
        sectionId: where.section,
        settings: { ...settings(), port: at },
      })
    await logger(dead, (silent.address() as net.AddressInfo).port)
    await logger(good, port)
    let now = NOW
    const loop = readLoggers(on.server().pool, headsOf(on.server().pool), () => (now += 1), 150)
    const rows = async (job: string) => (await on.eventsOf(job)).filter((e) => e.kind === 'test-log').length
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
    const { job, section, testId } = await on.sectionUnderTest()
    await on.beginInLog(job, section, testId)
    await on.put(job, {
      name: 'M',
      kind: 'pressure-logger',
      sectionId: section,
      settings: { ...settings(), port: 9 },
    })
    const known = async () => {
      const answer = await on.server().call('GET', `/jobs/${job}/devices`)
      const { devices } = answer.body as unknown as {
        devices: { silent: { why: string; sinceS: number } | null; lastAtS: number | null }[]
      }
      return devices.map(({ silent, lastAtS }) => ({ silent, heard: lastAtS !== null }))
    }
    let now = NOW
    const loop = readLoggers(on.server().pool, headsOf(on.server().pool), () => (now += 1), 1e6)
    await loop.once()
    const first = await known()
    expect(first).toEqual([
      { silent: { why: 'refused', sinceS: expect.any(Number) as number }, heard: false },
    ])
    await loop.once()
    expect(await known()).toEqual(first)
    await on
      .server()
      .pool.query('update device set settings = $2 where job_id = $1', [job, JSON.stringify(settings())])
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
