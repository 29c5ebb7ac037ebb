import { type Fig, fig, msg, noFig } from '../sources/source.js'
import { inchToMm } from '../units/units.js'
import { type Size, nominalKey } from './size.js'

/** ASME BPE: wall and ferrule flange in inches by tube size (from memory). Several sizes share a flange. */
const BPE: Readonly<Record<string, readonly [wall: number, flange: number]>> = {
  '1/4': [0.035, 0.992],
  '3/8': [0.035, 0.992],
  '1/2': [0.065, 0.992],
  '3/4': [0.065, 0.992],
  '1': [0.065, 1.984],
  '1-1/2': [0.065, 1.984],
  '2': [0.065, 2.516],
  '2-1/2': [0.065, 3.047],
  '3': [0.065, 3.579],
  '4': [0.083, 4.682],
  '6': [0.109, 6.57],
}
/** DIN 11866 A wall and DIN 32676 A flange in mm by DN (from memory). */
const DIN: Readonly<Record<number, readonly [wall: number, flange: number]>> = {
  10: [1.5, 34],
  15: [1.5, 34],
  20: [1.5, 34],
  25: [1.5, 50.5],
  32: [1.5, 50.5],
  40: [1.5, 50.5],
  50: [1.5, 64],
  65: [2, 91],
  80: [2, 106],
  100: [2, 119],
}
/** Wall of hygienic tube in mm. Sources: ASME BPE, DIN 11866 A. */
export function hygienicWallMm(size: Size): Fig {
  const inch = size.family === 'BPE' ? BPE[nominalKey(size)]?.[0] : undefined
  if (inch !== undefined) return fig(inchToMm(inch), 'asme-bpe')
  const mm = size.family === 'DN' ? DIN[size.nominal]?.[0] : undefined
  return mm === undefined ? noFig(msg('wall-unknown', { size: size.text })) : fig(mm, 'din-11866')
}

/** Outside diameter of the ferrule's flange in mm. Sources: ASME BPE, DIN 32676 A. */
export function flangeOdMm(size: Size): Fig {
  const inch = size.family === 'BPE' ? BPE[nominalKey(size)]?.[1] : undefined
  if (inch !== undefined) return fig(inchToMm(inch), 'asme-bpe')
  const mm = size.family === 'DN' ? DIN[size.nominal]?.[1] : undefined
  return mm === undefined ? noFig(msg('flange-unknown', { size: size.text })) : fig(mm, 'din-32676')
}

/** Flanges this close will clamp together, whatever the bores behind them. */
const SAME_FLANGE_MM = 0.5
/** Other sizes whose ferrules will clamp to this one and leave a ledge in the bore. */
export function flangeTwins(size: Size, all: readonly Size[]): Size[] {
  const own = flangeOdMm(size).value
  return all.filter((other) => {
    const theirs = other.text === size.text ? null : flangeOdMm(other).value
    return own !== null && theirs !== null && Math.abs(theirs - own) <= SAME_FLANGE_MM
  })
}
