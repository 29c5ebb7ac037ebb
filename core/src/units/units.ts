/** Conversion factors. Exact by definition unless said otherwise. Plain numbers; the unit is in the name. */
export const MM_PER_INCH = 25.4
export const FOOT_MM = 12 * MM_PER_INCH
/** A pound in kilograms, exact by definition. */
export const KG_PER_LB = 0.45359237
/** One pound-force per square inch in bar (exact to the digits that double precision keeps). */
export const BAR_PER_PSI = 0.0689475729317831
export const ATMOSPHERE_BAR_ABS = 1.01325

/** Band edges are compared with these tolerances, so a converted figure still meets its own edge. */
export const EDGE_BAR = 0.0005
export const EDGE_C = 0.005
/** Computed pressures are compared with this: double precision at epoch seconds is no finer. */
export const SAME_BAR = 1e-6

/**
 * Inches to millimetres. Source: the inch is 25.4 mm by definition.
 * @example inchToMm(2) // 50.8
 */
export const inchToMm = (inch: number): number => inch * MM_PER_INCH
/**
 * Millimetres to inches.
 * @example mmToInch(50.8) // 2
 */
export const mmToInch = (mm: number): number => mm / MM_PER_INCH
/**
 * Pounds on the square inch to bar. Source: 1 psi = 6,894.757 Pa.
 * @example psiToBar(150) // 10.342
 */
export const psiToBar = (psi: number): number => psi * BAR_PER_PSI
/**
 * Bar to pounds on the square inch.
 * @example barToPsi(10) // 145.04
 */
export const barToPsi = (bar: number): number => bar / BAR_PER_PSI
/**
 * Degrees Fahrenheit to Celsius.
 * @example fToC(45) // 7.22
 */
export const fToC = (f: number): number => ((f - 32) * 5) / 9
/**
 * Degrees Celsius to Fahrenheit.
 * @example cToF(20) // 68
 */
export const cToF = (c: number): number => (c * 9) / 5 + 32

/** A pound-force in newtons, exact by definition. */
export const N_PER_LBF = KG_PER_LB * 9.80665
/** A pound-force inch, and foot, in newton metres (0.45359237 kg x 9.80665 m/s2 x 0.0254 m, exact by definition). */
export const NM_PER_IN_LBF = N_PER_LBF * 0.0254
export const NM_PER_FT_LBF = 12 * NM_PER_IN_LBF
/**
 * Inch-pounds of torque to newton metres.
 * @example inLbfToNm(35) // 3.954
 */
export const inLbfToNm = (inLbf: number): number => inLbf * NM_PER_IN_LBF
/** A US gallon (231 cubic inches, exact by definition) in litres. */
export const LITRES_PER_GALLON = 3.785411784
export const L_PER_US_QUART = LITRES_PER_GALLON / 4

/** A thousand pounds-force per square inch in MPa, and a GPa in bar. */
export const MPA_PER_KSI = 6.894757
export const BAR_PER_GPA = 10_000

/** 0 °C in kelvin. */
export const KELVIN_0C = 273.15
/** A year in hours. */
export const YEAR_H = 8760
export const MINUTE_S = 60
export const HOUR_S = 3600
export const DAY_S = 86400

const TIME_S: Readonly<Record<string, number>> = { s: 1, min: MINUTE_S, h: HOUR_S, d: DAY_S }
/**
 * Seconds of a duration as tables print it: `15 min`, `1.5 h`, `8 d`. Throws for anything else.
 * @example durationS('1.5 h') // 5400
 */
export function durationS(text: string): number {
  const [, figure, unit = ''] = /^(\d+(?:\.\d+)?) (s|min|h|d)$/.exec(text) ?? []
  if (!figure) throw new Error(`no duration: ${text}`)
  return Number(figure) * (TIME_S[unit] as number)
}
