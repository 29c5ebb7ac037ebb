import { greatest, smallest } from '../../units/extent.js'
import { readyAfter, segmentAt } from './model.js'
import type { OrderModel, Segment, Task } from './model.js'
import { withinFrom, withinUntil } from './within.js'

/** A place for a joint: when it begins, and who makes it. */
export interface Spot {
  startS: number
  people: number[]
}
/** Free time of one person, in order: from, until, group of the work before and after it, from, until … */
type Free = number[]
const FIELDS = 4
/** Nothing stands at that end, or what belongs to no group: no way is reckoned. */
const NO_GROUP = -1

/** Time lost between work of two groups: on the way, and setting up. */
const wayS = (one: number, other: number, walkS: number): number =>
  one === NO_GROUP || other === NO_GROUP || one === other ? 0 : walkS
/** When work of a group may begin in a free span, and by when it must have ended there. */
const openS = (free: Free, i: number, { group }: Task, walkS: number): number =>
  (free[i] as number) + wayS(free[i + 2] as number, group, walkS)
const closeS = (free: Free, i: number, { group }: Task, walkS: number): number =>
  (free[i + 1] as number) - wayS(free[i + 3] as number, group, walkS)

/** Earliest start at or after `fromS` with so much free time; Infinity: never. */
function freeFrom(free: Free, fromS: number, task: Task, walkS: number): number {
  const { workS } = task
  for (let i = 0; i < free.length; i += FIELDS) {
    if ((free[i + 1] as number) - fromS < workS) continue
    const startS = Math.max(openS(free, i, task, walkS), fromS)
    if (closeS(free, i, task, walkS) - startS >= workS) return startS
  }
  return Infinity
}
/** Latest start so that the work has ended by `endS`; -Infinity: never. */
function freeUntil(free: Free, endS: number, task: Task, walkS: number): number {
  const { workS } = task
  for (let i = free.length - FIELDS; i >= 0; i -= FIELDS) {
    if (endS - (free[i] as number) < workS) continue
    const startS = Math.min(closeS(free, i, task, walkS), endS) - workS
    if (startS >= openS(free, i, task, walkS)) return startS
  }
  return -Infinity
}
/** Takes a span out of free time, for work of a group. */
function take(free: Free, fromS: number, untilS: number, group: number): void {
  for (let i = 0; i < free.length; i += FIELDS) {
    const aS = free[i] as number
    const bS = free[i + 1] as number
    if (aS > fromS || bS < untilS) continue
    if (aS === fromS && bS === untilS) free.splice(i, FIELDS)
    else if (aS === fromS) {
      free[i] = untilS
      free[i + 2] = group
    } else {
      const after = free[i + 3] as number
      free[i + 1] = fromS
      free[i + 3] = group
      if (untilS < bS) free.splice(i + FIELDS, 0, untilS, bS, group, after)
    }
    return
  }
}

/** Free time of everybody and what is taken of every thing, while a plan grows. */
export class Room {
  private readonly free: Free[]
  /** Of each thing: from, until, from, until …, as they were taken. */
  private readonly taken: number[][]
  constructor(
    private readonly model: OrderModel,
    from?: Room,
  ) {
    this.free = from
      ? from.free.map((free) => free.slice())
      : model.people.map(({ shifts }) =>
          shifts.flatMap((shift) => [shift.fromS, shift.untilS, NO_GROUP, NO_GROUP]),
        )
    this.taken = from ? from.taken.map((taken) => taken.slice()) : model.things.map(() => [])
  }
  copy(): Room {
    return new Room(this.model, this)
  }
  /** How many free spans there are of all people. */
  get spans(): number {
    return this.free.reduce((sum, free) => sum + free.length / FIELDS, 0)
  }
  /** Free spans of one person, and what stands beside them. */
  spansOf(person: number): readonly number[] {
    return this.free[person] as Free
  }

