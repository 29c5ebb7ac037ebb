import { randomUUID } from 'node:crypto'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import path from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { build } from 'esbuild'
import { KINDS } from '@jugalis/core'
import pg from 'pg'
import {
  type LiveMode,
  type Pulse,
  addPerson,
  behindHere,
  connect,
  createApp,
  headsOf,
  heavyThread,
  keptAlive,
  migrateUnderLock,
  pulseOf,
} from '../src/index.js'

const BASE = process.env.TEST_DATABASE ?? ''
export interface Answer {
  status: number
  body: Record<string, unknown> & {
    error?: {
      code: string
      message: string
      field: string | null
      stops?: { code: string; message: string; joint?: string }[]
    }
  }
  text: string
}
export interface Harness {
  url: string
  pool: pg.Pool
  pulse: Pulse
  clock: { s: number }
  call(
    method: string,
    path: string,
    body?: unknown,
    o?: { as?: string; raw?: string; headers?: Record<string, string> },
  ): Promise<Answer>
  signIn(login: string): Promise<void>
  /** Cookie of someone signed in. */
  cookieOf(login: string): string
  /** Starts a second process over the same database; gives its address. */
  another(): Promise<string>
  close(): Promise<void>
}
export const ORG = randomUUID()
/** The worker thread’s script, beside the server’s own so that it finds the same packages. One for each test process. */
export const HEAVY_SCRIPT = pathToFileURL(
  path.join(process.cwd(), `server/dist/test-stock-worker-${process.pid}.mjs`),
)
const buildHeavy = () =>
  build({
    entryPoints: ['server/src/stock-worker.ts'],
    outfile: fileURLToPath(HEAVY_SCRIPT),
    bundle: true,
    platform: 'node',
    format: 'esm',
    external: ['highs', 'yup', 'papaparse', '@noble/hashes', 'canonicalize'],
    logLevel: 'error',
  })

/** A server of its own over a database of its own, on real PostgreSQL. */
export async function harness({
  people = ['wren', 'teal'],
  live = 'push' as LiveMode,
  /** Large logs are packed, in the thread of the tests: it holds up whatever else they ask. */
  packs = false,
  /** Another PostgreSQL than the one that all tests share. */
  base = BASE,
  /** Another schema than `public`, and what else its address says: `sslmode=verify-full`. */
  schema = 'public',
  saying = '',
  /** A pooler in transaction mode stands before it. */
  pooler = false,
} = {}): Promise<Harness> {
  if (!base) throw new Error('TEST_DATABASE is not set: run through npm test')
  const name = `t_${randomUUID().replaceAll('-', '')}`
  const admin = new pg.Client({ connectionString: `${base}/postgres` })
  await admin.connect()
  await admin.query(`create database ${name}`)
  await admin.end()
  const path = schema === 'public' ? '' : `options=${encodeURIComponent(`-c search_path=${schema}`)}`
  const asked = [path, saying].filter(Boolean).join('&')
  const address = `${base}/${name}${asked ? `?${asked}` : ''}`
  const database = connect(address, { pooler })
  if (path) await database.pool.query(`create schema ${schema}`)
  await migrateUnderLock(database, `${process.cwd()}/server/migrations`)
  await database.pool.query('insert into org (org_id, name) values ($1, $2)', [ORG, 'Test'])
  for (const login of people)
    await addPerson(database.pool, {
      personId: randomUUID(),
      orgId: ORG,
      name: login,
      login,
      password: 'tide',
    })
  const clock = { s: 1_790_000_000 }
  await buildHeavy()
  const heavy = heavyThread(HEAVY_SCRIPT)
  // As in operation, another process has its own pool and its own ear for notifications.
  const processes: { server: Server; url: string; end(): Promise<void> }[] = []
  const first = pulseOf(address)
  const start = async (): Promise<string> => {
    const own = processes.length ? connect(address, { pooler }) : database
    const heads = headsOf(own.pool, live)
    const pulse = processes.length ? pulseOf(address) : first
    const app = createApp({
      pool: own.pool,
      pulse,
      heavy,
      heads,
      sessionSecret: 'test',
      nowS: () => clock.s,
      limiter: false,
      ...(packs ? { packs: behindHere('pack', own.pool) } : {}),
    })
    const server = await new Promise<Server>((done) => {
      const s = keptAlive(app.listen(0, '127.0.0.1', () => done(s)))
    })
    const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
    processes.push({
      server,
      url,
      async end() {
        server.closeAllConnections()
        await new Promise((done) => server.close(done))
        heads.stop()
        await pulse.stop()
        await own.close()
      },
    })
    return url
  }
  const url = await start()
  const cookies = new Map<string, string>()
  const call: Harness['call'] = async (method, where, body, o = {}) => {
    const res = await fetch(`${url}/api${where}`, {
      method,
      headers: {
        'content-type': 'application/json',
        cookie: cookies.get(o.as ?? 'wren') ?? '',
        ...o.headers,
      },
      ...(o.raw !== undefined ? { body: o.raw } : body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    const text = await res.text()
    const set = res.headers.get('set-cookie')
    if (set) cookies.set(o.as ?? 'wren', set.split(';')[0] ?? '')
    return { status: res.status, body: jsonOr(text) as Answer['body'], text }
  }
  return {
    url,
    pool: database.pool,
    pulse: first,
    clock,
    call,
    async signIn(login) {
      const r = await call('POST', '/session', { login, password: 'tide' }, { as: login })
      if (r.status !== 200) throw new Error(`sign-in: ${r.text}`)
    },
    cookieOf: (login) => cookies.get(login) ?? '',
    another: start,
    async close() {
      await heavy.stop()
      // The first one's database serves the test itself: it goes last.
      for (const p of processes.reverse()) await p.end()
    },
  }
}

function jsonOr(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return {}
  }
}

let seq = 0
/** A well-formed draft; what is given wins. */
export const draft = (kind: string, data: Record<string, unknown>, o: Record<string, unknown> = {}) => ({
  id: randomUUID(),
  kind,
  v: KINDS[kind]?.v ?? 1,
  jointId: null,
  atDeviceS: 1_790_000_000,
  deviceSeq: ++seq,
  after: [],
  data,
  ...o,
})
export const batch = (events: unknown[], o: Record<string, unknown> = {}) => ({
  deviceId: DEVICE,
  sentAtDeviceS: 1_790_000_000,
  clockErrorS: 0.1,
  events,
  ...o,
})
export const DEVICE = randomUUID()
export const jobSet = (name = 'J') =>
  draft('job-set', { name, zone: 'UTC', school: 'metric', table: 'current', checkOffsetMm: 50 })
