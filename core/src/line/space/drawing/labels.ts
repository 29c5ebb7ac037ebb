import RBush from 'rbush'
import type { Flat } from './view.js'

/** A rectangle of a drawing. */
export interface Box {
  minX: number
  minY: number
  maxX: number
  maxY: number
}
/** A text that wants a place near a point. */
export interface Wanted {
  key: string
  text: string
  /** What it is about: it stands as near to this as it can. */
  at: Flat
  /** Where it would best stand, from its point. */
  towards?: Flat
  size: number
}
/** A text with its place: the middle of it. */
export interface Placed extends Wanted {
  middle: Flat
  width: number
  height: number
  /** It stands so far off that a line leads to its point. */
  leader: boolean
}

/** Share of the height that a letter is wide, on average, in the condensed face of drawings. */
const LETTER = 0.5
/** Room round a text. */
const PAD = 2
const RINGS = [13, 22, 34, 48, 66, 90]
/** From this ring on a line leads to the point. */
const LEADS_FROM = 34
const WAYS = 12

/**
 * Room that a text takes.
 * @example textBox([10, 10], '12', 10).maxX // 17
 */
export function textBox([x, y]: Flat, text: string, size: number): Box {
  const [halfWide, halfHigh] = [(text.length * size * LETTER) / 2 + PAD, size / 2 + PAD - 1]
  return { minX: x - halfWide, minY: y - halfHigh, maxX: x + halfWide, maxY: y + halfHigh }
}

/** What stands in a drawing already: nothing else is put over it. */
export class Room {
  private readonly tree = new RBush<Box>()
  /** Takes room. */
  take(boxes: readonly Box[]): void {
    this.tree.load([...boxes])
  }
  free = (box: Box): boolean => !this.tree.collides(box)
  /** Takes the room of a line in small boxes, so that what stands beside a slanting one is free. */
  takeLine(points: readonly Flat[], half: number): void {
    this.take(lineBoxes(points, half))
  }
  isFree = (points: readonly Flat[], half: number): boolean => lineBoxes(points, half).every(this.free)
}
const STEP = 8
function lineBoxes(points: readonly Flat[], half: number): Box[] {
  const out: Box[] = []
  points.forEach((to, i) => {
    const from = points[i - 1]
    if (!from) return
    const steps = Math.max(1, Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1]) / STEP))
    for (let step = 0; step < steps; step++) {
      const [a, b] = [step / steps, (step + 1) / steps].map((share): Flat => [
        from[0] + (to[0] - from[0]) * share,
        from[1] + (to[1] - from[1]) * share,
      ]) as [Flat, Flat]
      out.push({
        minX: Math.min(a[0], b[0]) - half,
        minY: Math.min(a[1], b[1]) - half,
        maxX: Math.max(a[0], b[0]) + half,
        maxY: Math.max(a[1], b[1]) + half,
      })
    }
  })
  return out
}

/**
 * Places texts one after another, each as near to its point as there is room: none lies over another, or over what stands
 * there already. What finds no room is left out and counted.
 */
export function placeLabels(wanted: readonly Wanted[], room: Room): { placed: Placed[]; left: number } {
  const placed: Placed[] = []
  for (const one of wanted) {
    const found = placeOne(one, room)
    if (!found) continue
    placed.push(found)
    room.take([textBox(found.middle, one.text, one.size)])
  }
  return { placed, left: wanted.length - placed.length }
}
function placeOne(one: Wanted, room: Room): Placed | null {
  const [width, height] = [one.text.length * one.size * LETTER, one.size]
  const first = one.towards ? Math.atan2(one.towards[1], one.towards[0]) : -Math.PI / 2
  for (const ring of RINGS)
    for (let way = 0; way < WAYS; way++) {
      // From the best way on to both sides by turns.
      const angle = first + ((way % 2 ? 1 : -1) * Math.ceil(way / 2) * 2 * Math.PI) / WAYS
      const middle: Flat = [
        one.at[0] + Math.cos(angle) * (ring + (width / 2) * Math.abs(Math.cos(angle))),
        one.at[1] + Math.sin(angle) * (ring + (height / 2 - 4) * Math.abs(Math.sin(angle))),
      ]
      if (room.free(textBox(middle, one.text, one.size)))
        return { ...one, middle, width, height, leader: ring >= LEADS_FROM }
    }
  return null
}
