import type { Bench } from '../bench/bench.js'
import type { History } from '../conditions/history.js'
import type { Fig, Finding, Level, Msg, SourceId } from '../sources/source.js'
import type { Around, AskedFact } from './around.js'
import type { CureMode } from './cure/pace.js'
import type { CureRule } from './cure/rule.js'
import type { Source } from '../sources/records.js'
import type { Table } from '../sources/table.js'
import type { FigureKey, Wordings } from '../sources/wording.js'
import type { EndKind, Joins, School } from './joinable.js'

export type { Around, AskedFact, Fig, Finding, Level, Msg, SourceId }
export type Unit = 'mm' | 'C' | 'bar' | 's' | 'pct' | 'deg' | 'Nm' | 'turns' | 'count' | 'l' | 'none'
export type Control =
  | 'length'
  | 'turns'
  | 'gap-pair'
  | 'gap-round'
  | 'grid'
  | 'torque'
  | 'temperature'
  | 'pressure'
  | 'choice'
  | 'yes-no'
  | 'scan'
  | 'photo'
  | 'size'

/** One definition of a field: form control, Yup schema and JSON Schema derive from it. */
export interface Field {
  key: string
  label: Msg
  needed: boolean
  unit?: Unit
  min?: number
  max?: number
  options?: readonly string[]
  control: Control
  /** A choice without a usual answer: it must be said, never taken as said. */
  asked?: boolean
  /** For a reading that is compared with a target: what it should be, and how far off still passes. */
  target?: { value: Fig; shortMax: number; overMax: number }
  /** What the ends that meet say of it, where they say what they are. */
  byEnds?: true
  /** What the part a joint goes into says of it by its name; from a version of the rules on. */
  byPart?: { says: Readonly<Record<string, string>>; fromRules: number }
  /** Read with a caliper or a diameter tape, to hundredths, however large it is. */
  gauged?: true
  /** For a gap read at both ends of a diameter: that diameter, from which an angle follows. */
  acrossMm?: Fig
}

/** The rules a life was begun under. History does not rewrite itself when a newer version comes. */
export interface RulesPin {
  rules: number
  chart: string | null
  school: School
  table: string
}

/** What the joint stands in: pinned rules, the climate at its place, how a changing temperature is treated. */
export interface Ctx {
  school: School
  pin: RulesPin
  wall: History
  airC: number | null
  wallC: number | null
  humidityPct: number | null
  mode: CureMode
}

export interface Done {
  eventId: string
  step: string
  earliestS: number
  latestS: number
  readings: Readonly<Record<string, unknown>>
  by: string
  /** Tools it was done with, by id. */
  tools?: readonly string[]
  /** Not done, with this reason. */
  skipped?: string
  /** Written down afterwards, from memory. */
  fromMemory?: true
}
/** One life of a joint, from its first step to being cut out. */
export interface Life {
  no: number
  done: readonly Done[]
  cutOutAtS?: number
  interrupted: readonly { kind: string; atS: number }[]
}

export interface Mark {
  kind: 'depth' | 'check' | 'sand' | 'proof'
  fromEndMm: Fig
}
export interface Insertion {
  depthMm: Fig
  /** What the ends stay apart by themselves once they are joined, where nothing is pushed in. */
  gapMm?: Fig
  shortMaxMm: number
  overMaxMm: number
  marks: Mark[]
}
export interface Clearance {
  to: 'weld' | 'bend' | 'fitting' | 'wall' | 'joint'
  minMm: Fig
}

export interface StepException {
  id: string
  says: Msg
  /** Where it leads: a step to go back to, cutting out, or on (the finding stands). */
  backTo: string | 'cut-out' | 'on'
}
export interface Step {
  id: string
  after: readonly string[]
  does: Msg
  lookFor: Msg
  mistake: Msg
  action: Msg
  hint: Msg
  exceptions: readonly StepException[]
  cautions: readonly Finding[]
  reads: readonly Field[]
  /** Glyph state that this step brings about. */
  reaches?: 'marked' | 'prepared' | 'assembled' | 'made' | 'verified'
  skip: 'free' | 'reason' | 'stop'
  people: Fig
  tools: readonly Msg[]
  /** What is never used here. */
  never?: readonly Msg[]
}

