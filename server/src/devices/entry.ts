import { createHash } from 'node:crypto'
import type { AnyMsg } from '@jugalis/core'
import { HttpError } from '../errors.js'

/** A device may be slow in counting, but it cannot report what has not been yet. */
export const AHEAD_S = 60

/** The same report of the same device always becomes the same entry: sent twice, it is kept once. */
export function idOf(deviceId: string, seq: number): string {
  const h = createHash('sha256').update(`${deviceId} ${seq}`).digest('hex')
  return `${h.slice(0, 8)}-${h.slice(8, 12)}-4${h.slice(13, 16)}-8${h.slice(17, 20)}-${h.slice(20, 32)}`
}
export const bad = (says: AnyMsg, field: string): HttpError => new HttpError(422, 'bad-input', says, field)
