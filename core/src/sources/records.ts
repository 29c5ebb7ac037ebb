export type SourceKind = 'published' | 'common-practice' | 'chart' | 'measured' | 'computed'

export interface Source {
  id: string
  kind: SourceKind
  /** What to look up: standard and table, or the name of the practice. */
  reference: string
  edition?: string
  /** True only when a named person compared the figures with a copy, on a date. */
  verified: boolean
  note: string
  /** For computed figures: what they were computed from. */
  from?: readonly string[]
}
/** A source whose name the compiler knows. */
type Named<I extends string> = Source & { id: I }

export const MEMORY = 'From memory: check the standard before you rely on it.'
/** A figure printed in a standard. @param note from memory where nothing else is said. */
export const published = <const I extends string>(
  id: I,
  reference: string,
  edition: string,
  note = MEMORY,
): Named<I> => ({
  id,
  kind: 'published',
  reference,
  edition,
  verified: false,
  note,
})
/** A figure of common practice. */
export const practice = <const I extends string>(
  id: I,
  reference: string,
  note = 'Common practice, no published source.',
): Named<I> => ({
  id,
  kind: 'common-practice',
  reference,
  verified: false,
  note,
})
/** A figure computed from others. */
export const computed = <const I extends string>(
  id: I,
  reference: string,
  from: readonly string[],
  note = '',
): Named<I> => ({
  id,
  kind: 'computed',
  reference,
  verified: false,
  note,
  from,
})
