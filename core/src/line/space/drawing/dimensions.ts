import type { LinesAsOne } from '../lines-as-one.js'
import { type Placed, type Room, type Wanted, textBox } from './labels.js'
import { type Flat, type View, asides, flatLength, flatPlus, flatTimes, flatUnit } from './view.js'

/** A dimension string: its line beside the pipe, its ends, and the lines that lead to it. */
export interface Dimension {
  key: string
  line: readonly [Flat, Flat]
  leads: (readonly [Flat, Flat])[]
}
export interface Dimensions {
  drawn: Dimension[]
  /** Figures on their strings. */
  labels: Placed[]
  /** Figures that found no room beside their pipe: they are placed like any other text. */
  loose: Wanted[]
}
/** How far strings stand off their pipe, drawing units. */
const OFF = [26, 42, 58]
const FIGURE = 15
/** A pipe drawn shorter than this has no string. */
const SHORTEST = 24

/** Gives each pipe its dimension string, on the side and as near as there is room for it. */
export function dimensions(
  space: LinesAsOne,
  flats: readonly Flat[],
  view: View,
  room: Room,
  writing: { length(mm: number): string },
): Dimensions {
  const out: Dimensions = { drawn: [], labels: [], loose: [] }
  for (const { item, from, to, lengthMm, heading, viaMm } of space.legs) {
    const [a, b] = [flats[from], flats[to]]
    if (!item || !a || !b || viaMm.length) continue
    const way: Flat = [b[0] - a[0], b[1] - a[1]]
    const text = item.measuredMm === null ? '?' : writing.length(lengthMm)
    const middle: Flat = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
    const key = `length ${item.id}`
    const loose: Wanted = { key, text, at: middle, size: FIGURE }
    if (flatLength(way) < SHORTEST) {
      if (flatLength(way) > 1) out.loose.push(loose)
      continue
    }
    const found = stringFor(a, b, text, asides(heading, view), room)
    if (!found) {
      out.loose.push(loose)
      continue
    }
    const { line, leads, at } = found
    room.takeLine(line, 2)
    room.take([textBox(at, text, FIGURE)])
    out.drawn.push({ key, line, leads })
    const width = text.length * FIGURE * 0.5
    out.labels.push({ ...loose, middle: at, width, height: FIGURE, leader: false })
  }
  return out
}

function stringFor(
  a: Flat,
  b: Flat,
  text: string,
  sides: readonly Flat[],
  room: Room,
): { line: [Flat, Flat]; leads: [Flat, Flat][]; at: Flat } | null {
  const along = flatUnit([b[0] - a[0], b[1] - a[1]]) as Flat
  for (const off of OFF)
    for (const side of sides) {
      // Where a side is nearly along the pipe its string would lie on it.
      if (Math.abs(along[0] * side[1] - along[1] * side[0]) < 0.4) continue
      const out = flatTimes(side, off)
      const line: [Flat, Flat] = [flatPlus(a, out), flatPlus(b, out)]
      const at: Flat = [(line[0][0] + line[1][0]) / 2, (line[0][1] + line[1][1]) / 2]
      const inner: [Flat, Flat] = [
        flatPlus(line[0], flatTimes(along, 6)),
        flatPlus(line[1], flatTimes(along, -6)),
      ]
      if (!room.free(textBox(at, text, FIGURE)) || !room.isFree(inner, 3)) continue
      const lead = (from: Flat): [Flat, Flat] => [
        flatPlus(from, flatTimes(side, 8)),
        flatPlus(from, flatTimes(side, off + 4)),
      ]
      return { line, leads: [lead(a), lead(b)], at }
    }
  return null
}
