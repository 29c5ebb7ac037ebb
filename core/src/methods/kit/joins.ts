import { type DnName, METRIC_SERIES, NPS_NAMES, type NpsName } from '../../sizes/diameters.js'
import { type Joins, type Row, rowsOf } from '../joinable.js'

/** A size in inches as it is written: `2`, `1/2`, `1-1/4`. */
type Inches = `${number}` | `${number}/${number}` | `${number}-${number}/${number}`

/**
 * Outside diameters of the metric series, mm, ends included.
 * @example metric(20, 32) // ['d20', 'd25', 'd32']
 */
export const metric = (from: number, to: number): string[] =>
  METRIC_SERIES.filter((d) => d >= from && d <= to).map((d) => `d${d}`)
/** Pipe sizes by name, ends included. */
export const nps = (from: NpsName, to: NpsName): string[] =>
  NPS_NAMES.slice(NPS_NAMES.indexOf(from), NPS_NAMES.indexOf(to) + 1).map((n) => `NPS ${n}`)
/** Sizes by NPS name. */
export const npsEach = (...names: NpsName[]): string[] => names.map((n) => `NPS ${n}`)
/** Copper tube sizes. */
export const cts = (...names: Inches[]): string[] => names.map((n) => `CTS ${n}`)
/** Tube by its outside diameter. */
export const od = (...names: Inches[]): string[] => names.map((n) => `OD ${n}`)
/**
 * Sizes by outside diameter, mm.
 * @example mm(15, 22) // ['d15', 'd22']
 */
export const mm = (...diameters: number[]): string[] => diameters.map((d) => `d${d}`)
/** Hygienic tube sizes in inches. */
export const bpe = (...names: Inches[]): string[] => names.map((n) => `BPE ${n}`)
/** Sizes by DN. */
export const dn = (...names: DnName[]): string[] => names.map((n) => `DN ${n}`)

/** Sizes that both schools join. */
export const anywhere = (...sizes: string[][]): Row[] => sizes.map((s) => ({ sizes: s }))
const LARGE = [...nps('1', '24'), ...metric(32, 630)]
/** Large process pipe of every material that is bolted. */
export const LARGE_PIPE: Joins = {
  'carbon-steel': anywhere(LARGE),
  stainless: anywhere(LARGE),
  pvc: anywhere(LARGE),
  'pvc-u': anywhere(LARGE),
  brass: anywhere(LARGE),
}
/** Sizes joined of a material, by family. */
export const sizesOf = (joins: Joins, material: string): readonly string[] =>
  rowsOf(joins, material).flatMap((r) => r.sizes)
