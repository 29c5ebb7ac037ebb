import type { Held } from '../../../log/held.js'
import type { LinesAsOne } from '../lines-as-one.js'
import type { Sign } from './symbols.js'
import { type Flat, flatPlus, flatTimes, flatUnit } from './view.js'

/** A sign of what holds a line. */
export interface HoldSign {
  key: string
  at: Flat
  shapes: Sign[]
}
const SIZE = 8
/**
 * An anchor is a cross on the pipe, a guide a stroke along it on either side. Source: usual signs of pipe supports, from
 * memory (ISO 6412-1 leaves them to the drawing's key).
 */
function signOf({ as }: Held, at: Flat, along: Flat): Sign[] {
  const aside: Flat = [-along[1], along[0]]
  const place = (far: number, out: number): Flat =>
    flatPlus(at, flatPlus(flatTimes(along, far), flatTimes(aside, out)))
  const stroke = (a: Flat, b: Flat): Sign => ({ kind: 'path', points: [a, b], closed: false, filled: false })
  return as === 'anchor'
    ? [stroke(place(-SIZE, -SIZE), place(SIZE, SIZE)), stroke(place(-SIZE, SIZE), place(SIZE, -SIZE))]
    : [-1, 1].map((side) => stroke(place(-SIZE, side * 6), place(SIZE, side * 6)))
}
/** Signs of all that holds a line. */
export function holdSigns(space: LinesAsOne, flats: readonly Flat[]): HoldSign[] {
  const signs: HoldSign[] = []
  const put = (id: string, held: Held, at: Flat, along: Flat): void =>
    void signs.push({ key: `${id} ${held.atMm ?? 0}`, at, shapes: signOf(held, at, along) })
  space.nodes.forEach(({ fitting, back }, node) => {
    const [at, before] = [flats[node], flats[back]]
    if (!fitting?.held || !at) return
    const along = (before && flatUnit([at[0] - before[0], at[1] - before[1]])) ?? ([1, 0] as Flat)
    for (const held of fitting.held) put(fitting.id, held, at, along)
  })
  for (const { item, from, to, lengthMm } of space.legs) {
    const [a, b] = [flats[from], flats[to]]
    if (!item?.held || !a || !b) continue
    const way: Flat = [b[0] - a[0], b[1] - a[1]]
    for (const held of item.held) {
      const share = Math.min(1, (held.atMm ?? 0) / Math.max(lengthMm, 1))
      put(item.id, held, flatPlus(a, flatTimes(way, share)), flatUnit(way) ?? [1, 0])
    }
  }
  return signs
}
