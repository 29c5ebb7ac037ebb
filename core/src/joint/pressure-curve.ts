import type { Piece } from '../methods/cure/piecewise.js'
import type { Ramp } from '../methods/method.js'

/** A joint's ramps as a curve from home on, 0 bar first. */
export function piecesOf(ramps: readonly Ramp[], homeS: number): Piece[] {
  const start: Piece = { fromS: homeS, bar: 0, slopeBarPerS: 0, holder: 0, reachedS: homeS }
  const rest = ramps.map((ramp) => ({
    fromS: ramp.fromS,
    bar: ramp.bar ?? Infinity,
    slopeBarPerS: ramp.slopeBarPerS,
    holder: 0,
    reachedS: ramp.fromS,
  }))
  return rest[0] && rest[0].fromS <= homeS ? rest : [start, ...rest]
}
