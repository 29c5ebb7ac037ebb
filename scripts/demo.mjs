import { existsSync } from 'node:fs'
import { nodePackages } from './lib/deps.mjs'
import { Plain, endWith, optionsOf, portBusy } from './lib/proc.mjs'

const began = Date.now()
const HELP = `npm run demo -- [options]
  --port N            port to serve on (7170)
  --host H            address to serve on (127.0.0.1)
  --fresh             forget the data and begin anew, dated from now
  --tls-cert F --tls-key F   serve over HTTPS (phones need it for camera and notifications)
  --no-limit          no rate limits (for benchmarks)
DATABASE_URL uses another PostgreSQL server instead of a private one.`

const OPTIONS = {
  port: { type: 'string', default: process.env.PORT ?? '7170' },
  host: { type: 'string', default: '127.0.0.1' },
  fresh: { type: 'boolean', default: false },
  'tls-cert': { type: 'string' },
  'tls-key': { type: 'string' },
  'no-limit': { type: 'boolean', default: false },
}

/** The port that was asked for; refuses what cannot be done before anything is started. */
async function checked(options) {
  const port = Number(options.port)
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Plain(`"${options.port}" is not a port.`)
  if (Boolean(options['tls-cert']) !== Boolean(options['tls-key']))
    throw new Plain('HTTPS needs both --tls-cert and --tls-key.')
  for (const file of [options['tls-cert'], options['tls-key']])
    if (file && !existsSync(file)) throw new Plain(`There is no file ${file}.`)
  const busy = await portBusy(port, options.host)
  if (busy)
    throw new Plain(
      `Port ${port} on ${options.host} is ${busy === 'EACCES' ? 'not allowed for this user' : 'in use'}. Stop what runs there, or choose another with --port.`,
    )
  return port
}

async function main() {
  const options = optionsOf(OPTIONS, HELP)
  if (options.help) return console.log(HELP)
  const port = await checked(options)
  nodePackages()
  const { startPostgres } = await import('./lib/pg.mjs')
  const { build } = await import('./lib/build.mjs')
  const { startServer } = await import('./lib/serve.mjs')
  await build()
  const given = process.env.DATABASE_URL || null
  if (given && options.fresh)
    throw new Plain('--fresh only empties the private cluster. Empty the other server by hand.')
  const database = given ? null : await startPostgres({ fresh: options.fresh })
  let server
  let stopping = false
  const stop = async (code) => {
    if (stopping) return
    stopping = true
    await server?.stop()
    await database?.stop()
    process.exit(code)
  }
  process.on('SIGINT', () => void stop(0))
  process.on('SIGTERM', () => void stop(0))
  process.on('SIGHUP', () => void stop(0))
  try {
    server = await startServer({
      databaseUrl: given ?? database.url,
      port,
      host: options.host,
      tls: { cert: options['tls-cert'], key: options['tls-key'] },
      limiter: options['no-limit'] ? false : undefined,
    })
  } catch (error) {
    await database?.stop()
    throw error
  }
  void database?.keep()
  void server.keep()
  const scheme = options['tls-cert'] ? 'https' : 'http'
  console.log(
    `\nJugalis  ${scheme}://${options.host}:${port}   ready in ${((Date.now() - began) / 1000).toFixed(1)} s`,
  )
  console.log(
    'Sign in as wren, teal, rook or plover with the password tide-and-pipe. Ctrl-C stops everything.',
  )
}
main().catch(endWith)
