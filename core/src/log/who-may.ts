import { greatest } from '../units/extent.js'
import { leads, rolesToGive } from './roles.js'

/** Who writes: by id, and what they are on the job (see `ROLES`; an instrument is a `device`). */
export interface Writer {
  personId: string
  role: string
}
/** What an entry is, as far as somebody's right to write it goes. */
export interface Claim {
  kind: string
  data: Readonly<Record<string, unknown>>
  /** By the clock of its device, s since 1970: as times inside its data are. */
  atDeviceS?: number
}
/** An entry that is in the log. */
export interface Written extends Claim {
  by: string
}
/** What the log has already. */
export interface Logged {
  /** An entry by its id; undefined where there is none. */
  entry(id: string): Written | undefined
  /** Who began a test, and whether it has ended; null where there is none. */
  test(testId: string): { by: string; ended: boolean } | null
  /** What somebody is on the job; '' where they are nothing. */
  role(personId: string): string
}
/** Why somebody may not write an entry. */
export type NotAllowed =
  | 'sealed'
  | 'not-the-tester'
  | 'say-why'
  | 'not-yours'
  | 'from-memory'
  | 'too-long-ago'
  | 'own-test'
  | 'not-your-role'

/** What is said for good: never taken back, only followed by a later word. */
const FOR_GOOD: ReadonlySet<string> = new Set(['test-ended', 'signed', 'role-given'])
/** What a verdict stands on: for good as soon as there is one. */
const OF_A_TEST: ReadonlySet<string> = new Set([
  'test-begun',
  'test-read',
  'test-log',
  'stage-done',
  'leak-seen',
])
const text = (value: unknown): string => (typeof value === 'string' ? value.trim() : '')
const HOUR_S = 3600
/** What is written down later than this says how it is known: noted at the time, or from memory. */
const SAY_HOW_S = HOUR_S
/** What is written down later than this is for who leads the job. */
export const TOO_LONG_AGO_S = 24 * HOUR_S

/** How far back of its being written an entry puts a moment, s: by the clock on which both were read. */
const backS = (atDeviceS: number | undefined, moments: readonly unknown[]): number =>
  atDeviceS === undefined
    ? 0
    : greatest([0, ...moments.map((moment) => (typeof moment === 'number' ? atDeviceS - moment : 0))])
/** Told late: beyond an hour with how it is known, beyond a day by who leads. */
function late(endedS: number, begunS: number, known: boolean, by: Writer): NotAllowed | null {
  if (Math.max(endedS, begunS) > TOO_LONG_AGO_S && !leads(by.role)) return 'too-long-ago'
  return endedS > SAY_HOW_S && !known ? 'from-memory' : null
}
/** Work that is told with times of its own; it may have taken long, so that only its end is told late. */
function telling({ data, atDeviceS }: Claim, by: Writer): NotAllowed | null {
  const endedS = backS(atDeviceS, [data.latestS, data.toS])
  return late(endedS, backS(atDeviceS, [data.earliestS, data.fromS]), text(data.basis) !== '', by)
}

/**
 * May somebody correct what was written by `author`? Their own, what an instrument wrote, and, who leads, everything.
 * @param authorRole what the author is on the job; `device` or '' for an instrument.
 * @example mayCorrect('teal', 'fitter', { personId: 'wren', role: 'fitter' }) // false
 */
export const mayCorrect = (author: string, authorRole: string, by: Writer): boolean =>
  author === by.personId || authorRole === '' || authorRole === 'device' || leads(by.role)
/** Is it for good: a verdict or a signature, or what a verdict stands on? */
const isSealed = (target: Written, log: Logged): boolean =>
  FOR_GOOD.has(target.kind) ||
  (OF_A_TEST.has(target.kind) && log.test(text(target.data.testId))?.ended === true)
