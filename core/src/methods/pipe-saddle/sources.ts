import { practice } from '../../sources/records.js'
import type { Source } from '../../sources/records.js'

/** Where its steps come from. Its figures are the maker's: they are given for a line. */
export const SOURCES = [
  practice('cp-saddle-steps', 'Saddles strapped over a hole in the pipe, step by step, as the trade does it'),
] as const satisfies readonly Source[]
declare module '../../sources/source.js' {
  interface SourceBook {
    'pipe-saddle': typeof SOURCES
  }
}
