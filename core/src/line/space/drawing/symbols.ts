import type { Item } from '../../../log/state.js'
import { greatest } from '../../../units/extent.js'
import { partOf } from '../../../parts/ends.js'
import type { OwnShape } from '../../../log/own-form.js'
import { type Flat, flatPlus, flatTimes } from './view.js'

/** A shape of a sign: its points, closed or open, filled or not; a circle by middle and radius. */
export type Sign =
  | { kind: 'path'; points: readonly Flat[]; closed: boolean; filled: boolean }
  | { kind: 'circle'; middle: Flat; radius: number; filled: boolean }

/** Half the length of a valve's sign along the pipe, and half its height. */
const HALF = 13
const HIGH = 8
const path = (points: readonly Flat[], closed = false, filled = false): Sign => ({
  kind: 'path',
  points,
  closed,
  filled,
})

/**
 * The sign of a fitting on the pipe's line. Sources: ISO 6412-1 and ISO 10628-2 (signs of piping), from memory: a valve is two
 * triangles point to point, a reducer a wedge, a flange a stroke across, a cap a stroke with its ends turned in.
 * @param along way of the pipe in the drawing. @param aside in its plane, across it.
 */
export function symbolOf(item: Item, at: Flat, along: Flat, aside: Flat): Sign[] {
  const place = (far: number, out: number): Flat =>
    flatPlus(at, flatPlus(flatTimes(along, far), flatTimes(aside, out)))
  const stroke = (far: number, half = HIGH): Sign => path([place(far, -half), place(far, half)])
  const bowTie = [
    path([place(-HALF, -HIGH), place(0, 0), place(-HALF, HIGH)], true),
    path([place(HALF, -HIGH), place(0, 0), place(HALF, HIGH)], true),
  ]
  const circle = (far: number, radius: number, filled = false): Sign => ({
    kind: 'circle',
    middle: place(far, 0),
    radius,
    filled,
  })
  if (item.own) return ownSigns(item.own.shapes, place)
  const own: Readonly<Record<string, () => Sign[]>> = {
    valve: () => [...bowTie, circle(0, 3.5, true)],
    'gate valve': () => bowTie,
    'globe valve': () => [...bowTie, circle(0, 3.5)],
    'butterfly valve': () => [stroke(-HALF), stroke(HALF), path([place(-HALF, HIGH), place(HALF, -HIGH)])],
    'check valve': () => [
      path([place(-HALF, -HIGH), place(HALF, 0), place(-HALF, HIGH)], true, true),
      stroke(HALF),
    ],
    'relief valve': () => [...bowTie, path([place(0, 0), place(0, -HIGH - 6)])],
    'balancing valve': () => [...bowTie, path([place(-6, HIGH + 2), place(6, -HIGH - 2)])],
    strainer: () => [stroke(-HALF), stroke(HALF), path([place(-4, 0), place(6, HIGH + 6)])],
    meter: () => [path([place(-HALF, -9), place(HALF, -9), place(HALF, 9), place(-HALF, 9)], true)],
    pump: () => [circle(0, 15), path([place(-9, -11), place(15, 0), place(-9, 11)])],
    vessel: () => [circle(0, 20)],
    'expansion joint': () => [
      stroke(-HALF),
      stroke(HALF),
      path([place(-HALF, 0), place(-6, -HIGH), place(0, HIGH), place(6, -HIGH), place(HALF, 0)]),
    ],
    saddle: () => [path([place(-9, -HIGH), place(9, -HIGH), place(9, HIGH), place(-9, HIGH)], true)],
    reducer: () => [path([place(-10, -9), place(10, -4), place(10, 4), place(-10, 9)], true, true)],
    bushing: () => [path([place(-6, -8), place(6, -4), place(6, 4), place(-6, 8)], true, true)],
    union: () => [stroke(-4), stroke(0, HIGH + 3), stroke(4)],
    'dielectric union': () => [stroke(-5), stroke(0, HIGH + 3), stroke(5), circle(0, 3, true)],
    flange: () => [stroke(-2.5, 10), stroke(2.5, 10)],
    'floor flange': () => [stroke(0, 10)],
    cap: () => [path([place(-5, -HIGH), place(0, -HIGH), place(0, HIGH), place(-5, HIGH)])],
    plug: () => [stroke(0, 7), stroke(3, 4)],
    cleanout: () => [
      path([place(-5, -HIGH), place(0, -HIGH), place(0, HIGH), place(-5, HIGH)]),
      circle(0, 3),
    ],
    'tank adapter': () => [stroke(0, 16), stroke(3, 16)],
    'air vent': () => [circle(6, 6), stroke(0, 5)],
    drain: () => [...bowTie, stroke(HALF + 4, 5)],
    'hose end': () => [...bowTie, stroke(HALF + 4, 5)],
    gauge: () => [circle(10, 9), path([place(10, 0), place(15, -5)])],
    trap: () => [path([place(-12, 0), place(-12, 12), place(12, 12), place(12, 0)])],
    'p-trap': () => [path([place(-12, 0), place(-12, 12), place(12, 12), place(12, 0)])],
  }
  const signs = own[item.fitting ?? '']
  if (signs) return signs()
  // What only joins two pipes is two strokes; elbows and tees are where the lines meet.
  return partOf(item).form === 'through' ? [stroke(-6, 5), stroke(6, 5)] : []
}
/** A sign from simple shapes. @param place where so far along the pipe and so far aside of it lies. */
export const ownSigns = (shapes: readonly OwnShape[], place: (far: number, out: number) => Flat): Sign[] =>
  shapes.map((shape) => ownSign(shape, place))
/** A shape of a house's own sign where it lies. */
function ownSign({ kind, at, filled }: OwnShape, place: (far: number, out: number) => Flat): Sign {
  const [x = 0, y = 0, toX = 0, toY = 0] = at
  if (kind === 'circle') return { kind, middle: place(x, y), radius: Math.abs(toX), filled: filled === true }
  const corners = kind === 'box' ? [x, y, toX, y, toX, toY, x, toY] : at
  const points = corners.flatMap((far, i) => (i % 2 ? [] : [place(far, corners[i + 1] ?? 0)]))
  return path(points, kind !== 'line', filled === true)
}
/** How far a sign reaches from its middle, drawing units. */
export const symbolReach = (item: Item): number =>
  item.own
    ? greatest([7, ...item.own.shapes.flatMap(({ at }) => at.map(Math.abs))])
    : partOf(item).form === 'turn' || partOf(item).form === 'tee' || partOf(item).form === 'cross'
      ? 7
      : 16
