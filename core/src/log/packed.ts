import { once } from '../units/memo.js'
import { type EntryColumns, packEntries, wholeMs } from './entry-columns.js'
import type { JobEvent } from './events.js'
import { instant, num, str } from './fold-help.js'
import type { Reading } from '../conditions/history.js'
import type { JobState } from './state.js'

/*
 * A log as it is sent to whoever opens a large job: what people wrote stands entry by entry; what probes read long ago
 * stands in columns, since nobody speaks of one of those readings any more, and there are ten of them for each entry.
 */

/** Version of what is packed: what was packed by another one is not read. */
export const PACK_VERSION = 1
type What = 'air' | 'wall' | 'humidity'
/**
 * Readings of one place and kind in the order in which they count. Times are whole milliseconds and values whole parts,
 * so many to one, both as differences from the one before: what changes little takes little room.
 */
export interface ReadingColumn {
  placeId: string
  what: What
  parts: number
  saidMs: readonly number[]
  /** When it was written, by the server's clock, after when it says it was read, ms. */
  laterMs: readonly number[]
  /** By how much the clock of what wrote it was behind the server's, ms. */
  behindMs: readonly number[]
  values: readonly number[]
}
export interface Packed {
  v: number
  /** The last line of the log that is in it. */
  seq: number
  hash: string
  /** Latest time that any of the packed entries speaks of, epoch s. */
  latestS: number
  columns: readonly ReadingColumn[]
  /** Ids that entries correct or replace, and that no entry of the log has. */
  nowhere: readonly string[]
  /** All other entries, in the order of the log. */
  entries: EntryColumns
}

/** What a probe read before this long before the end of the log goes into columns, s. */
const SINCE_S = 48 * 3600
const PARTS = [1, 2, 10, 100, 1000]
/** Divided, not multiplied: a tenth has no exact value of its own. */
/** No probe reads more, and sums of so many parts are exact. */
const MOST = 1e9
const isWhole = (value: number, parts: number): boolean =>
  Math.abs(value) < MOST && Math.round(value * parts) / parts === value

/** An entry that nothing else of its log speaks of, as a reading of a probe; null where it must stand by itself. */
function plainReading(event: JobEvent, beforeS: number, spokenOf: ReadonlySet<string>) {
  const { data, kind, occurredAtS } = event
  const { what, placeId, basis, supersedes } = data
  if (kind !== 'reading' || basis !== 'measured' || supersedes !== undefined) return null
  if (occurredAtS >= beforeS || event.after.length || spokenOf.has(event.id)) return null
  if (what !== 'air' && what !== 'wall' && what !== 'humidity') return null
  const [atS, saidS, value] = [instant(event, data.atS), num(data.atS), num(data.value)]
  // What was read later than it was written is noted by the fold, and earns no place among the readings.
  if (atS === null || saidS === null || value === null || atS > occurredAtS) return null
  const [saidMs, wroteMs, deviceMs] = [wholeMs(saidS), wholeMs(occurredAtS), wholeMs(event.atDeviceS)]
  if (saidMs === null || wroteMs === null || deviceMs === null) return null
  return { placeId: str(placeId), what: what as What, saidMs, wroteMs, deviceMs, value }
}
type Plain = NonNullable<ReturnType<typeof plainReading>>

const differences = (list: readonly number[]): number[] =>
  list.map((value, i) => value - (i === 0 ? 0 : (list[i - 1] as number)))
function summed(list: readonly number[]): number[] {
  let sum = 0
  return list.map((value) => (sum += value))
}
function columnOf(all: readonly Plain[]): ReadingColumn | null {
  const [first] = all
  const parts = PARTS.find((count) => all.every(({ value }) => isWhole(value, count)))
  if (!first || parts === undefined) return null
  return {
    placeId: first.placeId,
    what: first.what,
    parts,
    saidMs: differences(all.map(({ saidMs }) => saidMs)),
    laterMs: differences(all.map(({ saidMs, wroteMs }) => wroteMs - saidMs)),
    behindMs: differences(all.map(({ deviceMs, wroteMs }) => wroteMs - deviceMs)),
    values: differences(all.map(({ value }) => Math.round(value * parts))),
  }
}

