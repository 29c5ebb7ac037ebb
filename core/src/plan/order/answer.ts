import { type Draft, sectionsReady, valueOf } from './grow.js'
import type { OrderModel } from './model.js'
import type { OrderPlan, OrderQuestion, OrderReason, PlannedJoint } from './question.js'
import { readyOf } from './room.js'

/** No plan. */
export const nothing = (
  status: 'infeasible' | 'none-found',
  boundS: number | null,
  reasons: OrderReason[],
): OrderPlan => ({
  plan: [],
  sections: [],
  valueS: null,
  boundS,
  proven: status === 'infeasible',
  status,
  reasons,
})

/** A plan as it is told: in the order of its starts. @param boundS null: it is as good as can be. */
export function answerOf(
  question: OrderQuestion,
  model: OrderModel,
  draft: Draft,
  boundS: number | null,
): OrderPlan {
  const plan = model.tasks
    .map((task): PlannedJoint => {
      const startS = draft.starts[task.index] as number
      const people = (draft.people[task.index] ?? []).map((person) => model.people[person]?.id ?? '')
      return { id: task.id, startS, endS: startS + task.workS, people, readyAtS: readyOf(task, startS) }
    })
    .sort((one, other) => one.startS - other.startS)
  const ready = sectionsReady(model, (task) => readyOf(task, draft.starts[task.index] as number))
  const valueS = valueOf(model, ready)
  const readyAt = new Map(plan.map((joint) => [joint.id, joint.readyAtS]))
  const sections = model.sections.map((section, i) => {
    const readyAtS = ready[i] as number
    const held = question.joints.find(
      ({ id, section: own }) =>
        (own ?? null) === section.id && (readyAt.get(id) ?? section.doneReady.get(id)) === readyAtS,
    )
    return { id: section.id, readyAtS, heldBy: held?.id ?? '' }
  })
  const proven = boundS === null || valueS <= boundS
  return {
    plan,
    sections,
    valueS,
    boundS: proven ? valueS : boundS,
    proven,
    status: proven ? 'optimal' : 'feasible',
    reasons: [],
  }
}
