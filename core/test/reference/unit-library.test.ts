import { unit } from 'mathjs'
import { type As, fromUnits, inUnits } from '../../src/index.js'
import { barToPsi, cToF, fToC, inLbfToNm, inchToMm, mmToInch, psiToBar } from '../../src/units/units.js'

describe('conversions against a general units library (mathjs)', () => {
  it.each([
    ['inch to mm', inchToMm, (v: number) => unit(v, 'inch').toNumber('mm')],
    ['mm to inch', mmToInch, (v: number) => unit(v, 'mm').toNumber('inch')],
    ['psi to bar', psiToBar, (v: number) => unit(v, 'psi').toNumber('bar')],
    ['bar to psi', barToPsi, (v: number) => unit(v, 'bar').toNumber('psi')],
    ['°F to °C', fToC, (v: number) => unit(v, 'degF').toNumber('degC')],
    ['°C to °F', cToF, (v: number) => unit(v, 'degC').toNumber('degF')],
    ['in-lbf to Nm', inLbfToNm, (v: number) => unit(v, 'lbf inch').toNumber('N m')],
  ])('%s', (_name, ours, theirs) => {
    for (const v of [0.03, 1, 14, 45.5, 160, 315, 1200])
      expect(Math.abs(ours(v) - theirs(v)) / Math.max(1, Math.abs(theirs(v)))).toBeLessThan(1e-7)
  })
})

/** Core's unit of each kind of quantity, and what either system reads it in, by the names of the library. */
const READ_IN: readonly (readonly [As, core: string, metric: string, inch: string])[] = [
  ['length', 'mm', 'mm', 'inch'],
  ['distance', 'mm', 'm', 'ft'],
  ['thickness', 'mm', 'mm', 'inch'],
  ['pressure', 'bar', 'bar', 'psi'],
  ['temperature', 'degC', 'degC', 'degF'],
  ['torque', 'N m', 'N m', 'lbf ft'],
  ['volume', 'liter', 'liter', 'gallon'],
  ['weight', 'kg', 'kg', 'lbm'],
]
describe('figures on an axis, against the same library', () => {
  it.each(READ_IN)('%s: in the unit of the reader, and back', (as, core, metric, inch) => {
    for (const [units, read] of [
      ['metric', metric],
      ['inch', inch],
    ] as const)
      for (const value of [0.5, 12, 340]) {
        const figure = inUnits(value, as, { units })
        expect(Math.abs(figure / unit(value, core).toNumber(read) - 1)).toBeLessThan(1e-6)
        expect(fromUnits(figure, as, { units })).toBeCloseTo(value, 9)
      }
  })
  it('a kind that the person reads in the other system follows the person, not the job', () => {
    expect(inUnits(25.4, 'length', { units: 'metric', own: { length: 'inch' } })).toBeCloseTo(1, 9)
    expect(inUnits(25.4, 'length', { units: 'inch', own: { length: 'metric' } })).toBeCloseTo(25.4, 9)
  })
})
