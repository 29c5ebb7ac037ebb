import type { Item, Model, Pattern } from './model.js'

/**
 * Every filling of every stock to which no wanted piece can be added; null when there are more than `limit`. A plan
 * over these is a plan over all fillings, since cutting more than is wanted does no harm.
 */
export function everyPattern(model: Model, limit: number): Pattern[] | null {
  const out: Pattern[] = []
  const counts = model.items.map(() => 0)
  const fill = (stock: number, i: number, rest: number): boolean => {
    const item = model.items[i] as Item | undefined
    if (!item) {
      const open = model.items.some((it, k) => it.width <= rest && (counts[k] as number) < it.pieces.length)
      if (!open && counts.some((n) => n > 0)) out.push({ stock, counts: [...counts] })
      return out.length <= limit
    }
    for (let times = Math.min(item.pieces.length, Math.floor(rest / item.width)); times >= 0; times--) {
      counts[i] = times
      if (!fill(stock, i + 1, rest - times * item.width)) return false
    }
    counts[i] = 0
    return true
  }
  return model.stocks.every((s, stock) => fill(stock, 0, s.room)) ? out : null
}
