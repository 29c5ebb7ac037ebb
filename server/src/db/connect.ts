import { type NodePgDatabase, drizzle } from 'drizzle-orm/node-postgres'
import { migrate } from 'drizzle-orm/node-postgres/migrator'
import pg from 'pg'
import * as schema from './schema.js'

export interface Database {
  pool: pg.Pool
  close(): Promise<void>
}
/** Where queries run: the pool, or one connection of it inside a transaction. */
export type Client = pg.Pool | pg.PoolClient
export type Db = NodePgDatabase<typeof schema>
const typed = new WeakMap<Client, Db>()
/** Typed queries over the tables of schema.ts, on this pool or in this transaction. */
export function on(client: Client): Db {
  let db = typed.get(client)
  if (!db) typed.set(client, (db = drizzle(client, { schema })))
  return db
}

export function connect(url: string): Database {
  const pool = new pg.Pool({ connectionString: url, max: 10 })
  // A connection lost while idle is replaced by the pool; without a listener it would end the process.
  pool.on('error', (e) => console.error(`database connection lost: ${e.message}`))
  return { pool, close: () => pool.end() }
}

/** Times are kept as instants, and counted in seconds everywhere else. */
export const dateOf = (atS: number): Date => new Date(atS * 1000)
export const secondsOf = (at: Date): number => at.getTime() / 1000

const MIGRATION_LOCK = 7_301_924
/** Brings the database up to date; two servers starting at once take turns. */
export async function migrateUnderLock(database: Database, folder: string): Promise<void> {
  const client = await database.pool.connect()
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK])
    await migrate(drizzle(client), { migrationsFolder: folder })
    await client.query(SESSION_TABLE)
  } finally {
    await client.query('select pg_advisory_unlock($1)', [MIGRATION_LOCK])
    client.release()
  }
}

/** The session store's own table, in the shape its package asks for. */
const SESSION_TABLE = `create table if not exists session (
  sid varchar not null primary key, sess json not null, expire timestamp(6) not null)`
