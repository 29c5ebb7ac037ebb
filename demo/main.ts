import { connect, migrateUnderLock } from '../server/src/db/connect.js'
import { ownKeyIn, signWith } from '../server/src/own-key.js'
import { PUBLISHED } from '../server/src/passwords.js'
import { passwordOfAll, seedDemo } from './seed.js'

/**
 * Fills an empty database with the demo world, once, before the server is started. Where others can reach it, its people
 * have another password than the one that is printed.
 */
async function main(): Promise<void> {
  const { DATABASE_URL: url, MIGRATIONS: migrations, KEY_FILE: keyFile } = process.env
  if (!url || !migrations) throw new Error('DATABASE_URL and MIGRATIONS are needed.')
  const database = connect(url)
  if (keyFile) signWith(ownKeyIn(keyFile, Date.now() / 1000))
  try {
    await migrateUnderLock(database, migrations)
    await seedDemo(database.pool, Date.now() / 1000)
    await passwordOfAll(database.pool, process.env.DEMO_PASSWORD || PUBLISHED)
  } finally {
    await database.close()
  }
}
main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error)
  process.exit(1)
})
