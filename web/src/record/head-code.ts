import { wholeAddress } from '../base'
import { type Signed, bytesOfText, isUuid, textOfBytes, textToCountersign } from '@jugalis/core'
import { api } from '../api'
import { canVerify, verifies } from './verifies'

/** Where a log ends, and the server's signature under it; null where this device has none of it. */
export interface HeadSaid {
  seq: number
  hash: string
  countersigned: Signed | null
}
/** A head as a paper has it. */
export interface PaperHead {
  jobId: string
  seq: number
  hash: string
  /** Base64url; null where it was printed without signal. */
  signature: string | null
}

const bytesOfHex = (hex: string): Uint8Array =>
  Uint8Array.from(hex.match(/../g) ?? [], (pair) => Number.parseInt(pair, 16))
const hexOf = (bytes: Uint8Array): string =>
  Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('')

/** The beginning of a hash as people read it out: three groups of four. @example shortHash('3f1c22ab9d01ff') // '3f1c 22ab 9d01' */
export const shortHash = (hash: string): string => hash.slice(0, 12).replace(/(.{4})(?=.)/g, '$1 ')
/** The address that a code on paper holds: who opens it sees what the log was, and whether this server signed it. */
export const headAddress = (jobId: string, { seq, hash, countersigned }: HeadSaid): string =>
  wholeAddress(
    `/verify#${[jobId, seq, textOfBytes(bytesOfHex(hash)), countersigned?.signature ?? ''].join('.')}`,
  )
/** What such an address says; null where it is none. */
export function headIn(fragment: string): PaperHead | null {
  const [jobId, seq, hash, signature] = fragment.replace(/^#/, '').split('.')
  const bytes = bytesOfText(hash ?? '')
  if (!isUuid(jobId) || !/^\d{1,15}$/.test(seq ?? '') || bytes?.length !== 32) return null
  return { jobId, seq: Number(seq), hash: hexOf(bytes), signature: signature || null }
}

/**
 * The head of a job's log with the server's signature, for a paper: as this device knows it, signed where the server
 * has signal and its log ends at the same entry.
 */
export async function signedHead(jobId: string, known: { seq: number; hash: string }): Promise<HeadSaid> {
  try {
    const said = await api<HeadSaid>('GET', `/jobs/${jobId}/head`)
    if (said.seq === known.seq && said.hash === known.hash) return said
  } catch {
    // Without signal a paper has the head alone.
  }
  return { ...known, countersigned: null }
}

/** A key that a server publishes. */
export interface ServerKey {
  id: string
  spki: string
}
/** Keys of the server this page came from; none without signal. */
export async function keysHere(): Promise<readonly ServerKey[]> {
  try {
    return (await api<{ keys: ServerKey[] }>('GET', '/keys')).keys
  } catch {
    return []
  }
}
/** The key under whose signature a head on paper stands; null where it stands under none of these. */
export async function keyUnder(head: PaperHead, keys: readonly ServerKey[]): Promise<ServerKey | null> {
  const signature = bytesOfText(head.signature ?? '')
  if (!signature?.length || !canVerify()) return null
  const text = new TextEncoder().encode(textToCountersign(head.jobId, head.seq, head.hash))
  for (const key of keys) {
    const spki = bytesOfText(key.spki)
    if (spki && (await verifies(spki, signature, text))) return key
  }
  return null
}
