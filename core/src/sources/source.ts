/** Where a figure comes from. Travels with every figure, into the screen, the exports and the calculation door. */
export type SourceKind = 'published' | 'common-practice' | 'chart' | 'measured' | 'computed'
export type SourceId = string

export interface Source {
  id: SourceId
  kind: SourceKind
  /** What to look up: standard and table, or the name of the practice. */
  reference: string
  edition?: string
  /** True only when a named person compared the figures with a copy, on a date. */
  verified: boolean
  note: string
  /** For computed figures: what they were computed from. */
  from?: SourceId[]
}

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
