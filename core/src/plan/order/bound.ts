import type { OrderModel, Task } from './model.js'
import { Room, endUntil } from './room.js'
import { type Supply, suppliesOf } from './supply.js'
import { weightedBound } from './bound-weighted.js'
import { soonestReady } from './exact.js'
import { type Grid, downToGrid, gridOf, upToGrid } from './grid.js'
import { sectionsReady, targetsFor, valueOf } from './grow.js'

/** Between which times a joint lies in every plan that reaches a target: earliest end, latest end. */
export interface Windows {
  firstEnds: Float64Array
  lastEnds: Float64Array
}
/** Joints so that each stands after all that come before it. */
export function inOrder(model: OrderModel): Task[] {
  const waits = Int32Array.from(model.tasks, (task) => task.before.length)
  const out = model.tasks.filter((task) => task.before.length === 0)
  for (let i = 0; i < out.length; i++)
    for (const { task } of (out[i] as Task).next)
      if (--waits[task]! === 0) out.push(model.tasks[task] as Task)
  return out
}

/**
 * Windows of all joints where each section is to be ready by its target, epoch s; the number of the joint that cannot.
 * Each joint for itself: with staffed time, what comes before and after it, and the ends at which it is ready in time.
 */
export function windowsFor(
  model: OrderModel,
  order: readonly Task[],
  empty: Room,
  targets: ArrayLike<number>,
  grid: number,
): Windows | number {
  const firstEnds = new Float64Array(order.length)
  const lastEnds = new Float64Array(order.length)
  for (const task of order) {
    let fromS = -Infinity
    for (const { task: first, lagS } of task.before)
      fromS = Math.max(fromS, (firstEnds[first] as number) + lagS)
    const spot = empty.spot(task, fromS, targets[task.section] as number)
    if (!spot) return task.index
    firstEnds[task.index] = spot.startS + task.workS
  }
  for (let i = order.length - 1; i >= 0; i--) {
    const task = order[i] as Task
    let untilS = Infinity
    for (const { task: later, lagS } of task.next)
      untilS = Math.min(untilS, (lastEnds[later] as number) - (model.tasks[later] as Task).workS - lagS)
    const endS = lastEnd(empty, task, untilS, targets[task.section] as number, (atS) =>
      downToGrid(atS, model.startS, grid),
    )
    if (endS < (firstEnds[task.index] as number)) return task.index
    lastEnds[task.index] = endS
  }
  return { firstEnds, lastEnds }
}
/** Latest end, staffed and on the grid, at which a joint is ready by its target. */
function lastEnd(
  empty: Room,
  task: Task,
  untilS: number,
  targetS: number,
  onGrid: (atS: number) => number,
): number {
  let endS = untilS
  for (;;) {
    const inTimeS = endUntil(task, endS, targetS)
    if (inTimeS === -Infinity) return -Infinity
    const staffedS = onGrid(empty.peopleUntil(task, inTimeS) + task.workS)
    if (staffedS === endS || staffedS === -Infinity) return staffedS
    endS = staffedS
  }
}

const MOST_FOR_PARTS = 60
/** What lies between two times of what joints ask for, however they are moved within their windows, seconds. */
function askedWithin(aS: number, bS: number, firstS: number, lastS: number, longS: number): number {
  // Of unbroken work at least what lies inside when it is as early, or as late, as it can be.
  const early = Math.min(bS, firstS + longS) - Math.max(aS, firstS)
  const late = Math.min(bS, lastS) - Math.max(aS, lastS - longS)
  return Math.max(0, Math.min(early, late)) / longS
}
/** Do joints ask for more of it between two times than there is? Then no plan lies within these windows. */
function overAsked({ tasks, asks, keeps, within }: Supply, { firstEnds, lastEnds }: Windows): boolean {
  const spans = tasks
    .map((task) => ({
      firstS: (firstEnds[task.index] as number) - task.workS,
      lastS: (lastEnds[task.index] as number) + keeps(task),
      longS: task.workS + keeps(task),
      asks: asks(task),
    }))
    .sort((one, other) => one.lastS - other.lastS)
  const inParts = spans.length <= MOST_FOR_PARTS
  for (const aS of new Set(spans.map(({ firstS }) => firstS))) {
    let asked = 0
    for (const [i, span] of spans.entries()) {
      if (span.firstS >= aS) asked += span.asks
      const bS = span.lastS
      if (bS <= aS || spans[i + 1]?.lastS === bS) continue
      let parts = 0
      if (inParts)
        for (const other of spans)
          if (other.firstS < aS || other.lastS > bS)
            parts += other.asks * askedWithin(aS, bS, other.firstS, other.lastS, other.longS)
      if (asked + parts > within(aS, bS) + 1e-6) return true
    }
  }
  return false
}

