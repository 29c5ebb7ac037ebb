import type { PinnedPlan } from '../../log/state-plan.js'
import type { OrderPlan, PlannedJoint } from '../order/question.js'

/** What of a pinned plan is another time, or in other hands, now. */
export interface MovedJoint {
  jointId: string
  wasS: number
  isS: number
  people: boolean
}
/** Joints that a plan places otherwise than the pinned one did, the first first. Home ones moved nowhere. */
export function movedFrom(pinned: PinnedPlan, plan: readonly PlannedJoint[]): MovedJoint[] {
  const was = new Map(pinned.joints.map((joint) => [joint.jointId, joint]))
  return plan
    .flatMap((joint): MovedJoint[] => {
      const before = was.get(joint.id)
      if (!before) return []
      const people = before.crew.join() !== joint.people.join()
      return before.startS === joint.startS && !people
        ? []
        : [{ jointId: joint.id, wasS: before.startS, isS: joint.startS, people }]
    })
    .sort((one, other) => one.isS - other.isS)
}
/** Sections of a plan, the first one ready first; the one that was to come first stands first. */
export function listedSections(
  { sections }: OrderPlan,
  firstId: string | null,
): { id: string; readyAtS: number; heldBy: string }[] {
  return sections
    .flatMap(({ id, ...rest }) => (id === null ? [] : [{ id, ...rest }]))
    .sort(
      (one, other) =>
        Number(other.id === firstId) - Number(one.id === firstId) || one.readyAtS - other.readyAtS,
    )
}
