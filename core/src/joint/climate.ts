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
  const stays = [{ fromS: -Infinity, placeId: linePlaceId }, ...moves]
  return stays.flatMap((stay, i) => {
    const untilS = stays[i + 1]?.fromS ?? Infinity
    const history = wallHistory(state, stay.placeId)
    return history
      .map((s, k) => ({ s, untilS: history[k + 1]?.fromS ?? Infinity }))
      .filter((x) => x.untilS > stay.fromS && x.s.fromS < untilS)
      .map((x) => ({ ...x.s, fromS: Math.max(x.s.fromS, stay.fromS) }))
  })
}

/** The last reading at or before a time, if it is not older than two hours; null otherwise. */
export function readAt(readings: readonly Reading[], atS: number, maxAgeS = GAP_S): number | null {
  let best: Reading | null = null
  for (const r of readings) if (r.atS <= atS && (!best || r.atS >= best.atS)) best = r
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
