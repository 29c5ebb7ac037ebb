import { existsSync } from 'node:fs'
import { nodePackages } from './deps.mjs'
import { Plain, portBusy } from './proc.mjs'

/** Options of every command that serves. */
export const SERVING = {
  port: { type: 'string', default: process.env.PORT ?? '7170' },
  host: { type: 'string', default: '127.0.0.1' },
  'tls-cert': { type: 'string' },
  'tls-key': { type: 'string' },
}
export const SERVING_HELP = `  --port N            port to serve on (7170)
  --host H            address to serve on (127.0.0.1)
  --tls-cert F --tls-key F   serve over HTTPS (phones need it for camera and notifications)`

/** The port that was asked for; refuses what cannot be done before anything is started. */
export async function portOf(options) {
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
/** Can nobody but this machine reach it? */
export const onlyHere = (host) => host === 'localhost' || host === '::1' || host.startsWith('127.')

/** Stops all that was started, the last first, when this command is told to end. */
function endWithSignals(parts) {
  let stopping = false
  const stop = async () => {
    if (stopping) return
    stopping = true
    for (const part of [...parts].reverse()) await part?.stop()
    process.exit(0)
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop())
}
/**
 * Builds, starts the database and the server, and keeps both up until this command is told to end.
 * @param cluster how the private database is started, where `DATABASE_URL` names no other. @param server what else the
 * server is started with. @returns the address.
 */
export async function serveAll(options, port, cluster, server) {
  nodePackages()
  const { startPostgres } = await import('./pg.mjs')
  const { build } = await import('./build.mjs')
  const { startServer } = await import('./serve.mjs')
  await build()
  const given = process.env.DATABASE_URL || null
  const parts = []
  endWithSignals(parts)
  const database = given ? null : await startPostgres(cluster)
  parts.push(database)
  const tls = { cert: options['tls-cert'], key: options['tls-key'] }
  try {
    const databaseUrl = given ?? database.url
    const running = await startServer({ databaseUrl, port, host: options.host, tls, ...server })
    parts.push(running)
    void database?.keep()
    void running.keep()
  } catch (error) {
    await database?.stop()
    throw error
  }
  return `${tls.cert ? 'https' : 'http'}://${options.host}:${port}`
}
