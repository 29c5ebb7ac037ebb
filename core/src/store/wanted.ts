import type { JobState, StoreItem } from '../log/state.js'
import type { Need } from '../methods/method.js'
import { fitsNeed } from './fits.js'
import { amountLeft } from './left.js'
import { type Needed, neededOf } from './needed.js'
import { mayBeUsed, standingOf } from '../joint/standing.js'

/** What joints that are not made yet need of one kind of thing, against what there is. */
export interface Wanted extends Needed {
  /** Things of the store that fit and may be used. */
  there: readonly StoreItem[]
  /** How much there is, in the need's unit: null where it is not known of one of them. */
  thereQty: number | null
  /** Nothing that fits is there, or less than is needed. */
  short: boolean
}
/** How much of a need is there: what is used up by what is left of it, a tool by being there. */
function amountOf(state: JobState, need: Need, there: readonly StoreItem[]): number | null {
  if (need.lasts) return there.length
  const own = there.map((item) => (item.amount?.unit === need.unit ? amountLeft(state, item) : null))
  return own.every((value): value is number => value !== null) ? own.reduce((a, b) => a + b, 0) : null
}

/**
 * Everything that joints not yet home need, against the store: what is short first, then as it comes in the lines.
 * @param nowS epoch s: by which day things are good.
 */
export function wantedOf(state: JobState, nowS: number): readonly Wanted[] {
  const usable = [...state.store.values()].filter((item) => mayBeUsed(standingOf(state, item, nowS).standing))
  const rows = neededOf(state).map((row): Wanted => {
    const there = usable.filter((item) => fitsNeed(item, row.need))
    const thereQty = amountOf(state, row.need, there)
    return {
      ...row,
      there,
      thereQty,
      short: !there.length || (row.qty !== null && thereQty !== null && thereQty < row.qty),
    }
  })
  return [...rows.filter(({ short }) => short), ...rows.filter(({ short }) => !short)]
}
