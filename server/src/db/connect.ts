import { type NodePgDatabase, drizzle } from 'drizzle-orm/node-postgres'
import { migrate } from 'drizzle-orm/node-postgres/migrator'
import { cp, mkdtemp, readFile, readdir, rm, writeFile } from 'node:fs/promises'
import os from 'node:os'
import path from 'node:path'
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

/**
 * How long anything waits for the database, ms. A connection or a lock that is not there within the first two is
 * answered as "not now" before whoever asked has waited two seconds; a statement may read a large log.
 */
const PATIENCE = { connect: 1500, lock: 1500, statement: 60_000, idleInTransaction: 30_000 } as const
const MOST_CONNECTIONS = 10

/**
 * A pool of connections, none of which can end the process: PostgreSQL may go, and whoever was at work hears of it.
 * @param pooler a pooler stands between (transaction mode): it takes no settings at the start of a connection, so the
 *   limits are its own to set.
 */
export function connect(url: string, { pooler = false } = {}): Database {
  const pool = new pg.Pool({
    connectionString: url,
    max: MOST_CONNECTIONS,
    connectionTimeoutMillis: PATIENCE.connect,
    query_timeout: PATIENCE.statement + PATIENCE.connect,
    keepAlive: true,
    ...(pooler
      ? {}
      : {
          statement_timeout: PATIENCE.statement,
          lock_timeout: PATIENCE.lock,
          idle_in_transaction_session_timeout: PATIENCE.idleInTransaction,
        }),
  })
  if (pooler) unprepared.add(pool)
  // Idle ones are replaced by the pool; without a listener of its own, one that is lost while it is lent would end the
  // process (an `error` that nobody hears).
  const lost = (e: Error): void => console.error(`database connection lost: ${e.message}`)
  pool.on('error', lost)
  pool.on('connect', (client) => void client.on('error', () => undefined))
  return { pool, close: () => pool.end() }
}

/** Ways to the database on which statements are not prepared: a pooler hands each to another connection. */
const unprepared = new WeakSet<Client>()
/**
 * A statement that is asked again and again: planned once for each connection.
 * @param name one for each text. In a transaction it is planned each time: those are few.
 */
export const askOften = <Row extends pg.QueryResultRow>(
  client: Client,
  name: string,
  text: string,
  values: unknown[],
): Promise<pg.QueryResult<Row>> =>
  client.query<Row>({
    text,
    values,
    ...(client instanceof pg.Pool && !unprepared.has(client) ? { name } : {}),
  })

/** Times are kept as instants, and counted in seconds everywhere else. */
export const dateOf = (atS: number): Date => new Date(atS * 1000)
export const secondsOf = (at: Date): number => at.getTime() / 1000

/** Everything inside is kept together, or nothing of it. */
export async function inTransaction<T>(
  pool: pg.Pool,
  work: (client: pg.PoolClient) => Promise<T>,
): Promise<T> {
  const client = await pool.connect()
  try {
    await client.query('begin')
    const done = await work(client)
    await client.query('commit')
    client.release()
    return done
  } catch (error) {
    const back = await client.query('rollback').then(
      () => true,
      () => false,
    )
    // One that cannot even take back what was begun is not lent again.
    client.release(!back)
    throw error
  }
}

/**
 * The migrations, as they are written for `public`, for another schema: a folder that is gone when `work` is done.
 * @param folder where they lie.
 */
async function inOwnSchema(folder: string, work: (folder: string) => Promise<void>): Promise<void> {
  const own = await mkdtemp(path.join(os.tmpdir(), 'jugalis-migrations-'))
  try {
    await cp(folder, own, { recursive: true })
    for (const name of await readdir(own))
      if (name.endsWith('.sql')) {
        const file = path.join(own, name)
        await writeFile(file, (await readFile(file, 'utf8')).replaceAll('"public".', ''))
      }
    await work(own)
  } finally {
    await rm(own, { recursive: true, force: true })
  }
}
const MIGRATION_LOCK = 7_301_924
/**
 * Brings the database up to date; two servers starting at once take turns. The lock is the transaction's, so that it
 * holds behind a pooler too, and a server that is killed leaves nothing half made. The tables are in the first schema of the
 * connection's search path, `public` where nothing else is said.
 */
export async function migrateUnderLock(database: Database, folder: string): Promise<void> {
  await inTransaction(database.pool, async (client) => {
    await client.query('set local lock_timeout = 0')
    await client.query('set local statement_timeout = 0')
    await client.query('select pg_advisory_xact_lock($1)', [MIGRATION_LOCK])
    const { rows } = await client.query<{ schema: string | null }>('select current_schema() as schema')
    const schema = rows[0]?.schema ?? 'public'
    if (schema === 'public') return migrate(drizzle(client), { migrationsFolder: folder })
    // What was done is written down beside the tables: another installation may live in the same database.
    await inOwnSchema(folder, (migrationsFolder) =>
      migrate(drizzle(client), { migrationsFolder, migrationsSchema: schema }),
    )
  })
}
