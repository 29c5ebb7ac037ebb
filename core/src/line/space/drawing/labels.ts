import { greatest, smallest } from '../../../units/extent.js'
import { type Flat, flatUnit } from './view.js'

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
  const { halfWide, halfHigh } = halfBox(text, size)
  return { minX: x - halfWide, minY: y - halfHigh, maxX: x + halfWide, maxY: y + halfHigh }
}

const halfBox = (text: string, size: number): { halfWide: number; halfHigh: number } => ({
  halfWide: (text.length * size * LETTER) / 2 + PAD,
  halfHigh: size / 2 + PAD - 1,
})

/** Width of a cell of the raster that keeps what is taken, drawing units. */
const CELL = 6
/** Beyond what is drawn texts may stand so far off. */
const BORDER = 240

/** What stands in a drawing already: nothing else is put over it. Kept as a raster: asked far more often than changed. */
export class Room {
  private readonly left: number
  private readonly top: number
  private readonly wide: number
  private readonly high: number
  private readonly taken: Uint8Array
  /** @param drawn points of the drawing: room is kept for them and round them. */
  constructor(drawn: readonly Flat[]) {
    const side = (at: 0 | 1): [number, number] => {
      const list = drawn.map((point) => point[at])
      return list.length ? [smallest(list) - BORDER, greatest(list) + BORDER] : [0, 0]
    }
    const [[left, right], [top, bottom]] = [side(0), side(1)]
    this.left = left
    this.top = top
    this.wide = Math.max(1, Math.ceil((right - left) / CELL))
    this.high = Math.max(1, Math.ceil((bottom - top) / CELL))
    this.taken = new Uint8Array(this.wide * this.high)
  }
  /**
   * Takes the cells that a rectangle touches, or asks whether all of them are free; false where it does not lie within.
   * Loops and figures alone: a drawing asks some hundred thousand times.
   */
  private cells(minX: number, minY: number, maxX: number, maxY: number, take: boolean): boolean {
    const { wide, taken } = this
    const x0 = Math.floor((minX - this.left) / CELL)
    const x1 = Math.ceil((maxX - this.left) / CELL)
    const y0 = Math.floor((minY - this.top) / CELL)
    const y1 = Math.ceil((maxY - this.top) / CELL)
    if (x0 < 0 || y0 < 0 || x1 > wide || y1 > this.high) return false
    for (let y = y0; y < y1; y++) {
      const end = y * wide + x1
      for (let at = y * wide + x0; at < end; at++)
        if (take) taken[at] = 1
        else if (taken[at]) return false
    }
    return true
  }
  /** Takes room. */
  take(boxes: readonly Box[]): void {
    for (const { minX, minY, maxX, maxY } of boxes) this.cells(minX, minY, maxX, maxY, true)
  }
  free = ({ minX, minY, maxX, maxY }: Box): boolean => this.cells(minX, minY, maxX, maxY, false)
  /** Is there room round a point? @param halfWide to either side. @param halfHigh above and below. */
  freeRound = (x: number, y: number, halfWide: number, halfHigh: number): boolean =>
    this.cells(x - halfWide, y - halfHigh, x + halfWide, y + halfHigh, false)
  /** Takes the room of a line in small boxes, so that what stands beside a slanting one is free. */
  takeLine(points: readonly Flat[], half: number): void {
    this.along(points, half, true)
  }
  isFree = (points: readonly Flat[], half: number): boolean => this.along(points, half, false)
  private along(points: readonly Flat[], half: number, take: boolean): boolean {
    for (let i = 1; i < points.length; i++) {
      const [from, to] = [points[i - 1] as Flat, points[i] as Flat]
      const [wayX, wayY] = [to[0] - from[0], to[1] - from[1]]
      const steps = Math.max(1, Math.ceil(Math.sqrt(wayX * wayX + wayY * wayY) / STEP))
      const [stepX, stepY] = [wayX / steps, wayY / steps]
      const [halfX, halfY] = [Math.abs(stepX) / 2 + half, Math.abs(stepY) / 2 + half]
      for (let step = 0; step < steps; step++) {
        const [x, y] = [from[0] + stepX * (step + 0.5), from[1] + stepY * (step + 0.5)]
        if (!this.cells(x - halfX, y - halfY, x + halfX, y + halfY, take)) return false
      }
    }
    return true
  }
}
/** Length of the boxes that a line is covered with. */
const STEP = 20

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
/** Ways round a point, from the best on to both sides by turns: cosine and sine of the turn. */
const TURNS = Array.from({ length: WAYS }, (_, way): Flat => {
  const angle = ((way % 2 ? 1 : -1) * Math.ceil(way / 2) * 2 * Math.PI) / WAYS
  return [Math.cos(angle), Math.sin(angle)]
})
const UPWARDS: Flat = [0, -1]
function placeOne(one: Wanted, room: Room): Placed | null {
  const [width, height] = [one.text.length * one.size * LETTER, one.size]
  const [bestX, bestY] = (one.towards && flatUnit(one.towards)) ?? UPWARDS
  const { halfWide, halfHigh } = halfBox(one.text, one.size)
  for (const ring of RINGS)
    for (const [cos, sin] of TURNS) {
      const [right, down] = [bestX * cos - bestY * sin, bestX * sin + bestY * cos]
      const x = one.at[0] + right * (ring + (width / 2) * Math.abs(right))
      const y = one.at[1] + down * (ring + (height / 2 - 4) * Math.abs(down))
      if (room.freeRound(x, y, halfWide, halfHigh))
        return { ...one, middle: [x, y], width, height, leader: ring >= LEADS_FROM }
    }
  return null
}
