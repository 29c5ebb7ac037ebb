/** Bar for each metre of water of 1000 kg/m³ (standard gravity). */
const BAR_PER_M = 0.0980665

/** Pressure of a column of liquid, bar. @param heightM below the top. */
export const headBar = (heightM: number, densityKgM3 = 1000): number =>
  (BAR_PER_M * densityKgM3 * heightM) / 1000

/** Pressures at the lowest and the highest point from the one at the gauge, bar. Source: `hydrostatic`. */
export function atEnds(
  gaugeBar: number,
  at: { gaugeM: number; lowM: number; highM: number },
  densityKgM3 = 1000,
): { atLowBar: number; atHighBar: number } {
  return {
    atLowBar: gaugeBar + headBar(at.gaugeM - at.lowM, densityKgM3),
    atHighBar: gaugeBar + headBar(at.gaugeM - at.highM, densityKgM3),
  }
}
