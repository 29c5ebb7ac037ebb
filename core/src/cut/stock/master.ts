import { greatest } from '../../units/extent.js'
import { Fillings } from './knapsack.js'
import { type Model, type Pattern, type Stock, costMm } from './model.js'

/** A linear solver: takes a model as text in the CPLEX LP format. Core brings none of its own. */
export type Solve = (
  lp: string,
  options?: { timeLimitS?: number },
) => { objective: number; optimal: boolean; columns: Record<string, number>; duals: Record<string, number> }

/** What is to be least: the length of new stock, or the number of new bars. */
export type Aim = 'mm' | 'bars'
/** What one bar costs a plan: its length, mm, or one bar; an offcut costs nothing. */
export const costOf = (s: Stock, aim: Aim): number => (aim === 'mm' ? costMm(s) : s.offcut ? 0 : 1)

/** Terms of one line, broken so that no line grows too long for a reader of the format. */
const sum = (terms: readonly string[]): string =>
  terms.length ? terms.map((t, i) => (i % 8 === 7 ? `${t}\n` : t)).join(' + ') : '0 x0'

/** Cost of a piece not cut, in a unit that no plan can earn back. */
const unmetCost = (model: Model, aim: Aim): number =>
  aim === 'mm' ? 100 * greatest(model.stocks.map((s) => s.lengthMm)) : 100

/**
 * The master problem over known patterns: cover what is wanted, within what stock there is.
 * @param whole whole bars only. @param used bars of each stock already taken. @param capMm most new length to open.
 */
export function masterLp(
  model: Model,
  wanted: readonly number[],
  patterns: readonly Pattern[],
  aim: Aim,
  whole: boolean,
  used: readonly number[] = [],
  capMm: number | null = null,
): string {
  const cost = patterns.map((p, k) => `${costOf(model.stocks[p.stock] as Stock, aim)} x${k}`)
  const unmet = unmetCost(model, aim)
  const rows = wanted.flatMap((want, i) =>
    want > 0
      ? [
          ` d${i}: ${sum([
            ...patterns.flatMap((p, k) => (p.counts[i] ? [`${p.counts[i]} x${k}`] : [])),
            `1 y${i}`,
          ])} >= ${want}`,
        ]
      : [],
  )
  const limits = model.stocks.flatMap((stock, i) => {
    const terms = patterns.flatMap((p, k) => (p.stock === i ? [`1 x${k}`] : []))
    return stock.count < Infinity && terms.length
      ? [` s${i}: ${sum(terms)} <= ${stock.count - (used[i] ?? 0)}`]
      : []
  })
  const mmTerms = patterns.map((p, k) => `${costOf(model.stocks[p.stock] as Stock, 'mm')} x${k}`)
  const open = wanted.flatMap((n, i) => (n > 0 ? [`${unmet} y${i}`] : []))
  return [
    'Minimize',
    ` obj: ${sum([...cost, ...open])}`,
    'Subject To',
    ...rows,
    ...limits,
    ...(capMm === null ? [] : [` cap: ${sum(mmTerms)} <= ${capMm}`]),
    ...(whole ? ['General', patterns.map((_, k) => `x${k}`).join('\n')] : []),
    'End',
  ].join('\n')
}

export interface Relaxed {
  /** Value of the relaxation: no plan is better. */
  value: number
  /** How often each pattern is used, not whole. */
  uses: number[]
  patterns: Pattern[]
  /** Some piece can't be cut from the stock there is. */
  short: boolean
  /** Nothing more could be gained by any pattern; otherwise time ran out and the value is no bound. */
  settled: boolean
}

const GAIN = 1e-7
/** The relaxation over all patterns, found by adding one at a time that would gain (column generation). */
export function relax(
  model: Model,
  wanted: readonly number[],
  known: readonly Pattern[],
  aim: Aim,
  solve: Solve,
  late: () => boolean,
  used: readonly number[] = [],
): Relaxed {
  const patterns = [...known]
  const seen = new Set(patterns.map((p) => `${p.stock} ${p.counts.join()}`))
  const room = greatest(model.stocks.map((s) => s.room))
  for (;;) {
    const solved = solve(masterLp(model, wanted, patterns, aim, false, used))
    const worth = wanted.map((n, i) => (n > 0 ? (solved.duals[`d${i}`] ?? 0) : 0))
    const out = (settled: boolean): Relaxed => ({
      value: solved.objective,
      uses: patterns.map((_, k) => solved.columns[`x${k}`] ?? 0),
      patterns,
      short: wanted.some((_, i) => (solved.columns[`y${i}`] ?? 0) > 1e-6),
      settled,
    })
    if (late()) return out(false)
    const fillings = new Fillings(
      room,
      model.items.map((it, i) => ({ width: it.width, worth: worth[i] as number, most: wanted[i] as number })),
    )
    let added = 0
    model.stocks.forEach((bar, stock) => {
      if (bar.count - (used[stock] ?? 0) <= 0) return
      const price = costOf(bar, aim) - (solved.duals[`s${stock}`] ?? 0)
      if (fillings.worth(bar.room) <= price + GAIN * Math.max(1, price)) return
      const pattern = { stock, counts: fillings.counts(bar.room) }
      const key = `${stock} ${pattern.counts.join()}`
      if (seen.has(key)) return
      seen.add(key)
      patterns.push(pattern)
      added++
    })
    if (!added) return out(true)
  }
}
