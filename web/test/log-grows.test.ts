import fc from 'fast-check'
import { type JobEvent, foldJob } from '@jugalis/core'
import { anyEvents, logOf, plain } from '../../core/test/any-log'
import { T0, joint, lineJob } from '../../core/test/make-job'
import { foldAsItGrows } from '../src/sync/job-log'

const HOUR_S = 3600

describe('a log that grows', () => {
  it('a property: whatever comes, late, taken back or not yet sent, the state is that of all of it', () =>
    fc.assert(
      fc.property(anyEvents, fc.array(fc.integer({ min: 0, max: 3 }), { maxLength: 30 }), (raw, steps) => {
        // Over a day, some of it hours late.
        const events = logOf(raw.map((r, i) => ({ ...r, atS: i * 2000 + (r.ref % 7 ? 0 : -r.atS / 10) })))
        const fold = foldAsItGrows()
        let at = 5
        for (const step of steps) {
          const known = events.slice(0, at)
          const pending = events.slice(at, at + step)
          const all = [...known, ...pending]
          expect(plain(fold(known, pending).state)).toBe(plain(foldJob(all)))
          at += step
        }
      }),
      { numRuns: 200 },
    ))
  it('another log is folded from its own beginning', () => {
    const fold = foldAsItGrows()
    const [one, other] = [lineJob(2), lineJob(3)]
    one.make(joint(1), T0)
    expect(plain(fold(one.events, []).state)).toBe(plain(foldJob(one.events)))
    expect(plain(fold(other.events, []).state)).toBe(plain(foldJob(other.events)))
    expect(plain(fold([], one.events).state)).toBe(plain(foldJob(one.events)))
  })
  it('what an entry does not touch stays the same, also where it came late or was taken back', () => {
    const log = lineJob(3)
    log.make(joint(1), T0)
    log.make(joint(2), T0 + 3 * HOUR_S)
    log.step(joint(3), 'fit', T0 + 3 * HOUR_S + 600)
    const fold = foldAsItGrows()
    const first = fold(log.events, []).state
    const unharmed = (events: readonly JobEvent[]) => {
      const { state } = fold(events, [])
      expect(plain(state)).toBe(plain(foldJob(events)))
      expect(state.lines).toBe(first.lines)
      expect(state.joints.get(joint(1))).toBe(first.joints.get(joint(1)))
      return state
    }
    log.step(joint(3), 'cement', T0 + 3 * HOUR_S + 700)
    expect(unharmed(log.events).joints.get(joint(2))).toBe(first.joints.get(joint(2)))
    const late = log.step(joint(2), 'judge', T0 + 3 * HOUR_S + 650, { checkMm: 51 })
    unharmed(log.events)
    log.put('correction', { target: late, undo: true }, { atS: T0 + 3 * HOUR_S + 900 })
    unharmed(log.events)
  })
})
