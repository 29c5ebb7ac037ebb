import fc from 'fast-check'
import { Pace } from '../src/methods/cure/pace.js'
import { curePieces } from '../src/methods/cure/earned-pressure.js'
import { valueAt } from '../src/methods/cure/piecewise.js'
import { type Required, requiredFor } from '../src/methods/cure/rule.js'
import { cureRule } from '../src/methods/solvent-cement/rule.js'
import { steadyHistory } from '../src/conditions/history.js'

const START = 1_790_000_000
const rule = (material: string, size: string, school: 'inch' | 'metric') => {
  const found = cureRule({ material, size, school }, 'current')
  if (!found.ok) throw new Error(found.why.code)
  return found.rule
}
const RULES = [
  rule('pvc', 'NPS 4', 'inch'),
  rule('pvc', 'NPS 1', 'inch'),
  rule('pvc-u', 'd63', 'metric'),
  rule('pvc-u', 'd110', 'metric'),
  rule('pvc-u', 'd20', 'metric'),
  rule('abs', 'd50', 'metric'),
]
const anyRule = fc.constantFrom(...RULES)
/** Wall temperatures along the hours, in dry air or damp, warm enough to stay inside every rule, or now and then outside. */
const anyHistory = (min: number, max: number) =>
  fc
    .array(
      fc.record({
        hours: fc.double({ min: 0.1, max: 9, noNaN: true }),
        t: fc.double({ min, max, noNaN: true }),
        humid: fc.boolean(),
      }),
      { minLength: 1, maxLength: 12 },
    )
    .map((parts) => {
      let at = START
      return parts.map((p) => {
        const step = { fromS: at, temperatureC: p.t, humid: p.humid }
        at += p.hours * 3600
        return step
      })
    })

type Step = { fromS: number; temperatureC: number; humid: boolean }
/** Independent of the code's formulas: small steps of time, the definition as it is written. */
function bruteFinish(steps: Step[], required: Required, mode: 'coldest' | 'accumulate'): number | null {
  const DT = 20
  let done = 0
  /** Warmest to coldest, as if it were dry and as if it were damp; once damp, the whole cure is. */
  let worst = { dry: 0, damp: 0 }
  let humid = false
  for (let t = 0; t < 40 * 86400;) {
    const here = [...steps].reverse().find((s) => s.fromS <= START + t)
    const next = steps.find((s) => s.fromS > START + t)
    const need = here ? required(here.temperatureC, mode === 'accumulate' && here.humid) : null
    // A step ends where the temperature changes: a few seconds at the wrong rate can be worth minutes at the other.
    const dt = Math.min(DT, next ? next.fromS - START - t : DT)
    if (mode === 'coldest') {
      if (need === null || !here) return null
      const damp = required(here.temperatureC, true) as number
      worst = { dry: Math.max(worst.dry, need), damp: Math.max(worst.damp, damp) }
      humid ||= here.humid
      if (t >= (humid ? worst.damp : worst.dry)) return t
    } else {
      done += need === null ? 0 : dt / need
      if (done >= 1 - 1e-9) return t + dt
    }
    t += dt
  }
  return null
}

