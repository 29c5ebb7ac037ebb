import { type Fig, fig, msg, noFig } from '../sources/source.js'
import { inchToMm } from '../units/units.js'
import { type Size, nominalKey } from './size.js'

/** ASME B16.22: depth of solder cups in inches, by nominal size (from memory). */
const B16_22: Readonly<Record<string, number>> = {
  '1/4': 0.31,
  '3/8': 0.38,
  '1/2': 0.5,
  '5/8': 0.62,
  '3/4': 0.75,
  '1': 0.91,
  '1-1/4': 0.97,
  '1-1/2': 1.09,
  '2': 1.34,
  '2-1/2': 1.47,
  '3': 1.66,
  '3-1/2': 1.91,
  '4': 2.16,
}
/** EN 1254-1: shortest length of a capillary end in mm, by outside diameter (from memory). */
const EN_1254_1: Readonly<Record<string, number>> = {
  d6: 5.8,
  d8: 6.8,
  d10: 7.8,
  d12: 8.6,
  d14: 10.6,
  d15: 10.6,
  d16: 10.6,
  d18: 12.6,
  d22: 15.4,
  d28: 18.4,
  d35: 23,
  d42: 27,
  d54: 32,
  d64: 32.5,
  'd66.7': 33.5,
  'd76.1': 33.5,
  'd88.9': 37.5,
  d108: 47.5,
}
/** Depth of the solder cup in mm. Sources: ASME B16.22 (CTS), EN 1254-1 (metric). */
export function cupDepthMm(size: Size): Fig {
  const mm = EN_1254_1[size.text]
  if (mm !== undefined) return fig(mm, 'en-1254-1')
  const inch = size.family === 'CTS' ? B16_22[nominalKey(size)] : undefined
  return inch === undefined
    ? noFig(msg('insertion-unknown', { size: size.text }))
    : fig(inchToMm(inch), 'asme-b16-22')
}

export type CopperType = 'K' | 'L' | 'M'
/** ASTM B88: wall in inches of types K, L, M by nominal size (from memory). */
const B88: Readonly<Record<string, readonly [number, number, number | null]>> = {
  '1/4': [0.035, 0.03, null],
  '3/8': [0.049, 0.035, 0.025],
  '1/2': [0.049, 0.04, 0.028],
  '5/8': [0.049, 0.042, null],
  '3/4': [0.065, 0.045, 0.032],
  '1': [0.065, 0.05, 0.035],
  '1-1/4': [0.065, 0.055, 0.042],
  '1-1/2': [0.072, 0.06, 0.049],
  '2': [0.083, 0.07, 0.058],
  '2-1/2': [0.095, 0.08, 0.065],
  '3': [0.109, 0.09, 0.072],
  '3-1/2': [0.12, 0.1, 0.083],
  '4': [0.134, 0.11, 0.095],
}
/** Wall of inch copper tube in mm. @param sizeText as `CTS 3/4`. Source: ASTM B88. */
export function copperWallMm(sizeText: string, type: CopperType): Fig {
  const inch = B88[sizeText.replace('CTS ', '')]?.['KLM'.indexOf(type)]
  return inch === undefined || inch === null
    ? noFig(msg('wall-unknown', { size: sizeText }))
    : fig(inchToMm(inch), 'astm-b88')
}

/**
 * EN 1057: walls in mm of metric copper tube, by three lists that are sold: the usual one of the continent (as GW 392
 * asks for), and the thin and the thick list of the British isles (BS 2871-1, tables X and Y). From memory, unsure.
 */
const EN_1057: Readonly<Record<string, readonly [usual: number, x: number | null, y: number | null]>> = {
  d6: [1, 0.6, 0.8],
  d8: [1, 0.6, 0.8],
  d10: [1, 0.6, 0.8],
  d12: [1, 0.6, 0.8],
  d14: [1, null, null],
  d15: [1, 0.7, 1],
  d16: [1, null, null],
  d18: [1, 0.8, 1],
  d22: [1, 0.9, 1.2],
  d28: [1.5, 0.9, 1.2],
  d35: [1.5, 1.2, 1.5],
  d42: [1.5, 1.2, 1.5],
  d54: [2, 1.2, 2],
  d64: [2, null, null],
  'd66.7': [2, 1.2, 2],
  'd76.1': [2, 1.5, 2],
  'd88.9': [2, null, null],
  d108: [2.5, 1.5, 2.5],
}
/** The lists of EN 1057 walls, the usual one first. */
export const EN_1057_LISTS = ['GW 392', 'Table X', 'Table Y'] as const
/** Wall of metric copper tube in mm by a list; undefined where the list has none. Source: EN 1057. */
export const metricCopperWallMm = (
  sizeText: string,
  list: (typeof EN_1057_LISTS)[number],
): number | undefined => EN_1057[sizeText]?.[EN_1057_LISTS.indexOf(list)] ?? undefined
