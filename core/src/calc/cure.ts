import type { History } from '../conditions/history.js'
import { Pace, type CureMode } from '../methods/cure/pace.js'
import { type CureRule, requiredFor } from '../methods/cure/rule.js'
import { ANY_TEMPERATURE } from '../methods/kit/recipe.js'
import { msg } from '../sources/source.js'
import { say } from '../words/words.js'
import * as c from './common.js'
import { Refusal, calculation } from './door.js'
import { need, number } from '../schema/shape.js'

type CureInput = c.JointInput & {
  testPressureBar: number
  relativeHumidityPct: number
  temperatureC?: number | null
  temperatures?: { fromS: number; temperatureC: number }[] | null
  mode: CureMode
  table?: string | null
}

/** Where a cure figure comes from: a rule may lean on a second table once it was cold before the finish. */
function sourceFor(rule: CureRule, history: History, untilS: number): string {
  const counted = history.filter((s, i) => (history[i + 1]?.fromS ?? Infinity) > 0 && s.fromS <= untilS)
  const ids = [...new Set(counted.map((s) => rule.sourceAt(s.minC)))]
  return ids.find((id) => id.includes('+')) ?? (ids[0] as string)
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
    need('relativeHumidityPct', number({ min: 0, max: 100 }), 'Above 60 the inch cure takes half again'),
    c.temperatureC,
    c.temperatures,
    c.mode,
    c.table,
  ],
  rules:
    'Exactly one of temperatureC and temperatures. fromS counts from home (0); the first must be 0 or less; each holds until the next, the last is held on.',
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
  compute(i: CureInput, w) {
    c.checkJoint(i)
    const given = c.historyGiven(i, 0)
    if (!given) throw new Refusal('missing-field', 'Give temperatureC or temperatures.', 'temperatureC')
    const curing = c.curingOf(i, { table: i.table ?? 'current', humidityPct: i.relativeHumidityPct })
    if (curing.by === 'nothing') throw new Refusal('no-figure', say(msg('nothing-cures')), 'method')
    if (curing.by === 'no-figure') throw new Refusal('no-figure', say(curing.why), 'size')
    const { rule } = curing
    const history = rule.steady ? ANY_TEMPERATURE : given
    const required = requiredFor(rule, i.testPressureBar)
    if (!required)
      throw new Refusal(
        'no-figure',
        say(msg('no-cure-pressure', { bar: i.testPressureBar })),
        'testPressureBar',
      )
    const cured = new Pace(history, required, i.mode).finish(0)
    if (!cured)
      throw new Refusal(
        'no-figure',
        say(msg('no-cure-temperature')),
        i.temperatures ? 'temperatures' : 'temperatureC',
      )
    const set = new Pace(history, rule.setS, i.mode).finish(0)
    w.put('setS', set?.atS ?? null, set ? rule.setSource : undefined)
    if (!set) w.lacks('setS', 'no-figure', say(msg('no-set-time', { size: i.size })))
    w.put('cureS', cured.atS, sourceFor(rule, history, cured.atS))
    const last = i.temperatures?.at(-1)
    if (!rule.steady && i.temperatures && i.temperatures.length > 1 && last && cured.atS > last.fromS)
      w.warn('extended', 'The result lies beyond the last temperature, which was held on.', 'temperatures')
  },
})
