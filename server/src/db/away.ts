/** Why the database does not answer now, though it may in a moment. */
export type Away = 'lost' | 'starting' | 'slow' | 'locked' | 'full' | 'crowded' | 'read-only'

/** By the codes of PostgreSQL (SQLSTATE) and of the system. */
const BY_CODE: Readonly<Record<string, Away>> = {
  ECONNREFUSED: 'lost',
  ECONNRESET: 'lost',
  ENOTFOUND: 'lost',
  EPIPE: 'lost',
  ETIMEDOUT: 'lost',
  EHOSTUNREACH: 'lost',
  ENETUNREACH: 'lost',
  '57P01': 'lost',
  '57P02': 'lost',
  '57P03': 'starting',
  '57014': 'slow',
  '25P03': 'slow',
  '55P03': 'locked',
  '40P01': 'locked',
  '40001': 'locked',
  '53100': 'full',
  '53200': 'full',
  '53300': 'crowded',
  '53400': 'crowded',
  '25006': 'read-only',
}
/** What the driver says without a code. */
const BY_TEXT: readonly (readonly [RegExp, Away])[] = [
  [/timeout exceeded when trying to connect/i, 'crowded'],
  [/connection terminated|connection ended|client has encountered a connection error|not queryable/i, 'lost'],
  [/query read timeout/i, 'slow'],
]

/** So many causes one behind another are looked through. */
const DEEPEST = 5
/** Why the database could not do it, where the fault is the database's for now; null for every other fault. */
export function awayOf(error: unknown): Away | null {
  // Told by its shape: what comes from the system is not always an `Error` of this realm.
  let each = error as Partial<{ code: unknown; message: string; cause: unknown }> | null | undefined
  for (let deep = 0; typeof each === 'object' && each !== null && deep < DEEPEST; deep++) {
    const { code, message = '' } = each
    if (typeof code === 'string') {
      const away = BY_CODE[code] ?? (code.startsWith('08') ? 'lost' : undefined)
      if (away) return away
    }
    const said = BY_TEXT.find(([pattern]) => pattern.test(message))
    if (said) return said[1]
    each = each.cause as typeof each
  }
  return null
}
