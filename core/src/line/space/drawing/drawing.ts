import type { Item } from '../../../log/state.js'
import { type Vector, minus, plus, times } from '../../../space/vector.js'
import { extent } from '../../../units/extent.js'
import { type LinesAsOne, asOne } from '../lines-as-one.js'
import type { LineInSpace } from '../in-job.js'
import type { Leg } from '../walked.js'
import { type Dimension, dimensions } from './dimensions.js'
import { flowSigns } from './flow.js'
import { type HoldSign, holdSigns } from './holds.js'
import { type Box, type Placed, Room, type Wanted, placeLabels, textBox } from './labels.js'
import { SKEW, type Writing, fallSigns, levels, names } from './marks.js'
import { stretched, toScale } from './stretched.js'
import { type Sign, symbolOf, symbolReach } from './symbols.js'
import {
  type Flat,
  type View,
  around,
  asides,
  flatLength,
  flatPlus,
  flatTimes,
  flatUnit,
  project,
} from './view.js'

/** Room that a drawing has. */
export interface Within {
  width: number
  height: number
}
/** As much as a sheet of paper lying has. */
const PAPER: Within = { width: 1400, height: 900 }
/** A pipe, or the way between two fittings that stand on each other. */
export interface DrawnLeg {
  item: Item | null
  points: readonly Flat[]
  known: boolean
  /** Seen from its end: drawn as a ring. Source: ISO 6412-1, from memory. */
  end: boolean
}
export interface DrawnJoint {
  id: string
  tag: string
  at: Flat
  /** Way of its pipe there, out of the fitting. */
  way: Flat
}
/** The hatched corner of a piece that goes along no axis. */
export interface SkewBox {
  item: Item
  triangles: (readonly [Flat, Flat, Flat])[]
}
/** A line as it is drawn, in drawing units. */
export interface LineDrawn {
  legs: DrawnLeg[]
  symbols: { item: Item; at: Flat; reach: number; shapes: Sign[] }[]
  /** What holds it. */
  holds: HoldSign[]
  joints: DrawnJoint[]
  dimensions: Dimension[]
  skews: SkewBox[]
  /** Small filled triangles: where pipe falls, and which way it flows. */
  falls: { at: Flat; points: readonly Flat[] }[]
  labels: Placed[]
  /** Texts that found no room. */
  left: number
  /** Where the nodes are drawn, in their order. */
  nodes: readonly Flat[]
  /** Way of north; null where it is seen from its end. */
  north: Flat | null
  box: Box
  /** Drawing units for a mm; null where it is not to scale. */
  perMm: number | null
}

/** A line drawn by itself. */
export const drawLine = (space: LineInSpace, ...how: How): LineDrawn => drawLines(asOne(space), ...how)
type How = [view: View, scaled: boolean, writing: Writing, within?: Within]
/**
 * Draws lines that hang together: pipes as lines, signs, dimension strings, levels, falls, hatched corners of what goes along
 * no axis, names: parts of others than the one asked about have their whole tags.
 * @param view how it is looked at. @param scaled to scale; else short parts are drawn longer and long ones shorter.
 * @param within the room that it is to fill, drawing units: signs and texts are drawn as large whatever the line's size.
 */
export function drawLines(
  space: LinesAsOne,
  view: View,
  scaled: boolean,
  writing: Writing,
  within: Within = PAPER,
): LineDrawn {
  const scale = fitted(scaled ? toScale(space) : { places: stretched(space), perMm: null }, view, within)
  const flats = scale.places.map((place) => project(place, view))
  const room = new Room(flats)
  const legs = space.legs.flatMap((leg): DrawnLeg[] =>
    leg.insidePipe ? [] : drawnLeg(leg, flats, space, scale.perMm, view),
  )
  for (const leg of legs) room.takeLine(leg.points, 4)
  const symbols = drawnSymbols(space, flats, view)
  room.take(symbols.map(({ at, reach }) => around(at, reach)))
  const joints = jointsOf(space, flats)
  room.take(joints.map(({ at }) => around(at, 7)))
  const holds = holdSigns(space, flats)
  room.take(holds.map(({ at }) => around(at, 9)))
  const skews = skewBoxes(space, scale.places, view)
  const dims = dimensions(space, flats, view, room, writing)
  const falls = fallSigns(space, flats, view, room)
  const flow = space.each.flatMap(({ space: own, from }) => flowSigns(own, flats.slice(from)))
  room.take(flow.map(({ at }) => around(at, 8)))
  const wanted: Wanted[] = [
    ...dims.loose,
    ...falls.texts(writing),
    ...levels(space, flats, writing),
    ...names(space, flats),
  ]
  const { placed, left } = placeLabels(wanted, room)
  const labels = [...dims.labels, ...placed]
  return {
    legs,
    symbols,
    holds,
    joints,
    dimensions: dims.drawn,
    skews,
    falls: [...falls.drawn, ...flow],
    labels,
    left,
    nodes: flats,
    north: flatUnit(project([0, 1, 0], view)),
    box: boxOf(legs, labels),
    perMm: scale.perMm,
  }
}
/** Room round a drawing for its strings and texts, and how far a line is drawn smaller or larger to fill what is left. */
const FRAME = 130
const FILL = { least: 0.5, most: 1.9 }
interface Scaled {
  places: Vector[]
  perMm: number | null
}
function fitted({ places, perMm }: Scaled, view: View, within: Within): Scaled {
  const flats = places.map((place) => project(place, view))
  const across = (side: 0 | 1): number => extent(flats.map((at) => at[side]))
  const room = (side: 0 | 1, size: number): number => (size - FRAME) / Math.max(across(side), 1)
  const wanted = flats.length ? Math.min(room(0, within.width), room(1, within.height)) : 1
  const factor = Math.min(FILL.most, Math.max(FILL.least, wanted))
  return {
    places: places.map((place) => times(place, factor)),
    perMm: perMm === null ? null : perMm * factor,
  }
}
function drawnLeg(
  leg: Leg,
  flats: readonly Flat[],
  space: LinesAsOne,
  perMm: number | null,
  view: View,
): DrawnLeg[] {
  const [from, to] = [flats[leg.from], flats[leg.to]]
  if (!from || !to) return []
  // Between its ends a bent tube is drawn as it lies, brought to where its ends are drawn.
  const via = leg.viaMm.map((place): Flat => {
    if (perMm !== null) return project(times(place, perMm), view)
    const [a, b] = [space.nodes[leg.from], space.nodes[leg.to]]
    return a && b ? between(place, a.atMm, b.atMm, from, to, view) : from
  })
  const points = [from, ...via, to]
  const long = flatLength([to[0] - from[0], to[1] - from[1]])
  return [{ item: leg.item, points, known: leg.known, end: long < 1 && !via.length }]
}
/** A place beside a way, as far along and off it as it is in the building. */
function between(place: Vector, a: Vector, b: Vector, from: Flat, to: Flat, view: View): Flat {
  const [real, wayFlat] = [project(minus(b, a), view), [to[0] - from[0], to[1] - from[1]] as Flat]
  const factor = flatLength(real) > 1 ? flatLength(wayFlat) / flatLength(real) : 0.1
  return flatPlus(from, flatTimes(project(minus(place, a), view), factor))
}

