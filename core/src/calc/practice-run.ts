import { type Act, fromTimes } from '../practice/acts.js'
import { type OnBench, asks, laidOn } from '../practice/laid.js'
import { type PracticeQuestion, practiceRun } from '../practice/run.js'
import type { HowDef } from '../bench/bench.js'
import { either, flag, list, mapOf, may, need, number, object, oneOf, text } from '../schema/shape.js'
import { EXAMPLE_RESULT } from './practice-run-example.js'
import { say } from '../words/words.js'
import { Refusal, type Working, calculation } from './calculation.js'
import { type JointInput, WALL_C, checkJoint, material, method, methodFor, schedule, size } from './common.js'

const DAY_S = 86_400
type Question = Omit<PracticeQuestion, 'school'> & { method: string; school?: 'inch' | 'metric' | null }

/** Whose practice, where nobody said: metric sizes are made by the metric one. */
const schoolOf = (question: Question): 'inch' | 'metric' =>
  question.school ?? (/^(d\d|DN )/.test(question.size) ? 'metric' : 'inch')
/** Lays the joint on the bench. @throws Refusal at the field that is in the way */
function laid(question: Question): { joint: OnBench; asked: PracticeQuestion } {
  const site = { ...question.site, windMS: question.site.windMS ?? 0 }
  const asked = { ...question, site, school: schoolOf(question) }
  checkJoint(asked as JointInput)
  const found = laidOn(methodFor(asked as JointInput), asked)
  if (found.ok) return { joint: found.laid, asked }
  const fault = found.errors[0]
  const field = fault?.field ?? ''
  throw new Refusal(
    fault?.code === 'missing' ? 'missing-field' : 'bad-input',
    fault ? say(fault) : '',
    ['material', 'size', 'school', 'schedule'].includes(field) ? field : `details.${field}`,
  )
}

function checkHow(joint: OnBench, act: Act, field: string): void {
  for (const [key, value] of Object.entries(act.how ?? {})) {
    const def = joint.play.hows[key] as HowDef | undefined
    // What is not asked of this step plays no part, and is named.
    if (!def || def.step !== act.step || fromTimes(def)) continue
    const refuse = (message: string): never => {
      throw new Refusal('bad-input', `${key} ${message}.`, `${field}.how.${key}`)
    }
    if (def.options) {
      if (!def.options.includes(value as string)) refuse(`must be one of: ${def.options.join(', ')}`)
    } else if (typeof value !== 'number') refuse('must be a number, without quotes')
    else if (value < (def.min ?? -Infinity) || value > (def.max ?? Infinity))
      refuse(`must be between ${def.min ?? '−∞'} and ${def.max ?? '∞'}`)
  }
}
/** Refuses what this joint cannot have or do. @throws Refusal */
function checkPlay(joint: OnBench, asked: PracticeQuestion): void {
  asked.spoil?.forEach(({ fault }, i) => {
    if (!Object.hasOwn(joint.faults, fault))
      throw new Refusal(
        'bad-input',
        `${fault} is no fault that this joint can have: ${Object.keys(joint.faults).join(', ')}.`,
        `spoil[${i}].fault`,
      )
  })
  asked.did?.forEach((act, i, all) => {
    if (!joint.play.steps.includes(act.step))
      throw new Refusal(
        'bad-input',
        `${act.step} is no step of this joint: ${joint.play.steps.join(', ')}.`,
        `did[${i}].step`,
      )
    if (i && act.atS < (all[i - 1] as Act).atS)
      throw new Refusal('bad-input', 'The times must ascend.', `did[${i}].atS`)
    checkHow(joint, act as Act, `did[${i}]`)
  })
}
function nameUnknown(joint: OnBench, asked: PracticeQuestion, working: Working): void {
  const unknown = (field: string): void =>
    working.warn('unknown-field', `${field} is not known here and was not used.`, field)
  for (const key of Object.keys(asked.details ?? {})) if (!asks(joint.method, key)) unknown(`details.${key}`)
  asked.did?.forEach((act, i) => {
    for (const key of Object.keys(act.how ?? {}))
      if (joint.play.hows[key]?.step !== act.step) unknown(`did[${i}].how.${key}`)
  })
}

const anything = either(either(text, number({})), flag)
export const practiceRunCalc = calculation({
  name: 'practice-run',
  summary:
    'A joint made on the bench, well or badly: what is seen and read of it, where it gives way, and why.',
  inputs: [
    method,
    material,
    size,
    may('school', oneOf('inch', 'metric'), 'Whose practice; if absent, by the size'),
    schedule,
    may('details', mapOf(anything, 60), 'Fields of the method; else the bench\u2019s'),
    need(
      'site',
      object(
        need('airC', number({ min: -60, max: 80 }), 'Of the air'),
        need('wallC', WALL_C, 'Of the pipe'),
        need('relativeHumidityPct', number({ min: 0, max: 100 }), 'Of the air'),
        may('windMS', number({ min: 0, max: 60 }), 'Wind; if absent none'),
      ),
      'Where it is made',
    ),
    need(
      'seed',
      number({ min: -(2 ** 53) + 1, max: 2 ** 53 - 1, integer: true }),
      'Of the hand that makes it',
    ),
    may(
      'spoil',
      list(
        object(
          need('fault', text, 'Fault, by name'),
          need('amount', number({ min: 0, max: 1 }), 'How badly: 0 not at all, 1 at its worst'),
        ),
        0,
        50,
      ),
      'What is done wrong; if absent nothing',
    ),
    may(
      'did',
      list(
        object(
          need('step', text, 'Step of the method'),
          need('atS', number({ min: 0, max: 365 * DAY_S }), 'When'),
          may('how', mapOf(either(text, number({})), 60), 'How it was done; what is left out is as usual'),
        ),
        0,
        200,
      ),
      'What was done; if absent all of it, the usual way',
    ),
  ],
  rules:
    'did ascends. What is left out of did was not done. The same question has the same answer; did as answered plays the same again.',
  sources: ['practice-model', 'given'],
  example: {
    input: {
      method: 'press',
      material: 'copper',
      size: 'd22',
      site: { airC: 20, wallC: 20, relativeHumidityPct: 50 },
      seed: 7,
      spoil: [{ fault: 'not-pressed', amount: 1 }],
    },
    result: EXAMPLE_RESULT,
  },
  check(question: Question) {
    const { joint, asked } = laid(question)
    checkPlay(joint, asked)
  },
  compute(question: Question, working) {
    const { joint, asked } = laid(question)
    nameUnknown(joint, asked, working)
    const { findings: _findings, ...result } = practiceRun(joint, asked)
    for (const [figure, value] of Object.entries(result))
      working.put(figure, value, 'practice-model', ['given'])
  },
})
