import type { Item, Line } from '../../log/state.js'
import { angleOf, hasBranch } from '../../parts/ends.js'
import { partMeant } from '../../log/names.js'
import { type Fitted, branchEnd, isSaddle, neighbours, pipeUnder, rootOf } from '../../parts/neighbours.js'
import type { Code } from '../../sources/wording.js'
import { type Course, courseOf, fallen } from '../../space/heading.js'
import { type Vector, plus, times } from '../../space/vector.js'
import { LONGEST_MM } from '../entry.js'
import { UNMEASURED_MM } from '../layout.js'
import { shortTag } from '../tags.js'
import { legTo } from './on-pipe.js'
import { type Reaches, lengthBetween, reachBetween } from './reach.js'
import { type Found, branchWays, throughBends, throughElbow } from './turns.js'
import {
  type Fixed,
  type Here,
  type Leg,
  type Met,
  NOWHERE,
  type SpaceFault,
  type SpaceNode,
  type Walked,
} from './walked.js'

/** What a saddle carries leaves its pipe at this, degrees. */
const SQUARE_DEG = 90
/** Drawn length of what has no take-off. */
const NO_REACH_MM = 60

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
  private kept<T>(item: Item, { value, fault }: Found<T>): T {
    if (fault) this.fault(item, fault.code, fault.stops, fault.params)
    return value
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
      if (here && pipeUnder(this.line.items, item)) return this.onPipe(item, prev, here)
      if (!here || item.run === undefined || rootOf(item.run) !== prev.id || prev.run === item.run)
        return here ?? null
      // Into a branch: its own way, the fall that holds at its fitting.
      const at = branchEnd(item.run, prev)
      const way = this.nodes[here.node]?.branches[at]
      if (!way) this.fault(item, 'space-no-branch-way', false, { fitting: prev.tag })
      const level = here.course?.level ?? null
      const falls = prev.branchFalls ?? here.falls
      return { node: here.node, falls, course: way ? courseOf(way, level) : null }
    }
    if (item.run !== undefined || this.nodes.length) return null
    const { way } = this.start
    return { node: -1, course: way && courseOf(way), falls: this.line.stands?.falls ?? 0 }
  }

  /** Where a saddle sits on its pipe. */
  private onPipe(item: Item, pipe: Item, here: Here): Here {
    const leg = this.legs.find((one) => one.item === pipe)
    if (!leg) return here
    const from = this.nodes[leg.from] as SpaceNode
    const own = legTo(item, pipe, leg, this.reaches)
    const known = own.known && from.known && here.course !== null
    const atMm = plus(from.atMm, times(own.heading, own.lengthMm))
    const number = this.legs.push({ ...own, known }) - 1
    return { ...here, node: leg.from, ahead: { atMm, known, leg: number, meets: null } }
  }

  private node(
    node: Omit<SpaceNode, 'branches'> & Partial<Pick<SpaceNode, 'branches'>>,
    inTo: number,
  ): number {
    const number = this.nodes.push({ branches: {}, ...node }) - 1
    this.inTo.push(inTo)
    this.byTag.set(node.tag.toLowerCase(), number)
    this.byTag.set(shortTag(this.line.tag, node.tag).toLowerCase(), number)
    return number
  }
  private bareEnd(atMm: Vector, known: boolean, back: number, inTo: number): number {
    const tag = `${this.line.tag}/E${String(++this.ends).padStart(2, '0')}`
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
    if (item.bend) return this.bent(item, after, { node, course, falls })
    const length = this.lengthOf(item, from, heading)
    const atMm = plus(from.atMm, times(heading, length.mm))
    return this.arrive(item, after, { node, course, falls }, atMm, from.known && length.known, {
      lengthMm: length.mm,
      heading,
      viaMm: [],
      toLevel: item.toLevelMm !== undefined,
    })
  }
  /** Centre to centre, or to a bare end. */
  private lengthOf(item: Item, from: SpaceNode, heading: Vector): { mm: number; known: boolean } {
    if (item.toLevelMm !== undefined) {
      const rise = item.toLevelMm - from.atMm[2]
      const mm = rise / heading[2]
      if (Number.isFinite(mm) && mm > 0 && mm <= LONGEST_MM) return { mm, known: true }
      this.fault(item, 'space-level-out-of-reach', true, { levelMm: item.toLevelMm, atMm: from.atMm[2] })
      return { mm: item.measuredMm ?? UNMEASURED_MM, known: false }
    }
    const length = lengthBetween(item, this.reaches)
    if (length.mm !== null) return { mm: length.mm, known: true }
    this.fault(item, length.lacks, false, { fitting: length.fitting ?? '' })
    return { mm: (item.measuredMm ?? UNMEASURED_MM) + length.knownMm, known: false }
  }
  private bent(item: Item, after: Item | null, before: Here & { course: Course }): Here {
    const from = this.nodes[before.node] as SpaceNode
    const { legsMm } = item.bend as NonNullable<Item['bend']>
    const more = lengthBetween({ ...item, measuredMm: 0 }, this.reaches)
    if (more.mm === null) this.fault(item, more.lacks, false, { fitting: more.fitting ?? '' })
    const lengths = [...legsMm]
    lengths[0] = (lengths[0] ?? 0) + (more.firstMm ?? 0)
    lengths[lengths.length - 1] = (lengths.at(-1) ?? 0) + (more.lastMm ?? 0)
    const { viaMm, atMm, course } = this.kept(item, throughBends(item, from.atMm, before.course, lengths))
    const known = from.known && more.mm !== null && course !== null
    return this.arrive(item, after, { ...before, course }, atMm, known, {
      lengthMm: lengths.reduce((sum, mm) => sum + mm, 0),
      heading: before.course.way,
      viaMm,
      toLevel: false,
    })
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
    const angle = isSaddle(item) ? SQUARE_DEG : angleOf(item)
    const here: Here = { node: -1, course: before.course, falls: item.falls ?? before.falls }
    if (angle !== null) here.course = this.kept(item, throughElbow(item, before.course, angle))
    const branches = hasBranch(item) ? this.kept(item, branchWays(item, before.course)) : {}
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
    const prev = this.beside.get(item.id)?.[0]
    if (prev?.type === 'piece' && !isSaddle(item)) this.nodeOf.set(prev.id, here.node)
    const meets = item.meets ? { name: item.meets, item } : before.ahead?.meets
    if (meets) this.meet(here.node, meets)
    return here
  }
  private placeFor(item: Item, before: Here): { atMm: Vector; known: boolean; leg: number; back: number } {
    if (before.ahead) return { ...before.ahead, back: before.node }
    const met = this.reaches.met(item, 0)
    if (before.node < 0) {
      const { atMm, way, branch } = this.start
      if (!met || !way) return { atMm, known: !met && !branch, leg: -1, back: -1 }
      // The first part stands on another line's: its centre is off that one's.
      const offMm = this.off(item, met)
      return {
        atMm: plus(atMm, times(way, offMm ?? NO_REACH_MM)),
        known: offMm !== null,
        leg: -1,
        back: -1,
      }
    }
    // Two fittings that stand on each other.
    const from = this.nodes[before.node] as SpaceNode
    const reach = this.off(item, met)
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
  /** How far a fitting's centre is off that of what it stands on, mm; null, and said, where that is not known. */
  private off(item: Item, met: Fitted | null): number | null {
    const reach = met && reachBetween(met, item, this.reaches)
    if (reach !== null) return reach
    const lacks = [met, { fitting: item, at: 0 as const }].find(
      (end) => end && !this.reaches.takeOff(end.fitting, end.at),
    )
    this.fault(item, 'space-no-reach', false, { fitting: lacks?.fitting.tag ?? item.tag })
    if (lacks) (this.faults.at(-1) as SpaceFault).measure = { item: lacks.fitting, at: lacks.at }
    return null
  }
  /** Puts a node where it is said to be: the way goes on from there. */
  private meet(node: number, { name, item }: { name: string; item: Item }): void {
    const reached = this.nodes[node] as SpaceNode
    const part = partMeant(name)
    const own = this.byTag.get(part.toLowerCase())
    const place = own === node ? null : this.placeOf(part, this.ownPlace)
    if (!place) return this.fault(item, 'space-no-such-place', true, { name })
    this.meets.push({ node, name, own: own ?? null, item, reachedMm: reached.known ? reached.atMm : null })
    const known = own === undefined ? true : (this.nodes[own] as SpaceNode).known
    this.nodes[node] = { ...reached, atMm: place, known }
  }
}
