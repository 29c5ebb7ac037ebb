import type { Bench } from '../../bench/bench.js'
import type { Fig, Finding, SourceId } from '../../sources/source.js'
import type { Source } from '../../sources/records.js'
import type { Table } from '../../sources/table.js'
import type { Code } from '../../sources/wording.js'
import type { CureRule } from '../cure/rule.js'
import type { EndKind, Joins } from '../joinable.js'
import type {
  Care,
  Clearance,
  Ctx,
  CureOptions,
  Example,
  Field,
  Figure,
  Follows,
  Life,
  Mark,
  Method,
  Need,
  Shape,
  WorkMinutes,
} from '../method.js'
import type { ChoiceRule } from './choice.js'
import type { ClockDef } from './clocks.js'
import type { Judged } from './inspection.js'
import type { BaseSpec } from './spec.js'
import type { StepDef } from './steps.js'
import type { ClockId, ExceptionId, MethodWords, StepId } from './words.js'

/** What every way of joining says of itself, whether it is made of a recipe or of members of its own. */
export interface Manifest<W extends MethodWords> {
  id: string
  /** Stem of its words' codes, where the id is too long: `do-clamp-parts`. */
  key?: string
  /** Of its rules. A life keeps those it was begun under. */
  version: number
  joins: Joins
  /** It sits on the wall of a pipe that stays whole. */
  onWall?: true
  /** Ends of parts that it is made at; a fitting's usual one first. */
  ends: readonly EndKind[]
  words: W
  /** How it is practised: what may be done otherwise, and what comes of it. */
  bench: Bench
  sources: readonly Source[]
  /** Its published and practice tables, each a file of its folder. */
  tables?: readonly Table[]
  /** Words that somebody may look for it by in the Handbook. No trade names. */
  findBy: readonly string[]
  /** How long one joint takes, from the first step to home, as the trade reckons it. */
  works: WorkMinutes
  /** Which way each school follows, where its words tell of two. */
  differs?: Readonly<Record<keyof NonNullable<W['differs']> & string, Follows>>
  /** Joints as they are made, the usual one of a school first: tests and walks are derived from them. */
  examples: readonly Example[]
}
/** What an interruption costs after a step; a kind (rain, power) may cost more than the rest. */
export interface Cost<W extends MethodWords> {
  after: StepId<W>
  kind?: string
  code: Code
}
/** A way to join pipe, written down. What is usual is filled in by `defineMethod`. */
/** The steps of a joint in order, as the recipe writes them down; null = this joint has no such step. */
export type RecipeSteps<S extends BaseSpec, W extends MethodWords> = (
  spec: S,
  ctx: Ctx,
) => (StepDef<StepId<W>, ExceptionId<W>> | null)[]

export interface Recipe<S extends BaseSpec, W extends MethodWords> extends Manifest<W> {
  /** Fields besides material, size and school. */
  fields: readonly Field[]
  /** What the fields can't say one by one. */
  check?(spec: S): Finding[]
  /** Source of its steps. */
  practice: SourceId
  /** How far one end is pushed into the other. Absent: the ends meet face to face. */
  depth?(spec: S): Fig
  /** What the ends stay apart once they are joined, where nothing is pushed in. As usual they touch. */
  gap?(spec: S): Fig
  /** As usual the depth, where something is pushed in. */
  marks?(spec: S, depth: Fig): Mark[]
  /** What cutting it out takes; as usual the fitting where something is pushed in, else nothing. */
  cutOutTakes?: Method['cutOutTakes']
  shortMaxMm?: number
  overMaxMm?: number
  clearances?(spec: S): Clearance[]
  /** Figures that the words of the steps speak of. */
  params(spec: S, ctx: Ctx): Record<string, string | number>
  /** In order; null = not with this joint. */
  steps: RecipeSteps<S, W>
  clocks?(spec: S, ctx: Ctx, life: Life): (ClockDef<StepId<W>, ClockId<W>> | null)[]
  /** How long it must be left alone; null = nothing cures, made is made. */
  cure?(spec: S, options: CureOptions): CureRule | null
  /** What is put right by doing a step again: code of the finding, name of the step. All else is cut out or looked at. */
  mends?: Readonly<Partial<Record<Code, StepId<W>>>>
  judge(spec: S, readings: Readonly<Record<string, unknown>>, life: Life): Judged
  interrupted: readonly Cost<W>[]
  beforeTest?: readonly Finding[]
  forbids?(spec: S): Finding[]
  needs(spec: S): Need[]
  /** What it asks for once it is in use; as usual nothing. */
  upkeep?(spec: S): Care[]
  cautions(spec: S): readonly Finding[]
  rules: readonly ChoiceRule<S>[]
  figures(spec: S, ctx: Ctx): Figure[]
  drawing(spec: S, state: { marked: boolean; made: boolean }): Shape[]
}
