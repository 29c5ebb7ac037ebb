import { GAP_S, type History, historyOf, type Reading } from '../conditions/history.js'
import type { JobState, JointState } from './state.js'

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

/** Temperatures that cure the joints of a place: the wall's, or the air's where nobody read the wall. */
export function wallHistory(state: JobState, placeId: string): History {
  const p = state.readings.get(placeId)
  return historyFrom(p?.wall.length ? p.wall : (p?.air ?? NOTHING))
}

/** History along a joint's places: it may have been moved from one to another. */
export function jointHistory(state: JobState, joint: JointState, linePlaceId: string): History {
  if (!joint.placements.length) return wallHistory(state, linePlaceId)
  const moves = [...joint.placements].sort((a, b) => a.fromS - b.fromS)
  const all = [{ fromS: -Infinity, placeId: linePlaceId }, ...moves]
  const stays = all.filter((stay, i) => i === 0 || stay.placeId !== all[i - 1]?.placeId)
  if (stays.length === 1) return wallHistory(state, linePlaceId)
  return stays.flatMap((stay, i) => {
    const untilS = stays[i + 1]?.fromS ?? Infinity
    const history = wallHistory(state, stay.placeId)
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
  let low = -1
  let high = sorted.length - 1
  while (low < high) {
    const mid = (low + high + 1) >> 1
    if ((sorted[mid] as Reading).atS <= atS) low = mid
    else high = mid - 1
  }
  const best = sorted[low]
  return best && atS - best.atS <= maxAgeS ? best.value : null
}

/** Air, wall and humidity at a place and time, as far as they are known. */
export function conditionsAt(
  state: JobState,
  placeId: string,
  atS: number,
  maxAgeS = GAP_S,
): { airC: number | null; wallC: number | null; humidityPct: number | null } {
  const p = state.readings.get(placeId)
  if (!p) return { airC: null, wallC: null, humidityPct: null }
  return {
    airC: readAt(p.air, atS, maxAgeS),
    wallC: readAt(p.wall, atS, maxAgeS),
    humidityPct: readAt(p.humidity, atS, maxAgeS),
  }
}
