import type { Language } from './languages.js'
import {
  BAR_PER_PSI,
  KG_PER_LB,
  LITRES_PER_GALLON,
  L_PER_US_QUART,
  MM_PER_INCH,
  MPA_PER_KSI,
  NM_PER_FT_LBF,
  NM_PER_IN_LBF,
  N_PER_LBF,
  cToF,
  fToC,
} from './units.js'

/** Inch practice or metric practice. */
export type System = 'metric' | 'inch'
/** Kinds of quantity for which a person may choose the units. */
export const KINDS_OF_QUANTITY = ['length', 'pressure', 'temperature', 'torque', 'volume', 'weight'] as const
export type Kind = (typeof KINDS_OF_QUANTITY)[number]

/** How a person reads figures: their units, and the decimal sign of their language. */
export interface Reader {
  /** The school's units. */
  units: System
  /** Units this person has chosen for some kinds, whatever the school. */
  own?: Partial<Record<Kind, System>>
  /** Smallest inch fraction shown: 16 as a rule, 32 where small parts are gauged. */
  fraction?: 16 | 32
  decimal?: '.' | ','
  /** What they read in; English where it is not said. */
  language?: Language
}
/** Whose units this reader reads a kind in. */
export const systemOf = (reader: Reader, kind: Kind): System => reader.own?.[kind] ?? reader.units

/**
 * What a number is, and how finely it is read or cut. Values are plain numbers in the unit named here:
 * lengths in mm (`length`: as cut, `distance`: as buildings are measured, `thickness`: walls and gaps), `pressure` and
 * `fine` (as a good gauge shows it) in bar, `temperature` in °C, `warmer` (a difference) in K, `torque` in Nm, `volume`
 * in litres (`tin`: as tins are sold, quarts in inches), `weight` in kg, `perLengthVolume` in l/m, `perLengthWeight` in kg/m, `leak` in l/h, `flow` in l/min,
 * `speed` in m/s, `force` in N, `stress` in MPa.
 */
export type As =
  | 'length'
  | 'distance'
  | 'thickness'
  | 'pressure'
  | 'fine'
  | 'temperature'
  | 'warmer'
  | 'torque'
  | 'volume'
  | 'tin'
  | 'weight'
  | 'perLengthVolume'
  | 'perLengthWeight'
  | 'leak'
  | 'flow'
  | 'speed'
  | 'force'
  | 'stress'
export const KIND_OF: Readonly<Record<As, Kind>> = {
  length: 'length',
  distance: 'length',
  thickness: 'length',
  pressure: 'pressure',
  fine: 'pressure',
  temperature: 'temperature',
  warmer: 'temperature',
  torque: 'torque',
  volume: 'volume',
  tin: 'volume',
  weight: 'weight',
  perLengthVolume: 'volume',
  perLengthWeight: 'weight',
  leak: 'volume',
  flow: 'volume',
  speed: 'length',
  force: 'weight',
  stress: 'pressure',
}

const THIN = '\u202f'
/** A plain number with at most `places` decimals, thousands set apart by a thin space. */
export function number(value: number, places = 1, decimal: '.' | ',' = '.'): string {
  if (!Number.isFinite(value)) return 'not known'
  const fixed = value.toFixed(places)
  const text = Number(fixed) === 0 ? fixed.replace('-', '') : fixed
  const [whole = '', part] = text.split('.')
  const grouped = whole.replace(/\B(?=(\d{3})+(?!\d))/g, THIN)
  const trimmed = part?.replace(/0+$/, '')
  return trimmed ? `${grouped}${decimal}${trimmed}` : grouped
}

