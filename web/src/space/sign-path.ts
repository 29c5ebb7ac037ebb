import type { Sign } from '@jugalis/core'

type Flat = readonly [number, number]
/** A way through points as the browser draws it. */
export const pathOf = (points: readonly Flat[], closed = false): string =>
  points.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(2)} ${y.toFixed(2)}`).join('') + (closed ? 'Z' : '')
/** A shape of a sign as the browser draws it. */
export const signPath = (shape: Sign): string =>
  shape.kind === 'circle'
    ? `M${shape.middle[0] - shape.radius} ${shape.middle[1]}a${shape.radius} ${shape.radius} 0 1 0 ${2 * shape.radius} 0a${shape.radius} ${shape.radius} 0 1 0 ${-2 * shape.radius} 0Z`
    : pathOf(shape.points, shape.closed)
