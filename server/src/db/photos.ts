import { createHash } from 'node:crypto'
import type { PHOTO } from '@jugalis/core'
import type pg from 'pg'

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
  await pool.query(
    `insert into photo (job_id, hash, kind, bytes) values ($1, $2, $3, $4) on conflict do nothing`,
    [jobId, Buffer.from(hash, 'hex'), kind, bytes],
  )
}
export async function photoOf(
  pool: pg.Pool,
  jobId: string,
  hash: string,
): Promise<{ kind: string; bytes: Buffer } | null> {
  const r = await pool.query<{ kind: string; bytes: Buffer }>(
    'select kind, bytes from photo where job_id = $1 and hash = $2',
    [jobId, Buffer.from(hash, 'hex')],
  )
  return r.rows[0] ?? null
}
