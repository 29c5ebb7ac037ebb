import { type History, steadyHistory } from '../../conditions/history.js'
import { type Fig, type Finding, fig, finding, msg, noFig } from '../../sources/source.js'
import { greatest } from '../../units/extent.js'
import { once } from '../../units/memo.js'
import { chartRule } from '../cure/chart-rule.js'
import { paceOf } from '../cure/pace.js'
import { curePieces } from '../cure/earned-pressure.js'
import type { CureRule } from '../cure/rule.js'
import type {
  Around,
  Clock,
  Ctx,
  CureOptions,
  Difference,
  Insertion,
  Life,
  Method,
  Ramp,
  Step,
} from '../method.js'
import { clocksOf } from './clocks.js'
import { type Judged, inspectionOf, readingsOf } from './inspection.js'
import { judgeMarks } from './marks-meet.js'
import { sizesOf } from './joins.js'
import type { Manifest, Recipe } from './recipe.js'
import { type BaseSpec, baseFields, specReader } from './spec.js'
import { stepList } from './steps.js'
import { type MethodWords, benchWordsByCode, placed, wordsByCode } from './words.js'

/** For rules that ask for neither temperature nor dryness: any will do. */
export const ANY_TEMPERATURE: History = steadyHistory([{ fromS: -Infinity, temperatureC: 20, humid: false }])
const historyFor = (rule: CureRule, wall: History): History => (rule.steady ? ANY_TEMPERATURE : wall)

/** What is derived of a manifest, whatever the method is made of. */
export function fromManifest<W extends MethodWords>(manifest: Manifest<W>) {
  const key = manifest.key ?? manifest.id
  const differs = Object.entries(manifest.differs ?? {}) as [string, Difference['follows']][]
  return {
    id: manifest.id,
    version: manifest.version,
    name: msg(placed('name', manifest.id)),
    joins: manifest.joins,
    ends: manifest.ends,
    onWall: manifest.onWall === true,
    sizes: (material: string) => sizesOf(manifest.joins, material),
    words: {
      ...wordsByCode(manifest.id, key, manifest.words),
      ...benchWordsByCode(key, manifest.bench.words),
    },
    key,
    bench: manifest.bench,
    faults: Object.entries(manifest.bench.faults).map(([id, { step }]) => ({
      id,
      step,
      shows: msg(placed('fault', key, id)),
    })),
    sources: manifest.sources,
    tables: manifest.tables ?? [],
    findBy: manifest.findBy,
    works: manifest.works,
    examples: manifest.examples,
    differs: differs.map(([id, follows]): Difference => ({
      id,
      methods: [manifest.id],
      point: msg(placed('differs', id, 'point')),
      a: msg(placed('differs', id, 'a')),
      b: msg(placed('differs', id, 'b')),
      here: msg(placed('differs', id, 'here')),
      follows,
    })),
  }
}

/** When a joint was made, when it may be moved, and what it bears from when: all by the rule it cures by. */
function curingOf<S extends BaseSpec, W extends MethodWords>(
  recipe: Recipe<S, W>,
  steps: (spec: S, ctx: Ctx) => Step[],
) {
  const madeAtS = (spec: S, life: Life, ctx: Ctx): number | null => {
    const made = steps(spec, ctx).find((s) => s.reaches === 'made')?.id
    const done = life.done.filter((d) => d.step === made)
    return done.length ? greatest(done.map((d) => d.latestS)) : null
  }
  const ruleOf = (spec: S, options: CureOptions): CureRule | null => {
    const usual = recipe.cure?.(spec, options) ?? null
    return recipe.cure && spec.chartCure ? chartRule(spec.chartCure, usual) : usual
  }
  const optionsOf = (ctx: Ctx): CureOptions => ({ table: ctx.pin.table })
  return {
    cures: recipe.cure !== undefined,
    curing: (spec: S, options: CureOptions): ReturnType<Method<S>['curing']> => {
      const rule = ruleOf(spec, options)
      return rule ? { by: 'rule', rule } : { by: 'nothing' }
    },
    movableFromS: (spec: S, life: Life, ctx: Ctx): Fig => {
      const made = madeAtS(spec, life, ctx)
      if (made === null) return noFig(msg('not-home'))
      const rule = ruleOf(spec, optionsOf(ctx))
      if (!rule) return fig(made, 'cp-nothing-cures')
      const finish = paceOf(historyFor(rule, ctx.wall), `${rule.id}#set`, rule.setS, ctx.mode).finish(made)
      return finish ? fig(finish.atS, rule.setSource) : noFig(msg('no-set-time', { size: spec.size }))
    },
    pressure: (spec: S, life: Life, ctx: Ctx): Ramp[] => {
      const made = madeAtS(spec, life, ctx)
      if (made === null || life.cutOutAtS !== undefined) return []
      const rule = ruleOf(spec, optionsOf(ctx))
      if (!rule) return [{ fromS: made, bar: null, slopeBarPerS: 0, source: 'cp-nothing-cures' }]
      const source = rule.sourceAt(ctx.wallC ?? 20)
      return curePieces(rule, made, historyFor(rule, ctx.wall), ctx.mode)
        .filter((p) => p.bar > 0)
        .map((piece) => ({
          fromS: piece.fromS,
          bar: piece.bar === Infinity ? null : piece.bar,
          slopeBarPerS: piece.slopeBarPerS,
          source,
        }))
    },
  }
}

