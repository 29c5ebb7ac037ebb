import { GAP_S, type History, type Reading, type Span, spanAt } from './history.js'

/** Above this relative humidity (not at it) cure tables count the air as damp. */
export const HUMID_ABOVE_PCT = 60

/** From when on the air counts as damp, or no longer does. */
export interface Damp {
  fromS: number
  humid: boolean
}
/**
 * Readings of relative humidity, per cent, as stretches of damp and dry air. Between two readings the damper end
 * counts, after the last the damper of the last two. What nobody read counts as damp: the time before the first
 * reading and, for signing off, any two readings that lie more than two hours apart.
 */
export function dampOf(readings: readonly Reading[], planning: boolean): Damp[] {
  const sorted = [...readings].sort((a, b) => a.atS - b.atS)
  const out: Damp[] = [{ fromS: -Infinity, humid: true }]
  const say = (fromS: number, humid: boolean): void => {
    const last = out.at(-1) as Damp
    if (last.fromS === fromS) last.humid ||= humid
    else if (last.humid !== humid) out.push({ fromS, humid })
  }
  sorted.forEach((reading, i) => {
    const next = sorted[i + 1]
    if (!next) return say(reading.atS, reading.value > HUMID_ABOVE_PCT)
    const unread = !planning && next.atS - reading.atS > GAP_S
    say(reading.atS, unread || Math.max(reading.value, next.value) > HUMID_ABOVE_PCT)
  })
  const last = sorted.at(-1)
  const before = sorted.at(-2) ?? last
  if (last && before) say(last.atS + GAP_S, Math.max(last.value, before.value) > HUMID_ABOVE_PCT)
  return out
}

/** A history of temperatures with the damp and the dry of the same time in it. Both begin at -Infinity. */
export function withDamp(history: History, damp: readonly Damp[]): History {
  const froms = [...new Set([...history, ...damp].map((x) => x.fromS))].sort((a, b) => a - b)
  let doubled = 0
  return froms.map((fromS) => {
    while (doubled + 1 < damp.length && (damp[doubled + 1] as Damp).fromS <= fromS) doubled++
    const span = history[spanAt(history, fromS)] as Span
    return { ...span, fromS, humid: damp[doubled]?.humid ?? true }
  })
}
