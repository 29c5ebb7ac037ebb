/** Who writes: by id, and what they are on the job (`owner`: whoever has it, as a charge-hand; `member`; `device`). */
export interface Writer {
  personId: string
  role: string
}
/** What an entry is, as far as somebody's right to write it goes. */
export interface Claim {
  kind: string
  data: Readonly<Record<string, unknown>>
}
/** What the log has already. */
export interface Logged {
  /** An entry by its id; undefined where there is none. */
  entry(id: string): Claim | undefined
  /** Who began a test, and whether it has ended; null where there is none. */
  test(testId: string): { by: string; ended: boolean } | null
}
/** Why somebody may not write an entry. */
export type NotAllowed = 'sealed' | 'not-the-tester' | 'say-why'

/** What is said for good: never taken back, only followed by a later word. */
const FOR_GOOD: ReadonlySet<string> = new Set(['test-ended', 'signed'])
/** What a verdict stands on: for good as soon as there is one. */
const OF_A_TEST: ReadonlySet<string> = new Set([
  'test-begun',
  'test-read',
  'test-log',
  'stage-done',
  'leak-seen',
])
const text = (value: unknown): string => (typeof value === 'string' ? value.trim() : '')

/**
 * Why an entry may not be written by this person; null where it may. Asked where it comes in; what a log has already is
 * folded as it stands.
 * - A verdict or a signature is never taken back or re-timed, nor what a verdict stands on.
 * - A test is ended by who began it, or by who has the job, with a reason.
 */
export function notAllowed({ kind, data }: Claim, by: Writer, log: Logged): NotAllowed | null {
  if (kind === 'correction') {
    const target = log.entry(text(data.target))
    if (!target) return null
    if (FOR_GOOD.has(target.kind)) return 'sealed'
    return OF_A_TEST.has(target.kind) && log.test(text(target.data.testId))?.ended ? 'sealed' : null
  }
  if (kind !== 'test-ended') return null
  const test = log.test(text(data.testId))
  if (!test || test.by === by.personId) return null
  if (by.role !== 'owner') return 'not-the-tester'
  return text(data.reason) ? null : 'say-why'
}

/**
 * May what was written be taken back by whoever wrote it? For the strip that offers to.
 * @example mayBeTakenBack(['step-done']) // true
 */
export const mayBeTakenBack = (kinds: readonly string[]): boolean => !kinds.some((kind) => FOR_GOOD.has(kind))
