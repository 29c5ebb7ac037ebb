import type { JointFacts } from '../../joint/assess.js'
import type { JobState } from '../../log/state.js'
import { type PlanHooks, planOrder } from '../order/plan-order.js'
import { smallest } from '../../units/extent.js'
import type { OrderPlan } from '../order/question.js'
import { type JobQuestion, type ReadyTables, type Stuck, type Wanted, jobQuestion } from './question.js'
import { type Expected, expectedFacts } from './weather.js'

/** What is asked of a plan, and under what it is looked for. */
export interface PlanWish extends Omit<Wanted, 'along'> {
  /** All of the days to come colder by so much. */
  colderK?: number
}
/** The questions that a wish comes to: joints one after the other along their lines, or apart first and then together. */
export interface PlanAsk {
  asked: readonly JobQuestion[]
  /** How what is expected is known, by place. */
  how: ReadonlyMap<string, Expected>
  /** All joints under what is expected. */
  facts: ReadonlyMap<string, JointFacts>
}
/** Puts a wish into questions; or says why there is none to ask. @param nowS epoch s. */
export function askPlan(
  state: JobState,
  facts: ReadonlyMap<string, JointFacts>,
  nowS: number,
  wish: PlanWish,
): { ok: true; ask: PlanAsk } | { ok: false; stuck: Stuck } {
  const expected = expectedFacts(state, facts, nowS, wish.colderK)
  const tables: ReadyTables = new Map()
  const along = jobQuestion(state, expected.facts, nowS, { ...wish, along: 'along' }, tables)
  if (!along.ok) return along
  const pairs = jobQuestion(state, expected.facts, nowS, { ...wish, along: 'pairs' }, tables)
  const same = pairs.ok && JSON.stringify(pairs.asked.waits) === JSON.stringify(along.asked.waits)
  return {
    ok: true,
    ask: {
      asked: same || !pairs.ok ? [along.asked] : [along.asked, pairs.asked],
      how: expected.how,
      facts: expected.facts,
    },
  }
}
/**
 * The better of the plans to some questions, and to which it is one. What is proved of it holds over all of them.
 * @param heard how far, 0 to 1. @param before a plan that was good: what need not change does not.
 */
export function bestPlan(
  asked: readonly JobQuestion[],
  {
    heard,
    effortS,
    before,
  }: { heard?: (part: number) => void; effortS?: number; before?: PlanHooks['before'] } = {},
): { plan: OrderPlan; at: number } {
  const found = asked.map(({ question }, i) =>
    planOrder(question, {
      ...(effortS === undefined ? {} : { effortS }),
      ...(before ? { before } : {}),
      heard: (part) => heard?.((i + part) / asked.length),
    }),
  )
  const valueOf = (plan: OrderPlan): number => plan.valueS ?? Infinity
  const at = found.reduce(
    (best, plan, i) => (valueOf(plan) < valueOf(found[best] as OrderPlan) ? i : best),
    0,
  )
  const plan = found[at] as OrderPlan
  if (plan.valueS === null) return { plan, at }
  const boundS = smallest(found.map((one) => one.boundS ?? Infinity))
  const proven = boundS >= plan.valueS
  return { plan: { ...plan, boundS, proven, status: proven ? 'optimal' : 'feasible' }, at }
}
