import type { Item } from '../../log/state.js'
import { partOf } from '../../parts/ends.js'
import type { EndAt } from '../../parts/neighbours.js'
import type { Code } from '../../sources/wording.js'
import { type Course, bentTowards, courseOf, turned } from '../../space/heading.js'
import { type Vector, cross, dot, plus, times, unit } from '../../space/vector.js'

/** What a way does at a part, and what cannot be or is not known of it. */
export interface Found<T> {
  value: T
  fault: { code: Code; stops: boolean; params: Readonly<Record<string, string>> } | null
}
const found = <T>(value: T): Found<T> => ({ value, fault: null })
const not = <T>(value: T, code: Code, stops: boolean, heading = ''): Found<T> => ({
  value,
  fault: { code, stops, params: { heading } },
})

/** The way behind an elbow; null where nobody said where it turns. */
export function throughElbow(item: Item, course: Course | null, angleDeg: number): Found<Course | null> {
  if (!course) return found(null)
  if (!item.heading) return not(null, 'space-no-turn', false)
  const to = turned(course, item.heading, angleDeg)
  return to.ok ? found(courseOf(to.way, course.level)) : not(null, to.fault, true, item.heading)
}

/** A wye's branch leaves at this, a tee's at a right angle. */
const WYE_DEG = 45
/** Ways out of the branches of a fitting: the second of a cross goes to the other side. */
export function branchWays(item: Item, course: Course | null): Found<Partial<Record<EndAt, Vector>>> {
  if (!course || !item.heading) return found({})
  const to = turned(course, item.heading, partOf(item).name.endsWith('wye') ? WYE_DEG : 90)
  if (!to.ok) return not({}, to.fault, true, item.heading)
  const along = times(course.way, 2 * dot(to.way, course.way))
  return found({ 2: to.way, 3: plus(along, times(to.way, -1)) })
}

/** A bent tube from apex to apex, and how the way goes on behind it. */
export interface BentWay {
  viaMm: Vector[]
  atMm: Vector
  course: Course | null
}
/**
 * The way of a bent tube: its first turn goes where was said, else to its side; the others in the same plane.
 * @param legsMm centre or end to apex, apex to apex, apex to centre or end.
 */
export function throughBends(
  item: Item,
  fromMm: Vector,
  course: Course,
  legsMm: readonly number[],
): Found<BentWay> {
  const turnsDeg = item.bend?.turnsDeg ?? []
  const first = turnsDeg[0] ?? 0
  const heading = item.heading ?? (first > 0 ? 'left' : 'right')
  const to = turned(course, heading, Math.min(Math.abs(first), 1))
  const axis = to.ok ? unit(cross(course.way, to.way)) : null
  const viaMm: Vector[] = []
  let own = course
  let atMm = plus(fromMm, times(own.way, legsMm[0] ?? 0))
  turnsDeg.forEach((turn, i) => {
    viaMm.push(atMm)
    if (axis) {
      const aside = times(cross(axis, own.way), turn > 0 === first > 0 ? 1 : -1)
      own = courseOf(bentTowards(own.way, aside, Math.abs(turn)), own.level)
    }
    atMm = plus(atMm, times(own.way, legsMm[i + 1] ?? 0))
  })
  const value = { viaMm, atMm, course: axis ? own : null }
  // Without a heading an upright tube may turn anywhere: not known. A wrong one cannot be.
  return to.ok ? found(value) : not(value, to.fault, item.heading !== undefined, heading)
}
