import { smallest } from '../../units/extent.js'
import { soonestReady } from './exact.js'
import type { OrderModel } from './model.js'

/** Every order of sections is looked at by what it leaves out: 2 to this many sets. */
const MOST_SECTIONS = 14

/** The first moment by which all people together were there for so long, epoch s. */
function staffedFor(model: OrderModel, workS: number): number {
  const spans = model.people
    .flatMap(({ shifts }) => shifts)
    .map(({ fromS, untilS }) => ({ fromS: Math.max(fromS, model.startS), untilS }))
    .filter(({ fromS, untilS }) => untilS > fromS)
  const turns = [...new Set(spans.flatMap(({ fromS, untilS }) => [fromS, untilS]))].sort((a, b) => a - b)
  let left = workS
  let atS = model.startS
  for (const [i, fromS] of turns.entries()) {
    const untilS = turns[i + 1]
    if (left <= 0 || untilS === undefined) break
    const hands = spans.filter((span) => span.fromS <= fromS && span.untilS >= untilS).length
    const here = hands * (untilS - fromS)
    atS = here >= left ? fromS + left / hands : untilS
    left -= here
  }
  return left > 0 ? Infinity : Math.floor(atS)
}

/**
 * No plan has a lower sum over sections of weight × when it is ready: whichever sections are worked off first, all their
 * work must have been done by then (Smith's rule with shifts, over every order by sets of sections).
 * @param alone when each section is ready at the earliest for itself, epoch s.
 */
export function weightedBound(model: OrderModel, alone: readonly number[]): number | null {
  const { tasks, startS } = model
  // What counts for nothing may come after all.
  const counted = model.sections.flatMap(({ weight }, at) => (weight > 0 ? [{ weight, at }] : []))
  const count = counted.length
  if (count > MOST_SECTIONS) return null
  const own = counted.map(({ at }) => tasks.filter((task) => task.section === at))
  const work = own.map((group) =>
    group
      .filter((task) => task.fixedS === null || task.fixedS >= startS)
      .reduce((sum, task) => sum + task.workS * task.hands, 0),
  )
  // When a section whose last joint ends then, or later, is ready.
  const readyFrom = (section: number, endS: number): number =>
    smallest((own[section] ?? []).map((task) => soonestReady(task, endS)))
  const least = new Float64Array(1 << count).fill(Infinity)
  least[0] = 0
  for (let set = 1; set < 1 << count; set++) {
    let all = 0
    for (let section = 0; section < count; section++) if (set & (1 << section)) all += work[section] as number
    const endS = staffedFor(model, all)
    for (let section = 0; section < count; section++) {
      if (!(set & (1 << section))) continue
      const withWork = (own[section] ?? []).length > 0
      const readyS = Math.max(
        alone[counted[section]?.at ?? 0] as number,
        withWork ? readyFrom(section, endS) : -Infinity,
      )
      const sum =
        (least[set & ~(1 << section)] as number) + (counted[section]?.weight ?? 1) * (readyS - startS)
      if (sum < (least[set] as number)) least[set] = sum
    }
  }
  const weights = counted.reduce((sum, { weight }) => sum + weight, 0)
  return startS + (least[(1 << count) - 1] as number) / weights
}