/** Ids that entries speak of: what they correct or take the place of, and what they follow besides. */
function spoken(events: readonly JobEvent[]): { corrected: Set<string>; all: Set<string> } {
  const corrected = new Set<string>()
  const all = new Set<string>()
  for (const { after, kind, data } of events) {
    for (const id of after) all.add(id)
    if (kind === 'correction') corrected.add(str(data.target))
    if (kind === 'reading' && data.supersedes !== undefined) corrected.add(str(data.supersedes))
  }
  for (const id of corrected) all.add(id)
  return { corrected, all }
}
function nowhereIn(events: readonly JobEvent[], ids: ReadonlySet<string>): string[] {
  if (!ids.size) return []
  const known = new Set(events.map(({ id }) => id))
  return [...ids].filter((id) => !known.has(id))
}

/**
 * Packs a log. What its columns hold counts among the readings as it did; an entry whose place among them would be in
 * doubt stands by itself.
 * @param events a log in the order of its lines, up to the line `head`.
 */
export function packLog(events: readonly JobEvent[], head: { seq: number; hash: string }): Packed {
  const { corrected, all } = spoken(events)
  let lastS = 0
  for (const { occurredAtS } of events) if (occurredAtS > lastS) lastS = occurredAtS
  const groups = new Map<string, { plain: Plain; event: JobEvent }[]>()
  for (const event of events) {
    const plain = plainReading(event, lastS - SINCE_S, all)
    if (!plain) continue
    const key = `${plain.what} ${plain.placeId}`
    const own = groups.get(key)
    if (own) own.push({ plain, event })
    else groups.set(key, [{ plain, event }])
  }
  const columns: ReadingColumn[] = []
  const packed = new Set<JobEvent>()
  let latestS = 0
  for (const own of groups.values()) {
    own.sort((one, other) => one.plain.wroteMs - other.plain.wroteMs)
    const column = columnOf(own.map(({ plain }) => plain))
    if (!column) continue
    columns.push(column)
    for (const { event } of own) {
      packed.add(event)
      if (event.occurredAtS > latestS) latestS = event.occurredAtS
    }
  }
  return {
    v: PACK_VERSION,
    ...head,
    latestS,
    columns,
    nowhere: nowhereIn(events, corrected),
    entries: packEntries(events.filter((event) => !packed.has(event))),
  }
}

/** A reading of a column, with when it was written. */
export interface Unpacked {
  wroteS: number
  reading: Reading
}
/** The readings of a column, in the order in which they count. */
const unpacked = once((column: ReadingColumn): readonly Unpacked[] => {
  const later = summed(column.laterMs)
  const behind = summed(column.behindMs)
  const values = summed(column.values)
  return summed(column.saidMs).map((saidMs, i) => {
    const wroteMs = saidMs + (later[i] as number)
    const deviceMs = wroteMs - (behind[i] as number)
    // As the fold reckons it, to the last bit.
    const atS = saidMs / 1000 + (wroteMs / 1000 - deviceMs / 1000)
    return { wroteS: wroteMs / 1000, reading: { atS, value: (values[i] as number) / column.parts } }
  })
})

/** When the readings among some entries were written, by their ids. */
function written(events: readonly JobEvent[]): ReadonlyMap<string, number> {
  return new Map(
    events.filter(({ kind }) => kind === 'reading').map(({ id, occurredAtS }) => [id, occurredAtS]),
  )
}
/**
 * Puts what stands in columns among what was folded entry by entry, each by when it was written.
 * @param state that of `events` alone; it is changed.
 */
export function putColumns(
  state: JobState,
  { columns, latestS }: Pick<Packed, 'columns' | 'latestS'>,
  events: readonly JobEvent[],
): void {
  if (latestS > state.lastAtS) state.lastAtS = latestS
  const wrote = written(events)
  const wroteS = ({ eventId }: Reading): number => wrote.get(eventId ?? '') ?? -Infinity
  for (const column of columns) {
    let readings = state.readings.get(column.placeId)
    if (!readings) state.readings.set(column.placeId, (readings = { air: [], wall: [], humidity: [] }))
    const own = readings[column.what]
    const merged: Reading[] = []
    let at = 0
    for (const { wroteS: whenS, reading } of unpacked(column)) {
      while (at < own.length && wroteS(own[at] as Reading) < whenS) merged.push(own[at++] as Reading)
      merged.push(reading)
    }
    while (at < own.length) merged.push(own[at++] as Reading)
    readings[column.what] = merged
  }
}
