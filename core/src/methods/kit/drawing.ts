import { wallMm } from '../../sizes/walls.js'
import type { RingPart, Shape } from '../method.js'
import { type BaseSpec, odOf, sizeOf } from './spec.js'

/** Wall for the drawing: that of the line's series, or a tenth of the diameter where none is known (drawn, never told). */
export const drawnWall = (spec: BaseSpec): number =>
  wallMm(spec.material, sizeOf(spec), spec.wallSeries).value ?? odOf(spec) * 0.1

/** A ring round the pipe, as it lies in the drawn section. Lengths along the pipe and diameters, mm. */
export const ring = (as: RingPart, x1: number, x2: number, innerMm: number, outerMm: number): Shape => ({
  kind: 'ring',
  as,
  x1,
  x2,
  innerMm,
  outerMm,
})

/** Pipe and socket, as most joints have them: the pipe stands off before it is made, so that marks can be seen. */
export function pipeInSocket(
  spec: BaseSpec,
  depthMm: number,
  state: { marked: boolean; made: boolean },
): Shape[] {
  const odMm = odOf(spec)
  const wall = drawnWall(spec)
  const end = state.made ? depthMm : -depthMm * 0.35
  const shapes: Shape[] = [
    { kind: 'socket', face: 0, stop: depthMm, odMm, wallMm: wall * 1.3 },
    { kind: 'pipe', x1: end - depthMm - odMm * 0.8, x2: end, odMm, wallMm: wall },
  ]
  if (state.marked) shapes.push({ kind: 'mark', at: end - depthMm, as: 'depth' })
  return shapes
}

/** Two ends that meet face to face, each with a collar: ferrules, flanges. `gapMm` is between the faces. */
export function faceToFace(spec: BaseSpec, collarMm: number, thickMm: number, gapMm: number): Shape[] {
  const odMm = odOf(spec)
  const wall = drawnWall(spec)
  const run = Math.max(odMm * 0.7, thickMm * 3)
  return [-1, 1].flatMap((side): Shape[] => {
    const near = (side * gapMm) / 2
    const [x1, x2] = side < 0 ? [near - run, near] : [near, near + run]
    const [c1, c2] = side < 0 ? [near - thickMm, near] : [near, near + thickMm]
    return [{ kind: 'pipe', x1, x2, odMm, wallMm: wall }, ring('fitting', c1, c2, odMm, collarMm)]
  })
}
