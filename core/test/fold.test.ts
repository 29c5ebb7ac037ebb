import fc from 'fast-check'
import {
  type JobEvent,
  canonical,
  foldFrom,
  foldJob,
  foldOn,
  inOrder,
  jointFacts,
  readEvents,
  readToFold,
  sectionAnswer,
} from '../src/index.js'
import { anyEvents, logOf, plain } from './any-log.js'
import { JOB, type Log, PLACE, SECTION, T0, joint, lineJob, walls } from './make-job.js'

describe('fold', () => {
  it('never throws, whatever well-formed events it gets, and neither does what is read from it', () =>
    fc.assert(
      fc.property(anyEvents, fc.integer({ min: -1000, max: 200_000 }), (raw, later) => {
        const state = foldJob(logOf(raw))
        for (let n = 1; n <= 4; n++)
          for (const mode of ['coldest', 'accumulate'] as const) jointFacts(state, joint(n), mode, T0 + later)
        sectionAnswer(state, SECTION, T0 + later)
      }),
      { numRuns: 300 },
    ))
  it('gives the same state for any order of delivery and any doubling of the same events', () =>
    fc.assert(
      fc.property(
        anyEvents,
        fc.infiniteStream(fc.nat()),
        fc.array(fc.nat(), { maxLength: 10 }),
        (raw, keys, doubles) => {
          const events = logOf(raw)
          const order = [...keys.take(events.length)]
          const shuffled = events
            .map((e, i) => [order[i] ?? 0, i, e] as const)
            .sort((a, b) => a[0] - b[0] || b[1] - a[1])
            .map((x) => x[2])
          const doubled = [...shuffled, ...doubles.map((d) => events[d % events.length] as JobEvent)]
          expect(plain(foldJob(doubled))).toBe(plain(foldJob(events)))
        },
      ),
      { numRuns: 300 },
    ))
  it('reads stored bodies back whole, and for the fold alone to the same state', () =>
    fc.assert(
      fc.property(anyEvents, (raw) => {
        const events = logOf(raw)
        const bodies = events.map(canonical)
        expect(readEvents(bodies)).toEqual(JSON.parse(JSON.stringify(events)))
        expect(plain(foldJob(readToFold(bodies)))).toBe(plain(foldJob(readEvents(bodies))))
      }),
    ))
  it('goes on from any entry to the same state as from the first, and leaves what it had as it was', () => {
    let wentOn = 0
    fc.assert(
      fc.property(anyEvents, fc.array(fc.nat(), { minLength: 1, maxLength: 4 }), (raw, cuts) => {
        // Mostly as logs are: what comes later happened later.
        const events = logOf(raw.map((r, i) => (r.ref % 5 ? { ...r, atS: 1000 + i * 30 } : r)))
        const ends = [...cuts.map((n) => n % events.length), events.length].sort((a, b) => a - b)
        let folded = foldFrom(events.slice(0, ends[0]))
        let at = ends[0] as number
        for (const end of ends.slice(1)) {
          const before = plain(folded.state)
          const next = foldOn(folded, events.slice(at, end))
          expect(plain(folded.state)).toBe(before)
          if (next && end > at) wentOn++
          folded = next ?? foldFrom(events.slice(0, end))
          at = end
          expect(plain(folded.state)).toBe(plain(foldJob(events.slice(0, end))))
        }
      }),
      { numRuns: 500 },
    )
    // Most of them can be gone on from: else nothing would have been looked at.
    expect(wentOn).toBeGreaterThan(100)
  })
  it('going on, what an entry does not touch stays the very object it was', () => {
    const log = lineJob(3)
    log.make(joint(1), T0)
    log.make(joint(2), T0 + 300)
    const had = foldFrom(log.events)
    log.step(joint(2), 'judge', T0 + 900, { checkMm: 51 })
    const state = foldOn(had, log.events.slice(-1))?.state
    expect(state?.joints.get(joint(2))).not.toBe(had.state.joints.get(joint(2)))
    expect(state?.joints.get(joint(1))).toBe(had.state.joints.get(joint(1)))
    expect(state?.lines).toBe(had.state.lines)
  })
  it('does not go on with an entry that counts before others, corrects one, or is waited for', () => {
    const log = lineJob(1)
    const later = '00000000-0000-4000-8000-00000000abcd'
    log.put(
      'reading',
      { placeId: PLACE, what: 'wall', basis: 'typed', atS: T0, value: 9 },
      { atS: T0, after: [later] },
    )
    const had = foldFrom(log.events)
    const next = (kind: string, data: Record<string, unknown>, o: { atS: number; id?: string }) => {
      log.put(kind, data, o)
      return foldOn(had, log.events.slice(-1))
    }
    const wall = { placeId: PLACE, what: 'wall', basis: 'typed', atS: T0, value: 9 }
    expect(next('reading', wall, { atS: T0 + 5 })).not.toBeNull()
    expect(next('reading', wall, { atS: T0 - 5 })).toBeNull()
    expect(next('reading', { ...wall, supersedes: later }, { atS: T0 + 5 })).toBeNull()
    expect(next('correction', { target: later, undo: true }, { atS: T0 + 5 })).toBeNull()
    // What they take back among themselves touches nothing before.
    const wrong = log.put('reading', { ...wall, value: 99 }, { atS: T0 + 6 })
    log.put('correction', { target: wrong, undo: true }, { atS: T0 + 7 })
    expect(foldOn(had, log.events.slice(-2))?.state.readings.get(PLACE)?.wall).toHaveLength(1)
    expect(next('reading', wall, { atS: T0 + 5, id: later })).toBeNull()
  })
  it('puts no event before one its device had seen', () =>
    fc.assert(
      fc.property(anyEvents, (raw) => {
        // Without loops: an event names only earlier ones.
        const events = logOf(raw.map((r, i) => ({ ...r, after: r.after.filter((a) => a < i) })))
        const place = new Map(inOrder(events).map((e, i) => [e.id, i]))
        for (const e of events)
          for (const a of e.after)
            if (place.has(a)) expect(place.get(a)).toBeLessThan(place.get(e.id) as number)
      }),
      { numRuns: 200 },
    ))
})

