/** Languages the book is in. English is the one it is written in. */
export const LANGUAGES = ['en', 'es'] as const
/**
 * A language of the book, or `pseudo`: English with accents, a third longer, between brackets, as a test of what is not
 * in the book.
 */
export type Language = (typeof LANGUAGES)[number] | 'pseudo'
export const DEFAULT_LANGUAGE: Language = 'en'
/** The language whose grammar counts: plurals, dates. */
export const localeOf = (language: Language): string => (language === 'pseudo' ? 'en' : language)
