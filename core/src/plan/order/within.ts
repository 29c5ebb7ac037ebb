import type { ShiftSpan } from './question.js'

/** What a joint may be worked on in, one after another; null: at any time. */
type Within = readonly ShiftSpan[] | null

/** Earliest start at or after `fromS` from which so much work lies in one of the spans; Infinity: none. */
export function withinFrom(within: Within, fromS: number, workS: number): number {
  if (!within) return fromS
  for (const span of within) {
    const startS = Math.max(span.fromS, fromS)
    if (startS + workS <= span.untilS) return startS
  }
  return Infinity
}
/** Latest start at or before `untilS` from which it does; -Infinity: none. */
export function withinUntil(within: Within, untilS: number, workS: number): number {
  if (!within) return untilS
  for (let i = within.length - 1; i >= 0; i--) {
    const span = within[i] as ShiftSpan
    const startS = Math.min(span.untilS - workS, untilS)
    if (startS >= span.fromS) return startS
  }
  return -Infinity
}
