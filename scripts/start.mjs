import { endWith, optionsOf } from './lib/proc.mjs'
import { SERVING, SERVING_HELP, portOf, serveAll } from './lib/serving.mjs'

/** Jugalis for real: no demo, no known password, data of its own. What ends by itself is started again. */
const HELP = `npm start -- [options]
${SERVING_HELP}
  --proxies N         so many proxies stand before it and say who asks (0)
  --base-path P       a path of its own on that server: /pipes (/)
DATABASE_URL uses another PostgreSQL server instead of a private one; POOLER=transaction where a pooler stands before it.
The first administrator begins at the address that is printed.`
const OPTIONS = {
  ...SERVING,
  proxies: { type: 'string', default: '0' },
  'base-path': { type: 'string', default: '' },
}

async function main() {
  const options = optionsOf(OPTIONS, HELP)
  if (options.help) return console.log(HELP)
  const port = await portOf(options)
  const server = { seed: false, env: { PROXIES: options.proxies, BASE_PATH: options['base-path'] } }
  console.log(`Jugalis  ${await serveAll(options, port, { name: 'own' }, server)}`)
}
main().catch(endWith)
