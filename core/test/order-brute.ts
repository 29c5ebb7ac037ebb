import type { OrderJoint, OrderQuestion, ReadyRow } from '../src/plan/order/question.js'

interface Placed {
  joint: OrderJoint
  startS: number
  endS: number
  people: string[]
  readyS: number
}
const readyAt = (question: OrderQuestion, joint: OrderJoint, endS: number): number => {
  if (typeof joint.readyAfterS === 'number') return endS + joint.readyAfterS
  const rows = (
    typeof joint.readyByEnd === 'string' ? question.tables?.[joint.readyByEnd] : joint.readyByEnd
  ) as ReadyRow[]
  let after = rows[0]?.readyAfterS ?? 0
  for (const row of rows) if (row.fromS <= endS) after = row.readyAfterS
  return endS + after
}
const subsets = (from: readonly string[], count: number): string[][] =>
  count === 0
    ? [[]]
    : from.flatMap((one, i) => subsets(from.slice(i + 1), count - 1).map((rest) => [one, ...rest]))

/**
 * Least value over every order, every choice of people and every start that could matter: the start of the plan and of
 * shifts, ends of others with their set or what they keep, times given, and every break of a ready table. Null: no plan.
 */
export function bruteForce(question: OrderQuestion): number | null {
  const open = question.joints.filter((joint) => typeof joint.doneAtS !== 'number')
  const doneEnd = new Map(question.joints.map((joint) => [joint.id, joint.doneAtS ?? null]))
  const weight = (id: string | null): number =>
    id === null && question.aside ? 0 : (question.sections?.find((one) => one.id === id)?.weight ?? 1)
  const byS = (id: string | null): number => question.sections?.find((one) => one.id === id)?.byS ?? Infinity
  const valueOf = (placed: readonly Placed[]): number => {
    const ready = new Map<string | null, number>()
    for (const joint of question.joints) {
      const own = placed.find((one) => one.joint === joint)
      const atS = own
        ? own.readyS
        : doneEnd.get(joint.id) !== null
          ? readyAt(question, joint, joint.doneAtS as number)
          : -Infinity
      const id = joint.section ?? null
      ready.set(id, Math.max(ready.get(id) ?? -Infinity, atS))
    }
    for (const id of [...ready.keys()]) if (weight(id) === 0) ready.delete(id)
    if (!ready.size) return question.startS
    if (question.aim !== 'weighted') return Math.max(...ready.values())
    const total = [...ready.keys()].reduce((sum, id) => sum + weight(id), 0)
    return (
      [...ready].reduce((sum, [id, atS]) => sum + weight(id) * (atS - question.startS), 0) / total +
      question.startS
    )
  }
  const given = [
    question.startS,
    ...question.people.flatMap(({ shifts }) => shifts.map(({ fromS }) => fromS)),
    ...question.joints.flatMap((joint) =>
      [joint.notBeforeS, joint.startS].filter((x): x is number => typeof x === 'number'),
    ),
    ...question.joints.flatMap((joint) => (joint.within ?? []).map(({ fromS }) => fromS)),
    ...question.joints.flatMap((joint) =>
      typeof joint.doneAtS === 'number' ? [joint.doneAtS, joint.doneAtS + (joint.setS ?? 0)] : [],
    ),
  ]
  let best = Infinity
  const visit = (placed: Placed[], lastS: number): void => {
    const soFar = placed.length ? valueOf(placed) : -Infinity
    if (question.aim !== 'weighted' && soFar >= best) return
    if (placed.length === open.length) {
      best = Math.min(best, valueOf(placed))
      return
    }
    for (const joint of open) {
      if (placed.some((one) => one.joint === joint)) continue
      const rows =
        typeof joint.readyByEnd === 'string' ? question.tables?.[joint.readyByEnd] : (joint.readyByEnd ?? [])
      const times = new Set([
        ...given,
        ...placed.flatMap((one) => [
          one.endS,
          one.endS + (one.joint.setS ?? 0),
          one.endS + (one.joint.keepS ?? 0),
        ]),
        ...(rows ?? []).map(({ fromS }) => fromS - joint.workS),
      ])
      for (const startS of [...times].sort((a, b) => a - b))
        if (startS >= lastS)
          for (const people of whoCan(question, joint, placed, startS, doneEnd)) {
            const endS = startS + joint.workS
            const readyS = readyAt(question, joint, endS)
            if (readyS > byS(joint.section ?? null)) continue
            visit([...placed, { joint, startS, endS, people, readyS }], startS)
          }
    }
  }
  for (const joint of question.joints)
    if (
      typeof joint.doneAtS === 'number' &&
      readyAt(question, joint, joint.doneAtS) > byS(joint.section ?? null)
    )
      return null
  visit([], -Infinity)
  return best === Infinity ? null : best
}

/** Everybody who could make a joint from this start on; none where it may not begin then. */
function whoCan(
  question: OrderQuestion,
  joint: OrderJoint,
  placed: readonly Placed[],
  startS: number,
  doneEnd: ReadonlyMap<string, number | null>,
): string[][] {
  const endS = startS + joint.workS
  if (typeof joint.startS === 'number' ? startS !== joint.startS : startS < question.startS) return []
  if (startS < (joint.notBeforeS ?? -Infinity) || endS > (joint.endByS ?? Infinity)) return []
  if (joint.within && !joint.within.some(({ fromS, untilS }) => fromS <= startS && endS <= untilS)) return []
  for (const [ids, sets] of [
    [joint.after ?? [], false],
    [joint.still ?? [], true],
  ] as const)
    for (const id of ids) {
      const own = placed.find((one) => one.joint.id === id)
      const ended = own ? own.endS : doneEnd.get(id)
      const setS = sets ? (question.joints.find((one) => one.id === id)?.setS ?? 0) : 0
      if (ended === null || ended === undefined || ended + setS > startS) return []
    }
  for (const kind of joint.things ?? []) {
    const count = question.things?.find((one) => one.kind === kind)?.count ?? 0
    const mine = { fromS: startS, untilS: endS + (joint.keepS ?? 0) }
    const others = placed
      .filter((one) => one.joint.things?.includes(kind))
      .map((one) => ({ fromS: one.startS, untilS: one.endS + (one.joint.keepS ?? 0) }))
    const all = [...others, mine]
    if (all.some(({ fromS }) => all.filter((one) => one.fromS <= fromS && fromS < one.untilS).length > count))
      return []
  }
  const free = question.people.filter(
    (person) =>
      person.shifts.some((shift) => shift.fromS <= startS && endS <= shift.untilS) &&
      (!person.mayMake || !joint.kind || person.mayMake.includes(joint.kind)) &&
      (!joint.people || joint.people.includes(person.id)) &&
      !placed.some((one) => one.people.includes(person.id) && one.startS < endS && startS < one.endS),
  )
  return subsets(
    free.map(({ id }) => id),
    joint.hands ?? 1,
  )
}
