import type { Held } from '../log/held.js'
import type { Item } from '../log/state.js'
import { type Msg, msg } from '../sources/source.js'

/** Holds nearer to one another on a pipe are one, mm. */
const SAME_MM = 1

/** A part with one more hold, in the place of one that is there already; or why it cannot be held so. */
export function withHeld(item: Item, held: Held): Item | { ok: false; why: Msg } {
  const { as, atMm } = held
  if (item.type === 'fitting') {
    if (as === 'guide' || atMm !== undefined)
      return { ok: false, why: msg('held-not-so', { part: item.tag }) }
    return { ...item, held: [held] }
  }
  if (atMm === undefined) return { ok: false, why: msg('held-how-far', { part: item.tag, as }) }
  const others = (item.held ?? []).filter((one) => Math.abs((one.atMm ?? 0) - atMm) >= SAME_MM)
  return { ...item, held: [...others, held].sort((a, b) => (a.atMm ?? 0) - (b.atMm ?? 0)) }
}
/** A part without one of its holds. */
export function withoutHeld(item: Item, held: Held): Item {
  const { held: all = [], ...rest } = item
  const left = all.filter((one) => one !== held)
  return left.length ? { ...rest, held: left } : rest
}
