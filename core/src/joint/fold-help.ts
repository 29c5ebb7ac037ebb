import type { School } from '../methods/joinable.js'
import { msg } from '../sources/source.js'
import type { JobEvent } from './events.js'
import type { JobState } from './state.js'
import type { Code } from '../sources/wording.js'

export type Data = Readonly<Record<string, unknown>>
export const str = (v: unknown, otherwise = ''): string => (typeof v === 'string' ? v : otherwise)
export const strOrNull = (v: unknown): string | null => (typeof v === 'string' && v !== '' ? v : null)
const NONE: readonly string[] = []
export const texts = (v: unknown): readonly string[] =>
  Array.isArray(v) ? v.filter((x): x is string => typeof x === 'string') : NONE
export const num = (v: unknown): number | null => (typeof v === 'number' && Number.isFinite(v) ? v : null)
export const school = (v: unknown): School => (v === 'inch' ? 'inch' : 'metric')
/** Times inside the data were read off the same device clock as the event: they are shifted alike. */
export const instant = (event: JobEvent, v: unknown): number | null => {
  const t = num(v)
  return t === null ? null : t + (event.occurredAtS - event.atDeviceS)
}

export type Handler = (s: JobState, e: JobEvent, d: Data, movedToS: number | null) => void

/** Kept in the log, noted, and without effect. */
export const flagged = (state: JobState, event: JobEvent, code: Code): void => {
  state.notes.push({ eventId: event.id, atS: event.occurredAtS, by: event.actorId, says: msg(code) })
}
