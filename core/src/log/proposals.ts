import { instant, str, strOrNull } from './fold-help.js'
import type { JobEvent } from './events.js'
import { standingEvents } from './fold.js'

/** That somebody says another's entry is wrong: it stands until its author, or who leads the job, says so too. */
export interface Proposal {
  id: string
  /** The entry it speaks of. */
  target: JobEvent
  /** Taken back; else it was at another time. */
  undo: boolean
  /** When it was instead, epoch s; null where it is to be taken back. */
  toS: number | null
  reason: string
  by: string
  atS: number
  /** Null while nobody has answered. */
  answer: { by: string; atS: number; accepted: boolean; note: string } | null
}

/**
 * Corrections that were proposed, in the order in which they were; those that were withdrawn are left out. One is accepted
 * by the correction it asked for, whoever wrote that, and declined by a word of its own.
 * @param events the job's log, in any order.
 */
export function proposalsOf(events: readonly JobEvent[]): Proposal[] {
  const standing = standingEvents(events)
  const byId = new Map(events.map((event) => [event.id, event]))
  const declined = new Map<string, JobEvent>()
  for (const event of standing)
    if (event.kind === 'proposal-declined') declined.set(str(event.data.proposalId), event)
  const corrected = new Map<string, JobEvent>()
  for (const event of events)
    if (event.kind === 'correction' && str(event.data.proposalId))
      corrected.set(str(event.data.proposalId), event)
  return standing.flatMap((event): Proposal[] => {
    const target = byId.get(str(event.data.target))
    if (event.kind !== 'correction-proposed' || !target) return []
    const [yes, no] = [corrected.get(event.id), declined.get(event.id)]
    const said = yes?.data.target === target.id ? yes : no
    return [
      {
        id: event.id,
        target,
        undo: event.data.undo === true,
        toS: instant(event, event.data.atS),
        reason: str(event.data.reason),
        by: event.actorId,
        atS: event.occurredAtS,
        answer: said
          ? {
              by: said.actorId,
              atS: said.occurredAtS,
              accepted: said.kind === 'correction',
              note: strOrNull(said.data.note) ?? '',
            }
          : null,
      },
    ]
  })
}
