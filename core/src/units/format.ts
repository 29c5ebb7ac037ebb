import { type Reader, print, figureOf } from './quantity.js'
import { DAY_S, HOUR_S, MINUTE_S } from './units.js'

export { type Reader, figureOf, inchFraction, inUnits, number, print, unitOf } from './quantity.js'

/*
 * One formatter for each kind, by the name of what is read. Each rounds to what can be read or cut; none is called with
 * a number of decimals of its own.
 */

/**
 * A length in mm: `1284 mm` or `50-9/16 in`.
 * @example length(1250) // '1\u202f250 mm'
 */
export const length = (mm: number, reader?: Reader): string => print(mm, 'length', reader)
/**
 * The bare figure of a length, for tapes and headlines where the unit is said once.
 * @example lengthFigure(1250, { units: 'inch' }) // '49-3/16'
 */
export const lengthFigure = (mm: number, reader?: Reader): string => figureOf(mm, 'length', reader)
/**
 * A long length in mm, as buildings are measured: `2.3 m`, `7 ft 8 in`.
 * @example distance(12_500) // '12.5 m'
 */
export const distance = (mm: number, reader?: Reader): string => print(mm, 'distance', reader)
/**
 * A wall, a gap, a graduation in mm: `2.06 mm`, `0.062 in`.
 * @example thickness(1.52, { units: 'inch' }) // '0.06 in'
 */
export const thickness = (mm: number, reader?: Reader): string => print(mm, 'thickness', reader)
/**
 * Weight in kg: `12.3 kg`, `27 lb`.
 * @example weight(2.5) // '2.5 kg'
 */
export const weight = (kg: number, reader?: Reader): string => print(kg, 'weight', reader)
/**
 * Gauge pressure in bar: `6 bar`, `87 psi`.
 * @example pressure(10, { units: 'inch' }) // '145 psi'
 */
export const pressure = (bar: number, reader?: Reader): string => print(bar, 'pressure', reader)
/**
 * A pressure in bar as a good gauge shows it: hundredths of a bar, tenths of a psi; finer when small.
 * @example pressureFine(10.04) // '10.04 bar'
 */
export const pressureFine = (bar: number, reader?: Reader): string => print(bar, 'fine', reader)
/**
 * Temperature in °C: `8.1 °C`, `47 °F`.
 * @example temperature(7.2) // '7.2 °C'
 */
export const temperature = (celsius: number, reader?: Reader): string => print(celsius, 'temperature', reader)
/**
 * A difference of temperatures in K: `3.2 K`, `6 °F`.
 * @example warmer(3, { units: 'inch' }) // '5 °F'
 */
export const warmer = (kelvin: number, reader?: Reader): string => print(kelvin, 'warmer', reader)
/**
 * Torque in Nm: `4.5 Nm`, `40 in-lb`, `65 ft-lb`.
 * @example torque(4) // '4 Nm'
 */
export const torque = (nm: number, reader?: Reader): string => print(nm, 'torque', reader)
/**
 * Volume in litres: `12 l`, `3.2 gal`.
 * @example volume(12.34) // '12 l'
 */
export const volume = (litres: number, reader?: Reader): string => print(litres, 'volume', reader)
/**
 * Litres as tins hold them: `0.95 l`, `1 qt`.
 * @example tin(0.5) // '0.5 l'
 */
export const tin = (litres: number, reader?: Reader): string => print(litres, 'tin', reader)

/**
 * A running clock: `1:48`, `1:05:00`. Never with a minus: whoever shows one that is late says so in words.
 * @example clock(221) // '3:41'
 */
export function clock(seconds: number): string {
  const whole = Math.floor(Math.abs(seconds))
  const two = (n: number): string => String(n).padStart(2, '0')
  return whole >= HOUR_S
    ? `${Math.floor(whole / HOUR_S)}:${two(Math.floor((whole % HOUR_S) / MINUTE_S))}:${two(whole % MINUTE_S)}`
    : `${Math.floor(whole / MINUTE_S)}:${two(whole % MINUTE_S)}`
}

/**
 * A duration in words, two parts at most: `5 min 10 s`, `3 h 20 min`, `2 d 4 h`.
 * @example duration(5400) // '1 h 30 min'
 */
export function duration(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds))
  const pair = (big: number, bigName: string, small: number, smallName: string): string =>
    small ? `${big} ${bigName} ${small} ${smallName}` : `${big} ${bigName}`
  if (whole < MINUTE_S) return `${whole} s`
  if (whole < HOUR_S) return pair(Math.floor(whole / MINUTE_S), 'min', whole % MINUTE_S, 's')
  if (whole < 2 * DAY_S)
    return pair(Math.floor(whole / HOUR_S), 'h', Math.floor((whole % HOUR_S) / MINUTE_S), 'min')
  return pair(Math.floor(whole / DAY_S), 'd', Math.floor((whole % DAY_S) / HOUR_S), 'h')
}
