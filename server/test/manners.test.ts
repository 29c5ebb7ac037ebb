import { jest } from '@jest/globals'
import { randomUUID } from 'node:crypto'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { createApp, heavyThread } from '../src/index.js'
import { HEAVY_SCRIPT, type Harness, batch, harness, jobSet } from './harness.js'

let h: Harness
beforeAll(async () => void (h = await harness()))
afterAll(() => h.close())

describe('sessions', () => {
  it('are kept in the database: another server process knows them; signing out ends them everywhere', async () => {
    const signIn = await fetch(`${h.url}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ login: 'WREN', password: 'tide' }),
    })
    expect(signIn.status).toBe(200)
    const set = signIn.headers.get('set-cookie') ?? ''
    expect(set).toMatch(/HttpOnly/i)
    expect(set).toMatch(/SameSite=Lax/i)
    const cookie = set.split(';')[0] ?? ''
    const other = await new Promise<Server>((done) => {
      const s = createApp({
        heavy: heavyThread(HEAVY_SCRIPT),
        pool: h.pool,
        pulse: h.pulse,
        sessionSecret: 'test',
        limiter: false,
      }).listen(0, '127.0.0.1', () => done(s))
    })
    const base = `http://127.0.0.1:${(other.address() as AddressInfo).port}`
    try {
      const jobs = () => fetch(`${base}/api/jobs`, { headers: { cookie } }).then((r) => r.status)
      expect(await jobs()).toBe(200)
      expect((await fetch(`${h.url}/api/session`, { method: 'DELETE', headers: { cookie } })).status).toBe(
        204,
      )
      expect(await jobs()).toBe(401)
    } finally {
      other.closeAllConnections()
      await new Promise((done) => other.close(done))
    }
  })
  it('passwords are kept as hashes only', async () => {
    const r = await h.pool.query<{ password_hash: string }>(
      'select password_hash from person where login is not null',
    )
    for (const p of r.rows)
      expect(p.password_hash).toMatch(/^scrypt\$32768\$8\$3\$[\w+/]{22}==\$[\w+/]{43}=$/)
  })
})

/** A server that counts requests, as one does that is reached by others. */
async function onLimited(work: (base: string) => Promise<void>): Promise<void> {
  const limited = await new Promise<Server>((done) => {
    const s = createApp({
      heavy: heavyThread(HEAVY_SCRIPT),
      pool: h.pool,
      pulse: h.pulse,
      sessionSecret: 'test',
    }).listen(0, '127.0.0.1', () => done(s))
  })
  try {
    await work(`http://127.0.0.1:${(limited.address() as AddressInfo).port}`)
  } finally {
    limited.closeAllConnections()
    await new Promise((done) => limited.close(done))
  }
}
describe('the limiter', () => {
  it('answers 429 in the common form, and can be switched off', () =>
    onLimited(async (base) => {
      const tries = await Promise.all(
        Array.from({ length: 34 }, () =>
          fetch(`${base}/api/session`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: '{}',
          }),
        ),
      )
      const refused = tries.filter((r) => r.status === 429)
      expect(refused).toHaveLength(4)
      expect(await refused[0]?.json()).toMatchObject({ error: { code: 'too-many', field: null } })
      const open = await Promise.all(Array.from({ length: 34 }, () => h.call('POST', '/session', {})))
      expect(open.every((r) => r.status === 422)).toBe(true)
    }))
  it('so many whole logs a minute are told to one person, and others hear theirs meanwhile', () =>
    onLimited(async (base) => {
      const ask = async (as: string, job: string, what: string): Promise<number> =>
        (await fetch(`${base}/api/jobs/${job}/${what}`, { headers: { cookie: h.cookieOf(as) } })).status
      const jobOf = async (as: string): Promise<string> => {
        await h.signIn(as)
        const job = randomUUID()
        await h.call('POST', '/jobs', { jobId: job, name: 'J' }, { as })
        return job
      }
      const [mine, theirs] = [await jobOf('wren'), await jobOf('teal')]
      const what = ['verify', 'log.csv', 'entries.csv', 'export.json']
      const said = await Promise.all(
        Array.from({ length: 34 }, (_, i) => ask('wren', mine, what[i % 4] ?? '')),
      )
      expect(said.filter((status) => status === 429)).toHaveLength(4)
      expect(said.filter((status) => status === 200)).toHaveLength(30)
      expect([await ask('teal', theirs, 'verify'), await ask('wren', mine, 'events?after=0')]).toEqual([
        200, 200,
      ])
    }))
})

describe('another site', () => {
  const ask = (headers: Record<string, string>, method = 'POST') =>
    fetch(`${h.url}/api/jobs`, {
      method,
      headers: { cookie: h.cookieOf('wren'), 'content-type': 'application/json', ...headers },
      ...(method === 'POST' ? { body: JSON.stringify({ jobId: randomUUID(), name: 'X' }) } : {}),
    })
  const here = (): string => new URL(h.url).host
  it.each<[string, () => Record<string, string>, number]>([
    ['another site, by what the browser says', () => ({ 'sec-fetch-site': 'cross-site' }), 403],
    ['a neighbour under the same name', () => ({ 'sec-fetch-site': 'same-site' }), 403],
    ['our own page', () => ({ 'sec-fetch-site': 'same-origin', origin: 'http://behind.example' }), 201],
    ['an older browser, elsewhere', () => ({ origin: 'http://evil.example' }), 403],
    ['a page without an origin', () => ({ origin: 'null' }), 403],
    ['another port of this machine', () => ({ origin: 'http://127.0.0.1:1' }), 403],
    ['an older browser, here', () => ({ origin: `http://${here()}` }), 201],
    ['no browser', () => ({}), 201],
  ])('%s', async (_who, headers, status) => {
    await h.signIn('wren')
    const said = await ask(headers())
    expect(said.status).toBe(status)
    if (status === 403) expect(await said.json()).toMatchObject({ error: { code: 'cross-site' } })
  })
  it('may look at nothing either: no answer lets its pages read it', async () => {
    const said = await ask({ 'sec-fetch-site': 'cross-site', origin: 'http://evil.example' }, 'GET')
    expect([...said.headers.keys()].filter((name) => name.startsWith('access-control'))).toEqual([])
  })
})

describe('answers', () => {
  it('an unknown address is 404 in the common form; headers forbid framing and foreign scripts', async () => {
    const r = await fetch(`${h.url}/api/nothing-here`)
    expect(r.status).toBe(404)
    expect(await r.json()).toEqual({
      error: { code: 'not-found', message: 'There is nothing here.', field: null },
    })
    expect(r.headers.get('content-security-policy')).toContain("script-src 'self'")
    expect(r.headers.get('x-powered-by')).toBeNull()
  })
  it('a failure inside shows nothing of the inside', async () => {
    await h.signIn('wren')
    const job = randomUUID()
    await h.call('POST', '/jobs', { jobId: job, name: 'J' })
    await h.pool.query('alter table event rename to event_gone')
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined)
    try {
      const r = await h.call('POST', `/jobs/${job}/events`, batch([jobSet()]))
      expect([r.status, r.body.error?.code]).toEqual([500, 'failed'])
      expect(r.text).not.toMatch(/event_gone|relation|at .*\.ts|select/)
    } finally {
      quiet.mockRestore()
      await h.pool.query('alter table event_gone rename to event')
    }
    expect((await h.call('POST', `/jobs/${job}/events`, batch([jobSet()]))).status).toBe(200)
  })
})
