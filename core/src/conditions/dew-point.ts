const MAGNUS_A = 17.62
const B_C = 243.12

/**
 * Dew point by the Magnus formula.
 * @param airC air temperature, −45…60 °C. @param relativeHumidityPct above 0, to 100.
 * @returns dew point in °C. Source: `magnus`.
 * @example dewPointC(20, 50) // 9.26
 */
export function dewPointC(airC: number, relativeHumidityPct: number): number {
  const gamma = Math.log(relativeHumidityPct / 100) + (MAGNUS_A * airC) / (B_C + airC)
  return (B_C * gamma) / (MAGNUS_A - gamma)
}
