import { MM_PER_INCH } from './units.js'

const FRACTION = /^(?:(\d+)[\s-]+)?(\d+)\/(\d+)$/

function inchNumber(text: string): number | null {
  const fraction = FRACTION.exec(text)
  if (fraction) {
    const bottom = Number(fraction[3])
    return bottom ? Number(fraction[1] ?? 0) + Number(fraction[2]) / bottom : null
  }
  return /^\d+([.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : null
}

/**
 * A length as a fitter types it, in mm: `1250`, `1 250,5`, `1250 mm`, `1.25 m`, `50-9/16 in`, `4 ft 2 1/2 in`.
 * A bare figure is read in the reader's own unit. Returns null for anything that is not a length: never a guess.
 */
export function parseLength(text: string, units: 'metric' | 'inch' = 'metric'): number | null {
  const t = text.trim().toLowerCase()
  if (!t) return null
  const feet = /^(.*?)\s*(?:ft|')\s*(.*)$/.exec(t)
  if (feet) {
    const whole = inchNumber(feet[1] ?? '')
    const rest = (feet[2] ?? '').replace(/\s*(in|")$/, '').trim()
    const inches = rest ? inchNumber(rest) : 0
    return whole === null || inches === null ? null : (whole * 12 + inches) * MM_PER_INCH
  }
  const inch = /^(.*?)\s*(?:in|")$/.exec(t)
  if (inch || (units === 'inch' && !/[a-z]/.test(t))) {
    const value = inchNumber((inch ? (inch[1] ?? '') : t).trim())
    return value === null ? null : value * MM_PER_INCH
  }
  const metric = /^(\d{1,3}(?:[ \u202f\u00a0]\d{3})+|\d+)(?:[.,](\d+))?\s*(mm|cm|m)?$/.exec(t)
  if (!metric) return null
  const figure = Number(`${(metric[1] ?? '').replace(/\D/g, '')}.${metric[2] ?? '0'}`)
  return figure * (metric[3] === 'm' ? 1000 : metric[3] === 'cm' ? 10 : 1)
}
