import { textOfBytes } from '@jugalis/core'

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256' }
const HOW = { name: 'ECDSA', hash: 'SHA-256' }
const imported = new Map<string, Promise<CryptoKey>>()
/** Can this page hold a signature against a key? Over plain http a browser does not. */
export const canVerify = (): boolean => Boolean((globalThis.crypto as Partial<Crypto>).subtle)
/** Holds a signature against a key by Web Crypto, as core's `checkSigned` asks. */
export async function verifies(spki: Uint8Array, signature: Uint8Array, text: Uint8Array): Promise<boolean> {
  const id = textOfBytes(spki)
  let key = imported.get(id)
  if (!key)
    imported.set(
      id,
      (key = crypto.subtle.importKey('spki', spki as BufferSource, ALGORITHM, false, ['verify'])),
    )
  try {
    return await crypto.subtle.verify(HOW, await key, signature as BufferSource, text as BufferSource)
  } catch {
    return false
  }
}
