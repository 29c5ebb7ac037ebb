import {
  DEFAULT_LANGUAGE,
  LANGUAGES,
  type Language,
  type Translation,
  addTranslation,
  localeOf,
} from '@jugalis/core'
import { shallowRef } from 'vue'

/** Each language is one file, fetched when somebody reads in it. */
const FILES: Partial<Record<Language, () => Promise<{ default: Translation }>>> = {
  es: () => import('../../../words/es.json'),
}
/** The language the page is in: the one that was asked for once its file is here. */
export const language = shallowRef<Language>(DEFAULT_LANGUAGE)
const known = (wanted: unknown): Language =>
  wanted === 'pseudo' || LANGUAGES.some((l) => l === wanted) ? (wanted as Language) : DEFAULT_LANGUAGE

/** Brings the sentences of a language here. */
export async function bring(language: Language): Promise<void> {
  const file = FILES[language]
  if (file) addTranslation(language, (await file()).default)
}

let asked: Language = DEFAULT_LANGUAGE
/** Turns the page to a language; in the one it is in where the file can't be had. @param wanted what was kept as the choice. */
export async function turnTo(wanted: unknown): Promise<void> {
  const next = known(wanted)
  asked = next
  try {
    await bring(next)
  } catch {
    return
  }
  // Another was chosen meanwhile.
  if (asked !== next) return
  language.value = next
  document.documentElement.lang = localeOf(next)
  // The pseudo-language is read from the right, so that what is set to the left by force is seen.
  document.documentElement.dir = next === 'pseudo' ? 'rtl' : 'ltr'
}
