/** What of how a step is done can be drawn on round the pipe: how much in all, underneath, how evenly, how much is left off. */
export type Round = 'mean' | 'under' | 'even' | 'left'
/** Places round the pipe that are drawn on, one for each hour of the clock; the first is 12 o'clock. */
export const HOURS = 12
/** Underneath: 5 to 7 o'clock. */
const UNDER = [5, 6, 7]

/**
 * A figure of what was drawn on round the pipe. @param passes over each hour, 12 of them; once round evenly is as it is done.
 * @param usual the figure of once round.
 * @returns per cent as the bench has it. Nothing drawn on at all is none of it.
 * @example drawnRound('mean', [1, 1, 1, 1, 1, 1, 1, 1, 1, 1, 1, 1], 115) // 115
 */
export function drawnRound(kind: Round, passes: readonly number[], usual: number): number {
  const mean = passes.reduce((sum, n) => sum + n, 0) / passes.length
  if (mean <= 0) return kind === 'left' ? 100 : 0
  if (kind === 'mean') return usual * mean
  if (kind === 'under') {
    const under = UNDER.reduce((sum, hour) => sum + (passes[hour] ?? 0), 0) / UNDER.length
    return usual * Math.min(1, under / mean)
  }
  if (kind === 'left') return Math.max(usual, 100 * (1 - passes.filter((n) => n > 0).length / passes.length))
  const most = passes.reduce((a, b) => Math.max(a, b), 0)
  const least = passes.reduce((a, b) => Math.min(a, b), Infinity)
  return (100 * least) / most
}
