import { type TestSeries, judgeSeries } from '../src/index.js'
import { withoutOutliers } from '../src/prove/verdict/outliers.js'
import { testSeries } from './test-series.js'

/** A quiet test of an hour, a reading each half minute; what is done to single readings is said. */
function quiet(change: (i: number) => Partial<{ bar: number; c: number | null }> = () => ({})): TestSeries {
  const readings = Array.from({ length: 121 }, (_, i) => {
    const { bar = 9 + 0.002 * Math.sin(i * 2.3), c = 15 + 0.01 * Math.sin(i * 1.7) } = change(i)
    return { tS: i * 30, pressureBar: bar, temperatureC: c }
  })
  return testSeries(readings)
}
const left = (series: TestSeries) => withoutOutliers(series)

describe('readings that are set aside', () => {
  it('one that stands far from both its sides, up or down, and no other', () => {
    for (const off of [-3, 3]) {
      const cleaned = left(quiet((i) => (i === 40 ? { bar: 9 + off } : {})))
      expect([cleaned.outliers, cleaned.jumps, cleaned.tooMany]).toEqual([1, 0, false])
      expect(cleaned.series.readings).toHaveLength(120)
      expect(cleaned.series.readings.some((r) => r.tS === 40 * 30)).toBe(false)
    }
    expect(left(quiet()).outliers).toBe(0)
  })
  it('at the very ends there is one side too few to tell: what stands there stays', () => {
    for (const at of [0, 1, 119, 120])
      expect([at, left(quiet((i) => (i === at ? { bar: 12 } : {}))).outliers]).toEqual([at, 0])
    expect(left(quiet((i) => (i === 2 ? { bar: 12 } : {}))).outliers).toBe(1)
    expect(left(quiet((i) => (i === 118 ? { bar: 12 } : {}))).outliers).toBe(1)
  })
  it('a step is no outlier: the pressure stands elsewhere from there on', () => {
    expect(left(quiet((i) => (i > 60 ? { bar: 8.5 + 0.002 * Math.sin(i * 2.3) } : {}))).outliers).toBe(0)
  })
  it('more than one in twenty are too many to believe the rest', () => {
    const each = (nth: number) => left(quiet((i) => (i % nth === 5 ? { bar: 12 } : {}))).tooMany
    expect([each(25), each(12)]).toEqual([false, true])
  })
  it('a thermometer that jumps once loses that reading; one that stays away, the shorter side', () => {
    const once = left(quiet((i) => (i === 50 ? { c: 45 } : {})))
    expect([once.jumps, once.outliers, once.tooMany]).toEqual([1, 0, false])
    expect(once.series.readings[50]).toMatchObject({ temperatureC: null, pressureBar: expect.closeTo(9, 1) })
    const away = left(quiet((i) => (i >= 118 ? { c: 45 } : {})))
    expect([away.jumps, away.outliers]).toEqual([3, 0])
    expect(left(quiet((i) => (i >= 60 ? { c: 45 } : {}))).tooMany).toBe(true)
  })
  it('a probe held in the hand and put back loses that while, and no more', () => {
    const held = quiet((i) => (i >= 50 && i < 53 ? { c: 33 } : {}))
    const cleaned = left(held)
    expect([cleaned.jumps, cleaned.outliers, cleaned.tooMany]).toEqual([3, 0, false])
    const judged = judgeSeries(held)
    expect([judged.verdict, judged.reasons]).toEqual(['held', [{ code: 'temperature-jump', count: 3 }]])
    // Before the longest stretch as well as behind it, and twice over.
    const early = left(quiet((i) => ((i >= 8 && i < 11) || (i >= 100 && i < 102) ? { c: 33 } : {})))
    expect(early.jumps).toBe(5)
    expect(early.series.readings[5]?.temperatureC).toBeCloseTo(15, 1)
    expect(early.series.readings[110]?.temperatureC).toBeCloseTo(15, 1)
  })
  it('put back somewhere else, only the longer side is believed', () => {
    const moved = left(quiet((i) => (i < 40 ? {} : i < 43 ? { c: 33 } : { c: 20 })))
    expect([moved.jumps, moved.tooMany]).toEqual([43, true])
  })
  it('a wall in the sun warms by so much at once, and no more', () => {
    const jumps = (k: number, of: TestSeries['temperatureOf']) =>
      left({ ...quiet((i) => ({ c: i >= 100 ? 15 + k : 15 })), temperatureOf: of }).jumps
    // Of pipe and medium 2 K and 0.02 K each second between two readings: 2.6 K here; of air 10 K and 0.05: 11.5.
    expect([jumps(2.59, 'medium'), jumps(2.7, 'medium'), jumps(2.7, 'wall')]).toEqual([0, 21, 21])
    expect([jumps(11.49, 'air'), jumps(11.6, 'air')]).toEqual([0, 21])
  })
})

describe('a rise that nothing explains', () => {
  const drift = (perHour: number) => judgeSeries(quiet((i) => ({ bar: 9 + (perHour * i) / 120 })))
  const reasons = (j: ReturnType<typeof judgeSeries>) => j.reasons.map((r) => r.code)
  it('slow as it is, it is told: nothing was held while somebody pumped', () => {
    const risen = drift(0.5)
    expect([risen.verdict, risen.cause, reasons(risen)]).toEqual([
      'inconclusive',
      'pressure-restored',
      ['pressure-restored'],
    ])
  })
  it('a fall as great is lost, and no rise; none at all is held', () => {
    const fallen = drift(-0.5)
    expect([fallen.verdict, reasons(fallen)]).toEqual(['lost', []])
    expect([drift(0).verdict, reasons(drift(0))]).toEqual(['held', []])
  })
})
