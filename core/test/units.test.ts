import fc from 'fast-check'
import {
  fmt,
  USUAL,
  looksLikeOther,
  unusualHere,
  parseLength,
  parseQuantity,
  type Reader,
  parseSize,
  cleanReadings,
  historyOf,
  tagOrder,
} from '../src/index.js'
import { T0 } from './make-job.js'

const inch = { units: 'inch' } as const
const metric = { units: 'metric' } as const

describe('lengths as the trade writes them', () => {
  it.each([
    ['1250', 1250],
    ['1 250,5 mm', 1250.5],
    ['1.25 m', 1250],
    ['12 cm', 120],
    ['50-9/16 in', 1284.2875],
    ['4 ft 2 1/2 in', 1282.7],
    ['3/8"', 9.525],
  ])('%s', (text, mm) => expect(parseLength(text, { units: 'metric' })).toBeCloseTo(mm, 6))
  it.each(['', 'abc', '-5', '12a', '1/0 in', '12 34', '1e3', 'NaN'])('"%s" is not a length', (text) =>
    expect(parseLength(text, { units: 'metric' })).toBeNull(),
  )
  it('a bare figure is read in the reader\u2019s own unit', () =>
    expect(parseLength('2-1/2', { units: 'inch' })).toBe(63.5))
  it('inch fractions come back within half a sixteenth', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 5000, noNaN: true }), (mm) => {
        const back = parseLength(fmt.length(mm, { units: 'inch' }), { units: 'inch' })
        expect(Math.abs((back ?? -99) - mm)).toBeLessThanOrEqual(25.4 / 32 + 1e-6)
      }),
    ))
  it('figures, clocks and durations', () => {
    expect(fmt.inchFraction(1.4375)).toBe('1-7/16')
    expect(fmt.inchFraction(3 / 32, 32)).toBe('3/32')
    expect(fmt.length(1284)).toBe('1\u202f284 mm')
    expect(fmt.number(-0.001, 1)).toBe('0')
    expect(fmt.pressure(6, { units: 'inch' })).toBe('87 psi')
    expect(fmt.temperature(8.1)).toBe('8.1 °C')
    expect([fmt.clock(108), fmt.clock(3900), fmt.clock(-40)]).toEqual(['1:48', '1:05:00', '0:40'])
    expect([fmt.duration(40), fmt.duration(310), fmt.duration(12_000), fmt.duration(187_200)]).toEqual([
      '40 s',
      '5 min 10 s',
      '3 h 20 min',
      '2 d 4 h',
    ])
  })
})

describe('a quantity as people type it', () => {
  const comma = { units: 'metric', decimal: ',' } as const
  const value = (text: string, as: Parameters<typeof parseQuantity>[1], reader: Reader) =>
    parseQuantity(text, as, reader)?.value ?? null
  it.each([
    ['4\'-7 3/8"', 55.375],
    ['4-7 3/8', 55.375],
    ['4ft 7-3/8in', 55.375],
    ['4 ft 7 3/8 in', 55.375],
    ['4\u2032 7\u2033', 55],
    ["4'", 48],
    ['7-3/8', 7.375],
    ['7 3/8', 7.375],
    ['7\u215c', 7.375],
    ['3/8\u2033', 0.375],
    ['1.4 m', 1400 / 25.4],
  ])('%s is so many inches', (text, inches) =>
    expect((value(text, 'length', inch) ?? NaN) / 25.4).toBeCloseTo(inches, 9),
  )
  it.each([
    ['150', 'pressure', inch, 150 * 0.0689475729],
    ['150 psi', 'pressure', metric, 150 * 0.0689475729],
    ['10,5 bar', 'pressure', inch, 10.5],
    ['1050 kPa', 'pressure', metric, 10.5],
    ['49.2', 'temperature', inch, (49.2 - 32) / 1.8],
    ['\u22125 °C', 'temperature', inch, -5],
    ['\u22125', 'temperature', metric, -5],
    ['49 F', 'temperature', metric, (49 - 32) / 1.8],
    ['40 ft-lb', 'torque', metric, 40 * 1.3558179483],
    ['40 in-lb', 'torque', metric, (40 * 1.3558179483) / 12],
    ['12', 'distance', inch, 12 * 304.8],
    ['12\' 6"', 'distance', metric, 12.5 * 304.8],
    ['2,5', 'distance', comma, 2500],
    ['1,250', 'length', metric, 1250],
    ['1,250', 'length', comma, 1.25],
    ['1.250,5', 'length', comma, 1250.5],
    ['0.062', 'thickness', inch, 0.062 * 25.4],
  ] as const)('%s as %s', (text, as, reader, expected) =>
    expect(value(text, as, reader)).toBeCloseTo(expected, 6),
  )
  it.each([
    ['150 mm', 'pressure'],
    ['abc', 'temperature'],
    ['6 bar', 'length'],
    ['', 'torque'],
    ['5 5 psi', 'pressure'],
    ['1/0', 'length'],
  ] as const)('"%s" is no %s', (text, as) => expect(parseQuantity(text, as, inch)).toBeNull())
  it('what is printed reads back as the same, in every unit and with either decimal sign', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(
          'length' as const,
          'distance' as const,
          'thickness' as const,
          'pressure' as const,
          'fine' as const,
          'temperature' as const,
          'torque' as const,
          'volume' as const,
          'weight' as const,
        ),
        fc.double({ min: 0, max: 3000, noNaN: true }),
        fc.constantFrom('metric' as const, 'inch' as const),
        fc.constantFrom('.' as const, ',' as const),
        (as, v, units, decimal) => {
          const reader = { units, decimal }
          const said = fmt.print(v, as, reader)
          const back = parseQuantity(said, as, reader)
          expect([said, back === null]).toEqual([said, false])
          expect(fmt.print(back?.value ?? NaN, as, reader)).toBe(said)
        },
      ),
      { numRuns: 400 },
    ))
  it('a person\u2019s own units win over the school\u2019s, kind by kind', () => {
    const own: Reader = { units: 'metric', own: { pressure: 'inch' } }
    expect([fmt.pressure(10, own), fmt.temperature(10, own)]).toEqual(['145 psi', '10 °C'])
    expect(parseQuantity('145', 'pressure', own)?.value).toBeCloseTo(9.997, 3)
  })
  it('each kind is rounded to what can be read or cut', () => {
    expect([fmt.length(1284.6), fmt.length(37.6), fmt.length(65.0875, inch)]).toEqual([
      '1\u202f285 mm',
      '37.5 mm',
      '2-9/16 in',
    ])
    expect([fmt.thickness(0.79375, inch), fmt.thickness(2.38125, inch)]).toEqual(['0.031 in', '0.094 in'])
    expect(fmt.distance(9144 + 2 * 25.4, inch)).toBe('30 ft 2 in')
    expect(fmt.warmer(8.1, inch)).toBe('15 °F')
    expect([fmt.torque(4.5, inch), fmt.torque(88, inch)]).toEqual(['40 in-lb', '65 ft-lb'])
    expect(fmt.pressure(NaN)).toBe('not known')
  })
  it('a bare figure that looks like the other unit is asked about; one with its unit, or near, is not', () => {
    const asks = (text: string, as: 'pressure' | 'temperature', reader: Reader, near: number) => {
      const t = parseQuantity(text, as, reader)
      return t && looksLikeOther(t, as, reader, near)
    }
    expect(asks('150', 'pressure', metric, 10)).toBeCloseTo(10.34, 2)
    expect(asks('10', 'pressure', inch, 10)).toBe(10)
    expect(asks('150 bar', 'pressure', metric, 10)).toBeNull()
    expect(asks('9.8', 'pressure', metric, 10)).toBeNull()
    expect(asks('64', 'temperature', metric, 17)).toBeCloseTo(17.8, 1)
    expect(asks('18', 'temperature', inch, 17)).toBe(18)
    expect(asks('61', 'temperature', inch, 17)).toBeNull()
  })
  it('where nothing is known, what is unusual here and usual in the other unit is asked about', () => {
    const asks = (text: string, reader: Reader) => {
      const t = parseQuantity(text, 'pressure', reader)
      return t && unusualHere(t, 'pressure', reader, USUAL.linePressure)
    }
    expect(asks('150', metric)).toBeCloseTo(10.34, 2)
    expect(asks('6', inch)).toBe(6)
    for (const [text, reader] of [
      ['150', inch],
      ['9', metric],
      ['150 bar', metric],
      ['0.3', metric],
      ['4000', metric],
    ] as const)
      expect([text, asks(text, reader)]).toEqual([text, null])
  })
})