  /** Earliest time at or after `fromS` at which enough of `who` are free together; Infinity: never. */
  peopleFrom(task: Task, fromS: number, who: readonly number[] = task.who): number {
    if (task.hands === 1) {
      let soonestS = Infinity
      for (const person of who) {
        const startS = freeFrom(this.free[person] as Free, fromS, task, this.model.walkS)
        if (startS === fromS) return startS
        if (startS < soonestS) soonestS = startS
      }
      return soonestS
    }
    let atS = fromS
    for (;;) {
      const starts = who.map((person) => freeFrom(this.free[person] as Free, atS, task, this.model.walkS))
      starts.sort((one, other) => one - other)
      const lastS = starts[task.hands - 1] ?? Infinity
      // All of them from the same second on, else look again from there.
      if (lastS === Infinity || starts.filter((startS) => startS === atS).length >= task.hands) return lastS
      if (lastS === atS) return atS
      atS = lastS
    }
  }
  /** Latest start at or before `untilS − work` at which enough are free together; -Infinity: never. */
  peopleUntil(task: Task, endS: number): number {
    if (task.hands === 1) {
      let latestS = -Infinity
      for (const person of task.who)
        latestS = Math.max(latestS, freeUntil(this.free[person] as Free, endS, task, this.model.walkS))
      return latestS
    }
    let atS = endS
    for (;;) {
      const starts = task.who.map((person) =>
        freeUntil(this.free[person] as Free, atS, task, this.model.walkS),
      )
      starts.sort((one, other) => other - one)
      const lastS = starts[task.hands - 1] ?? -Infinity
      if (lastS === -Infinity || task.hands === 1) return lastS
      if (starts.filter((startS) => startS === atS - task.workS).length >= task.hands) return lastS
      if (lastS === atS - task.workS) return lastS
      atS = lastS + task.workS
    }
  }
  /** Those of `who` who are free all through. */
  freeAt(task: Task, startS: number, who: readonly number[] = task.who): number[] {
    const out: number[] = []
    for (const person of who)
      if (freeFrom(this.free[person] as Free, startS, task, this.model.walkS) === startS) out.push(person)
    return out
  }
  /** How much of a person's free span after `endS` would be left over. */
  slackAfter(person: number, endS: number): number {
    const free = this.free[person] as Free
    for (let i = 0; i < free.length; i += FIELDS)
      if ((free[i] as number) < endS && (free[i + 1] as number) >= endS) return (free[i + 1] as number) - endS
    return 0
  }
  /** How much of a person's free span before `startS` would be left over. */
  slackBefore(person: number, startS: number): number {
    const free = this.free[person] as Free
    for (let i = 0; i < free.length; i += FIELDS)
      if ((free[i] as number) <= startS && (free[i + 1] as number) > startS)
        return startS - (free[i] as number)
    return 0
  }

  /** Earliest time at or after `fromS` at which every thing it needs can be had all through. */
  private thingsFrom(task: Task, fromS: number): number {
    let atS = fromS
    const lasts = task.workS + task.keepS
    for (let again = true; again;) {
      again = false
      for (const thing of task.things) {
        const laterS = this.thingFrom(thing, atS, lasts)
        if (laterS > atS) {
          atS = laterS
          again = true
        }
      }
    }
    return atS
  }
  private thingFrom(thing: number, fromS: number, lasts: number): number {
    const taken = this.taken[thing] as number[]
    const count = this.model.things[thing]?.count ?? 0
    let atS = fromS
    for (;;) {
      const over = overlapping(taken, atS, atS + lasts)
      if (over.length < count || mostAtOnce(over) < count) return atS
      atS = smallest(over.map(([, untilS]) => untilS))
    }
  }

