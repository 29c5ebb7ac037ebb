import { nodePackages } from './scripts/lib/deps.mjs'
import { writeFileSync } from 'node:fs'
nodePackages()
const { build } = await import('./scripts/lib/build.mjs')
const { startPostgres } = await import('./scripts/lib/pg.mjs')
const { startServer } = await import('./scripts/lib/serve.mjs')
const { signIn } = await import('./scripts/bench-server.mjs')
const { loadHospital } = await import('./scripts/lib/hospital.mjs')
await build()
const database = await startPostgres({ throwaway: true })
const server = await startServer({ databaseUrl: database.url, port: 7300, limiter: false, yardstick: true, quiet: true })
const base = 'http://127.0.0.1:7300'
const cookie = await signIn(base)
const jobs = {}
for (const joints of [100, 10000]) {
  const t = performance.now()
  jobs[joints] = await loadHospital(base, cookie, { joints })
  console.log(joints, jobs[joints].entries, performance.now() - t)
}
writeFileSync('/tmp/rig.json', JSON.stringify({ base, cookie, jobs, db: database.url }))
console.log('ready')
process.on('SIGTERM', async () => { await server.stop(); await database.stop(); process.exit(0) })
setInterval(() => {}, 1e6)
