import type { SourceId } from '../../sources/source.js'
import type { CURE_TABLES } from '../cure/rule.js'
import { HOUR_S, MINUTE_S, fToC, psiToBar } from '../../units/units.js'

/**
 * Set and cure schedules as data. Temperatures in °F and pressures in psi as printed; seconds inside.
 * Each list runs from the warmest temperature band to the coldest. All from memory, unverified.
 */
export interface CureTable {
  id: (typeof CURE_TABLES)[number]
  source: SourceId
  /** Upper edges of the size bands, nominal inches. */
  sizeToInch: readonly number[]
  /** Set bands may be finer than cure bands. */
  set: { bandsF: readonly (readonly [number, number])[]; seconds: readonly (readonly number[])[] }
  cureBandsF: readonly (readonly [number, number])[]
  /** For each size band: pressure classes in ascending order. */
  cure: readonly (readonly { toPsi: number; seconds: readonly number[] }[])[]
}

const m = (n: number): number => n * MINUTE_S
const h = (n: number): number => n * HOUR_S
const d = (n: number): number => n * 24 * HOUR_S
const THREE_BANDS = [
  [60, 100],
  [40, 60],
  [0, 40],
] as const

/** ASTM D2855, current handbook form. Source: `astm-d2855`. */
export const CURRENT: CureTable = {
  id: 'current',
  source: 'astm-d2855',
  sizeToInch: [1.25, 2, 8, 15, 24],
  set: {
    bandsF: THREE_BANDS,
    seconds: [
      [m(2), m(5), m(10)],
      [m(5), m(10), m(15)],
      [m(30), h(2), h(12)],
      [h(2), h(8), h(24)],
      [h(4), h(16), h(48)],
    ],
  },
  cureBandsF: THREE_BANDS,
  cure: [
    [
      { toPsi: 160, seconds: [m(15), m(20), m(30)] },
      { toPsi: 370, seconds: [h(6), h(12), h(48)] },
    ],
    [
      { toPsi: 160, seconds: [m(30), m(45), h(1)] },
      { toPsi: 315, seconds: [h(12), h(24), h(96)] },
    ],
    [
      { toPsi: 160, seconds: [h(1.5), h(4), h(72)] },
      { toPsi: 315, seconds: [h(24), h(48), d(8)] },
    ],
    [{ toPsi: 100, seconds: [h(48), h(96), d(8)] }],
    [{ toPsi: 100, seconds: [h(72), d(6), d(14)] }],
  ],
}

const SET_96 = [m(30), h(1), h(2), h(4)]
/** ASTM D2855-96: appendix cure schedule to 180 psi; set periods of its text. Source: `astm-d2855-96`. */
export const D2855_96: CureTable = {
  id: 'd2855-96',
  source: 'astm-d2855-96',
  sizeToInch: [1.25, 3, 8],
  set: {
    bandsF: [
      [60, 100],
      [40, 60],
      [20, 40],
      [0, 20],
    ],
    seconds: [SET_96, SET_96, SET_96],
  },
  cureBandsF: [
    [60, 100],
    [40, 60],
    [10, 40],
  ],
  cure: [
    [{ toPsi: 180, seconds: [h(1), h(2), h(8)] }],
    [{ toPsi: 180, seconds: [h(2), h(4), h(16)] }],
    [{ toPsi: 180, seconds: [h(6), h(12), h(48)] }],
  ],
}
export const TABLES: Readonly<Record<string, CureTable>> = { current: CURRENT, 'd2855-96': D2855_96 }

/** Half again on cure in damp air. */
export const HUMID_FACTOR = 1.5

export const bandsC = (bandsF: readonly (readonly [number, number])[]): (readonly [number, number])[] =>
  bandsF.map(([a, b]) => [fToC(a), fToC(b)] as const)
export const classBars = (classes: readonly { toPsi: number }[]): number[] =>
  classes.map((c) => psiToBar(c.toPsi))
