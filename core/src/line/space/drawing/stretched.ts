import { type Vector, lengthOf, minus, times } from '../../../space/vector.js'
import { extent, greatest } from '../../../units/extent.js'
import { samePlaces } from '../extremes.js'
import { together } from '../together.js'
import type { Walked } from '../walked.js'

/** A leg that leaves an axis by less than this share of its length lies along the others: a fall is drawn as a sign. */
const ALONG = 0.06
/** Gaps between places on an axis, in drawing units: as short and as long as they are drawn. */
const GAP = { least: 74, most: 210, halfMm: 2500 }
/** Places nearer on an axis than this are one. */
const SAME_MM = 1

/** Does a way go along an axis at all, or only fall across it? */
const goesAlong = (way: Vector, axis: 0 | 1 | 2): boolean => Math.abs(way[axis]) > ALONG * lengthOf(way)

/**
 * Places as they are drawn so that short parts can be read: on each axis they keep their order, gaps between them are
 * shortened where long and widened where short. What lies along an axis goes on doing so, and what closes still does.
 */
export function stretched(walked: Walked): Vector[] {
  const axes = ([0, 1, 2] as const).map((axis) => onAxis(walked, axis))
  return walked.nodes.map((_, node): Vector => [
    axes[0]?.[node] ?? 0,
    axes[1]?.[node] ?? 0,
    axes[2]?.[node] ?? 0,
  ])
}

function onAxis(walked: Walked, axis: 0 | 1 | 2): number[] {
  const { nodes, legs } = walked
  const alike = legs.flatMap(({ from, to }): (readonly [number, number])[] => {
    const [a, b] = [nodes[from], nodes[to]]
    return a && b && !goesAlong(minus(b.atMm, a.atMm), axis) ? [[from, to]] : []
  })
  const find = together(nodes.length, [...alike, ...samePlaces(walked)])
  const groups = new Map<number, { sum: number; count: number }>()
  nodes.forEach((node, at) => {
    const group = groups.get(find(at)) ?? { sum: 0, count: 0 }
    group.sum += node.atMm[axis]
    group.count++
    groups.set(find(at), group)
  })
  const rising = [...groups].map(([root, { sum, count }]) => ({ root, mm: sum / count }))
  rising.sort((a, b) => a.mm - b.mm)
  const drawn = new Map<number, number>()
  let [at, before] = [0, rising[0]?.mm ?? 0]
  for (const { root, mm } of rising) {
    at += drawnGap(mm - before)
    before = mm
    drawn.set(root, at)
  }
  return nodes.map((_, node) => drawn.get(find(node)) ?? 0)
}
const drawnGap = (mm: number): number =>
  mm < SAME_MM ? 0 : GAP.least + ((GAP.most - GAP.least) * mm) / (mm + GAP.halfMm)

/** Size of a drawing to scale, in drawing units: its longest side. */
const TO_SCALE = 1100
/** Places to scale. */
export function toScale(walked: Walked): { places: Vector[]; perMm: number } {
  const along = ([0, 1, 2] as const).map((axis) => walked.nodes.map(({ atMm }) => atMm[axis]))
  const size = greatest([1, ...along.map(extent)])
  const perMm = TO_SCALE / size
  return { perMm, places: walked.nodes.map(({ atMm }) => times(atMm, perMm)) }
}
