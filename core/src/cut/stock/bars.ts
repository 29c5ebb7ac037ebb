import { greatest } from '../../units/extent.js'
import { type Bar, type Cut, type Model, type Pattern, type Stock, NEAR_MM } from './model.js'

/** So many different sums of bars at most are looked at for the bound. */
const MOST_SUMS = 20_000

/** One pattern for each item and stock that holds it: the relaxation can cover everything from the start. */
export const singles = (model: Model): Pattern[] =>
  model.items.flatMap((it, i) =>
    model.stocks.flatMap((bar, stock) => {
      const most = Math.min(it.pieces.length, Math.floor(bar.room / it.width))
      return most > 0 ? [{ stock, counts: model.items.map((_, k) => (k === i ? most : 0)) }] : []
    }),
  )

/** Patterns cut no more than is wanted; bars that are then empty are not opened. */
export function trimmed(model: Model, plan: readonly Pattern[]): Pattern[] {
  const left = model.items.map((it) => it.pieces.length)
  return plan
    .map((pattern) => ({
      stock: pattern.stock,
      counts: pattern.counts.map((wanted, i) => {
        const take = Math.min(wanted, left[i] as number)
        left[i] = (left[i] as number) - take
        return take
      }),
    }))
    .filter((p) => p.counts.some((n) => n > 0))
}

/** The least sum of whole new bars that is not below a value, mm: a bound that bars can reach. */
export function reachable(model: Model, valueMm: number): number {
  const lengths = [...new Set(model.stocks.filter((s) => !s.offcut).map((s) => s.lengthMm))]
  if (valueMm <= NEAR_MM || !lengths.length) return Math.max(0, valueMm > NEAR_MM ? valueMm : 0)
  if (lengths.length === 1) {
    const only = lengths[0] as number
    return Math.ceil(valueMm / only - NEAR_MM) * only
  }
  // Every sum up to the first that is high enough; lengths are few and bars at most some hundreds.
  const most = valueMm + greatest(lengths)
  let sums = [0]
  let least = Infinity
  while (sums.length) {
    // So many different sums that the bound is left as it is.
    if (sums.length > MOST_SUMS) return valueMm
    const next = new Map<number, number>()
    for (const sum of sums)
      for (const lengthMm of lengths) {
        const longer = sum + lengthMm
        if (longer >= valueMm - NEAR_MM) least = Math.min(least, longer)
        else if (longer < most) next.set(Math.round(longer * 1000), longer)
      }
    sums = [...next.values()]
  }
  return least
}

/** Patterns as bars with cuts in order, longest first, each with the ids of its pieces. */
export function barsOf(model: Model, plan: readonly Pattern[]): Bar[] {
  const pieces = model.items.map((it) => [...it.pieces])
  return plan.map((pattern) => {
    const stock = model.stocks[pattern.stock] as Stock
    const cuts: Cut[] = []
    let atMm = 0
    pattern.counts.forEach((count, i) => {
      for (const { id, lengthMm } of pieces[i]?.splice(0, count) ?? []) {
        cuts.push({ id, atMm, lengthMm })
        atMm += lengthMm + model.kerfMm
      }
    })
    return { stockMm: stock.lengthMm, offcut: stock.offcut, cuts, leftMm: Math.max(0, stock.lengthMm - atMm) }
  })
}
