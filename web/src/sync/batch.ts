import type { Waits } from './machine'
import { type Heard, type Moment, type Placed, apartS, placed } from './placing'

/** What this device knows of the time. */
export interface ClockFacts {
  /** The last time the server was heard. */
  heard: Heard | null
  /** The server's clock less this device's, s. */
  offsetS: number
  roundTripS: number
  /** The life of the steady clock now: what was made in another one is earlier than what is heard in this one. */
  life: string
}

/** What is sent at once: the server takes 1 MB at most, and so many entries. */
const SEND = { entries: 500, bytes: 700_000 }
/** Entries whose times are off by no more than this apart go out together, s. */
const SAME_S = 1
/** The clocks have parted by more than this only where one was set, or slept, s. */
const PARTED_S = 2

/** Was the server heard since something was made? */
function heardSince({ heard, life }: ClockFacts, made: Moment): boolean {
  if (!heard) return false
  if (heard.life === made.life) return heard.steadyS > made.steadyS
  return heard.life === life || (made.life !== life && heard.wallS > made.wallS)
}

/** When an entry was made, by all that is known now. Entries kept before times were stamped go by the wall clock. */
export function placeOf({ draft, made }: Waits, clock: ClockFacts): Placed {
  if (!made) return { atS: draft.atDeviceS + clock.offsetS, errorS: clock.roundTripS }
  const since = heardSince(clock, made.at) ? clock.heard : null
  return placed(made.at, made.before, since)
}
/** By how much a request's own time is shifted, so that the server puts these entries where they were made, s. */
export const shiftOf = (waits: Waits, clock: ClockFacts): number =>
  waits.made ? placeOf(waits, clock).atS - waits.made.at.wallS - clock.offsetS : 0

/** Has a clock parted since the server was last heard before any of these, and was it not heard since? */
export const mustHearFirst = (waits: readonly Waits[], clock: ClockFacts): boolean =>
  firstOf(waits).some(({ made }) => {
    if (!made) return false
    const apart = made.before && apartS(made.before, made.at)
    const parted = apart === null || Math.abs(apart) > PARTED_S
    return parted && !heardSince(clock, made.at)
  })

/** The first of what waits that goes into one request by its size. */
export function firstOf<T extends Pick<Waits, 'draft'>>(waits: readonly T[]): T[] {
  let bytes = 0
  const out: T[] = []
  for (const entry of waits.slice(0, SEND.entries)) {
    bytes += JSON.stringify(entry.draft).length
    if (out.length && bytes > SEND.bytes) break
    out.push(entry)
  }
  return out
}
/** What goes out together: the first of what waits that were made under one setting of the clock and are as sure. */
export function batchOf(waits: readonly Waits[], clock: ClockFacts): Waits[] {
  const all = firstOf(waits)
  const first = all[0]
  if (!first) return []
  const [shift, error] = [shiftOf(first, clock), placeOf(first, clock).errorS]
  const differs = all.findIndex(
    (waits) =>
      Math.abs(shiftOf(waits, clock) - shift) > SAME_S ||
      Math.abs(placeOf(waits, clock).errorS - error) > SAME_S,
  )
  return all.slice(0, differs < 0 ? undefined : differs)
}