function drawnSymbols(space: LinesAsOne, flats: readonly Flat[], view: View): LineDrawn['symbols'] {
  return space.nodes.flatMap(({ fitting, back }, node) => {
    const at = flats[node]
    if (!fitting || !at) return []
    const inTo = space.inTo[node] ?? -1
    const way = space.legs[inTo]?.heading ?? space.nodes[node]?.way ?? ([1, 0, 0] as Vector)
    const before = flats[back]
    const along =
      (before && flatUnit([at[0] - before[0], at[1] - before[1]])) ??
      flatUnit(project(way, view)) ??
      ([1, 0] as Flat)
    const aside = asides(way, view).find((one) => Math.abs(one[0] * along[1] - one[1] * along[0]) > 0.3) ?? [
      -along[1],
      along[0],
    ]
    return [{ item: fitting, at, reach: symbolReach(fitting), shapes: symbolOf(fitting, at, along, aside) }]
  })
}

/** Where joints are drawn: on the pipe, so far from the fitting's middle. */
const JOINT_OFF = 21
function jointsOf(space: LinesAsOne, flats: readonly Flat[]): DrawnJoint[] {
  return space.legs.flatMap(({ item, from, to, insidePipe }) => {
    const [start, end] = [flats[from], flats[to]]
    if (!start || !end) return []
    const holder = item ?? space.nodes[to]?.fitting
    const way = flatUnit([end[0] - start[0], end[1] - start[1]]) ?? ([1, 0] as Flat)
    const long = flatLength([end[0] - start[0], end[1] - start[1]])
    const off = Math.min(JOINT_OFF, long * 0.3)
    return ([0, 1] as const).flatMap((side): DrawnJoint[] => {
      const id = holder?.joints[side]
      if (!id || (!item && side === 1)) return []
      const out = flatTimes(way, side === 0 ? 1 : -1)
      const at = item
        ? flatPlus(side === 0 ? start : end, flatTimes(out, off))
        : insidePipe
          ? end
          : flatPlus(start, flatTimes(way, long / 2))
      return [{ id, tag: holder.jointTags[side] ?? '', at, way: out }]
    })
  })
}

/** The corners of a box that a skew piece is the diagonal of: one triangle in a plane, two in space. */
function skewBoxes(space: LinesAsOne, places: readonly Vector[], view: View): SkewBox[] {
  return space.legs.flatMap(({ item, from, to, heading, viaMm }): SkewBox[] => {
    const [a, b] = [places[from], places[to]]
    if (!item || !a || !b || viaMm.length) return []
    const axes = ([0, 1, 2] as const).filter((axis) => Math.abs(heading[axis]) > SKEW)
    if (axes.length < 2) return []
    const way = minus(b, a)
    const part = (axis: 0 | 1 | 2): Vector => [
      axis === 0 ? way[0] : 0,
      axis === 1 ? way[1] : 0,
      axis === 2 ? way[2] : 0,
    ]
    const flat = (place: Vector): Flat => project(place, view)
    const [first, second] = axes as [0 | 1 | 2, 0 | 1 | 2]
    const corner = plus(a, part(first))
    const level = plus(corner, part(second))
    const triangles: [Flat, Flat, Flat][] = [[flat(a), flat(corner), flat(level)]]
    if (axes.length === 3) triangles.push([flat(a), flat(level), flat(b)])
    return [{ item, triangles }]
  })
}

const MARGIN = 40
function boxOf(legs: readonly DrawnLeg[], labels: readonly Placed[]): Box {
  const box = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity }
  const widen = (one: Box): void => {
    box.minX = Math.min(box.minX, one.minX)
    box.minY = Math.min(box.minY, one.minY)
    box.maxX = Math.max(box.maxX, one.maxX)
    box.maxY = Math.max(box.maxY, one.maxY)
  }
  for (const { points } of legs) for (const at of points) widen(around(at, 16))
  for (const { middle, text, size } of labels) widen(textBox(middle, text, size))
  if (!Number.isFinite(box.minX)) return { minX: 0, minY: 0, maxX: 100, maxY: 100 }
  return {
    minX: box.minX - MARGIN,
    minY: box.minY - MARGIN,
    maxX: box.maxX + MARGIN,
    maxY: box.maxY + MARGIN,
  }
}
