import { randomUUID } from 'node:crypto'
import { createServer } from 'node:net'
import type { Browser, BrowserContextOptions, Page } from '@playwright/test'
import pg from 'pg'
import { startServer } from '../scripts/lib/serve.mjs'
import { addPerson } from '../server/src/people'

export const freePort = (): Promise<number> =>
  new Promise((done) => {
    const s = createServer().listen(0, '127.0.0.1', () => {
      const { port } = s.address() as { port: number }
      s.close(() => done(port))
    })
  })

interface OwnServer {
  url: string
  pool: pg.Pool
  /** For whoever comes first, where nobody administers yet. */
  code: string | null
}
/** A server of its own over an empty database, taken away at the end. @param env what else it is told. */
export async function onOwnServer(
  work: (own: OwnServer) => Promise<void>,
  env: Readonly<Record<string, string>> = {},
): Promise<void> {
  const name = `empty_${randomUUID().slice(0, 8)}`
  const admin = new pg.Client({ connectionString: `${process.env.TEST_DATABASE}/e2e` })
  await admin.connect()
  await admin.query(`create database ${name}`)
  const databaseUrl = `${process.env.TEST_DATABASE}/${name}`
  const port = await freePort()
  const server = await startServer({ databaseUrl, port, seed: false, limiter: false, quiet: true, env })
  const pool = new pg.Pool({ connectionString: databaseUrl })
  try {
    await work({ url: `http://127.0.0.1:${port}`, pool, code: server.code })
  } finally {
    await server.stop()
    await pool.end()
    await admin.query(`drop database ${name}`)
    await admin.end()
  }
}

/** People of one firm in an empty database, each signing in by their name in small letters. */
export async function peopled(pool: pg.Pool, names: readonly string[], password: string): Promise<void> {
  const orgId = randomUUID()
  await pool.query('insert into org (org_id, name) values ($1, $2)', [orgId, 'Own'])
  for (const name of names)
    await addPerson(pool, { personId: randomUUID(), name, login: name.toLowerCase(), orgId, password })
}
/** A page on a server of its own, whose database holds one person and nothing else. */
export const fromNothing = (
  browser: Browser,
  work: (page: Page, url: string) => Promise<void>,
  how: BrowserContextOptions = { viewport: { width: 1280, height: 800 } },
): Promise<void> =>
  onOwnServer(async ({ url, pool }) => {
    const context = await browser.newContext({ ...how, baseURL: url })
    try {
      await peopled(pool, ['Wren'], 'tide-and-pipe')
      await work(await context.newPage(), url)
    } finally {
      await context.close()
    }
  })
