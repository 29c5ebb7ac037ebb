import { type Finding, fig, finding, msg, noFig } from '../../sources/source.js'
import type { Code } from '../../sources/wording.js'
import { append } from '../../units/extent.js'
import { curePieces } from '../cure/earned-pressure.js'
import { drawnWall } from '../kit/drawing.js'
import { type AskedFact, GASES } from '../around.js'
import type { Around, Ctx, Insertion, Life, Method, Need, Ramp, Shape } from '../method.js'
import { fromManifest } from '../kit/define.js'
import { clocks, homeAtS, setAtS } from './clocks.js'
import { OVER_PASS_MM, SHORT_PASS_MM, inspect } from './inspection.js'
import { cureRule } from './rule.js'
import {
  applicatorMinMm,
  cementBody,
  crew,
  holdS,
  openTimeS,
  primerWindowS,
  setupFindings,
  usesPrimer,
} from './setup.js'
import { CONSUMPTION, cementL, primerL } from './consumption.js'
import { bench } from './bench.js'
import { EXAMPLES } from './examples.js'
import { SOURCES } from './sources.js'
import { TABLE_FILES } from './tables.js'
import { JOINS, type SolventSpec, depthOf, fields, odMm, parse } from './spec.js'
import { steps } from './steps.js'
import { WORDS } from './words.js'

export const RULES_VERSION = 1

function insertion(spec: SolventSpec): Insertion {
  const depth = depthOf(spec)
  const check = depth.value === null ? depth : fig(depth.value + spec.checkOffsetMm, depth.source)
  return {
    depthMm: depth,
    shortMaxMm: SHORT_PASS_MM,
    overMaxMm: OVER_PASS_MM,
    marks: [
      { kind: 'depth', fromEndMm: depth },
      { kind: 'check', fromEndMm: check },
    ],
  }
}

/** Nothing before the joint is set; after that, its cure rule along the wall's temperatures. */
function pressure(spec: SolventSpec, life: Life, ctx: Ctx): Ramp[] {
  const home = homeAtS(life)
  if (home === null || life.cutOutAtS !== undefined) return []
  const found = cureRule(spec, ctx.pin.table)
  const set = setAtS(spec, life, ctx)
  if (!found.ok || set.value === null) return []
  const setS = set.value
  const source = found.rule.sourceAt(ctx.wallC ?? 0)
  const pieces = curePieces(found.rule, home, ctx.wall, ctx.mode)
  const out: Ramp[] = []
  pieces.forEach((piece, i) => {
    const untilS = pieces[i + 1]?.fromS ?? Infinity
    if (untilS <= setS) return
    const fromS = Math.max(piece.fromS, setS)
    const bar = piece.slopeBarPerS === 0 ? piece.bar : piece.bar + piece.slopeBarPerS * (fromS - piece.fromS)
    out.push({ fromS, bar: bar === Infinity ? null : bar, slopeBarPerS: piece.slopeBarPerS, source })
  })
  return out
}

function selection(spec: SolventSpec, around: Around, ctx: Ctx): Finding[] {
  const out: Finding[] = []
  if (around.live) out.push(finding('stop', 'section-live', 'cp-gates'))
  if (GASES.some((g) => g === around.medium))
    out.push(finding('stop', 'choice-plastic-gas', 'cp-no-gas-on-plastic', { material: spec.material }))
  if (spec.material === 'abs') out.push(NO_PRIMER_ON_ABS)
  if (ctx.airC === null || ctx.humidityPct === null || ctx.wallC === null)
    out.push(finding('warn', 'conditions-missing', 'cp-condensation'))
  else
    append(
      out,
      setupFindings(
        spec,
        around.service !== 'drain',
        { airC: ctx.airC, pipeC: ctx.wallC, relativeHumidityPct: ctx.humidityPct },
        { cement: around.cement ?? null, tinExpired: around.tinExpired ?? null },
      ),
    )
  return out
}

function section(spec: SolventSpec, life: Life | null): Shape[] {
  const od = odMm(spec)
  const depth = depthOf(spec).value ?? od * 0.5
  const wall = spec.wallMm ?? drawnWall(spec)
  const isHome = life?.done.some((d) => d.step === 'home') ?? false
  const isWet = life?.done.some((d) => d.step === 'cement') ?? false
  const isMarked = life?.done.some((d) => d.step === 'fit') ?? false
  const face = 0
  // Before it is home the pipe is drawn standing off, so that marks and coat can be seen.
  const end = isHome ? depth : -depth * 0.35
  const shapes: Shape[] = [
    { kind: 'socket', face, stop: depth, odMm: od, wallMm: wall * 1.4 },
    { kind: 'pipe', x1: end - depth - spec.checkOffsetMm - od * 0.35, x2: end, odMm: od, wallMm: wall },
  ]
  if (isWet && !isHome) shapes.push({ kind: 'wet', x1: end - depth, x2: end, odMm: od })
  if (isMarked || !life?.done.length) {
    if (!isHome) shapes.push({ kind: 'mark', at: end - depth, as: 'depth' })
    shapes.push({ kind: 'mark', at: end - depth - spec.checkOffsetMm, as: 'check' })
  }
  if (isHome)
    shapes.push({
      kind: 'gap',
      x1: end - depth - spec.checkOffsetMm,
      x2: face,
      says: msg('gap-check', { offsetMm: spec.checkOffsetMm }),
    })
  return shapes
}