function correcting({ data }: Claim, by: Writer, log: Logged): NotAllowed | null {
  const target = log.entry(text(data.target))
  if (!target) return null
  if (isSealed(target, log)) return 'sealed'
  if (!mayCorrect(target.by, log.role(target.by), by)) return 'not-yours'
  // Where a time is moved, how it is known stands in the reason.
  const movedS = backS(target.atDeviceS, [data.atS])
  return late(movedS, movedS, text(data.reason) !== '', by)
}
/** Anybody who writes may say that something is wrong, of what is not for good. */
function proposing({ data }: Claim, log: Logged): NotAllowed | null {
  const target = log.entry(text(data.target))
  if (!target) return null
  if (isSealed(target, log)) return 'sealed'
  return text(data.reason) ? null : 'say-why'
}
/** A proposal is declined by whoever wrote what it speaks of, or leads; who made it may let it go. */
function declining({ data }: Claim, by: Writer, log: Logged): NotAllowed | null {
  const proposal = log.entry(text(data.proposalId))
  const target = proposal && log.entry(text(proposal.data.target))
  if (!proposal || !target || proposal.by === by.personId) return null
  return mayCorrect(target.by, log.role(target.by), by) ? null : 'not-yours'
}
function ending({ data }: Claim, by: Writer, log: Logged): NotAllowed | null {
  const test = log.test(text(data.testId))
  if (!test || test.by === by.personId) return null
  if (!leads(by.role)) return 'not-the-tester'
  return text(data.reason) ? null : 'say-why'
}
/** Only a witness's word is a witness's: not that of who ran the test. */
function signing({ data }: Claim, by: Writer, log: Logged): NotAllowed | null {
  const witnessed = by.role === 'witness' && text(data.what) === 'test'
  return witnessed && log.test(text(data.refId))?.by === by.personId ? 'own-test' : null
}
function givingRole({ data }: Claim, by: Writer, log: Logged): NotAllowed | null {
  const may = rolesToGive(by.role)
  const personId = text(data.personId)
  const now = log.role(personId)
  // Nobody makes themselves more, nor takes the job from who has it, nor a lead from who was given it by another.
  const theirs = now !== '' && now !== 'left' && may.some((role) => role === now)
  return personId !== by.personId && theirs && may.some((role) => role === data.role) ? null : 'not-your-role'
}
/** What a paper says one may make: of oneself, and of others by who leads. */
const qualifying = ({ data }: Claim, by: Writer): NotAllowed | null =>
  text(data.personId) === by.personId || leads(by.role) ? null : 'not-yours'
/** Work that is told with times of its own. */
const TOLD: ReadonlySet<string> = new Set(['step-done', 'batch-done'])

/** Kinds whose right depends on what the log has. */
export const ASKS_THE_LOG: ReadonlySet<string> = new Set([
  'correction',
  'correction-proposed',
  'proposal-declined',
  'test-ended',
  'signed',
  'role-given',
])

/**
 * Why an entry may not be written by this person; null where it may. Asked where it comes in, after `mayWrite`; what a
 * log has already is folded as it stands.
 * - A verdict or a signature is never taken back or re-timed, nor what a verdict stands on.
 * - A test is ended by who began it, or by who leads the job, with a reason.
 * - What another wrote is corrected by who leads; what an instrument wrote, by whoever corrects at all. Others propose it,
 *   with a reason; the author, or who leads, accepts by correcting, or declines.
 * - What is told later than an hour says how it is known; later than a day is for who leads.
 * - Nobody witnesses a test they ran, nor gives themselves a role.
 */
export function notAllowed(claim: Claim, by: Writer, log: Logged): NotAllowed | null {
  switch (claim.kind) {
    case 'correction':
      return correcting(claim, by, log)
    case 'correction-proposed':
      return proposing(claim, log)
    case 'proposal-declined':
      return declining(claim, by, log)
    case 'test-ended':
      return ending(claim, by, log)
    case 'signed':
      return signing(claim, by, log)
    case 'role-given':
      return givingRole(claim, by, log)
    case 'qualified':
      return qualifying(claim, by)
    default:
      return TOLD.has(claim.kind) ? telling(claim, by) : null
  }
}

/**
 * May what was written be taken back by whoever wrote it? For the strip that offers to.
 * @example mayBeTakenBack(['step-done']) // true
 */
export const mayBeTakenBack = (kinds: readonly string[]): boolean => !kinds.some((kind) => FOR_GOOD.has(kind))
