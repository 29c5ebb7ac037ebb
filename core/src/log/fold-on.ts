import { Immer, enableMapSet } from 'immer'
import type { JobEvent } from './events.js'
import { str } from './fold-help.js'
import { amends, foldJob, takeAll } from './fold.js'
import { type Packed, putColumns } from './packed.js'
import type { JobState } from './state.js'
import { upcast } from './upcast.js'

enableMapSet()
/** What is shared between one state and the next is not frozen: a job of ten thousand joints would be walked for it. */
const immer = new Immer({ autoFreeze: false })

/** A state with what is needed to take more entries into it. */
export interface Folded {
  readonly state: JobState
  /** Latest time of any entry, also of those taken back: what comes later counts later. */
  readonly latestS: number
  /** Ids that corrections and replacements speak of, and those that entries wait for and that are not there. */
  readonly spokenOf: ReadonlySet<string>
  /** Something is corrected that stands in columns, without an id: only the log entry by entry tells what it was. */
  readonly lacks: boolean
}

const latestOf = (events: readonly JobEvent[], fromS: number): number => {
  let latestS = fromS
  for (const event of events) if (event.occurredAtS > latestS) latestS = event.occurredAtS
  return latestS
}
function targetOf(written: JobEvent): string {
  const { kind, data } = upcast(written)
  return str(kind === 'correction' ? data.target : data.supersedes)
}

/** What entries wait for that is not among them: where it comes later, they count after it. */
function missedBy(events: readonly JobEvent[]): Set<string> {
  const missed = new Set<string>()
  for (const { after } of events) for (const id of after) missed.add(id)
  if (missed.size) for (const { id } of events) missed.delete(id)
  return missed
}

/** A log without readings in columns. */
export const NO_COLUMNS: Columns = { columns: [], latestS: -Infinity, nowhere: [] }
export type Columns = Pick<Packed, 'columns' | 'latestS' | 'nowhere'>

/** Folds a log so that more may be taken into it. @param packed what of it stands in columns. */
export function foldFrom(events: readonly JobEvent[], packed: Columns = NO_COLUMNS): Folded {
  const spokenOf = missedBy(events)
  const targets = events.filter(amends).map(targetOf)
  for (const target of targets) spokenOf.add(target)
  const state = foldJob(events)
  const { columns, latestS } = packed
  if (columns.length) putColumns(state, packed, events)
  return {
    state,
    latestS: Math.max(latestOf(events, -Infinity), latestS),
    spokenOf,
    lacks: columns.length > 0 && lacksAny(targets, events, packed.nowhere),
  }
}
function lacksAny(
  targets: readonly string[],
  events: readonly JobEvent[],
  nowhere: readonly string[],
): boolean {
  if (!targets.length) return false
  const ids = new Set([...nowhere, ...events.map(({ id }) => id)])
  return targets.some((target) => !ids.has(target))
}

/** Can entries be taken into what was folded as if they had always been there? */
function goesOn({ latestS, spokenOf }: Folded, more: readonly JobEvent[]): boolean {
  const ids = new Set(more.map(({ id }) => id))
  return more.every(
    (event) =>
      event.occurredAtS > latestS &&
      !spokenOf.has(event.id) &&
      // What they correct among themselves touches nothing that was folded.
      (!amends(event) || ids.has(targetOf(event))),
  )
}

/**
 * Takes more entries into a state, without beginning again: what they do not touch is the same object before and after,
 * and what was given stays as it was. The outcome is that of folding all of them.
 * @param more entries that are not in it yet, in any order.
 * @returns null where the whole log must be folded anew: an entry that counts before others, corrects one of them, or is
 * spoken of already.
 */
export function foldOn(folded: Folded, more: readonly JobEvent[]): Folded | null {
  if (!more.length) return folded
  if (!goesOn(folded, more)) return null
  const state = immer.produce(folded.state, (draft) => takeAll(draft as JobState, more))
  // What they wait for is mostly there: that is not looked for, since what is there does not come again.
  const spokenOf = missedBy(more)
  for (const event of more) if (amends(event)) spokenOf.add(targetOf(event))
  return {
    ...folded,
    state,
    latestS: latestOf(more, folded.latestS),
    spokenOf: spokenOf.size ? new Set([...folded.spokenOf, ...spokenOf]) : folded.spokenOf,
  }
}
