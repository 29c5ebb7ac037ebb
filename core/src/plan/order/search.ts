import type { Bounds } from './bound.js'
import { type Draft, type Grower, type Wish, better, targetsFor } from './grow.js'
import type { OrderModel } from './model.js'
import { seeded } from '../../units/seeded.js'
import { Repair } from './repair.js'

/** Changes tried under one set of targets, before it is set anew. */
const FEWEST_ROUND = 50
const MOST_ROUND = 250

/**
 * Looks for a good plan: joints are put in an order, each goes where it fits first, and the order is changed a little,
 * again and again, so that what is late comes earlier.
 */
export class Search {
  best: Draft | null = null
  private bestWish: Wish | null = null
  private readonly random = seeded(1)
  constructor(
    private readonly model: OrderModel,
    private readonly grower: Grower,
    private readonly bounds: Bounds,
  ) {}

  /** A plan that was good before stands first: another takes its place only where it is better. */
  beginWith(before: readonly { id: string; startS: number; people: readonly string[] }[]): void {
    const { tasks, people } = this.model
    const was = new Map(before.map((joint) => [joint.id, joint]))
    const person = new Map(people.map(({ id }, at) => [id, at]))
    this.tryOut({
      keys: ranked(Float64Array.from(tasks, ({ id }) => was.get(id)?.startS ?? Infinity)),
      rather: Int16Array.from(tasks, ({ id }) => person.get(was.get(id)?.people[0] ?? '') ?? -1),
      targets: this.same(Infinity),
    })
  }
  /** Orders that are good in the most cases, each tried once. */
  begin(lowS: number): void {
    const { tasks } = this.model
    const nobody = new Int16Array(tasks.length).fill(-1)
    const free = this.bounds.windows(this.same(Infinity))
    const aimed = this.bounds.windows(this.same(lowS))
    const firstEnds = typeof free === 'number' ? new Float64Array(tasks.length) : free.firstEnds
    const lastEnds = typeof aimed === 'number' ? this.tails() : aimed.lastEnds
    const orders = [
      Float64Array.from(tasks, (task, i) => (lastEnds[i] as number) - task.workS),
      this.tails(),
      Float64Array.from(tasks, (task) => -task.workS * task.hands),
      firstEnds,
    ]
    for (const keys of orders)
      for (const targets of [this.same(lowS), this.same(Infinity)])
        this.tryOut({ keys: ranked(keys), rather: nobody, targets })
  }
  /** Goes on until so many steps were made, or the value is reached. @param heard is told of every better plan. */
  go(steps: number, lowS: number): void {
    while (this.grower.steps < steps && this.best && this.bestWish && !this.reached(lowS))
      this.round(lowS, steps)
  }
  private reached(lowS: number): boolean {
    return this.best !== null && this.best.unplaced.length === 0 && this.best.valueS <= lowS
  }

