import type { Item, Line } from '../log/state.js'
import { hasBranch, partOf } from '../parts/ends.js'
import { type EndAt, branchEnd, neighbours, rootOf } from '../parts/neighbours.js'
import { elbowAngle } from '../parts/vocabulary.js'
import type { Code } from '../sources/wording.js'
import { type Course, bentTowards, courseOf, fallen, turned } from './heading.js'
import { type Reaches, lengthBetween, reachBetween } from './reach.js'
import { type Vector, cross, dot, plus, times, unit } from './vector.js'

/** What stands at a known place of its own in the building, when a line begins. */
export interface Fixed {
  atMm: Vector
  /** How a way goes on there; null where nobody said. */
  way: Vector | null
  /** What the first part stands off it, mm; null where that is not known. */
  offMm?: number | null
}
/** A centre of a fitting, or a bare end of a pipe. */
export interface SpaceNode {
  tag: string
  /** Null: a bare end. */
  fitting: Item | null
  atMm: Vector
  /** Every measure on the way to it is known. */
  known: boolean
  /** How the way goes on through it; null where nobody said. */
  way: Vector | null
  /** Ways out of its branches, by end. */
  branches: Readonly<Partial<Record<EndAt, Vector>>>
  /** Number of the node it was reached from; -1 where a run begins. */
  back: number
}
/** A way from one node to the next: a pipe, or two fittings that stand on each other. */
export interface Leg {
  /** The pipe; null where there is none. */
  item: Item | null
  from: number
  to: number
  lengthMm: number
  known: boolean
  heading: Vector
  /** Where a bent tube turns, between its ends. */
  viaMm: readonly Vector[]
  /** It is as long as it takes to reach a level: no measure. */
  toLevel: boolean
}
/** Something that cannot be as it was said, or that is not known, at a part. */
export interface SpaceFault {
  item: Item
  code: Code
  params: Readonly<Record<string, string | number>>
  /** It cannot be: what brings it about is refused. Else something is only not known. */
  stops: boolean
}
/** A node that is said to be where something else is. */
export interface Met {
  node: number
  name: string
  /** The node of the same line that has this name; null: it is a place elsewhere. */
  own: number | null
  item: Item
  /** Where the measures led, before it was put where it is said to be; null where that is not known. */
  reachedMm: Vector | null
}
/** A line where it lies. */
export interface Walked {
  nodes: readonly SpaceNode[]
  /** Number of each fitting's node; of a pipe that of its far end. */
  nodeOf: ReadonlyMap<string, number>
  legs: readonly Leg[]
  /** How the way goes on behind each part; null where nobody said. */
  courses: ReadonlyMap<string, Course | null>
  /** Number of the leg that leads to a node; -1 to one where a run begins. */
  inTo: readonly number[]
  meets: readonly Met[]
  faults: readonly SpaceFault[]
}

/** Where a walk stands behind a part. */
interface Here {
  node: number
  course: Course | null
  falls: number
  /** Behind a pipe: where its far end is. */
  ahead?: { atMm: Vector; known: boolean; leg: number; meets: { name: string; item: Item } | null }
}

/** Drawn length of a pipe that has no measure yet, and of what has no take-off. */
const UNMEASURED_MM = 500
const NO_REACH_MM = 60
/** No pipe is longer than this. */
const LONGEST_MM = 100_000
/** A wye's branch leaves at this, a tee's at a right angle. */
const WYE_DEG = 45

/**
 * Walks a line: centres, bare ends and the ways between them. What nobody measured is gone over at a length of our own,
 * and all behind it is marked as not known; behind an elbow of which nobody said where it turns no place is known.
 * @param start where it begins; null where that has no place. @param placeOf what has a name and a place; null else.
 */
export function walk(
  line: Line,
  start: Fixed | null,
  reaches: Reaches,
  placeOf: (name: string, own: (tag: string) => Vector | null) => Vector | null,
): Walked {
  return start ? new Walk(line, start, reaches, placeOf).done() : NOWHERE
}
const NOWHERE: Walked = {
  nodes: [],
  nodeOf: new Map(),
  courses: new Map(),
  legs: [],
  inTo: [],
  meets: [],
  faults: [],
}

