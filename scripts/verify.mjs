import { existsSync } from 'node:fs'
import { keyFile, nodePackages } from './lib/deps.mjs'
import { Plain, ROOT, endWith, run } from './lib/proc.mjs'

/** npm run verify -- JOB: checks the hash chain and the signatures of one job in the database, or of an exported file. */
async function main() {
  nodePackages()
  const what = process.argv[2]
  if (!what) throw new Plain('Which job? npm run verify -- JOB-ID, or the path of an exported job file.')
  const { startPostgres, runningCluster } = await import('./lib/pg.mjs')
  const url =
    process.env.DATABASE_URL ||
    (existsSync(what) ? undefined : (runningCluster() ?? runningCluster('own'))?.url)
  const database = existsSync(what) || url ? null : await startPostgres()
  try {
    const ran = run(process.execPath, ['--import', 'tsx', 'scripts/verify-chain.ts', what], {
      show: true,
      cwd: ROOT,
      env: { ...process.env, DATABASE_URL: url ?? database?.url ?? '', KEY_FILE: keyFile() },
    })
    process.exitCode = ran.status ?? 1
  } finally {
    await database?.stop()
  }
}
main().catch(endWith)
