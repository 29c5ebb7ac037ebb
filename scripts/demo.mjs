import { randomBytes } from 'node:crypto'
import { Plain, endWith, optionsOf } from './lib/proc.mjs'
import { SERVING, SERVING_HELP, onlyHere, portOf, serveAll } from './lib/serving.mjs'

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
  if (process.env.DATABASE_URL && options.fresh)
    throw new Plain('--fresh only empties the private cluster. Empty the other server by hand.')
  // A password that is printed in the README opens nothing that others can reach.
  const demoPassword = onlyHere(options.host) ? null : randomBytes(PASSWORD_BYTES).toString('base64url')
  const limiter = options['no-limit'] ? false : undefined
  const url = await serveAll(options, port, { fresh: options.fresh }, { limiter, demoPassword })
  console.log(`\nJugalis  ${url}   ready in ${((Date.now() - began) / 1000).toFixed(1)} s`)
  console.log(
    `Sign in as wren, teal, rook or plover with the password ${demoPassword ?? 'tide-and-pipe'}. Ctrl-C stops everything.`,
  )
}
main().catch(endWith)