class Walk {
  private readonly nodes: SpaceNode[] = []
  private readonly nodeOf = new Map<string, number>()
  private readonly legs: Leg[] = []
  private readonly inTo: number[] = []
  private readonly meets: Met[] = []
  private readonly faults: SpaceFault[] = []
  private readonly behind = new Map<string, Here>()
  private readonly beside: ReturnType<typeof neighbours>
  private readonly byTag = new Map<string, number>()
  private ends = 0

  constructor(
    private readonly line: Line,
    private readonly start: Fixed,
    private readonly reaches: Reaches,
    private readonly placeOf: (name: string, own: (tag: string) => Vector | null) => Vector | null,
  ) {
    this.beside = neighbours(line.items)
  }
  done(): Walked {
    for (const item of this.line.items) {
      const before = this.before(item)
      if (!before) continue
      const here = item.type === 'piece' ? this.pipe(item, before) : this.fitting(item, before)
      this.behind.set(item.id, here)
    }
    const { nodes, nodeOf, legs, inTo, meets, faults } = this
    const courses = new Map([...this.behind].map(([id, here]) => [id, here.course]))
    return { nodes, nodeOf, courses, legs, inTo, meets, faults }
  }
  private fault(item: Item, code: Code, stops: boolean, params: SpaceFault['params'] = {}): void {
    this.faults.push({ item, code, params: { part: item.tag, ...params }, stops })
  }
  private ownPlace = (tag: string): Vector | null => {
    const node = this.byTag.get(tag.toLowerCase())
    return node === undefined ? null : (this.nodes[node] as SpaceNode).atMm
  }

  /** Where the walk stands before a part; null for what is attached to nothing. */
  private before(item: Item): Here | null {
    const prev = this.beside.get(item.id)?.[0] ?? null
    if (prev) {
      const here = this.behind.get(prev.id)
      if (!here || item.run === undefined || rootOf(item.run) !== prev.id || prev.run === item.run)
        return here ?? null
      // Into a branch: its own way, the fall that holds at its fitting.
      const at = branchEnd(item.run, prev)
      const way = this.nodes[here.node]?.branches[at]
      if (!way) this.fault(item, 'space-no-branch-way', false, { fitting: prev.tag })
      const level = here.course?.level ?? null
      return { node: here.node, falls: here.falls, course: way ? courseOf(way, level) : null }
    }
    if (item.run !== undefined || this.nodes.length) return null
    const { way } = this.start
    return { node: -1, course: way && courseOf(way), falls: this.line.stands?.falls ?? 0 }
  }

  private node(
    node: Omit<SpaceNode, 'branches'> & Partial<Pick<SpaceNode, 'branches'>>,
    inTo: number,
  ): number {
    const number = this.nodes.push({ branches: {}, ...node }) - 1
    this.inTo.push(inTo)
    this.byTag.set(node.tag.toLowerCase(), number)
    const short = node.tag.startsWith(`${this.line.tag}/`) ? node.tag.slice(this.line.tag.length + 1) : null
    if (short) this.byTag.set(short.toLowerCase(), number)
    return number
  }
  private bareEnd(atMm: Vector, known: boolean, back: number, inTo: number): number {
    const tag = `${this.line.tag ? `${this.line.tag}/` : ''}E${String(++this.ends).padStart(2, '0')}`
    return this.node({ tag, fitting: null, atMm, known, way: null, back }, inTo)
  }

