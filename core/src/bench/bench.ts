import type { Wording } from '../sources/wording.js'
import type { Chance } from './chance.js'
import type { Round } from './round.js'
import type { Surface } from './surface.js'

/** Where a joint is made. */
export interface Site {
  airC: number
  wallC: number
  relativeHumidityPct: number
  windMS: number
}
/** What a play goes by besides how it was done. */
export interface Room {
  site: Site
  chance: Chance
}

/** What a figure of how something was done is in. */
export type HowUnit = 'mm' | 'C' | 's' | 'pct' | 'deg' | 'turns' | 'count'
/** One thing about how a step is done: for how long, how evenly, how far, with which. */
export interface HowDef<Step extends string = string> {
  step: Step
  /** As it is done rightly. A choice names its good option. */
  usual: number | string
  /** Spread of a hand about it. */
  spread?: number
  min?: number
  max?: number
  /** What it comes to when the step is left out. As usual the usual. */
  undone?: number | string
  /** A choice, from good to bad. */
  options?: readonly string[]
  unit?: HowUnit
  /** Seconds between the step before it and this one, beyond what that one takes: follows from the times. */
  wait?: true
  /** Seconds from the first to the last time that it was done in a row: follows from the times. */
  again?: true
  /** Can be drawn on round the pipe. */
  round?: Round
  /** Not with this joint. */
  off?: boolean
}
export type Hows<Step extends string = string> = Readonly<Record<string, HowDef<Step>>>
/** How everything was done, by name. */
export type Values<H extends Hows> = {
  readonly [K in keyof H]: H[K] extends { options: readonly (infer O)[] } ? O : number
}
/** A fault to practise on: the step it is made at, and what is done otherwise, at its worst. */
export interface FaultDef<Step extends string = string, Key extends string = string, S = unknown> {
  step: Step
  to: Readonly<Partial<Record<Key, number | string>>>
  /** It shows so many seconds after its step began, as this says: what was let go was held so long. */
  after?: Key
  /** Which joints can have it. As usual all. */
  can?(spec: S): boolean
}

/** A joint as it came out. */
export interface Made<Seen extends string = string> {
  /** Gauge pressures at which it first lets something by, and at which it comes apart, once it is cured; bar. */
  weepsBar: number
  burstsBar: number
  /** What whoever inspects it reads, by step and field. */
  readings: Readonly<Record<string, Readonly<Record<string, number | string | undefined>>>>
  /** What can be seen from outside. */
  seen: readonly Seen[]
  /** Cut open: the surface that should hold, and what is measured on it. */
  cut: { surface: Surface; figures: Readonly<Record<string, number>> }
}
export type HowWords =
  Wording | { readonly says: Wording; readonly options: Readonly<Record<string, Wording>> }
export interface BenchWords<Key extends string = string, Seen extends string = string> {
  /** What is asked about how a step is done; choices with the words of their options. */
  readonly hows: Readonly<Record<Key, HowWords>>
  readonly seen: Readonly<Record<Seen, Wording>>
  /** What a cell of its surface holds by: "fused", "covered". */
  readonly surface: Wording
}
/** A bench as a method writes it down. */
export interface BenchDef<
  S,
  Step extends string,
  Fault extends string,
  H extends Hows<Step>,
  Seen extends string,
> {
  /** What its line says besides material, size and school, where nobody says it: for practice only. */
  details?(spec: { material: string; size: string; school: string }): Readonly<Record<string, unknown>>
  hows(spec: S, site: Site): H
  /** Seconds that a step takes, as it was done: so much later the next can begin. */
  takes?: Readonly<Partial<Record<Step, keyof H & string>>>
  faults: Readonly<Record<Fault, FaultDef<Step, keyof H & string, S>>>
  play(spec: S, how: Values<H>, room: Room): Made<Seen>
  words: BenchWords<keyof H & string, Seen>
}
/** A bench as practice uses it, whatever its method. */
export type Bench<S = unknown> = BenchDef<S, string, string, Hows, string>

/**
 * Makes a bench of what a method writes down. Every fault that its words name must be there, and only those; everything
 * about how a step is done, and everything that is seen, must have words.
 */
export const benchOf =
  <S, Step extends string, Fault extends string>() =>
  <const H extends Hows<Step>, const Seen extends string>(def: BenchDef<S, Step, Fault, H, Seen>): Bench<S> =>
    def as unknown as Bench<S>
