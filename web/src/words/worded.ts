import type { Values, WebCode } from './word'

/** A sentence on its way to where it is said: from a worker, which knows nobody who reads. */
export interface Worded {
  readonly code: WebCode
  readonly values?: Values
}
