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
import type { JobState, JointState, PlaceReadings } from '../log/state.js'
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

/** What was read at a place, and what is expected there: the same object while neither changes. */
export interface PlaceWeather {
  readonly readings: PlaceReadings | null
  readonly forecast: { readonly air: readonly Reading[]; readonly wall: readonly Reading[] } | null
}
type Weather = Pick<JobState, 'readings' | 'forecasts'>
const UNREAD = {}
const weathers = new WeakMap<object, PlaceWeather>()
/** The weather of a place. */
export function weatherAt(state: Weather, placeId: string): PlaceWeather {
  const readings = state.readings.get(placeId) ?? null
  const forecast = state.forecasts.get(placeId) ?? null
  const key = readings ?? forecast ?? UNREAD
  const had = weathers.get(key)
  if (had && had.readings === readings && had.forecast === forecast) return had
  const weather = { readings, forecast }
  weathers.set(key, weather)
  return weather
}

/**
 * What cures the joints of a place: the temperatures of the wall, or of the air where nobody read the wall, and whether
 * the air is damp.
 */
export const wallHistory = (state: Weather, placeId: string, planning = false): History =>
  wallOf(weatherAt(state, placeId), planning)
/** The same of its weather. */
export const wallOf = (weather: PlaceWeather, planning: boolean): History =>
  withHumidity(temperatures(weather, planning), weather.readings?.humidity ?? NOTHING, planning)

function temperatures({ readings: read, forecast: expected }: PlaceWeather, planning: boolean): History {
  const readings = read?.wall.length ? read.wall : (read?.air ?? NOTHING)
  const forecast = planning ? expected : null
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
export function wallExpected(state: Weather, placeId: string, ahead: readonly Reading[]): History {
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
export function placeHealth(state: Weather, placeId: string, sinceS: number, nowS: number): PlaceHealth {
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

/** Places that a joint was moved to after the one of its line, in order of time, each only where it is another. */
function staysOf(joint: JointState, linePlaceId: string): readonly { fromS: number; placeId: string }[] {
  const moves = [...joint.placements].sort((a, b) => a.fromS - b.fromS)
  const all = [{ fromS: -Infinity, placeId: linePlaceId }, ...moves]
  return all.filter((stay, i) => i > 0 && stay.placeId !== all[i - 1]?.placeId)
}
/** The weather of a joint: that of its line's place, and of each it was moved to since, epoch s. */
export interface JointWeather {
  readonly line: PlaceWeather
  readonly moved: readonly PlaceWeather[]
  readonly movedAtS: readonly number[]
}
const NOT_MOVED = { moved: [], movedAtS: [] } as const
/** It may have been moved from one place to another. */
export function jointWeather(state: Weather, joint: JointState, linePlaceId: string): JointWeather {
  const line = weatherAt(state, linePlaceId)
  if (!joint.placements.length) return { line, ...NOT_MOVED }
  const stays = staysOf(joint, linePlaceId)
  return {
    line,
    moved: stays.map(({ placeId }) => weatherAt(state, placeId)),
    movedAtS: stays.map(({ fromS }) => fromS),
  }
}
/** History along a joint's places. */
export function jointHistory({ line, moved, movedAtS }: JointWeather, planning = false): History {
  if (!moved.length) return wallOf(line, planning)
  return [line, ...moved].flatMap((weather, i) => {
    const fromS = movedAtS[i - 1] ?? -Infinity
    const untilS = movedAtS[i] ?? Infinity
    const history = wallOf(weather, planning)
    return history
      .map((s, k) => ({ s, untilS: history[k + 1]?.fromS ?? Infinity }))
      .filter((x) => x.untilS > fromS && x.s.fromS < untilS)
      .map((x) => ({ ...x.s, fromS: Math.max(x.s.fromS, fromS) }))
  })
}

const inOrder = (readings: readonly Reading[]): boolean => {
  for (let i = 1; i < readings.length; i++)
    if ((readings[i - 1] as Reading).atS > (readings[i] as Reading).atS) return false
  return true
}
const sortedReadings = new WeakMap<readonly Reading[], { length: number; sorted: readonly Reading[] }>()
/** Readings in the order of their times, as they mostly come. */
function inTime(readings: readonly Reading[]): readonly Reading[] {
  const had = sortedReadings.get(readings)
  if (had && had.length === readings.length) return had.sorted
  const sorted = inOrder(readings) ? readings : [...readings].sort((a, b) => a.atS - b.atS)
  sortedReadings.set(readings, { length: readings.length, sorted })
  return sorted
}
/** When the last of them was taken, epoch s; null: there is none. */
export const lastTakenS = (readings: readonly Reading[]): number | null =>
  inTime(readings).at(-1)?.atS ?? null

/** The last reading at or before a time, if it is not older than two hours; null otherwise. */
export function readAt(readings: readonly Reading[], atS: number, maxAgeS = GAP_S): number | null {
  const sorted = inTime(readings)
  const best = sorted[lastHolding(-1, sorted.length - 1, (i) => (sorted[i] as Reading).atS <= atS)]
  return best && atS - best.atS <= maxAgeS ? best.value : null
}

/** Air, wall and humidity, as far as they are known. */
export interface Conditions {
  airC: number | null
  wallC: number | null
  humidityPct: number | null
}
/** Air, wall and humidity at a place and time, as far as they are known. */
export const conditionsAt = (
  state: Pick<JobState, 'readings'>,
  placeId: string,
  atS: number,
  maxAgeS = GAP_S,
): Conditions => conditionsIn(state.readings.get(placeId) ?? null, atS, maxAgeS)
/** The same of the readings of a place. */
export function conditionsIn(readings: PlaceReadings | null, atS: number, maxAgeS = GAP_S): Conditions {
  if (!readings) return { airC: null, wallC: null, humidityPct: null }
  return {
    airC: readAt(readings.air, atS, maxAgeS),
    wallC: readAt(readings.wall, atS, maxAgeS),
    humidityPct: readAt(readings.humidity, atS, maxAgeS),
  }
}
const latest = new WeakMap<PlaceWeather, { atS: number; conditions: Conditions }>()
/** The conditions of a place at a time: the same object while they are the same. */
export function conditionsNow(weather: PlaceWeather, atS: number): Conditions {
  const had = latest.get(weather)
  if (had?.atS === atS) return had.conditions
  const now = conditionsIn(weather.readings, atS)
  const same =
    had?.conditions.airC === now.airC &&
    had.conditions.wallC === now.wallC &&
    had.conditions.humidityPct === now.humidityPct
  const conditions = same ? had.conditions : now
  latest.set(weather, { atS, conditions })
  return conditions
}
