import { jointPlaces } from '../../joint/lookup.js'
import type { Item, JobState, Line } from '../../log/state.js'
import { outsideDiameterMm, parseSize } from '../../sizes/size.js'
import { type Segment, nearest } from '../../space/nearest.js'
import { type Vector, lengthOf, minus, plus, times, unit } from '../../space/vector.js'
import { once } from '../../units/memo.js'
import { bodyOf } from '../carrier.js'
import { clearancesOf } from '../clearances.js'
import { type Network, type Strand, networkOf } from '../growth/network.js'
import { takeOffOf } from '../piece.js'
import { frames } from './frames.js'
import { nearPairs } from './pairs.js'

/** Two parts that come nearer to one another than they may. */
export interface TooNear {
  /** `crosses`: one would lie in the other. `near`: nearer than was asked. `tool`: no room for a joint's tool. */
  how: 'crosses' | 'near' | 'tool'
  line: Line
  item: Item
  other: { line: Line; item: Item }
  /** Of a tool: the joint. */
  joint: string | null
  /** Between their surfaces, insulation too; below 0 one lies in the other by so much. */
  gapMm: number
  wantedMm: number
}
/** A pipe as it takes up room. */
export interface Body {
  strand: Strand & { item: Item }
  segment: Segment
  /** Half its diameter, with what is round it, mm. */
  radiusMm: number
  frame: string
}

/**
 * What comes nearer than it may, job-wide: pipe to pipe with insulation, and what stands in the room that a joint's tool
 * needs. Only lines whose places are known against each other are compared.
 */
export const tooNear = once((state: JobState): TooNear[] => {
  const network = networkOf(state)
  const frameOf = frames(state)
  const bodies = network.strands.flatMap((strand): Body[] => {
    const { item, known, line } = strand
    if (!item || !known) return []
    const size = parseSize(item.size)
    const odMm = size && outsideDiameterMm(size)
    const place = (knot: number): Vector => (network.knots[knot] as Network['knots'][number]).atMm
    const around = line.stands?.insulationMm ?? 0
    const segment: Segment = [place(strand.from), place(strand.to)]
    return odMm
      ? [{ strand: { ...strand, item }, segment, radiusMm: odMm / 2 + around, frame: frameOf(line) }]
      : []
  })
  return [...pipes(network, bodies), ...tools(state, bodies)]
})

/** Pipes that meet, or stand on fittings that do, are as near as they are made to be. */
function touching(network: Network): (one: Strand, other: Strand) => boolean {
  const beside = new Map<number, Set<number>>()
  for (const { from, to, item } of network.strands) {
    if (item) continue
    beside.set(from, (beside.get(from) ?? new Set()).add(to))
    beside.set(to, (beside.get(to) ?? new Set()).add(from))
  }
  return (one, other) =>
    [one.from, one.to].some((knot) =>
      [other.from, other.to].some((theirs) => knot === theirs || beside.get(knot)?.has(theirs)),
    )
}
function pipes(network: Network, bodies: readonly Body[]): TooNear[] {
  const touch = touching(network)
  const found = new Map<string, TooNear>()
  const clear = ({ strand }: Body): number => strand.line.stands?.clearMm ?? 0
  for (const [one, other] of nearPairs(bodies, (body) => body.radiusMm + clear(body))) {
    const { strand: own } = one
    const { strand: theirs } = other
    if (one.frame !== other.frame || own.item.id === theirs.item.id || touch(own, theirs)) continue
    const wantedMm = Math.max(clear(one), clear(other))
    const gapMm = nearest(one.segment, other.segment).apart - one.radiusMm - other.radiusMm
    if (gapMm >= wantedMm) continue
    const key = `${own.item.id} ${theirs.item.id}`
    if ((found.get(key)?.gapMm ?? Infinity) <= gapMm) continue
    found.set(key, {
      how: gapMm < 0 ? 'crosses' : 'near',
      line: own.line,
      item: own.item,
      other: { line: theirs.line, item: theirs.item },
      joint: null,
      gapMm,
      wantedMm,
    })
  }
  return [...found.values()].sort((a, b) => a.gapMm - b.gapMm)
}

/** The room that the tool of a joint needs round it. */
interface ToolRoom {
  body: Body
  jointId: string
  wantedMm: number
  segment: Segment
}
/** Joints whose tool needs room round it, against every other pipe. */
function tools(state: JobState, bodies: readonly Body[]): TooNear[] {
  const rooms = bodies.flatMap((body) =>
    ([0, 1] as const).flatMap((end): ToolRoom[] => {
      const jointId = body.strand.item.joints[end]
      if (!jointId) return []
      const least = clearancesOf(state, jointId).find(({ to }) => to === 'wall')?.minMm
      const at = least && least.value !== null ? jointAt(state, body, end) : null
      return at && least?.value ? [{ body, jointId, wantedMm: least.value, segment: [at, at] }] : []
    }),
  )
  const places = jointPlaces(state)
  const reach = (one: ToolRoom | Body): number => ('wantedMm' in one ? one.wantedMm : one.radiusMm)
  return nearPairs<ToolRoom | Body>([...rooms, ...bodies], reach).flatMap(([room, other]): TooNear[] => {
    if (!('wantedMm' in room) || 'wantedMm' in other) return []
    const { body, jointId, wantedMm, segment } = room
    const { item, line, from, to } = other.strand
    const meets = [body.strand.from, body.strand.to].some((knot) => knot === from || knot === to)
    if (other.frame !== body.frame || item.id === body.strand.item.id || meets) return []
    const gapMm = nearest(segment, other.segment).apart - other.radiusMm
    if (gapMm >= wantedMm) return []
    const own = { line: body.strand.line, item: body.strand.item, joint: places.get(jointId)?.tag ?? '' }
    return [{ how: 'tool', ...own, other: { line, item }, gapMm, wantedMm }]
  })
}
/** Where a joint is: on its pipe, as far from the fitting's middle as that reaches; the middle where that is not known. */
function jointAt(state: JobState, { strand, segment }: Body, end: 0 | 1): Vector | null {
  // Of a pipe that is held part way only its own ends are joints.
  if (strand.shares[end] !== end) return null
  const [from, to] = end === 0 ? segment : [segment[1], segment[0]]
  const met = jointPlaces(state).get(strand.item.joints[end] ?? '')?.met
  const takeOff = met ? takeOffOf(state, bodyOf(state, met.line, met.fitting), met.at) : null
  const way = minus(to, from)
  const reach = Math.min(takeOff?.takeOffMm ?? 0, lengthOf(way))
  return plus(from, times(unit(way) ?? [0, 0, 0], reach))
}
