import fc from 'fast-check'
import { foldJob, glanceOf, namedInJob, nextOf, sectionAnswer, urgencyOf, waitsFor } from '../src/index.js'
import { type Log, SECTION, T0, joint, lineJob, uuid, walls } from './make-job.js'

const H = 3600
/** What matters next, as kinds with what they speak of. */
const seen = (log: Log, takenS: number, readS = takenS): string[] =>
  nextOf(glanceOf(foldJob(log.events), takenS), readS).map((thing) => {
    const of = 'joint' in thing ? thing.joint?.tag : 'section' in thing ? thing.section.tag : ''
    const count = 'count' in thing ? thing.count : ''
    return [thing.kind, of, count].filter((word) => word !== '').join(' ')
  })
const WORK = [
  (log: Log, n: number, atS: number) => log.make(joint(n), atS),
  (log: Log, n: number, atS: number) => log.step(joint(n), 'fit', atS),
  (log: Log, n: number, atS: number) => {
    log.step(joint(n), 'fit', atS)
    log.step(joint(n), 'cement', atS + 30)
  },
  // A mark that stands wrong.
  (log: Log, n: number, atS: number) => log.make(joint(n), atS, 1, 60),
]

describe('a job at a glance', () => {
  it('says what matters next, the most pressing first', () => {
    const log = lineJob(3)
    walls(log, T0 - H, Array<number>(3).fill(14))
    expect(seen(log, T0)).toEqual(['nearest Q-A 6', 'not-made 6'])
    log.step(joint(1), 'fit', T0 - 600)
    log.step(joint(2), 'fit', T0 - 90)
    log.step(joint(2), 'cement', T0 - 60)
    log.make(joint(3), T0 - 900, 1, 60)
    log.make(joint(4), T0 - 3000)
    log.put('tool-set', { toolId: uuid(700), kind: 'press-tool', name: 'PT-1', matches: {} })
    log.put('tool-proof', { toolId: uuid(700), good: false, how: 'slug', atS: T0 - 10 })
    expect(seen(log, T0)).toEqual([
      'window Q-2',
      'failed Q-3 1',
      'tool 1',
      'begun Q-1 1',
      'nearest Q-A 4',
      'not-made 4',
    ])
    // Read later, the same glance knows that the window has ended.
    expect(seen(log, T0, T0 + 2 * H)[0]).toBe('late Q-2')
    const state = foldJob(log.events)
    const ready = sectionAnswer(state, SECTION, T0)?.joints.map(({ readyAtS }) => readyAtS ?? 0) ?? []
    // Not before the last of those that are home is ready; of the failed one nobody says when.
    expect(ready.filter((atS) => atS > T0)).toHaveLength(1)
    expect(glanceOf(state, T0).sections[0]?.notBeforeS).toBeNull()
    expect(nextOf(glanceOf(state, T0), T0).map(({ pressing }) => pressing)).toEqual([
      true,
      true,
      true,
      false,
      false,
      false,
    ])
  })
  it('of a section: a time, then that it may; under test; lost; proved', () => {
    const log = lineJob(1)
    walls(log, T0 - 30 * H, Array<number>(60).fill(14))
    log.make(joint(1), T0 - 2 * H)
    const [half] = glanceOf(foldJob(log.events), T0).sections
    expect(half?.stage).toBe('unmade')
    expect(half?.notBeforeS).toBe(sectionAnswer(foldJob(log.events), SECTION, T0)?.joints[0]?.readyAtS)
    log.make(joint(2), T0 - 26 * H)
    const readyAtS = sectionAnswer(foldJob(log.events), SECTION, T0)?.readyAtS ?? 0
    expect(readyAtS).toBeGreaterThan(T0)
    expect(seen(log, T0)).toEqual(['ready-from Q-A'])
    expect(seen(log, T0, readyAtS - 1)).toEqual(['ready-from Q-A'])
    expect(seen(log, T0, readyAtS)).toEqual(['ready Q-A'])
    const test = (id: string, atS: number) =>
      log.put(
        'test-begun',
        {
          testId: id,
          sectionId: SECTION,
          bar: 9,
          medium: 'water',
          holdS: 600,
          allowedDropBar: 0.2,
          resolutionBar: 0.05,
          gauge: 'G-1',
          tester: 'Wren',
        },
        { atS },
      )
    const ended = (id: string, verdict: string, atS: number) =>
      log.put('test-ended', { testId: id, verdict }, { atS })
    test(uuid(50), readyAtS + 60)
    expect(seen(log, readyAtS + 90)).toEqual(['runs Q-A'])
    expect(waitsFor(glanceOf(foldJob(log.events), readyAtS + 90), { personId: 'x', name: 'Wren' })).toBe(true)
    ended(uuid(50), 'lost', readyAtS + 700)
    expect(seen(log, readyAtS + 800)).toEqual(['lost Q-A'])
    test(uuid(51), readyAtS + 900)
    ended(uuid(51), 'held', readyAtS + 1600)
    expect(seen(log, readyAtS + 1700)).toEqual(['all-proved 1'])
  })
  it('of nothing, and of joints that no section holds', () => {
    const log = lineJob(1)
    const first = log.events.slice(0, 2)
    expect(nextOf(glanceOf(foldJob(first), T0), T0).map(({ kind }) => kind)).toEqual(['nothing'])
    walls(log, T0 - 9 * H, Array<number>(12).fill(14))
    log.make(joint(1), T0 - 8 * H)
    log.make(joint(2), T0 - 8 * H)
    const bare = foldJob(log.events.filter(({ kind }) => kind !== 'section-set'))
    expect(nextOf(glanceOf(bare, T0), T0).map(({ kind }) => kind)).toEqual(['not-sectioned'])
  })
  it('a property: what it says by the clock is what a glance taken then says; it survives JSON', () => {
    const work = fc.record({
      n: fc.integer({ min: 1, max: 6 }),
      how: fc.constantFrom(...WORK),
      agoS: fc.integer({ min: 0, max: 12 * H }),
    })
    fc.assert(
      fc.property(
        fc.uniqueArray(work, { selector: ({ n }) => n, maxLength: 6 }),
        fc.integer({ min: 0, max: 600 }),
        (works, laterS) => {
          const log = lineJob(3)
          walls(log, T0 - 24 * H, Array<number>(48).fill(14))
          for (const { n, how, agoS } of works) how(log, n, T0 - agoS - 200)
          expect(seen(log, T0, T0 + laterS)).toEqual(seen(log, T0 + laterS))
          const glance = glanceOf(foldJob(log.events), T0)
          const kept = JSON.parse(JSON.stringify(glance)) as typeof glance
          expect(nextOf(kept, T0)).toEqual(nextOf(glance, T0))
          const ranks = nextOf(glance, T0).map(({ rank }) => rank)
          expect(ranks).toEqual([...ranks].sort((one, other) => one - other))
          expect(urgencyOf(glance, T0)[0]).toBe(ranks[0])
        },
      ),
      { numRuns: 60 },
    )
  })
  it('waits for who began a joint and left it, and for nobody else', () => {
    const log = lineJob(1)
    log.step(joint(1), 'fit', T0 - 60)
    const glance = glanceOf(foldJob(log.events), T0)
    expect(waitsFor(glance, { personId: uuid(800_001), name: 'A' })).toBe(true)
    expect(waitsFor(glance, { personId: uuid(800_002), name: 'B' })).toBe(false)
  })
})

