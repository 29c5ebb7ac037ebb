import { randomUUID } from 'node:crypto'
import { desc, eq } from 'drizzle-orm'
import { type Client, dateOf, on, secondsOf } from './connect.js'
import { audit } from './schema.js'

/** What is written down of sign-ins and of people. */
export type Audited =
  | 'signed-in'
  | 'sign-in-failed'
  | 'password-changed'
  | 'invited'
  | 'invitation-ended'
  | 'came'
  | 'let-go'
  | 'back'
  | 'made-admin'
  | 'admin-ended'
  | 'sessions-ended'
  | 'pin-changed'
  | 'took-over'
  | 'took-over-failed'
  | 'passkey-added'
  | 'passkey-gone'
export interface Audit {
  what: Audited
  atS: number
  orgId: string | null
  by: string | null
  of: string | null
  /** A name, an address: what makes the entry readable later. */
  said: string
}
const MOST = 200

/** Writes one line down. Inside the caller's transaction where there is one. */
export async function keepAudit(client: Client, { what, atS, orgId, by, of, said }: Audit): Promise<void> {
  await on(client)
    .insert(audit)
    .values({ auditId: randomUUID(), orgId, at: dateOf(atS), what, byPerson: by, ofPerson: of, said })
}
/** The newest lines of an organisation. */
export async function auditOf(client: Client, orgId: string): Promise<Omit<Audit, 'orgId'>[]> {
  const rows = await on(client)
    .select()
    .from(audit)
    .where(eq(audit.orgId, orgId))
    .orderBy(desc(audit.at))
    .limit(MOST)
  return rows.map((row) => ({
    what: row.what as Audited,
    atS: secondsOf(row.at),
    by: row.byPerson,
    of: row.ofPerson,
    said: row.said,
  }))
}
