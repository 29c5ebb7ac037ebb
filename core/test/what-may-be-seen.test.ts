import { storedEnergy } from '../src/index.js'
import { copperRatingBar, pprDesignMpa, pprStressMpa } from '../src/prove/test-plan/lasting.js'
import { steadyFromS } from '../src/prove/verdict/steady.js'
import { coverageOf, longestGapS, windowOf } from '../src/prove/verdict/window.js'
import { testSeries } from './test-series.js'

const series = (times: readonly number[]) =>
  testSeries(
    times.map((tS) => ({ tS, pressureBar: 9, temperatureC: 15 })),
    { stabiliseS: 600 },
  )
const every = (stepS: number, fromS: number, toS: number): number[] =>
  Array.from({ length: Math.floor((toS - fromS) / stepS) + 1 }, (_, i) => fromS + i * stepS)

describe('what of a test is judged', () => {
  it('from the first reading to the end of the hold, and a second more', () => {
    const seen = windowOf(series([0, 600, 4200, 4201, 4201.5, 5000])).readings
    expect(seen.map((r) => r.tS)).toEqual([0, 600, 4200, 4201])
  })
  it('a logger\u2019s own clock counts from its first reading', () => {
    const seen = windowOf(series([1000, 1600, 5200, 5202])).readings
    expect(seen.map((r) => r.tS)).toEqual([0, 600, 4200])
  })
  it('enough of the hold was read from three quarters on', () => {
    const lacks = (toS: number) => coverageOf(series(every(60, 0, toS)))
    expect(lacks(600 + 2700)).toEqual({ seenS: 2700, lacks: null })
    expect(lacks(600 + 2640)).toEqual({ seenS: 2640, lacks: 'short' })
    expect(lacks(600 + 3600)).toEqual({ seenS: 3600, lacks: null })
    expect(lacks(4201).seenS).toBe(3600)
    expect(coverageOf(series(every(60, 0, 500)))).toEqual({ seenS: 0, lacks: 'short' })
  })
  it('no single stretch goes unread for more than a quarter, at the beginning neither', () => {
    const [from, end] = [600, 4200]
    const gap = (aS: number, bS: number) =>
      coverageOf(series([...every(30, 0, end)].filter((t) => t <= aS || t >= bS))).lacks
    expect(longestGapS(3600)).toBe(900)
    expect([gap(1200, 2100), gap(1200, 2130)]).toEqual([null, 'gap'])
    // Nothing before the hold had begun for long: the first reading comes late.
    expect([gap(from - 30, from + 900), gap(from - 30, from + 930)]).toEqual([null, 'gap'])
    // Two quarters, neither of them too long by itself: less than three quarters seen only where the first is lost.
    expect(coverageOf(series(every(30, from + 900, end - 30))).lacks).toBe('gap')
  })
})

describe('from when a test runs steadily', () => {
  const test = { holdS: 3600, allowedDropBar: 0.2, resolutionBar: 0.001 }
  const course = (bar: (tS: number) => number) => every(30, 0, 3600).map((tS) => ({ tS, bar: bar(tS) }))
  it('from the first reading where it falls alike all along, or not at all', () => {
    expect(
      steadyFromS(
        course(() => 9),
        test,
      ),
    ).toBe(0)
    expect(
      steadyFromS(
        course((t) => 9 - (0.5 * t) / 3600),
        test,
      ),
    ).toBe(0)
  })
  it('from where it has come to rest', () => {
    const settles = steadyFromS(
      course((t) => 9 + Math.max(0, 1200 - t) / 1200),
      test,
    )
    expect(settles).toBeGreaterThanOrEqual(1080)
    expect(settles).toBeLessThan(1800)
  })
  it('not yet, where it falls faster and faster, or where there is too little to tell', () => {
    expect(
      steadyFromS(
        course((t) => 9 - (t / 3600) ** 2),
        test,
      ),
    ).toBeNull()
    expect(steadyFromS(course(() => 9).slice(0, 7), test)).toBeNull()
    expect(steadyFromS(course(() => 9).slice(0, 8), test)).toBe(0)
    expect(steadyFromS([], test)).toBeNull()
  })
})

describe('figures that step', () => {
  it('ASME PCC-2, from memory: the greater of 30 m (60 m above 135.5 MJ) and the cube root of twice the TNT', () => {
    const per = storedEnergy(1, 10).energyJ
    const at = (megajoule: number) => storedEnergy((megajoule * 1e6) / per, 10).distanceM
    const root = (megajoule: number) => 20 * Math.cbrt((2 * megajoule * 1e6) / 4_266_920)
    expect([at(1), at(7)]).toEqual([30, 30])
    for (const megajoule of [8, 135, 270, 600]) expect(at(megajoule)).toBeCloseTo(root(megajoule), 3)
    expect(storedEnergy(1, 0).energyJ).toBeCloseTo(0, 6)
  })
  it('ISO 15874-2, from memory: PP-R by its ductile branch when short, its brittle one when long and hot', () => {
    // The two branches meet; the lesser counts, so stress never rises with time.
    for (const c of [20, 60, 95])
      for (let h = 1; h < 5e5; h *= 3) expect(pprStressMpa(h * 3, c)).toBeLessThan(pprStressMpa(h, c))
    const knee = (c: number) => Math.log10(pprStressMpa(1000, c)) - Math.log10(pprStressMpa(10_000, c))
    expect(pprStressMpa(1, 20)).toBeGreaterThan(14)
    expect(knee(95)).toBeGreaterThan(knee(20))
  })
  it('PP-R: fifty years, above 70 °C twenty-five, above 80 °C none; below 20 °C as at 20 °C', () => {
    const at = (c: number) => pprDesignMpa(c).value
    expect(at(5)).toBe(at(20))
    expect(at(70)).toBeCloseTo(pprStressMpa(50 * 8760, 70) / 1.5, 2)
    expect(at(71)).toBeCloseTo(pprStressMpa(25 * 8760, 71) / 1.5, 2)
    expect([at(80) === null, at(80.5)]).toEqual([false, null])
  })
  it('copper by ASME B31, from memory: between rows the hotter counts, above the last there is none', () => {
    const bar = (c: number) => copperRatingBar(22, 1, c).value ?? NaN
    const [at100F, at150F, at400F] = [(100 - 32) / 1.8, (150 - 32) / 1.8, (400 - 32) / 1.8]
    expect(bar(20)).toBe(bar(at100F))
    expect(bar(at100F + 1) / bar(20)).toBeCloseTo(5100 / 6000, 6)
    expect(bar(at150F)).toBe(bar(at100F + 1))
    expect(bar(at400F) / bar(20)).toBeCloseTo(0.5, 6)
    expect(copperRatingBar(22, 1, at400F + 1).value).toBeNull()
    // A wall a tenth thinner than its name: 2 S t / (D - 0.8 t).
    expect(bar(20)).toBeCloseTo((2 * 6000 * 0.0689475729 * 0.9) / (22 - 0.72), 4)
  })
})
