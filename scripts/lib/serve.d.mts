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
  /** What else its processes find around them. */
  env?: Record<string, string>
}): Promise<{
  exited: Promise<unknown>
  code: string | null
  pid(): number | undefined
  keep(): Promise<void>
  stop(): Promise<void>
}>
