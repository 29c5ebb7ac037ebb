import type { Code } from './wording.js'

export type { Source, SourceKind } from './records.js'

/**
 * Lists of sources, each added by declaration by the file that holds it: what all share, and each joining method's own.
 */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type
export interface SourceBook {}
/** The name of a source that is written down. */
export type KnownSource = SourceBook[keyof SourceBook][number]['id']
/**
 * Where a figure comes from. Travels with every figure, into the screen, the exports and the calculation door. One that
 * nobody wrote down does not compile; charts bring their own, and a figure of two has both.
 */
export type SourceId = KnownSource | `chart:${string}` | `${string}+${string}`

/** Message as a code with parameters; it becomes a sentence at the edge (`words.ts`). */
export interface Msg {
  code: Code
  params: Record<string, string | number>
}
/** What is to be said, as a code of the book and its figures. */
export const msg = (code: Code, params: Record<string, string | number> = {}): Msg => ({ code, params })

/** A figure that may be unknown. Unknown never turns into a default: it says why. */
export type Fig = { value: number; source: SourceId } | { value: null; why: Msg; field?: string }
/** A figure with its source. */
export const fig = (value: number, source: SourceId): Fig => ({ value, source })
/** That there is no figure, and why. @param field what would give one. */
export const noFig = (why: Msg, field?: string): Fig =>
  field ? { value: null, why, field } : { value: null, why }

export type Level = 'stop' | 'warn' | 'note'
/** `passing`: it warns, and what it warns of may pass all the same. */
export type Finding = Msg & { level: Level; source: SourceId; field?: string; passing?: true }
/** What was found, how grave it is, and where that is written. */
export const finding = (
  level: Level,
  code: Code,
  source: SourceId,
  params: Record<string, string | number> = {},
  field?: string,
): Finding => ({ level, code, source, params, ...(field ? { field } : {}) })
