import { Correction, seeded } from './correction.js'
import { barsOf, reachable, singles, trimmed } from './bars.js'
import { everyPattern } from './every.js'
import { greedyPlan } from './greedy.js'
import { gatherLeftover, onCheapest } from './leftover.js'
import { type Aim, type Relaxed, type Solve, masterLp, relax } from './master.js'
import {
  type Model,
  type Pattern,
  type Stock,
  type StockInput,
  type StockPlan,
  NEAR_MM,
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
  const proven =
    boundMm !== null && openedMm(model, plan) <= boundMm + NEAR_MM && barsUsed <= (boundBars ?? -1)
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
    return own.settled ? Math.ceil(own.value - NEAR_MM) : null
  }

  /**
   * Small problems whole, over every pattern there is: least length, then fewest bars at that length, then the fewest
   * bars at all as a bound of its own. False when the stock does not suffice.
   */
  private exact(every: readonly Pattern[]): boolean {
    const ask = (aim: Aim, capMm: number | null): { value: number; short: boolean } | null => {
      const solved = this.options.solve(masterLp(this.model, this.wanted, every, aim, true, [], capMm), {
        timeLimitS: Math.max(0.1, (this.endMs - this.options.clock()) / 1000),
      })
      if (!solved.optimal) return null
      const short = this.wanted.some((_, i) => (solved.columns[`y${i}`] ?? 0) > 0.5)
      if (!short) this.offer(chosen(every, solved.columns))
      return { value: solved.objective, short }
    }
    const mm = ask('mm', null)
    if (mm?.short) return false
    if (!mm) return true
    this.boundMm = Math.max(this.boundMm ?? 0, Math.round(mm.value * 1000) / 1000)
    if (this.done()) return true
    ask('bars', mm.value + NEAR_MM)
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
  private fixWhole(relaxed: Relaxed, fixed: readonly Pattern[], k: number): [Pattern[], number[]] {
    const out = [...fixed]
    const before = out.length
    const add = (i: number, times: number): void => {
      for (let time = 0; time < times; time++) out.push(relaxed.patterns[i] as Pattern)
    }
    relaxed.uses.forEach((u, i) => add(i, Math.floor(u + NEAR_MM)))
    if (k > 0 && out.length === before && relaxed.uses.length)
      add(
        relaxed.uses.reduce((top, u, i) => (u > (relaxed.uses[top] as number) ? i : top), 0),
        1,
      )
    return [out, this.leftAfter(out)]
  }
  private leftAfter(plan: readonly Pattern[]): number[] {
    return this.wanted.map((want, i) =>
      Math.max(0, want - plan.reduce((sum, p) => sum + (p.counts[i] as number), 0)),
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
    const solved = this.options.solve(masterLp(this.model, left, pool, 'mm', true, used), {
      timeLimitS: Math.min(seconds, WHOLE_LIMIT_S),
    })
    if (left.some((_, i) => (solved.columns[`y${i}`] ?? 0) > 0.5)) return
    this.offer([...fixed, ...chosen(pool, solved.columns)])
  }
  /** Keeps a plan when it covers everything and is better. */
  private offer(plan: Pattern[] | null): void {
    if (!plan || this.leftAfter(plan).some((n) => n > 0)) return
    if (this.usedBy(plan).some((n, i) => n > (this.model.stocks[i] as Stock).count)) return
    const cost = (p: readonly Pattern[]): number => openedMm(this.model, p) + newBars(this.model, p) * TIE_MM
    const lean = onCheapest(this.model, trimmed(this.model, plan))
    if (!this.best || cost(lean) < cost(this.best) - NEAR_MM) this.best = lean
  }
  private done(): boolean {
    return (
      this.best !== null &&
      this.boundMm !== null &&
      openedMm(this.model, this.best) <= this.boundMm + NEAR_MM &&
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
/** Of plans that open the same length, the one with fewer bars. */
const TIE_MM = 1e-4
