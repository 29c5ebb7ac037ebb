import type { SourceId } from '../sources/source.js'

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

/** Reads a size in its exact form; null for anything else. */
export function parseSize(text: string): Size | null {
  const m = PATTERN.exec(text)
  if (!m) return null
  if (m[1]) return { text, family: 'd', nominal: Number(m[2]) }
  if (m[9]) return { text, family: 'DN', nominal: Number(m[10]) }
  const family = m[3] as SizeFamily
  const whole = Number(m[4] ?? 0)
  const top = Number(m[5] ?? m[7] ?? 0)
  const bottom = Number(m[6] ?? m[8] ?? 1)
  return bottom === 0 ? null : { text, family, nominal: whole + top / bottom }
}

/** A nearby well-formed size for a badly written one: `110` gives `d110`, `2 in` gives `NPS 2`. */
export function suggestSize(text: string): string {
  const t = text.trim()
  const metric = /^(?:d|D|ø|OD)?\s*(\d+(?:\.\d+)?)\s*(?:mm)?$/.exec(t)
  if (metric && Number(metric[1]) >= 14) return `d${metric[1]}`
  const inch = /(\d+)?(?:[\s-]*(\d+\/\d+))?\s*(?:in|inch|")?$/i.exec(t)
  if (inch && (inch[1] || inch[2])) return `NPS ${[inch[1], inch[2]].filter(Boolean).join('-')}`
  return 'd110 or NPS 2'
}

export const METRIC_SERIES = [
  16, 20, 25, 32, 40, 50, 63, 75, 90, 110, 125, 140, 160, 180, 200, 225, 250, 280, 315, 355, 400, 450, 500,
  560, 630,
] as const
/** Outside diameters of inch-nominal pipe, in inches (ASTM D1785, as ASME B36.10M; from memory). */
const NPS_OD = {
  '1/2': 0.84,
  '3/4': 1.05,
  '1': 1.315,
  '1-1/4': 1.66,
  '1-1/2': 1.9,
  '2': 2.375,
  '2-1/2': 2.875,
  '3': 3.5,
  '3-1/2': 4,
  '4': 4.5,
  '5': 5.563,
  '6': 6.625,
  '8': 8.625,
  '10': 10.75,
  '12': 12.75,
  '14': 14,
  '16': 16,
  '18': 18,
  '20': 20,
  '24': 24,
} as const
export type NpsName = keyof typeof NPS_OD
export const NPS_OD_INCH: Readonly<Record<string, number>> = NPS_OD
/** Names smallest first: keys that look like whole numbers would come before the rest. */
export const NPS_NAMES = (Object.keys(NPS_OD) as NpsName[]).sort((a, b) => NPS_OD[a] - NPS_OD[b])

/** The nominal as its tables write it: `1-1/4` of `NPS 1-1/4`. */
export const nominalKey = (size: Size): string => size.text.slice(size.text.indexOf(' ') + 1)

/** Outside diameters of DIN 11866 A tube by DN, in mm (from memory). */
const DN_TUBE = {
  10: 13,
  15: 19,
  20: 23,
  25: 29,
  32: 35,
  40: 41,
  50: 53,
  65: 70,
  80: 85,
  100: 104,
} as const
export type DnName = keyof typeof DN_TUBE
const DN_TUBE_MM: Readonly<Record<number, number>> = DN_TUBE

/**
 * Outside diameter in mm, or null for a size that is not made. Sources: `iso-161`, `astm-d1785`, `astm-d2846` and
 * `astm-b88` (copper tube sizes), `asme-bpe`, `din-11866`; `OD` is its own diameter.
 */
export function outsideDiameterMm(size: Size): number | null {
  switch (size.family) {
    case 'd':
      return size.nominal
    case 'NPS': {
      const inch = NPS_OD_INCH[nominalKey(size)]
      return inch === undefined ? null : inch * 25.4
    }
    // Copper tube sizes: outside diameter is the nominal size plus 1/8 in.
    case 'CTS':
      return (size.nominal + 0.125) * 25.4
    case 'DN':
      return DN_TUBE_MM[size.nominal] ?? null
    default:
      return size.nominal * 25.4
  }
}
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
