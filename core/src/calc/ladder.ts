import type { SourceId } from '../sources/source.js'
import { HUMID_ABOVE_PCT } from '../conditions/humidity.js'
import { type LadderJoint, curingJoint, ladderOf } from '../prove/test-plan/ladder.js'
import type { CureMode } from '../methods/cure/pace.js'
import { ANY_TEMPERATURE } from '../methods/kit/define.js'
import { unlimitedFrom } from '../methods/cure/piecewise.js'
import { say } from '../words/words.js'
import * as c from './common.js'
import { Refusal, calculation } from './calculation.js'
import { list, may, need, number, object, text } from '../schema/shape.js'

type In = c.JointInput & {
  id: string
  madeAtS?: number | null
  temperatureC?: number | null
  temperatures?: { fromS: number; temperatureC: number }[] | null
  ratingBar?: number | null
}
interface LadderInput {
  joints: In[]
  mode: CureMode
  table?: string | null
  relativeHumidityPct?: number | null
  atS: number
}

export const ladder = calculation({
  name: 'ladder',
  summary: 'Pressure a section may take now and later, and the joint that holds it back.',
  inputs: [
    need(
      'joints',
      list(
        object(
          need('id', text, 'Name of the joint'),
          c.method,
          c.material,
          c.size,
          c.school,
          c.schedule,
          may('madeAtS', number({}), 'When it was home; null = not made'),
          c.temperatureC,
          c.temperatures,
          may('ratingBar', number({ above: 0, max: 10_000 }), 'What its weakest part may take'),
        ),
        1,
        20_000,
      ),
      'Every joint in the boundary',
    ),
    c.mode,
    c.table,
    may('relativeHumidityPct', number({ min: 0, max: 100 }), 'Absent: counted as over 60'),
    need('atS', number({}), 'Now, on the same clock'),
  ],
  rules:
    'All \u2026AtS and fromS are on one clock. A made joint needs temperatureC or temperatures where its rule needs them.',
  sources: ['astm-d2855', 'cp-hours-per-bar', 'cp-abs-day', 'ladder'],
  example: {
    input: {
      joints: [
        {
          id: 'Q2-17',
          method: 'solvent-cement',
          material: 'pvc-u',
          size: 'd110',
          school: 'metric',
          madeAtS: 0,
          temperatureC: 18,
          ratingBar: 10,
        },
      ],
      mode: 'coldest',
      relativeHumidityPct: 50,
      atS: 21600,
    },
    result: {
      allowedBar: 6,
      heldBy: 'Q2-17',
      steps: [
        { fromS: 0, allowedBar: 0, heldBy: 'Q2-17', ramp: true, slopeBarPerS: 1 / 3600 },
        { fromS: 36000, allowedBar: 10, heldBy: 'Q2-17', ramp: false, slopeBarPerS: 0 },
      ],
    },
  },
  compute(input: LadderInput, working) {
    if (input.relativeHumidityPct === undefined || input.relativeHumidityPct === null)
      working.warn('humidity-unknown', 'Humidity is not given: counted as over 60 %.', 'relativeHumidityPct')
    const humid = (input.relativeHumidityPct ?? Infinity) > HUMID_ABOVE_PCT
    const seen = new Set<string>()
    const froms = new Set<SourceId>()
    const joints: LadderJoint[] = input.joints.map((input, at) => {
      const path = `joints[${at}]`
      if (seen.has(input.id))
        throw new Refusal('bad-input', `The id ${input.id} is there twice.`, `${path}.id`)
      seen.add(input.id)
      return jointOf(input, path)
    })
    const out = ladderOf(joints, input.atS)
    const from: SourceId[] = froms.size ? [...froms] : ['given']
    working.put('allowedBar', out.allowedBar, 'ladder', from)
    working.put('heldBy', out.heldBy)
    working.put('steps', out.steps, 'ladder', from)
    if (out.steps.some((s) => s.allowedBar === null) || out.allowedBar === null)
      working.warn(
        'rating-unknown',
        'The rules set no ceiling and a rating is not given: what the parts may take is not known.',
        'joints',
      )

    function jointOf(given: In, path: string): LadderJoint {
      const made = given.madeAtS ?? null
      const bare = { id: given.id, madeAtS: made, ratingBar: given.ratingBar ?? null }
      const lacks = (message: string): LadderJoint => {
        working.lacks(path, 'no-figure', `${given.id}: ${message}`)
        return { ...bare, pieces: null }
      }
      c.checkJoint(given, path)
      const curing = c.curingOf(given, { table: input.table ?? 'current' })
      if (curing.by === 'no-figure') return lacks(say(curing.why))
      if (made === null) return { ...bare, pieces: null }
      if (curing.by === 'nothing') {
        froms.add('cp-nothing-cures')
        return { ...bare, pieces: unlimitedFrom(made) }
      }
      const { rule } = curing
      const history = rule.steady ? ANY_TEMPERATURE : c.historyGiven(given, made, humid, path)
      if (!history)
        throw new Refusal(
          'missing-field',
          `${given.id} is made: give temperatureC or temperatures.`,
          `${path}.temperatureC`,
        )
      const joint = curingJoint({ ...bare, madeAtS: made }, rule, history, input.mode)
      const { pieces } = joint
      for (const span of history) froms.add(rule.sourceAt(span.minC))
      if (pieces?.length === 1 && pieces[0]?.slopeBarPerS === 0)
        return lacks(say({ code: 'no-cure-temperature', params: {} }))
      return joint
    }
  },
})
