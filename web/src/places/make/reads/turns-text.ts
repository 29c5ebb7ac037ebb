/** Turns as a fitter says them: 1-1/4 turns, to the eighth. */
export function turnsText(turns: number): string {
  const eighths = Math.round(turns * 8)
  const whole = Math.floor(eighths / 8)
  let above = eighths % 8
  let below = 8
  while (above && above % 2 === 0) {
    above /= 2
    below /= 2
  }
  const fraction = above ? `${above}/${below}` : ''
  return fraction ? (whole ? `${whole}-${fraction}` : fraction) : String(whole)
}
