import type { Item, Model, Pattern } from './model.js'

/**
 * A plan made bar by bar: of all stocks at hand the one whose best filling wastes least for what it costs, offcuts
 * first. Null when the stock does not suffice.
 * @param fill best filling of a room with what is still wanted; longest first by default.
 */
export function greedyPlan(
  model: Model,
  wanted: readonly number[],
  fill: (room: number, left: readonly number[]) => number[] = longestFirst(model),
  used: readonly number[] = [],
): Pattern[] | null {
  const left = [...wanted]
  const counts = model.stocks.map((s, i) => s.count - (used[i] ?? 0))
  const plan: Pattern[] = []
  while (left.some((n) => n > 0)) {
    let best: { pattern: Pattern; score: number } | null = null
    model.stocks.forEach((bar, stock) => {
      if ((counts[stock] as number) <= 0) return
      const filled = fill(bar.room, left)
      const width = filled.reduce((sum, n, i) => sum + n * (model.items[i] as Item).width, 0)
      if (width === 0) return
      // An offcut costs nothing: the fuller the better. Of new stock, what is cut off counts.
      const score = bar.offcut ? 1 + width / bar.room : width / bar.room
      if (!best || score > best.score) best = { pattern: { stock, counts: filled }, score }
    })
    if (!best) return null
    const { pattern } = best as { pattern: Pattern }
    plan.push(pattern)
    counts[pattern.stock] = (counts[pattern.stock] as number) - 1
    pattern.counts.forEach((n, i) => (left[i] = (left[i] as number) - n))
  }
  return plan
}

/** Longest first: items come sorted by width. */
const longestFirst =
  (model: Model) =>
  (room: number, left: readonly number[]): number[] => {
    let rest = room
    return model.items.map((it, i) => {
      const count = Math.min(left[i] as number, Math.floor(rest / it.width))
      rest -= count * it.width
      return count
    })
  }
