import type { KnownSource } from './known.js'

export type { Source, SourceKind } from './records.js'

/**
 * Where a figure comes from. Travels with every figure, into the screen, the exports and the calculation door. One that
 * nobody wrote down does not compile; charts bring their own, and a figure of two has both.
 */
export type SourceId = KnownSource | `chart:${string}` | `${string}+${string}`

/** Message as a code with parameters; it becomes a sentence at the edge (`words.ts`). */
export interface Msg {
  code: string
  params: Record<string, string | number>
}
export const msg = (code: string, params: Record<string, string | number> = {}): Msg => ({ code, params })

/** A figure that may be unknown. Unknown never turns into a default: it says why. */
export type Fig = { value: number; source: SourceId } | { value: null; why: Msg; field?: string }
export const fig = (value: number, source: SourceId): Fig => ({ value, source })
export const noFig = (why: Msg, field?: string): Fig =>
  field ? { value: null, why, field } : { value: null, why }

export type Level = 'stop' | 'warn' | 'note'
export type Finding = Msg & { level: Level; source: SourceId; field?: string }
export const finding = (
  level: Level,
  code: string,
  source: SourceId,
  params: Record<string, string | number> = {},
  field?: string,
): Finding => ({ level, code, source, params, ...(field ? { field } : {}) })
