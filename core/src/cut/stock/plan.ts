import { greatest } from '../../units/extent.js'
import { Correction, seeded } from './correction.js'
import { everyPattern } from './every.js'
import { greedyPlan } from './greedy.js'
import { gatherLeftover, onCheapest } from './leftover.js'
import { type Aim, type Relaxed, type Solve, masterLp, relax } from './master.js'
import {
  type Bar,
  type Cut,
  type Model,
  type Pattern,
  type Stock,
  type StockInput,
  type StockPlan,
  modelOf,
  newBars,
  openedMm,
} from './model.js'

export interface PlanOptions {
  solve: Solve
  /** Milliseconds on any steady clock. */
  clock: () => number
  /** After so long the best plan so far is given, with its bounds. */
  limitMs: number
  onProgress?: (p: { newMm: number; boundMm: number | null; share: number }) => void
}
const NEAR = 1e-6
/** Plans tried bar by bar before the relaxation is rounded. */
const CORRECTIONS = 30
/** Rounds of fixing what the relaxation uses whole, and solving the rest anew. */
const ROUNDS = 12

/** The whole plan: bars with their cuts, what is proved of it, and how much is left over. */
export function planStock(input: StockInput, options: PlanOptions): StockPlan {
  const { model, loose } = modelOf(input)
  const endMs = options.clock() + options.limitMs
  const search = new Search(model, loose, options, () => options.clock() >= endMs, endMs)
  const { plan, boundMm, boundBars, short } = search.run()
  if (!plan || short)
    return {
      bars: [],
      barsUsed: 0,
      lowerBoundBars: null,
      lowerBoundMm: null,
      proven: short,
      status: 'infeasible',
    }
  const bars = barsOf(model, gatherLeftover(model, plan))
  const barsUsed = newBars(model, plan)
  const proven = boundMm !== null && openedMm(model, plan) <= boundMm + NEAR && barsUsed <= (boundBars ?? -1)
  return {
    bars,
    barsUsed,
    lowerBoundBars: boundBars,
    lowerBoundMm: boundMm,
    proven,
    status: proven ? 'optimal' : 'feasible',
  }
}

class Search {
  private best: Pattern[] | null = null
  private boundMm: number | null = null
  private boundBars: number | null = null
  private readonly correction: Correction
  constructor(
    private readonly model: Model,
    private readonly loose: Model | null,
    private readonly options: PlanOptions,
    private readonly late: () => boolean,
    private readonly endMs: number,
  ) {
    this.correction = new Correction(model, seeded(model.items.length))
  }
  private get wanted(): number[] {
    return this.model.items.map((it) => it.pieces.length)
  }

  run(): { plan: Pattern[] | null; boundMm: number | null; boundBars: number | null; short: boolean } {
    const { model, wanted } = this
    if (!wanted.length) return { plan: [], boundMm: 0, boundBars: 0, short: false }
    this.offer(greedyPlan(model, wanted))
    const first = this.best ?? []
    const relaxed = this.relax(wanted, [...first, ...singles(model)], 'mm')
    if (relaxed.short && relaxed.settled) return { plan: null, boundMm: null, boundBars: null, short: true }
    const bounding = this.loose ? this.relaxLoose() : relaxed
    if (bounding.settled) this.boundMm = reachable(model, bounding.value)
    this.boundBars = this.barsBound(bounding)
    this.tell(0.2)
    const every = this.done() || !model.exact ? null : everyPattern(model, MOST_PATTERNS)
    if (every && !this.exact(every)) return { plan: null, boundMm: null, boundBars: null, short: true }
    this.correct(CORRECTIONS)
    if (!this.done()) this.round(relaxed)
    this.correct(Infinity)
    return { plan: this.best, boundMm: this.boundMm, boundBars: this.boundBars, short: false }
  }
  private relax(wanted: readonly number[], known: readonly Pattern[], aim: Aim, used?: number[]): Relaxed {
    return relax(this.model, wanted, known, aim, this.options.solve, this.late, used)
  }
  /** The relaxation of the problem rounded the other way: its value is a bound for both. */
  private relaxLoose(aim: Aim = 'mm'): Relaxed {
    const loose = this.loose as Model
    const wanted = loose.items.map((it) => it.pieces.length)
    return relax(loose, wanted, singles(loose), aim, this.options.solve, this.late)
  }
  /** Fewest bars: from the length where all new stock is one length, else by a relaxation of its own. */
  private barsBound(relaxed: Relaxed): number | null {
    const lengths = new Set(this.model.stocks.filter((s) => !s.offcut).map((s) => s.lengthMm))
    if (this.boundMm === null) return null
    if (lengths.size === 1) return Math.round(this.boundMm / ([...lengths][0] as number))
    const own = this.loose ? this.relaxLoose('bars') : this.relax(this.wanted, relaxed.patterns, 'bars')
    return own.settled ? Math.ceil(own.value - NEAR) : null
  }

