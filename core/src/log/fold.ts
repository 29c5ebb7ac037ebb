import { msg } from '../sources/source.js'
import type { JobEvent } from './events.js'
import { type Handler, flagged, instant, num, school, str, strOrNull } from './fold-help.js'
import { LINE_HANDLERS } from './fold-lines.js'
import { MAKE_HANDLERS } from './fold-make.js'
import { STORE_HANDLERS } from './fold-store.js'
import { PEOPLE_HANDLERS } from './fold-people.js'
import { PLAN_HANDLERS } from './fold-plan.js'
import { UPKEEP_HANDLERS } from './fold-upkeep.js'
import { PROVE_HANDLERS } from './fold-prove.js'
import { cutOut, jointOf, stepDone } from './fold-steps.js'
import { ANY_METHOD } from '../methods/charts.js'
import { inOrder } from './order.js'
import { type JobState, emptyState } from './state.js'
import { upcast } from './upcast.js'
import { usualOf } from './usual-figures.js'

interface Amendment {
  undone: boolean
  atS: number | null
}

/** Entries that speak of others: corrections, and readings that take the place of one. */
export function amends(written: JobEvent): boolean {
  // Asked of every entry of a log: most are told by their kind alone.
  if (written.kind === 'correction') return true
  return written.kind === 'reading' && typeof upcast(written).data.supersedes === 'string'
}

/** Which entries later corrections took back or re-timed. A correction may itself be taken back. */
function amendments(
  ordered: readonly JobEvent[],
  state: Pick<JobState, 'notes'>,
): ReadonlyMap<string, Amendment> {
  const ids = new Set(ordered.map((e) => e.id))
  const amending = ordered.filter(amends).map(upcast)
  const out = new Map<string, Amendment>()
  for (const event of amending)
    if (event.kind === 'reading') out.set(str(event.data.supersedes), { undone: true, atS: null })
  for (const event of amending.filter((e) => e.kind === 'correction').reverse()) {
    if (out.get(event.id)?.undone) continue
    const target = str(event.data.target)
    if (!ids.has(target)) {
      state.notes.push({
        eventId: event.id,
        atS: event.occurredAtS,
        by: event.actorId,
        says: msg('flag-unknown-target'),
      })
      continue
    }
    const had = out.get(target)
    // Walking back from the latest: what a later correction says about an entry stands.
    if (!had) out.set(target, { undone: event.data.undo === true, atS: instant(event, event.data.atS) })
    else if (had.atS === null && !had.undone) had.atS = instant(event, event.data.atS)
  }
  return out
}
const NOTHING_AMENDED: ReadonlyMap<string, Amendment> = new Map()

/**
 * State of a job from its events. Total: never throws, whatever well-formed events it gets. What contradicts is kept
 * and noted, and earns no credit. The same set of events gives the same state, in whatever order it arrived.
 */
export function foldJob(events: readonly JobEvent[]): JobState {
  const state = emptyState()
  takeAll(state, events)
  return state
}

/** Takes entries into a state that they all follow on, in the order in which they count. */
export function takeAll(state: JobState, events: readonly JobEvent[]): void {
  const ordered = inOrder(events)
  // Looked for as the entries came: that they are in the order of memory makes the look cheap.
  const amended = events.some(amends) ? amendments(ordered, state) : NOTHING_AMENDED
  for (const written of ordered) {
    const amendment = amended.size ? amended.get(written.id) : undefined
    if (!amendment?.undone) take(state, upcast(written), amendment?.atS ?? null)
  }
}
/** @param movedToS when it was, as corrected later, epoch s; null = as written. */
function take(state: JobState, event: JobEvent, movedToS: number | null): void {
  if (event.occurredAtS > state.lastAtS) state.lastAtS = event.occurredAtS
  state.jobId ??= event.jobId
  HANDLERS[event.kind]?.(state, event, event.data ?? {}, movedToS)
}

/** Entries in the order in which they count, without those that were taken back and those that did so. */
export function standingEvents(events: readonly JobEvent[]): readonly JobEvent[] {
  const ordered = inOrder(events)
  const amended = amendments(ordered, emptyState())
  return ordered.filter(({ id, kind }) => kind !== 'correction' && !amended.get(id)?.undone)
}

