import type { Item, JobState, Line } from '../../log/state.js'
import type { Pipe } from '../../parts/ends.js'
import { type Msg, msg } from '../../sources/source.js'
import { type Vector, dot, lengthOf, minus, times, unit } from '../../space/vector.js'
import { smallest } from '../../units/extent.js'
import { once } from '../../units/memo.js'
import { growthMm } from '../laying/laying.js'
import { type Section, sectionOf } from '../laying/section.js'
import { together } from '../space/together.js'
import { bentAt, bowsOf } from './bows.js'
import { type Chain, chainsOf } from './chains.js'
import { type FrameLeg, guidedFrame } from './guided-frame.js'
import { type Knot, type Network, type Strand, networkOf } from './network.js'

/** Straight pipe between two corners, branches, holds or ends, and what a kelvin does to it. */
export interface GrowthLeg {
  line: Line
  pipe: Pipe
  from: string
  to: string
  lengthMm: number
  /** What it grows by itself, mm a kelvin. */
  growsMm: number
  /** How far its ends move apart across it, mm a kelvin: what it must bend by. */
  acrossMm: number
  /** How much of its growth it is kept from, mm a kelvin. */
  squeezedMm: number
  /** Bending at its ends and what squeezes it, MPa a kelvin, corners not counted as weaker; null where not known. */
  stressMpa: number | null
}
/** What holds, and the force on it, N a kelvin; null where the modulus is not known. */
export interface HoldForce {
  line: Line
  item: Item | null
  tag: string
  /** `begins`: nobody said what holds, so all is counted from here. */
  as: 'anchor' | 'guide' | 'begins'
  forceN: Vector | null
}
/** A part of a leg as it moves: at places from its beginning to its end, as far apart as each other, mm a kelvin. */
export interface Bow {
  leg: number
  /** From which to which share of the leg. */
  shares: readonly [number, number]
  movedMm: readonly Vector[]
}
/** How the lines of a job that have a place move, for each kelvin between laid and service. Figures go in step with it. */
export interface Growth {
  legs: GrowthLeg[]
  holds: HoldForce[]
  /** Of each node of each line by its id, mm a kelvin; null where it is not known. */
  moved: ReadonlyMap<string, readonly (Vector | null)[]>
  /** How parts of legs bow, by the line's id. */
  bows: ReadonlyMap<string, readonly Bow[]>
  /** Free ends, and the two sides of joints that take up movement. */
  ends: { line: Line; tag: string; movedMm: Vector }[]
  joints: { line: Line; item: Item; apartMm: Vector }[]
  /** Lines of which it is not known, and why. */
  without: { line: Line; why: Msg }[]
}

/**
 * How the lines of a job move as they warm: all that are joined as one frame, each corner kept from turning, unions
 * and valves counted as pipe, supports without friction. Source: `guided-cantilever`.
 */
export const growthOf = once((state: JobState): Growth => new Growing(networkOf(state)).done())

/** Line and pipe are those of all of it. */
const ofChain = ({ strands }: Chain): Strand => strands[0] as Strand

class Growing {
  private readonly out: Growth = {
    legs: [],
    holds: [],
    moved: new Map(),
    bows: new Map(),
    ends: [],
    joints: [],
    without: [],
  }
  private readonly moved = new Map<number, Vector>()
  private readonly chains: Chain[]

  constructor(private readonly network: Network) {
    this.chains = chainsOf(network)
  }
  done(): Growth {
    const { knots, strands, knotOf, parted } = this.network
    const kin = together(
      knots.length,
      strands.map(({ from, to }) => [from, to] as const),
    )
    const groups = new Map<number, Chain[]>()
    for (const chain of this.chains) {
      const group = groups.get(kin(chain.from)) ?? []
      if (!group.length) groups.set(kin(chain.from), group)
      group.push(chain)
    }
    for (const group of groups.values()) this.group(group)
    const moved = new Map(
      [...knotOf].map(([id, own]) => [id, own.map((knot) => this.moved.get(knot) ?? null)] as const),
    )
    const joints = parted.flatMap(({ line, item, sides: [one, other] }) => {
      const [near, far] = [this.moved.get(one), this.moved.get(other)]
      return near && far ? [{ line, item, apartMm: minus(far, near) }] : []
    })
    const bows = bowsOf(this.chains, this.moved, (knot) => this.knot(knot).atMm)
    return { ...this.out, moved, bows, joints }
  }

