import fc from 'fast-check'
import * as math from 'mathjs'
import { steadyHistory } from '../../src/conditions/history.js'
import { Pace } from '../../src/methods/cure/pace.js'
import { cureRule } from '../../src/methods/solvent-cement/rule.js'

/**
 * Accumulated cure against a general maths library's solver of differential equations (mathjs): what is cured, y, grows
 * by dy/dt = 1 / required time at the temperature of that moment, and it is done when y = 1.
 */
const START = 1_790_000_000
const H = 3600
type Solver = (
  f: (t: number, y: number[]) => number[],
  span: [number, number],
  y0: number[],
  o: { maxStep: number; firstStep?: number },
) => { t: number[]; y: number[][] }
const { solveODE } = math as unknown as { solveODE: Solver }

/** From one level of y to where it reaches 1 within a time, by the solver's own steps; or the level it ends at. */
function grown(rate: (t: number) => number, fromS: number, toS: number, y0: number, maxStep: number) {
  const solved = solveODE((t) => [rate(t)], [fromS, toS], [y0], { maxStep, firstStep: Math.min(maxStep, 30) })
  const y = solved.y.map((v) => v[0] as number)
  const at = y.findIndex((v) => v >= 1)
  if (at < 1) return { y: y.at(-1) as number, doneS: null }
  const [t0, t1, a, b] = [solved.t[at - 1], solved.t[at], y[at - 1], y[at]] as [
    number,
    number,
    number,
    number,
  ]
  return { y: 1, doneS: t0 + ((1 - a) / (b - a)) * (t1 - t0) }
}

describe('accumulated cure against a solver of differential equations', () => {
  it('a smooth rule along a smooth day', () => {
    // Twice as fast for each 10 K: no trade's rule, a curve to compare the sums by.
    const required = (c: number): number => 6 * H * 2 ** ((20 - c) / 10)
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 24, noNaN: true }),
        (mean, swing, phase) => {
          const temperature = (t: number): number =>
            mean + swing * Math.sin(((t / H + phase) / 24) * 2 * Math.PI)
          const steps = Array.from({ length: 72 * 12 }, (_, i) => ({
            fromS: START + i * 300,
            temperatureC: temperature(i * 300 + 150),
          }))
          const ours = new Pace(steadyHistory(steps), required, 'accumulate').finish(START)?.atS ?? Infinity
          const theirs = grown((t) => 1 / required(temperature(t)), 0, 72 * H, 0, 900).doneS
          expect(theirs).not.toBeNull()
          expect(Math.abs(ours - START - (theirs ?? 0))).toBeLessThanOrEqual(60)
        },
      ),
      { numRuns: 12 },
    )
  })
  it('the published inch table over a cold night (ASTM D2855, from memory), hour by hour', () => {
    const spec = { material: 'pvc', size: 'NPS 4', school: 'inch', schedule: '80' } as never
    const found = cureRule(spec, 'current')
    if (!found.ok) throw new Error('no rule')
    const { requiredS } = found.rule.classes[0] as { requiredS: (c: number, humid: boolean) => number | null }
    const temps = [14, 12, 9, 6, 3, 2, 2, 3, 5, 9, 13, 16, 18, 18, 18]
    const steps = temps.map((temperatureC, h) => ({ fromS: START + h * H, temperatureC }))
    const ours = new Pace(steadyHistory(steps), requiredS, 'accumulate').finish(START)?.atS ?? Infinity
    let y = 0
    let theirs: number | null = null
    for (let h = 0; theirs === null && h < temps.length; h++) {
      const need = requiredS(temps[h] as number, false) ?? Infinity
      const part = grown(() => 1 / need, h * H, (h + 1) * H, y, H)
      y = part.y
      theirs = part.doneS
    }
    expect(theirs).not.toBeNull()
    expect(Math.abs(ours - START - (theirs ?? 0))).toBeLessThanOrEqual(1)
  })
})
