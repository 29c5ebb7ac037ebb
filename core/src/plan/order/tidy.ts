import type { Draft, Grower } from './grow.js'
import type { OrderModel } from './model.js'

/** Is nothing lost: all placed, and no section ready later? */
const asGood = (one: Draft, other: Draft): boolean =>
  one.unplaced.length === 0 &&
  one.valueS <= other.valueS &&
  one.ready.every((readyS, i) => readyS <= (other.ready[i] as number))

/** How often somebody goes from one group of joints to another. */
function ways(model: OrderModel, draft: Draft): number {
  let count = 0
  model.people.forEach((_, person) => {
    const own = model.tasks
      .filter((task) => draft.people[task.index]?.includes(person))
      .sort((one, other) => (draft.starts[one.index] as number) - (draft.starts[other.index] as number))
    own.forEach((task, i) => {
      if (i && task.group !== own[i - 1]?.group) count++
    })
  })
  return count
}

/**
 * The same plan with less going to and fro: joints that belong together one after the other in the same hands, as long
 * as nothing is ready later. What nobody would mind a computer doing, nobody would do.
 */
export function tidied(model: OrderModel, grower: Grower, draft: Draft): Draft {
  const groups = new Set(model.tasks.map(({ group }) => group))
  if (groups.size < 2) return draft
  const firstOf = new Map<number, number>()
  for (const { index, group } of model.tasks) {
    const startS = draft.starts[index] as number
    firstOf.set(group, Math.min(firstOf.get(group) ?? Infinity, startS))
  }
  const order = [...firstOf].sort((one, other) => one[1] - other[1]).map(([group]) => group)
  const place = new Map(order.map((group, i) => [group, i]))
  const hands = handsFor(model, order)
  const rather = Int16Array.from(model.tasks, ({ group }) => hands.get(group) ?? -1)
  const within = (key: number): number => (key - model.startS) / 1e8
  const tries = [
    // Group after group; what decides the time before all, then group after group; only in the same hands.
    model.tasks.map(({ index, group }) => (place.get(group) ?? 0) + within(draft.starts[index] as number)),
    model.tasks.map(
      ({ index, group, section }) =>
        (model.sections[section]?.id === null ? 1000 : 0) +
        (place.get(group) ?? 0) +
        within(draft.starts[index] as number),
    ),
    model.tasks.map(({ index }) => draft.starts[index] as number),
  ]
  let best = draft
  for (const keys of tries) {
    const found = grower.grow({ keys: Float64Array.from(keys), rather, targets: draft.ready })
    if (asGood(found, draft) && ways(model, found) < ways(model, best)) best = found
  }
  return best
}
/** Who rather makes each group: whoever has least work so far and may make all of it. */
function handsFor(model: OrderModel, order: readonly number[]): Map<number, number> {
  const load = model.people.map(() => 0)
  return new Map(
    order.flatMap((group): [number, number][] => {
      const own = model.tasks.filter((task) => task.group === group)
      const able = model.people.flatMap((_, person) =>
        own.every((task) => task.who.includes(person)) ? [person] : [],
      )
      const [chosen] = able.sort(
        (one, other) => (load[one] as number) - (load[other] as number) || one - other,
      )
      if (chosen === undefined) return []
      load[chosen] = (load[chosen] as number) + own.reduce((sum, { workS }) => sum + workS, 0)
      return [[group, chosen]]
    }),
  )
}
