import type { SourceId } from '../sources/source.js'
import { inchToMm } from '../units/units.js'
import { dnOutsideMm, npsOutsideMm } from './diameters.js'

/** Sizes as the trade names them. One text form everywhere: `d110`, `NPS 1-1/4`, `CTS 3/4`, `OD 1/4`, `BPE 2`, `DN 40`. */
export type SizeFamily = 'd' | 'NPS' | 'CTS' | 'OD' | 'BPE' | 'DN'
export interface Size {
  text: string
  family: SizeFamily
  /** Nominal figure: mm for `d` and `DN`, inches for the rest. */
  nominal: number
}

const PATTERN =
  /^(?:(d)(\d+(?:\.\d+)?)|(NPS|CTS|OD|BPE) (?:(\d+)(?:-(\d+)\/(\d+))?|(\d+)\/(\d+))|(DN) (\d+))$/

/**
 * Reads a size in its exact form; null for anything else.
 * @example parseSize('NPS 1-1/4')?.nominal // 1.25
 */
export function parseSize(text: string): Size | null {
  const match = PATTERN.exec(text)
  if (!match) return null
  if (match[1]) return { text, family: 'd', nominal: Number(match[2]) }
  if (match[9]) return { text, family: 'DN', nominal: Number(match[10]) }
  const family = match[3] as SizeFamily
  const whole = Number(match[4] ?? 0)
  const top = Number(match[5] ?? match[7] ?? 0)
  const bottom = Number(match[6] ?? match[8] ?? 1)
  return bottom === 0 ? null : { text, family, nominal: whole + top / bottom }
}

/**
 * A nearby well-formed size for a badly written one: `110` gives `d110`, `2 in` gives `NPS 2`.
 * @example suggestSize('63mm') // 'd63'
 */
export function suggestSize(text: string): string {
  const plain = text.trim()
  const metric = /^(?:d|D|ø|OD)?\s*(\d+(?:\.\d+)?)\s*(?:mm)?$/.exec(plain)
  if (metric && Number(metric[1]) >= 14) return `d${metric[1]}`
  const inch = /(\d+)?(?:[\s-]*(\d+\/\d+))?\s*(?:in|inch|")?$/i.exec(plain)
  if (inch && (inch[1] || inch[2])) return `NPS ${[inch[1], inch[2]].filter(Boolean).join('-')}`
  return 'd110 or NPS 2'
}

/**
 * The nominal as its tables write it: `1-1/4` of `NPS 1-1/4`.
 * @example nominalKey(parseSize('NPS 1-1/4')) // '1-1/4'
 */
export const nominalKey = (size: Size): string => size.text.slice(size.text.indexOf(' ') + 1)

/**
 * Outside diameter in mm, or null for a size that is not made. Sources: `iso-161`, `astm-d1785`, `astm-d2846` and
 * `astm-b88` (copper tube sizes), `asme-bpe`, `din-11866`; `OD` is its own diameter.
 * @example outsideDiameterMm(parseSize('NPS 2')) // 60.325
 */
export function outsideDiameterMm(size: Size): number | null {
  switch (size.family) {
    case 'd':
      return size.nominal
    case 'NPS':
      return npsOutsideMm(nominalKey(size))
    // Copper tube sizes: outside diameter is the nominal size plus 1/8 in.
    case 'CTS':
      return inchToMm(size.nominal + 0.125)
    case 'DN':
      return dnOutsideMm(size.nominal)
    default:
      return inchToMm(size.nominal)
  }
}
/** Where the outside diameter of a size comes from. */
export function odSource(size: Size, material = ''): SourceId {
  switch (size.family) {
    case 'd':
      return material === 'copper' ? 'en-1057' : 'iso-161'
    case 'NPS':
      return material.endsWith('steel') || material === 'stainless' ? 'asme-b36-10' : 'astm-d1785'
    case 'CTS':
      return material === 'copper' ? 'astm-b88' : 'astm-d2846'
    case 'BPE':
      return 'asme-bpe'
    case 'DN':
      return 'din-11866'
    default:
      return 'cp-tube-od'
  }
}
