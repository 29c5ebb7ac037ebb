import { and, asc, eq } from 'drizzle-orm'
import { type Client, dateOf, on, secondsOf } from './connect.js'
import { passkey } from './schema.js'

/** A key of a person as they see it. */
export interface Passkey {
  key: string
  name: string
  madeAtS: number
  usedAtS: number | null
}
/** The keys of a person, the oldest first. */
export async function passkeysOf(client: Client, personId: string): Promise<Passkey[]> {
  const rows = await on(client)
    .select()
    .from(passkey)
    .where(eq(passkey.personId, personId))
    .orderBy(asc(passkey.madeAt))
  return rows.map(({ credentialId, name, madeAt, usedAt }) => ({
    key: credentialId,
    name,
    madeAtS: secondsOf(madeAt),
    usedAtS: usedAt && secondsOf(usedAt),
  }))
}
export async function keepPasskey(
  client: Client,
  who: { orgId: string; personId: string },
  of: { id: string; name: string; publicKey: Uint8Array; counter: number },
  nowS: number,
): Promise<boolean> {
  const kept = await on(client)
    .insert(passkey)
    .values({
      orgId: who.orgId,
      personId: who.personId,
      credentialId: of.id,
      name: of.name,
      publicKey: Buffer.from(of.publicKey),
      counter: of.counter,
      madeAt: dateOf(nowS),
    })
    .onConflictDoNothing()
  return kept.rowCount === 1
}
/** One key by its name; null where there is none. */
export async function passkeyBy(client: Client, id: string) {
  const [row] = await on(client).select().from(passkey).where(eq(passkey.credentialId, id))
  return row ?? null
}
export async function usedPasskey(client: Client, id: string, counter: number, nowS: number): Promise<void> {
  await on(client)
    .update(passkey)
    .set({ counter, usedAt: dateOf(nowS) })
    .where(eq(passkey.credentialId, id))
}
/** @returns what it was called; null where there is none, or it is another's. */
export async function dropPasskey(client: Client, personId: string, id: string): Promise<string | null> {
  const [gone] = await on(client)
    .delete(passkey)
    .where(and(eq(passkey.credentialId, id), eq(passkey.personId, personId)))
    .returning({ name: passkey.name })
  return gone?.name ?? null
}
