import fc from 'fast-check'
import { type TestSeries, judgeSeries } from '../src/index.js'
import { growthPerK, stretchPerBar, stuffOf } from '../src/prove/verdict/physics/pipe.js'
import { trappedBar } from '../src/prove/verdict/physics/trapped.js'
import { refused } from './reference/door.js'

const base: Omit<TestSeries, 'readings'> = {
  medium: 'water',
  pipeMaterial: 'carbon-steel',
  odMm: 114.3,
  wallMm: 6,
  axial: 'free',
  airPct: 0,
  volumeM3: 0.5,
  resolutionBar: 0.01,
  sensorErrorBar: 0.005,
  temperatureOf: 'medium',
  stabiliseS: 600,
  holdS: 3600,
  allowedDropBar: 0.2,
}
/** Readings each half minute, of a course of temperature and a leak in bar an hour. */
function series(
  more: Partial<TestSeries>,
  temperature: (t: number) => number,
  leakBarPerH: number,
): TestSeries {
  const s = { ...base, ...more }
  const stuff = stuffOf(s.pipeMaterial)
  if (!stuff) throw new Error('no such pipe')
  const trapped = {
    bar: 9,
    waterC: temperature(0),
    pipeC: temperature(0),
    air: (s.airPct ?? 0) / 100,
    growthPerK: growthPerK(stuff, s.axial ?? 'free'),
    stretchPerBar: stretchPerBar(stuff, s.odMm ?? 1, s.wallMm ?? 0.1, s.axial ?? 'free'),
  }
  const readings = Array.from({ length: 1 + (s.stabiliseS + s.holdS) / 30 }, (_, i) => {
    const tS = i * 30
    const c = temperature(tS)
    const bar =
      s.medium === 'water'
        ? trappedBar(trapped, c, c)
        : (10.01325 * (c + 273.15)) / (temperature(0) + 273.15) - 1.01325
    const p = bar - (leakBarPerH * tS) / 3600
    return { tS, pressureBar: Math.round(p * 100) / 100, temperatureC: Math.round(c * 100) / 100 }
  })
  return { ...s, readings }
}
const steady = (): number => 15
const wave = (t: number): number => 15 + 1.5 * Math.sin(t / 900)

