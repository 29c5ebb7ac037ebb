import { type Sum, SUM_KINDS, drawnRound, fmt, sumOf } from '../src/index.js'

const all = (['metric', 'inch'] as const).flatMap((school) =>
  Array.from({ length: 300 }, (_, no) => ({ school, no, sum: sumOf(school, no) })),
)
const said = (sum: Sum, school: 'metric' | 'inch'): string[] =>
  sum.answers.map((answer) => {
    if (sum.as === 'length') return fmt.length(Number(answer), { units: school })
    return sum.as === 'temperature' ? fmt.temperature(Number(answer), { units: school }) : String(answer)
  })
const find = (kind: Sum['kind'], want: Partial<Sum['params']>) =>
  all.find(
    ({ sum }) => sum.kind === kind && Object.entries(want).every(([key, value]) => sum.params[key] === value),
  )?.sum
const right = (sum: Sum | undefined) => sum?.answers[sum.right]

describe('sums to do in the head', () => {
  it('every kind comes up; four answers that read differently, one of them right', () => {
    expect(new Set(all.map(({ sum }) => sum.kind))).toEqual(new Set(SUM_KINDS))
    for (const { school, sum } of all) {
      const texts = said(sum, school)
      expect([sum.kind, new Set(texts).size]).toEqual([sum.kind, 4])
      expect(sum.right).toBeGreaterThanOrEqual(0)
    }
  })
  it('worked out by hand: check mark, cut, clock face, travel, fall', () => {
    expect(right(find('check-mark', { depthMm: 38, offsetMm: 50 }))).toBe(88)
    expect(right(find('cut', { measuredMm: 640, takeOffMm: 34, insertionMm: 31 }))).toBe(634)
    // A mark at six, one and a quarter turns on: nine (common practice).
    expect(right(find('clock', { turns: 1.25 }))).toBe(9)
    expect(right(find('clock', { turns: 0.75 }))).toBe(3)
    expect(right(find('travel', { setMm: 300 }))).toBeCloseTo(424.26, 2)
    expect(right(find('fall', { runMm: 3200, one: 80 }))).toBe(40)
  })
  it('dew points as the WMO has them (No. 8, Magnus): 20 °C and 50 % is 9 °C', () => {
    expect(right(find('dew', { airC: 20, pct: 50 }))).toBe(9)
  })
  it('tins: 24 months from the day of the year, the last good day', () => {
    const tins = all.filter(({ sum }) => sum.kind === 'tin')
    for (const { sum } of tins) {
      const code = String(sum.params.code)
      const filled = new Date(Date.UTC(2000 + Number(code.slice(0, 2)), 0, Number(code.slice(2))))
      const end = new Date(Date.UTC(filled.getUTCFullYear() + 2, filled.getUTCMonth(), filled.getUTCDate()))
      expect(String(right(sum)).slice(0, 7)).toBe(
        filled.getUTCDate() === 29 && filled.getUTCMonth() === 1
          ? `${filled.getUTCFullYear() + 2}-02`
          : end.toISOString().slice(0, 7),
      )
    }
  })
  it('the same number is the same sum', () => expect(sumOf('inch', 12)).toEqual(sumOf('inch', 12)))
})

describe('drawn on round the pipe', () => {
  const once = Array.from({ length: 12 }, () => 1)
  it('once round is as it is done; nothing is none of it; twice round is twice as much', () => {
    expect(drawnRound('mean', once, 115)).toBe(115)
    expect(drawnRound('under', once, 97)).toBe(97)
    expect(drawnRound('even', once, 88)).toBe(100)
    expect(drawnRound('left', once, 1)).toBe(1)
    const none = once.map(() => 0)
    expect([drawnRound('mean', none, 115), drawnRound('left', none, 1)]).toEqual([0, 100])
    expect(
      drawnRound(
        'mean',
        once.map(() => 2),
        115,
      ),
    ).toBe(230)
  })
  it('the underside forgotten: 5 to 7 o\u2019clock', () => {
    const bare = once.map((n, hour) => (hour >= 5 && hour <= 7 ? 0 : n))
    expect(drawnRound('under', bare, 97)).toBe(0)
    expect(drawnRound('mean', bare, 100)).toBe(75)
    expect(drawnRound('left', bare, 1)).toBe(25)
    expect(drawnRound('even', bare, 88)).toBe(0)
  })
})
