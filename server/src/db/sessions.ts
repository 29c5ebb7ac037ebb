import { createHash } from 'node:crypto'
import { sql } from 'drizzle-orm'
import { type Client, on } from './connect.js'

/** A place where somebody is signed in. */
export interface SignedIn {
  /** Names it without giving it away. */
  key: string
  sinceS: number | null
  /** The browser, as it calls itself. */
  agent: string
}
interface Row {
  sid: string
  sess: { sinceS?: number; agent?: string }
}
const keyOf = (sid: string): string => createHash('sha256').update(sid).digest('hex').slice(0, 24)
/** Where somebody works, or signed in and lent the device to others. */
const rowsOf = async (client: Client, personId: string): Promise<Row[]> => {
  const found = await on(client).execute(
    sql`select sid, sess from session where expire > now() and
        (sess->'person'->>'personId' = ${personId} or sess->'full'->>'personId' = ${personId})`,
  )
  return found.rows as unknown as Row[]
}
/** The name of a session. */
export const sessionKey = keyOf

/** Everywhere that a person is signed in, the newest first. */
export async function sessionsOf(client: Client, personId: string): Promise<SignedIn[]> {
  const rows = await rowsOf(client, personId)
  return rows
    .map(({ sid, sess }) => ({ key: keyOf(sid), sinceS: sess.sinceS ?? null, agent: sess.agent ?? '' }))
    .sort((one, other) => (other.sinceS ?? 0) - (one.sinceS ?? 0))
}
/**
 * Ends where a person is signed in: one place, or all but one.
 * @returns how many were ended.
 */
export async function endSessions(
  client: Client,
  personId: string,
  which: { only?: string; butNot?: string } = {},
): Promise<number> {
  const ended = (await rowsOf(client, personId))
    .map(({ sid }) => sid)
    .filter((sid) => (which.only ? keyOf(sid) === which.only : sid !== which.butNot))
  for (const sid of ended) await on(client).execute(sql`delete from session where sid = ${sid}`)
  return ended.length
}

/** Is this session still one? */
export async function isSession(client: Client, sid: string): Promise<boolean> {
  const found = await on(client).execute(sql`select 1 from session where sid = ${sid} and expire > now()`)
  return (found.rowCount ?? 0) > 0
}
