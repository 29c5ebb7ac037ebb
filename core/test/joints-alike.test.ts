import fc from 'fast-check'
import { steadyHistory } from '../src/conditions/history.js'
import { cureRule } from '../src/methods/solvent-cement/rule.js'
import { valueAt } from '../src/methods/cure/piecewise.js'
import { curingJoint, ladderOf } from '../src/prove/test-plan/ladder.js'

const START = 1_790_000_000
const ruleOf = (material: string, size: string, school: 'inch' | 'metric') => {
  const found = cureRule({ material, size, school }, 'current')
  if (!found.ok) throw new Error(found.why.code)
  return found.rule
}
const RULES = [
  ruleOf('pvc', 'NPS 4', 'inch'),
  ruleOf('pvc-u', 'd63', 'metric'),
  ruleOf('pvc-u', 'd110', 'metric'),
  ruleOf('abs', 'd50', 'metric'),
]
/** Now and then outside every rule, so that some hours count nothing. */
const history = fc
  .array(
    fc.record({
      hours: fc.integer({ min: 1, max: 9 }),
      t: fc.double({ min: 2, max: 44, noNaN: true }),
      humid: fc.boolean(),
    }),
    {
      minLength: 1,
      maxLength: 8,
    },
  )
  .map((parts) => {
    let fromS = START
    return steadyHistory(
      parts.map((p) => {
        const step = { fromS, temperatureC: p.t, humid: p.humid }
        fromS += p.hours * 3600
        return step
      }),
    )
  })

describe('of joints of one kin only the last made is worked out', () => {
  it('and the ladder is the same, value and holder, as when each counts', () =>
    fc.assert(
      fc.property(
        fc.array(history, { minLength: 1, maxLength: 2 }),
        fc.array(
          fc.record({
            rule: fc.nat(RULES.length - 1),
            place: fc.nat(1),
            // Whole hours: homes often fall together, and on a change of temperature.
            hours: fc.integer({ min: 0, max: 30 }),
            rating: fc.constantFrom(null, 6, 10),
          }),
          { minLength: 1, maxLength: 14 },
        ),
        fc.constantFrom('coldest' as const, 'accumulate' as const),
        (histories, drawn, mode) => {
          const joints = drawn.map((d, i) =>
            curingJoint(
              { id: `j${i}`, madeAtS: START + d.hours * 3600, ratingBar: d.rating },
              RULES[d.rule] as (typeof RULES)[0],
              histories[d.place % histories.length] as (typeof histories)[0],
              mode,
            ),
          )
          const all = joints.map((j) => ({ ...j, pieces: j.pieces, kin: null }))
          const quick = ladderOf(joints, START)
          const slow = ladderOf(all, START)
          for (let h = 0; h < 24 * 20; h += 2.3) {
            const t = START + h * 3600
            // Drawn chords may lag the true curve by 0.01 bar, and each joint draws its own.
            const [a, b] = [valueAt(quick.pieces, t), valueAt(slow.pieces, t)]
            expect(a === b || Math.abs(a - b) <= 0.011).toBe(true)
          }
          expect(quick.steps.at(-1)?.allowedBar).toBe(slow.steps.at(-1)?.allowedBar)
          expect(quick.steps.at(-1)?.heldBy).toBe(slow.steps.at(-1)?.heldBy)
          expect(quick.steps[0]).toEqual(slow.steps[0])
        },
      ),
      { numRuns: Number(process.env.RUNS ?? 200) },
    ))
  it('made on the very moment the readings begin to count, it shares the curve of those made before (once missed)', () => {
    const cold = steadyHistory([
      { fromS: START, temperatureC: 2 },
      { fromS: START + 29 * 3600, temperatureC: 15 },
    ])
    const two = [0, 29].map((h, i) =>
      curingJoint(
        { id: `j${i}`, madeAtS: START + h * 3600, ratingBar: 6 },
        ruleOf('pvc-u', 'd63', 'metric'),
        cold,
        'accumulate',
      ),
    )
    expect(ladderOf(two, START).steps.at(-1)?.heldBy).toBe('j0')
  })
})