  private round(lowS: number, steps: number): void {
    const targets = this.targets(lowS)
    const best = this.best as Draft
    if (this.random() < 0.5 && best.unplaced.length === 0) return this.repair(best, targets, steps)
    let wish: Wish = { ...(this.bestWish as Wish), targets }
    let now = this.tryOut(wish)
    // Pushed to the end and grown anew, it often stands closer than before.
    const latest = now.unplaced.length ? null : this.grower.latest(now, this.same(now.valueS))
    if (latest) {
      wish = { ...wish, keys: ranked(latest) }
      now = this.tryOut(wish)
    }
    const tries = this.tries()
    for (let i = 0; i < tries && this.grower.steps < steps; i++) {
      const next = this.changed(wish, now)
      const draft = this.tryOut(next)
      const by = (draft.unplaced.length - now.unplaced.length) * 1e6 + draft.overS - now.overS
      if (by > 0 && this.random() > 0.02) continue
      wish = next
      now = draft
      if (this.reached(lowS) || (now.unplaced.length === 0 && now.overS === 0)) return
    }
  }
  /** Takes what is late out of a plan and looks for room for it, a few joints at a time. */
  private repair(from: Draft, targets: Float64Array, steps: number): void {
    const { model, grower } = this
    const repair = new Repair(model, grower.base, grower.fixed, grower, from, targets, this.random)
    const before = grower.steps
    const tries = 2 * this.tries()
    for (let i = 0; i < tries && grower.steps < steps; i++) {
      const whole = repair.step()
      grower.steps = before + repair.steps
      if (!whole) continue
      const draft = repair.draft()
      if (better(draft, this.best as Draft)) this.keep(draft)
      return
    }
  }
  private keep(draft: Draft): void {
    this.best = draft
    this.bestWish = {
      keys: ranked(draft.starts),
      rather: Int16Array.from(draft.people, (makers) => makers[0] ?? -1),
      targets: draft.ready,
    }
  }
  private tries(): number {
    return FEWEST_ROUND + Math.floor(this.random() * (MOST_ROUND - FEWEST_ROUND))
  }
  private tryOut(wish: Wish): Draft {
    const draft = this.grower.grow(wish)
    if (!this.best || better(draft, this.best)) {
      this.best = draft
      this.bestWish = wish
    }
    return draft
  }
  /** Until when sections should be ready: a little, or much, sooner than in the best plan. */
  private targets(lowS: number): Float64Array {
    const best = this.best as Draft
    const { model } = this
    if (model.aim === 'last-ready') {
      const pick = this.random()
      if (best.unplaced.length) return this.same(pick < 0.5 ? Infinity : best.valueS)
      if (pick < 0.5) return this.same(best.valueS - 1)
      return this.same(pick < 0.7 ? lowS : lowS + Math.floor(this.random() * (best.valueS - lowS)))
    }
    const { ready } = best
    const sooner = Math.floor(this.random() * ready.length)
    return Float64Array.from(ready, (readyS, i) =>
      model.sections[i]?.weight === 0
        ? Infinity
        : i === sooner
          ? readyS - 1 - Math.floor(this.random() * 0.3 * Math.max(0, readyS - model.startS))
          : readyS + (this.random() < 0.3 ? Math.floor(this.random() * 4 * 3600) : 0),
    )
  }
  /** A few joints earlier or later in the order, and now and then in other hands. */
  private changed(wish: Wish, now: Draft): Wish {
    const { tasks } = this.model
    const keys = wish.keys.slice()
    const rather = wish.rather.slice()
    const any = (): number => Math.floor(this.random() * tasks.length)
    const { late } = now
    for (let moves = 1 + Math.floor(this.random() * 3); moves > 0; moves--) {
      const kind = this.random()
      const one =
        late.length && this.random() < 0.5 ? (late[Math.floor(this.random() * late.length)] ?? any()) : any()
      const other = any()
      if (kind < 0.45) {
        // Just before another, with all that must come before it.
        this.pull(keys, one, (keys[other] as number) - this.random())
      } else if (kind < 0.85) {
        const key = keys[one] as number
        keys[one] = keys[other] as number
        keys[other] = key
      } else if (kind < 0.93) keys[one] = (keys[other] as number) + this.random()
      else {
        const who = tasks[one]?.who ?? []
        rather[one] =
          who.length && this.random() < 0.7 ? (who[Math.floor(this.random() * who.length)] as number) : -1
      }
    }
    return { keys, rather, targets: wish.targets }
  }
  private pull(keys: Float64Array, index: number, key: number): void {
    if ((keys[index] as number) <= key) return
    keys[index] = key
    for (const { task } of this.model.tasks[index]?.before ?? []) this.pull(keys, task, key)
  }
  private same(targetS: number): Float64Array {
    return targetsFor(this.model, targetS)
  }
  /** What comes after a joint, itself, its set and its cure, the longest first. */
  private tails(): Float64Array {
    const known = new Map<number, number>()
    const tail = (index: number): number => {
      const had = known.get(index)
      if (had !== undefined) return had
      const task = this.model.tasks[index]
      if (!task) return 0
      known.set(index, 0)
      let longest = task.table.reduce((most, { afterS }) => Math.max(most, afterS), 0)
      for (const { task: later, lagS } of task.next) longest = Math.max(longest, lagS + tail(later))
      known.set(index, longest + task.workS)
      return longest + task.workS
    }
    return Float64Array.from(this.model.tasks, ({ index }) => -tail(index))
  }
}
/** Places in the order instead of keys. */
function ranked(keys: Float64Array): Float64Array {
  const out = new Float64Array(keys.length)
  Array.from(keys, (_, i) => i)
    .sort((one, other) => Number(keys[one]) - Number(keys[other]) || one - other)
    .forEach((index, place) => (out[index] = place))
  return out
}
