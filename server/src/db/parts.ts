import type { OwnPart } from '@jugalis/core'
import { and, asc, eq, sql } from 'drizzle-orm'
import { type Client, dateOf, on } from './connect.js'
import { ownPart } from './schema.js'

/** Fittings of an organisation's own, by name. */
export async function partsOf(client: Client, orgId: string): Promise<OwnPart[]> {
  const rows = await on(client)
    .select({ body: ownPart.body })
    .from(ownPart)
    .where(eq(ownPart.orgId, orgId))
    .orderBy(asc(ownPart.name))
  return rows.map(({ body }) => body as OwnPart)
}
/** Puts parts in the place of those of the same names: all of them or none. */
export async function putParts(
  client: Client,
  who: { orgId: string; personId: string },
  parts: readonly OwnPart[],
  nowS: number,
): Promise<void> {
  const { orgId, personId: changedBy } = who
  const changedAt = dateOf(nowS)
  await on(client)
    .insert(ownPart)
    .values(parts.map((body) => ({ orgId, name: body.name, body, changedBy, changedAt })))
    .onConflictDoUpdate({
      target: [ownPart.orgId, ownPart.name],
      set: { body: sql`excluded.body`, changedBy, changedAt },
    })
}
/** Takes a part out of the list; lines that have it keep what they have. Gives whether it was there. */
export async function dropPart(client: Client, orgId: string, name: string): Promise<boolean> {
  const gone = await on(client)
    .delete(ownPart)
    .where(and(eq(ownPart.orgId, orgId), eq(ownPart.name, name)))
    .returning({ name: ownPart.name })
  return gone.length > 0
}
