import type { Server } from 'node:http'

/** Milliseconds that a quiet connection is kept: longer than browsers and proxies do. */
const KEEP_ALIVE_MS = 65_000

/** A line that closes as it is used again loses what was asked: the server is not the one who closes a quiet one. */
export function keptAlive<S extends Pick<Server, 'keepAliveTimeout'>>(server: S): S {
  server.keepAliveTimeout = KEEP_ALIVE_MS
  return server
}