/** A probe's clock may be out by so much. */
const FUTURE_S = 300
const forecastOf = (state: JobState, id: string) => {
  let forecast = state.forecasts.get(id)
  if (!forecast) state.forecasts.set(id, (forecast = { air: [], wall: [] }))
  return forecast
}
const placeOf = (state: JobState, id: string) => {
  let readings = state.readings.get(id)
  if (!readings) state.readings.set(id, (readings = { air: [], wall: [], humidity: [] }))
  return readings
}
type Chart = JobState['charts'][number]
/** A chart is what it was when it was loaded: the same id again changes nothing. */
function addChart(state: JobState, event: JobEvent, id: string, name: string, rows: Chart['rows']): void {
  if (!state.charts.some((c) => c.id === id))
    state.charts.push({ id, name, rows, by: event.actorId, atS: event.occurredAtS })
}

const HANDLERS: Readonly<Record<string, Handler>> = {
  'job-set': (state, _e, data) => {
    const { closed } = state.job
    state.job = {
      ...(closed ? { closed } : {}),
      name: str(data.name),
      zone: str(data.zone, 'UTC'),
      school: school(data.school),
      table: str(data.table, 'current'),
      checkOffsetMm: num(data.checkOffsetMm) ?? 50,
      ...Object.fromEntries(
        (['site', 'customer', 'drawings'] as const).flatMap((field) =>
          strOrNull(data[field]) ? [[field, str(data[field])]] : [],
        ),
      ),
      ...usualOf(data.usual),
    }
  },
  'job-closed': (state, event, data) => {
    if (data.closed === true) state.job.closed = { by: event.actorId, atS: event.occurredAtS }
    else delete state.job.closed
  },
  'place-set': (s, _e, d) => void s.places.set(str(d.placeId), str(d.name)),
  ...LINE_HANDLERS,
  ...MAKE_HANDLERS,
  ...STORE_HANDLERS,
  // "This box measures 39" is a chart of one row, whatever the method: pinned as any chart is.
  'socket-measured': (state, event, data) =>
    addChart(state, event, event.id, 'This box', [
      {
        method: ANY_METHOD,
        material: str(data.material),
        size: str(data.size),
        field: 'socketDepthMm',
        value: num(data.depthMm) ?? 0,
        reference: 'measured',
      },
    ]),
  ...PROVE_HANDLERS,
  ...UPKEEP_HANDLERS,
  ...PLAN_HANDLERS,
  ...PEOPLE_HANDLERS,
  reading: (state, event, data) => {
    const what = data.what === 'air' || data.what === 'humidity' ? data.what : 'wall'
    const value = num(data.value)
    const atS = instant(event, data.atS)
    if (value === null || atS === null) return
    // A forecast never counts; it has no place among what was read.
    if (data.basis === 'forecast') {
      if (what !== 'humidity') forecastOf(state, str(data.placeId))[what].push({ atS, value })
      return
    }
    // Nobody reads what has not been yet: kept in the log, and of no effect.
    if (atS > event.occurredAtS + event.clockErrorS + FUTURE_S)
      return flagged(state, event, 'flag-future-reading')
    placeOf(state, str(data.placeId))[what].push({
      atS,
      value,
      eventId: event.id,
      ...(data.basis === 'typed' ? { sure: true } : {}),
    })
  },
  'joint-placed': (state, event, data) =>
    void jointOf(state, str(event.jointId)).placements.push({
      fromS: instant(event, data.fromS) ?? event.occurredAtS,
      placeId: str(data.placeId),
    }),
  'step-done': stepDone,
  'cut-out': cutOut,
  interrupted: (state, event, data) => {
    const life = jointOf(state, str(event.jointId)).lives[(num(data.life) ?? 1) - 1]
    if (life)
      (life.interrupted as { kind: string; atS: number }[]).push({
        kind: str(data.what),
        atS: event.occurredAtS,
      })
  },
  'chart-loaded': (state, event, data) => {
    if (Array.isArray(data.rows))
      addChart(state, event, str(data.chartId), str(data.name), data.rows as Chart['rows'])
  },
  'source-checked': (state, event, data) =>
    void state.checked.set(str(data.sourceId), {
      by: event.actorId,
      edition: str(data.edition),
      on: str(data.on),
      note: str(data.note),
      atS: event.occurredAtS,
    }),
  'log-brought': (state, event, data) =>
    void state.brought.push({
      entries: num(data.entries) ?? 0,
      head: str(data.head),
      by: event.actorId,
      atS: event.occurredAtS,
    }),
  signed: (state, event, data) => {
    const role = state.roles.get(event.actorId)
    state.signed.push({
      what: str(data.what),
      refId: str(data.refId),
      by: event.actorId,
      atS: event.occurredAtS,
      statement: str(data.statement),
      ...(role ? { role } : {}),
    })
  },
}
