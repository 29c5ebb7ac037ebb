import fc from 'fast-check'
import { type Heard, type Moment, placed } from '../src/sync/placing'

/** A device: true time goes on; its wall clock is set forward and back; its steady clock stands still while it sleeps. */
class Device {
  trueS = 1_790_000_000
  private wallOff: number
  private steadyS = 1000
  private life = 'a'
  heard: Heard | null = null
  constructor(wallOffS: number) {
    this.wallOff = wallOffS
  }
  moment(): Moment {
    return { wallS: this.trueS + this.wallOff, steadyS: this.steadyS, life: this.life }
  }
  wait(s: number): void {
    this.trueS += s
    this.steadyS += s
  }
  /** The device sleeps, or the page is closed: time goes on, the steady clock does not. */
  sleep(s: number): void {
    this.trueS += s
  }
  jump(s: number): void {
    this.wallOff += s
  }
  /** The store was emptied while the page was closed: the steady clock begins a life of its own. */
  forget(): void {
    this.life += "'"
    this.steadyS = 0
    this.heard = null
  }
  hear(roundTripS: number): void {
    this.wait(roundTripS)
    this.heard = { ...this.moment(), serverS: this.trueS - roundTripS / 2 + roundTripS / 2, roundTripS }
  }
}
interface Written {
  trueS: number
  at: Moment
  before: Heard | null
}
const act = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.record({
      do: fc.constant('wait' as const),
      s: fc.double({ min: 0, max: 3600, noNaN: true }),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant('sleep' as const),
      s: fc.double({ min: 6, max: 40_000, noNaN: true }),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant('jump' as const),
      s: fc.double({ min: -9000, max: 9000, noNaN: true }),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant('hear' as const),
      s: fc.double({ min: 0.01, max: 2, noNaN: true }),
    }),
  },
  { weight: 5, arbitrary: fc.record({ do: fc.constant('write' as const), s: fc.constant(0) }) },
)

/**
 * Clocks that were set and set back, or slept just as long as they were set back, to within seconds, look as if nothing
 * had been done to them: nobody can tell that from the outside.
 */
function cancels(acts: readonly { do: string; s: number }[]): boolean {
  const near = (of: readonly string[]): boolean => {
    const moves = acts.filter((a) => of.includes(a.do))
    return moves.some((_, i) =>
      moves.slice(i).some((__, n) => {
        const part = moves.slice(i, i + n + 1)
        return part.some((a) => a.do === 'jump') && Math.abs(part.reduce((sum, a) => sum + a.s, 0)) < 11
      }),
    )
  }
  return near(['jump']) || near(['jump', 'sleep'])
}

describe('entries are placed when they were made, whatever the clocks do', () => {
  it('forward jumps, jumps back, sleeps, spells without signal, in any order: the truth lies within the stated error', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -5000, max: 5000, noNaN: true }),
        fc.array(act, { minLength: 2, maxLength: 14 }),
        (wallOffS, acts) => {
          fc.pre(!cancels(acts))
          const d = new Device(wallOffS)
          let open: Written[] = []
          const check = (): void => {
            for (const w of open) {
              const p = placed(w.at, w.before, d.heard)
              // Never earlier than the truth by more than it says …
              expect(p.atS + p.errorS).toBeGreaterThanOrEqual(w.trueS - 0.01)
              // … nor later, where the server was heard before: a clock put back in a longer sleep, before anybody
              // was ever heard, leaves no trace of how far. Nobody writes before signing in.
              if (w.before) expect(p.atS - p.errorS).toBeLessThanOrEqual(w.trueS + 0.01)
            }
            open = []
          }
          for (const a of [...acts, { do: 'hear' as const, s: 0.2 }]) {
            if (a.do === 'write') open.push({ trueS: d.trueS, at: d.moment(), before: d.heard })
            else if (a.do === 'hear') {
              d.hear(a.s)
              check()
            } else d[a.do](a.s)
          }
        },
      ),
      { numRuns: 4000 },
    ))
  const made = (d: Device): Written => ({ trueS: d.trueS, at: d.moment(), before: d.heard })
  const lateBy = (w: Written, d: Device): [number, number] => {
    const p = placed(w.at, w.before, d.heard)
    return [Math.round(p.atS - w.trueS), Math.round(p.errorS)]
  }
  it('written without signal, then the clock is put forward by two hours: kept at its time (once two hours early)', () => {
    const d = new Device(0)
    d.hear(0.1)
    d.wait(600)
    const w = made(d)
    d.wait(300)
    d.jump(7200)
    d.wait(300)
    d.hear(0.1)
    expect(lateBy(w, d)).toEqual([0, 0])
  })
  it('a night in the pocket before and after is a sleep, and costs no certainty', () => {
    const d = new Device(-40)
    d.hear(0.1)
    d.sleep(5000)
    d.wait(20)
    const w = made(d)
    d.sleep(30_000)
    d.hear(0.1)
    expect(lateBy(w, d)[0]).toBe(0)
    expect(lateBy(w, d)[1]).toBeLessThanOrEqual(6)
  })
  it('a page that begins a new life without signal knows its entries by the wall clock once it hears the server', () => {
    const d = new Device(90)
    d.hear(0.1)
    d.forget()
    d.wait(60)
    const w = made(d)
    d.wait(60)
    d.hear(0.1)
    expect(lateBy(w, d)).toEqual([0, 0])
  })
})
