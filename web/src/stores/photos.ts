import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import { apiAt } from '../base'

interface Kept {
  hash: string
  jobId: string
  bytes: Blob
  sent: 0 | 1
}
interface Shelf extends DBSchema {
  photos: { key: [string, string]; value: Kept; indexes: { sent: [string, number] } }
}
let opened: Promise<IDBPDatabase<Shelf>> | null = null
const shelf = (): Promise<IDBPDatabase<Shelf>> =>
  (opened ??= openDB<Shelf>('jugalis-photos', 1, {
    upgrade(db) {
      db.createObjectStore('photos', { keyPath: ['jobId', 'hash'] }).createIndex('sent', ['jobId', 'sent'])
    },
  }))

/** Longer side of a kept picture: a mark is read off it, and it goes through a weak signal. */
const LONG_PX = 1600
const QUALITY = 0.8

export interface Taken {
  hash: string
  kind: 'image/jpeg'
  widthPx: number
  heightPx: number
  bytes: number
}
const hex = (bytes: ArrayBuffer): string =>
  [...new Uint8Array(bytes)].map((b) => b.toString(16).padStart(2, '0')).join('')

/**
 * Makes a picture small enough to keep and send, and keeps it on this device until the server has it. Where it was
 * taken and with what is not kept: it is drawn anew. @throws when the file is no picture.
 */
export async function take(jobId: string, file: Blob): Promise<Taken> {
  const image = await createImageBitmap(file)
  const by = Math.min(1, LONG_PX / Math.max(image.width, image.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(image.width * by))
  canvas.height = Math.max(1, Math.round(image.height * by))
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
  image.close()
  const bytes = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY))
  if (!bytes) throw new Error('no picture')
  const hash = hex(await crypto.subtle.digest('SHA-256', await bytes.arrayBuffer()))
  await (await shelf()).put('photos', { hash, jobId, bytes, sent: 0 })
  return { hash, kind: 'image/jpeg', widthPx: canvas.width, heightPx: canvas.height, bytes: bytes.size }
}

/** Sends what the server has not got yet; what fails stays for the next time. Gives how many still wait. */
export async function send(jobId: string): Promise<number> {
  const db = await shelf().catch(() => null)
  const waiting = (await db?.getAllFromIndex('photos', 'sent', [jobId, 0]).catch(() => [])) ?? []
  let left = waiting.length
  for (const photo of waiting) {
    const res = await fetch(apiAt(`/jobs/${jobId}/photos/${photo.hash}`), {
      method: 'PUT',
      credentials: 'same-origin',
      headers: { 'content-type': photo.bytes.type },
      body: photo.bytes,
    }).catch(() => null)
    if (!res?.ok) continue
    await db?.put('photos', { ...photo, sent: 1 }).catch(() => undefined)
    left--
  }
  return left
}

/** A picture: from this device if it is here, else from the server; null where neither gives it. */
export async function pictureOf(jobId: string, hash: string): Promise<Blob | null> {
  const here = await shelf()
    .then((db) => db.get('photos', [jobId, hash]))
    .catch(() => undefined)
  if (here) return here.bytes
  const res = await fetch(apiAt(`/jobs/${jobId}/photos/${hash}`), { credentials: 'same-origin' }).catch(
    () => null,
  )
  return res?.ok ? res.blob() : null
}
/** Where a picture is shown from: this device if it is here, else the server. */
export async function addressOf(jobId: string, hash: string): Promise<string> {
  const here = await shelf()
    .then((db) => db.get('photos', [jobId, hash]))
    .catch(() => undefined)
  return here ? URL.createObjectURL(here.bytes) : apiAt(`/jobs/${jobId}/photos/${hash}`)
}
