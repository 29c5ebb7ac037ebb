import { type Item, type Model, type Pattern, type Stock, costMm, widthOf } from './model.js'

const ROUNDS = 400
/**
 * Third aim: one leftover as long as can be. Pieces of the emptiest bar of new stock go, longest first, where the
 * others have room for them, directly or in exchange for shorter ones. Opens no bar and changes none of the first two aims.
 */
export function gatherLeftover(model: Model, plan: readonly Pattern[]): Pattern[] {
  const out = plan.map((p) => ({ stock: p.stock, counts: [...p.counts] }))
  const room = (p: Pattern): number => (model.stocks[p.stock] as Stock).room - widthOf(model, p.counts)
  const isNew = (p: Pattern): boolean => !(model.stocks[p.stock] as Stock).offcut
  const emptiest = out.filter(isNew).sort((a, b) => room(b) - room(a))[0]
  if (!emptiest) return out
  for (let round = 0; round < ROUNDS; round++) if (!moveOne(model, out, emptiest, room)) break
  return out
}

/** One move that frees room on a bar: the one that frees most. */
function moveOne(model: Model, plan: Pattern[], from: Pattern, room: (p: Pattern) => number): boolean {
  let best: { to: Pattern; out: number; back: number | null; gain: number } | null = null
  model.items.forEach((item: Item, i) => {
    if (!from.counts[i]) return
    for (const to of plan) {
      if (to === from) continue
      const free = room(to)
      if (item.width <= free && item.width > (best?.gain ?? 0))
        best = { to, out: i, back: null, gain: item.width }
      model.items.forEach((other: Item, k) => {
        const gain = item.width - other.width
        if (to.counts[k] && gain > (best?.gain ?? 0) && gain <= free) best = { to, out: i, back: k, gain }
      })
    }
  })
  if (!best) return false
  const { to, out, back } = best as { to: Pattern; out: number; back: number | null }
  const add = (p: Pattern, i: number, n: number): void => void (p.counts[i] = (p.counts[i] as number) + n)
  add(from, out, -1)
  add(to, out, 1)
  if (back !== null) {
    add(to, back, -1)
    add(from, back, 1)
  }
  return true
}

/** Each bar on the cheapest stock that still holds it. */
export function onCheapest(model: Model, plan: Pattern[]): Pattern[] {
  const used = model.stocks.map((_, i) => plan.filter((p) => p.stock === i).length)
  for (const pattern of plan) {
    const width = widthOf(model, pattern.counts)
    model.stocks.forEach((stock, i) => {
      const now = model.stocks[pattern.stock] as Stock
      const better = costMm(stock) < costMm(now) || (costMm(stock) === costMm(now) && stock.room < now.room)
      if (!better || stock.room < width || (used[i] as number) >= stock.count) return
      used[pattern.stock] = (used[pattern.stock] as number) - 1
      used[i] = (used[i] as number) + 1
      pattern.stock = i
    })
  }
  return plan
}
