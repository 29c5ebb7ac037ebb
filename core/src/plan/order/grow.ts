import { greatest } from '../../units/extent.js'
import type { OrderModel, Task } from './model.js'
import { Room, type Spot, readyOf } from './room.js'

/** Every joint in its place, or as many as went. */
export interface Draft {
  /** Start of each joint; NaN: it found no place. */
  starts: Float64Array
  people: number[][]
  /** Joints that are not ready by their target, those without a place among them. */
  late: number[]
  /** Joints that found no place within what must be. */
  unplaced: number[]
  /** When each section is ready, epoch s. */
  ready: Float64Array
  /** What is to be least, epoch s; only to be trusted where nothing is unplaced. */
  valueS: number
  /** How much work is in joints that are over their target. */
  overS: number
}
/** In which order joints are placed, the lowest first; who is rather asked; until when each section should be ready. */
export interface Wish {
  keys: Float64Array
  /** Number of a person who rather makes it; -1: nobody in particular. */
  rather: Int16Array
  targets: Float64Array
}

/** When each section is ready, epoch s. */
export function sectionsReady(model: OrderModel, readyS: (task: Task) => number): Float64Array {
  const out = Float64Array.from(model.sections, ({ doneReadyS }) => doneReadyS)
  for (const task of model.tasks) out[task.section] = Math.max(out[task.section] as number, readyS(task))
  return out
}
/** One target for all sections that count; the others have none. */
export const targetsFor = (model: OrderModel, targetS: number): Float64Array =>
  Float64Array.from(model.sections, ({ weight }) => (weight > 0 ? targetS : Infinity))
/** What is to be least. @param ready when each section is, epoch s. */
export function valueOf(model: OrderModel, ready: ArrayLike<number>): number {
  if (!model.sections.length) return model.startS
  if (model.aim === 'last-ready')
    return greatest(model.sections.flatMap(({ weight }, i) => (weight > 0 ? [ready[i] as number] : [])))
  let sum = 0
  let weights = 0
  model.sections.forEach(({ weight }, i) => {
    if (weight > 0) sum += weight * ((ready[i] as number) - model.startS)
    weights += weight
  })
  return model.startS + sum / weights
}

/** Where a joint is ready soonest of all places that are left. */
function soonestSpot(room: Room, task: Task, fromS: number): Spot | null {
  let best = room.spot(task, fromS, Infinity)
  for (let tries = 0; best && tries < 8; tries++) {
    const sooner = room.spot(task, fromS, readyOf(task, best.startS) - 1)
    if (!sooner) break
    best = sooner
  }
  return best
}

const SPANS_A_STEP = 400
/** Puts one joint after the other where it goes at the earliest (serial schedule generation). */
export class Grower {
  /** How many joints each person may make: the one who may make few is asked first. */
  private readonly skill: Int32Array
  /** Steps that going through all shifts counts for, where there are very many. */
  private readonly copying: number
  steps = 0
  constructor(
    private readonly model: OrderModel,
    /** With what is fixed in its place. */
    readonly base: Room,
    readonly fixed: ReadonlyMap<number, Spot>,
  ) {
    this.skill = new Int32Array(model.people.length)
    this.copying = Math.floor((model.tasks.length * base.spans) / SPANS_A_STEP)
    for (const task of model.tasks) for (const person of task.who) this.skill[person]!++
  }

