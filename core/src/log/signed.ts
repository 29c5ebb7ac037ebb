import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import { canonical } from './chain.js'
import type { JobEvent, LogLine } from './events.js'

/** A signature and the id of the key it was made with. ECDSA on P-256 with SHA-256, r and s one after the other, base64url. */
export interface Signed {
  key: string
  signature: string
}
/** A public key as a file names it. Of a server: it countersigns. Of a device: of this person on one device. */
export interface PublicKey {
  id: string
  of: 'device' | 'server'
  /** SubjectPublicKeyInfo, DER, base64url. */
  spki: string
  /** Whose it is; null of a server. */
  personId: string | null
}
/** What a signature is held against, as the platform does it: key and signature as bytes, the text in UTF-8. */
export type Verifies = (spki: Uint8Array, signature: Uint8Array, text: Uint8Array) => Promise<boolean>

/** What a device knows of an entry when it signs it: all but what the server adds, which is when by the server's clock. */
type Told = Omit<JobEvent, 'occurredAtS' | 'clockErrorS'>
/** The text that a device signs of an entry. */
export function textToSign(event: Told): string {
  const { actorId, after, atDeviceS, data, deviceId, deviceSeq, id, jobId, jointId, kind, v: version } = event
  const on = { actorId, deviceId, jobId, jointId }
  const told: Told = { ...on, after, atDeviceS, data, deviceSeq, id, kind, v: version }
  return `jugalis-entry-1\n${canonical(told)}`
}
/**
 * The text that a server signs of the line at which a log ends.
 * @example textToCountersign('job', 3, 'ab').split('\n').length // 4
 */
export const textToCountersign = (jobId: string, seq: number, hash: string): string =>
  `jugalis-head-1\n${jobId}\n${seq}\n${hash}`

/** What a key is called: the beginning of the hash of its bytes, so that nobody can give a name to another key. */
export const keyIdOf = (spki: Uint8Array): string => bytesToHex(sha256(spki)).slice(0, 32)
const BASE64URL = /^[A-Za-z0-9_-]*$/
/** Bytes of a base64url text; null where it is none. @example bytesOfText('_-8')?.length // 2 */
export function bytesOfText(text: string): Uint8Array | null {
  if (!BASE64URL.test(text) || text.length % 4 === 1) return null
  const binary = atob(text.replaceAll('-', '+').replaceAll('_', '/'))
  return Uint8Array.from(binary, (letter) => letter.charCodeAt(0))
}
/** Bytes as base64url. @example textOfBytes(new Uint8Array([255, 239])) // '_-8' */
export const textOfBytes = (bytes: Uint8Array): string =>
  btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '')

/** A line with what was put under it. */
export interface SignedLine extends Pick<LogLine, 'seq' | 'body' | 'hash'> {
  /** By the device that wrote the entry. */
  signed?: Signed | null
  /** By the server that took it: of the line at which the log ended then. */
  countersigned?: Signed | null
}
/**
 * Why a signature does not stand: its key is not known (`key`, of a server `server`), it is the key of somebody else
 * (`person`), or the text is not what was signed (`signature`, of a server `countersign`).
 */
export type SignedWrong = 'key' | 'person' | 'signature' | 'server' | 'countersign'
export interface SignedCheck {
  /** Who wrote how many entries, and how many of them were signed by a device of theirs, most first. */
  by: readonly { personId: string; entries: number; signed: number; devices: number }[]
  /** The last line that a server signed, and with which key. Lines after it nobody vouches for. */
  countersigned: { seq: number; key: string } | null
  /** The first signature that does not stand. */
  wrong: { seq: number; why: SignedWrong } | null
}