describe('one joint, one life', () => {
  const made = (log: Log) => jointFacts(foldJob(log.events), joint(1), 'coldest', T0 + 10_000)
  it('a second home of another person counts the later one for the dwell', () => {
    const log = lineJob(1)
    log.make(joint(1), T0)
    log.step(joint(1), 'home', T0 + 130, {}, 1, 2)
    expect(made(log)?.homeAtS).toBe(T0 + 130)
  })
  it('a step without the one before it earns no credit and shows the notch', () => {
    const log = lineJob(1)
    log.step(joint(1), 'home', T0)
    expect(made(log)?.homeAtS).toBeNull()
    expect(made(log)?.doubtful).toBe(1)
  })
  it('cut out and made again keeps both lives; a late entry for the first becomes a note', () => {
    const log = lineJob(1)
    log.make(joint(1), T0, 1, 54)
    expect(made(log)?.inspection?.verdict).toBe('fail')
    log.put('cut-out', { life: 1 }, { atS: T0 + 500, jointId: joint(1) })
    log.step(joint(1), 'judge', T0 + 600, { checkMm: 50 }, 1, 2)
    log.make(joint(1), T0 + 1000, 2)
    const f = made(log)
    expect(f?.past.map((l) => l.no)).toEqual([1])
    expect(f?.life?.no).toBe(2)
    expect(f?.inspection?.verdict).toBe('pass')
    expect(f?.notes.map((n) => n.says.code)).toEqual(['note-after-cut-out'])
  })
  it('undo takes back, undo of the undo brings back, an earlier time moves the clocks', () => {
    const log = lineJob(1)
    log.make(joint(1), T0)
    const judged = log.events.at(-1)?.id as string
    const undo = log.put('correction', { target: judged, undo: true }, { atS: T0 + 200 })
    expect(made(log)?.inspection?.unread).toContain('checkMm')
    log.put('correction', { target: undo, undo: true }, { atS: T0 + 210 })
    expect(made(log)?.inspection?.verdict).toBe('pass')
    const home = log.events.find((e) => e.data.step === 'home')?.id as string
    log.put('correction', { target: home, undo: false, atS: T0 + 90 }, { atS: T0 + 220 })
    expect(made(log)?.homeAtS).toBe(T0 + 90)
  })
  it('an entry made from memory counts from the latest time it names', () => {
    const log = lineJob(1)
    walls(log, T0 - 600, [15, 15])
    log.step(joint(1), 'fit', T0)
    log.step(joint(1), 'cement', T0 + 10)
    log.put(
      'step-done',
      { life: 1, step: 'home', readings: {}, shown: [], earliestS: T0 + 20, latestS: T0 + 2420 },
      { atS: T0 + 5000, jointId: joint(1) },
    )
    expect(made(log)?.homeAtS).toBe(T0 + 2420)
    expect(made(log)?.inspection?.findings.every((f) => f.level === 'note')).toBe(true)
  })
  it('times inside an entry are corrected like the entry itself', () => {
    const log = lineJob(1)
    log.put(
      'reading',
      { placeId: PLACE, what: 'wall', basis: 'typed', atS: T0 - 3600, value: 12 },
      { atS: T0 },
    )
    const last = log.events.at(-1) as JobEvent
    last.occurredAtS = T0 + 7200 // the device was two hours slow
    expect(foldJob(log.events).readings.get(PLACE)?.wall).toMatchObject([{ atS: T0 + 3600, value: 12 }])
  })
  it('a superseded reading and a forecast do not count', () => {
    const log = lineJob(1)
    const wrong = log.put('reading', { placeId: PLACE, what: 'wall', basis: 'typed', atS: T0, value: 99 })
    log.put('reading', {
      placeId: PLACE,
      what: 'wall',
      basis: 'typed',
      atS: T0,
      value: 9.9,
      supersedes: wrong,
    })
    log.put('reading', { placeId: PLACE, what: 'wall', basis: 'forecast', atS: T0 + 60, value: -5 })
    expect(foldJob(log.events).readings.get(PLACE)?.wall).toMatchObject([{ atS: T0, value: 9.9 }])
  })
  it('the windows: cement open too long is judged as missed, a tap shortly after the limit is asked', () => {
    const at = (homeAfter: number) => {
      const log = lineJob(1)
      walls(log, T0 - 3600, [15, 15, 15])
      log.step(joint(1), 'fit', T0)
      log.step(joint(1), 'cement', T0 + 10)
      log.step(joint(1), 'home', T0 + 10 + homeAfter)
      log.step(joint(1), 'judge', T0 + 700, { checkMm: 50, bead: 'all-round' })
      return made(log)?.inspection
    }
    expect(at(240)?.verdict).toBe('pass')
    expect(at(248)?.findings.map((f) => f.code)).toEqual(['window-asked'])
    expect(at(301)?.findings.map((f) => f.code)).toEqual(['window-missed'])
    expect(at(301)?.verdict).toBe('fail')
  })
  it('letting go early ends the hold, moves no clock and leaves the joint in doubt', () => {
    const log = lineJob(1)
    walls(log, T0 - 3600, [15, 15, 15])
    log.step(joint(1), 'fit', T0)
    log.step(joint(1), 'cement', T0 + 10)
    log.step(joint(1), 'home', T0 + 245)
    log.put('interrupted', { life: 1, what: 'let-go-early' }, { atS: T0 + 255, jointId: joint(1) })
    log.step(joint(1), 'judge', T0 + 300, { checkMm: 50, bead: 'all-round' })
    expect(made(log)?.homeAtS).toBe(T0 + 245)
    expect(made(log)?.clocks.find((c) => c.shows === 'hold')?.untilS.value).toBe(T0 + 255)
    expect(made(log)?.inspection?.findings.map((f) => f.code)).toEqual(['let-go-early'])
    expect(made(log)?.inspection?.verdict).toBe('unknown')
  })
  it('every event belongs to this job', () =>
    expect(lineJob(1).events.every((e) => e.jobId === JOB)).toBe(true))
})