export interface Clock {
  id: string
  step: string
  kind: 'window' | 'dwell' | 'exact' | 'watch'
  label: Msg
  /** What the joint looks like while this clock runs. */
  shows: 'window' | 'hold' | 'set' | 'made'
  fromS: number
  /** Null: no figure, and the dock says so. */
  untilS: Fig
  stoppedAtS?: number
  onMiss: { backTo: string | 'cut-out'; say: Msg }
  why: readonly Msg[]
}
/** bar null: this joint sets no ceiling. */
export interface Ramp {
  fromS: number
  bar: number | null
  slopeBarPerS: number
  source: SourceId
}
export interface Inspection {
  verdict: 'pass' | 'fail' | 'unknown'
  findings: readonly Finding[]
  unread: readonly string[]
  next: { step: string } | { do: 'cut-out' | 'measure' | 'nothing' }
  causes: readonly Msg[]
}
export interface Need {
  item: string
  /** A tool: it stays. What does not is used up, or stays in the joint. */
  lasts: boolean
  qty: Fig
  unit: Unit
  matches: Readonly<Record<string, string>>
}
/** When something is due on a joint in use: once it was hot, every so many months, as its maker says, or as it comes. */
export type CareDue = { by: 'first-heat' | 'maker' | 'event' } | { by: 'months'; months: number }
/** What a joint in use asks for, by its way of joining. */
export interface Care {
  /** Among those of its method. */
  id: string
  does: Msg
  /** What is done: its torque brought back, its gasket changed, looked over, opened and closed again. */
  act: 'torque' | 'gasket' | 'look' | 'open'
  due: CareDue
  source: SourceId
  /** The torque it is brought back to; null where it is tightened by hand, or nothing is tightened. */
  torqueNm: Fig | null
}
/** Parts of a drawing in mm; the screen only paints. x grows from the pipe's free side to the socket's stop. */
export type Shape =
  | { kind: 'pipe'; x1: number; x2: number; odMm: number; wallMm: number }
  | { kind: 'socket'; face: number; stop: number; odMm: number; wallMm: number }
  | { kind: 'mark'; at: number; as: Mark['kind'] }
  | { kind: 'wet'; x1: number; x2: number; odMm: number }
  | { kind: 'gap'; x1: number; x2: number; says: Msg }
  /** A ring round the axis, from one diameter to another: nut, ferrule, gasket, flange, clamp, bead. */
  | { kind: 'ring'; x1: number; x2: number; innerMm: number; outerMm: number; as: RingPart }
export type RingPart = 'fitting' | 'nut' | 'ferrule' | 'seal' | 'clamp' | 'bead' | 'bolt'

/** A figure of a joint that is told by its name. */
export interface Figure {
  key: FigureKey
  fig: Fig
  unit: Unit
  /** A length that is gauged, to the thousandth of an inch, never written as a fraction. */
  gauged?: true
}
/** How a joint comes to bear: by a rule in time, at once because nothing cures, or there is no figure for it. */
export type Curing = { by: 'rule'; rule: CureRule } | { by: 'nothing' } | { by: 'no-figure'; why: Msg }
/** What a cure rule may depend on besides size and temperature. */
export interface CureOptions {
  table: string
}

/** Which of two ways a school follows; null = asked or shown by other means. */
export interface Follows {
  inch: 'a' | 'b' | null
  metric: 'a' | 'b' | null
}
/** A point on which good tradesmen differ, the two ways, and what is done with it here. */
export interface Difference {
  id: string
  methods: readonly string[]
  point: Msg
  a: Msg
  b: Msg
  here: Msg
  follows: Follows
}
/** A joint as it is made: what its line says of it, and what is read of it when it is good, in core's units. */
export interface Example {
  school: School
  spec: Readonly<Record<string, unknown>> & { readonly material: string; readonly size: string }
  reads?: Readonly<Record<string, number | string>>
}

