import { FOOT_MM } from '../../units/units.js'

/** Figures of one material for how it lies. Null: none is known. */
export interface Laying {
  /** kg/m³. Source: `cp-density`. */
  density: number | null
  /** mm a metre and kelvin. Source: `cp-expansion`. */
  growth: number | null
  /** Constant of the arm: length = constant x root(diameter x growth), all in mm. Source: `cp-expansion-arm`. */
  arm: number | null
  /** Hanger spacing in ft: up to an outside diameter in mm, least first. Source: `ipc-308-5`. */
  spacingFt: readonly (readonly [upToOdMm: number, feet: number])[]
  /** Warmest wall for which that spacing is given, °C. Source: `cp-span-warm`. */
  spacingMaxC: number
  /** Short-time modulus at 23 °C, MPa. Source: `b31-3-c8`. */
  modulusMpa: number | null
}
const ALL = Infinity
/** 1 in pipe and smaller, whatever its family: 33.4 mm is NPS 1. */
const ONE_INCH = 34
/** 1-1/4 in copper tube and smaller: 34.9 mm. */
const INCH_AND_QUARTER = 36
const KSI = 6.894757

const none: Laying = {
  density: null,
  growth: null,
  arm: null,
  spacingFt: [],
  spacingMaxC: ALL,
  modulusMpa: null,
}
const pvc: Laying = {
  density: 1400,
  growth: 0.08,
  arm: 33.5,
  spacingFt: [[ALL, 4]],
  spacingMaxC: 38,
  modulusMpa: 420 * KSI,
}
const ppr: Laying = {
  density: 905,
  growth: 0.15,
  arm: 30,
  spacingFt: [
    [ONE_INCH, 32 / 12],
    [ALL, 4],
  ],
  spacingMaxC: 60,
  modulusMpa: 120 * KSI,
}
const resin: Laying = { ...none, density: 1850, growth: 0.018 }

export const LAYING: Readonly<Record<string, Laying>> = {
  'pvc-u': pvc,
  // Inch PVC is given with 3.0e-5 a degree Fahrenheit, less than the metric books say.
  pvc: { ...pvc, growth: 0.054 },
  cpvc: {
    density: 1550,
    growth: 0.061,
    arm: 34,
    spacingFt: [
      [ONE_INCH, 3],
      [ALL, 4],
    ],
    spacingMaxC: 82,
    modulusMpa: 420 * KSI,
  },
  abs: { density: 1050, growth: 0.1, arm: 33, spacingFt: [[ALL, 4]], spacingMaxC: 38, modulusMpa: 250 * KSI },
  'pp-r': ppr,
  'pp-r-layered': { ...ppr, growth: 0.035, density: null, modulusMpa: null },
  pe: { ...none, density: 950, growth: 0.18, arm: 27 },
  pex: {
    ...none,
    density: 940,
    growth: 0.15,
    spacingFt: [
      [ONE_INCH, 32 / 12],
      [ALL, 4],
    ],
    spacingMaxC: 60,
  },
  multilayer: { ...none, growth: 0.025, arm: 33, spacingFt: [[ALL, 32 / 12]], spacingMaxC: 60 },
  copper: {
    ...none,
    density: 8940,
    growth: 0.017,
    arm: 61,
    spacingFt: [
      [INCH_AND_QUARTER, 6],
      [ALL, 10],
    ],
  },
  'carbon-steel': { ...none, density: 7850, growth: 0.012, spacingFt: [[ALL, 12]] },
  stainless: { ...none, density: 7950, growth: 0.0165 },
  pfa: { ...none, density: 2150, growth: 0.12 },
  'epoxy-resin': resin,
  'vinyl-ester-resin': resin,
  'cored-resin': resin,
}
export const layingOf = (material: string): Laying => LAYING[material] ?? none
export const feetToMm = (feet: number): number => feet * FOOT_MM
