import { unit } from 'mathjs'
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
