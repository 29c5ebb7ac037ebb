import type { School } from '../methods/joinable.js'
import { msg } from '../sources/source.js'
import type { JobEvent } from './events.js'
import type { JobState } from './state.js'
import type { Code } from '../sources/wording.js'

export type Data = Readonly<Record<string, unknown>>
/** A text, or the one given instead. Nothing throws: an old log folds whatever it holds. */
export const str = (v: unknown, otherwise = ''): string => (typeof v === 'string' ? v : otherwise)
/** A text, or null. */
export const strOrNull = (v: unknown): string | null => (typeof v === 'string' && v !== '' ? v : null)
const NONE: readonly string[] = []
/** A list of texts; anything else in it is left out. */
export const texts = (value: unknown): readonly string[] =>
  Array.isArray(value) ? value.filter((x): x is string => typeof x === 'string') : NONE
/** A finite number, or null. */
export const num = (v: unknown): number | null => (typeof v === 'number' && Number.isFinite(v) ? v : null)
/** A school; metric where none was written down. */
export const school = (v: unknown): School => (v === 'inch' ? 'inch' : 'metric')
/** Times inside the data were read off the same device clock as the event: they are shifted alike. */
export const instant = (event: JobEvent, value: unknown): number | null => {
  const number = num(value)
  return number === null ? null : number + (event.occurredAtS - event.atDeviceS)
}

export type Handler = (s: JobState, e: JobEvent, d: Data, movedToS: number | null) => void

/** Kept in the log, noted, and without effect. */
export const flagged = (state: JobState, event: JobEvent, code: Code): void => {
  state.notes.push({ eventId: event.id, atS: event.occurredAtS, by: event.actorId, says: msg(code) })
}