/** How far one end goes into the other and where it is marked; what speaks for or against this way of joining. */
function endsOf<S extends BaseSpec, W extends MethodWords>(recipe: Recipe<S, W>) {
  return {
    inserts: recipe.depth !== undefined,
    cutOutTakes: recipe.cutOutTakes ?? (recipe.depth ? 'fitting' : 'nothing'),
    insertion: (spec: S): Insertion => {
      const depthMm = recipe.depth?.(spec) ?? noFig(msg('nothing-inserted'))
      return {
        depthMm,
        gapMm: recipe.gap?.(spec) ?? fig(0, 'cp-face-to-face'),
        shortMaxMm: recipe.shortMaxMm ?? 0,
        overMaxMm: recipe.overMaxMm ?? 0,
        marks: recipe.marks?.(spec, depthMm) ?? (recipe.depth ? [{ kind: 'depth', fromEndMm: depthMm }] : []),
      }
    },
    clearances: (spec: S) => recipe.clearances?.(spec) ?? [],
  } as const
}
function choiceOf<S extends BaseSpec, W extends MethodWords>({ rules }: Recipe<S, W>) {
  return {
    rules: rules.map((x) => finding(x.level, x.code, x.source)),
    asks: [...new Set(rules.flatMap((x) => x.asks))],
    selection: (spec: S, around: Around, ctx: Ctx): Finding[] => [
      ...(around.live ? [finding('stop', 'section-live', 'cp-gates')] : []),
      ...rules.flatMap((rule) => {
        const speaks = rule.when(spec, around, ctx)
        return speaks === false
          ? []
          : [finding(rule.level, rule.code, rule.source, speaks === true ? {} : speaks)]
      }),
    ],
  }
}

/** What work broken off after the last step costs: the dearest that the recipe knows for this kind. */
function interruptionOf<S extends BaseSpec, W extends MethodWords>(
  { interrupted, practice }: Recipe<S, W>,
  life: Life,
  kind: string,
): Finding[] {
  const stage = life.done.at(-1)?.step ?? 'start'
  const cost =
    interrupted.find((c) => c.after === stage && c.kind === kind) ??
    interrupted.find((c) => c.after === stage && !c.kind)
  return [finding(cost ? 'warn' : 'note', cost?.code ?? 'interrupted-no-clock', practice, { kind })]
}

/**
 * Makes a method of its recipe: every member of the interface, by one set of rules for all.
 * Steps, ways out, clocks and faults are named by its words: one that has none does not compile.
 */
export function defineMethod<S extends BaseSpec, W extends MethodWords>(recipe: Recipe<S, W>): Method<S> {
  const key = recipe.key ?? recipe.id
  const fields = [...baseFields(recipe.joins), ...recipe.fields]
  // Asked for by clocks, inspection and drawing alike: worked out once for a joint under its conditions.
  const stepsUnder = once((spec: S) =>
    once((ctx: Ctx) => stepList(key, recipe.params(spec, ctx), recipe.steps(spec, ctx))),
  )
  const steps = (spec: S, ctx: Ctx): Step[] => stepsUnder(spec)(ctx)
  /** What the method says of the readings, and what marks say of how the fitting is turned. */
  const judged = (spec: S, life: Life): Judged => {
    const readings = readingsOf(life)
    const own = recipe.judge(spec, readings, life)
    const marks = judgeMarks(spec, readings)
    return marks.length ? { ...own, findings: [...own.findings, ...marks] } : own
  }
  const clocks = (spec: S, life: Life, ctx: Ctx): Clock[] =>
    clocksOf(key, recipe.clocks?.(spec, ctx, life) ?? [], life)
  return {
    ...fromManifest(recipe),
    ...endsOf(recipe),
    ...choiceOf(recipe),
    ...curingOf(recipe, steps),
    fields,
    parse: specReader<S>({ id: recipe.id, joins: recipe.joins, fields }, recipe.check),
    upgrade: (raw) => raw,
    steps,
    clocks,
    inspection: (spec, life, ctx) =>
      inspectionOf(
        steps(spec, ctx),
        clocks(spec, life, ctx),
        life,
        recipe.practice,
        judged(spec, life),
        recipe.mends,
      ),
    mends: recipe.mends ?? {},
    interruption: (_spec, life, kind) => interruptionOf(recipe, life, kind),
    testing: (spec) => ({ open: recipe.beforeTest ?? [], forbids: recipe.forbids?.(spec) ?? [] }),
    consumables: (spec) => recipe.needs(spec),
    upkeep: (spec) => recipe.upkeep?.(spec) ?? [],
    cautions: (spec) => recipe.cautions(spec),
    figures: (spec, ctx) => recipe.figures(spec, ctx).map((f) => ({ ...f, otherSchools: [] })),
    section: (spec, life, ctx) => {
      const reached = new Set(
        steps(spec, ctx)
          .filter((s) => life?.done.some((d) => d.step === s.id))
          .map((s) => s.reaches),
      )
      return recipe.drawing(spec, {
        marked: reached.size > 0 || !life?.done.length,
        made: reached.has('made'),
      })
    },
  }
}
