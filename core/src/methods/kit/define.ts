import { type History, steadyHistory } from '../../conditions/history.js'
import { type Fig, fig, finding, msg, noFig } from '../../sources/source.js'
import { greatest } from '../../units/extent.js'
import { chartRule } from '../cure/chart-rule.js'
import { paceOf } from '../cure/pace.js'
import { curePieces } from '../cure/earned-pressure.js'
import type { CureRule } from '../cure/rule.js'
import type { Clock, Ctx, CureOptions, Difference, Life, Method, Ramp, Step } from '../method.js'
import { clocksOf } from './clocks.js'
import { inspectionOf, readingsOf } from './inspection.js'
import { sizesOf } from './joins.js'
import type { Manifest, Recipe } from './recipe.js'
import { type BaseSpec, baseFields, specReader } from './spec.js'
import { stepList } from './steps.js'
import { type MethodWords, placed, wordsByCode } from './words.js'

/** For rules that ask for neither temperature nor dryness: any will do. */
export const ANY_TEMPERATURE: History = steadyHistory([{ fromS: -Infinity, temperatureC: 20, humid: false }])
const historyFor = (rule: CureRule, wall: History): History => (rule.steady ? ANY_TEMPERATURE : wall)

/** What is derived of a manifest, whatever the method is made of. */
export function fromManifest<W extends MethodWords>(m: Manifest<W>) {
  const differs = Object.entries(m.differs ?? {}) as [string, Difference['follows']][]
  return {
    id: m.id,
    version: m.version,
    name: msg(placed('name', m.id)),
    joins: m.joins,
    sizes: (material: string) => sizesOf(m.joins, material),
    words: wordsByCode(m.id, m.key ?? m.id, m.words),
    sources: m.sources,
    tables: m.tables ?? [],
    findBy: m.findBy,
    examples: m.examples,
    differs: differs.map(([id, follows]): Difference => ({
      id,
      methods: [m.id],
      point: msg(placed('differs', id, 'point')),
      a: msg(placed('differs', id, 'a')),
      b: msg(placed('differs', id, 'b')),
      here: msg(placed('differs', id, 'here')),
      follows,
    })),
  }
}

/**
 * Makes a method of its recipe: every member of the interface, by one set of rules for all.
 * Steps, ways out, clocks and faults are named by its words: one that has none does not compile.
 */
export function defineMethod<S extends BaseSpec, W extends MethodWords>(r: Recipe<S, W>): Method<S> {
  const key = r.key ?? r.id
  const fields = [...baseFields(r.joins), ...r.fields]
  const steps = (spec: S, ctx: Ctx): Step[] => stepList(key, r.params(spec, ctx), r.steps(spec, ctx))
  const clocks = (spec: S, life: Life, ctx: Ctx): Clock[] =>
    clocksOf(key, r.clocks?.(spec, ctx, life) ?? [], life)
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
    ...fromManifest(r),
    fields,
    inserts: r.depth !== undefined,
    cutOutTakes: r.cutOutTakes ?? (r.depth ? 'fitting' : 'nothing'),
    parse: specReader<S>({ id: r.id, joins: r.joins, fields }, r.check),
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
        gapMm: r.gap?.(spec) ?? fig(0, 'cp-face-to-face'),
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
    faults: r.faults.map(([id, step]) => ({ id, step, shows: msg(placed('fault', key, id)) })),
  }
}
