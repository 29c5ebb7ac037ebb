import { nodePackages } from './lib/deps.mjs'
import { SERVING, SERVING_HELP, endWithSignals, portOf, tlsOf } from './lib/options.mjs'
import { endWith, optionsOf } from './lib/proc.mjs'

/** Jugalis for real: no demo, no known password, data of its own. What ends by itself is started again. */
const HELP = `npm start -- [options]
${SERVING_HELP}
  --proxies N         so many proxies stand before it and say who asks (0)
DATABASE_URL uses another PostgreSQL server instead of a private one; POOLER=transaction where a pooler stands before it.
The first administrator begins at the address that is printed.`
const OPTIONS = { ...SERVING, proxies: { type: 'string', default: '0' } }

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
  const parts = []
  endWithSignals(parts)
  const database = given ? null : await startPostgres({ name: 'own' })
  parts.push(database)
  try {
    const server = await startServer({
      databaseUrl: given ?? database.url,
      port,
      host: options.host,
      tls: tlsOf(options),
      seed: false,
      env: { PROXIES: options.proxies },
    })
    parts.push(server)
    void database?.keep()
    void server.keep()
  } catch (error) {
    await database?.stop()
    throw error
  }
  console.log(`Jugalis  ${options['tls-cert'] ? 'https' : 'http'}://${options.host}:${port}`)
}
main().catch(endWith)
