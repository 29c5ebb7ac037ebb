import { BAR_PER_PSI, DAY_S, FOOT_MM, HOUR_S, KG_PER_LB, MINUTE_S, MM_PER_INCH, cToF } from './units.js'

/** How a person reads figures: their units, and the decimal sign of their language. */
export interface Reader {
  units: 'metric' | 'inch'
  /** Smallest inch fraction shown: 16 as a rule, 32 on demand. */
  fraction?: 16 | 32
  decimal?: '.' | ','
}
const METRIC: Reader = { units: 'metric' }
const THIN = '\u202f'

/** A plain number with at most `places` decimals, thousands set apart by a thin space from 10 000 up. */
export function number(value: number, places = 1, decimal: '.' | ',' = '.'): string {
  const fixed = value.toFixed(places)
  const text = Number(fixed) === 0 ? fixed.replace('-', '') : fixed
  const [whole = '', part] = text.split('.')
  const grouped = whole.replace(/\B(?=(\d{3})+(?!\d))/g, THIN)
  const trimmed = part?.replace(/0+$/, '')
  return trimmed ? `${grouped}${decimal}${trimmed}` : grouped
}

/** Inches as the trade writes them: whole, then the nearest fraction in lowest terms. `1-7/16`, `3/32`, `0`. */
export function inchFraction(inch: number, denominator: 16 | 32 = 16): string {
  const sign = inch < 0 ? '-' : ''
  let parts = Math.round(Math.abs(inch) * denominator)
  const whole = Math.floor(parts / denominator)
  parts -= whole * denominator
  if (parts === 0) return `${sign}${whole}`
  let bottom: number = denominator
  while (parts % 2 === 0) {
    parts /= 2
    bottom /= 2
  }
  return whole ? `${sign}${whole}-${parts}/${bottom}` : `${sign}${parts}/${bottom}`
}

/** A length in mm, for this reader: `1 284 mm` or `50-9/16 in`. */
export function length(mm: number, reader: Reader = METRIC, places = 1): string {
  return reader.units === 'inch'
    ? `${inchFraction(mm / MM_PER_INCH, reader.fraction)} in`
    : `${number(mm, places, reader.decimal)} mm`
}

/** The bare figure of a length, for tapes and headlines where the unit is said once. */
export function lengthFigure(mm: number, reader: Reader = METRIC, places = 1): string {
  return reader.units === 'inch'
    ? inchFraction(mm / MM_PER_INCH, reader.fraction)
    : number(mm, places, reader.decimal)
}

/** A long length, as buildings are measured: `2.3 m`, `7 ft 8 in`. */
export function distance(mm: number, reader: Reader = METRIC): string {
  if (reader.units === 'metric') return `${number(mm / 1000, mm < 10_000 ? 2 : 1, reader.decimal)} m`
  const inches = Math.round(mm / MM_PER_INCH)
  const [feet, rest] = [Math.floor(inches / (FOOT_MM / MM_PER_INCH)), inches % (FOOT_MM / MM_PER_INCH)]
  return feet ? `${feet} ft${rest ? ` ${rest} in` : ''}` : `${rest} in`
}
/** Weight: `12.3 kg`, `27 lb`. */
export function weight(kg: number, reader: Reader = METRIC): string {
  return reader.units === 'inch'
    ? `${number(kg / KG_PER_LB, kg < 10 ? 1 : 0, reader.decimal)} lb`
    : `${number(kg, kg < 100 ? 1 : 0, reader.decimal)} kg`
}

/** Gauge pressure: `6 bar`, `87 psi`. */
export function pressure(bar: number, reader: Reader = METRIC): string {
  return reader.units === 'inch'
    ? `${number(bar / BAR_PER_PSI, 0, reader.decimal)} psi`
    : `${number(bar, 1, reader.decimal)} bar`
}

/** A pressure as a good gauge shows it: hundredths of a bar, thousandths below one; tenths of a psi, hundredths below ten. */
export function pressureFine(bar: number, reader: Reader = METRIC): string {
  if (reader.units !== 'inch') return `${number(bar, Math.abs(bar) < 1 ? 3 : 2, reader.decimal)} bar`
  const psi = bar / BAR_PER_PSI
  return `${number(psi, Math.abs(psi) < 10 ? 2 : 1, reader.decimal)} psi`
}
/** Temperature: `8.1 °C`, `47 °F`. */
export function temperature(celsius: number, reader: Reader = METRIC): string {
  return reader.units === 'inch'
    ? `${number(cToF(celsius), 0, reader.decimal)} °F`
    : `${number(celsius, 1, reader.decimal)} °C`
}

/** A running clock: `1:48`, `1:05:00`; late clocks say so in words, never with a minus. */
export function clock(seconds: number): string {
  if (seconds < 0) return `late ${clock(-seconds)}`
  const s = Math.floor(seconds)
  const two = (n: number): string => String(n).padStart(2, '0')
  return s >= HOUR_S
    ? `${Math.floor(s / HOUR_S)}:${two(Math.floor((s % HOUR_S) / MINUTE_S))}:${two(s % MINUTE_S)}`
    : `${Math.floor(s / MINUTE_S)}:${two(s % MINUTE_S)}`
}

/** A duration in words, two parts at most: `5 min 10 s`, `3 h 20 min`, `2 d 4 h`. */
export function duration(seconds: number): string {
  const s = Math.max(0, Math.round(seconds))
  const pair = (big: number, bigName: string, small: number, smallName: string): string =>
    small ? `${big} ${bigName} ${small} ${smallName}` : `${big} ${bigName}`
  if (s < MINUTE_S) return `${s} s`
  if (s < HOUR_S) return pair(Math.floor(s / MINUTE_S), 'min', s % MINUTE_S, 's')
  if (s < 2 * DAY_S) return pair(Math.floor(s / HOUR_S), 'h', Math.floor((s % HOUR_S) / MINUTE_S), 'min')
  return pair(Math.floor(s / DAY_S), 'd', Math.floor((s % DAY_S) / HOUR_S), 'h')
}
