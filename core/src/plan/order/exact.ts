import { choices } from './choices.js'
import { endFrom, Room, readyOf, type Spot } from './room.js'
import { type Draft, valueOf } from './grow.js'
import type { OrderModel, Task } from './model.js'

const SPANS_AN_ORDER = 200
/**
 * Every plan in which no joint could begin sooner with the same people, in order of their starts (branch and bound): one
 * of them is among the best. Where a later end is ready sooner, the wait for it is a choice of its own.
 * @param known value to beat, epoch s. @param steps at most; then what was found is not proved.
 */
export class Exact {
  private best: Draft | null = null
  /** What looking at one order costs, in orders of a small job. */
  private readonly cost: number
  private left: number
  constructor(
    private readonly model: OrderModel,
    private beat: number,
    steps: number,
    /** People who are alike in all that matters have the same number. */
    private readonly alike: readonly number[],
  ) {
    this.left = steps
    this.cost = 1 + new Room(model).spans / SPANS_AN_ORDER
  }
  /** The best plan below the known value; null where there is none. `whole`: all was looked at. */
  run(): { best: Draft | null; whole: boolean } {
    // Places were taken to beat the value that was known: with a lower one, other places are the earliest.
    for (let before = NaN; this.left > 0 && before !== this.beat;) {
      before = this.beat
      this.lookAll()
    }
    return { best: this.best, whole: this.left > 0 }
  }
  private lookAll(): void {
    const { tasks, sections } = this.model
    this.visit({
      room: new Room(this.model),
      starts: new Float64Array(tasks.length).fill(NaN),
      people: tasks.map(() => []),
      placed: 0,
      lastS: -Infinity,
      lastTask: -1,
      ready: Float64Array.from(sections, ({ doneReadyS }) => doneReadyS),
    })
  }

  private visit(node: Node): void {
    if (this.left <= 0) return
    this.left -= this.cost
    const { tasks } = this.model
    if (node.placed === tasks.length) return this.keep(node)
    const heads = this.heads(node)
    if (!heads) return
    for (const task of tasks) {
      if (!Number.isNaN(node.starts[task.index] as number)) continue
      if (task.before.some(({ task: first }) => Number.isNaN(node.starts[first] as number))) continue
      const tried = new Set<string>()
      for (const who of choices(task.who, task.hands)) {
        const like = who
          .map((person) => `${this.alike[person]}:${node.room.spansOf(person).join()}`)
          .sort()
          .join(' ')
        if (tried.has(like)) continue
        tried.add(like)
        for (const spot of this.spots(node, task, who, heads[task.index] as number))
          this.visit(this.with(node, task, spot))
        if (this.left <= 0) return
      }
    }
  }
  /** Where a joint may go: the earliest place that is in time, and every later one that is ready sooner. */
  private spots(node: Node, task: Task, who: readonly number[], headS: number): Spot[] {
    const out: Spot[] = []
    const last = this.model.aim === 'last-ready'
    const counts = (this.model.sections[task.section]?.weight ?? 1) > 0
    let targetS = last && counts ? this.beat - 1 : Infinity
    // Starts go up from joint to joint; of the same start the lower number first.
    const fromS = Math.max(headS, node.lastTask > task.index ? node.lastS + 1 : node.lastS)
    for (;;) {
      const spot = node.room.spot(task, fromS, targetS, who)
      if (!spot) return out
      out.push(spot)
      // Where only the last one counts, whatever is in time is as good.
      if (last) return out
      targetS = readyOf(task, spot.startS) - 1
    }
  }
  private with(node: Node, task: Task, { startS, people }: Spot): Node {
    const room = node.room.copy()
    room.take(task, startS, people)
    const starts = node.starts.slice()
    starts[task.index] = startS
    const ready = node.ready.slice()
    ready[task.section] = Math.max(ready[task.section] as number, readyOf(task, startS))
    return {
      room,
      starts,
      people: node.people.map((makers, i) => (i === task.index ? people : makers)),
      placed: node.placed + 1,
      lastS: startS,
      lastTask: task.index,
      ready,
    }
  }
  /** Earliest starts of what is left; null where nothing better can come of it. */
  private heads({ room, starts, lastS, ready }: Node): Float64Array | null {
    const { tasks } = this.model
    const soonest = ready.slice()
    const heads = new Float64Array(tasks.length)
    const settled = new Uint8Array(tasks.length)
    const head = (task: Task): number => {
      if (!Number.isNaN(starts[task.index] as number)) return starts[task.index] as number
      if (settled[task.index]) return heads[task.index] as number
      let fromS = lastS
      for (const { task: first, lagS } of task.before) {
        const other = tasks[first] as Task
        fromS = Math.max(fromS, head(other) + other.workS + lagS)
      }
      settled[task.index] = 1
      heads[task.index] = room.spot(task, fromS, Infinity)?.startS ?? Infinity
      return heads[task.index] as number
    }
    for (const task of tasks) {
      if (!Number.isNaN(starts[task.index] as number)) continue
      const startS = head(task)
      if (startS === Infinity) return null
      const readyS = soonestReady(task, startS + task.workS)
      soonest[task.section] = Math.max(soonest[task.section] as number, readyS)
    }
    return valueOf(this.model, soonest) < this.beat ? heads : null
  }
  private keep({ starts, people, ready }: Node): void {
    const valueS = valueOf(this.model, ready)
    if (valueS >= this.beat) return
    this.beat = valueS
    this.best = { starts, people, late: [], unplaced: [], ready, valueS, overS: 0 }
  }
}
interface Node {
  room: Room
  starts: Float64Array
  people: number[][]
  placed: number
  lastS: number
  lastTask: number
  ready: Float64Array
}
/** The soonest a joint is ready if it ends at `endS` or later, epoch s. */
export function soonestReady(task: Task, endS: number): number {
  let bestS = readyOf(task, endS - task.workS)
  for (const segment of task.table) {
    if (segment.fromS <= endS) continue
    const atS = endFrom(task, segment.fromS, bestS - 1)
    if (atS === Infinity) return bestS
    bestS = readyOf(task, atS - task.workS)
  }
  return bestS
}
