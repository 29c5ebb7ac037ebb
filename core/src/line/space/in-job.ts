import type { JobState, Line } from '../../log/state.js'
import { type Msg, msg } from '../../sources/source.js'
import { directionSaid } from '../../space/heading.js'
import { type Vector, times } from '../../space/vector.js'
import { once } from '../../units/memo.js'
import { bodyOf } from '../carrier.js'
import { jointDepthMm, takeOffOf } from '../piece.js'
import { type Met, metBy } from '../../parts/met.js'
import { type EndAt, isBranch } from '../../parts/neighbours.js'
import { type ClosingError, closingErrors } from './closing.js'
import { spaceFaults } from './faults.js'
import type { Reaches } from './reach.js'
import { walk } from './walk.js'
import type { Fixed, SpaceFault, SpaceNode, Walked } from './walked.js'

/** A line of a job where it lies, and what follows from that. */
export interface LineInSpace extends Walked {
  line: Line
  /** It has a place in the building: where it begins was said, and is somewhere. */
  stands: boolean
  /** Why it has none, where its beginning was said. */
  nowhere: Msg | null
  all: readonly SpaceFault[]
  closing: readonly ClosingError[]
}

/** Take-offs and depths as a job knows them. */
export const reachesIn = (state: JobState, line: Line): Reaches => ({
  met(item, end) {
    const met = metBy(state, line, item, end)
    return met && (met.line.id === line.id || item.joints[end] !== null) ? met : null
  },
  takeOff(fitting, at) {
    const found = takeOffOf(state, bodyOf(state, line, fitting), at)
    return found && { mm: found.takeOffMm, to: found.takeOffTo }
  },
  depthMm: (item, end) => jointDepthMm(state, item.joints[end]),
})

/** Lines of a job in space, each worked out when it is asked for: one may begin at another, or come back to it. */
class Building {
  private readonly done = new Map<string, LineInSpace>()
  /** Lines that are being worked out: what comes back to one of them goes in a circle. */
  private readonly open = new Set<string>()
  private circle: { line: string; name: string } | null = null

  constructor(private readonly state: JobState) {}

  of(line: Line): LineInSpace {
    let known = this.done.get(line.id)
    if (!known) this.done.set(line.id, (known = this.find(line)))
    return known
  }
  private find(line: Line): LineInSpace {
    this.open.add(line.id)
    const start = this.startOf(line)
    const walked = walk(
      line,
      start.fixed,
      reachesIn(this.state, line),
      (name, own) => own(name) ?? this.placeOf(line, name),
    )
    this.open.delete(line.id)
    return {
      ...walked,
      line,
      stands: start.fixed !== null,
      nowhere: start.why,
      all: spaceFaults(line, walked),
      closing: closingErrors(walked, undefined, line.stands?.name ?? null),
    }
  }

  private startOf(line: Line): { fixed: Fixed | null; why: Msg | null } {
    const { stands } = line
    if (!stands) return { fixed: null, why: null }
    const way = stands.heading === undefined ? null : directionSaid(stands.heading, null)
    if (stands.heading !== undefined && !way)
      return { fixed: null, why: msg('space-no-side', { part: line.tag }) }
    if (stands.name === undefined) return { fixed: { atMm: [0, 0, stands.levelMm ?? 0], way }, why: null }
    const { name } = stands
    this.circle = null
    const from = this.fixedAt(line, name, stands.branch)
    if (from) return { fixed: { ...from, way: way ?? from.way }, why: null }
    const circle = this.circle as { line: string; name: string } | null
    return {
      fixed: null,
      why: circle ? msg('space-circle', circle) : msg('space-no-such-place', { part: line.tag, name }),
    }
  }
  /** A measured point, or a part of another line. */
  private fixedAt(line: Line, name: string, branch: true | undefined): Fixed | null {
    const point = this.point(name)
    if (point) return { atMm: point.atMm, way: point.heading ? directionSaid(point.heading, null) : null }
    const first = line.items.find((item) => item.run === undefined)
    const met = first ? metBy(this.state, line, first, 0) : null
    if (met?.fitting.type === 'piece') return this.bareEnd(line, name, met)
    const node = this.node(line, name)
    const at = met?.at ?? (branch ? 2 : 1)
    return node && { atMm: node.atMm, way: this.wayFrom(node, at), ...(branch ? { branch } : {}) }
  }
  /** The bare end of another line's pipe, and how that pipe comes out there. */
  private bareEnd(line: Line, name: string, { line: other, fitting, at }: Met): Fixed | null {
    if (!this.node(line, name)) return null
    const { legs, nodes } = this.of(other)
    const leg = legs.find(({ item }) => item?.id === fitting.id)
    const node = leg && nodes[at === 0 ? leg.from : leg.to]
    return leg && node ? { atMm: node.atMm, way: at === 0 ? times(leg.heading, -1) : leg.heading } : null
  }
  /** Where a line goes from a part of another: out of the end that it is joined to. */
  private wayFrom(node: SpaceNode, at: EndAt): Vector | null {
    return isBranch(at) ? (node.branches[at] ?? null) : node.way
  }
  private point(name: string) {
    const said = name.toLowerCase()
    return [...this.state.points.values()].find((point) => point.name.toLowerCase() === said)
  }
  private placeOf(line: Line, name: string): Vector | null {
    return this.point(name)?.atMm ?? this.node(line, name)?.atMm ?? null
  }
  /** A part of another line by its tag. */
  private node(line: Line, name: string) {
    const said = name.toLowerCase()
    for (const other of this.state.lines.values()) {
      if (other.id === line.id || !other.stands) continue
      const item = other.items.find((i) => i.tag.toLowerCase() === said)
      if (!item) continue
      if (this.open.has(other.id)) {
        this.circle = { line: line.tag, name }
        return null
      }
      const space = this.of(other)
      return space.nodes[space.nodeOf.get(item.id) ?? -1] ?? null
    }
    return null
  }
}
const buildingOf = once((state: JobState) => new Building(state))

/** Where a line of a job lies, and what follows from that. */
export const lineInSpace = (state: JobState, line: Line): LineInSpace => buildingOf(state).of(line)