const STAGES = ['start', 'fit', 'rig', 'prime', 'cement', 'home', 'judge'] as const
/** What an interruption costs at this moment of the joint, and the way back. */
function interruption(spec: SolventSpec, life: Life, kind: string, ctx: Ctx): Finding[] {
  const stage = STAGES.find((s) => s === life.done.at(-1)?.step) ?? 'start'
  const running = clocks(spec, life, ctx).filter((c) => c.stoppedAtS === undefined && c.untilS.value !== null)
  const untilAtS = running.find((c) => c.kind === 'window')?.untilS.value ?? 0
  const code: Code =
    kind === 'rain' && (stage === 'fit' || stage === 'prime')
      ? 'interrupted-wet'
      : `interrupted-after-${stage}`
  return [finding('warn', code, 'cp-steps', { untilAtS, kind })]
}

const NO_PRIMER_ON_ABS = finding('note', 'rule-no-primer-on-abs', 'cp-primer')
/** Every rule of choice, as `setupFindings` applies them; figures are filled in where it speaks. */
const rules: readonly Finding[] = [
  finding('stop', 'rule-cement-by-plastic', 'cp-right-cement'),
  finding('stop', 'transition-under-pressure', 'cp-right-cement'),
  finding('warn', 'one-step-if-code-permits', 'cp-right-cement'),
  NO_PRIMER_ON_ABS,
  finding('stop', 'rule-no-condensation', 'cp-condensation'),
  finding('stop', 'rule-temperature-limits', 'cp-temperature-limits'),
  finding('stop', 'tin-expired', 'cp-shelf-life'),
  finding('stop', 'choice-plastic-gas', 'cp-no-gas-on-plastic'),
]
const asks: readonly AskedFact[] = ['medium', 'service']

/** Solvent cement: PVC, PVC-U, CPVC and ABS, by inch or metric practice. */
export const solventCement: Method<SolventSpec> = {
  ...fromManifest({
    id: 'solvent-cement',
    version: RULES_VERSION,
    joins: JOINS,
    ends: [{ kind: 'cement-socket', meets: 'plain', said: ['cemented', 'socket', 'slip'] }],
    words: WORDS,
    bench,
    sources: SOURCES,
    tables: [...TABLE_FILES, CONSUMPTION],
    works: { minutes: 6, perMm: 0.12 },
    findBy: ['solvent', 'cement', 'cemented', 'glue', 'glued'],
    differs: {
      insertion: { inch: 'a', metric: 'b' },
      coat: { inch: 'a', metric: 'b' },
      primer: { inch: 'a', metric: 'b' },
      hold: { inch: 'b', metric: 'b' },
      chamfer: { inch: 'a', metric: 'b' },
      'dry-fit': { inch: 'b', metric: 'b' },
      brush: { inch: null, metric: null },
      'cure-form': { inch: 'a', metric: null },
      cure: { inch: 'a', metric: 'b' },
      crew: { inch: 'a', metric: 'b' },
    },
    examples: EXAMPLES,
  }),
  fields,
  inserts: true,
  cutOutTakes: 'fitting',
  parse,
  upgrade: (raw) => raw,
  rules,
  asks,
  selection,
  insertion,
  clearances: () => [],
  steps,
  clocks,
  cures: true,
  curing: (spec, options) => {
    const found = cureRule(spec, options.table)
    return found.ok ? { by: 'rule', rule: found.rule } : { by: 'no-figure', why: found.why }
  },
  pressure,
  movableFromS: setAtS,
  inspection: inspect,
  // What is cemented is cut out or left alone.
  mends: {},
  interruption,
  testing: () => ({ open: [], forbids: [finding('stop', 'no-gas-on-plastic', 'cp-no-gas-on-plastic')] }),
  // Once it has cured nothing about it wants looking after.
  upkeep: () => [],
  consumables: (spec): Need[] => [
    {
      item: 'cement',
      lasts: false,
      qty: cementL(spec),
      unit: 'l',
      matches: { plastic: spec.material, body: cementBody(spec, spec.pressureService).value },
    },
    {
      item: usesPrimer(spec) ? 'primer' : 'cleaner',
      lasts: false,
      // A cleaner is wiped on with a cloth: nobody counts it.
      qty: usesPrimer(spec) ? primerL(spec) : noFig(msg('quantity-unknown')),
      unit: 'l',
      matches: {},
    },
    { item: 'applicator', lasts: true, qty: applicatorMinMm(spec), unit: 'mm', matches: {} },
  ],
  cautions: () => [
    finding('warn', 'caution-vapour', 'cp-steps'),
    finding('warn', 'caution-skin', 'cp-steps'),
    finding('stop', 'no-gas-on-plastic', 'cp-no-gas-on-plastic'),
    finding('warn', 'caution-trapped-vapour', 'cp-steps'),
  ],
  figures: (spec, ctx) => [
    { key: 'depthMm', fig: depthOf(spec), unit: 'mm', otherSchools: [] },
    { key: 'applicatorMinMm', fig: applicatorMinMm(spec), unit: 'mm', otherSchools: [] },
    { key: 'crew', fig: crew(spec), unit: 'count', otherSchools: [] },
    { key: 'holdS', fig: holdS(spec, ctx.airC ?? 20, ctx.wallC ?? 20), unit: 's', otherSchools: [] },
    { key: 'openTimeS', fig: openTimeS(spec, ctx.airC ?? 20, ctx.wallC ?? 20), unit: 's', otherSchools: [] },
    { key: 'primerWindowS', fig: primerWindowS(spec), unit: 's', otherSchools: [] },
  ],
  section,
}