describe('sizes', () => {
  it.each([
    ['d110', 'd', 110],
    ['d37.5', 'd', 37.5],
    ['NPS 1-1/4', 'NPS', 1.25],
    ['CTS 3/4', 'CTS', 0.75],
    ['DN 40', 'DN', 40],
  ])('%s', (t, family, nominal) => expect(parseSize(t)).toMatchObject({ family, nominal }))
  it.each(['110', 'D110', 'NPS 1 1/4', 'NPS', 'd', 'NPS 1/0', ' d110', 'DN40'])('"%s" is not', (t) =>
    expect(parseSize(t)).toBeNull(),
  )
})

describe('readings', () => {
  const r = (atMin: number, value: number) => ({ atS: T0 + atMin * 60, value })
  it('a jump over 15 K within 5 min waits for a person; a dip seen once for less than 15 min is shown, not counted', () => {
    expect(cleanReadings([r(0, 15), r(3, -3), r(6, 15)]).jumps).toHaveLength(1)
    const dip = cleanReadings([r(0, 15), r(5, 9), r(10, 15)])
    expect([dip.kept.length, dip.blips.length]).toEqual([2, 1])
    expect(cleanReadings([r(0, 15), r(5, 9), r(10, 9), r(15, 15)]).blips).toHaveLength(0)
    expect(cleanReadings([r(0, 15), r(60, 9), r(120, 15)]).blips).toHaveLength(0)
  })
  it('history: both ends between readings, gaps marked, nothing before the first', () => {
    const h = historyOf([r(0, 15), r(60, 10), r(240, 12)])
    expect(h.map((s) => s.basis)).toEqual(['none', 'read', 'gap', 'read', 'projected'])
    expect(h[1]).toMatchObject({ minC: 10, maxC: 15 })
  })
})

describe('order of tags', () => {
  it('counts as people do, and is one order: whatever the tags, sorted twice is sorted once', () => {
    const sorted = (tags: string[]): string[] => [...tags].sort(tagOrder)
    expect(sorted(['B-10', 'B-9', 'B-100', 'A-2', 'B-1'])).toEqual(['A-2', 'B-1', 'B-9', 'B-10', 'B-100'])
    expect(sorted(['Q2/F09', 'Q10/F01', 'Q2/F10'])).toEqual(['Q2/F09', 'Q2/F10', 'Q10/F01'])
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 8 }), { minLength: 2 }), (tags) => {
        const all = sorted(tags)
        const [a = '', b = ''] = tags
        expect(Math.sign(tagOrder(a, b)) + Math.sign(tagOrder(b, a))).toBe(0)
        for (let i = 0; i < all.length; i++)
          for (let k = i + 1; k < all.length; k++)
            expect(tagOrder(all[i] as string, all[k] as string)).toBeLessThanOrEqual(0)
      }),
    )
  })
})
