import { randomBytes } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { DEMO_BUNDLE, SERVER_BUNDLE, WEB_ROOT } from './build.mjs'
import { keyFile, stateFolder } from './deps.mjs'
import { Plain, ROOT, child, keptUp, run } from './proc.mjs'

/** Secret that signs session cookies; kept, so that a restart signs nobody out. */
function sessionSecret() {
  const file = path.join(stateFolder(), 'session.secret')
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 })
  return readFileSync(file, 'utf8').trim()
}

const MIGRATIONS = path.join(ROOT, 'server/migrations')
/** Fills an empty database with the demo world; any other is left alone. */
function seedDemo(databaseUrl, password) {
  const made = run(process.execPath, ['--enable-source-maps', DEMO_BUNDLE], {
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      MIGRATIONS,
      KEY_FILE: keyFile(),
      ...(password ? { DEMO_PASSWORD: password } : {}),
    },
  })
  if (!made.ok) throw new Plain(made.out.trim() || 'The demo could not be loaded.')
}

/** Starts one process of the app server and waits until it serves. */
async function oneServer({ databaseUrl, port, host, tls, limiter, yardstick, quiet, web, env }) {
  const server = child(
    process.execPath,
    ['--enable-source-maps', '--max-semi-space-size=64', '--cpu-prof','--cpu-prof-dir=/tmp/prof', SERVER_BUNDLE],
    {
      stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'pipe', 'ipc'],
      detached: true,
      env: {
        ...process.env,
        NODE_ENV: 'production',
        DATABASE_URL: databaseUrl,
        PORT: String(port),
        HOST: host,
        MIGRATIONS,
        ...(web ? { WEB_ROOT } : {}),
        SESSION_SECRET: sessionSecret(),
        KEY_FILE: keyFile(),
        ...(tls.cert ? { TLS_CERT: tls.cert, TLS_KEY: tls.key } : {}),
        ...(yardstick ? { YARDSTICK: 'on' } : {}),
        ...(limiter === false ? { LIMITER: 'off' } : {}),
        ...env,
      },
    },
  )
  let said = ''
  let up = false
  server.p.stderr.on('data', (text) => {
    said = (said + text).slice(-4000)
    if (!quiet && (up || /^Waiting for the database/.test(text))) process.stderr.write(text)
  })
  const first = await Promise.race([
    new Promise((done) => server.p.on('message', (told) => done(told))),
    server.exited,
  ])
  if (!first.ready) throw new Plain(said.trim() || 'The server did not start.')
  up = true
  return { ...server, code: first.code }
}

/** Starts the app server and waits until it serves. */
export async function startServer({
  databaseUrl,
  port,
  host = '127.0.0.1',
  seed = true,
  tls = {},
  limiter,
  yardstick = false,
  quiet = false,
  web = true,
  env = {},
  demoPassword,
}) {
  if (seed) seedDemo(databaseUrl, demoPassword)
  const own = { ...(seed ? { DEMO: 'on' } : {}), ...env }
  const serve = () => oneServer({ databaseUrl, port, host, tls, limiter, yardstick, quiet, web, env: own })
  let server = await serve()
  let stopping = false
  return {
    exited: server.exited,
    /** The process that serves now. */
    pid: () => server.p.pid,
    /** For the first administrator, where there is none yet. */
    code: server.code,
    /** Starts it again whenever it ends by itself. */
    keep: () =>
      keptUp(
        'The server',
        () => server.exited,
        async () => void (server = await serve()),
        () => stopping,
      ),
    async stop() {
      stopping = true
      server.p.kill('SIGTERM')
      await server.exited
    },
  }
}