/** Inches as the trade writes them: whole, then the nearest fraction in lowest terms. `1-7/16`, `3/32`, `0`. */
export function inchFraction(inch: number, denominator: 16 | 32 = 16): string {
  if (!Number.isFinite(inch)) return 'not known'
  const sign = inch < 0 ? '-' : ''
  let parts = Math.round(Math.abs(inch) * denominator)
  if (parts === 0) return '0'
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

/** Feet and inches of a building: `7 ft 8 in`, to the inch; below 2 ft to a quarter. */
function feet(mm: number): string {
  const inches = mm / MM_PER_INCH
  if (Math.abs(inches) < 24) return `${inchFraction(Math.round(inches * 4) / 4)} in`
  const whole = Math.round(Math.abs(inches))
  const rest = whole % 12
  return `${inches < 0 ? '-' : ''}${Math.floor(whole / 12)} ft${rest ? ` ${rest} in` : ''}`
}

interface Style {
  unit: string
  figure(value: number, reader: Reader): string
}
const plain = (unit: string, factor: number, places: number | ((n: number) => number)) => (): Style => ({
  unit,
  figure: (value, reader) => {
    const figure = value / factor
    return number(figure, typeof places === 'number' ? places : places(Math.abs(figure)), reader.decimal)
  },
})
/** Fewer decimals as the number grows. */
const finer =
  (below: number, places: number, above: number) =>
  (figure: number): number =>
    figure < below ? places : above
/** Below this a tape is marked to the half millimetre; longer pieces are cut to the whole one. */
const HALVES_BELOW_MM = 200
/**
 * A length in mm as a number in the reader's unit, rounded to what can be cut: sixteenths of an inch (thirty-seconds
 * where
 * small parts are gauged), or millimetres, halves of them on short pieces. For files; `figureOf` writes the same.
 * @example cutTo(1250.4, { units: 'metric' }) // 1250
 */
export function cutTo(mm: number, reader: Reader): number {
  if (systemOf(reader, 'length') === 'inch') {
    const parts = reader.fraction ?? 16
    return Math.round((mm / MM_PER_INCH) * parts) / parts
  }
  return Math.abs(mm) < HALVES_BELOW_MM ? Math.round(mm * 2) / 2 : Math.round(mm)
}

/** Torques below this are read in inch-pounds, Nm. */
const IN_LB_BELOW_NM = 20
const STYLES: Readonly<Record<As, Readonly<Record<System, (value: number) => Style>>>> = {
  length: {
    metric: () => ({ unit: 'mm', figure: (v, r) => number(cutTo(v, METRIC), 1, r.decimal) }),
    inch: () => ({ unit: 'in', figure: (v, r) => inchFraction(v / MM_PER_INCH, r.fraction) }),
  },
  distance: {
    metric: plain('m', 1000, finer(10, 2, 1)),
    // Feet and inches carry their own units.
    inch: () => ({ unit: '', figure: (v) => feet(v) }),
  },
  thickness: { metric: plain('mm', 1, 2), inch: plain('in', MM_PER_INCH, 3) },
  pressure: { metric: plain('bar', 1, 1), inch: plain('psi', BAR_PER_PSI, finer(10, 1, 0)) },
  fine: { metric: plain('bar', 1, finer(1, 3, 2)), inch: plain('psi', BAR_PER_PSI, finer(10, 2, 1)) },
  temperature: {
    metric: plain('°C', 1, 1),
    inch: () => ({ unit: '°F', figure: (v, r) => number(cToF(v), 0, r.decimal) }),
  },
  warmer: { metric: plain('K', 1, 1), inch: plain('°F', 5 / 9, 0) },
  torque: {
    metric: plain('Nm', 1, finer(20, 1, 0)),
    inch: (value) =>
      Math.abs(value) < IN_LB_BELOW_NM
        ? plain('in-lb', NM_PER_IN_LBF, 0)()
        : plain('ft-lb', NM_PER_FT_LBF, 0)(),
  },
  volume: { metric: plain('l', 1, finer(10, 2, 0)), inch: plain('gal', LITRES_PER_GALLON, finer(10, 2, 0)) },
  tin: { metric: plain('l', 1, 2), inch: plain('qt', L_PER_US_QUART, 2) },
  weight: { metric: plain('kg', 1, finer(100, 1, 0)), inch: plain('lb', KG_PER_LB, finer(22, 1, 0)) },
  perLengthVolume: {
    metric: plain('l/m', 1, 2),
    inch: plain('gal/ft', LITRES_PER_GALLON / 0.3048, 3),
  },
  perLengthWeight: { metric: plain('kg/m', 1, 2), inch: plain('lb/ft', KG_PER_LB / 0.3048, 2) },
  leak: { metric: plain('l an hour', 1, 2), inch: plain('gal an hour', LITRES_PER_GALLON, 3) },
  flow: {
    metric: plain('l/min', 1, finer(10, 1, 0)),
    inch: plain('gal/min', LITRES_PER_GALLON, finer(10, 1, 0)),
  },
  speed: { metric: plain('m/s', 1, 2), inch: plain('ft/s', 0.3048, 1) },
  force: { metric: plain('N', 1, 0), inch: plain('lbf', N_PER_LBF, 0) },
  stress: { metric: plain('MPa', 1, finer(10, 1, 0)), inch: plain('psi', MPA_PER_KSI / 1000, 0) },
}
const METRIC: Reader = { units: 'metric' }
const styleOf = (value: number, as: As, reader: Reader): Style =>
  STYLES[as][systemOf(reader, KIND_OF[as])](value)

/** The bare figure of a quantity, for tapes and columns where the unit is said once. */
export const figureOf = (value: number, as: As, reader: Reader = METRIC): string =>
  styleOf(value, as, reader).figure(value, reader)
/** A quantity with its unit, rounded to what can be read or cut: `6 bar`, `87 psi`, `50-9/16 in`, `7 ft 8 in`. */
export function print(value: number, as: As, reader: Reader = METRIC): string {
  if (!Number.isFinite(value)) return 'not known'
  const style = styleOf(value, as, reader)
  return style.unit ? `${style.figure(value, reader)} ${style.unit}` : style.figure(value, reader)
}
/** The unit a bare figure of this kind is typed and shown in. @param about a value of the size that is meant. */
export function unitOf(as: As, reader: Reader = METRIC, about = 0): string {
  if (as === 'distance') return systemOf(reader, 'length') === 'inch' ? 'ft' : 'm'
  return styleOf(about, as, reader).unit
}
/** A number in the unit of this reader, for axes and scales. Lengths in mm or inches, distances in m or feet. */
export function inUnits(value: number, as: As, reader: Reader): number {
  const inch = systemOf(reader, KIND_OF[as]) === 'inch'
  return inch ? value / INCH_UNIT[as].factor - INCH_UNIT[as].offset : value / METRIC_UNIT[as]
}
/** The value of a number in the unit of this reader: the way back of `inUnits`. */
export function fromUnits(figure: number, as: As, reader: Reader): number {
  const inch = systemOf(reader, KIND_OF[as]) === 'inch'
  return inch ? (figure + INCH_UNIT[as].offset) * INCH_UNIT[as].factor : figure * METRIC_UNIT[as]
}
const of = (factor: number, offset = 0): { factor: number; offset: number } => ({ factor, offset })
/** Value = (number + offset) x factor. */
const INCH_UNIT: Readonly<Record<As, { factor: number; offset: number }>> = {
  length: of(MM_PER_INCH),
  distance: of(12 * MM_PER_INCH),
  thickness: of(MM_PER_INCH),
  pressure: of(BAR_PER_PSI),
  fine: of(BAR_PER_PSI),
  temperature: of(fToC(33) - fToC(32), -32),
  warmer: of(5 / 9),
  torque: of(NM_PER_FT_LBF),
  volume: of(LITRES_PER_GALLON),
  tin: of(L_PER_US_QUART),
  weight: of(KG_PER_LB),
  perLengthVolume: of(LITRES_PER_GALLON / 0.3048),
  perLengthWeight: of(KG_PER_LB / 0.3048),
  leak: of(LITRES_PER_GALLON),
  flow: of(LITRES_PER_GALLON),
  speed: of(0.3048),
  force: of(N_PER_LBF),
  stress: of(MPA_PER_KSI / 1000),
}
const METRIC_UNIT: Readonly<Record<As, number>> = {
  length: 1,
  distance: 1000,
  thickness: 1,
  pressure: 1,
  fine: 1,
  temperature: 1,
  warmer: 1,
  torque: 1,
  volume: 1,
  tin: 1,
  weight: 1,
  perLengthVolume: 1,
  perLengthWeight: 1,
  leak: 1,
  flow: 1,
  speed: 1,
  force: 1,
  stress: 1,
}