/** Says of targets whether no plan reaches them; then it is proved, else nothing is. */
export class Bounds {
  private readonly order: readonly Task[]
  private readonly empty: Room
  private readonly supplies: readonly Supply[]
  private readonly grid: Grid
  steps = 0
  constructor(private readonly model: OrderModel) {
    this.order = inOrder(model)
    this.empty = new Room(model)
    this.supplies = suppliesOf(model)
    this.grid = gridOf(model)
  }
  windows(targets: ArrayLike<number>): Windows | number {
    return windowsFor(this.model, this.order, this.empty, targets, this.grid.ends)
  }
  /** Is it proved that not all sections are ready by their targets? */
  refuted(targets: ArrayLike<number>): boolean {
    this.steps += this.model.tasks.length
    const windows = this.windows(targets)
    if (typeof windows === 'number') return true
    return this.supplies.some((supply) => overAsked(supply, windows))
  }
  /** When one section is ready at the earliest if the others take what they want, epoch s. */
  private sectionBound(section: number, lowS: number, highS: number): number {
    const at = (targetS: number): Float64Array =>
      Float64Array.from(this.model.sections, (_, i) => (i === section ? targetS : Infinity))
    return leastNotRefuted(lowS, highS, (targetS) => this.refuted(at(targetS)))
  }
  /**
   * No plan has a lower value than this. @param valueS of a plan that is known; Infinity: none is.
   */
  lower(valueS: number): number {
    const { model } = this
    const free = this.windows(new Float64Array(model.sections.length).fill(Infinity))
    if (typeof free === 'number') return valueS
    const ready = sectionsReady(model, (task) => soonestReady(task, free.firstEnds[task.index] as number))
    const simple = valueOf(model, ready)
    // Without a plan that is known nothing says how far to look.
    if (valueS === Infinity) return simple
    if (simple >= valueS) return valueS
    if (model.aim === 'last-ready') {
      const targetS = leastNotRefuted(Math.ceil(simple), valueS, (byS) =>
        this.refuted(targetsFor(model, byS)),
      )
      return Math.min(valueS, upToGrid(targetS, model.startS, this.grid.ready))
    }
    const weights = model.sections.reduce((sum, { weight }) => sum + weight, 0)
    const alone = Array.from(ready, (readyS, i) => {
      const weight = model.sections[i]?.weight ?? 1
      if (weight === 0) return readyS
      // Later than this it would be worse than the plan that is known, whatever the others do.
      const latestS = readyS + Math.ceil(((valueS - simple) * weights) / weight)
      return upToGrid(this.sectionBound(i, readyS, latestS), model.startS, this.grid.ready)
    })
    return Math.min(valueS, Math.max(valueOf(model, alone), weightedBound(model, alone) ?? -Infinity))
  }
}
/** Earliest whole second from `lowS` on that is not refuted; `highS` is known not to be, or counts as the end. */
function leastNotRefuted(lowS: number, highS: number, refuted: (targetS: number) => boolean): number {
  if (lowS >= highS || !refuted(lowS)) return lowS
  let badS = lowS
  let goodS = highS
  while (goodS - badS > 1) {
    const middleS = Math.floor((goodS + badS) / 2)
    if (refuted(middleS)) badS = middleS
    else goodS = middleS
  }
  return badS + 1
}
