import { execFile } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { promisify } from 'node:util'
import pg from 'pg'
import { type Harness, batch, draft, harness, jobSet } from './harness.js'

/** A copy of everything, brought back elsewhere, is what it was a copy of. */
let h: Harness
const folder = mkdtempSync(path.join(os.tmpdir(), 'jugalis-copy-'))
const file = path.join(folder, 'copy')
beforeAll(async () => void (h = await harness()))
afterAll(async () => {
  await h.close()
  rmSync(folder, { recursive: true, force: true })
})
const urlOf = (pool: pg.Pool): string => String(pool.options.connectionString)
const tool = async (what: 'backup' | 'restore', url: string): Promise<string> => {
  const ran = promisify(execFile)(process.execPath, ['scripts/backup.mjs', what, file], {
    env: { ...process.env, DATABASE_URL: url },
  })
  return ran.then(
    ({ stdout }) => stdout,
    (error: { stderr: string }) => error.stderr,
  )
}
/** Every row of every table, as text. */
async function all(url: string): Promise<string> {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  const { rows: tables } = await client.query<{ t: string }>(
    `select table_name as t from information_schema.tables where table_schema = 'public' order by 1`,
  )
  const rows: string[] = []
  for (const { t } of tables)
    for (const row of (await client.query<{ r: string }>(`select x::text as r from ${t} x order by 1`)).rows)
      rows.push(`${t} ${row.r}`)
  await client.end()
  return rows.join('\n')
}

it('holds every row; goes back into an empty database only; nothing is written over', async () => {
  await h.signIn('wren')
  const job = randomUUID()
  await h.call('POST', '/jobs', { jobId: job, name: 'J' })
  const places = Array.from({ length: 40 }, () => draft('place-set', { placeId: randomUUID(), name: 'P' }))
  expect((await h.call('POST', `/jobs/${job}/events`, batch([jobSet(), ...places]))).status).toBe(200)
  const from = urlOf(h.pool)
  expect(await tool('backup', from)).toContain('1 jobs')
  expect(await tool('backup', from)).toContain('nothing is written over')
  expect(await tool('restore', from)).toContain('into an empty one only')

  // One that a server has just begun, and one that nobody has touched.
  const begun = await harness({ people: [] })
  const admin = new pg.Client({ connectionString: from })
  await admin.connect()
  await admin.query('create database untouched_one')
  await admin.end()
  const other = new URL(from)
  other.pathname = '/untouched_one'
  try {
    await begun.pool.query('delete from org')
    for (const url of [urlOf(begun.pool), other.href]) {
      expect(await tool('restore', url)).toContain('1 jobs')
      expect(await all(url)).toBe(await all(from))
    }
    expect((await begun.call('POST', '/session', { login: 'wren', password: 'tide' })).status).toBe(200)
    expect((await begun.call('GET', `/jobs/${job}/verify`)).body).toMatchObject({ ok: true })
  } finally {
    await begun.close()
  }
})