  private pipe(item: Item, before: Here): Here {
    const next = this.beside.get(item.id)?.[1] ?? null
    const after = next?.type === 'fitting' ? next : null
    let { node } = before
    if (node < 0) node = this.bareEnd(this.start.atMm, true, -1, -1)
    const from = this.nodes[node] as SpaceNode
    const falls = item.falls ?? before.falls
    if (!before.course) {
      if (!this.faults.length) this.fault(item, 'space-no-way', false)
      const atMm = plus(from.atMm, [UNMEASURED_MM, 0, 0])
      return this.arrive(item, after, { node, course: null, falls }, atMm, false, {
        lengthMm: UNMEASURED_MM,
        heading: [1, 0, 0],
        viaMm: [],
        toLevel: false,
      })
    }
    const { course } = before
    const heading = fallen(course.way, before.falls)
    if (item.bend) return this.bent(item, after, { ...before, node, falls })
    const length = this.lengthOf(item, from, after, heading)
    const atMm = plus(from.atMm, times(heading, length.mm))
    return this.arrive(item, after, { node, course, falls }, atMm, from.known && length.known, {
      lengthMm: length.mm,
      heading,
      viaMm: [],
      toLevel: item.toLevelMm !== undefined,
    })
  }
  /** Centre to centre, or to a bare end. */
  private lengthOf(
    item: Item,
    from: SpaceNode,
    after: Item | null,
    heading: Vector,
  ): { mm: number; known: boolean } {
    if (item.toLevelMm !== undefined) {
      const rise = item.toLevelMm - from.atMm[2]
      const mm = rise / heading[2]
      if (Number.isFinite(mm) && mm > 0 && mm <= LONGEST_MM) return { mm, known: true }
      this.fault(item, 'space-level-out-of-reach', true, { levelMm: item.toLevelMm, atMm: from.atMm[2] })
      return { mm: item.measuredMm ?? UNMEASURED_MM, known: false }
    }
    const length = lengthBetween(item, from.fitting, after, this.reaches)
    if (length.mm !== null) return { mm: length.mm, known: true }
    this.fault(item, length.lacks, false, { fitting: length.fitting ?? '' })
    return { mm: (item.measuredMm ?? UNMEASURED_MM) + length.knownMm, known: false }
  }
  /** A bent tube: apex to apex. Its first turn goes towards the heading said, else to its side. */
  private bent(item: Item, after: Item | null, before: Here): Here {
    const from = this.nodes[before.node] as SpaceNode
    const { legsMm, turnsDeg } = item.bend as NonNullable<Item['bend']>
    let course = before.course as Course
    const first = turnsDeg[0] as number
    const towards = item.heading ?? (first > 0 ? 'left' : 'right')
    const axis = this.bendAxis(item, course, towards, first)
    const more = lengthBetween({ ...item, measuredMm: 0 }, from.fitting, after, this.reaches)
    if (more.mm === null) this.fault(item, more.lacks, false, { fitting: more.fitting ?? '' })
    const lengths = legsMm.map(
      (mm, i) =>
        mm + (i === 0 ? (more.firstMm ?? 0) : 0) + (i === legsMm.length - 1 ? (more.lastMm ?? 0) : 0),
    )
    const via: Vector[] = []
    let atMm = plus(from.atMm, times(course.way, lengths[0] as number))
    turnsDeg.forEach((turn, i) => {
      via.push(atMm)
      if (axis) {
        const aside = cross(axis, course.way)
        const sense = turn > 0 === first > 0 ? 1 : -1
        course = courseOf(bentTowards(course.way, times(aside, sense), Math.abs(turn)), course.level)
      }
      atMm = plus(atMm, times(course.way, lengths[i + 1] as number))
    })
    return this.arrive(
      item,
      after,
      { ...before, course: axis ? course : null },
      atMm,
      from.known && more.mm !== null && axis !== null,
      {
        lengthMm: lengths.reduce((sum, mm) => sum + mm, 0),
        heading: (before.course as Course).way,
        viaMm: via,
        toLevel: false,
      },
    )
  }
  /** What a bent tube turns about. */
  private bendAxis(item: Item, course: Course, towards: string, turnDeg: number): Vector | null {
    const to = turned(course, towards, Math.min(Math.abs(turnDeg), 1))
    if (to.ok) return unit(cross(course.way, to.way))
    // Without a heading an upright tube may turn anywhere: not known. A wrong one cannot be.
    this.fault(item, to.fault, item.heading !== undefined, { heading: towards })
    return null
  }

  /** Behind a pipe: the next fitting's centre, or a bare end. */
  private arrive(
    item: Item,
    after: Item | null,
    here: Here,
    atMm: Vector,
    known: boolean,
    leg: Pick<Leg, 'lengthMm' | 'heading' | 'viaMm' | 'toLevel'>,
  ): Here {
    const number = this.legs.push({ item, from: here.node, to: -1, known, ...leg }) - 1
    const ahead = { atMm, known, leg: number, meets: item.meets ? { name: item.meets, item } : null }
    if (after) return { ...here, ahead }
    const node = this.bareEnd(atMm, known, here.node, number)
    ;(this.legs[number] as Leg).to = node
    this.nodeOf.set(item.id, node)
    if (ahead.meets) this.meet(node, ahead.meets)
    return { ...here, node }
  }

