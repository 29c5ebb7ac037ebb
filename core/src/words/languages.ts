/** Languages the book is in. English is the one it is written in. */
export const LANGUAGES = ['en'] as const
export type Language = (typeof LANGUAGES)[number]
export const DEFAULT_LANGUAGE: Language = 'en'
