import { type JobEvent, keyIdOf, textOfBytes, textToSign } from '@jugalis/core'
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import { Refused, api } from '../api'

/** The key of a person on this device. Its private half is never given away: the browser signs with it, and shows it to nobody. */
interface OwnKey {
  personId: string
  pair: CryptoKeyPair
  /** Public half, and what it is called. */
  spki: string
  id: string
}
interface Shelf extends DBSchema {
  keys: { key: string; value: OwnKey }
}
const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256' }
const HOW = { name: 'ECDSA', hash: 'SHA-256' }

let opened: Promise<IDBPDatabase<Shelf>> | null = null
const shelf = (): Promise<IDBPDatabase<Shelf>> =>
  (opened ??= openDB<Shelf>('jugalis-keys', 1, {
    upgrade: (db) => void db.createObjectStore('keys', { keyPath: 'personId' }),
  }))

async function made(personId: string): Promise<OwnKey> {
  const pair = await crypto.subtle.generateKey(ALGORITHM, false, ['sign', 'verify'])
  const spki = new Uint8Array(await crypto.subtle.exportKey('spki', pair.publicKey))
  return { personId, pair, spki: textOfBytes(spki), id: keyIdOf(spki) }
}
/** As this device keeps it; where it keeps nothing, for as long as the page is open. */
async function keptOrMade(personId: string): Promise<OwnKey> {
  try {
    const had = await (await shelf()).get('keys', personId)
    if (had) return had
    const own = await made(personId)
    const tx = (await shelf()).transaction('keys', 'readwrite')
    // Another tab may have made one meanwhile: one of them is the device's.
    const first = await tx.store.get(personId)
    if (!first) await tx.store.put(own)
    await tx.done
    return first ?? own
  } catch {
    return await made(personId)
  }
}

/** Keys that the server has heard of since this page was opened, by person. */
const told = new Map<string, Promise<OwnKey>>()
async function tell(personId: string): Promise<OwnKey> {
  const own = await keptOrMade(personId)
  await api('PUT', '/session/key', { personId, spki: own.spki })
  return own
}
/**
 * The key of a person on this device, known to the server. Null where a browser signs nothing: it does over https alone,
 * and on the machine itself. @throws NoSignal.
 */
async function keyOf(personId: string): Promise<OwnKey | null> {
  // Missing where a page came over plain http.
  if (!(globalThis.crypto as Partial<Crypto>).subtle) return null
  let own = told.get(personId)
  if (!own) told.set(personId, (own = tell(personId)))
  try {
    return await own
  } catch (error) {
    told.delete(personId)
    // Not taken, as where somebody else has signed in here since: what the entries themselves are answered counts.
    if (error instanceof Refused) return null
    throw error
  }
}
/** The server does not know it: it is told again before anything is sent once more. */
export const forgetTold = (): void => told.clear()

type Draft = Omit<JobEvent, 'jobId' | 'actorId' | 'deviceId' | 'occurredAtS' | 'clockErrorS'>
/** Signatures of entries, as they go out with them; null where this browser signs nothing. */
export async function signaturesOf(
  drafts: readonly Draft[],
  at: { jobId: string; personId: string; deviceId: string },
): Promise<{ key: string; signatures: string[] } | null> {
  const own = await keyOf(at.personId)
  if (!own) return null
  const on = { jobId: at.jobId, actorId: at.personId, deviceId: at.deviceId }
  const signatures = await Promise.all(
    drafts.map(async (draft) => {
      const text = new TextEncoder().encode(textToSign({ ...draft, jointId: draft.jointId ?? null, ...on }))
      return textOfBytes(new Uint8Array(await crypto.subtle.sign(HOW, own.pair.privateKey, text)))
    }),
  )
  return { key: own.id, signatures }
}