describe('the verdict', () => {
  it('a gauge that shows one figure is no row that wanders, at whatever moments it was read', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 930, max: 1100 }), { minLength: 13, maxLength: 20 }),
        fc.constantFrom('pvc-u' as const, 'copper' as const, 'abs' as const),
        fc.constantFrom(0.01, 0.05),
        (stepsMs, pipeMaterial, resolutionBar) => {
          let ms = 0
          const times = [0, ...stepsMs.map((step) => (ms += step))]
          const readings = times.map((t) => ({ tS: t / 1000, pressureBar: 9, temperatureC: 14 }))
          const hold = { stabiliseS: 0, holdS: 12, allowedDropBar: 0.3, airPct: 0.2, volumeM3: 0.0002 }
          const { verdict, cause, parts } = judgeSeries({
            ...base,
            ...hold,
            pipeMaterial,
            odMm: 20,
            wallMm: 1.5,
            resolutionBar,
            readings,
          })
          expect(cause).not.toBe('noise')
          expect(parts.scatter).toBeLessThan(0.15)
          if (resolutionBar < 0.05) expect(verdict).toBe('held')
        },
      ),
      { numRuns: 150, seed: 11 },
    ))
  it('steady and tight: held; four times the allowance: lost, with its rate', () => {
    expect(judgeSeries(series({}, steady, 0))).toMatchObject({ verdict: 'held', moreTimeS: 0, cause: null })
    const lost = judgeSeries(series({}, steady, 0.8))
    expect(lost).toMatchObject({ verdict: 'lost', mostly: 'leak' })
    expect(lost.correctedDropBar).toBeCloseTo(0.8, 1)
    // 0.8 bar of 500 l, of water (46e-6 a bar) in steel that gives some 1e-5: about 0.02 l.
    expect(lost.leakRateLPerH).toBeGreaterThan(0.015)
    expect(lost.leakRateLPerH).toBeLessThan(0.03)
  })
  it('a swing of 3 K in steel moves the pressure by bars and is not called a leak', () => {
    const j = judgeSeries(series({ stabiliseS: 0 }, wave, 0))
    expect(Math.abs(j.rawDropBar ?? 0)).toBeGreaterThan(0.5)
    expect(j.verdict).not.toBe('lost')
    expect(Math.abs(j.correctedDropBar ?? 9)).toBeLessThan((j.uncertaintyBar ?? 0) + 0.01)
  })
  it('the sign flips: warming lowers cool PVC-U, and that is not a leak; in steel it would be a rise', () => {
    const warming = (t: number): number => 9 + (t / 3600) * 2
    const plastic = judgeSeries(series({ pipeMaterial: 'pvc-u', odMm: 110, wallMm: 5.3 }, warming, 0))
    expect(plastic.barPerK).toBeLessThan(0)
    expect(plastic.rawDropBar).toBeGreaterThan(0.2)
    expect(plastic.verdict).not.toBe('lost')
    expect(judgeSeries(series({}, warming, 0)).barPerK).toBeGreaterThan(0.5)
  })
  it('a leak behind warming steel is not called held', () => {
    const j = judgeSeries(series({}, (t) => 12 + (t / 4200) * 0.6, 0.8))
    expect(j.rawDropBar).toBeLessThan(0.2)
    expect(j.verdict).not.toBe('held')
  })
  it('gas by its law: 1 K is no leak', () => {
    const gas: Partial<TestSeries> = { medium: 'air', allowedDropBar: 0.05, resolutionBar: 0.001 }
    const j = judgeSeries(series(gas, (t) => 20 - t / 4200, 0))
    expect(j.rawDropBar).toBeGreaterThan(0.025)
    expect(j.verdict).toBe('held')
    expect(judgeSeries(series(gas, (t) => 20 - t / 4200, 0.2)).verdict).toBe('lost')
  })
  it('what the physics needs and nobody said, is asked for; it does not matter where it is steady', () => {
    const blind = { wallMm: null, axial: null }
    const s = series({}, wave, 0)
    expect(judgeSeries({ ...s, ...blind })).toMatchObject({ verdict: 'inconclusive', lacking: 'wallMm' })
    expect(judgeSeries({ ...series({}, steady, 0), ...blind }).verdict).toBe('held')
  })
  it('without temperatures there is no verdict', () =>
    expect(
      judgeSeries({
        ...series({}, steady, 0),
        readings: series({}, steady, 0).readings.map((r) => ({ ...r, temperatureC: null })),
      }),
    ).toMatchObject({ verdict: 'inconclusive', lacking: 'temperature' }))
  it('an hour asked for and half seen: go on for the rest', () => {
    const s = series({}, steady, 0)
    const j = judgeSeries({ ...s, readings: s.readings.filter((r) => r.tS <= 2400) })
    expect(j).toMatchObject({ verdict: 'inconclusive', cause: 'short', moreTimeS: 1800 })
  })
  it('a sensor that stands still while the temperature must move it is not believed', () => {
    const s = series({ stabiliseS: 0 }, wave, 0)
    const j = judgeSeries({ ...s, readings: s.readings.map((r) => ({ ...r, pressureBar: 9 })) })
    expect(j).toMatchObject({ verdict: 'inconclusive', cause: 'stuck' })
  })
  it('a joint that lets go in the middle is lost, although no straight line fits it', () => {
    const s = series({}, steady, 0)
    const j = judgeSeries({
      ...s,
      readings: s.readings.map((r) => (r.tS > 3000 ? { ...r, pressureBar: 2 } : r)),
    })
    expect(j.verdict).toBe('lost')
  })
  it('held, lost and inconclusive follow from the fall and its doubt, whatever is read', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.double({ min: 5, max: 12, noNaN: true }), fc.double({ min: 5, max: 30, noNaN: true })),
          {
            minLength: 3,
            maxLength: 60,
          },
        ),
        fc.constantFrom('carbon-steel', 'pvc-u', 'copper', 'pp-r'),
        fc.constantFrom('medium' as const, 'wall' as const, 'air' as const),
        (rows, pipeMaterial, temperatureOf) => {
          const readings = rows.map(([pressureBar, temperatureC], i) => ({
            tS: i * 100,
            pressureBar,
            temperatureC,
          }))
          const j = judgeSeries({
            ...base,
            pipeMaterial,
            temperatureOf,
            airPct: null,
            stabiliseS: 0,
            holdS: 600,
            readings,
          })
          if (j.verdict === 'held') {
            expect((j.correctedDropBar as number) + (j.uncertaintyBar as number)).toBeLessThanOrEqual(
              base.allowedDropBar,
            )
            expect(readings.at(-1)?.tS).toBeGreaterThanOrEqual(599)
          }
          // Lost obeys its own numbers too.
          if (j.verdict === 'lost')
            expect((j.correctedDropBar as number) - (j.uncertaintyBar as number)).toBeGreaterThan(
              base.allowedDropBar,
            )
          if (j.verdict === 'inconclusive') expect(j.cause).not.toBeNull()
          else expect(j.moreTimeS).toBe(0)
          for (const n of [j.correctedDropBar, j.uncertaintyBar, j.rawDropBar])
            if (n !== null) expect(Number.isFinite(n)).toBe(true)
        },
      ),
      { numRuns: 80 },
    )
  })
  it('only the hold is judged: a tail that was let off, and a clock that began elsewhere, change nothing', () => {
    const s = series({}, steady, 0)
    const plain = judgeSeries(s)
    const last = s.readings.at(-1) as TestSeries['readings'][number]
    const tail = [1, 2, 3, 40].map((k) => ({
      ...last,
      tS: last.tS + 30 * k,
      pressureBar: Math.max(0, 9 - 3 * k),
    }))
    expect(judgeSeries({ ...s, readings: [...s.readings, ...tail] })).toEqual(plain)
    const late = s.readings.map((r) => ({ ...r, tS: r.tS + 1e6 }))
    expect(judgeSeries({ ...s, readings: late })).toEqual(plain)
  })
  it('less than three quarters of the hold, or a gap of more than a quarter: at most inconclusive', () => {
    const s = series({}, steady, 0.8)
    const upTo = (share: number) => s.readings.filter((r) => r.tS <= 600 + share * 3600)
    expect(judgeSeries({ ...s, readings: upTo(0.7) })).toMatchObject({
      verdict: 'inconclusive',
      cause: 'short',
    })
    expect(judgeSeries({ ...s, readings: upTo(0.8) }).verdict).toBe('lost')
    const gap = s.readings.filter((r) => r.tS < 1500 || r.tS > 1500 + 0.3 * 3600)
    expect(judgeSeries({ ...s, readings: gap })).toMatchObject({ verdict: 'inconclusive', cause: 'gap' })
  })
  it('pressure that comes back is somebody pumping: never held, and said', () => {
    const s = series({}, steady, 0.8)
    const pumped = s.readings.map((r) => ({
      ...r,
      pressureBar: r.pressureBar + Math.floor(r.tS / 900) * 0.2,
    }))
    const j = judgeSeries({ ...s, readings: pumped })
    expect(j).toMatchObject({ verdict: 'inconclusive', cause: 'pressure-restored' })
    expect(j.reasons.map((r) => r.code)).toEqual(['pressure-restored'])
    // Warming water is not somebody pumping.
    const warm = judgeSeries(series({}, (t) => 12 + t / 4200, 0))
    expect(warm.reasons).toEqual([])
  })
  it('one wild reading, one temperature that no pipe makes: set aside, named, and they decide nothing', () => {
    const s = series({}, steady, 0)
    const spoil = (more: (r: TestSeries['readings'][number]) => object) =>
      judgeSeries({ ...s, readings: s.readings.map((r, i) => (i === 70 ? { ...r, ...more(r) } : r)) })
    const wild = spoil(() => ({ pressureBar: 0 }))
    expect(wild).toMatchObject({ verdict: 'held', reasons: [{ code: 'outlier', count: 1 }] })
    const hot = spoil(() => ({ temperatureC: 85 }))
    expect(hot).toMatchObject({ verdict: 'held', reasons: [{ code: 'temperature-jump', count: 1 }] })
    const often = judgeSeries({
      ...s,
      readings: s.readings.map((r, i) => (i % 12 === 0 ? { ...r, pressureBar: r.pressureBar - 2 } : r)),
    })
    expect(often).toMatchObject({ verdict: 'inconclusive', cause: 'outlier' })
  })
  it('a sensor that falls off its pipe for half of the test is not followed', () => {
    const s = series({}, steady, 0)
    const off = s.readings.map((r) => (r.tS > 2400 ? { ...r, temperatureC: 2 } : r))
    expect(judgeSeries({ ...s, readings: off })).toMatchObject({
      verdict: 'inconclusive',
      cause: 'temperature-jump',
    })
  })
  it('a plastic never gives way backwards: what it does not give is not called a leak', () => {
    const s = series({ pipeMaterial: 'pp-r', odMm: 75, wallMm: 10.3 }, steady, 0)
    const j = judgeSeries(s)
    expect(j.verdict).not.toBe('lost')
    expect(Math.abs(j.correctedDropBar ?? 9)).toBeLessThanOrEqual(j.uncertaintyBar ?? 0)
  })
  it('a coarser gauge or a longer drift never makes it surer', () => {
    const s = series({}, steady, 0.05)
    let last = 0
    for (const sensorErrorBar of [0, 0.05, 0.1, 0.3]) {
      const u = judgeSeries({ ...s, sensorErrorBar }).uncertaintyBar as number
      expect(u).toBeGreaterThan(last)
      last = u
    }
    expect(judgeSeries({ ...s, sensorErrorBar: 0.3 }).verdict).toBe('inconclusive')
  })
  it('time that runs backwards is named by its reading', () => {
    const s = series({}, steady, 0)
    const readings = [...s.readings.slice(0, 10), { tS: 5, pressureBar: 9, temperatureC: 15 }]
    expect(refused('test-verdict', { ...s, readings })).toBe('bad-input readings[10].tS')
  })
})
