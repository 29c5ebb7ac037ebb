import { upcast } from '../log/upcast.js'
import { instant, num, str, strOrNull, texts } from '../log/fold-help.js'
import type { JobEvent } from '../log/events.js'
import { standingEvents } from '../log/fold.js'
import type { JobState } from '../log/state.js'

/** A correction of an entry: taken back, brought back by taking that back, or said to have been at another time. */
export interface Amended {
  by: string
  /** When somebody corrected it, epoch s. */
  atS: number
  what: 'taken-back' | 'brought-back' | 'moved'
  /** Where it was moved to, epoch s. */
  toS: number | null
  reason: string
}
/** What the history of a joint tells of, by the kind of its entry, or of a test that it was in. */
export const HISTORY_KINDS = [
  'joint-placed',
  'step-done',
  'interrupted',
  'cut-out',
  'looked-over',
  'photo-kept',
  'joints-doubted',
  'tool-found',
  'test-begun',
  'test-ended',
] as const
export type HistoryKind = (typeof HISTORY_KINDS)[number]
/** One thing that happened to a joint. */
export interface HistoryRow {
  /** Of its own among the rows: the entry, and which step of it. */
  key: string
  eventId: string
  kind: HistoryKind
  /** When it was, as written, epoch s. */
  atS: number
  by: string
  /** Which making of the joint it is about; null where it is about all of it. */
  life: number | null
  step: string | null
  readings: Readonly<Record<string, unknown>>
  /** What was chosen: good or wrong, held or lost. */
  answer: string | null
  /** A reason or word that was given with it. */
  says: string
  fromMemory: boolean
  /** Names of the things it was made with, or of the one it speaks of. */
  things: readonly string[]
  /** Of a section: its tag. */
  section: string | null
  /** bar; of a test. */
  bar: number | null
  amended: readonly Amended[]
  /** It does not stand: it was taken back, and stays readable. */
  gone: boolean
}

/** Steps that an entry tells of a joint: one of its own, or those that were told at once for several. */
function stepsIn(
  event: JobEvent,
  jointId: string,
): { life: number | null; step: string; readings: object }[] {
  const { data } = event
  if (event.kind === 'step-done') {
    const readings = typeof data.readings === 'object' && data.readings !== null ? data.readings : {}
    return event.jointId === jointId ? [{ life: num(data.life), step: str(data.step), readings }] : []
  }
  if (event.kind !== 'batch-done' || !Array.isArray(data.joints) || !Array.isArray(data.steps)) return []
  const own = (data.joints as { jointId?: unknown; life?: unknown }[]).find((one) => one.jointId === jointId)
  if (!own) return []
  return (data.steps as { step?: unknown; readings?: object }[]).map(({ step, readings = {} }) => ({
    life: num(own.life),
    step: str(step),
    readings,
  }))
}
/** Is an entry that is no step about this joint, or about what it was made with, or a section it is in? */
function isAbout(
  event: JobEvent,
  on: { jointId: string; tools: ReadonlySet<string>; tests: ReadonlySet<string> },
): boolean {
  const { kind, data } = event
  if (kind === 'joints-doubted') return texts(data.jointIds).includes(on.jointId)
  if (kind === 'tool-found') return on.tools.has(str(data.toolId))
  if (kind === 'test-begun' || kind === 'test-ended') return on.tests.has(str(data.testId))
  return event.jointId === on.jointId && (HISTORY_KINDS as readonly string[]).includes(kind)
}
/** Corrections by what they correct, in the order in which they were made. */
function correctionsOf(events: readonly JobEvent[]): ReadonlyMap<string, JobEvent[]> {
  const by = new Map<string, JobEvent[]>()
  for (const event of events) {
    if (event.kind !== 'correction') continue
    const target = str(event.data.target)
    by.set(target, [...(by.get(target) ?? []), event])
  }
  return by
}
/**
 * What was said of an entry later; that a correction was taken back brings the entry back. @param on entries that this
 * one corrects: one that corrects itself, round about, says nothing of it.
 */
function amendedOf(
  id: string,
  corrections: ReadonlyMap<string, JobEvent[]>,
  on: readonly string[] = [],
): Amended[] {
  return (corrections.get(id) ?? []).flatMap((event) => {
    if (event.id === id || on.includes(event.id)) return []
    const toS = instant(event, event.data.atS)
    const one = { by: event.actorId, atS: event.occurredAtS, toS, reason: str(event.data.reason) }
    const undo = event.data.undo === true
    const again = amendedOf(event.id, corrections, [...on, id]).filter(({ what }) => what === 'taken-back')
    return [
      { ...one, what: undo ? ('taken-back' as const) : ('moved' as const) },
      ...again.map((back) => ({ ...back, what: 'brought-back' as const })),
    ]
  })
}

/**
 * All that happened to a joint, as a person reads it, by when it was: steps with what was read, what was left out, cut out,
 * looked over, doubted, the tests of its sections; what was taken back stays readable with who did so.
 * @param events the job's log, in any order.
 */
export function jointHistory(events: readonly JobEvent[], state: JobState, jointId: string): HistoryRow[] {
  const standing = new Set(standingEvents(events).map(({ id }) => id))
  const corrections = correctionsOf(events)
  const steps = events.flatMap((event) => (stepsIn(event, jointId).length ? [event] : []))
  const tools = new Set(steps.flatMap(({ data }) => [...texts(data.toolIds), ...texts([data.tinId])]))
  const sections = [...state.sections.values()].filter(({ jointIds }) => jointIds.includes(jointId))
  const tests = new Map(
    [...state.tests.values()].flatMap((test) => {
      const section = sections.find(({ id }) => id === test.sectionId)
      return section ? [[test.id, { test, section }] as const] : []
    }),
  )
  const on = { jointId, tools, tests: new Set(tests.keys()) }
  const named = (ids: readonly string[]): string[] => ids.flatMap((id) => state.store.get(id)?.name ?? [])
  const rowOf = (written: JobEvent, kind: HistoryKind, key: string): HistoryRow => {
    const { data, ...event } = upcast(written)
    const tested = tests.get(str(data.testId))
    return {
      key,
      eventId: written.id,
      kind,
      atS: event.occurredAtS,
      by: event.actorId,
      life: num(data.life),
      step: strOrNull(data.step) ?? strOrNull(data.what),
      readings: {},
      answer: strOrNull(data.found) ?? strOrNull(data.verdict),
      says: [data.reason, data.says, data.note, data.skipped].map((text) => str(text)).find(Boolean) ?? '',
      fromMemory: data.basis === 'memory',
      things: named([...texts(data.toolIds), ...texts([data.tinId, data.toolId])]),
      section: tested?.section.tag ?? null,
      bar: tested?.test.bar ?? null,
      amended: amendedOf(event.id, corrections),
      gone: !standing.has(event.id),
    }
  }
  const rows = events.flatMap((event) => {
    const told = stepsIn(event, jointId)
    if (told.length)
      return told.map(({ life, step, readings }, i) => ({
        ...rowOf(event, 'step-done', `${event.id} ${i}`),
        atS: instant(event, event.data.toS) ?? instant(event, event.data.latestS) ?? event.occurredAtS,
        life,
        step,
        readings: readings as Record<string, unknown>,
      }))
    return isAbout(event, on) ? [rowOf(event, event.kind as HistoryKind, event.id)] : []
  })
  return rows.sort((one, other) => one.atS - other.atS)
}