interface Known {
  key: PublicKey
  spki: Uint8Array
}
/** Keys by their ids; one that does not hash to its id is no key. */
function knownOf(keys: readonly PublicKey[]): ReadonlyMap<string, Known> {
  const known = new Map<string, Known>()
  for (const key of keys) {
    const spki = bytesOfText(key.spki)
    if (spki && keyIdOf(spki) === key.id) known.set(`${key.of} ${key.id}`, { key, spki })
  }
  return known
}
/** Does a signature stand under a text, by one of the keys? */
async function stands(
  known: Known,
  { signature }: Signed,
  text: string,
  verifies: Verifies,
): Promise<boolean> {
  const bytes = bytesOfText(signature)
  return bytes !== null && (await verifies(known.spki, bytes, utf8ToBytes(text)))
}
/** Is the line signed by a device of who wrote it, and countersigned by a server? What of it does not stand. */
async function lineWrong(
  jobId: string,
  { seq, hash, signed, countersigned }: SignedLine,
  event: JobEvent,
  keys: ReadonlyMap<string, Known>,
  verifies: Verifies,
): Promise<SignedWrong | null> {
  if (signed) {
    const known = keys.get(`device ${signed.key}`)
    if (!known) return 'key'
    if (known.key.personId !== event.actorId) return 'person'
    if (!(await stands(known, signed, textToSign(event), verifies))) return 'signature'
  }
  if (countersigned) {
    const known = keys.get(`server ${countersigned.key}`)
    if (!known) return 'server'
    if (!(await stands(known, countersigned, textToCountersign(jobId, seq, hash), verifies)))
      return 'countersign'
  }
  return null
}

/**
 * Holds every signature of a log against its key: each entry that a device signed, each line that a server did. That the
 * lines hold together is another question (`checkChain`, `checkJobFile`). @param keys those that count; a key that is not
 * among them makes what it signed wrong.
 */
export async function checkSigned(
  jobId: string,
  lines: Iterable<SignedLine> | AsyncIterable<SignedLine>,
  keys: readonly PublicKey[],
  verifies: Verifies,
): Promise<SignedCheck> {
  const known = knownOf(keys)
  const by = new Map<string, { entries: number; signed: number; devices: Set<string> }>()
  let countersigned: SignedCheck['countersigned'] = null
  for await (const line of lines) {
    const event = JSON.parse(line.body) as JobEvent
    const why = await lineWrong(jobId, line, event, known, verifies)
    if (why) return { by: [], countersigned, wrong: { seq: line.seq, why } }
    if (line.countersigned) countersigned = { seq: line.seq, key: line.countersigned.key }
    let own = by.get(event.actorId)
    if (!own) by.set(event.actorId, (own = { entries: 0, signed: 0, devices: new Set() }))
    own.entries++
    if (line.signed) {
      own.signed++
      own.devices.add(line.signed.key)
    }
  }
  const all = [...by].map(([personId, { entries, signed, devices }]) => ({
    personId,
    entries,
    signed,
    devices: devices.size,
  }))
  return { by: all.sort((one, other) => other.entries - one.entries), countersigned, wrong: null }
}

/** What of a line in a file is a signature; null where it is none. */
export function signedIn(raw: unknown): Signed | null {
  const { key, signature } = (raw ?? {}) as Record<string, unknown>
  return typeof key === 'string' && typeof signature === 'string' ? { key, signature } : null
}
/** The keys that a file names, as far as they are any. */
export function keysIn(raw: unknown): PublicKey[] {
  const list: readonly unknown[] = Array.isArray(raw) ? raw : []
  return list.flatMap((each) => {
    const { id, of, spki, personId } = (each ?? {}) as Record<string, unknown>
    if (typeof id !== 'string' || typeof spki !== 'string' || (of !== 'device' && of !== 'server')) return []
    return [{ id, of, spki, personId: typeof personId === 'string' ? personId : null }]
  })
}
/**
 * Signatures of a file that holds (`checkJobFile`), by the keys it brings along: whose those are, somebody else must say.
 * @param raw the file, read as JSON.
 */
export function checkFileSigned(raw: unknown, verifies: Verifies): Promise<SignedCheck> {
  const { jobId, lines, keys } = raw as { jobId: string; lines: Record<string, unknown>[]; keys?: unknown }
  const all = lines.map((line) => ({
    ...(line as unknown as LogLine),
    signed: signedIn(line.signed),
    countersigned: signedIn(line.countersigned),
  }))
  return checkSigned(jobId, all, keysIn(keys), verifies)
}
