/** Turns as a fitter says them: 1-1/4 turns, to the eighth. */
export function turnsText(turns: number): string {
  const eighths = Math.round(turns * 8)
  const whole = Math.floor(eighths / 8)
  let n = eighths % 8
  let d = 8
  while (n && n % 2 === 0) {
    n /= 2
    d /= 2
  }
  const fraction = n ? `${n}/${d}` : ''
  return fraction ? (whole ? `${whole}-${fraction}` : fraction) : String(whole)
}
