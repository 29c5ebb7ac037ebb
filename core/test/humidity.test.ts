import { GAP_S, historyOf } from '../src/conditions/history.js'
import { dampOf, withDamp } from '../src/conditions/humidity.js'

const H = 3600
const T0 = 1_790_000_000
const at = (hours: number, value: number) => ({ atS: T0 + hours * H, value })
/** Damp or dry at some hours after T0. */
const seen = (readings: { atS: number; value: number }[], planning: boolean, ...hours: number[]) =>
  hours.map((h) => dampOf(readings, planning).findLast((d) => d.fromS <= T0 + h * H)?.humid)

describe('damp and dry air over a cure', () => {
  it('what nobody read counts as damp; the damper end counts between two readings', () => {
    expect(seen([], false, 0, 5)).toEqual([true, true])
    const read = [at(0, 50), at(1, 55), at(2, 75), at(3, 50), at(4, 60)]
    expect(seen(read, false, -1, 0.5, 1.5, 2.5, 3.5, 4.5)).toEqual([true, false, true, true, false, false])
  })
  it('readings over two hours apart leave the time between unknown for signing off, not for planning', () => {
    const read = [at(0, 50), at(10, 50)]
    expect(seen(read, false, 5, 10.5)).toEqual([true, false])
    expect(seen(read, true, 5, 10.5)).toEqual([false, false])
  })
  it('after the last reading the damper of the last two is held on', () => {
    const read = [at(0, 70), at(1, 50)]
    expect(seen(read, true, 1.5, 1 + GAP_S / H + 0.1)).toEqual([false, true])
  })
  it('goes along with the temperatures of its place, at every change of either', () => {
    const both = withDamp(
      historyOf([at(0, 12), at(1, 12), at(2, 8)]),
      dampOf([at(0, 50), at(0.5, 50), at(1.5, 80), at(2, 40), at(2.5, 40)], false),
    )
    const of = (h: number) => both.findLast((s) => s.fromS <= T0 + h * H)
    expect([of(0.2)?.humid, of(1)?.humid, of(2.2)?.humid]).toEqual([false, true, false])
    expect([of(0.2)?.minC, of(1.2)?.minC, of(2)?.minC]).toEqual([12, 8, 8])
    expect([...both].sort((a, b) => a.fromS - b.fromS)).toEqual(both)
  })
})
