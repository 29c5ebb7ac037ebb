import { type As, KIND_OF, type Kind, type Reader, systemOf, unitOf } from './quantity.js'
import {
  BAR_PER_PSI,
  FOOT_MM,
  KG_PER_LB,
  LITRES_PER_GALLON,
  L_PER_US_QUART,
  MM_PER_INCH,
  NM_PER_FT_LBF,
  NM_PER_IN_LBF,
  fToC,
} from './units.js'

/** What was typed, as it was understood. */
export interface Typed {
  /** In the unit of its kind: mm, bar, °C, Nm, litres, kg. */
  value: number
  /** The number as it stands there, in the unit that was typed or meant. */
  figure: number
  unit: string
  /** No unit was typed: it was taken to be the reader's own. */
  bare: boolean
}

/** Units by the ways people write them, as value = (number + offset) x factor. */
const per = (factor: number, ...names: string[]): [string, number][] => names.map((n) => [n, factor])
const UNITS: Readonly<Record<Kind, ReadonlyMap<string, number>>> = {
  length: new Map([
    ...per(1, 'mm'),
    ...per(10, 'cm'),
    ...per(1000, 'm'),
    ...per(MM_PER_INCH, 'in', 'in.', 'inch', 'inches', '"', "''"),
    ...per(FOOT_MM, 'ft', 'ft.', 'feet', 'foot', "'"),
  ]),
  pressure: new Map([
    ...per(1, 'bar', 'barg', 'bar(g)'),
    ...per(0.001, 'mbar'),
    ...per(BAR_PER_PSI, 'psi', 'psig', 'psi(g)', 'lb/in2', 'lbs', 'lb', 'pounds'),
    ...per(0.01, 'kpa'),
    ...per(10, 'mpa'),
    ...per(1e-5, 'pa'),
    ...per(0.0980665, 'mws', 'mh2o', 'm h2o', 'm of water'),
    ...per(0.0298907, 'fth2o', 'ft h2o', 'ft of water'),
  ]),
  temperature: new Map([...per(1, 'c', '°c', '° c', 'celsius', 'f', '°f', '° f', 'fahrenheit', 'k')]),
  torque: new Map([
    ...per(1, 'nm', 'n m', 'n·m', 'n*m'),
    ...per(
      NM_PER_FT_LBF,
      'ft-lb',
      'ft lb',
      'ft·lb',
      'ftlb',
      'ft-lbf',
      'ft-lbs',
      'ft lbs',
      'lb-ft',
      'lbf-ft',
      'lb ft',
    ),
    ...per(
      NM_PER_IN_LBF,
      'in-lb',
      'in lb',
      'in·lb',
      'inlb',
      'in-lbf',
      'in-lbs',
      'in lbs',
      'lb-in',
      'lbf-in',
      'lb in',
    ),
  ]),
  volume: new Map([
    ...per(1, 'l', 'litre', 'litres', 'liter', 'liters', 'dm3'),
    ...per(0.001, 'ml'),
    ...per(1000, 'm3', 'm³'),
    ...per(L_PER_US_QUART, 'qt', 'quart', 'quarts'),
    ...per(L_PER_US_QUART / 2, 'pt', 'pint', 'pints'),
    ...per(L_PER_US_QUART / 32, 'fl oz'),
    ...per(LITRES_PER_GALLON, 'gal', 'gallon', 'gallons', 'us gal'),
  ]),
  weight: new Map([
    ...per(1, 'kg'),
    ...per(0.001, 'g'),
    ...per(1000, 't'),
    ...per(KG_PER_LB, 'lb', 'lbs', 'pounds'),
  ]),
}