describe('what has a name in a job', () => {
  it('is every line, part, joint, section, test and thing of the store, once', () => {
    const log = lineJob(2)
    log.put('tin-set', { tinId: uuid(600), plastic: 'pvc-u', code: 'T-7', expiresOn: '2027-01-01' })
    log.put('tool-set', { toolId: uuid(700), kind: 'press-tool', name: 'PT-1', matches: {} })
    const begun = { sectionId: SECTION, bar: 9, medium: 'water', holdS: 3600, allowedDropBar: 0.2 }
    for (const n of [1, 2])
      log.put('test-begun', {
        ...begun,
        testId: uuid(500 + n),
        resolutionBar: 0.05,
        gauge: 'G-1',
        tester: 'T',
      })
    const named = namedInJob(foldJob(log.events))
    const by = (kind: string): string[] => named.filter((one) => one.kind === kind).map(({ label }) => label)
    expect(by('line')).toEqual(['Q'])
    expect(by('joint')).toEqual(['Q-1', 'Q-2', 'Q-3', 'Q-4'])
    expect([by('piece'), by('fitting')]).toEqual([
      ['P0', 'P1'],
      ['F01', 'F2', 'F3'],
    ])
    expect([by('section'), by('thing')]).toEqual([['Q-A'], ['T-7', 'PT-1']])
    expect(named.filter(({ kind }) => kind === 'test').map(({ label, more }) => [label, more])).toEqual([
      ['Q-A', 'G-1 2026-09-21'],
      ['Q-A', 'G-1 2026-09-21'],
    ])
    expect(new Set(named.map(({ kind, ref }) => `${kind} ${ref}`)).size).toBe(named.length)
  })
})
