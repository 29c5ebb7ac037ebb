import { cupDepthMm } from '../../sizes/copper.js'
import { type Size, outsideDiameterMm } from '../../sizes/size.js'
import { type Fig, fig } from '../../sources/source.js'
import { inchToMm } from '../../units/units.js'

/** Capillary gap that the wire's length is computed with, and the wire's diameter (1/8 in). Source: `ours-solder-wire`. */
const GAP_MM = 0.1
const WIRE_MM = inchToMm(1 / 8)
export const COOL_MIN_S = 600
export const COOL_MAX_S = 1200
export const FIRE_WATCH_S = 3600

/**
 * Length of 1/8 in solder wire for one joint, in mm. To 1 in (28 mm) as long as the joint is wide; above, what the
 * joint's volume asks for: circumference x depth x gap. Sources: `cp-solder-wire`, `ours-solder-wire`.
 * @example solderWireMm(parseSize('d22')).value // 22
 */
export function solderWireMm(size: Size): Fig {
  const nominalMm = size.family === 'd' ? size.nominal : inchToMm(size.nominal)
  if (size.family === 'd' ? size.nominal <= 28 : size.nominal <= 1) return fig(nominalMm, 'cp-solder-wire')
  const depth = cupDepthMm(size)
  if (depth.value === null) return depth
  const od = outsideDiameterMm(size) as number
  const volume = Math.PI * od * depth.value * GAP_MM
  return fig(Math.max(nominalMm, volume / ((Math.PI / 4) * WIRE_MM ** 2)), 'ours-solder-wire')
}
