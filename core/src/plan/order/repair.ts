import { type Draft, type Grower, valueOf } from './grow.js'
import type { OrderModel, Task } from './model.js'
import { type Room, type Spot, readyOf } from './room.js'

/** Joints taken out and put in again at one time, at most. */
const MOST_OUT = 9
const TRIES = 4

/**
 * A plan with a pool: what is not ready in time lies in the pool, all else stands. A few joints near some time are taken
 * out and put in again in other orders, with the pool, until less is left of it (large neighbourhood search).
 */
export class Repair {
  private starts: Float64Array
  private people: number[][]
  private room: Room
  private pool: number[] = []
  steps = 0
  constructor(
    private readonly model: OrderModel,
    private readonly base: Room,
    private readonly fixed: ReadonlyMap<number, Spot>,
    private readonly grower: Grower,
    draft: Draft,
    private readonly targets: Float64Array,
    private readonly random: () => number,
  ) {
    this.starts = draft.starts.slice()
    this.people = draft.people.map((makers) => [...makers])
    for (const task of model.tasks) {
      const startS = this.starts[task.index] as number
      const targetS = targets[task.section] as number
      if (!Number.isNaN(startS) && readyOf(task, startS) <= targetS) continue
      if (fixed.has(task.index)) continue
      this.starts[task.index] = NaN
      this.pool.push(task.index)
    }
    this.room = this.roomOf()
  }
  /** How much work lies in the pool. */
  get left(): number {
    return this.pool.reduce((sum, index) => sum + this.weight(index), 0)
  }
  private weight(index: number): number {
    const task = this.model.tasks[index] as Task
    return task.workS * task.hands
  }
  private roomOf(): Room {
    const room = this.base.copy()
    for (const task of this.model.tasks)
      if (!Number.isNaN(this.starts[task.index] as number) && !this.fixed.has(task.index))
        room.take(task, this.starts[task.index] as number, this.people[task.index] as number[])
    return room
  }

  /** One change: true where nothing is left in the pool. */
  step(): boolean {
    if (!this.pool.length) return true
    const out = this.takenOut()
    const kept = { starts: this.starts, people: this.people, room: this.room, pool: this.pool }
    const before = this.left
    this.starts = kept.starts.slice()
    for (const index of out) this.starts[index] = NaN
    const bare = { starts: this.starts, room: this.roomOf() }
    const inOrder = [...new Set([...this.pool, ...out])]
    let best: (typeof kept & { left: number }) | null = null
    for (let attempt = 0; attempt < TRIES; attempt++) {
      this.starts = bare.starts.slice()
      this.people = kept.people.slice()
      this.room = bare.room.copy()
      this.pool = this.putIn(inOrder)
      const left = this.left
      if (!best || left < best.left)
        best = { starts: this.starts, people: this.people, room: this.room, pool: this.pool, left }
      if (left === 0) break
    }
    const better = best && (best.left <= before || this.random() < 0.01) ? best : kept
    this.starts = better.starts
    this.people = better.people
    this.room = better.room
    this.pool = better.pool
    return this.pool.length === 0
  }
  /** The plan, once nothing is left in the pool. */
  draft(): Draft {
    const ready = Float64Array.from(this.model.sections, ({ doneReadyS }) => doneReadyS)
    for (const task of this.model.tasks)
      ready[task.section] = Math.max(
        ready[task.section] as number,
        readyOf(task, this.starts[task.index] as number),
      )
    return {
      starts: this.starts,
      people: this.people,
      late: [],
      unplaced: [],
      ready,
      valueS: valueOf(this.model, ready),
      overS: 0,
    }
  }

  /** Joints near one time, most often one at which something of the pool might go. */
  private takenOut(): number[] {
    const { tasks } = this.model
    const placed = tasks.filter(
      (task) => !Number.isNaN(this.starts[task.index] as number) && !this.fixed.has(task.index),
    )
    if (!placed.length) return []
    const wanted = tasks[this.pool[Math.floor(this.random() * this.pool.length)] as number] as Task
    const anchor = placed[Math.floor(this.random() * placed.length)] as Task
    const atS = this.starts[anchor.index] as number
    const able = new Set(wanted.who)
    const near = (task: Task): number => {
      const apart = Math.abs((this.starts[task.index] as number) - atS)
      const other = (this.people[task.index] as number[]).some((person) => able.has(person)) ? 0 : 4 * 3600
      const kin =
        task.before.some(({ task: first }) => first === wanted.index) ||
        task.next.some(({ task: later }) => later === wanted.index)
          ? -8 * 3600
          : 0
      return apart + other + kin + this.random() * 2 * 3600
    }
    const count = 2 + Math.floor(this.random() * (MOST_OUT - 1))
    return placed
      .map((task) => ({ index: task.index, by: near(task) }))
      .sort((one, other) => one.by - other.by)
      .slice(0, count)
      .map(({ index }) => index)
  }
  /** Puts joints in, one after the other in a chance order, the long ones rather first. Gives back what found no room. */
  private putIn(indices: readonly number[]): number[] {
    const { tasks } = this.model
    const order = indices
      .map((index) => ({ task: tasks[index] as Task, key: -this.weight(index) * (0.15 + this.random()) }))
      .sort((one, other) => one.key - other.key)
    const left: number[] = []
    for (const { task } of order) {
      this.steps += 1 + task.who.length
      let fromS = -Infinity
      let untilS = Infinity
      for (const { task: first, lagS } of task.before) {
        const startS = this.starts[first] as number
        if (!Number.isNaN(startS)) fromS = Math.max(fromS, startS + (tasks[first] as Task).workS + lagS)
      }
      for (const { task: later, lagS } of task.next) {
        const startS = this.starts[later] as number
        if (!Number.isNaN(startS)) untilS = Math.min(untilS, startS - lagS)
      }
      const targetS = this.targets[task.section] as number
      let spot = this.random() < 0.25 ? this.room.spotUntil(task, untilS, targetS) : null
      if (!spot || spot.startS < fromS) spot = this.room.spot(task, fromS, targetS, task.who, untilS)
      if (!spot) {
        left.push(task.index)
        continue
      }
      const makers = this.grower.makers(task, spot, this.room, -1)
      this.starts[task.index] = spot.startS
      this.people[task.index] = makers
      this.room.take(task, spot.startS, makers)
    }
    return left
  }
}
