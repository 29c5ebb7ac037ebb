import type { Item, JobState, Line } from '../../log/state.js'
import { type Pipe, pipeOf } from '../../parts/ends.js'
import { nameKey } from '../../log/names.js'
import { type Vector, lengthOf, minus, plus, times } from '../../space/vector.js'
import { once } from '../../units/memo.js'
import { type LineInSpace, lineInSpace } from '../space/in-job.js'
import { samePlaces } from '../space/extremes.js'
import { together } from '../space/together.js'
import type { Leg } from '../space/walked.js'

/** A place at which pipes meet, turn, end or are held. */
export interface Knot {
  tag: string
  line: Line
  atMm: Vector
}
/** A straight way between two knots. */
export interface Strand {
  from: number
  to: number
  line: Line
  pipe: Pipe
  /** The pipe itself; null between two fittings that stand on each other. */
  item: Item | null
  known: boolean
  /** Number of the leg of its line that it is, or a part of; -1 where it is none. And from which to which share of it. */
  leg: number
  shares: readonly [number, number]
}
/** What is held: at a knot, altogether or but for moving along the pipe. */
export interface HeldKnot {
  knot: number
  as: 'anchor' | 'guide'
  item: Item
  along: Vector | null
}
/** All lines of a job that have a place, as knots and straight ways between them. */
export interface Network {
  knots: readonly Knot[]
  strands: readonly Strand[]
  held: readonly HeldKnot[]
  /** Knot of each node of each line, by the line's id. */
  knotOf: ReadonlyMap<string, readonly number[]>
  /** The two sides of each joint that takes up movement. */
  parted: readonly { item: Item; line: Line; sides: readonly [number, number] }[]
}

/** Places nearer than this are one, mm. */
const SAME_MM = 0.5
/** What lets its two sides move apart. */
const PARTS = 'expansion joint'

/** The lines of a job as they hang together: a line that begins at another's part, or comes to one, moves with it. */
export const networkOf = once((state: JobState): Network => {
  const made = new Making()
  const spaces = [...state.lines.values()]
    .map((line) => lineInSpace(state, line))
    .filter(({ nodes }) => nodes.length > 0)
  for (const space of spaces) made.line(space)
  for (const space of spaces) made.attach(space)
  return made.done()
})

class Making {
  private readonly knots: Knot[] = []
  private readonly strands: Strand[] = []
  private readonly held: HeldKnot[] = []
  private readonly knotOf = new Map<string, number[]>()
  private readonly parted: { item: Item; line: Line; sides: [number, number] }[] = []
  private readonly byTag = new Map<string, number>()
  private readonly same: [number, number][] = []

