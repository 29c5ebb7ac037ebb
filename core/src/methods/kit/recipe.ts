import { greatest } from '../../units/extent.js'
import { type History, steadyHistory } from '../../conditions/history.js'
import { type Fig, type Finding, type SourceId, fig, finding, msg, noFig } from '../../sources/source.js'
import { paceOf } from '../cure/pace.js'
import { chartRule } from '../cure/chart-rule.js'
import { curePieces } from '../cure/ramps.js'
import type { CureRule } from '../cure/rule.js'
import type { Known, Said } from '../around.js'
import type {
  Around,
  AskedFact,
  Clearance,
  Clock,
  Ctx,
  CureOptions,
  Field,
  Life,
  Mark,
  Method,
  Need,
  Ramp,
  Shape,
  Step,
  Unit,
} from '../method.js'
import { sizesOf } from '../what-joins.js'
import { type ClockDef, clocksOf } from './clocks.js'
import { type Judged, inspectionOf, readingsOf } from './inspection.js'
import { type BaseSpec, specReader } from './spec.js'
import { type StepDef, stepList } from './steps.js'

/**
 * A rule of choice: what may not be combined, with its reason. Its words are those of its code. It sees only what the
 * record knows and the facts it asks for: so every fact a rule hangs on is asked.
 */
export interface ChoiceRule<S> {
  code: string
  level: Finding['level']
  source: SourceId
  asks: readonly AskedFact[]
  /** Does it speak here? Parameters for the words, or true. */
  when(spec: S, around: Around, ctx: Ctx): boolean | Record<string, string | number>
}
/** Writes down a rule of choice with the facts it asks for. */
export const choiceRule = <S, const K extends AskedFact = never>(
  level: Finding['level'],
  code: string,
  source: SourceId,
  asks: readonly K[],
  when: (spec: S, around: Known & Pick<Said, K>, ctx: Ctx) => boolean | Record<string, string | number>,
): ChoiceRule<S> => ({ level, code, source, asks, when })
/** What an interruption costs after a step; a kind (rain, power) may cost more than the rest. */
export interface Cost {
  after: string
  kind?: string
  code: string
}
/** A way to join pipe, written down. What is usual is filled in by `methodFrom`. */
export interface Recipe<S extends BaseSpec> {
  id: string
  /** Stem of its words: do-press-mark, look-press-mark … */
  key: string
  version: number
  fields: readonly Field[]
  /** What the fields can't say one by one. */
  check?(spec: S): Finding[]
  /** Source of its steps. */
  practice: SourceId
  /** Absent: the ends meet face to face. */
  depth?(spec: S): Fig
  marks?(spec: S, depth: Fig): Mark[]
  /** What cutting it out takes; as usual the fitting where something is pushed in, else nothing. */
  cutOutTakes?: Method['cutOutTakes']
  shortMaxMm?: number
  overMaxMm?: number
  clearances?(spec: S): Clearance[]
  /** Figures that the words of the steps speak of. */
  params(spec: S, ctx: Ctx): Record<string, string | number>
  steps(spec: S, ctx: Ctx): StepDef[]
  clocks?(spec: S, ctx: Ctx, life: Life): ClockDef[]
  /** How long it must be left alone; null = nothing cures, made is made. */
  cure?(spec: S, options: CureOptions): CureRule | null
  /** What is put right by doing a step again: code of the finding, id of the step. All else is cut out or looked at. */
  mends?: Readonly<Record<string, string>>
  judge(spec: S, readings: Readonly<Record<string, unknown>>, life: Life): Judged
  interrupted: readonly Cost[]
  beforeTest?: readonly Finding[]
  forbids?(spec: S): Finding[]
  needs(spec: S): Need[]
  cautions(spec: S): readonly Finding[]
  rules: readonly ChoiceRule<S>[]
  figures(spec: S, ctx: Ctx): { key: string; fig: Fig; unit: Unit }[]
  drawing(spec: S, state: { marked: boolean; made: boolean }): Shape[]
  /** [id, step]: faults to practise on. */
  faults: readonly (readonly [string, string])[]
}

/** For rules that ask for neither temperature nor dryness: any will do. */
export const ANY_TEMPERATURE: History = steadyHistory([{ fromS: -Infinity, temperatureC: 20, humid: false }])
const historyFor = (rule: CureRule, wall: History): History => (rule.steady ? ANY_TEMPERATURE : wall)

