/** A private PostgreSQL on a free loopback port, made anew and taken away at its end where it is `throwaway`. */
export function startPostgres(o?: { throwaway?: boolean; mayBeKilled?: boolean; fresh?: boolean }): Promise<{
  url: string
  base: string
  data: string
  pid(): number | undefined
  /** Starts it again, at the same address, after it has ended. */
  again(): Promise<void>
  keep(): Promise<void>
  stop(): Promise<void>
}>
