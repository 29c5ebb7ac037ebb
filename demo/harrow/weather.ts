/**
 * Temperatures and humidity of the boiler room under construction, hour by hour: sea air, and one wet night near 35 °F.
 * @param sinceNightH hours since 02:00 of that night.
 */
export function stormAt(sinceNightH: number): { wallC: number; airC: number; humidityPct: number } {
  const day = Math.sin(((sinceNightH - 7) / 24) * 2 * Math.PI)
  const dip = Math.exp(-(((sinceNightH - 1) / 3.6) ** 2))
  const swing = Math.sin(sinceNightH * 1.3) * 0.3
  const wallC = 11.5 + 2 * day - dip * 8.2 + swing * 0.4
  const one = (value: number): number => Math.round(value * 10) / 10
  return {
    wallC: one(wallC),
    airC: one(wallC + 0.8 + swing),
    humidityPct: Math.round(Math.min(97, 78 + 15 * dip + swing * 6)),
  }
}
