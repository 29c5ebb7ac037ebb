import { createHash } from 'node:crypto'
import type { PHOTO } from '@jugalis/core'
import { and, eq } from 'drizzle-orm'
import type pg from 'pg'
import { HttpError } from '../errors.js'
import { refusal } from '../words.js'
import { type Client, on } from './connect.js'
import { saysWhere } from './picture-place.js'
import { photo } from './schema.js'

type PhotoKind = (typeof PHOTO.kinds)[number]

/** What a picture is, by how it begins; null for anything else. */
export function kindOf(bytes: Buffer): PhotoKind | null {
  if (bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff]))) return 'image/jpeg'
  if (bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])))
    return 'image/png'
  const webp = bytes.toString('latin1', 0, 4) === 'RIFF' && bytes.toString('latin1', 8, 12) === 'WEBP'
  return webp ? 'image/webp' : null
}
/** A picture that may be kept. */
export interface Picture {
  hash: string
  kind: PhotoKind
  bytes: Buffer
}
/**
 * What bytes are as a picture. @throws HttpError 422 where they are none of the kinds that are taken, or say where and
 * with what they were taken: a browser of ours sends none that does, and to cut it out here would change its hash.
 */
export function pictureIn(bytes: Buffer): Picture {
  const kind = kindOf(bytes)
  if (!kind) throw new HttpError(422, 'bad-input', refusal('refused-a-picture-is-a'), 'body')
  if (saysWhere(bytes)) throw new HttpError(422, 'bad-input', refusal('refused-picture-says-where'), 'body')
  return { hash: createHash('sha256').update(bytes).digest('hex'), kind, bytes }
}

/** Keeps a picture under its own hash; the same one again changes nothing. */
export async function keepPhoto(pool: Client, jobId: string, { hash, kind, bytes }: Picture): Promise<void> {
  await on(pool)
    .insert(photo)
    .values({ jobId, hash: Buffer.from(hash, 'hex'), kind, bytes })
    .onConflictDoNothing()
}
export async function photoOf(
  pool: pg.Pool,
  jobId: string,
  hash: string,
): Promise<{ kind: string; bytes: Buffer } | null> {
  const [found] = await on(pool)
    .select({ kind: photo.kind, bytes: photo.bytes })
    .from(photo)
    .where(and(eq(photo.jobId, jobId), eq(photo.hash, Buffer.from(hash, 'hex'))))
  return found ?? null
}
/** Pictures of a job, one after another. */
export async function* photosOf(
  pool: pg.Pool,
  jobId: string,
): AsyncGenerator<{ hash: string; kind: string; bytes: Buffer }> {
  const all = await on(pool)
    .select({ hash: photo.hash })
    .from(photo)
    .where(eq(photo.jobId, jobId))
    .orderBy(photo.hash)
  for (const { hash: own } of all) {
    const hash = own.toString('hex')
    const found = await photoOf(pool, jobId, hash)
    if (found) yield { hash, ...found }
  }
}
