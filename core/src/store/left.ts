import { jointFacts } from '../joint/assess.js'
import { type Use, usesOf } from '../joint/uses.js'
import type { JobState, StoreItem } from '../log/state.js'
import type { SourceId } from '../sources/source.js'
import { once } from '../units/memo.js'
import { fitsNeed } from './fits.js'
import { neededOf } from './needed.js'

/** What is left of a lot whose amount was said, by what the joints made with it since take. */
export interface Left {
  /** In the unit its amount was said in: litres, mm, kg or a count. Never below none. */
  value: number
  /** Joints made with it since its amount was said. */
  joints: number
  /** Of those, joints nobody has a figure for: there is less than is said by what they took. */
  uncounted: number
  /** Joints not made yet that it fits, by size: how many of that size alone it still makes. */
  makes: readonly { size: string; joints: number }[]
  /** Where the amount that a joint takes comes from; null where none was counted. */
  source: SourceId | null
}
interface Taken {
  value: number
  joints: number
  uncounted: number
  source: SourceId | null
}

/** What one joint takes of a thing, in the unit of its amount; null where nobody has a figure. */
function takes(state: JobState, item: StoreItem, use: Use): { value: number; source: SourceId } | null {
  const facts = jointFacts(state, use.jointId, 'coldest', state.lastAtS)
  if (!facts?.method || facts.spec === null) return null
  const need = facts.method.consumables(facts.spec).find((one) => fitsNeed(item, one))
  return need && need.unit === item.amount?.unit && need.qty.value !== null ? need.qty : null
}
/** What each lot with an amount has given since it was said: a joint cut out again has taken its share all the same. */
const takenOf = once((state: JobState): ReadonlyMap<string, Taken> => {
  const all = new Map<string, Taken>()
  for (const item of state.store.values()) {
    const { amount } = item
    if (!amount || !item.lot) continue
    const sum: Taken = { value: 0, joints: 0, uncounted: 0, source: null }
    for (const use of usesOf(state).get(item.id) ?? []) {
      if (use.toS < amount.atS) continue
      const own = takes(state, item, use)
      sum.joints++
      if (!own) sum.uncounted++
      else {
        sum.value += own.value
        sum.source = own.source
      }
    }
    all.set(item.id, sum)
  }
  return all
})

/** How much is left of a lot, in its own unit; null of a tool, and where no amount was said. */
export function amountLeft(state: JobState, item: StoreItem): number | null {
  if (!item.amount || !item.lot) return null
  if (item.states.at(-1)?.state === 'empty') return 0
  return Math.max(0, item.amount.value - (takenOf(state).get(item.id)?.value ?? 0))
}

/**
 * What is left of a lot, and how many joints of each size that is still to be made it makes. Estimates by what handbooks
 * print: their source goes with them. Null of a tool, and where no amount was said.
 */
export function leftOf(state: JobState, item: StoreItem): Left | null {
  const value = amountLeft(state, item)
  if (value === null || !item.amount) return null
  const taken = takenOf(state).get(item.id)
  const sizes = new Map<string, { one: number; source: SourceId }>()
  for (const { need, sizes: own } of neededOf(state))
    if (fitsNeed(item, need) && need.unit === item.amount.unit)
      for (const [size, fig] of own)
        if (fig.value !== null) sizes.set(size, { one: fig.value, source: fig.source })
  return {
    value,
    joints: taken?.joints ?? 0,
    uncounted: taken?.uncounted ?? 0,
    makes: [...sizes].map(([size, { one }]) => ({ size, joints: Math.floor(value / one + 1e-9) })),
    source: taken?.source ?? [...sizes.values()][0]?.source ?? null,
  }
}
