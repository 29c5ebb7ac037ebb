import { createHash } from 'node:crypto'
import type { PHOTO } from '@jugalis/core'
import { and, eq } from 'drizzle-orm'
import type pg from 'pg'
import { on } from './connect.js'
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
export const hashOf = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex')

/** Keeps a picture under its own hash; the same one again changes nothing. */
export async function keepPhoto(
  pool: pg.Pool,
  jobId: string,
  hash: string,
  kind: PhotoKind,
  bytes: Buffer,
): Promise<void> {
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
