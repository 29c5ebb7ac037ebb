/**
 * When an entry was made, by the server's clock. A device has two clocks: its wall clock, which people and networks put
 * forward and back, and a steady one, which only ever goes on, but may stand still while the device sleeps or the page is
 * closed. Between two moments the true time that passed is at least what the steady clock says.
 */
export interface Moment {
  wallS: number
  steadyS: number
  /** Names one life of the steady clock: moments of two lives can't be compared by it. */
  life: string
}
/** A moment at which the server told its time. */
export interface Heard extends Moment {
  serverS: number
  /** The way there and back. */
  roundTripS: number
}
export interface Placed {
  atS: number
  /** The true time lies within so much of it. */
  errorS: number
}

/** The two clocks may differ by so much over a stretch and count as together: timers are late, pages are loaded anew. */
const TOGETHER_S = 5

/** By how much the wall clock went on more than the steady one; null where they can't be compared. */
export const apartS = (from: Moment, to: Moment): number | null =>
  from.life === to.life ? to.wallS - from.wallS - (to.steadyS - from.steadyS) : null
const offset = (h: Heard): number => h.serverS - h.wallS

/**
 * @param made when it was written. @param before the last time the server was heard before that, null = never.
 * @param after the first time it was heard since, null = not yet.
 */
export function placed(made: Moment, before: Heard | null, after: Heard | null): Placed {
  const apartBefore = before && apartS(before, made)
  const apartAfter = after && apartS(made, after)
  const by = (heard: Heard, apart: number): Placed => ({
    atS: made.wallS + offset(heard),
    errorS: heard.roundTripS + Math.abs(apart),
  })
  // The wall clock ran true since it was last set right, or until it was: that says it.
  if (before && apartBefore !== null && Math.abs(apartBefore) <= TOGETHER_S) return by(before, apartBefore)
  if (after && apartAfter !== null && Math.abs(apartAfter) <= TOGETHER_S) return by(after, apartAfter)
  // Both stretches have a gap. Set alike before and after, and never behind: it slept.
  const slept = before && after && Math.abs(offset(before) - offset(after)) <= TOGETHER_S
  if (slept && (apartBefore ?? -1) > 0 && (apartAfter ?? -1) > 0) return by(after, TOGETHER_S)
  // It was put forward or back, and nobody knows when: the truth lies between what the steady clock leaves open.
  const low = before ? before.serverS + (apartBefore === null ? 0 : made.steadyS - before.steadyS) : null
  const high = after ? after.serverS - (apartAfter === null ? 0 : after.steadyS - made.steadyS) : null
  if (low !== null && high !== null)
    return {
      atS: (low + high) / 2,
      errorS: Math.abs(high - low) / 2 + (after?.roundTripS ?? 0) + (before?.roundTripS ?? 0),
    }
  if (high !== null && after) {
    const guess = Math.min(high, made.wallS + offset(after))
    return { atS: guess, errorS: Math.max(high - guess, Math.abs(apartAfter ?? 0)) + after.roundTripS }
  }
  // Not heard since: shown by what is known, and placed anew before it is sent.
  return before
    ? { atS: made.wallS + offset(before), errorS: before.roundTripS + Math.abs(apartBefore ?? 0) }
    : { atS: made.wallS, errorS: 0 }
}
