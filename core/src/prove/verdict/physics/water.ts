/** Numerator of Kell's density of water at one atmosphere, by powers of the temperature in °C. Source: `kell-1975`. */
const DENSITY = [999.83952, 16.945176, -7.9870401e-3, -46.170461e-6, 105.56302e-9, -280.54253e-12]
const DENSITY_BELOW = 16.87985e-3
/** Numerator of Kell's isothermal compressibility at one atmosphere, 1e-6 per bar. Source: `kell-1975`. */
const SQUEEZE = [50.88496, 0.6163813, 1.459187e-3, 20.08438e-6, -58.47727e-9, 410.411e-12]
const SQUEEZE_BELOW = 19.67348e-3

/** By Horner, in a plain loop: a test is judged by some hundred thousand of these. */
function powers(by: readonly number[], temperatureC: number): number {
  let sum = 0
  for (let i = by.length - 1; i >= 0; i--) sum = sum * temperatureC + (by[i] as number)
  return sum
}

/**
 * Density of air-free water at one atmosphere, kg/m³, 0 to 100 °C. Source: `kell-1975`.
 * @example waterDensity(20) // 998.2
 */
export const waterDensity = (c: number): number => powers(DENSITY, c) / (1 + DENSITY_BELOW * c)
/**
 * Isothermal compressibility of water near one atmosphere, per bar, 0 to 100 °C. Source: `kell-1975`.
 * @example waterSqueeze(20) // 0.0000459
 */
export const waterSqueeze = (c: number): number => (powers(SQUEEZE, c) / (1 + SQUEEZE_BELOW * c)) * 1e-6
/**
 * Volume expansion of water at one atmosphere, per kelvin: from the density on both sides.
 * @example waterExpansion(20) // 0.000207
 */
export function waterExpansion(temperatureC: number): number {
  const half = 0.05
  return (
    (waterDensity(temperatureC - half) - waterDensity(temperatureC + half)) /
    (2 * half) /
    waterDensity(temperatureC)
  )
}

/** Water at one temperature, as a balance of volumes needs it: worked out once, however many balances are struck. */
export interface WaterAt {
  temperatureC: number
  densityKgM3: number
  squeezePerBar: number
}
/**
 * @param temperatureC 0 to 100.
 * @example waterAt(20).densityKgM3 // 998.2
 */
export const waterAt = (temperatureC: number): WaterAt => ({
  temperatureC,
  densityKgM3: waterDensity(temperatureC),
  squeezePerBar: waterSqueeze(temperatureC),
})
