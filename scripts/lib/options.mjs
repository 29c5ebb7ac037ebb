import { existsSync } from 'node:fs'
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
export const tlsOf = (options) => ({ cert: options['tls-cert'], key: options['tls-key'] })
/** Can nobody but this machine reach it? */
export const onlyHere = (host) => host === 'localhost' || host === '::1' || host.startsWith('127.')

/** Stops all that was started, the last first, when this command is told to end. */
export function endWithSignals(parts) {
  let stopping = false
  const stop = async (code) => {
    if (stopping) return
    stopping = true
    for (const part of [...parts].reverse()) await part?.stop()
    process.exit(code)
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0))
  return stop
}
