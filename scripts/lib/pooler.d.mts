/** Debian's pooler in transaction mode before a PostgreSQL, on a free loopback port. */
export function startPooler(base: string): Promise<{ base: string; stop(): Promise<void> }>
