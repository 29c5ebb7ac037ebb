import { steadyHistory } from '../conditions/history.js'
import type { Ctx, Finding, Method } from '../methods/method.js'
import { type How, type Play, playOf, usualHow } from './acts.js'
import type { FaultDef } from '../bench/bench.js'
import { chanceOf } from '../bench/chance.js'
import type { PracticeQuestion } from './run.js'

/** A joint laid on the bench: what it is, what can be done to it, what can go wrong. */
export interface OnBench {
  method: Method
  spec: unknown
  details: Readonly<Record<string, unknown>>
  ctx: Ctx
  play: Play
  usual: How
  faults: Readonly<Record<string, FaultDef>>
}

/** The climate of a site as a joint's rules see it: the same all along. */
function climateOf(method: Method, question: Pick<PracticeQuestion, 'school' | 'site'>): Ctx {
  const { site, school } = question
  return {
    school,
    pin: { rules: method.version, chart: null, school, table: 'current' },
    wall: steadyHistory([{ fromS: -1, temperatureC: site.wallC, humid: site.relativeHumidityPct > 60 }]),
    airC: site.airC,
    wallC: site.wallC,
    humidityPct: site.relativeHumidityPct,
    mode: 'coldest',
  }
}

/** Is this something that a line of this method says? What its wall is, any line may say. */
export const asks = (method: Method, key: string): boolean =>
  key === 'wallSeries' || method.fields.some((field) => field.key === key)

/** Lays a joint on the bench. @returns what its own fields refuse, with the field. */
export function laidOn(
  method: Method,
  question: PracticeQuestion,
): { ok: true; laid: OnBench } | { ok: false; errors: readonly Finding[] } {
  const { material, size, school } = question
  const base = { material, size, school }
  const said = { schedule: question.schedule, ...question.details }
  // What a method does not ask plays no part, and is not said to.
  const details = {
    ...method.bench.details?.(base),
    ...Object.fromEntries(Object.entries(said).filter(([key, value]) => value != null && asks(method, key))),
  }
  const parsed = method.parse({ ...details, ...base })
  if (!parsed.ok) return parsed
  const ctx = climateOf(method, question)
  const play = playOf(
    method.bench,
    parsed.spec,
    method.steps(parsed.spec, ctx),
    chanceOf(question.seed),
    question.site,
  )
  const faults = Object.fromEntries(
    Object.entries(method.bench.faults).filter(
      ([, fault]) =>
        (fault.can?.(parsed.spec) ?? true) &&
        Object.keys(fault.to).every((key) => Object.hasOwn(play.hows, key)),
    ),
  )
  const usual = usualHow(play, question.site)
  return { ok: true, laid: { method, spec: parsed.spec, details, ctx, play, usual, faults } }
}
