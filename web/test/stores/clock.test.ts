import { jest } from '@jest/globals'
import { device, newPage } from './browser'

jest.useFakeTimers({ now: 1_790_000_000_000 })
const { useClock } = await import('../../src/stores/clock')
/** A round trip: asked now, answered after some time, by a server that is ahead. */
function hear(clock: ReturnType<typeof useClock>, aheadS: number, tookMs: number): void {
  const sentAt = Date.now()
  jest.advanceTimersByTime(tookMs)
  clock.heard((sentAt + tookMs / 2) / 1000 + aheadS, sentAt, Date.now())
}
/** The page that was is gone, and its timers with it. */
function loadAnew(): void {
  jest.clearAllTimers()
  newPage()
}
beforeEach(() => {
  device.removeItem('jugalis-clock')
  jest.setSystemTime(1_790_000_000_000)
  loadAnew()
})

it('goes by the server\u2019s time once it was heard, and knows how long that took', () => {
  const clock = useClock()
  expect([clock.offsetS, clock.lastHeard()]).toEqual([0, null])
  hear(clock, 90, 400)
  expect(clock.offsetS).toBeCloseTo(90, 3)
  expect(clock.nowS).toBeCloseTo(Date.now() / 1000 + 90, 3)
  expect([clock.roundTripS, clock.lastHeard()?.roundTripS]).toEqual([0.4, 0.4])
})
it('an answer older than its question, since the clock was put back on the way, says nothing', () => {
  const clock = useClock()
  clock.heard(1_790_005_000, Date.now(), Date.now() - 5000)
  expect([clock.offsetS, clock.lastHeard()]).toEqual([0, null])
})
it('put back, its time goes on all the same; the server is asked at once', () => {
  const clock = useClock()
  const asked = jest.fn()
  clock.whenParted(asked)
  hear(clock, 0, 100)
  const before = clock.nowS
  jest.setSystemTime(Date.now() - 3_600_000)
  jest.advanceTimersByTime(1000)
  expect(asked).toHaveBeenCalledTimes(1)
  expect(clock.nowS).toBeCloseTo(before + 1, 0)
})
it('put forward, or asleep: it cannot tell which, and asks', () => {
  const clock = useClock()
  const asked = jest.fn()
  clock.whenParted(asked)
  jest.advanceTimersByTime(1000)
  expect(asked).not.toHaveBeenCalled()
  jest.setSystemTime(Date.now() + 3_600_000)
  jest.advanceTimersByTime(1000)
  expect(asked).toHaveBeenCalledTimes(1)
  expect(clock.nowS).toBeCloseTo(Date.now() / 1000, 0)
})
it('a page loaded anew goes on from what the one before kept', () => {
  const first = useClock()
  hear(first, 90, 200)
  jest.advanceTimersByTime(5000)
  const { life, steadyS } = first.moment()
  loadAnew()
  const next = useClock()
  expect(next.offsetS).toBeCloseTo(90, 3)
  expect(next.moment().life).toBe(life)
  // It is kept each second; what passed since is not counted.
  expect(next.moment().steadyS).toBeGreaterThanOrEqual(steadyS - 1)
})
it.each([['{"wallS": 1}'], ['no json'], ['{"wallS":"x","steadyS":1,"life":"l"}']])(
  'what was kept and cannot be read (%s) begins a life of its own',
  (kept) => {
    device.setItem('jugalis-clock', kept)
    const clock = useClock()
    expect(clock.offsetS).toBe(0)
    expect(clock.moment().life).toMatch(/^[\da-f-]{36}$/)
  },
)
it('where nothing can be kept it tells the time all the same', () => {
  device.broken = true
  const clock = useClock()
  hear(clock, 30, 100)
  jest.advanceTimersByTime(2000)
  device.broken = false
  expect(clock.nowS).toBeCloseTo(Date.now() / 1000 + 30, 0)
})
