import type { JointFacts } from '../../joint/assess.js'
import { wallExpected } from '../../joint/climate.js'
import { piecesOf } from '../../joint/pressure-curve.js'
import type { Reading } from '../../conditions/history.js'
import type { History } from '../../conditions/history.js'
import type { JobState } from '../../log/state.js'

const HOUR_S = 3600
const DAY_S = 24 * HOUR_S
const DAYS_AHEAD = 24

/** How what is expected at a place is known: foretold, the last day again, or nothing at all. */
export type Expected = 'forecast' | 'last-day' | 'nothing'

/** The value that holds at a time. */
const valueAt = (readings: readonly Reading[], atS: number): number | null =>
  readings.findLast((one) => one.atS <= atS)?.value ?? readings[0]?.value ?? null

/** The last day of some readings, again and again, hour by hour. */
function again(readings: readonly Reading[], fromS: number, untilS: number): Reading[] {
  const lastS = readings.at(-1)?.atS
  if (lastS === undefined) return []
  const out: Reading[] = []
  for (let atS = fromS; atS <= untilS; atS += HOUR_S) {
    // As it was so many whole days before, in the last day that was read.
    const value = valueAt(readings, atS - Math.ceil((atS - lastS) / DAY_S) * DAY_S)
    if (value !== null) out.push({ atS, value })
  }
  return out
}

/**
 * Wall temperatures that are expected at a place, from the last reading on: the forecast, and after it its last day
 * again; without a forecast the last day that was read again. @param colderK all of it colder by so much.
 */
export function expectedAt(
  state: JobState,
  placeId: string,
  nowS: number,
  colderK = 0,
): { ahead: Reading[]; how: Expected } {
  const read = state.readings.get(placeId)
  const own = [...(read?.wall.length ? read.wall : (read?.air ?? []))].sort(
    (one, other) => one.atS - other.atS,
  )
  const lastS = own.at(-1)?.atS
  if (lastS === undefined) return { ahead: [], how: 'nothing' }
  const foretold = state.forecasts.get(placeId)
  const forecast = [...(foretold?.wall.length ? foretold.wall : (foretold?.air ?? []))]
    .sort((one, other) => one.atS - other.atS)
    .filter(({ atS }) => atS > lastS)
  const from = forecast.length ? forecast : own
  const fromS = Math.max(nowS, (from.at(-1)?.atS ?? nowS) + (forecast.length ? HOUR_S : 1))
  const ahead = [...forecast, ...again(from, fromS, nowS + DAYS_AHEAD * DAY_S)]
  return {
    ahead: ahead.map(({ atS, value }) => ({ atS, value: value - colderK })),
    how: forecast.length ? 'forecast' : 'last-day',
  }
}

/** Facts of all joints under what is expected, and how that is known, by place. */
export function expectedFacts(
  state: JobState,
  facts: ReadonlyMap<string, JointFacts>,
  nowS: number,
  colderK = 0,
): { facts: Map<string, JointFacts>; how: Map<string, Expected> } {
  const walls = new Map<string, History>()
  const how = new Map<string, Expected>()
  const wallOf = (placeId: string): History => {
    const had = walls.get(placeId)
    if (had) return had
    const expected = expectedAt(state, placeId, nowS, colderK)
    how.set(placeId, expected.how)
    const wall = wallExpected(state, placeId, expected.ahead)
    walls.set(placeId, wall)
    return wall
  }
  const out = new Map<string, JointFacts>()
  for (const [id, one] of facts) {
    // A joint that was carried from place to place keeps the history that it went through.
    const moved = (state.joints.get(id)?.placements.length ?? 0) > 0
    const ctx = moved ? one.ctx : { ...one.ctx, wall: wallOf(one.place.line.placeId) }
    const { method, spec, life, homeAtS } = one
    const made = method && spec !== null && life && homeAtS !== null && one.pieces.length > 0
    out.set(id, {
      ...one,
      ctx,
      ...(made ? { pieces: piecesOf(method.pressure(spec, life, ctx), homeAtS) } : {}),
    })
  }
  return { facts: out, how }
}
