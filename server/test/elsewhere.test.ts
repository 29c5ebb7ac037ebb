import { jest } from '@jest/globals'
import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { chownSync, statSync } from 'node:fs'
import path from 'node:path'
import pg from 'pg'
import { startPostgres } from '../../scripts/lib/pg.mjs'
import { startPooler } from '../../scripts/lib/pooler.mjs'
import { connect, migrateUnderLock } from '../src/index.js'
import { type Harness, batch, draft, harness, jobSet } from './harness.js'

/** A database as an office has it: tables in a schema of their own, the line to it in TLS. */
jest.setTimeout(120_000)

/** A job is begun, written to, searched, verified, given out and known again when it is brought. */
async function works(h: Harness): Promise<void> {
  await h.signIn('wren')
  const job = randomUUID()
  expect((await h.call('POST', '/jobs', { jobId: job, name: 'J' })).status).toBe(201)
  const place = draft('place-set', { placeId: randomUUID(), name: 'Loft' })
  expect((await h.call('POST', `/jobs/${job}/events`, batch([jobSet(), place]))).status).toBe(200)
  expect((await h.call('GET', '/glance')).status).toBe(200)
  expect((await h.call('GET', `/jobs/${job}/verify`)).body).toMatchObject({ ok: true })
  const file = await h.call('GET', `/jobs/${job}/export.json`)
  expect((await h.call('POST', '/jobs/import', undefined, { raw: file.text })).status).toBe(409)
}

describe('in a schema of its own', () => {
  it('everything is there, nothing in public, and a second start changes nothing', async () => {
    const h = await harness({ schema: 'pipes' })
    try {
      await works(h)
      const { rows } = await h.pool.query<{ schema: string }>(
        `select distinct schemaname as schema from pg_tables where schemaname not in ('pg_catalog', 'information_schema')`,
      )
      expect(rows.map(({ schema }) => schema)).toEqual(['pipes'])
      const database = { pool: h.pool, close: () => Promise.resolve() }
      await migrateUnderLock(database, `${process.cwd()}/server/migrations`)
    } finally {
      await h.close()
    }
  })
})

describe('over TLS', () => {
  let cluster: Awaited<ReturnType<typeof startPostgres>>
  beforeAll(async () => {
    cluster = await startPostgres({ throwaway: true })
    const { uid, gid } = statSync(cluster.data)
    for (const name of ['own', 'other']) {
      const [key, cert] = [`${name}.key`, `${name}.crt`].map((file) => path.join(cluster.data, file)) as [
        string,
        string,
      ]
      const how = ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-subj', '/CN=127.0.0.1']
      execFileSync(
        'openssl',
        [...how, '-addext', 'subjectAltName=IP:127.0.0.1', '-keyout', key, '-out', cert],
        {
          stdio: 'ignore',
        },
      )
      for (const file of [key, cert]) chownSync(file, uid, gid)
    }
    const admin = new pg.Client({ connectionString: cluster.url })
    await admin.connect()
    await admin.query(`alter system set ssl = on`)
    await admin.query(`alter system set ssl_cert_file = 'own.crt'`)
    await admin.query(`alter system set ssl_key_file = 'own.key'`)
    await admin.query('select pg_reload_conf()')
    await admin.end()
  })
  afterAll(() => cluster?.stop())
  const certified = (name: string): string =>
    `sslmode=verify-full&sslrootcert=${encodeURIComponent(path.join(cluster.data, `${name}.crt`))}`

  it('the line is TLS, the certificate is held against the one that is named', async () => {
    const h = await harness({ base: cluster.base, saying: certified('own') })
    try {
      await works(h)
      const { rows } = await h.pool.query<{ ssl: boolean }>(
        'select ssl from pg_stat_ssl join pg_stat_activity using (pid) where datname = current_database()',
      )
      expect(rows.length).toBeGreaterThan(0)
      expect(rows.every(({ ssl }) => ssl)).toBe(true)
    } finally {
      await h.close()
    }
  })
  it('a server with another certificate is not spoken to', async () => {
    const { pool, close } = connect(`${cluster.url}?${certified('other')}`)
    await expect(pool.query('select 1')).rejects.toThrow(/certificate/)
    await close()
  })
})

describe('behind a pooler that lends each statement another connection', () => {
  let pooler: Awaited<ReturnType<typeof startPooler>>
  beforeAll(async () => (pooler = await startPooler(process.env.TEST_DATABASE ?? '')))
  afterAll(() => pooler?.stop())

  it('everything works, two servers write into one log, and who follows hears of it', async () => {
    const h = await harness({ base: pooler.base, pooler: true, live: 'poll' })
    try {
      await works(h)
      const other = await h.another()
      const job = randomUUID()
      await h.call('POST', '/jobs', { jobId: job, name: 'J' })
      const following = new AbortController()
      const cookie = h.cookieOf('wren')
      const stream = await fetch(`${other}/api/jobs/${job}/live`, {
        headers: { cookie },
        signal: following.signal,
      })
      const reader = (stream.body as ReadableStream<Uint8Array>).getReader()
      const sent = Array.from({ length: 40 }, (_, i) =>
        batch([draft('place-set', { placeId: randomUUID(), name: `P${i}` })]),
      )
      const answers = await Promise.all(
        sent.map((own, i) =>
          fetch(`${i % 2 ? other : h.url}/api/jobs/${job}/events`, {
            method: 'POST',
            headers: { 'content-type': 'application/json', cookie },
            body: JSON.stringify(own),
          }),
        ),
      )
      expect(answers.map(({ status }) => status)).toEqual(sent.map(() => 200))
      let heard = ''
      while (!heard.includes(`${sent.length}`)) heard += new TextDecoder().decode((await reader.read()).value)
      following.abort()
      expect((await h.call('GET', `/jobs/${job}/verify`)).body).toMatchObject({ ok: true, seq: sent.length })
    } finally {
      await h.close()
    }
  })
  it('a server that is not told so is refused at the door, by the pooler', async () => {
    const told = connect(`${pooler.base}/postgres`)
    await expect(told.pool.query('select 1')).rejects.toThrow(/unsupported startup parameter/)
    await told.close()
  })
})
