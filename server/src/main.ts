import { readFileSync } from 'node:fs'
import http from 'node:http'
import https from 'node:https'
import { createApp } from './app.js'
import { readLoggers } from './devices/read-loggers.js'
import { playStandIns } from './devices/stand-ins.js'
import { importsApart } from './imports.js'
import { behindApart } from './behind.js'
import { heavyThread } from './heavy.js'
import { ownKeyIn, signWith } from './own-key.js'
import { gatesBy, readsApart } from './reads.js'
import { keptAlive } from './keep-alive.js'
import { headsOf } from './live/heads.js'
import { setTimeout } from 'node:timers/promises'
import { awayOf } from './db/away.js'
import { basePath } from './base-path.js'
import { type Database, connect, migrateUnderLock } from './db/connect.js'
import { firstCode } from './db/invitations.js'
import { pulseOf } from './db/pulse.js'

const env = (name: string, otherwise?: string): string => {
  const value = process.env[name] ?? otherwise
  if (value === undefined) throw new Error(`${name} is not set`)
  return value
}

/** Whoever can read what the server prints is who may be the first. */
function sayFirst(url: string): void {
  console.log(`Nobody administers here yet. The first one begins at ${url} (good once, for a day).`)
}
const AGAIN_MS = 1000
/** A server that is started with its database, or before it, waits for it; any other fault is said and ends it. */
async function upToDate(database: Database): Promise<void> {
  for (let said = ''; ; await setTimeout(AGAIN_MS)) {
    try {
      return await migrateUnderLock(database, env('MIGRATIONS'))
    } catch (error) {
      const away = awayOf(error)
      if (!away) throw error
      if (away !== said) console.error(`Waiting for the database: ${away}.`)
      said = away
    }
  }
}

/** Listens, and tells whoever started it, and whoever may be the first to come. */
async function serve(
  server: http.Server,
  database: Database,
  { secure, base }: { secure: boolean; base: string },
): Promise<void> {
  const port = Number(env('PORT', '7170'))
  const host = env('HOST', '127.0.0.1')
  server.on('error', (error: NodeJS.ErrnoException) => {
    console.error(
      error.code === 'EADDRINUSE'
        ? `Port ${port} is in use. Stop what runs there, or start with --port.`
        : error.message,
    )
    process.exit(1)
  })
  const code = process.env.DEMO === 'on' ? null : await firstCode(database.pool, Date.now() / 1000)
  server.listen(port, host, () => {
    process.send?.({ ready: true, code })
    if (code) sayFirst(`${secure ? 'https' : 'http'}://${host}:${port}${base}welcome/${code}`)
  })
}

/** What would keep everybody else waiting, each in a thread of its own with its own way to the database. */
function threads(url: string, pooler: boolean, keyFile: string) {
  const script = (name: string): URL => new URL(`./${name}.mjs`, import.meta.url)
  return {
    glances: behindApart('glance', script('behind-worker'), url, pooler),
    packs: behindApart('pack', script('behind-worker'), url, pooler),
    reads: readsApart(script('read-worker'), url, { pooler, keyFile }),
    // Not behind what takes long: somebody stands at the pump.
    tests: readsApart(script('read-worker'), url, { pooler }),
    imports: importsApart(script('import-worker'), url, { pooler, keyFile }),
  }
}

async function main(): Promise<void> {
  const url = env('DATABASE_URL')
  const pooler = process.env.POOLER === 'transaction'
  const database = connect(url, { pooler })
  await upToDate(database)
  const pulse = pulseOf(url)
  const tls =
    process.env.TLS_CERT && process.env.TLS_KEY
      ? { cert: readFileSync(process.env.TLS_CERT), key: readFileSync(process.env.TLS_KEY) }
      : null
  const heads = headsOf(database.pool, pooler || process.env.LIVE === 'poll' ? 'poll' : 'push')
  const keyFile = env('KEY_FILE')
  const base = basePath(process.env.BASE_PATH ?? '')
  signWith(ownKeyIn(keyFile, Date.now() / 1000))
  const apart = threads(url, pooler, keyFile)
  const app = createApp({
    pool: database.pool,
    pulse,
    heads,
    ...apart,
    gates: gatesBy(apart.tests),
    heavy: heavyThread(new URL('./stock-worker.mjs', import.meta.url)),
    sessionSecret: env('SESSION_SECRET'),
    limiter: process.env.LIMITER !== 'off',
    yardstick: process.env.YARDSTICK === 'on',
    webRoot: process.env.WEB_ROOT,
    https: tls !== null,
    demo: process.env.DEMO === 'on',
    proxies: Number(process.env.PROXIES ?? 0),
    base,
  })
  const stand =
    process.env.STAND_INS === '0' ? null : playStandIns(database.pool, heads, () => Date.now() / 1000)
  const loggers = readLoggers(database.pool, heads, () => Date.now() / 1000)
  const server = keptAlive(tls ? https.createServer(tls, app) : http.createServer(app))
  await serve(server, database, { secure: tls !== null, base })
  let stopping = false
  const stop = (): void => {
    if (stopping) return
    stopping = true
    server.close(() => {
      void Promise.all([stand, loggers, pulse, ...Object.values(apart)].map((one) => one?.stop()))
        .then(() => heads.stop())
        .then(() => database.close())
        .then(() => process.exit(0))
    })
    server.closeAllConnections()
  }
  process.on('SIGTERM', stop)
  process.on('SIGINT', stop)
  // The start command holds the other end: when it is gone, so is the reason to run.
  process.on('disconnect', stop)
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error)
  process.exit(1)
})
