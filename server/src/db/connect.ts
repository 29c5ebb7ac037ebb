import { type NodePgDatabase, drizzle } from 'drizzle-orm/node-postgres'
import { migrate } from 'drizzle-orm/node-postgres/migrator'
import pg from 'pg'
import * as schema from './schema.js'

export type Db = NodePgDatabase<typeof schema>
export interface Database {
  pool: pg.Pool
  db: Db
  close(): Promise<void>
}

export function connect(url: string): Database {
  const pool = new pg.Pool({ connectionString: url, max: 10 })
  // A connection lost while idle is replaced by the pool; without a listener it would end the process.
  pool.on('error', (e) => console.error(`database connection lost: ${e.message}`))
  return { pool, db: drizzle(pool, { schema }), close: () => pool.end() }
}

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
