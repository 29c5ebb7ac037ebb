import { type KeyObject, createPublicKey, verify } from 'node:crypto'
import { promisify } from 'node:util'
import { type Batch, type Verifies, bytesOfText, textToSign, keyIdOf } from '@jugalis/core'
import { count, eq } from 'drizzle-orm'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import { dateOf, on } from './connect.js'
import { deviceKey } from './schema.js'

/** More devices than anybody signs in on; beyond it no more keys are taken of one person. */
const MOST_KEYS = 1000
/** Keys that were looked up, so many at most: a key does not change. */
const MOST_KNOWN = 5000
interface Known {
  personId: string
  key: KeyObject
}
/** By the way to the database they were looked up on: several servers may live in one process. */
const known = new WeakMap<pg.Pool, Map<string, Known>>()

/** A public key as Web Crypto exports it: ECDSA on P-256. Null where the bytes are anything else. */
export function publicKeyOf(spki: Uint8Array): KeyObject | null {
  try {
    const key = createPublicKey({ key: Buffer.from(spki), format: 'der', type: 'spki' })
    return key.asymmetricKeyDetails?.namedCurve === 'prime256v1' ? key : null
  } catch {
    return null
  }
}
const held = promisify<string, Buffer, { key: KeyObject; dsaEncoding: 'ieee-p1363' }, Uint8Array, boolean>(
  verify,
)
const standsUnder = (key: KeyObject, signature: Uint8Array, text: Uint8Array): Promise<boolean> =>
  held('sha256', Buffer.from(text), { key, dsaEncoding: 'ieee-p1363' }, signature)
/** Holds a signature against a key, as `checkSigned` asks. */
export const verifies: Verifies = async (spki, signature, text) => {
  const key = publicKeyOf(spki)
  return key !== null && (await standsUnder(key, signature, text))
}

/** Takes the key of a person's device. @returns its id. @throws HttpError 422 no such key, 409 somebody else's, too many. */
export async function takeKey(
  pool: pg.Pool,
  who: { orgId: string; personId: string },
  spki: string,
  { agent, nowS }: { agent: string; nowS: number },
): Promise<string> {
  const bytes = bytesOfText(spki)
  if (!bytes || !publicKeyOf(bytes)) throw new HttpError(422, 'bad-key', refusal('refused-no-key'), 'spki')
  const keyId = keyIdOf(bytes)
  const { orgId, personId } = who
  const [had] = await on(pool).select().from(deviceKey).where(eq(deviceKey.keyId, keyId))
  if (had) {
    if (had.personId !== personId)
      throw new HttpError(409, 'bad-key', refusal('refused-key-of-another'), 'spki')
    return keyId
  }
  const [own] = await on(pool)
    .select({ keys: count() })
    .from(deviceKey)
    .where(eq(deviceKey.personId, personId))
  if ((own?.keys ?? 0) >= MOST_KEYS) throw new HttpError(409, 'too-many', refusal('refused-too-many-keys'))
  await on(pool)
    .insert(deviceKey)
    .values({ orgId, keyId, personId, spki: Buffer.from(bytes), madeAt: dateOf(nowS), agent })
    .onConflictDoNothing()
  return keyId
}

async function keyOf(pool: pg.Pool, keyId: string): Promise<Known | null> {
  const had = known.get(pool)?.get(keyId)
  if (had) return had
  const [row] = await on(pool).select().from(deviceKey).where(eq(deviceKey.keyId, keyId))
  const key = row && publicKeyOf(row.spki)
  if (!row || !key) return null
  const all = known.get(pool) ?? new Map<string, Known>()
  if (all.size >= MOST_KNOWN) all.clear()
  all.set(keyId, { personId: row.personId, key })
  known.set(pool, all)
  return { personId: row.personId, key }
}

/**
 * Holds the signatures of a batch against the key of who sends it. @throws HttpError 409 a key that is not known here: it
 * is to be told first; 422 one of somebody else, or a signature that does not stand.
 */
export async function checkBatchSigned(
  pool: pg.Pool,
  jobId: string,
  actorId: string,
  { signed, deviceId, events }: Batch,
): Promise<void> {
  if (!signed) return
  const own = await keyOf(pool, signed.key)
  if (!own) throw new HttpError(409, 'unknown-key', refusal('refused-key-not-known'), 'signed.key')
  if (own.personId !== actorId)
    throw new HttpError(422, 'bad-signature', refusal('refused-key-of-another'), 'signed.key')
  const stand = await Promise.all(
    events.map((draft, i) => {
      const bytes = bytesOfText(signed.signatures[i] ?? '')
      const text = textToSign({ ...draft, jointId: draft.jointId ?? null, jobId, actorId, deviceId })
      return bytes !== null && standsUnder(own.key, bytes, Buffer.from(text))
    }),
  )
  const at = stand.indexOf(false)
  if (at >= 0) throw new HttpError(422, 'bad-signature', refusal('refused-bad-signature'), `events[${at}]`)
}
