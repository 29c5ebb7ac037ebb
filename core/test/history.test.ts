import { type HistoryRow, foldJob, jointHistory } from '../src/index.js'
import { type Log, SECTION, T0, joint, lineJob, uuid, walls } from './make-job.js'
import { putTool } from './store-help.js'

const TEST = {
  sectionId: SECTION,
  bar: 9,
  medium: 'water',
  holdS: 60,
  allowedDropBar: 0.2,
  resolutionBar: 0.05,
}
const historyOf = (log: Log, n: number): HistoryRow[] =>
  jointHistory(log.events, foldJob(log.events), joint(n))
const told = (log: Log, n: number): string[] =>
  historyOf(log, n).map(({ kind, step, gone }) => [kind, step, gone ? 'gone' : ''].filter(Boolean).join(' '))

describe('what happened to a joint', () => {
  it('is told by when it was, of this joint alone', () => {
    const log = lineJob(1)
    walls(log, T0 - 3600, Array<number>(40).fill(20))
    log.make(joint(1), T0)
    log.make(joint(2), T0 + 60)
    log.put('joints-doubted', { jointIds: [joint(2)], says: 'wet' }, { atS: T0 + 5000 })
    log.put('test-begun', { ...TEST, testId: uuid(500), gauge: 'G', tester: 'T' }, { atS: T0 + 9000 })
    log.put('test-ended', { testId: uuid(500), verdict: 'held', reason: '' }, { atS: T0 + 9100 })
    log.put('cut-out', { life: 1, reason: 'crooked' }, { jointId: joint(1), atS: T0 + 9200 })
    const steps = told(log, 1).filter((row) => row.startsWith('step-done'))
    expect(steps.length).toBeGreaterThan(2)
    expect(told(log, 1).slice(steps.length)).toEqual(['test-begun', 'test-ended', 'cut-out'])
    expect(told(log, 2).slice(-3)).toEqual(['joints-doubted', 'test-begun', 'test-ended'])
    const rows = historyOf(log, 1)
    expect(rows.map(({ atS }) => atS)).toEqual(rows.map(({ atS }) => atS).sort((a, b) => a - b))
    expect(rows.find(({ kind }) => kind === 'test-ended')).toMatchObject({
      answer: 'held',
      bar: 9,
      section: 'Q-A',
    })
    expect(rows.at(-1)).toMatchObject({ says: 'crooked', life: 1 })
  })
  it('what was taken back stays readable, with who did so and that it was brought back', () => {
    const log = lineJob(1)
    const id = log.step(joint(1), 'fit', T0)
    const back = log.put(
      'correction',
      { target: id, undo: true, reason: 'wrong joint' },
      { atS: T0 + 60, who: 2 },
    )
    expect(told(log, 1)).toEqual(['step-done fit gone'])
    expect(historyOf(log, 1)[0]?.amended).toMatchObject([
      { what: 'taken-back', reason: 'wrong joint', atS: T0 + 60, by: log.events.at(-1)?.actorId },
    ])
    log.put('correction', { target: back, undo: true, reason: '' }, { atS: T0 + 120 })
    expect(told(log, 1)).toEqual(['step-done fit'])
    expect(historyOf(log, 1)[0]?.amended.map(({ what }) => what)).toEqual(['taken-back', 'brought-back'])
    log.put('correction', { target: id, undo: false, atS: T0 - 600, reason: '' }, { atS: T0 + 180 })
    expect(historyOf(log, 1)[0]?.amended.at(-1)).toMatchObject({ what: 'moved', toS: T0 - 600 })
  })
  it('corrections that correct each other, or themselves, are told and nothing more', () => {
    const log = lineJob(1)
    const id = log.step(joint(1), 'fit', T0)
    const [one, other] = [uuid(901), uuid(902)]
    for (const [own, target] of [
      [one, other],
      [other, one],
      [uuid(903), uuid(903)],
      [uuid(904), id],
    ]) {
      log.put('correction', { target, undo: true, reason: '' }, { atS: T0 + 60 })
      Object.assign(log.events.at(-1) ?? {}, { id: own })
    }
    log.put('correction', { target: uuid(904), undo: true, reason: '' }, { atS: T0 + 70 })
    Object.assign(log.events.at(-1) ?? {}, { id: uuid(905) })
    log.put('correction', { target: uuid(905), undo: true, reason: '' }, { atS: T0 + 80 })
    Object.assign(log.events.at(-1) ?? {}, { id: uuid(904) })
    expect(historyOf(log, 1)[0]?.amended.length).toBeGreaterThan(0)
  })
  it('steps told for several at once are there one by one; a thing found wrong since is told where it was used', () => {
    const log = lineJob(1)
    putTool(log, { toolId: uuid(700), kind: 'press-tool', name: 'PT-1' })
    log.put('batch-done', {
      joints: [1, 2].map((n) => ({ jointId: joint(n), life: 1 })),
      basis: 'memory',
      steps: [
        { step: 'fit', readings: {} },
        { step: 'cement', readings: {} },
      ],
      fromS: T0,
      toS: T0 + 100,
    })
    log.put(
      'step-done',
      { life: 1, step: 'home', readings: {}, toolIds: [uuid(700)] },
      { atS: T0 + 200, jointId: joint(1) },
    )
    log.put('tool-found', { toolId: uuid(700), fromS: T0, says: 'cracked' }, { atS: T0 + 9000 })
    expect(told(log, 1)).toEqual(['step-done fit', 'step-done cement', 'step-done home', 'tool-found'])
    expect(told(log, 2)).toEqual(['step-done fit', 'step-done cement'])
    expect(historyOf(log, 1).map(({ fromMemory, things }) => [fromMemory, ...things])).toEqual([
      [true],
      [true],
      [false, 'PT-1'],
      [false, 'PT-1'],
    ])
  })
})