  private fitting(item: Item, before: Here): Here {
    const placed = this.placeFor(item, before)
    const part = partOf(item)
    const angle = elbowAngle(item.fitting ?? '')
    const here: Here = { node: -1, course: before.course, falls: item.falls ?? before.falls }
    if (angle !== null) here.course = this.turn(item, before.course, angle)
    const branches = hasBranch(item) ? this.branchWays(item, part.name, before.course) : {}
    here.node = this.node(
      {
        tag: item.tag,
        fitting: item,
        atMm: placed.atMm,
        known: placed.known,
        way: here.course?.way ?? null,
        branches,
        back: placed.back,
      },
      placed.leg,
    )
    if (placed.leg >= 0) (this.legs[placed.leg] as Leg).to = here.node
    this.nodeOf.set(item.id, here.node)
    const before0 = this.beside.get(item.id)?.[0]
    if (before0?.type === 'piece') this.nodeOf.set(before0.id, here.node)
    const meets = item.meets ? { name: item.meets, item } : before.ahead?.meets
    if (meets) this.meet(here.node, meets)
    return here
  }
  private placeFor(item: Item, before: Here): { atMm: Vector; known: boolean; leg: number; back: number } {
    if (before.ahead) return { ...before.ahead, back: before.node }
    if (before.node < 0) {
      const { atMm, way, offMm = 0 } = this.start
      if (offMm === 0 || !way) return { atMm, known: offMm === 0, leg: -1, back: -1 }
      if (offMm === null) this.fault(item, 'space-no-reach', false, { fitting: item.tag })
      return {
        atMm: plus(atMm, times(way, offMm ?? NO_REACH_MM)),
        known: offMm !== null,
        leg: -1,
        back: -1,
      }
    }
    // Two fittings that stand on each other.
    const from = this.nodes[before.node] as SpaceNode
    const reach = from.fitting ? reachBetween(from.fitting, item, this.reaches) : null
    if (reach === null) this.fault(item, 'space-no-reach', false, { fitting: item.tag })
    const heading = before.course?.way ?? ([1, 0, 0] as Vector)
    const lengthMm = reach ?? NO_REACH_MM
    const known = from.known && reach !== null && before.course !== null
    const leg =
      this.legs.push({
        item: null,
        from: before.node,
        to: -1,
        lengthMm,
        known,
        heading,
        viaMm: [],
        toLevel: false,
      }) - 1
    return { atMm: plus(from.atMm, times(heading, lengthMm)), known, leg, back: before.node }
  }
  private turn(item: Item, course: Course | null, angleDeg: number): Course | null {
    if (!course) return null
    if (!item.heading) {
      this.fault(item, 'space-no-turn', false)
      return null
    }
    const to = turned(course, item.heading, angleDeg)
    if (to.ok) return courseOf(to.way, course.level)
    this.fault(item, to.fault, true, { heading: item.heading })
    return null
  }
  private branchWays(item: Item, name: string, course: Course | null): Partial<Record<EndAt, Vector>> {
    if (!course || !item.heading) return {}
    const angle = name.endsWith('wye') ? WYE_DEG : 90
    const to = turned(course, item.heading, angle)
    if (!to.ok) {
      this.fault(item, to.fault, true, { heading: item.heading })
      return {}
    }
    const along = times(course.way, 2 * dot(to.way, course.way))
    return { 2: to.way, 3: plus(along, times(to.way, -1)) }
  }

  /** Puts a node where it is said to be: the way goes on from there. */
  private meet(node: number, { name, item }: { name: string; item: Item }): void {
    const reached = this.nodes[node] as SpaceNode
    const own = this.byTag.get(name.toLowerCase())
    const place = own === node ? null : this.placeOf(name, this.ownPlace)
    if (!place) return this.fault(item, 'space-no-such-place', true, { name })
    this.meets.push({ node, name, own: own ?? null, item, reachedMm: reached.known ? reached.atMm : null })
    const known = own === undefined ? true : (this.nodes[own] as SpaceNode).known
    this.nodes[node] = { ...reached, atMm: place, known }
  }
}