/** Minutes, and more of them a millimetre of outside diameter. */
export type WorkMinutes = Readonly<Record<'minutes' | 'perMm', number>>
/** Everything a place needs to know of a way to join pipe. Places and routes know no method by name. */
export interface Method<S = unknown> {
  readonly id: string
  readonly version: number
  readonly name: Msg
  /** All it says, by code. */
  readonly words: Wordings
  /** The sources that are its own. */
  readonly sources: readonly Source[]
  /** The tables that are its own. */
  readonly tables: readonly Table[]
  readonly findBy: readonly string[]
  /** How long one joint takes: minutes, and more of them a millimetre of its outside diameter. Common practice. */
  readonly works: WorkMinutes
  readonly differs: readonly Difference[]
  readonly examples: readonly Example[]
  /** What it joins, and in which sizes. */
  readonly joins: Joins
  readonly ends: readonly EndKind[]
  readonly fields: readonly Field[]
  /** Sizes it joins of a material, smallest first within a family. */
  sizes(material: string): readonly string[]
  /** Is one end pushed into the other? Where not, nothing is added to a cut length. */
  readonly inserts: boolean
  /** It sits on the wall of a pipe that stays whole: no line is joined so throughout. */
  readonly onWall: boolean
  /** What cutting it out takes along: fitting and pipe's end, the end alone, the pipe it sits on. */
  readonly cutOutTakes: 'fitting' | 'end' | 'pipe' | 'nothing'
  parse(raw: unknown): { ok: true; spec: S } | { ok: false; errors: readonly Finding[] }
  upgrade(raw: unknown, fromVersion: number): unknown
  /** Every rule of choice it knows: what may not be combined, each with its reason. */
  readonly rules: readonly Finding[]
  /** What those rules depend on and nobody but the person on site can say. */
  readonly asks: readonly AskedFact[]
  /** The rules that speak against this joint, here and now. */
  selection(spec: S, around: Around, ctx: Ctx): readonly Finding[]
  insertion(spec: S, ctx: Ctx): Insertion
  clearances(spec: S, ctx: Ctx): readonly Clearance[]
  steps(spec: S, ctx: Ctx): readonly Step[]
  clocks(spec: S, life: Life, ctx: Ctx): readonly Clock[]
  /** Does anything set, cure or cool in it? */
  readonly cures: boolean
  curing(spec: S, options: CureOptions): Curing
  /** Empty = nothing yet. Never falling within a life. */
  pressure(spec: S, life: Life, ctx: Ctx): readonly Ramp[]
  /** When the joint may be moved with care; null = not known or not yet home. */
  movableFromS(spec: S, life: Life, ctx: Ctx): Fig
  inspection(spec: S, life: Life, ctx: Ctx): Inspection
  /** Findings that are put right by doing a step again, without cutting out: code of the finding, id of the step. */
  readonly mends: Readonly<Record<string, string>>
  interruption(spec: S, life: Life, kind: string, ctx: Ctx): readonly Finding[]
  testing(spec: S, life: Life, ctx: Ctx): { open: readonly Finding[]; forbids: readonly Finding[] }
  consumables(spec: S): readonly Need[]
  /** What it asks for once it is in use. */
  upkeep(spec: S): readonly Care[]
  cautions(spec: S, ctx: Ctx): readonly Finding[]
  figures(spec: S, ctx: Ctx): readonly (Figure & { otherSchools: readonly Fig[] })[]
  section(spec: S, life: Life | null, ctx: Ctx): readonly Shape[]
  readonly faults: readonly { id: string; step: string; shows: Msg }[]
  /** Stem of the codes of its words. */
  readonly key: string
  /** How it is practised. */
  readonly bench: Bench<S>
}
