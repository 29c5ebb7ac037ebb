import { type Fig, fig, msg, noFig } from '../sources/source.js'
import { inchToMm } from '../units/units.js'
import { type Size, nominalKey } from './size.js'

/** Generic press insertion in inches by nominal size; fittings differ. */
const PRESS_INCH: Readonly<Record<string, number>> = {
  '1/2': 0.75,
  '3/4': 0.875,
  '1': 0.875,
  '1-1/4': 1,
  '1-1/2': 1.4375,
  '2': 1.5625,
  '2-1/2': 1.6875,
  '3': 1.9375,
  '4': 2.3125,
}
/** Generic press insertion in mm of copper, stainless and carbon steel by outside diameter; fittings differ. */
const PRESS_METRIC: Readonly<Record<string, number>> = {
  d12: 17,
  d14: 20,
  d15: 20,
  d16: 20,
  d18: 20,
  d22: 21,
  d28: 23,
  d35: 26,
  d42: 30,
  d54: 35,
  d64: 43,
  'd66.7': 45,
  'd76.1': 50,
  'd88.9': 55,
  d108: 65,
}
const PRESS_MULTILAYER: Readonly<Record<string, number>> = {
  d14: 20,
  d16: 22,
  d18: 22,
  d20: 24,
  d25: 28,
  d26: 28,
  d32: 30,
  d40: 40,
  d50: 44,
  d63: 56,
}
/** Generic insertion depth of a press joint in mm (common practice; the maker's chart wins). */
export function pressDepthMm(material: string, size: Size): Fig {
  const inch = size.family === 'd' ? undefined : PRESS_INCH[nominalKey(size)]
  if (inch !== undefined) return fig(inchToMm(inch), 'cp-press-depth')
  const layered = material === 'multilayer'
  const mm = (layered ? PRESS_MULTILAYER : PRESS_METRIC)[size.text]
  return mm === undefined
    ? noFig(msg('insertion-unknown', { size: size.text }))
    : fig(mm, layered ? 'cp-press-depth-multilayer' : 'cp-press-depth')
}

export interface FusionRow {
  depthMm: number
  heatS: number
  /** Longest time from heat to joined and set straight. */
  changeoverS: number
  /** Hold by hand before the joint bears itself. */
  fixS: number
  coolS: number
}
/** Depth, heating, changeover, hold, cooling by outside diameter: DVS 2207-11, depth as printed beside it (from memory). */
const FUSION: Readonly<Record<string, readonly [number, number, number, number, number]>> = {
  d16: [13, 5, 4, 6, 120],
  d20: [14, 5, 4, 6, 120],
  d25: [15, 7, 4, 10, 120],
  d32: [16.5, 8, 6, 10, 240],
  d40: [18, 12, 6, 20, 240],
  d50: [20, 18, 6, 20, 240],
  d63: [24, 24, 8, 30, 360],
  d75: [26, 30, 8, 30, 360],
  d90: [29, 40, 8, 40, 360],
  d110: [32.5, 50, 10, 50, 480],
  d125: [40, 60, 10, 60, 480],
}
/** Row of the fusion table, or null for a size it does not hold. Sources: `dvs-2207-11`, `cp-fusion-depth`. */
export function fusionRow(size: Size): FusionRow | null {
  const row = FUSION[size.text]
  if (!row) return null
  const [depthMm, heatS, changeoverS, fixS, coolS] = row
  return { depthMm, heatS, changeoverS, fixS, coolS }
}