  /**
   * Small problems whole, over every pattern there is: least length, then fewest bars at that length, then the fewest
   * bars at all as a bound of its own. False when the stock does not suffice.
   */
  private exact(every: readonly Pattern[]): boolean {
    const ask = (aim: Aim, capMm: number | null): { value: number; short: boolean } | null => {
      const r = this.options.solve(masterLp(this.model, this.wanted, every, aim, true, [], capMm), {
        timeLimitS: Math.max(0.1, (this.endMs - this.options.clock()) / 1000),
      })
      if (!r.optimal) return null
      const short = this.wanted.some((_, i) => (r.columns[`y${i}`] ?? 0) > 0.5)
      if (!short) this.offer(chosen(every, r.columns))
      return { value: r.objective, short }
    }
    const mm = ask('mm', null)
    if (mm?.short) return false
    if (!mm) return true
    this.boundMm = Math.max(this.boundMm ?? 0, Math.round(mm.value * 1000) / 1000)
    if (this.done()) return true
    ask('bars', mm.value + NEAR)
    if (this.done()) return true
    const bars = ask('bars', null)
    if (bars) this.boundBars = Math.max(this.boundBars ?? 0, Math.round(bars.value))
    return true
  }

  /** Tries plans made bar by bar, each learning from the last. */
  private correct(tries: number): void {
    for (let k = 0; k < tries && !this.done() && !this.late(); k++)
      this.offer(this.correction.next(this.wanted))
  }

  /** Fixes more and more of the relaxation and solves what remains whole, until the bound is reached or time is up. */
  private round(relaxed: Relaxed): void {
    let fixed: Pattern[] = []
    let now = relaxed
    let pool = relaxed.patterns
    for (let k = 0; k < ROUNDS && !this.late(); k++) {
      const [plus, left] = this.fixWhole(now, fixed, k)
      const used = this.usedBy(plus)
      const rest = this.relax(left, pool, 'mm', used)
      pool = rest.patterns
      this.offerWith(plus, left, pool, used)
      this.tell(0.2 + (0.8 * (k + 1)) / ROUNDS)
      if (this.done()) return
      if (plus.length === fixed.length) break
      fixed = plus
      now = rest
    }
    // Last: everything open, over every pattern met on the way.
    if (!this.late()) this.offerWith([], this.wanted, pool, [])
  }
  /** Takes what the relaxation uses at least once; from the second round on at least its most used pattern. */
  private fixWhole(r: Relaxed, fixed: readonly Pattern[], k: number): [Pattern[], number[]] {
    const out = [...fixed]
    const before = out.length
    const add = (i: number, n: number): void => {
      for (let t = 0; t < n; t++) out.push(r.patterns[i] as Pattern)
    }
    r.uses.forEach((u, i) => add(i, Math.floor(u + NEAR)))
    if (k > 0 && out.length === before && r.uses.length)
      add(
        r.uses.reduce((top, u, i) => (u > (r.uses[top] as number) ? i : top), 0),
        1,
      )
    return [out, this.leftAfter(out)]
  }
  private leftAfter(plan: readonly Pattern[]): number[] {
    return this.wanted.map((n, i) =>
      Math.max(0, n - plan.reduce((sum, p) => sum + (p.counts[i] as number), 0)),
    )
  }
  private usedBy(plan: readonly Pattern[]): number[] {
    return this.model.stocks.map((_, i) => plan.filter((p) => p.stock === i).length)
  }
  /** Solves what is left as a whole-number problem over the patterns at hand. */
  private offerWith(
    fixed: readonly Pattern[],
    left: readonly number[],
    pool: readonly Pattern[],
    used: number[],
  ): void {
    const tail = greedyPlan(this.model, left, undefined, used)
    if (tail) this.offer([...fixed, ...tail])
    const seconds = Math.max(0.1, (this.endMs - this.options.clock()) / 1000)
    const r = this.options.solve(masterLp(this.model, left, pool, 'mm', true, used), {
      timeLimitS: Math.min(seconds, WHOLE_LIMIT_S),
    })
    if (left.some((_, i) => (r.columns[`y${i}`] ?? 0) > 0.5)) return
    this.offer([...fixed, ...chosen(pool, r.columns)])
  }
  /** Keeps a plan when it covers everything and is better. */
  private offer(plan: Pattern[] | null): void {
    if (!plan || this.leftAfter(plan).some((n) => n > 0)) return
    if (this.usedBy(plan).some((n, i) => n > (this.model.stocks[i] as Stock).count)) return
    const cost = (p: readonly Pattern[]): number => openedMm(this.model, p) + newBars(this.model, p) * TIE_MM
    const lean = onCheapest(this.model, trimmed(this.model, plan))
    if (!this.best || cost(lean) < cost(this.best) - NEAR) this.best = lean
  }
  private done(): boolean {
    return (
      this.best !== null &&
      this.boundMm !== null &&
      openedMm(this.model, this.best) <= this.boundMm + NEAR &&
      newBars(this.model, this.best) <= (this.boundBars ?? -1)
    )
  }
  private tell(share: number): void {
    if (this.best)
      this.options.onProgress?.({ newMm: openedMm(this.model, this.best), boundMm: this.boundMm, share })
  }
}
/** What a whole solution takes of each pattern. */
const chosen = (patterns: readonly Pattern[], columns: Readonly<Record<string, number>>): Pattern[] =>
  patterns.flatMap((p, k) => Array.from({ length: Math.round(columns[`x${k}`] ?? 0) }, () => p))
