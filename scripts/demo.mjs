import { randomBytes } from 'node:crypto'
import { nodePackages } from './lib/deps.mjs'
import { SERVING, SERVING_HELP, endWithSignals, onlyHere, portOf, tlsOf } from './lib/options.mjs'
import { Plain, endWith, optionsOf } from './lib/proc.mjs'

const began = Date.now()
const HELP = `npm run demo -- [options]
${SERVING_HELP}
  --fresh             forget the data and begin anew, dated from now
  --no-limit          no rate limits (for benchmarks)
DATABASE_URL uses another PostgreSQL server instead of a private one.`

const OPTIONS = {
  ...SERVING,
  fresh: { type: 'boolean', default: false },
  'no-limit': { type: 'boolean', default: false },
}
const PASSWORD_BYTES = 9

async function main() {
  const options = optionsOf(OPTIONS, HELP)
  if (options.help) return console.log(HELP)
  const port = await portOf(options)
  nodePackages()
  const { startPostgres } = await import('./lib/pg.mjs')
  const { build } = await import('./lib/build.mjs')
  const { startServer } = await import('./lib/serve.mjs')
  await build()
  const given = process.env.DATABASE_URL || null
  if (given && options.fresh)
    throw new Plain('--fresh only empties the private cluster. Empty the other server by hand.')
  const parts = []
  endWithSignals(parts)
  const database = given ? null : await startPostgres({ fresh: options.fresh })
  parts.push(database)
  // A password that is printed in the README opens nothing that others can reach.
  const demoPassword = onlyHere(options.host) ? null : randomBytes(PASSWORD_BYTES).toString('base64url')
  try {
    const server = await startServer({
      databaseUrl: given ?? database.url,
      port,
      host: options.host,
      tls: tlsOf(options),
      limiter: options['no-limit'] ? false : undefined,
      demoPassword,
    })
    parts.push(server)
    void database?.keep()
    void server.keep()
  } catch (error) {
    await database?.stop()
    throw error
  }
  const scheme = options['tls-cert'] ? 'https' : 'http'
  console.log(
    `\nJugalis  ${scheme}://${options.host}:${port}   ready in ${((Date.now() - began) / 1000).toFixed(1)} s`,
  )
  console.log(
    `Sign in as wren, teal, rook or plover with the password ${demoPassword ?? 'tide-and-pipe'}. Ctrl-C stops everything.`,
  )
}
main().catch(endWith)
