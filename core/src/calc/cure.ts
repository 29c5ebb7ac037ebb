import type { History } from '../conditions/history.js'
import { type Damp, HUMID_ABOVE_PCT, withDamp } from '../conditions/humidity.js'
import { Pace, type CureMode } from '../methods/cure/pace.js'
import { type CureRule, requiredFor } from '../methods/cure/rule.js'
import { ANY_TEMPERATURE } from '../methods/kit/define.js'
import { type SourceId, msg } from '../sources/source.js'
import { say } from '../words/words.js'
import * as c from './common.js'
import { Refusal, calculation } from './calculation.js'
import { list, may, need, number, object } from '../schema/shape.js'

type CureInput = c.JointInput & {
  testPressureBar: number
  relativeHumidityPct?: number | null
  humidities?: { fromS: number; relativeHumidityPct: number }[] | null
  temperatureC?: number | null
  temperatures?: { fromS: number; temperatureC: number }[] | null
  mode: CureMode
  table?: string | null
}

/** Where a cure figure comes from: a rule may lean on a second table once it was cold before the finish. */
function sourceFor(rule: CureRule, history: History, untilS: number): SourceId {
  const counted = history.filter((s, i) => (history[i + 1]?.fromS ?? Infinity) > 0 && s.fromS <= untilS)
  const ids = [...new Set(counted.map((s) => rule.sourceAt(s.minC)))]
  return ids.find((id) => id.includes('+')) ?? (ids[0] as SourceId)
}

const HUMIDITY = number({ min: 0, max: 100 })
/** Damp and dry as the request gives them: one humidity for the whole, or a list. */
function dampGiven(input: CureInput): Damp[] {
  const steps = input.humidities ?? null
  const one = input.relativeHumidityPct ?? null
  if (steps && one !== null)
    throw new Refusal('bad-input', 'Give relativeHumidityPct or humidities, not both.', 'humidities')
  if (one !== null) return [{ fromS: -Infinity, humid: one > HUMID_ABOVE_PCT }]
  if (!steps)
    throw new Refusal('missing-field', 'Give relativeHumidityPct or humidities.', 'relativeHumidityPct')
  c.ascending(steps, 'humidities')
  if ((steps[0] as { fromS: number }).fromS > 0)
    throw new Refusal(
      'bad-input',
      'The first humidity must be known at home or before.',
      'humidities[0].fromS',
    )
  return steps.map((s) => ({ fromS: s.fromS, humid: s.relativeHumidityPct > HUMID_ABOVE_PCT }))
}

export const cure = calculation({
  name: 'cure',
  summary: 'Seconds from home until a joint may be moved, and until it may take a test pressure.',
  inputs: [
    c.method,
    c.material,
    c.size,
    c.school,
    c.schedule,
    need('testPressureBar', number({ above: 0, max: 1000 }), 'Pressure it shall take'),
    may('relativeHumidityPct', HUMIDITY, 'Above 60 the inch cure takes half again (this or humidities)'),
    may(
      'humidities',
      list(
        object(need('fromS', number({}), 'From when'), need('relativeHumidityPct', HUMIDITY, 'Of the air')),
        1,
        100_000,
      ),
      'Relative humidities, ascending, each holds until the next (this or relativeHumidityPct)',
    ),
    c.temperatureC,
    c.temperatures,
    c.mode,
    c.table,
  ],
  rules:
    'Exactly one of temperatureC and temperatures, and of relativeHumidityPct and humidities. fromS counts from home (0); the first must be 0 or less; each holds until the next, the last is held on.',
  sources: [
    'astm-d2855',
    'astm-d2855-96',
    'cp-hours-per-bar',
    'cp-abs-day',
    'cp-set-metric',
    'cp-solder-cool',
    'ours-fusion-ready',
    'cp-resin-cure',
  ],
  example: {
    input: {
      method: 'solvent-cement',
      material: 'pvc',
      size: 'NPS 4',
      school: 'inch',
      schedule: '80',
      testPressureBar: 9,
      relativeHumidityPct: 50,
      temperatures: [
        { fromS: 0, temperatureC: 8 },
        { fromS: 10800, temperatureC: 2 },
        { fromS: 266400, temperatureC: 9 },
      ],
      mode: 'coldest',
    },
    result: { setS: 7200, cureS: 259200 },
  },
  compute(input: CureInput, working) {
    c.checkJoint(input)
    const given = c.historyGiven(input, 0, false)
    if (!given) throw new Refusal('missing-field', 'Give temperatureC or temperatures.', 'temperatureC')
    const curing = c.curingOf(input, { table: input.table ?? 'current' })
    if (curing.by === 'nothing') throw new Refusal('no-figure', say(msg('nothing-cures')), 'method')
    if (curing.by === 'no-figure') throw new Refusal('no-figure', say(curing.why), 'size')
    const { rule } = curing
    const history = rule.steady ? ANY_TEMPERATURE : withDamp(given, dampGiven(input))
    const required = requiredFor(rule, input.testPressureBar)
    if (!required)
      throw new Refusal(
        'no-figure',
        say(msg('no-cure-pressure', { bar: input.testPressureBar })),
        'testPressureBar',
      )
    const cured = new Pace(history, required, input.mode).finish(0)
    if (!cured)
      throw new Refusal(
        'no-figure',
        say(msg('no-cure-temperature')),
        input.temperatures ? 'temperatures' : 'temperatureC',
      )
    const set = new Pace(history, rule.setS, input.mode).finish(0)
    working.put('setS', set?.atS ?? null, set ? rule.setSource : undefined)
    if (!set) working.lacks('setS', 'no-figure', say(msg('no-set-time', { size: input.size })))
    working.put('cureS', cured.atS, sourceFor(rule, history, cured.atS))
    const last = input.temperatures?.at(-1)
    if (!rule.steady && input.temperatures && input.temperatures.length > 1 && last && cured.atS > last.fromS)
      working.warn(
        'extended',
        'The result lies beyond the last temperature, which was held on.',
        'temperatures',
      )
  },
})
