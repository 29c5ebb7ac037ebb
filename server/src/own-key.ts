import { createPrivateKey, createPublicKey, generateKeyPairSync, sign } from 'node:crypto'
import { readFileSync, renameSync, writeFileSync } from 'node:fs'
import { type Signed, keyIdOf, textOfBytes } from '@jugalis/core'

/** A key of this server that is not used any more: what it signed still stands. */
interface OldKey {
  id: string
  spki: string
  sinceS: number
  untilS: number
}
/** What the file holds; it lies outside the database, so that whoever owns that cannot sign. */
interface KeyFile {
  /** PKCS #8, PEM. */
  key: string
  sinceS: number
  before: OldKey[]
}
/** A key of this server as it is published. */
export interface OwnPublicKey {
  id: string
  /** SubjectPublicKeyInfo, DER, base64url. */
  spki: string
  sinceS: number
  untilS: number | null
}
export interface OwnKey {
  /** All keys this server ever signed with, the one in use first. */
  published: readonly OwnPublicKey[]
  /** When this server began to sign, epoch s: what was written since is signed. */
  sinceS: number
  sign(text: string): Signed
}

/** A new key; the one before it is kept by its public half. */
export function newKeyFile(nowS: number, old: KeyFile | null = null): KeyFile {
  const { privateKey } = generateKeyPairSync('ec', { namedCurve: 'P-256' })
  const last = old && { ...publicOf(old.key), sinceS: old.sinceS, untilS: nowS }
  return {
    key: privateKey.export({ type: 'pkcs8', format: 'pem' }).toString(),
    sinceS: nowS,
    before: last ? [last, ...(old?.before ?? [])] : [],
  }
}
function publicOf(pem: string): Pick<OwnPublicKey, 'id' | 'spki'> {
  const spki = createPublicKey(pem).export({ type: 'spki', format: 'der' })
  return { id: keyIdOf(spki), spki: textOfBytes(spki) }
}
export function ownKeyOf({ key, sinceS, before }: KeyFile): OwnKey {
  const own = createPrivateKey(key)
  const { id, spki } = publicOf(key)
  return {
    published: [{ id, spki, sinceS, untilS: null }, ...before],
    sinceS: before.reduce((least, old) => Math.min(least, old.sinceS), sinceS),
    sign: (text) => ({
      key: id,
      signature: sign('sha256', Buffer.from(text), { key: own, dsaEncoding: 'ieee-p1363' }).toString(
        'base64url',
      ),
    }),
  }
}
const readKeyFile = (file: string): KeyFile => JSON.parse(readFileSync(file, 'utf8')) as KeyFile
/** The key in a file; where there is none yet, it is made, by one of several who start at once. */
export function ownKeyIn(file: string, nowS: number): OwnKey {
  try {
    writeFileSync(file, JSON.stringify(newKeyFile(nowS)), { mode: 0o600, flag: 'wx' })
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error
  }
  return ownKeyOf(readKeyFile(file))
}
/** Puts a new key into a file, whole or not at all. @returns the id of the new one. */
export function rotateKeyIn(file: string, nowS: number): string {
  const next = newKeyFile(nowS, readKeyFile(file))
  const beside = `${file}.new`
  writeFileSync(beside, JSON.stringify(next), { mode: 0o600 })
  renameSync(beside, file)
  return publicOf(next.key).id
}

let own: OwnKey | null = null
/** From now on what this process writes is signed with this key; null: with none. */
export const signWith = (key: OwnKey | null): void => void (own = key)
/** The key of this process; null where it has none, as in a script that fills a database. */
export const ownKey = (): OwnKey | null => own
