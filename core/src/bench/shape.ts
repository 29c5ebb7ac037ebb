const { abs, cos, max, min, PI } = Math

/**
 * Falls in a straight line from 1 at `from` to `floor` at `to`, and stays; which way round they lie does not matter.
 * Any unit.
 * @example fall(5, 0, 10, 0) // 0.5
 */
export function fall(x: number, from: number, to: number, floor = 0): number {
  const share = max(0, min(1, (x - from) / (to - from)))
  return 1 - share * (1 - floor)
}
/**
 * How near a place round the pipe is to an hour of the clock: 1 there, 0 at `hours` away and beyond.
 * @param row of `rows`, clockwise from 12 o'clock.
 * @example nearClock(12, 24, 6, 1.5) // 1
 */
export function nearClock(row: number, rows: number, clock: number, hours: number): number {
  const at = (row / rows) * 12
  const off = abs(((at - clock + 18) % 12) - 6)
  return off >= hours ? 0 : cos((off / hours) * (PI / 2)) ** 2
}
/** Lowest side to highest: 1 at the hour, 0 opposite, as a tilt has it. @example tilted(0, 24, 12) // 1 */
export const tilted = (row: number, rows: number, clock: number): number =>
  (1 + cos(((row / rows) * 12 - clock) * (PI / 6))) / 2
