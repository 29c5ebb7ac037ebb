import { doubtEntry, flagsOf, foldJob, jointFacts, recall, testsReadOn } from '../src/index.js'
import { type Log, SECTION, T0, joint, lineJob, uuid, walls } from './make-job.js'
import { GAUGE, putTool } from './store-help.js'

const DAY_S = 86_400
/** Two joints of one person, one of another, a day later. */
function made(): Log {
  const log = lineJob(2)
  walls(log, T0 - 3600, Array<number>(72).fill(20))
  log.make(joint(1), T0)
  log.make(joint(2), T0 + 3600)
  log.make(joint(3), T0 + DAY_S)
  return log
}
const judged = (log: Log, id: number) => {
  const facts = jointFacts(foldJob(log.events), joint(id), 'coldest', T0 + 2 * DAY_S)
  return [
    facts?.inspection?.verdict,
    facts?.inspection?.findings.find(({ code }) => code === 'joint-doubted')?.level,
  ]
}
const doubt = (log: Log, atS: number): unknown => {
  const found = recall(foldJob(log.events), { fromS: T0 - 1, toS: T0 + 2 * 3600 })
  const { kind, data } = doubtEntry(found, ' wet pipe that morning ')
  return log.put(kind, data, { atS })
}

describe('joints that were found are put in doubt in one act', () => {
  it('all that were found and no other, each until it is looked at again', () => {
    const log = made()
    expect([judged(log, 1), judged(log, 3)]).toEqual([
      ['pass', undefined],
      ['pass', undefined],
    ])
    doubt(log, T0 + DAY_S)
    expect([judged(log, 1), judged(log, 2), judged(log, 3)]).toEqual([
      ['unknown', 'warn'],
      ['unknown', 'warn'],
      ['pass', undefined],
    ])
    log.step(joint(1), 'judge', T0 + DAY_S + 600, { checkMm: 50, bead: 'all-round' })
    // Looked at since: said still, and no longer in doubt.
    expect([judged(log, 1), judged(log, 2)]).toEqual([
      ['pass', 'note'],
      ['unknown', 'warn'],
    ])
  })
  it('one made anew since is not the one that was doubted; one cut out before is not asked for', () => {
    const log = made()
    log.put('cut-out', { life: 1 }, { jointId: joint(1), atS: T0 + 1.2 * 3600 })
    const found = recall(foldJob(log.events), { fromS: T0 - 1, toS: T0 + 2 * 3600 })
    expect(doubtEntry(found, 'x').data.jointIds).toEqual([joint(2)])
    doubt(log, T0 + DAY_S)
    log.put('cut-out', { life: 1 }, { jointId: joint(2), atS: T0 + DAY_S + 60 })
    log.make(joint(2), T0 + DAY_S + 120, 2)
    expect(judged(log, 2)).toEqual(['pass', undefined])
  })
})
it('tests are found by the gauge they were read on, by its whole name', () => {
  const log = made()
  putTool(log)
  const begun = (n: number, gauge: string): unknown =>
    log.put(
      'test-begun',
      {
        testId: uuid(500 + n),
        sectionId: SECTION,
        bar: 9,
        medium: 'water',
        holdS: 3600,
        allowedDropBar: 0.2,
        resolutionBar: 0.05,
        gauge,
        tester: 'T',
      },
      { atS: T0 + n * DAY_S },
    )
  begun(1, 'G-1')
  begun(2, 'G-1, 0 to 25 bar')
  begun(3, 'G-12')
  const state = foldJob(log.events)
  const item = state.store.get(GAUGE)
  expect(item && testsReadOn(state, item).map(({ testId, verdict }) => [testId, verdict])).toEqual([
    [uuid(502), null],
    [uuid(501), null],
  ])
})

it('a test that was read on a gauge found wrong since says so for good, on its certificate too', () => {
  const log = made()
  putTool(log)
  const testId = uuid(501)
  const begun = {
    bar: 9,
    medium: 'water',
    holdS: 3600,
    allowedDropBar: 0.2,
    resolutionBar: 0.05,
    gauge: 'G-1',
  }
  log.put('test-begun', { testId, sectionId: SECTION, ...begun, tester: 'T' }, { atS: T0 + 5 * DAY_S })
  log.put('test-ended', { testId, verdict: 'held', reason: '' }, { atS: T0 + 5 * DAY_S + 7200 })
  const flagged = (fromS: number, toS?: number): unknown[] => {
    const found = { toolId: GAUGE, fromS, ...(toS === undefined ? {} : { toS }), says: 'reads 0.4 low' }
    const events = [...log.events]
    log.put('tool-found', found, { atS: T0 + 9 * DAY_S })
    const state = foldJob(log.events.splice(0, log.events.length, ...events))
    const test = state.tests.get(testId)
    return (test ? flagsOf(state, test) : []).filter(({ code }) => code === 'flag-gauge-wrong')
  }
  expect(flagged(T0 + 4 * DAY_S)).toEqual([
    { code: 'flag-gauge-wrong', params: { gauge: 'G-1', says: 'reads 0.4 low' } },
  ])
  // It was good until after that test, or again before it.
  expect([flagged(T0 + 6 * DAY_S), flagged(T0, T0 + 4 * DAY_S)]).toEqual([[], []])
})