/** Typographic signs as the keyboard has them: minus, primes, quotes, vulgar fractions, thin spaces. */
const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}
const plainly = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\u2212\u2010\u2011\u2012\u2013]/g, '-')
    .replace(/[\u2032\u2018\u2019\u00b4`]/g, "'")
    .replace(/[\u2033\u201c\u201d\u201e]/g, '"')
    .replace(/[\u202f\u00a0\u2009]/g, ' ')
    .replace(
      /(\d)?\s*([½¼¾⅛⅜⅝⅞])/g,
      (_, d: string | undefined, v: string) => `${d === undefined ? '' : `${d}-`}${VULGAR[v]}`,
    )
    .replace(/\s+/g, ' ')

const MIXED = /^(?:(\d+)[\s-]+)?(\d+)\s*\/\s*(\d+)$/
/** A number without its unit and sign: `1250`, `1 250,5`, `1,250.5`, `1-7/16`, `3/8`. Null for anything else. */
function unsigned(text: string, decimal: '.' | ','): number | null {
  const mixed = MIXED.exec(text)
  if (mixed) {
    const bottom = Number(mixed[3])
    return bottom ? Number(mixed[1] ?? 0) + Number(mixed[2]) / bottom : null
  }
  const plain = text.replace(/(\d) (?=\d{3}(?:\D|$))/g, '$1')
  const other = decimal === '.' ? ',' : '.'
  // The other sign sets thousands apart where three figures follow each time, and a decimal sign of its own may follow.
  const grouped = new RegExp(`^\\d{1,3}(?:\\${other}\\d{3})+(?:\\${decimal}\\d+)?$`)
  if (grouped.test(plain) && (decimal === '.' || plain.includes(decimal)))
    return Number(plain.replaceAll(other, '').replace(',', '.'))
  return /^(?:\d+(?:[.,]\d*)?|[.,]\d+)$/.test(plain) && plain !== '.' && plain !== ','
    ? Number(plain.replace(',', '.'))
    : null
}
function signed(text: string, decimal: '.' | ','): number | null {
  const [, sign = '', rest = ''] = /^([+-]?)\s*(.*)$/.exec(text) ?? []
  const number = unsigned(rest, decimal)
  return number === null ? null : sign === '-' ? -number : number
}

/** A bare figure as people type it: fractions, comma or point, typographic signs. Null for anything else. */
export const parseFigure = (text: string, decimal: '.' | ',' = '.'): number | null =>
  signed(plainly(text), decimal)

/** Feet and inches in all usual spellings: `4'-7 3/8"`, `4-7 3/8`, `4 ft 7-3/8 in`, `4' 7`, `4ft`. In mm. */
function feetAndInches(plain: string, decimal: '.' | ',', mayLackMarks: boolean): number | null {
  const marked = /^([+-]?)(.+?) ?(?:ft\.?|feet|foot|')[ -]*(.*)$/.exec(plain)
  // Without any mark: feet, then inches with a fraction of their own.
  const bare = mayLackMarks ? /^([+-]?)(\d+)[ -]+(\d+[ -]+\d+ ?\/ ?\d+)$/.exec(plain) : null
  const [, sign, feet = '', inches = ''] = marked ?? bare ?? []
  if (sign === undefined) return null
  const rest = inches.replace(/ ?(?:inches|inch|in\.?|"|'')$/, '').trim()
  const whole = unsigned(feet.trim(), decimal)
  const more = rest === '' ? 0 : unsigned(rest, decimal)
  if (whole === null || more === null) return null
  return (sign === '-' ? -1 : 1) * (whole * FOOT_MM + more * MM_PER_INCH)
}

/**
 * A quantity as people type it: any unit of its kind, fractions, feet and inches, comma or point, typographic signs. A
 * bare figure is in the reader's own unit. Null for anything that is not a quantity of this kind: never a guess.
 * @param as what is asked for. @param about a value of the size that is meant, where the unit depends on it (torque).
 */
export function parseQuantity(text: string, as: As, reader: Reader, about = 0): Typed | null {
  const plain = plainly(text)
  const kind = KIND_OF[as]
  const decimal = reader.decimal ?? '.'
  if (!plain) return null
  if (kind === 'length') {
    const inch = systemOf(reader, 'length') === 'inch'
    const mm = feetAndInches(plain, decimal, inch)
    if (mm !== null) return { value: mm, figure: mm / FOOT_MM, unit: 'ft', bare: false }
  }
  const split = /^([+-]?[\d\s.,/-]*[\d.,])\s*(.*)$/.exec(plain)
  if (!split) return null
  const figure = signed((split[1] ?? '').trim(), decimal)
  const typed = (split[2] ?? '').trim()
  if (figure === null) return null
  const bare = typed === ''
  const unit = bare ? unitOf(as, reader, about).toLowerCase() : typed
  const value = inBase(figure, unit, kind, as)
  return value === null ? null : { value, figure, unit, bare }
}
function inBase(figure: number, unit: string, kind: Kind, as: As): number | null {
  if (kind === 'temperature') {
    const fahrenheit = /f/.test(unit)
    if (!UNITS.temperature.has(unit)) return null
    if (as === 'warmer') return fahrenheit ? (figure * 5) / 9 : figure
    return fahrenheit ? fToC(figure) : unit === 'k' ? figure - 273.15 : figure
  }
  const factor = UNITS[kind].get(unit)
  return factor === undefined ? null : figure * factor
}

/**
 * A length in mm, or null: `1250`, `1 250,5`, `1.25 m`, `50-9/16 in`, `4'-7 3/8"`.
 * @example parseLength('4-7 3/8', { units: 'inch' }) // 1406.5
 */
export const parseLength = (text: string, reader: Reader): number | null => {
  const typed = parseQuantity(text, 'length', reader)
  return typed && typed.value >= 0 ? typed.value : null
}

/** A bare figure is far from what is near it when it is so many times as much, or as little. */
const FAR = 4
/** In the other unit it is near when it is within this many times. */
const NEAR = 1.6
const FAR_K = 22
const NEAR_K = 12
/**
 * A bare figure outside what is usual that would be usual in the other system's unit: gives that value, else null.
 * @param usual least and most, in the unit of its kind.
 */
export function unusualHere(
  typed: Typed,
  as: As,
  reader: Reader,
  usual: readonly [least: number, most: number],
): number | null {
  if (!typed.bare) return null
  const kind = KIND_OF[as]
  const other = systemOf(reader, kind) === 'inch' ? 'metric' : 'inch'
  const again = inBase(
    typed.figure,
    unitOf(as, { ...reader, units: other, own: {} }, usual[1]).toLowerCase(),
    kind,
    as,
  )
  const within = (v: number): boolean => v >= usual[0] && v <= usual[1]
  return again !== null && !within(typed.value) && within(again) ? again : null
}
/**
 * A bare figure that looks like the other system's: far from what was there before or is expected, and close to it were
 * it typed in the other unit. Gives the other value; null where nothing speaks for it. To be asked about, never changed.
 * @param near what is expected, in the unit of its kind.
 */
export function looksLikeOther(typed: Typed, as: As, reader: Reader, near: number): number | null {
  if (!typed.bare) return null
  const kind = KIND_OF[as]
  const other = systemOf(reader, kind) === 'inch' ? 'metric' : 'inch'
  const swapped: Reader = { ...reader, units: other, own: {} }
  const again = inBase(typed.figure, unitOf(as, swapped, near).toLowerCase(), kind, as)
  if (again === null) return null
  if (kind === 'temperature')
    return Math.abs(typed.value - near) > FAR_K && Math.abs(again - near) < NEAR_K ? again : null
  const times = (v: number): number => (v > 0 && near > 0 ? Math.max(v / near, near / v) : Infinity)
  return times(typed.value) > FAR && times(again) < NEAR ? again : null
}