  /** Lines that hang together. */
  private group(chains: readonly Chain[]): void {
    const sections = chains.map((chain) => sectionOf(ofChain(chain).pipe))
    const why = whyNot(chains, sections)
    if (why) {
      const lines = new Set(chains.flatMap(({ strands }) => strands.map(({ line }) => line)))
      for (const line of lines) this.out.without.push({ line, why })
      return
    }
    const stiff = sections.every((section) => section?.modulusMpa !== null)
    const numbers = new Map<number, number>()
    const numberOf = (knot: number): number => {
      const known = numbers.get(knot)
      if (known !== undefined) return known
      numbers.set(knot, numbers.size)
      return numbers.size - 1
    }
    const legs = chains.map((chain, i): FrameLeg => {
      const { areaMm2, inertiaMm4, modulusMpa } = sections[i] as Section
      const { material } = ofChain(chain).pipe
      return {
        from: numberOf(chain.from),
        to: numberOf(chain.to),
        way: minus(this.knot(chain.to).atMm, this.knot(chain.from).atMm),
        areaMm2,
        inertiaMm4,
        // One stuff throughout moves alike however stiff it is.
        modulusMpa: modulusMpa ?? 1,
        strain: (growthMm(material, 1000, 0, 1).value as number) / 1000,
      }
    })
    const held = this.heldIn(numbers)
    const frame = guidedFrame(
      numbers.size,
      legs,
      held.map(({ knot, along }) => ({ node: numberOf(knot), along })),
    )
    held.forEach(({ knot, as, item, line }, i) => {
      const forceN = stiff ? (frame.forces[i] as Vector) : null
      this.out.holds.push({ line, item, tag: item?.tag ?? this.knot(knot).tag, as, forceN })
    })
    for (const [knot, number] of numbers) this.moved.set(knot, frame.moved[number] as Vector)
    chains.forEach((chain, i) => this.leg(chain, legs[i] as FrameLeg, sections[i] as Section, stiff))
    this.freeEnds(chains, new Set(held.map(({ knot }) => knot)))
  }
  private knot = (knot: number): Knot => this.network.knots[knot] as Knot
  /** What holds a group; where nobody said, it is counted from where it begins. */
  private heldIn(numbers: ReadonlyMap<number, number>) {
    const said = this.network.held
      .filter(({ knot }) => numbers.has(knot))
      .map((one) => ({ ...one, line: this.knot(one.knot).line }))
    if (said.some(({ as }) => as === 'anchor')) return said
    const knot = smallest([...numbers.keys()])
    return [...said, { knot, as: 'begins' as const, item: null, along: null, line: this.knot(knot).line }]
  }
  private leg(chain: Chain, leg: FrameLeg, section: Section, stiff: boolean): void {
    const [near, far] = [this.moved.get(chain.from) as Vector, this.moved.get(chain.to) as Vector]
    const axis = unit(leg.way) as Vector
    const apart = minus(far, near)
    const across = minus(apart, times(axis, dot(apart, axis)))
    for (const { knot, share } of chain.along) this.moved.set(knot, bentAt(near, far, axis, share))
    const { line, pipe } = ofChain(chain)
    const lengthMm = lengthOf(leg.way)
    const acrossMm = lengthOf(across)
    const growsMm = leg.strain * lengthMm
    const squeezedMm = Math.abs(growsMm - dot(apart, axis))
    const [from, to] = [this.knot(chain.from).tag, this.knot(chain.to).tag]
    this.out.legs.push({
      line,
      pipe,
      from,
      to,
      lengthMm,
      growsMm,
      acrossMm,
      squeezedMm,
      // Moment 6 E I d / L² over the section: 3 E D d / L².
      stressMpa: stiff
        ? leg.modulusMpa * ((3 * section.odMm * acrossMm) / lengthMm ** 2 + squeezedMm / lengthMm)
        : null,
    })
  }
  private freeEnds(chains: readonly Chain[], held: ReadonlySet<number>): void {
    const count = new Map<number, number>()
    for (const { from, to } of chains)
      for (const knot of [from, to]) count.set(knot, (count.get(knot) ?? 0) + 1)
    for (const [knot, so] of count)
      if (so === 1 && !held.has(knot)) {
        const { line, tag } = this.knot(knot)
        this.out.ends.push({ line, tag, movedMm: this.moved.get(knot) as Vector })
      }
  }
}

/** Why the movement of lines that hang together is not known; null where it is. */
function whyNot(chains: readonly Chain[], sections: readonly (Section | null)[]): Msg | null {
  const strands = chains.flatMap((chain) => chain.strands)
  const unknown = strands.find(({ known }) => !known)
  if (unknown) return msg('growth-not-placed', { part: unknown.item?.tag ?? unknown.line.tag })
  const missing = chains[sections.findIndex((section) => section === null)]
  if (missing) return msg('wall-unknown', { size: ofChain(missing).pipe.size })
  for (const { pipe } of strands) {
    const grows = growthMm(pipe.material, 1000, 0, 1)
    if (grows.value === null) return grows.why
  }
  const first = strands[0]?.pipe
  const soft = strands.find(({ pipe }) => sectionOf(pipe)?.modulusMpa === null)
  return soft && strands.some(({ pipe }) => pipe.material !== first?.material)
    ? msg('growth-modulus-unknown', { material: soft.pipe.material })
    : null
}
