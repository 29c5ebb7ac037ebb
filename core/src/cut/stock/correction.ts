import { greatest } from '../../units/extent.js'
import { greedyPlan } from './greedy.js'
import { Fillings } from './knapsack.js'
import { type Item, type Model, type Pattern, type Stock, widthOf } from './model.js'

/** Longer pieces are worth a little more than their length, so that they do not stay behind for the end. */
const POWER = 1.02
/** How much of a piece's worth follows what the last bar wasted around it. */
const MEMORY = 0.5

/**
 * Plans bar after bar by best fillings, and remembers from one plan to the next which pieces were cut with much waste:
 * those count for more the next time (sequential value correction).
 */
export class Correction {
  private readonly worth: number[]
  constructor(
    private readonly model: Model,
    /** Even numbers from 0 to 1. */
    private readonly random: () => number,
  ) {
    this.worth = model.items.map((it) => it.width ** POWER)
  }

  /** The next plan; null when the stock does not suffice. */
  next(wanted: readonly number[]): Pattern[] | null {
    const { model, worth } = this
    const most = greatest(model.stocks.map((s) => s.room))
    let last: { key: string; fillings: Fillings } | null = null
    const fill = (room: number, left: readonly number[]): number[] => {
      const key = left.join()
      if (last?.key !== key) {
        const items = model.items.map((it: Item, i) => ({
          width: it.width,
          worth: worth[i] as number,
          most: left[i] as number,
        }))
        last = { key, fillings: new Fillings(most, items) }
      }
      return last.fillings.counts(room)
    }
    const plan = greedyPlan(model, wanted, fill)
    for (const pattern of plan ?? []) this.learn(pattern)
    return plan
  }
  private learn(pattern: Pattern): void {
    const room = (this.model.stocks[pattern.stock] as Stock).room
    const waste = room / Math.max(1, widthOf(this.model, pattern.counts))
    pattern.counts.forEach((count, i) => {
      if (!count) return
      const fresh = (this.model.items[i] as Item).width ** POWER * waste
      const share = MEMORY * (0.5 + this.random())
      this.worth[i] = (1 - share) * (this.worth[i] as number) + share * fresh
    })
  }
}

/**
 * A small generator of its own, so that the same job gives the same plan.
 * @example seeded(7)() === seeded(7)() // true
 */
export function seeded(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
}
