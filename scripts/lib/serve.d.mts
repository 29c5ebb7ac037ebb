/** Starts the app server as a child and waits until it serves. */
export function startServer(o: {
  databaseUrl: string
  port: number
  host?: string
  seed?: boolean
  tls?: { cert?: string; key?: string }
  limiter?: boolean
  yardstick?: boolean
  quiet?: boolean
  /** Serve the built interface too. */
  web?: boolean
}): Promise<{ exited: Promise<unknown>; stop(): Promise<void> }>
