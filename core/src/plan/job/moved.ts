import type { PinnedPlan } from '../../log/state-plan.js'
import type { PlannedJoint } from '../order/question.js'

/** What of a pinned plan is another time, or in other hands, now. */
export interface Moved {
  jointId: string
  wasS: number
  isS: number
  people: boolean
}
/** Joints that a plan places otherwise than the pinned one did, the first first. Home ones moved nowhere. */
export function movedFrom(pinned: PinnedPlan, plan: readonly PlannedJoint[]): Moved[] {
  const was = new Map(pinned.joints.map((joint) => [joint.jointId, joint]))
  return plan
    .flatMap((joint): Moved[] => {
      const before = was.get(joint.id)
      if (!before) return []
      const people = before.crew.join() !== joint.people.join()
      return before.startS === joint.startS && !people
        ? []
        : [{ jointId: joint.id, wasS: before.startS, isS: joint.startS, people }]
    })
    .sort((one, other) => one.isS - other.isS)
}
/** Joints in the order of the pinned plan; those it does not know come after, as they stand. */
export function inPlanOrder<T>(pinned: PinnedPlan | null, all: readonly T[], idOf: (one: T) => string): T[] {
  if (!pinned) return [...all]
  const at = new Map(pinned.joints.map((joint) => [joint.jointId, joint.startS]))
  return [...all].sort(
    (one, other) => (at.get(idOf(one)) ?? Infinity) - (at.get(idOf(other)) ?? Infinity) || 0,
  )
}
