import { type Language, type Reader, DEFAULT_LANGUAGE, say } from '@jugalis/core'
import { shallowRef } from 'vue'
import './book'
import type { BOOK } from './book'

/** Who reads: units, decimal sign and language of the open job and of the person. The store of the job sets it. */
export const reading = shallowRef<Reader>({ units: 'metric' })

/** The language the page is read in. */
export const languageNow = (): Language => reading.value.language ?? DEFAULT_LANGUAGE

export type WebCode = keyof typeof BOOK & string
/** What a sentence is about. What is not there is printed as nothing. */
export type Values = Readonly<Record<string, string | number | null | undefined>>

/**
 * A sentence of the interface, in the reader's language and units.
 * @param values its parameters; quantities in core's units.
 */
export function word(code: WebCode, values: Values = {}): string {
  const params: Record<string, string | number> = {}
  for (const [name, value] of Object.entries(values)) params[name] = value ?? ''
  return say({ code, params }, reading.value)
}
