import { type KnownThen, knownThen, readToFold } from '@jugalis/core'
import { eq } from 'drizzle-orm'
import { type Client, on } from './connect.js'
import { event } from './schema.js'

/** What was known when an entry was written; null where the log has none of that id. */
export async function knownAt(client: Client, jobId: string, entryId: string): Promise<KnownThen | null> {
  const rows = await on(client)
    .select({ id: event.id, body: event.body })
    .from(event)
    .where(eq(event.jobId, jobId))
    .orderBy(event.seq)
  const at = rows.findIndex(({ id }) => id === entryId)
  if (at < 0) return null
  const events = readToFold(rows.map(({ body }) => body))
  return knownThen(events.slice(0, at + 1), events.slice(at + 1))
}
