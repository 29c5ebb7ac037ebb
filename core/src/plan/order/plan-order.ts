import { Bounds } from './bound.js'
import { Exact } from './exact.js'
import { placeFixed } from './fixed.js'
import { type Draft, Grower } from './grow.js'
import { type OrderModel, modelOf } from './model.js'
import type { OrderPlan, OrderQuestion } from './question.js'
import { answerOf, nothing } from './answer.js'
import { lateAlready, whyNot, whyNotEnough, whyNotFixed } from './reasons.js'
import { Search } from './search.js'
import { tidied } from './tidy.js'

/** Steps of the search that a second of effort stands for; as many as a desk computer makes in about that time. */
const STEPS_A_SECOND = 850_000
export const USUAL_EFFORT_S = 2
export const MOST_EFFORT_S = 5
/** So many joints at most are looked at in every order. */
const MOST_EXACT = 12
/** Ways to choose who makes one joint. */
const MOST_WAYS = 500
/** Orders looked at for a second of effort. */
const ORDERS_A_SECOND = 60_000

const NOBODY: Draft = {
  starts: new Float64Array(0),
  people: [],
  late: [],
  unplaced: [],
  ready: new Float64Array(0),
  valueS: NaN,
  overS: 0,
}

export interface PlanHooks {
  /** Told now and then how far the search is, 0 to 1, and the value so far, epoch s. */
  heard?: (part: number, valueS: number | null, boundS: number | null) => void
  /** Seconds of effort, beyond what a question may ask. */
  effortS?: number
  /** A plan that was good before: it is tried first, so that what need not change does not. */
  before?: readonly { id: string; startS: number; people: readonly string[] }[]
}

/** Few joints, and few ways to choose people for each. */
const fewEnough = ({ tasks }: OrderModel): boolean =>
  tasks.length <= MOST_EXACT &&
  tasks.every(({ who, hands }) => {
    let ways = 1
    for (let i = 0; i < hands && ways <= MOST_WAYS; i++) ways = (ways * (who.length - i)) / (i + 1)
    return ways <= MOST_WAYS
  })
/** People for whom shifts and what they may make are the same get the same number. */
function alikeOf(model: OrderModel): number[] {
  const seen = new Map<string, number>()
  return model.people.map(({ shifts }, person) => {
    const key = JSON.stringify([
      shifts,
      model.tasks.flatMap((task) => (task.who.includes(person) ? task.index : [])),
    ])
    const had = seen.get(key) ?? seen.size
    seen.set(key, had)
    return had
  })
}

/**
 * Who makes which joint when, so that what is asked is ready soonest: a plan, what no plan can better, and whether the
 * two meet. The question must be sound (`orderFaults`). The same question has the same answer.
 */
export function planOrder(question: OrderQuestion, hooks: PlanHooks = {}): OrderPlan {
  const model = modelOf(question)
  const late = lateAlready(model)
  if (late) return nothing('infeasible', null, [late])
  if (!model.tasks.length) return answerOf(question, model, NOBODY, null)
  const effortS = hooks.effortS ?? Math.min(question.effortS ?? USUAL_EFFORT_S, MOST_EFFORT_S)
  const fixed = placeFixed(model)
  if ('stuck' in fixed)
    return nothing(fixed.proved ? 'infeasible' : 'none-found', null, [whyNotFixed(fixed.stuck)])
  const bounds = new Bounds(model)
  const free = new Float64Array(model.sections.length).fill(Infinity)
  const windows = bounds.windows(free)
  if (typeof windows === 'number') return nothing('infeasible', null, [whyNot(model, windows)])
  if (bounds.refuted(free)) return nothing('infeasible', null, whyNotEnough(model))

  const grower = new Grower(model, fixed.room, fixed.spots)
  const search = new Search(model, grower, bounds)
  if (hooks.before?.length) search.beginWith(hooks.before)
  search.begin(bounds.lower(Infinity))
  const placed = (): Draft | null => (search.best && search.best.unplaced.length === 0 ? search.best : null)
  let boundS = bounds.lower(placed()?.valueS ?? Infinity)
  let whole = false
  const allSteps = Math.round(effortS * STEPS_A_SECOND)
  const settled = (): boolean => whole || (placed()?.valueS ?? Infinity) <= boundS
  const look = (part: number): void => {
    if (settled() || !fewEnough(model)) return
    const beatS = placed()?.valueS ?? Infinity
    const found = new Exact(model, beatS, Math.round(part * effortS * ORDERS_A_SECOND), alikeOf(model)).run()
    if (found.best) search.best = found.best
    whole = found.whole
  }
  if (!settled()) search.begin(boundS)
  look(0.2)
  for (let part = 1; part <= 10 && !settled(); part++) {
    search.go((allSteps * part) / 10, boundS)
    hooks.heard?.(part / 10, placed()?.valueS ?? null, boundS)
  }
  look(0.8)
  const best = placed()
  if (best && whole) boundS = best.valueS
  if (!best)
    return whole
      ? nothing('infeasible', null, whyNotEnough(model))
      : nothing('none-found', Number.isFinite(boundS) ? boundS : null, whyNotEnough(model))
  return answerOf(question, model, tidied(model, grower, best), boundS)
}
