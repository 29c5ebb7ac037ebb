import { createHash } from 'node:crypto'
import type { AnyMsg } from '@jugalis/core'
import { HttpError } from '../errors.js'

/** A device may be slow in counting, but it cannot report what has not been yet. */
export const AHEAD_S = 60

/** The same report of the same device always becomes the same entry: sent twice, it is kept once. */
export function idOf(deviceId: string, seq: number): string {
  const hash = createHash('sha256').update(`${deviceId} ${seq}`).digest('hex')
  return `${hash.slice(0, 8)}-${hash.slice(8, 12)}-4${hash.slice(13, 16)}-8${hash.slice(17, 20)}-${hash.slice(20, 32)}`
}
export const bad = (says: AnyMsg, field: string): HttpError => new HttpError(422, 'bad-input', says, field)
