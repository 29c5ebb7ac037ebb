import { type Fig, fig, msg, noFig } from '../sources/source.js'
import { inchToMm } from '../units/units.js'
import { copperWallMm, metricCopperWallMm } from './copper.js'
import { hygienicWallMm } from './hygienic.js'
import { plasticWallMm } from './plastic-walls.js'
import { type Size, nominalKey } from './size.js'

/** ASME B36.19M: Sch 10S walls in inches (from memory). */
const SCH_10S: Readonly<Record<string, number>> = {
  '1/2': 0.083,
  '3/4': 0.083,
  '1': 0.109,
  '1-1/4': 0.109,
  '1-1/2': 0.109,
  '2': 0.109,
  '2-1/2': 0.12,
  '3': 0.12,
  '3-1/2': 0.12,
  '4': 0.12,
  '5': 0.134,
  '6': 0.134,
  '8': 0.148,
  '10': 0.165,
  '12': 0.18,
}
/** Usual walls of press tube in mm: stainless, carbon steel. */
const PRESS_TUBE: Readonly<Record<string, readonly [number, number]>> = {
  d15: [1, 1.2],
  d18: [1, 1.2],
  d22: [1.2, 1.5],
  d28: [1.2, 1.5],
  d35: [1.5, 1.5],
  d42: [1.5, 1.5],
  d54: [1.5, 1.5],
  'd66.7': [1.5, 1.5],
  'd76.1': [2, 2],
  'd88.9': [2, 2],
  d108: [2, 2],
}
const MULTILAYER: Readonly<Record<string, number>> = {
  d14: 2,
  d16: 2,
  d18: 2,
  d20: 2,
  d25: 2.5,
  d26: 3,
  d32: 3,
  d40: 3.5,
  d50: 4,
  d63: 4.5,
}
/** Standard dimension ratio assumed where a metric plastic pipe's series is not given. */
const SDR: Readonly<Record<string, number>> = {
  'pvc-u': 21,
  cpvc: 13.6,
  abs: 21,
  'pp-r': 6,
  'pp-r-layered': 6,
  pe: 11,
}
/** Walls of fluoropolymer tube for flares in inches; of other sizes no wall is known. */
const PFA: Readonly<Record<string, number>> = {
  '1/4': 0.047,
  '3/8': 0.062,
  '1/2': 0.062,
  '3/4': 0.062,
  '1': 0.062,
  '1-1/4': 0.075,
}

/**
 * Wall of a pipe or tube in mm: the standard's, or one usual wall where several are made (its source says so).
 * @param schedule `40` or `80` for inch plastic pipe; Sch 40 for steel.
 */
export function wallMm(material: string, size: Size, schedule?: string | null): Fig {
  const none = noFig(msg('wall-unknown', { size: size.text }))
  const of = (mm: number | undefined, source: string): Fig => (mm === undefined ? none : fig(mm, source))
  if (size.family === 'BPE' || size.family === 'DN') return hygienicWallMm(size)
  if (material === 'copper')
    return size.family === 'CTS' ? copperWallMm(size.text, 'L') : metricCopperWallMm(size)
  if (material === 'pfa' && size.family === 'OD') {
    const inch = PFA[nominalKey(size)]
    return inch === undefined ? none : fig(inchToMm(inch), 'cp-pfa-wall')
  }
  if (material === 'multilayer') return of(MULTILAYER[size.text], 'cp-multilayer-wall')
  if (size.family === 'NPS') {
    if (material === 'stainless') {
      const inch = SCH_10S[nominalKey(size)]
      return inch === undefined ? none : fig(inchToMm(inch), 'asme-b36-19')
    }
    const wall = plasticWallMm(size.text, schedule ?? '40')
    return wall.value !== null && material === 'carbon-steel' ? fig(wall.value, 'asme-b36-10') : wall
  }
  if (size.family === 'd' && (material === 'stainless' || material === 'carbon-steel'))
    return of(PRESS_TUBE[size.text]?.[material === 'stainless' ? 0 : 1], 'cp-press-tube')
  const sdr = SDR[material]
  // ISO 4065: diameter over ratio, rounded up to a tenth; half a hundredth guards against binary fractions.
  return size.family === 'd' && sdr ? fig(Math.ceil((size.nominal / sdr) * 10 - 0.05) / 10, 'iso-4065') : none
}
