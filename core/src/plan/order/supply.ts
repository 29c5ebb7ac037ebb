import { smallest } from '../../units/extent.js'
import { lastHolding } from '../../units/search.js'
import { gcd } from './grid.js'
import type { OrderModel, Task } from './model.js'

/** Groups of people that are looked at by themselves, besides everybody together. */
const MOST_GROUPS = 12
/** So many shifts are gone through each time; more are only summed up. */
const MOST_SPANS = 600
interface FilledSpan {
  fromS: number
  untilS: number
  /** Most of it that works fill, seconds. */
  fullS: number
}

/** People, or one thing, that a set of joints asks for: how much of it there is between two times. */
export interface Supply {
  tasks: readonly Task[]
  /** What a joint takes of it, seconds. */
  asks: (task: Task) => number
  /** How long it has it, beyond its work, seconds. */
  keeps: (task: Task) => number
  /** How much of that from `aS` on and before `bS` there is at most, seconds. */
  within: (aS: number, bS: number) => number
}

/** Most of a span that works of these lengths fill: no sum of them comes nearer to it. Seconds. */
function filled(spanS: number, works: readonly number[]): number {
  const unit = works.reduce(gcd, 0)
  const room = Math.floor(spanS / unit)
  // A span longer than all of them is as full as can be told; a fine grid is left as it is.
  if (room > 5000) return spanS
  const sums = new Uint8Array(room + 1)
  sums[0] = 1
  for (const workS of works) {
    const step = workS / unit
    for (let at = room; at >= step; at--) if (sums[at - step]) sums[at] = 1
  }
  return sums.lastIndexOf(1) * unit
}

function peopleSupply(
  model: OrderModel,
  group: readonly number[],
  tasks: readonly Task[],
  all: readonly Task[],
): Supply {
  const beganS = smallest([model.startS, ...fixedStarts(all)])
  const spans = group.flatMap((person) => {
    const works = all.filter((task) => task.who.includes(person)).map((task) => task.workS)
    return (model.people[person]?.shifts ?? []).map(({ fromS, untilS }) => {
      const sinceS = Math.max(fromS, beganS)
      return { fromS: sinceS, untilS, fullS: untilS > sinceS ? filled(untilS - sinceS, works) : 0 }
    })
  })
  const within = spans.length > MOST_SPANS ? staffedWithin(spans) : filledWithin(spans)
  return { tasks, asks: (task) => task.hands * task.workS, keeps: () => 0, within }
}
/** Of whole shifts what works of these lengths fill of them, of the others what lies inside. */
const filledWithin =
  (spans: readonly FilledSpan[]): Supply['within'] =>
  (aS, bS) => {
    let sum = 0
    for (const { fromS, untilS, fullS } of spans) {
      if (untilS <= aS || fromS >= bS || untilS <= fromS) continue
      sum += fromS >= aS && untilS <= bS ? fullS : Math.min(untilS, bS) - Math.max(fromS, aS)
    }
    return sum
  }
/** All staffed time that lies inside: looked up, where there are too many shifts to go through each time. */
function staffedWithin(spans: readonly FilledSpan[]): Supply['within'] {
  const turns = spans
    .filter(({ fromS, untilS }) => untilS > fromS)
    .flatMap(({ fromS, untilS }) => [
      { atS: fromS, hands: 1 },
      { atS: untilS, hands: -1 },
    ])
    .sort((one, other) => one.atS - other.atS)
  const sums: number[] = []
  const hands: number[] = []
  turns.forEach((turn, i) => {
    const before = turns[i - 1]
    const here = hands[i - 1] ?? 0
    sums.push((sums[i - 1] ?? 0) + (before ? here * (turn.atS - before.atS) : 0))
    hands.push(here + turn.hands)
  })
  const until = (atS: number): number => {
    const at = lastHolding(-1, turns.length - 1, (i) => (turns[i]?.atS ?? Infinity) <= atS)
    if (at < 0) return 0
    return (sums[at] as number) + (hands[at] as number) * (atS - (turns[at]?.atS ?? atS))
  }
  return (aS, bS) => until(bS) - until(aS)
}
const fixedStarts = (tasks: readonly Task[]): number[] =>
  tasks.flatMap((task) => (task.fixedS === null ? [] : [task.fixedS]))

/** Everything that several joints ask for; of many groups of people those whom the most joints ask for. */
export function suppliesOf(model: OrderModel): Supply[] {
  const groups = new Map<string, readonly number[]>()
  for (const task of model.tasks) groups.set(task.who.join(), task.who)
  const everybody = model.people.map((_, i) => i)
  groups.delete(everybody.join())
  const asked = (group: readonly number[]): number =>
    model.tasks.filter((task) => task.who.length === group.length && task.who.join() === group.join()).length
  const often = [...groups.values()].sort((one, other) => asked(other) - asked(one)).slice(0, MOST_GROUPS)
  const people = [...often, everybody].map((group) => {
    const inside = new Set(group)
    const own = model.tasks.filter((task) => task.who.every((person) => inside.has(person)))
    return peopleSupply(model, group, own, model.tasks)
  })
  const things = model.things.map((thing, i): Supply => ({
    tasks: model.tasks.filter((task) => task.things.includes(i)),
    asks: (task) => task.workS + task.keepS,
    keeps: (task) => task.keepS,
    within: (aS, bS) => thing.count * (bS - aS),
  }))
  return [...people, ...things].filter(({ tasks }) => tasks.length > 1)
}