  grow(wish: Wish): Draft {
    const { tasks, sections } = this.model
    const growth: Growth = {
      wish,
      room: this.base.copy(),
      waits: Int32Array.from(tasks, (task) => task.before.length),
      later: new Uint8Array(tasks.length),
      draft: {
        starts: new Float64Array(tasks.length).fill(NaN),
        people: tasks.map(() => []),
        late: [],
        unplaced: [],
        ready: Float64Array.from(sections, ({ doneReadyS }) => doneReadyS),
        valueS: NaN,
        overS: 0,
      },
    }
    this.steps += this.copying
    // What is not ready in time leaves its room to what is, and goes last.
    for (const task of this.inTime(growth)) this.placeLate(growth, task)
    const { draft } = growth
    draft.valueS = valueOf(this.model, draft.ready)
    return draft
  }
  /** Of those who are free, who makes it: whom one rather asks, then who may make least else and has waited least. */
  makers(task: Task, { people, startS }: Spot, room: Room, rather: number): number[] {
    if (people.length === task.hands) return people
    const rank = (person: number): number =>
      (person === rather ? -1e12 : 0) +
      (this.skill[person] as number) * 1e7 +
      room.slackBefore(person, startS)
    return people.sort((one, other) => rank(one) - rank(other) || one - other).slice(0, task.hands)
  }
  /** Places all that are ready by their targets; gives back the others, each after what comes before it. */
  private inTime(growth: Growth): Task[] {
    const { tasks } = this.model
    const { wish, room, waits, later, draft } = growth
    const open = tasks.filter((task) => task.before.length === 0).map((task) => task.index)
    const left: Task[] = []
    while (open.length) {
      const task = tasks[takeLowest(open, wish.keys)] as Task
      this.steps += 1 + task.who.length
      for (const { task: next } of task.next) if (--waits[next]! === 0) open.push(next)
      const held = this.fixed.get(task.index)
      const waitsForLate = task.before.some(({ task: first }) => later[first] === 1)
      const spot =
        held || waitsForLate
          ? null
          : room.spot(task, this.fromS(draft, task), wish.targets[task.section] as number)
      if (spot) this.put(growth, task, spot)
      else if (held && !waitsForLate && held.startS >= this.fromS(draft, task)) this.put(growth, task, held)
      else {
        later[task.index] = 1
        left.push(task)
      }
    }
    return left
  }
  private placeLate(growth: Growth, task: Task): void {
    const { draft, room } = growth
    this.steps += 2 * (1 + task.who.length)
    // Where what comes before found no place, this one finds one by itself, and the draft is broken anyway.
    const afterS = this.fromS(draft, task)
    const fromS = Number.isNaN(afterS) ? -Infinity : afterS
    const held = this.fixed.get(task.index)
    const spot = held ?? soonestSpot(room, task, fromS)
    if (spot === null || (held && held.startS < fromS)) {
      draft.unplaced.push(task.index)
      draft.late.push(task.index)
    }
    if (spot) this.put(growth, task, spot)
  }
  private fromS(draft: Draft, task: Task): number {
    let fromS = -Infinity
    for (const { task: first, lagS } of task.before)
      fromS = Math.max(
        fromS,
        (draft.starts[first] as number) + (this.model.tasks[first] as Task).workS + lagS,
      )
    return fromS
  }
  private put({ draft, room, wish }: Growth, task: Task, spot: Spot): void {
    const held = this.fixed.has(task.index)
    const makers = held ? spot.people : this.makers(task, spot, room, wish.rather[task.index] as number)
    draft.starts[task.index] = spot.startS
    draft.people[task.index] = makers
    if (!held) room.take(task, spot.startS, makers)
    const readyS = readyOf(task, spot.startS)
    if (readyS > (draft.ready[task.section] as number)) draft.ready[task.section] = readyS
    if (readyS <= (wish.targets[task.section] as number)) return
    // What is late counts by its work: less of it is nearer to none, by however much it is late.
    draft.overS +=
      task.workS * task.hands + Math.min(1, (readyS - (wish.targets[task.section] as number)) / 1e7)
    draft.late.push(task.index)
  }
  /**
   * The same joints, the last one first, each as late as it may be: what then begins first must begin first. Starts;
   * null where one finds no place.
   */
  latest(draft: Draft, targets: Float64Array): Float64Array | null {
    const { tasks } = this.model
    const room = this.base.copy()
    const starts = draft.starts.slice()
    const byEnd = tasks
      .filter((task) => !this.fixed.has(task.index))
      .sort(
        (one, other) =>
          (draft.starts[other.index] as number) +
            other.workS -
            (draft.starts[one.index] as number) -
            one.workS || other.index - one.index,
      )
    this.steps += 2 * tasks.length
    for (const task of byEnd) {
      let untilS = Infinity
      for (const { task: later, lagS } of task.next)
        untilS = Math.min(untilS, (starts[later] as number) - lagS)
      const spot = room.spotUntil(task, untilS, targets[task.section] as number)
      if (!spot) return null
      const rank = (person: number): number =>
        (this.skill[person] as number) * 1e7 + room.slackAfter(person, spot.startS + task.workS)
      const makers = spot.people.sort((one, other) => rank(one) - rank(other)).slice(0, task.hands)
      starts[task.index] = spot.startS
      room.take(task, spot.startS, makers)
    }
    return starts
  }
}
/** A draft on its way. */
interface Growth {
  wish: Wish
  room: Room
  /** How many of those before each joint were not looked at yet. */
  waits: Int32Array
  /** 1: it is not ready in time, and goes last. */
  later: Uint8Array
  draft: Draft
}
function takeLowest(open: number[], keys: Float64Array): number {
  let best = 0
  for (let i = 1; i < open.length; i++) {
    const one = open[i] as number
    const other = open[best] as number
    const by = (keys[one] as number) - (keys[other] as number)
    if (by < 0 || (by === 0 && one < other)) best = i
  }
  const [found] = open.splice(best, 1, open[open.length - 1] as number)
  open.pop()
  return found as number
}

/** Is a draft better: first all placed, then sooner, then less over its targets? */
export const better = (one: Draft, other: Draft): boolean =>
  one.unplaced.length !== other.unplaced.length
    ? one.unplaced.length < other.unplaced.length
    : one.valueS !== other.valueS
      ? one.valueS < other.valueS
      : one.overS < other.overS