  private knot(tag: string, line: Line, atMm: Vector): number {
    return this.knots.push({ tag, line, atMm }) - 1
  }
  line(space: LineInSpace): void {
    const { line } = space
    const into = space.nodes.map(({ tag, atMm, fitting }) => {
      const knot = this.knot(tag, line, atMm)
      this.byTag.set(tag.toLowerCase(), knot)
      if (fitting?.held?.some(({ as }) => as === 'anchor'))
        this.held.push({ knot, as: 'anchor', item: fitting, along: null })
      return knot
    })
    this.knotOf.set(line.id, into)
    const outOf = space.nodes.map(({ fitting, tag, atMm }, node) => {
      if (fitting?.fitting !== PARTS) return into[node] as number
      const far = this.knot(tag, line, atMm)
      this.parted.push({ item: fitting, line, sides: [into[node] as number, far] })
      return far
    })
    for (const [one, other] of samePlaces(space)) this.same.push([into[one] as number, into[other] as number])
    for (const { item, to } of space.legs)
      if (item && to >= 0) this.byTag.set(item.tag.toLowerCase(), into[to] as number)
    space.legs.forEach((leg, number) => {
      if (leg.to >= 0 && !leg.insidePipe)
        this.leg(space, number, outOf[leg.from] as number, into[leg.to] as number)
    })
  }
  /** A way, in straight ways from turn to turn, parted where it is held. */
  private leg({ line, nodes, legs }: LineInSpace, number: number, from: number, to: number): void {
    const leg = legs[number] as Leg
    const pipe = pipeOf(line, leg.item ?? (nodes[leg.from]?.fitting as Item))
    const part = { line, pipe, item: leg.item, known: leg.known, leg: number }
    // What sits on the pipe branches off it there.
    const into = this.knotOf.get(line.id) as number[]
    const saddles = legs.flatMap(({ insidePipe, to, lengthMm }) =>
      insidePipe && insidePipe === leg.item && to >= 0 ? [{ atMm: lengthMm, knot: into[to] as number }] : [],
    )
    const corners = [from, ...leg.viaMm.map((atMm) => this.knot(leg.item?.tag ?? '', line, atMm)), to]
    const turns = corners.map(this.atMm)
    const whole = turns.slice(1).reduce((sum, at, i) => sum + lengthOf(minus(at, turns[i] as Vector)), 0)
    let beganMm = 0
    let gone = 0
    const upTo = (mm: number): readonly [number, number] => [gone, (gone = whole > 0 ? mm / whole : 1)]
    corners.slice(1).forEach((corner, i) => {
      const start = corners[i] as number
      const way = minus(this.atMm(corner), this.atMm(start))
      const long = lengthOf(way)
      const stops = [...(leg.item?.held ?? []), ...saddles]
        .filter(({ atMm = 0 }) => atMm >= beganMm && atMm <= beganMm + long)
        .sort((a, b) => (a.atMm ?? 0) - (b.atMm ?? 0))
      let at = start
      for (const stop of stops) {
        const { atMm = 0 } = stop
        const there = plus(this.atMm(start), times(way, (atMm - beganMm) / long))
        const knot = 'knot' in stop ? stop.knot : this.knot(leg.item?.tag ?? '', line, there)
        this.strand({ ...part, from: at, to: knot, shares: upTo(atMm) })
        if ('as' in stop) {
          const { as } = stop
          this.held.push({ knot, as, item: leg.item as Item, along: as === 'guide' ? way : null })
        }
        at = knot
      }
      beganMm += long
      this.strand({ ...part, from: at, to: corner, shares: upTo(beganMm) })
    })
  }
  private atMm = (knot: number): Vector => (this.knots[knot] as Knot).atMm
  private strand(strand: Strand): void {
    if (lengthOf(minus(this.atMm(strand.to), this.atMm(strand.from))) < SAME_MM)
      this.same.push([strand.from, strand.to])
    else this.strands.push(strand)
  }
  /** Where a line is attached to others: at its beginning, and where it comes to a part of one. */
  attach(space: LineInSpace): void {
    const own = this.knotOf.get(space.line.id) as number[]
    const { name } = space.line.stands ?? {}
    const names = [
      ...(name === undefined ? [] : [{ node: 0, name }]),
      ...space.meets.filter((met) => met.own === null),
    ]
    for (const { node, name: said } of names) {
      const there = this.byTag.get(nameKey(said))
      const knot = own[node]
      if (there === undefined || knot === undefined) continue
      const item = space.nodes[node]?.fitting ?? space.line.items[0]
      if (item) {
        const pipe = pipeOf(space.line, item)
        this.strand({
          from: there,
          to: knot,
          line: space.line,
          pipe,
          item: null,
          known: true,
          leg: -1,
          shares: [0, 1],
        })
      }
    }
  }
  /** Knots that are one place are one knot. */
  done(): Network {
    const { knots, held } = this
    const kin = together(knots.length, this.same)
    const strands = this.strands
      .map((strand) => ({ ...strand, from: kin(strand.from), to: kin(strand.to) }))
      .filter(({ from, to }) => from !== to)
    return {
      knots,
      strands,
      held: held.map((one) => ({ ...one, knot: kin(one.knot) })),
      knotOf: new Map([...this.knotOf].map(([id, own]) => [id, own.map(kin)])),
      parted: this.parted.map(({ sides: [one, other], ...of }) => ({ ...of, sides: [kin(one), kin(other)] })),
    }
  }
}
