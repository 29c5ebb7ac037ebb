import { tableOf } from '../../sources/table.js'
import { greatest } from '../../units/extent.js'
import { ATMOSPHERE_BAR_ABS } from '../../units/units.js'
import DISTANCES_FILE from './tables/gas-distances.json' with { type: 'json' }

/** Air and nitrogen: (k − 1) / k with k = 1.4, as PCC-2 rounds it; and 1 / (k − 1). */
const EXPONENT = 0.286
const OVER = 2.5
const J_PER_KG_TNT = 4_266_920
const DISTANCES = tableOf(DISTANCES_FILE, 'asme-pcc-2')
const SCALED_M = 20

/**
 * Energy of gas under pressure: J, its like in kg of TNT, and the distance people keep, m. Source: `asme-pcc-2`.
 * @example storedEnergy(0.1, 6).energyJ // 74_507.85
 */
export function storedEnergy(
  volumeM3: number,
  testBar: number,
): { energyJ: number; tntKg: number; distanceM: number } {
  const abs = (testBar + ATMOSPHERE_BAR_ABS) * 1e5
  const outside = ATMOSPHERE_BAR_ABS * 1e5
  const energyJ = OVER * abs * volumeM3 * (1 - (outside / abs) ** EXPONENT)
  const tntKg = energyJ / J_PER_KG_TNT
  const { rows } = DISTANCES
  const least = rows.find(({ to }) => energyJ <= to)?.distance ?? greatest(rows.map((row) => row.distance))
  return { energyJ, tntKg, distanceM: Math.max(least, SCALED_M * Math.cbrt(2 * tntKg)) }
}