  /**
   * Earliest place of a joint that is ready by `targetS`, not before `fromS` and ended by `untilS`; null: there is none.
   * Where a later end is ready sooner, it waits for it.
   */
  spot(
    task: Task,
    fromS: number,
    targetS: number,
    who: readonly number[] = task.who,
    untilS = Infinity,
  ): Spot | null {
    let startS = Math.max(fromS, task.earliestS)
    for (;;) {
      const endS = endFrom(task, startS + task.workS, targetS)
      if (endS === Infinity || endS > untilS) return null
      startS = endS - task.workS
      if (task.fixedS !== null && startS > task.fixedS) return null
      const peopleS = this.peopleFrom(task, startS, who)
      if (peopleS === Infinity) return null
      const mayS = withinFrom(task.within, peopleS, task.workS)
      if (mayS === Infinity) return null
      const bothS = task.things.length ? this.thingsFrom(task, mayS) : mayS
      if (bothS === startS) return { startS, people: this.freeAt(task, startS, who) }
      startS = bothS
    }
  }
  /** Latest time at or before `untilS` from which every thing it needs can be had all through. */
  private thingsUntil(task: Task, untilS: number): number {
    let atS = untilS
    const lasts = task.workS + task.keepS
    for (let again = true; again;) {
      again = false
      for (const thing of task.things) {
        const over = overlapping(this.taken[thing] as number[], atS, atS + lasts)
        const count = this.model.things[thing]?.count ?? 0
        if (over.length < count || mostAtOnce(over) < count) continue
        atS = greatest(over.map(([fromS]) => fromS)) - lasts
        again = true
      }
    }
    return atS
  }
  /** Latest place of a joint that has ended by `untilS` and is ready by `targetS`; null: there is none. */
  spotUntil(task: Task, untilS: number, targetS: number): Spot | null {
    let endS = untilS
    for (;;) {
      endS = endUntil(task, endS, targetS)
      if (endS - task.workS < task.earliestS) return null
      const peopleS = this.peopleUntil(task, endS)
      const mayS = withinUntil(task.within, peopleS, task.workS)
      if (peopleS < task.earliestS || mayS < task.earliestS) return null
      const bothS = task.things.length ? this.thingsUntil(task, mayS) : mayS
      if (bothS + task.workS === endS) return { startS: bothS, people: this.freeAt(task, bothS) }
      endS = bothS + task.workS
    }
  }
  take(task: Task, startS: number, people: readonly number[]): void {
    for (const person of people) take(this.free[person] as Free, startS, startS + task.workS, task.group)
    for (const thing of task.things)
      (this.taken[thing] as number[]).push(startS, startS + task.workS + task.keepS)
  }
}

/** Those of what is taken that run into a span. */
function overlapping(taken: readonly number[], fromS: number, untilS: number): [number, number][] {
  const over: [number, number][] = []
  for (let i = 0; i < taken.length; i += 2)
    if ((taken[i] as number) < untilS && (taken[i + 1] as number) > fromS)
      over.push([taken[i] as number, taken[i + 1] as number])
  return over
}
/** Most of these spans that run at one time. */
function mostAtOnce(spans: readonly [number, number][]): number {
  let most = 0
  for (const [fromS] of spans)
    most = Math.max(most, spans.filter(([aS, bS]) => aS <= fromS && fromS < bS).length)
  return most
}

/** Earliest end at or after `fromS` that may be, and is ready by `targetS`; Infinity: none. */
export function endFrom(task: Task, fromS: number, targetS: number): number {
  const { table } = task
  const byS = Math.min(targetS, task.readyByS)
  const atLeastS = task.fixedS === null ? fromS : Math.max(fromS, task.fixedS + task.workS)
  for (let i = segmentAt(table, atLeastS); i < table.length; i++) {
    const segment = table[i] as Segment
    const endS = Math.max(atLeastS, segment.fromS)
    if (endS > task.latestEndS || endS > byS) return Infinity
    if (endS + segment.afterS <= byS) return endS
  }
  return Infinity
}
/** Latest end at or before `untilS` that may be, and is ready by `targetS`; -Infinity: none. */
export function endUntil(task: Task, untilS: number, targetS: number): number {
  const { table } = task
  const byS = Math.min(targetS, task.readyByS)
  const atMostS = Math.min(
    untilS,
    byS,
    task.latestEndS,
    task.fixedS === null ? Infinity : task.fixedS + task.workS,
  )
  for (let i = segmentAt(table, atMostS); i >= 0; i--) {
    const segment = table[i] as Segment
    const endS = Math.min(atMostS, segment.lastS, byS - segment.afterS)
    if (endS >= segment.fromS) return endS
  }
  return -Infinity
}
/** Ready times of a place. */
export const readyOf = (task: Task, startS: number): number =>
  startS + task.workS + readyAfter(task.table, startS + task.workS)
