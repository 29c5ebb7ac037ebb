import fc from 'fast-check'
import { DateTime } from 'luxon'
import psychrolib from 'psychrolib'
import { dewPointC } from '../../src/conditions/dew-point.js'
import { fillingOf } from '../../src/joint/tin-date.js'

describe('dew point against the registry\u2019s psychrometric library (ASHRAE formulation)', () => {
  psychrolib.SetUnitSystem(psychrolib.SI)
  for (let t = -5; t <= 45; t += 5)
    for (let rh = 20; rh <= 100; rh += 20)
      it(`${t} °C, ${rh} %`, () => {
        // Magnus over water; below freezing the library changes to ice.
        const theirs = psychrolib.GetTDewPointFromRelHum(t, rh / 100)
        if (theirs > 0.01) expect(Math.abs(dewPointC(t, rh) - theirs)).toBeLessThan(0.12)
        else expect(Math.abs(dewPointC(t, rh) - theirs)).toBeLessThan(3.5)
      })
  it('published pairs (psychrometric charts, from memory): 20 °C 50 % 9.3 °C; 25 °C 60 % 16.7 °C; 10 °C 80 % 6.7 °C', () => {
    expect(dewPointC(20, 50)).toBeCloseTo(9.3, 1)
    expect(dewPointC(25, 60)).toBeCloseTo(16.7, 1)
    expect(dewPointC(10, 80)).toBeCloseTo(6.7, 1)
    expect(dewPointC(15, 100)).toBeCloseTo(15, 9)
  })
})

describe('ordinal dates against a date library (luxon)', () => {
  it('every day of 2000 to 2099', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99 }), fc.integer({ min: 1, max: 366 }), (yy, ddd) => {
        const code = `${String(yy).padStart(2, '0')}${String(ddd).padStart(3, '0')}A1`
        const theirs = DateTime.fromObject({ year: 2000 + yy, ordinal: ddd }, { zone: 'utc' })
        const ours = fillingOf(code, '2026-11-23')
        expect(ours.ok).toBe(theirs.isValid)
        if (!ours.ok) return
        expect(ours.filledOn).toBe(theirs.toISODate())
        expect(ours.expiresOn).toBe(theirs.plus({ months: 24 }).toISODate())
      }),
      { numRuns: 2000 },
    ))
  it('29 February expires on 28 February, which is the last good day', () => {
    expect(fillingOf('24060', '2026-02-28')).toMatchObject({
      filledOn: '2024-02-29',
      expiresOn: '2026-02-28',
      expired: false,
    })
    expect(fillingOf('24060', '2026-03-01')).toMatchObject({ expired: true })
  })
})