/** Makes a method of its recipe: every member of the interface, by one set of rules for all. */
export function methodFrom<S extends BaseSpec>(r: Recipe<S>): Method<S> {
  const steps = (spec: S, ctx: Ctx): Step[] => stepList(r.key, r.params(spec, ctx), r.steps(spec, ctx))
  const clocks = (spec: S, life: Life, ctx: Ctx): Clock[] =>
    clocksOf(r.key, r.clocks?.(spec, ctx, life) ?? [], life)
  const madeAtS = (spec: S, life: Life, ctx: Ctx): number | null => {
    const made = steps(spec, ctx).find((s) => s.reaches === 'made')?.id
    const done = life.done.filter((d) => d.step === made)
    return done.length ? greatest(done.map((d) => d.latestS)) : null
  }
  const ruleOf = (spec: S, options: CureOptions): CureRule | null => {
    const usual = r.cure?.(spec, options) ?? null
    return r.cure && spec.chartCure ? chartRule(spec.chartCure, usual) : usual
  }
  const optionsOf = (ctx: Ctx): CureOptions => ({ table: ctx.pin.table })
  const movableFromS = (spec: S, life: Life, ctx: Ctx): Fig => {
    const made = madeAtS(spec, life, ctx)
    if (made === null) return noFig(msg('not-home'))
    const rule = ruleOf(spec, optionsOf(ctx))
    if (!rule) return fig(made, 'cp-nothing-cures')
    const finish = paceOf(historyFor(rule, ctx.wall), `${rule.id}#set`, rule.setS, ctx.mode).finish(made)
    return finish ? fig(finish.atS, rule.setSource) : noFig(msg('no-set-time', { size: spec.size }))
  }
  const pressure = (spec: S, life: Life, ctx: Ctx): Ramp[] => {
    const made = madeAtS(spec, life, ctx)
    if (made === null || life.cutOutAtS !== undefined) return []
    const rule = ruleOf(spec, optionsOf(ctx))
    if (!rule) return [{ fromS: made, bar: null, slopeBarPerS: 0, source: 'cp-nothing-cures' }]
    const source = rule.sourceAt(ctx.wallC ?? 20)
    return curePieces(rule, made, historyFor(rule, ctx.wall), ctx.mode)
      .filter((p) => p.bar > 0)
      .map((p) => ({
        fromS: p.fromS,
        bar: p.bar === Infinity ? null : p.bar,
        slopeBarPerS: p.slopeBarPerS,
        source,
      }))
  }
  return {
    id: r.id,
    version: r.version,
    name: msg(`method-${r.id}`),
    fields: r.fields,
    sizes: (material) => sizesOf(r.id, material),
    inserts: r.depth !== undefined,
    cutOutTakes: r.cutOutTakes ?? (r.depth ? 'fitting' : 'nothing'),
    parse: specReader<S>(r.id, r.fields, r.check),
    upgrade: (raw) => raw,
    rules: r.rules.map((x) => finding(x.level, x.code, x.source)),
    asks: [...new Set(r.rules.flatMap((x) => x.asks))],
    selection: (spec, around, ctx) => [
      ...(around.live ? [finding('stop', 'section-live', 'cp-gates')] : []),
      ...r.rules.flatMap((x) => {
        const speaks = x.when(spec, around, ctx)
        return speaks === false ? [] : [finding(x.level, x.code, x.source, speaks === true ? {} : speaks)]
      }),
    ],
    insertion: (spec) => {
      const depthMm = r.depth?.(spec) ?? noFig(msg('nothing-inserted'))
      return {
        depthMm,
        shortMaxMm: r.shortMaxMm ?? 0,
        overMaxMm: r.overMaxMm ?? 0,
        marks: r.marks?.(spec, depthMm) ?? (r.depth ? [{ kind: 'depth', fromEndMm: depthMm }] : []),
      }
    },
    clearances: (spec) => r.clearances?.(spec) ?? [],
    steps,
    clocks,
    cures: r.cure !== undefined,
    curing: (spec, options) => {
      const rule = ruleOf(spec, options)
      return rule ? { by: 'rule', rule } : { by: 'nothing' }
    },
    pressure,
    movableFromS,
    inspection: (spec, life, ctx) =>
      inspectionOf(
        steps(spec, ctx),
        clocks(spec, life, ctx),
        life,
        r.practice,
        r.judge(spec, readingsOf(life), life),
        r.mends,
      ),
    mends: r.mends ?? {},
    interruption: (_spec, life, kind) => {
      const stage = life.done.at(-1)?.step ?? 'start'
      const cost =
        r.interrupted.find((c) => c.after === stage && c.kind === kind) ??
        r.interrupted.find((c) => c.after === stage && !c.kind)
      return [finding(cost ? 'warn' : 'note', cost?.code ?? 'interrupted-no-clock', r.practice, { kind })]
    },
    testing: (spec) => ({ open: r.beforeTest ?? [], forbids: r.forbids?.(spec) ?? [] }),
    consumables: (spec) => r.needs(spec),
    cautions: (spec) => r.cautions(spec),
    figures: (spec, ctx) => r.figures(spec, ctx).map((f) => ({ ...f, otherSchools: [] })),
    section: (spec, life, ctx) => {
      const reached = new Set(
        steps(spec, ctx)
          .filter((s) => life?.done.some((d) => d.step === s.id))
          .map((s) => s.reaches),
      )
      return r.drawing(spec, { marked: reached.size > 0 || !life?.done.length, made: reached.has('made') })
    },
    faults: r.faults.map(([id, step]) => ({ id, step, shows: msg(`fault-${r.key}-${id}`) })),
  }
}
