import { CALCULATIONS, Refusal } from '../src/index.js'

export type Xyz = [number, number, number]
interface Result {
  nodes: { tag: string; fitting: string; atMm: Xyz }[]
  pieces: { tag: string; from: string; to: string; lengthMm: number; heading: Xyz; fallPerMm: number }[]
  closing: {
    from: string
    to: string
    errorMm: Xyz
    missMm: number
    expectedMm: number
    suspects: string[]
  }[]
  high: string[]
  low: string[]
}
export const METRIC = { school: 'metric', size: 'd63' }
export const INCH = { school: 'inch', size: 'NPS 2' }
/** What the door answers. */
export const ask = (entries: string[], more: Record<string, unknown> = METRIC): Result =>
  CALCULATIONS.get('line-in-space')?.run({ ...more, entries }).result as unknown as Result
/** Code and field of a refusal. */
export const refused = (entries: string[], more: Record<string, unknown> = METRIC): unknown => {
  try {
    ask(entries, more)
  } catch (e) {
    if (e instanceof Refusal) return [e.code, e.field]
    throw e
  }
  return 'taken'
}
/** Where a node is. */
export const at = (r: Result, tag: string): Xyz => r.nodes.find((n) => n.tag === tag)?.atMm as Xyz
export const near = (a: readonly number[], b: readonly number[], off = 1e-6): void =>
  a.forEach((x, i) => expect(Math.abs(x - (b[i] as number))).toBeLessThan(off))
