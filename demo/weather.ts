/**
 * Temperatures and humidity of the invented plant room, hour by hour. Mild days and nights, but one night is cold.
 * @param sinceNightH hours since 02:00 of the cold night.
 */
export function weatherAt(sinceNightH: number): { wallC: number; airC: number; humidityPct: number } {
  const day = Math.sin(((sinceNightH - 7) / 24) * 2 * Math.PI)
  const mild = 13.2 + 1.8 * day
  const dip = Math.exp(-(((sinceNightH - 1.2) / 3.1) ** 2))
  const wallC = mild - dip * 4.55
  const swing = Math.sin(sinceNightH * 1.7) * 0.3
  const one = (x: number): number => Math.round(x * 10) / 10
  return {
    wallC: one(wallC + swing * 0.4),
    airC: one(wallC + 0.9 + swing),
    humidityPct: Math.round(71 + swing * 8 - day * 3),
  }
}
