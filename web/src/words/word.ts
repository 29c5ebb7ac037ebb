import {
  type AnyMsg,
  DEFAULT_LANGUAGE,
  type Language,
  type Reader,
  answerSaid,
  localeOf,
  named as nameOf,
  pipeSaid,
  say,
} from '@jugalis/core'
import { shallowRef } from 'vue'
import './book'
import type { BOOK } from './book'

/** Who reads: units, decimal sign and language of the open job and of the person. The store of the job sets it. */
export const reading = shallowRef<Reader>({ units: 'metric' })

/** The language the page is read in. */
export const languageNow = (): Language => reading.value.language ?? DEFAULT_LANGUAGE

export type WebCode = keyof typeof BOOK & string
/** English lists without a comma before the last. */
const LIST_LOCALE: Readonly<Record<Language, string>> = { en: 'en-GB', es: 'es', pseudo: 'en-GB' }

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

/** What is stored by a name of ours, as it is said: a material, a medium, a verdict, a kind of source. */
export const named = (id: string): string => nameOf(id, reading.value)

/** Names one after another, as the language lists them; those beyond `most` are counted. */
export function listed(names: readonly string[], most = 3): string {
  const over = names.length - most
  const shown = over > 0 ? [...names.slice(0, most), word('ui-more', { over })] : names
  return new Intl.ListFormat(LIST_LOCALE[languageNow()]).format(shown)
}

/** What core says, to who reads here; to another reader where a table is written in another school. */
export const told = (message: AnyMsg, reader: Reader = reading.value): string => say(message, reader)
/** An answer about a joint's surroundings. */
export const answerTold = (fact: string, answer: string): string => answerSaid(fact, answer, reading.value)
/** A pipe that pieces share, as people say it. */
export const pipeTold = (pipe: string): string => pipeSaid(pipe, reading.value)

/** What begins with a capital by itself, inside a sentence. */
export const within = (text: string): string =>
  text.slice(0, 1).toLocaleLowerCase(localeOf(languageNow())) + text.slice(1)

/** A sentence's beginning. */
export const capital = (text: string): string =>
  text.slice(0, 1).toLocaleUpperCase(localeOf(languageNow())) + text.slice(1)
