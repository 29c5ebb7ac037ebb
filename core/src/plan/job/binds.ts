import { greatest } from '../../units/extent.js'
import { readyAtOf } from '../order/model.js'
import type { OrderJoint, OrderPlan, OrderQuestion, PlannedJoint } from '../order/question.js'

/** Why a joint begins when it does. */
export type Because =
  | { why: 'begin' | 'shift' | 'fixed' | 'waits' | 'placed' | 'may' }
  | { why: 'set' | 'hands' | 'tool'; jointId: string }
/** One joint of the chain that leads to a time, the last one first. */
export interface ChainLink {
  joint: PlannedJoint
  because: Because
}
/** A joint that is made later than it could be, because then it is ready sooner. */
export interface WaitsSooner {
  jointId: string
  endS: number
  readyAtS: number
  /** If it had ended at the first chance, and when it would be ready then. */
  soonestEndS: number
  thenReadyS: number
}
const MOST_LINKS = 40

/** Looks up what a plan says of joints and people, without looking through it each time. */
class Known {
  readonly joints: ReadonlyMap<string, OrderJoint>
  readonly planned: ReadonlyMap<string, PlannedJoint>
  private readonly byPerson = new Map<string, PlannedJoint[]>()
  constructor(
    readonly question: OrderQuestion,
    plan: OrderPlan,
  ) {
    this.joints = new Map(question.joints.map((joint) => [joint.id, joint]))
    this.planned = new Map(plan.plan.map((joint) => [joint.id, joint]))
    for (const joint of plan.plan)
      for (const person of joint.people)
        this.byPerson.set(person, [...(this.byPerson.get(person) ?? []), joint])
  }
  /** When what it waits for has set. */
  freeFromS(joint: OrderJoint): number {
    let fromS = Math.max(this.question.startS, joint.notBeforeS ?? -Infinity)
    for (const id of joint.still ?? []) {
      const first = this.joints.get(id)
      const endS = first?.doneAtS ?? this.planned.get(id)?.endS
      if (endS !== undefined && endS !== null) fromS = Math.max(fromS, endS + (first?.setS ?? 0))
    }
    return fromS
  }
  workOf(person: string): readonly PlannedJoint[] {
    return this.byPerson.get(person) ?? []
  }
  /** Time on the way from one joint to another. */
  private wayS(one: string, other: string): number {
    const [from, to] = [this.joints.get(one)?.group, this.joints.get(other)?.group]
    return from && to && from !== to ? (this.question.walkS ?? 0) : 0
  }
  /** What it would have been, had its people begun at the first chance; null: this is the first, or no pair of hands. */
  soonestOf(joint: PlannedJoint): { endS: number; readyS: number } | null {
    const asked = this.joints.get(joint.id)
    if (!asked || (asked.hands ?? 1) !== joint.people.length) return null
    const fromS = this.freeFromS(asked)
    const soonest = joint.people.map((id) => {
      const shifts = this.question.people.find((person) => person.id === id)?.shifts ?? []
      return firstGap(shifts, this.workOf(id), asked.workS, fromS)
    })
    const startS = greatest(soonest)
    // Two who have time at different hours are no pair of hands.
    if (!(startS < joint.startS) || new Set(soonest).size > 1) return null
    const endS = startS + asked.workS
    return { endS, readyS: readyAtOf(this.question, asked, endS) }
  }
  private waitsOnPurpose(joint: PlannedJoint): boolean {
    return (this.soonestOf(joint)?.readyS ?? -Infinity) > joint.readyAtS
  }
  becauseOf(joint: PlannedJoint): Because {
    const asked = this.joints.get(joint.id)
    const { startS } = joint
    if (typeof asked?.startS === 'number') return { why: 'fixed' }
    for (const id of asked?.still ?? []) {
      const first = this.planned.get(id)
      if (first && first.endS + (this.joints.get(id)?.setS ?? 0) === startS)
        return { why: 'set', jointId: id }
    }
    for (const person of joint.people) {
      const before = this.workOf(person).find(
        (other) => other.endS + this.wayS(other.id, joint.id) === startS,
      )
      if (before) return { why: 'hands', jointId: before.id }
    }
    for (const other of this.planned.values()) {
      const own = this.joints.get(other.id)
      if (
        other.endS + (own?.keepS ?? 0) === startS &&
        own?.things?.some((thing) => asked?.things?.includes(thing))
      )
        return { why: 'tool', jointId: other.id }
    }
    // When a permit or a shutdown lets it.
    if (asked?.notBeforeS === startS || asked?.within?.some(({ fromS }) => fromS === startS))
      return { why: 'may' }
    if (startS === this.question.startS) return { why: 'begin' }
    const shiftBegins = this.question.people.some(
      ({ id, shifts }) => joint.people.includes(id) && shifts.some(({ fromS }) => fromS === startS),
    )
    if (shiftBegins) return { why: 'shift' }
    return { why: this.waitsOnPurpose(joint) ? 'waits' : 'placed' }
  }
}

/** The joints that lead to when one is ready, the last one first: each begins when the next one lets it. */
export function chainTo(question: OrderQuestion, plan: OrderPlan, jointId: string): ChainLink[] {
  const known = new Known(question, plan)
  const out: ChainLink[] = []
  let next: string | null = jointId
  while (next !== null && out.length < MOST_LINKS) {
    const joint: PlannedJoint | undefined = known.planned.get(next)
    if (!joint) break
    const because: Because = known.becauseOf(joint)
    out.push({ joint, because })
    next = 'jointId' in because ? because.jointId : null
  }
  return out
}

/** Joints that wait although their people had time before, and are ready sooner for it. */
export function waitingIsSooner(question: OrderQuestion, plan: OrderPlan): WaitsSooner[] {
  const known = new Known(question, plan)
  return plan.plan.flatMap((joint): WaitsSooner[] => {
    const soonest = known.soonestOf(joint)
    if (!soonest || soonest.readyS <= joint.readyAtS) return []
    const { endS, readyAtS, id: jointId } = joint
    return [{ jointId, endS, readyAtS, soonestEndS: soonest.endS, thenReadyS: soonest.readyS }]
  })
}
/** First start, not before `fromS`, at which somebody is there for so long with nothing else to do. */
function firstGap(
  shifts: readonly { fromS: number; untilS: number }[],
  work: readonly PlannedJoint[],
  lastsS: number,
  fromS: number,
): number {
  const taken = [...work].sort((one, other) => one.startS - other.startS)
  for (const shift of shifts) {
    let atS = Math.max(shift.fromS, fromS)
    for (const joint of taken) {
      if (joint.endS <= atS || joint.startS >= shift.untilS) continue
      if (joint.startS - atS >= lastsS) return atS
      atS = joint.endS
    }
    if (shift.untilS - atS >= lastsS) return atS
  }
  return Infinity
}
