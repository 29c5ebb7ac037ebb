import { chownSync, existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { debianPackages } from './deps.mjs'
import { runner } from './pg.mjs'
import { Plain, child, freePort, sleep } from './proc.mjs'

const POOLER = '/usr/sbin/pgbouncer'
const PATIENCE_MS = 10_000
/** Fewer than whoever asks: no two questions of one connection go the same way. */
const CONNECTIONS = 2

/**
 * Starts Debian's pooler before a PostgreSQL, in transaction mode. @param base where that is, with user and password and
 * without a database. @returns the same for whoever comes through the pooler.
 */
export async function startPooler(base) {
  if (!existsSync(POOLER)) debianPackages(['pgbouncer'], 'A pooler for PostgreSQL')
  const { hostname, port: behind, username, password } = new URL(base)
  const { uid, gid } = runner()
  const folder = mkdtempSync(path.join(os.tmpdir(), 'jugalis-pooler-'))
  const port = await freePort()
  const file = path.join(folder, 'pooler.ini')
  const settings = [
    '[databases]',
    `* = host=${hostname} port=${behind} user=${username} password=${password}`,
    '[pgbouncer]',
    'listen_addr = 127.0.0.1',
    `listen_port = ${port}`,
    'unix_socket_dir =',
    'auth_type = any',
    'pool_mode = transaction',
    `default_pool_size = ${CONNECTIONS}`,
  ]
  writeFileSync(file, `${settings.join('\n')}\n`, { mode: 0o600 })
  const as = uid === undefined ? {} : { uid, gid }
  if (uid !== undefined) for (const own of [folder, file]) chownSync(own, uid, gid)
  let said = ''
  const pooler = child(POOLER, ['--quiet', file], { ...as, cwd: '/', stdio: ['ignore', 'ignore', 'pipe'] })
  pooler.p.stderr.on('data', (text) => (said = (said + text).slice(-2000)))
  const through = `postgres://${username}@127.0.0.1:${port}`
  await answers(`${through}/postgres`, () => said)
  return {
    base: through,
    async stop() {
      pooler.p.kill()
      await pooler.exited
      rmSync(folder, { recursive: true, force: true })
    },
  }
}
async function answers(url, said) {
  const { default: pg } = await import('pg')
  for (const began = Date.now(); ; await sleep(50)) {
    const client = new pg.Client({ connectionString: url })
    try {
      await client.connect()
      await client.query('select 1')
      return
    } catch (error) {
      if (Date.now() - began > PATIENCE_MS)
        throw new Plain(`The pooler does not answer: ${error.message} ${said()}`)
    } finally {
      await client.end().catch(() => undefined)
    }
  }
}
