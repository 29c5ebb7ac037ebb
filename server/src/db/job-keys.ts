import { type PublicKey, textOfBytes } from '@jugalis/core'
import { eq, sql } from 'drizzle-orm'
import { ownKey } from '../own-key.js'
import { type Client, on } from './connect.js'
import { deviceKey, jobKey } from './schema.js'

/** Keys that a log is held against: of the devices that signed in it, of this server, and what came with its file. */
export async function keysOfJob(client: Client, jobId: string): Promise<PublicKey[]> {
  const brought = await on(client).select().from(jobKey).where(eq(jobKey.jobId, jobId))
  const devices = await on(client)
    .select()
    .from(deviceKey)
    .where(
      sql`${deviceKey.keyId} in (select distinct signed_with from event where job_id = ${jobId} and signed_with is not null)`,
    )
  return [
    ...brought.map(({ keyId, of, spki, personId }): PublicKey => ({
      id: keyId,
      of: of === 'server' ? 'server' : 'device',
      spki: textOfBytes(spki),
      personId,
    })),
    // What is known here counts before what a file says.
    ...devices.map(({ keyId, spki, personId }): PublicKey => ({
      id: keyId,
      of: 'device',
      spki: textOfBytes(spki),
      personId,
    })),
    ...(ownKey()?.published ?? []).map(({ id, spki }): PublicKey => ({
      id,
      of: 'server',
      spki,
      personId: null,
    })),
  ]
}
/** Each key once, as a file has them. */
export const keysOnce = (keys: readonly PublicKey[]): PublicKey[] => [
  ...new Map(keys.map((key) => [`${key.of} ${key.id}`, key])).values(),
]
/** Keeps the keys that came in the file of a job. */
export async function keepJobKeys(client: Client, jobId: string, keys: readonly PublicKey[]): Promise<void> {
  for (const { id, of, spki, personId } of keys)
    await on(client)
      .insert(jobKey)
      .values({ jobId, keyId: id, of, spki: Buffer.from(spki, 'base64url'), personId })
      .onConflictDoNothing()
}
