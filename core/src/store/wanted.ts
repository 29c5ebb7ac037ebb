import { jointFacts } from '../joint/assess.js'
import { jointPlaces } from '../joint/lookup.js'
import type { JobState, StoreItem } from '../log/state.js'
import type { Need } from '../methods/method.js'
import { once } from '../units/memo.js'
import { fitsNeed } from './fits.js'
import { mayBeUsed, standingOf } from '../joint/standing.js'

/** What joints that are not made yet need of one kind of thing, against what there is. */
export interface Wanted {
  need: Need
  /** Tags of the joints, in the order of the line. */
  joints: readonly string[]
  /** How much they need together; null where nobody has a figure for one of them. A tool: one. */
  qty: number | null
  /** What that is in. Of a tool its need may say a measure, which is none to be added up. */
  unit: Need['unit']
  /** Things of the store that fit and may be used. */
  there: readonly StoreItem[]
  /** How much there is, in the need's unit: null where it is not known of one of them. */
  thereQty: number | null
  /** Nothing that fits is there, or less than is needed. */
  short: boolean
}
const nameOf = ({ item, matches }: Need): string => JSON.stringify([item, Object.entries(matches).sort()])

/** How much of a need is there: counted things by their amount, a tool by being there. */
function amountOf(need: Need, there: readonly StoreItem[]): number | null {
  if (need.lasts) return there.length
  const own = there.map(({ amount }) => (amount?.unit === need.unit ? amount.value : null))
  return own.every((value): value is number => value !== null) ? own.reduce((a, b) => a + b, 0) : null
}

/** What joints not yet home need, each need once: by the lines and what was done, whatever the time. */
const neededOf = once((state: JobState): readonly Pick<Wanted, 'need' | 'joints' | 'qty' | 'unit'>[] => {
  const all = new Map<string, { need: Need; joints: string[]; qty: number | null; unit: Need['unit'] }>()
  for (const id of jointPlaces(state).keys()) {
    const facts = jointFacts(state, id, 'coldest', state.lastAtS)
    if (!facts?.method || facts.spec === null || facts.homeAtS !== null) continue
    for (const need of facts.method.consumables(facts.spec)) {
      const name = nameOf(need)
      const row = all.get(name) ?? { need, joints: [], qty: 0, unit: need.lasts ? 'count' : need.unit }
      row.joints.push(facts.tag)
      row.qty = need.lasts ? 1 : row.qty === null || need.qty.value === null ? null : row.qty + need.qty.value
      all.set(name, row)
    }
  }
  return [...all.values()]
})

/**
 * Everything that joints not yet home need, against the store: what is short first, then as it comes in the lines.
 * @param nowS epoch s: by which day things are good.
 */
export function wantedOf(state: JobState, nowS: number): readonly Wanted[] {
  const usable = [...state.store.values()].filter((item) => mayBeUsed(standingOf(state, item, nowS).standing))
  const rows = neededOf(state).map((row): Wanted => {
    const there = usable.filter((item) => fitsNeed(item, row.need))
    const thereQty = amountOf(row.need, there)
    return {
      ...row,
      there,
      thereQty,
      short: !there.length || (row.qty !== null && thereQty !== null && thereQty < row.qty),
    }
  })
  return [...rows.filter(({ short }) => short), ...rows.filter(({ short }) => !short)]
}
