import { nodePackages } from './lib/deps.mjs'
import { Plain, ROOT, child, endWith, optionsOf, portBusy } from './lib/proc.mjs'

const HELP = `npm run dev -- [options]
  --port N    where the page is served, with hot reload (5173)
  --api N     where the interface it talks to is served (7170)
  --fresh     forget the data and begin anew, dated from now
The server begins anew when a file of core, server or demo changes.`

const OPTIONS = {
  port: { type: 'string', default: '5173' },
  api: { type: 'string', default: '7170' },
  fresh: { type: 'boolean', default: false },
}

/** The demo with hot reload: PostgreSQL, the server watched and built anew, and Vite in front of it. */
async function main() {
  const options = optionsOf(OPTIONS, HELP)
  if (options.help) return console.log(HELP)
  for (const port of [Number(options.port), Number(options.api)])
    if (await portBusy(port, '127.0.0.1')) throw new Plain(`Port ${port} is in use. Choose another.`)
  nodePackages()
  const { startPostgres } = await import('./lib/pg.mjs')
  const { watchServer, buildServer } = await import('./lib/build.mjs')
  const { startServer } = await import('./lib/serve.mjs')
  await buildServer()
  const database = await startPostgres({ fresh: options.fresh })
  const start = () =>
    startServer({ databaseUrl: database.url, port: Number(options.api), limiter: false, web: false })
  let server = await start()
  const vite = child(
    'npx',
    ['vite', 'web', '--config', 'web/vite.config.ts', '--port', options.port, '--strictPort'],
    {
      cwd: ROOT,
      stdio: 'inherit',
      env: { ...process.env, API: `http://127.0.0.1:${options.api}` },
    },
  )
  let stopping = false
  const watching = await watchServer(async () => {
    if (stopping) return
    await server.stop()
    server = await start()
    console.log('The server began anew.')
  })
  const stop = async () => {
    if (stopping) return
    stopping = true
    await watching.dispose()
    vite.p.kill('SIGTERM')
    await server.stop()
    await database.stop()
    process.exit(0)
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop())
  void vite.exited.then(stop)
  void database.keep()
}
main().catch(endWith)
