import type { HowDef } from '../../bench/bench.js'
import { type Pull, between, pass, tightened } from '../../bench/bolts.js'
import { fall } from '../../bench/shape.js'
import { ROWS } from '../../bench/surface.js'
import { type BoltedSpec, torqueOf } from './bolted.js'
import { starOrder } from './torque.js'

/** A sound bolted joint of this kind holds about so much (ours). */
export const BOLTED_BAR = 60
/** Beyond these the order is not called out any more, and one bolt matters little. */
const MOST_BOLTS = 32
/** Bolts of a pipe to so many mm. */
const BOLTS_TO = [
  [90, 4],
  [260, 8],
  [420, 12],
] as const
/** Torque that stands where nobody gave one, Nm: for the reading only. */
const SOME_NM = 100

/** How tight, of what the bolts ask for. @param step at which they are tightened. */
export const tightHow = <const S extends string>(step: S) =>
  ({ step, usual: 100, spread: 1.5, min: 0, max: 400, undone: 0, unit: 'pct' }) as const satisfies HowDef<S>
/** How much of a gasket is lubricated, round the pipe. @param step at which it is. */
export const slickHow = <const S extends string>(step: S) =>
  ({
    step,
    usual: 98,
    spread: 0.5,
    min: 0,
    max: 100,
    undone: 0,
    unit: 'pct',
    round: 'mean',
  }) as const satisfies HowDef<S>
/** A torque reading of it, Nm. @param tightPct of what is asked for. */
export const torqueNm = (spec: BoltedSpec, tightPct: number): number =>
  ((torqueOf(spec).value ?? SOME_NM) * tightPct) / 100
/**
 * What is left of a joint by how tight its bolts are: loose leaks, over-stretched gives. Shares.
 * @example byTightness(100) // 1
 */
export const byTightness = (tightPct: number): number =>
  fall(tightPct, 90, 5, 0.02) * fall(tightPct, 120, 220, 0.5)
/**
 * What a line says of its bolts on the bench, where nobody says it: for practice only.
 * @example benchBolts('NPS 4').bolts // 8
 */
export function benchBolts(size: string): {
  bolts: number
  dryTorqueNm: number
  kDry: number
  kLubricated: number
} {
  const nominal = Number(/\d+/.exec(size)?.[0] ?? 4)
  const mm = size.startsWith('d') ? nominal : nominal * 25.4
  const bolts = BOLTS_TO.find(([toMm]) => mm < toMm)?.[1] ?? 16
  return { bolts, dryTorqueNm: 60 + Math.round(mm * 0.4), kDry: 0.2, kLubricated: 0.15 }
}

/**
 * Bolts drawn up in star order, then round: what each ends up with, of its load. @param rounds last passes, none to many.
 * @example drawnUp(4, 2).length // 4
 */
export function drawnUp(bolts: number, rounds: number): number[] {
  const count = Math.max(4, Math.min(MOST_BOLTS, 4 * Math.round(bolts / 4)))
  const star = starOrder(count)
  const round = Array.from({ length: count }, (_, i) => i + 1)
  const pulls: Pull[] = [
    ...[0.3, 0.6, 1].flatMap((to) => pass(star, to)),
    ...Array.from({ length: Math.floor(rounds) }, () => pass(round, 1)).flat(),
  ]
  return tightened(count, pulls)
}
/**
 * Press on the gasket by row, of the full load.
 * @example pressByRow([1, 1, 1, 1])[5] // 1
 */
export const pressByRow = (loads: readonly number[]): number[] =>
  Array.from({ length: ROWS }, (_, row) => between(loads, row / ROWS))
