import { type Vector, times } from '../../../space/vector.js'
import { once } from '../../../units/memo.js'

/** How a line is looked at: on 30° axes, from above, or from one of four sides. */
export const VIEWS = ['isometric', 'plan', 'from-south', 'from-east', 'from-north', 'from-west'] as const
export type ViewName = (typeof VIEWS)[number]
export interface View {
  name: ViewName
  /** Quarter turns of the isometric about the upright. */
  turns: 0 | 1 | 2 | 3
}
/** A point of a drawing: to the right, and down. */
export type Flat = readonly [right: number, down: number]

const COS_30 = Math.sqrt(3) / 2
const SIN_30 = 0.5

/** A place turned about the upright by quarter turns. */
function turnedBy([east, north, up]: Vector, turns: View['turns']): Vector {
  switch (turns) {
    case 1:
      return [north, -east, up]
    case 2:
      return [-east, -north, up]
    case 3:
      return [-north, east, up]
    default:
      return [east, north, up]
  }
}
/**
 * Where a place is in a drawing, in the same unit. The isometric has its three axes unshortened, north to the upper and
 * east to the lower right. Source: ISO 6412-2 (isometric representation), from memory.
 */
export function project(place: Vector, view: View): Flat {
  const [east, north, up] = place
  switch (view.name) {
    case 'plan':
      return [east, -north]
    case 'from-south':
      return [east, -up]
    case 'from-north':
      return [-east, -up]
    case 'from-east':
      return [north, -up]
    case 'from-west':
      return [-north, -up]
    case 'isometric': {
      const [x, y, z] = turnedBy(place, view.turns)
      return [(x + y) * COS_30, (x - y) * SIN_30 - z]
    }
  }
}

/** Sum of a point and another. */
export const flatPlus = (one: Flat, other: Flat): Flat => [one[0] + other[0], one[1] + other[1]]
/** A point so many times. */
export const flatTimes = (one: Flat, factor: number): Flat => [one[0] * factor, one[1] * factor]
/** Length of a way in a drawing. */
export const flatLength = (one: Flat): number => Math.hypot(one[0], one[1])
/** Direction of a way in a drawing; null where it is seen from its end. */
export function flatUnit(one: Flat): Flat | null {
  const length = flatLength(one)
  return length > 1e-9 ? flatTimes(one, 1 / length) : null
}

const AXES: readonly Vector[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
]
/** Directions of a drawing in which a dimension may stand off a pipe: the axes that are not along it, both ways. */
export const asides = (heading: Vector, view: View): Flat[] =>
  axesSeen(view).flatMap((ways, i) => (Math.abs(heading[i] as number) < 0.9 ? ways : []))
/** Each axis as it is seen, both ways; of one that is seen from its end nothing. Views are few, and pipes many. */
const axesSeen = once((view: View) =>
  AXES.map((axis) =>
    [1, -1].flatMap((sense): Flat[] => {
      const way = flatUnit(project(times(axis, sense), view))
      return way ? [way] : []
    }),
  ),
)

/** A square round a point. @param far from its middle to its sides. */
export const around = (
  [x, y]: Flat,
  far: number,
): { minX: number; minY: number; maxX: number; maxY: number } => ({
  minX: x - far,
  minY: y - far,
  maxX: x + far,
  maxY: y + far,
})
