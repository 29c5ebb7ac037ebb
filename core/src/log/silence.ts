/** What keeps the server from reading an instrument; each has its sentence, `logger-` and its name. */
export type Silence = 'refused' | 'no-answer' | 'short-answer' | 'no-number' | 'not-allowed' | 'other'