describe('cure along a changing temperature', () => {
  it('agrees with a step-by-step reading of the definition', () =>
    fc.assert(
      fc.property(
        anyRule,
        anyHistory(-5, 38),
        fc.constantFrom('coldest' as const, 'accumulate' as const),
        fc.double({ min: 1, max: 15, noNaN: true }),
        (r, steps, mode, bar) => {
          const required = requiredFor(r, bar)
          if (!required) return
          const ours = new Pace(steadyHistory(steps), required, mode).finish(START)
          const theirs = bruteFinish(steps, required, mode)
          if (ours === null || theirs === null)
            expect(ours === null || ours.atS - START > 39 * 86400).toBe(theirs === null)
          else expect(Math.abs(ours.atS - START - theirs)).toBeLessThan(21)
        },
      ),
      { numRuns: 150 },
    ))
  it('fastest constant <= accumulate <= slowest', () =>
    fc.assert(
      fc.property(
        anyRule,
        anyHistory(5.1, 37),
        fc.double({ min: 1, max: 15, noNaN: true }),
        (r, steps, bar) => {
          const required = requiredFor(r, bar) as Required
          const damp = steps.some((s) => s.humid)
          const needs = steps.map((s) => required(s.temperatureC, s.humid) as number)
          const slowest = Math.max(...steps.map((s) => required(s.temperatureC, damp) as number))
          const history = steadyHistory(steps)
          const sum = new Pace(history, required, 'accumulate').finish(START)?.atS as number
          const cold = new Pace(history, required, 'coldest').finish(START)?.atS as number
          expect(sum - START).toBeGreaterThanOrEqual(Math.min(...needs) - 1e-3)
          expect(sum).toBeLessThanOrEqual(START + Math.max(...needs) + 1e-3)
          expect(cold).toBeLessThanOrEqual(START + slowest + 1e-3)
        },
      ),
    ))
  it('if a rule needs longer at every moment on one history, that one is never ready sooner', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...RULES.slice(0, 5)),
        anyHistory(5.1, 37),
        fc.array(fc.double({ min: 0, max: 30, noNaN: true }), { minLength: 12, maxLength: 12 }),
        fc.constantFrom('coldest' as const, 'accumulate' as const),
        (r, warm, less, mode) => {
          // Colder at every moment needs at least as long by these rules, down to the coldest they know.
          const cold = warm.map((s, i) => ({
            ...s,
            temperatureC: Math.max(5.1, s.temperatureC - (less[i] ?? 0)),
          }))
          const required = requiredFor(r, 9) as Required
          const a = new Pace(steadyHistory(cold), required, mode).finish(START)?.atS as number
          const b = new Pace(steadyHistory(warm), required, mode).finish(START)?.atS as number
          expect(a).toBeGreaterThanOrEqual(b - 1e-3)
        },
      ),
    ))
})

describe('pressure against time', () => {
  const sampled = (
    r: (typeof RULES)[number],
    steps: Step[],
    mode: 'coldest' | 'accumulate',
    atS: number,
  ): number => {
    // The greatest pressure whose own finish is not later: found by bisection over the definition.
    let low = 0
    let high = 40
    for (let i = 0; i < 40; i++) {
      const mid = (low + high) / 2
      const required = requiredFor(r, mid)
      const finish = required ? new Pace(steadyHistory(steps), required, mode).finish(START) : null
      if (finish && finish.atS <= atS) low = mid
      else high = mid
    }
    return low
  }
  it('never lies above the pressure that the cure rule gives, and follows it closely', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...RULES.slice(0, 5)),
        anyHistory(2, 37),
        fc.constantFrom('coldest' as const, 'accumulate' as const),
        fc.double({ min: 0, max: 90, noNaN: true }),
        (r, steps, mode, hours) => {
          const atS = START + hours * 3600
          const pieces = curePieces(r, START, steadyHistory(steps), mode)
          const drawn = valueAt(pieces, atS)
          const truth = sampled(r, steps, mode, atS)
          expect(drawn).toBeLessThanOrEqual(truth + 0.002)
          // Close: what it said a chord's length earlier has been reached by now.
          expect(valueAt(pieces, atS + 190)).toBeGreaterThanOrEqual(truth - 0.02)
        },
      ),
      { numRuns: 150 },
    ))
  it('loses nothing where a cold hour has been worked off by warm ones', () => {
    // Two hours at which hours-per-bar is not enough alone, then warm: from the moment both are met every hour counts in full.
    const r = RULES[2] as (typeof RULES)[number]
    const steps = [
      { fromS: START, temperatureC: 7, humid: false },
      { fromS: START + 2 * 3600, temperatureC: 12, humid: false },
    ]
    const pieces = curePieces(r, START, steadyHistory(steps), 'accumulate')
    for (const hours of [3, 4, 5, 6, 8, 10])
      expect(valueAt(pieces, START + hours * 3600)).toBeCloseTo(
        sampled(r, steps, 'accumulate', START + hours * 3600),
        6,
      )
  })
  it('never falls, and its ramps meet the next step', () =>
    fc.assert(
      fc.property(
        anyRule,
        anyHistory(2, 37),
        fc.constantFrom('coldest' as const, 'accumulate' as const),
        (r, steps, mode) => {
          const pieces = curePieces(r, START, steadyHistory(steps), mode)
          pieces.forEach((p, i) => {
            const next = pieces[i + 1]
            if (!next) return
            const end = p.bar + (p.slopeBarPerS ? p.slopeBarPerS * (next.fromS - p.fromS) : 0)
            expect(next.bar).toBeGreaterThanOrEqual(end - 1e-6)
            expect(p.slopeBarPerS).toBeGreaterThanOrEqual(0)
            if (p.slopeBarPerS > 0) expect(next.bar).toBeCloseTo(end, 5)
          })
        },
      ),
    ))
})
