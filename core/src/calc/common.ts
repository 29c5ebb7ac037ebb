import { CURE_TABLES } from '../methods/cure/rule.js'
import { type History, steadyHistory } from '../conditions/history.js'
import { MATERIALS, type School } from '../methods/joinable.js'
import { allMethods, joinable } from '../methods/registry.js'
import type { CureOptions, Curing, Finding, Method } from '../methods/method.js'
import { methodOf } from '../methods/registry.js'
import type { Size } from '../sizes/size.js'
import { say } from '../words/words.js'
import { Refusal, type Working } from './calculation.js'
import { type Input, list, may, need, number, object, oneOf, text } from '../schema/shape.js'

export const method = need('method', oneOf(...allMethods().map((m) => m.id)), 'How the ends are joined')
export const material = need('material', oneOf(...MATERIALS), 'What the pipe is made of')
export const size = need('size', text, 'Size as text: d110, NPS 1-1/4, CTS 3/4, OD 1/4, BPE 2, DN 40')
export const school = need('school', oneOf('inch', 'metric'), 'Whose practice')
export const schedule = may('schedule', oneOf('40', '80'), 'Wall of inch plastic pipe')
export const mode = need('mode', oneOf('coldest', 'accumulate'), 'How a changing temperature is treated')
export const table = may('table', oneOf(...CURE_TABLES), 'Which inch cure table; current if absent')
export const WALL_C = number({ min: -60, max: 150 })
export const temperatureC = may('temperatureC', WALL_C, 'Steady wall temperature (this or temperatures)')
export const temperatures: Input = may(
  'temperatures',
  list(
    object(need('fromS', number({}), 'From when'), need('temperatureC', WALL_C, 'Wall temperature')),
    1,
    100_000,
  ),
  'Wall temperatures, ascending, each holds until the next (this or temperatureC)',
)

export interface JointInput {
  method: string
  material: string
  size: string
  school: School
  schedule?: string | null
}

/** Refuses a joint that is not joined that way or not made in that size; gives its size. */
export function checkJoint(joint: JointInput, path = ''): Size {
  const fits = joinable(joint.method, joint.material, joint.size, joint.school)
  if (fits.ok) return fits.size
  throw new Refusal(fits.code, say(fits.why), path ? `${path}.${fits.field}` : fits.field)
}
/** The method of a joint; every name that the schema lets through is registered. */
export const methodFor = (joint: JointInput): Method => methodOf(joint.method) as Method

/** How a joint comes to bear. What a method asks besides and the door does not, plays no part where nothing cures. */
export function curingOf(joint: JointInput, options: CureOptions): Curing {
  const known = methodFor(joint)
  if (!known.cures) return { by: 'nothing' }
  const parsed = known.parse({ ...joint, checkOffsetMm: 50 })
  return parsed.ok
    ? known.curing(parsed.spec, options)
    : { by: 'no-figure', why: parsed.errors[0] as Finding }
}

/** A finding as a calculation answers it: code, level, sentence and where it comes from. */
export const reason = (finding: Finding): { code: string; level: string; message: string } => ({
  code: finding.code,
  level: finding.level,
  message: say(finding),
})
/** Writes `ok` and `reasons`: ok = no reason of level stop. */
export function reasons(working: Working, findings: readonly Finding[]): void {
  working.put('ok', !findings.some((f) => f.level === 'stop'))
  working.put('reasons', findings.map(reason))
}

/** Refuses a list whose times do not ascend. */
export function ascending(steps: readonly { fromS: number }[], field: string): void {
  steps.forEach((step, i) => {
    if (i && step.fromS <= (steps[i - 1] as { fromS: number }).fromS)
      throw new Refusal('bad-input', 'The times must ascend.', `${field}[${i}].fromS`)
  })
}

/**
 * The history a request gives: one steady temperature or a list.
 * @param homeS when the joint was home on the list's clock; the first entry must not be later.
 * @param humid is the air damp all the time?
 */
export function historyGiven(
  input: { temperatureC?: number | null; temperatures?: { fromS: number; temperatureC: number }[] | null },
  homeS: number,
  humid: boolean,
  path = '',
): History | null {
  const at = (f: string): string => (path ? `${path}.${f}` : f)
  const steps = input.temperatures ?? null
  const one = input.temperatureC ?? null
  if (steps && one !== null)
    throw new Refusal('bad-input', 'Give temperatureC or temperatures, not both.', at('temperatures'))
  if (steps) {
    ascending(steps, at('temperatures'))
    if ((steps[0] as { fromS: number }).fromS > homeS)
      throw new Refusal(
        'bad-input',
        'The first temperature must be known at home or before.',
        at('temperatures[0].fromS'),
      )
    return steadyHistory(steps.map((s) => ({ ...s, humid })))
  }
  return one === null ? null : steadyHistory([{ fromS: homeS, temperatureC: one, humid }])
}
