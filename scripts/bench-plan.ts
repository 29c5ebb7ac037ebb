import { planOrder } from '../core/src/plan/order/plan-order.js'
import type { OrderQuestion } from '../core/src/plan/order/question.js'
import { ROOMY_MIN, nightJob } from '../core/test/order-jobs.js'

/** Plans over nights whose cures are not first-in-first-out, against the best that a much longer look finds. */
const SEEDS = Array.from({ length: 10 }, (_, i) => i + 1)
const LONG_S = 20
const row = (what: string, measured: string, target: string): void =>
  console.log(JSON.stringify({ what, measured, target }))
const share = (part: number): string => `${(100 * part).toFixed(1)} %`
const timed = (question: OrderQuestion, effortS: number) => {
  const began = performance.now()
  const plan = planOrder(question, { effortS })
  return { ...plan, tookS: (performance.now() - began) / 1000 }
}
const middle = (values: number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN
const spanOf = (question: OrderQuestion, valueS: number | null): number => (valueS ?? NaN) - question.startS

const tight = SEEDS.map((seed) => {
  const question = nightJob(seed, 40, 3)
  const short = timed(question, 2)
  const long = timed(question, LONG_S)
  const best = Math.min(short.valueS ?? Infinity, long.valueS ?? Infinity)
  const span = spanOf(question, short.valueS)
  return {
    off: ((short.valueS ?? Infinity) - best) / span,
    gap: ((short.valueS ?? 0) - (short.boundS ?? 0)) / span,
    tookS: short.tookS,
  }
})
row(
  `10 tight jobs of 40 joints, 3 people, after 2 s of effort (${middle(tight.map(({ tookS }) => tookS)).toFixed(1)} s here)`,
  `${tight.filter(({ off }) => off <= 0.02).length} within 2 % of the best of ${LONG_S} s, furthest ${share(Math.max(...tight.map(({ off }) => off)))}; gap to the bound median ${share(middle(tight.map(({ gap }) => gap)))}`,
  '9 within 2 % of the best of 10 min; gap at most 10 % in the median',
)
const roomy = SEEDS.map((seed) => timed(nightJob(seed, 40, 3, { minutes: ROOMY_MIN }), 1))
row(
  '10 roomy jobs of 40 joints, 3 people, after 1 s of effort',
  `${roomy.filter(({ proven }) => proven).length} proved; longest ${Math.max(...roomy.map(({ tookS }) => tookS)).toFixed(1)} s`,
  '9 proved',
)
const large = nightJob(1, 200, 4, { sections: 6, minutes: ROOMY_MIN })
const first = timed(large, 0.001)
const later = timed(large, 5)
const best = timed(large, LONG_S)
row(
  '200 joints, 4 people, 6 sections',
  `a plan after ${(first.tookS * 1000).toFixed(0)} ms; after 5 s ${share(((later.valueS ?? 0) - (best.valueS ?? 0)) / spanOf(large, later.valueS))} from the best of ${LONG_S} s`,
  'a plan after 300 ms; within 3 % in 5 s',
)
const huge = timed(nightJob(1, 2000, 12, { sections: 6, minutes: ROOMY_MIN }), 2)
row('2,000 joints, 12 people', `${huge.status} after ${huge.tookS.toFixed(1)} s`, 'within 10 s')
