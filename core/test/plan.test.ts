import fc from 'fast-check'
import {
  type JointFacts,
  backward,
  foldJob,
  jointFacts,
  latestHome,
  readyIfHome,
  shiftOf,
} from '../src/index.js'
import { type Log, T0, joint, lineJob, uuid, walls } from './make-job.js'

const H = 3600
const factsOf = (log: Log, n: number, atS = T0, mode: 'coldest' | 'accumulate' = 'coldest'): JointFacts =>
  jointFacts(foldJob(log.events), joint(n), mode, atS) as JointFacts
const allOf = (log: Log, count: number, atS: number): JointFacts[] =>
  Array.from({ length: count }, (_, i) => factsOf(log, i + 1, atS))

describe('backward in time', () => {
  it('one hour per bar: home nine hours before a test at 9 bar', () => {
    const log = lineJob(1)
    walls(log, T0 - H, Array<number>(3).fill(14))
    expect(latestHome(factsOf(log, 1), 9, T0 + 24 * H, T0)).toBe(T0 + 15 * H)
    expect(latestHome(factsOf(log, 1), 9, T0 + 8 * H, T0)).toBeNull()
  })
  it('a property: home at the latest is in time, home a minute later is not', () => {
    const temperature = fc.integer({ min: 11, max: 30 })
    fc.assert(
      fc.property(
        fc.array(temperature, { minLength: 3, maxLength: 30 }),
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 60 }),
        fc.constantFrom('coldest' as const, 'accumulate' as const),
        (walls_, bar, hours, mode) => {
          const log = lineJob(1)
          walls(log, T0 - H, walls_)
          const f = factsOf(log, 1, T0, mode)
          const byS = T0 + hours * H
          const last = latestHome(f, bar, byS, T0)
          if (last === null) expect(readyIfHome(f, T0, bar) ?? Infinity).toBeGreaterThan(byS)
          else {
            expect(readyIfHome(f, last, bar) ?? Infinity).toBeLessThanOrEqual(byS)
            expect(readyIfHome(f, last + 60, bar) ?? Infinity).toBeGreaterThan(byS)
          }
        },
      ),
      { numRuns: 60 },
    )
  })
  it('names the order, what comes too late at this pace, and what is made and will not be ready', () => {
    const log = lineJob(3)
    walls(log, T0 - 30 * H, Array<number>(31).fill(14))
    log.make(joint(1), T0 - H)
    const plan = backward(allOf(log, 6, T0), 9, T0 + 10 * H, T0, 1800)
    expect(plan.lateMade).toEqual([])
    expect(plan.lastByS).toBe(T0 + H)
    expect(plan.order.map((j) => j.tag)).toEqual(['Q-2', 'Q-3', 'Q-4', 'Q-5', 'Q-6'])
    expect(plan.tooLate.map((j) => j.tag)).toEqual(['Q-4', 'Q-5', 'Q-6'])
    const sooner = backward(allOf(log, 6, T0), 9, T0 + 7 * H, T0, 1800)
    expect(sooner.lateMade).toEqual([expect.objectContaining({ tag: 'Q-1' })])
    expect(sooner.order.every((j) => j.latestS === null)).toBe(true)
  })
})

describe('the handing over of a shift', () => {
  it('names what is half made, not pressed, not to be touched, failed, hot, in force', () => {
    const log = lineJob(4)
    walls(log, T0 - H, Array<number>(3).fill(14))
    log.make(joint(1), T0 - 170)
    log.step(joint(2), 'fit', T0 - 300)
    log.step(joint(3), 'fit', T0 - 90)
    log.step(joint(3), 'cement', T0 - 60)
    log.make(joint(4), T0 - 900, 1, 60)
    const section = log.events.find((e) => e.kind === 'section-set')?.data.sectionId
    log.put('section-state', { sectionId: section, state: 'under pressure' })
    log.put('tool-set', { toolId: uuid(700), kind: 'heat-blanket', name: 'HB-1', matches: {} })
    log.put('tool-said', { toolId: uuid(700), what: 'blanket', result: 'on', atS: T0 - 3000 })
    log.put('permit-set', { what: 'hot-work', number: 'HW-3', fromS: T0 - 60, untilS: T0 + H })
    const state = foldJob(log.events)
    const facts = allOf(log, 8, T0)
    const shift = shiftOf(state, facts, T0)
    expect(shift.halfMade.map((x) => [x.facts.tag, x.lastStep, x.byS !== null])).toEqual([
      ['Q-2', 'fit', false],
      ['Q-3', 'cement', true],
    ])
    expect(shift.dontTouch.map((x) => x.facts.tag)).toEqual(['Q-1'])
    expect(shift.failed.map((f) => f.tag)).toEqual(['Q-4'])
    expect(shift.sections.map((s) => s.tag)).toEqual(['Q-A'])
    expect(shift.blanketsOn.map((b) => b.tool.name)).toEqual(['HB-1'])
    expect(shift.permits.map((p) => p.number)).toEqual(['HW-3'])
    log.put('tool-said', { toolId: uuid(700), what: 'blanket', result: 'off', atS: T0 - 10 })
    expect(shiftOf(foldJob(log.events), facts, T0).blanketsOn).toEqual([])
  })
})
