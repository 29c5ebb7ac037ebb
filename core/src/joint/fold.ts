import { msg } from '../sources/source.js'
import type { JobEvent } from './events.js'
import { type Handler, flagged, instant, num, school, str } from './fold-help.js'
import { LINE_HANDLERS } from './fold-lines.js'
import { MAKE_HANDLERS } from './fold-make.js'
import { PROVE_HANDLERS } from './fold-prove.js'
import { cutOut, jointOf, stepDone } from './fold-steps.js'
import { ANY_METHOD } from '../methods/charts.js'
import { inOrder } from './order.js'
import { type JobState, emptyState } from './state.js'
import { upcast } from './upcast.js'

interface Amendment {
  undone: boolean
  atS: number | null
}

/** Entries that speak of others: corrections, and readings that take the place of one. */
const amends = (e: JobEvent): boolean =>
  e.kind === 'correction' || (e.kind === 'reading' && typeof e.data.supersedes === 'string')

/** Which entries later corrections took back or re-timed. A correction may itself be taken back. */
function amendments(ordered: readonly JobEvent[], state: JobState): ReadonlyMap<string, Amendment> {
  const ids = new Set(ordered.map((e) => e.id))
  const amending = ordered.map(upcast).filter(amends)
  const out = new Map<string, Amendment>()
  for (const e of amending)
    if (e.kind === 'reading') out.set(str(e.data.supersedes), { undone: true, atS: null })
  for (const c of amending.filter((e) => e.kind === 'correction').reverse()) {
    if (out.get(c.id)?.undone) continue
    const target = str(c.data.target)
    if (!ids.has(target)) {
      state.notes.push({ eventId: c.id, atS: c.occurredAtS, by: c.actorId, says: msg('flag-unknown-target') })
      continue
    }
    const had = out.get(target)
    // Walking back from the latest: what a later correction says about an entry stands.
    if (!had) out.set(target, { undone: c.data.undo === true, atS: instant(c, c.data.atS) })
    else if (had.atS === null && !had.undone) had.atS = instant(c, c.data.atS)
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
  const ordered = inOrder(events)
  // Looked for as the entries came: that they are in the order of memory makes the look cheap.
  const amended = events.some((e) => amends(upcast(e))) ? amendments(ordered, state) : NOTHING_AMENDED
  for (const written of ordered) {
    const amendment = amended.size ? amended.get(written.id) : undefined
    if (amendment?.undone) continue
    const e = upcast(written)
    if (e.occurredAtS > state.lastAtS) state.lastAtS = e.occurredAtS
    state.jobId ??= e.jobId
    HANDLERS[e.kind]?.(state, e, e.data ?? {}, amendment?.atS ?? null)
  }
  return state
}

/** A probe's clock may be out by so much. */
const FUTURE_S = 300
const forecastOf = (s: JobState, id: string) => {
  let f = s.forecasts.get(id)
  if (!f) s.forecasts.set(id, (f = { air: [], wall: [] }))
  return f
}
const placeOf = (s: JobState, id: string) => {
  let p = s.readings.get(id)
  if (!p) s.readings.set(id, (p = { air: [], wall: [], humidity: [] }))
  return p
}
type Chart = JobState['charts'][number]
/** A chart is what it was when it was loaded: the same id again changes nothing. */
function addChart(s: JobState, e: JobEvent, id: string, name: string, rows: Chart['rows']): void {
  if (!s.charts.some((c) => c.id === id)) s.charts.push({ id, name, rows, by: e.actorId, atS: e.occurredAtS })
}

const HANDLERS: Readonly<Record<string, Handler>> = {
  'job-set': (s, _e, d) => {
    s.job = {
      name: str(d.name),
      zone: str(d.zone, 'UTC'),
      school: school(d.school),
      table: str(d.table, 'current'),
      checkOffsetMm: num(d.checkOffsetMm) ?? 50,
    }
  },
  'place-set': (s, _e, d) => void s.places.set(str(d.placeId), str(d.name)),
  ...LINE_HANDLERS,
  ...MAKE_HANDLERS,
  // "This box measures 39" is a chart of one row, whatever the method: pinned as any chart is.
  'socket-measured': (s, e, d) =>
    addChart(s, e, e.id, 'This box', [
      {
        method: ANY_METHOD,
        material: str(d.material),
        size: str(d.size),
        field: 'socketDepthMm',
        value: num(d.depthMm) ?? 0,
        reference: 'measured',
      },
    ]),
  ...PROVE_HANDLERS,
  reading: (s, e, d) => {
    const what = d.what === 'air' || d.what === 'humidity' ? d.what : 'wall'
    const value = num(d.value)
    const atS = instant(e, d.atS)
    if (value === null || atS === null) return
    // A forecast never counts; it has no place among what was read.
    if (d.basis === 'forecast') {
      if (what !== 'humidity') forecastOf(s, str(d.placeId))[what].push({ atS, value })
      return
    }
    // Nobody reads what has not been yet: kept in the log, and of no effect.
    if (atS > e.occurredAtS + e.clockErrorS + FUTURE_S) return flagged(s, e, 'flag-future-reading')
    placeOf(s, str(d.placeId))[what].push({
      atS,
      value,
      eventId: e.id,
      ...(d.basis === 'typed' ? { sure: true } : {}),
    })
  },
  'tin-set': (s, _e, d) =>
    void s.tins.set(str(d.tinId), {
      plastic: str(d.plastic),
      code: str(d.code),
      expiresOn: str(d.expiresOn),
    }),
  'joint-placed': (s, e, d) =>
    void jointOf(s, str(e.jointId)).placements.push({
      fromS: instant(e, d.fromS) ?? e.occurredAtS,
      placeId: str(d.placeId),
    }),
  'step-done': stepDone,
  'cut-out': cutOut,
  interrupted: (s, e, d) => {
    const life = jointOf(s, str(e.jointId)).lives[(num(d.life) ?? 1) - 1]
    if (life)
      (life.interrupted as { kind: string; atS: number }[]).push({ kind: str(d.what), atS: e.occurredAtS })
  },
  'chart-loaded': (s, e, d) => {
    if (Array.isArray(d.rows)) addChart(s, e, str(d.chartId), str(d.name), d.rows as Chart['rows'])
  },
  'source-checked': (s, e, d) =>
    void s.checked.set(str(d.sourceId), {
      by: e.actorId,
      edition: str(d.edition),
      on: str(d.on),
      note: str(d.note),
      atS: e.occurredAtS,
    }),
  signed: (s, e, d) =>
    void s.signed.push({
      what: str(d.what),
      refId: str(d.refId),
      by: e.actorId,
      atS: e.occurredAtS,
      statement: str(d.statement),
    }),
}
