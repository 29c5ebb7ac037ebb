import {
  type CleanReadings,
  GAP_S,
  type History,
  cleanReadings,
  historyOf,
  type Reading,
  withForecast,
} from '../conditions/history.js'
import { dampOf, withDamp } from '../conditions/humidity.js'
import { greatest } from '../units/extent.js'
import type { JobState, JointState } from '../log/state.js'
import { lastHolding } from '../units/search.js'

const histories = new WeakMap<readonly Reading[], { length: number; history: History }>()
/** History of a list of readings, worked out once while the list stays as it is. */
function historyFrom(readings: readonly Reading[]): History {
  const had = histories.get(readings)
  if (had && had.length === readings.length) return had.history
  const history = historyOf(readings)
  histories.set(readings, { length: readings.length, history })
  return history
}
const NOTHING: readonly Reading[] = []

const damped = new WeakMap<History, { readings: readonly Reading[]; length: number; history: History }[]>()
/** The same history with the damp and dry of its place in it: worked out once while neither changes. */
function withHumidity(history: History, readings: readonly Reading[], planning: boolean): History {
  const kept = damped.get(history) ?? []
  damped.set(history, kept)
  const at = planning ? 1 : 0
  const had = kept[at]
  if (had && had.readings === readings && had.length === readings.length) return had.history
  const out = withDamp(history, dampOf(readings, planning))
  kept[at] = { readings, length: readings.length, history: out }
  return out
}

const planned = new WeakMap<
  readonly Reading[],
  { length: number; ahead: readonly Reading[]; history: History }
>()

/**
 * What cures the joints of a place: the temperatures of the wall, or of the air where nobody read the wall, and whether
 * the air is damp.
 */
export function wallHistory(state: JobState, placeId: string, planning = false): History {
  const readings = state.readings.get(placeId)
  return withHumidity(temperatures(state, placeId, planning), readings?.humidity ?? NOTHING, planning)
}
function temperatures(state: JobState, placeId: string, planning: boolean): History {
  const read = state.readings.get(placeId)
  const readings = read?.wall.length ? read.wall : (read?.air ?? NOTHING)
  const forecast = planning ? state.forecasts.get(placeId) : undefined
  const ahead = forecast?.wall.length ? forecast.wall : forecast?.air
  if (!ahead?.length) return historyFrom(readings)
  const had = planned.get(readings)
  if (had && had.length === readings.length && had.ahead === ahead) return had.history
  const history = withForecast(readings, ahead)
  planned.set(readings, { length: readings.length, ahead, history })
  return history
}

/**
 * The same, and after its last reading what is expected: for planning only. @param ahead in °C, ascending.
 */
export function wallExpected(state: JobState, placeId: string, ahead: readonly Reading[]): History {
  const read = state.readings.get(placeId)
  const readings = read?.wall.length ? read.wall : (read?.air ?? NOTHING)
  return withHumidity(withForecast(readings, ahead), read?.humidity ?? NOTHING, true)
}

const cleanOnes = new WeakMap<readonly Reading[], { length: number; clean: CleanReadings }>()
/** Readings without what is set aside: sorted out once while the list stays as it is. */
function cleaned(readings: readonly Reading[]): CleanReadings {
  const had = cleanOnes.get(readings)
  if (had && had.length === readings.length) return had.clean
  const clean = cleanReadings(readings)
  cleanOnes.set(readings, { length: readings.length, clean })
  return clean
}

/** What is wrong with what is known of a place: shown, never silently mended. */
export interface PlaceHealth {
  lastAtS: number | null
  /** Times without a reading for over two hours; the last may still be open. */
  gaps: { fromS: number; toS: number }[]
  /** Jumps of more than 15 K in 5 min: set aside until a person says which is right. */
  jumps: Reading[]
  /** Dips that one reading alone saw: shown, not counted. */
  blips: Reading[]
  forecastToS: number | null
}
/** @param sinceS from when on gaps are looked for, epoch seconds. */
export function placeHealth(state: JobState, placeId: string, sinceS: number, nowS: number): PlaceHealth {
  const read = state.readings.get(placeId)
  const readings = read?.wall.length ? read.wall : (read?.air ?? NOTHING)
  const { kept, jumps, blips } = cleaned(readings)
  const times = [...kept.map((r) => r.atS).filter((t) => t <= nowS), nowS]
  const gaps = times.slice(1).flatMap((toS, i) => {
    const fromS = times[i] as number
    return toS - fromS > GAP_S && toS > sinceS ? [{ fromS, toS }] : []
  })
  const forecast = state.forecasts.get(placeId)
  const ahead = [...(forecast?.wall ?? []), ...(forecast?.air ?? [])].map((r) => r.atS)
  return {
    lastAtS: kept.at(-1)?.atS ?? null,
    gaps,
    jumps,
    blips,
    forecastToS: ahead.length ? greatest(ahead) : null,
  }
}

/** History along a joint's places: it may have been moved from one to another. */
export function jointHistory(
  state: JobState,
  joint: JointState,
  linePlaceId: string,
  planning = false,
): History {
  if (!joint.placements.length) return wallHistory(state, linePlaceId, planning)
  const moves = [...joint.placements].sort((a, b) => a.fromS - b.fromS)
  const all = [{ fromS: -Infinity, placeId: linePlaceId }, ...moves]
  const stays = all.filter((stay, i) => i === 0 || stay.placeId !== all[i - 1]?.placeId)
  if (stays.length === 1) return wallHistory(state, linePlaceId, planning)
  return stays.flatMap((stay, i) => {
    const untilS = stays[i + 1]?.fromS ?? Infinity
    const history = wallHistory(state, stay.placeId, planning)
    return history
      .map((s, k) => ({ s, untilS: history[k + 1]?.fromS ?? Infinity }))
      .filter((x) => x.untilS > stay.fromS && x.s.fromS < untilS)
      .map((x) => ({ ...x.s, fromS: Math.max(x.s.fromS, stay.fromS) }))
  })
}

const sortedReadings = new WeakMap<readonly Reading[], { length: number; sorted: Reading[] }>()
function inTime(readings: readonly Reading[]): readonly Reading[] {
  const had = sortedReadings.get(readings)
  if (had && had.length === readings.length) return had.sorted
  const sorted = [...readings].sort((a, b) => a.atS - b.atS)
  sortedReadings.set(readings, { length: readings.length, sorted })
  return sorted
}

/** The last reading at or before a time, if it is not older than two hours; null otherwise. */
export function readAt(readings: readonly Reading[], atS: number, maxAgeS = GAP_S): number | null {
  const sorted = inTime(readings)
  const best = sorted[lastHolding(-1, sorted.length - 1, (i) => (sorted[i] as Reading).atS <= atS)]
  return best && atS - best.atS <= maxAgeS ? best.value : null
}

/** Air, wall and humidity at a place and time, as far as they are known. */
export function conditionsAt(
  state: JobState,
  placeId: string,
  atS: number,
  maxAgeS = GAP_S,
): { airC: number | null; wallC: number | null; humidityPct: number | null } {
  const readings = state.readings.get(placeId)
  if (!readings) return { airC: null, wallC: null, humidityPct: null }
  return {
    airC: readAt(readings.air, atS, maxAgeS),
    wallC: readAt(readings.wall, atS, maxAgeS),
    humidityPct: readAt(readings.humidity, atS, maxAgeS),
  }
}
