import { append } from '../../units/extent.js'
import type { OrderJoint, OrderPlan, OrderQuestion, PlannedJoint, ReadyRow } from './question.js'

/*
 * Looks a plan through, rule by rule, from the question alone: it shares nothing with how the plan was found.
 */

/** When a joint that ends at `endS` is ready. */
function readyOfJoint(question: OrderQuestion, joint: OrderJoint, endS: number): number {
  if (joint.readyAfterS !== undefined && joint.readyAfterS !== null) return endS + joint.readyAfterS
  const rows: readonly ReadyRow[] =
    typeof joint.readyByEnd === 'string'
      ? (question.tables?.[joint.readyByEnd] ?? [])
      : (joint.readyByEnd ?? [])
  const row = rows.filter(({ fromS }) => fromS <= endS).at(-1) ?? rows[0]
  return endS + (row?.readyAfterS ?? 0)
}

/** Time lost from one joint to the next in the same hands. */
function wayBetween(question: OrderQuestion, one: string, other: string): number {
  const [from, to] = [one, other].map((id) => question.joints.find((joint) => joint.id === id)?.group)
  return from && to && from !== to ? (question.walkS ?? 0) : 0
}
const sameShift = (
  person: OrderQuestion['people'][number],
  one: PlannedJoint,
  other: PlannedJoint,
): boolean => person.shifts.some((shift) => shift.fromS <= one.startS && other.endS <= shift.untilS)
/** Faults of one joint by itself. */
function jointFaults(question: OrderQuestion, joint: OrderJoint, planned: PlannedJoint): string[] {
  const out: string[] = []
  const { id, startS, endS, people, readyAtS } = planned
  const bad = (says: string): void => void out.push(`${id}: ${says}`)
  if (!Number.isInteger(startS)) bad('starts between two seconds')
  if (endS - startS !== joint.workS) bad('takes another time')
  if (readyAtS !== readyOfJoint(question, joint, endS)) bad('is ready at another time')
  if (people.length !== (joint.hands ?? 1) || new Set(people).size !== people.length) bad('has other hands')
  for (const name of people) {
    const person = question.people.find((one) => one.id === name)
    if (!person?.shifts.some(({ fromS, untilS }) => fromS <= startS && endS <= untilS))
      bad(`${name} is not there all the time`)
    if (person?.mayMake && joint.kind && !person.mayMake.includes(joint.kind)) bad(`${name} may not make it`)
    if (joint.people && !joint.people.includes(name)) bad(`${name} is none of its people`)
  }
  if (joint.startS !== undefined && joint.startS !== null) {
    if (joint.startS !== startS) bad('is not where it is fixed')
  } else if (startS < question.startS) bad('starts before the plan')
  if (startS < (joint.notBeforeS ?? -Infinity)) bad('starts too early')
  if (endS > (joint.endByS ?? Infinity)) bad('ends too late')
  if (joint.within && !joint.within.some(({ fromS, untilS }) => fromS <= startS && endS <= untilS))
    bad('lies outside of when it may be made')
  return out
}

/** Everything that is wrong with a plan, in words; empty: it keeps every rule of its question. */
export function checkOrder(question: OrderQuestion, { plan, sections, valueS }: OrderPlan): string[] {
  const out: string[] = []
  const by = new Map(plan.map((joint) => [joint.id, joint]))
  const open = question.joints.filter((joint) => joint.doneAtS === undefined || joint.doneAtS === null)
  if (by.size !== plan.length || plan.length !== open.length) out.push('not every joint once')
  const ends = new Map(
    question.joints.map((joint) => [joint.id, joint.doneAtS ?? by.get(joint.id)?.endS ?? Infinity]),
  )
  for (const joint of open) {
    const planned = by.get(joint.id)
    if (!planned) {
      out.push(`${joint.id}: has no place`)
      continue
    }
    append(out, jointFaults(question, joint, planned))
    for (const id of joint.after ?? [])
      if ((ends.get(id) as number) > planned.startS) out.push(`${joint.id}: ${id} has not ended`)
    for (const id of joint.still ?? []) {
      const setS = question.joints.find((one) => one.id === id)?.setS ?? 0
      if ((ends.get(id) as number) + setS > planned.startS) out.push(`${joint.id}: ${id} has not set`)
    }
  }
  for (const person of question.people) {
    const own = plan.filter(({ people }) => people.includes(person.id)).sort((a, b) => a.startS - b.startS)
    own.forEach((joint, i) => {
      const next = own[i + 1]
      const wayS = next ? wayBetween(question, joint.id, next.id) : 0
      if (next && wayS > 0 && next.startS < joint.endS + wayS && sameShift(person, joint, next))
        out.push(`${person.id}: no time from ${joint.id} to ${next.id}`)
      if (next && next.startS < joint.endS) out.push(`${person.id}: at ${joint.id} and ${next.id} at once`)
    })
  }
  for (const { kind, count } of question.things ?? []) {
    const held = open.flatMap((joint) => {
      const planned = by.get(joint.id)
      return planned && joint.things?.includes(kind)
        ? [{ fromS: planned.startS, untilS: planned.endS + (joint.keepS ?? 0) }]
        : []
    })
    for (const { fromS } of held)
      if (held.filter((one) => one.fromS <= fromS && fromS < one.untilS).length > count)
        out.push(`${kind}: more than ${count} at ${fromS}`)
  }
  return [...out, ...sumFaults(question, plan, sections, valueS)]
}

/** Faults of what is said of the whole: sections, what must be ready by when, the value. */
function sumFaults(
  question: OrderQuestion,
  plan: readonly PlannedJoint[],
  sections: OrderPlan['sections'],
  valueS: number | null,
): string[] {
  const out: string[] = []
  const ready = new Map<string | null, { atS: number; id: string }>()
  for (const joint of question.joints) {
    const planned = plan.find(({ id }) => id === joint.id)
    const endS = joint.doneAtS ?? planned?.endS
    if (endS === undefined) continue
    const atS = readyOfJoint(question, joint, endS)
    const section = joint.section ?? null
    if (atS > (ready.get(section)?.atS ?? -Infinity)) ready.set(section, { atS, id: joint.id })
  }
  for (const [id, { atS, id: held }] of ready) {
    const said = sections.find((section) => section.id === id)
    if (said?.readyAtS !== atS || said.heldBy !== held)
      out.push(`section ${id}: is said to be ready otherwise`)
    const byS = question.sections?.find((section) => section.id === id)?.byS ?? Infinity
    if (id !== null && atS > byS) out.push(`section ${id}: ready too late`)
  }
  if (sections.length !== ready.size) out.push('other sections than there are')
  const weightOf = (id: string | null): number =>
    id === null && question.aside ? 0 : (question.sections?.find((own) => own.id === id)?.weight ?? 1)
  const all = [...ready].filter(([id]) => weightOf(id) > 0)
  const sum = all.reduce((weights, [id]) => weights + weightOf(id), 0)
  const value = !all.length
    ? question.startS
    : question.aim === 'weighted'
      ? question.startS +
        all.reduce((total, [id, { atS }]) => total + weightOf(id) * (atS - question.startS), 0) / sum
      : all.reduce((latest, [, { atS }]) => Math.max(latest, atS), -Infinity)
  if (valueS === null || Math.abs(valueS - value) > 1e-6) out.push('the value is another')
  return out
}