/** So many patterns at most are solved whole at once. */
const MOST_PATTERNS = 4000
const WHOLE_LIMIT_S = 3
const MOST_SUMS = 20_000
/** Of plans that open the same length, the one with fewer bars. */
const TIE_MM = 1e-4

/** One pattern for each item and stock that holds it: the relaxation can cover everything from the start. */
const singles = (model: Model): Pattern[] =>
  model.items.flatMap((it, i) =>
    model.stocks.flatMap((s, stock) => {
      const n = Math.min(it.pieces.length, Math.floor(s.room / it.width))
      return n > 0 ? [{ stock, counts: model.items.map((_, k) => (k === i ? n : 0)) }] : []
    }),
  )

/** Patterns cut no more than is wanted; bars that are then empty are not opened. */
function trimmed(model: Model, plan: readonly Pattern[]): Pattern[] {
  const left = model.items.map((it) => it.pieces.length)
  return plan
    .map((p) => ({
      stock: p.stock,
      counts: p.counts.map((n, i) => {
        const take = Math.min(n, left[i] as number)
        left[i] = (left[i] as number) - take
        return take
      }),
    }))
    .filter((p) => p.counts.some((n) => n > 0))
}

/** The least sum of whole new bars that is not below a value, mm: a bound that bars can reach. */
function reachable(model: Model, valueMm: number): number {
  const lengths = [...new Set(model.stocks.filter((s) => !s.offcut).map((s) => s.lengthMm))]
  if (valueMm <= NEAR || !lengths.length) return Math.max(0, valueMm > NEAR ? valueMm : 0)
  if (lengths.length === 1) {
    const only = lengths[0] as number
    return Math.ceil(valueMm / only - NEAR) * only
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
      for (const l of lengths) {
        const longer = sum + l
        if (longer >= valueMm - NEAR) least = Math.min(least, longer)
        else if (longer < most) next.set(Math.round(longer * 1000), longer)
      }
    sums = [...next.values()]
  }
  return least
}

/** Patterns as bars with cuts in order, longest first, each with the ids of its pieces. */
function barsOf(model: Model, plan: readonly Pattern[]): Bar[] {
  const pieces = model.items.map((it) => [...it.pieces])
  return plan.map((p) => {
    const stock = model.stocks[p.stock] as Stock
    const cuts: Cut[] = []
    let atMm = 0
    p.counts.forEach((n, i) => {
      for (const { id, lengthMm } of pieces[i]?.splice(0, n) ?? []) {
        cuts.push({ id, atMm, lengthMm })
        atMm += lengthMm + model.kerfMm
      }
    })
    return { stockMm: stock.lengthMm, offcut: stock.offcut, cuts, leftMm: Math.max(0, stock.lengthMm - atMm) }
  })
}
