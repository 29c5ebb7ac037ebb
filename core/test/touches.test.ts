import { allPieces, cutOutTouches, foldJob, jointFacts, msg, readingSaid, toolTouches } from '../src/index.js'
import { type Log, SECTION, T0, joint, lineJob, uuid } from './make-job.js'

const CLAMP = { method: 'sanitary-clamp', material: 'stainless', size: 'DN 40' }
function jobOf(how: Record<string, unknown> = {}): Log {
  const log = lineJob(2, { size: (how.size as string | undefined) ?? 'd63' })
  const line = log.events.find((e) => e.kind === 'line-set')
  if (line) line.data = { ...line.data, ...how }
  return log
}
const codes = (log: Log, n: number) => {
  const t = cutOutTouches(foldJob(log.events), joint(n))
  return { says: t.says.map((m) => m.code), withIt: t.withIt.map((j) => j.tag) }
}
const cutOf = (log: Log, tag: string) => allPieces(foldJob(log.events)).find((p) => p.item.tag === tag)?.isCut

describe('what cutting a joint out touches', () => {
  it('a cemented one: its pipe, its fitting, and what is made in that fitting or at the other end', () => {
    const log = jobOf()
    for (const n of [1, 2, 3]) log.make(joint(n), T0)
    // Joints 2 and 3 share the fitting between the pieces; joint 1 is at the other end of the first piece.
    expect(codes(log, 2)).toEqual({
      says: ['touches-piece', 'touches-other-end', 'touches-fitting'],
      withIt: ['Q-3'],
    })
    expect(codes(log, 4)).toEqual({
      says: ['touches-piece', 'touches-other-end', 'touches-fitting'],
      withIt: [],
    })
  })
  it('proofs and signatures that stood on it', () => {
    const log = jobOf()
    for (const n of [1, 2, 3, 4]) log.make(joint(n), T0)
    const testId = uuid(600)
    log.put('test-begun', {
      testId,
      sectionId: SECTION,
      bar: 9,
      medium: 'water',
      holdS: 600,
      allowedDropBar: 0.2,
      resolutionBar: 0.1,
      tester: 'Wren',
    })
    log.put('test-ended', { testId, verdict: 'held', dropBar: 0 })
    log.put('signed', { what: 'job', refId: uuid(1), statement: 'Handed over.' })
    expect(codes(log, 1).says.slice(-2)).toEqual(['touches-proof', 'touches-signature'])
  })
  it('a clamp: nothing is lost, and a piece stays cut', () => {
    const log = jobOf(CLAMP)
    log.put('piece-cut', { itemId: uuid(30), cutMm: 800 }, { atS: T0 - 100 })
    log.step(joint(1), 'parts', T0)
    expect(codes(log, 1)).toEqual({ says: ['touches-nothing-lost'], withIt: [] })
    log.put('cut-out', { life: 1 }, { jointId: joint(1), atS: T0 + 50 })
    expect(cutOf(log, 'P0')).toBe(true)
  })
})

it('a piece whose end is gone is no longer cut, until it is cut anew', () => {
  const log = jobOf()
  log.put('piece-cut', { itemId: uuid(30), cutMm: 800 }, { atS: T0 - 100 })
  log.make(joint(1), T0)
  expect(cutOf(log, 'P0')).toBe(true)
  const out = log.put('cut-out', { life: 1 }, { jointId: joint(1), atS: T0 + 500 })
  expect([cutOf(log, 'P0'), cutOf(log, 'P1')]).toEqual([false, false])
  log.put('piece-cut', { itemId: uuid(30), cutMm: 810 }, { atS: T0 + 900 })
  expect(cutOf(log, 'P0')).toBe(true)
  // Taking the cutting out back leaves the piece as it was.
  log.put('correction', { target: out, undo: true })
  expect(cutOf(log, 'P0')).toBe(true)
})

it('a tool that was wrong touches what it made since', () => {
  const log = jobOf()
  const tool = uuid(700)
  for (const [n, atS] of [
    [1, T0],
    [2, T0 + 1000],
  ] as const)
    log.put('step-done', { life: 1, step: 'fit', readings: {}, toolIds: [tool] }, { jointId: joint(n), atS })
  const since = (s: number) => toolTouches(foldJob(log.events), tool, s).joints
  expect(since(T0 - 1)).toEqual(['Q-1', 'Q-2'])
  expect(since(T0 + 500)).toEqual(['Q-2'])
  expect(since(T0 + 2000)).toEqual([])
})

describe('what a tool that was wrong touches', () => {
  const [tool, other] = [uuid(700), uuid(701)]
  const used = (log: Log, n: number, atS: number, id = tool, life = 1) =>
    log.put('step-done', { life, step: 'fit', readings: {}, toolIds: [id] }, { jointId: joint(n), atS })
  const touched = (log: Log, sinceS: number) => toolTouches(foldJob(log.events), tool, sinceS)
  const proved = (log: Log, verdict: 'held' | 'lost') => {
    const testId = uuid(600)
    const plan = { bar: 9, medium: 'water', holdS: 600, allowedDropBar: 0.2, resolutionBar: 0.1 }
    log.put('test-begun', { testId, sectionId: SECTION, ...plan, tester: 'Wren' })
    log.put('test-ended', { testId, verdict, dropBar: 0 })
  }
  it('what was done at that very moment counts; what another tool did does not', () => {
    const log = jobOf()
    used(log, 1, T0)
    used(log, 2, T0 + 10, other)
    expect([touched(log, T0).joints, touched(log, T0 + 1).joints]).toEqual([['Q-1'], []])
  })
  it('a joint that was cut out is touched no more, the one made in its place is where it made that too', () => {
    const log = jobOf()
    used(log, 1, T0)
    log.put('cut-out', { life: 1 }, { jointId: joint(1), atS: T0 + 50 })
    expect(touched(log, T0 - 1).joints).toEqual([])
    used(log, 1, T0 + 100, tool, 2)
    expect(touched(log, T0 - 1).joints).toEqual(['Q-1'])
  })
  it('of several steps of a joint one with that tool is enough', () => {
    const log = jobOf()
    used(log, 1, T0, other)
    used(log, 1, T0 + 20)
    expect(touched(log, T0 + 10).joints).toEqual(['Q-1'])
  })
  it('the proofs that stand on one of its joints, and no others', () => {
    const log = jobOf()
    used(log, 1, T0)
    expect(touched(log, T0).sections).toEqual([])
    proved(log, 'lost')
    expect(touched(log, T0).sections).toEqual([])
    const held = jobOf()
    used(held, 1, T0)
    proved(held, 'held')
    expect(touched(held, T0).sections).toEqual([foldJob(held.events).sections.get(SECTION)?.tag])
    // Made by another tool, or before: its proof stands.
    expect(touched(held, T0 + 1).sections).toEqual([])
  })
})

it('a life that reaches back before the one before it was cut out leaves a doubt', () => {
  const verdict = (secondAtS: number) => {
    const log = jobOf()
    log.make(joint(1), T0)
    log.put('cut-out', { life: 1 }, { jointId: joint(1), atS: T0 + 5000 })
    log.make(joint(1), T0 + 6000, 2)
    const fit = log.events.find((e) => e.data.step === 'fit' && e.data.life === 2)
    log.put('correction', { target: fit?.id, undo: false, atS: secondAtS }, { atS: T0 + 7000 })
    const seen = jointFacts(foldJob(log.events), joint(1), 'coldest', T0 + 8000)?.inspection
    return [seen?.verdict, seen?.findings.some((f) => f.code === 'life-overlaps')]
  }
  expect(verdict(T0 + 5500)).toEqual(['pass', false])
  expect(verdict(T0 + 4000)).toEqual(['unknown', true])
})

it('the joint log says a reading in its own unit: an angle is no length', () => {
  const field = (unit: 'mm' | 'deg' | 'turns' | 'Nm', max = 500) =>
    ({ key: 'x', label: msg('field-size'), needed: true, control: 'length', unit, max }) as const
  const said = (unit: 'mm' | 'deg' | 'turns' | 'Nm', v: unknown, max?: number) =>
    readingSaid(field(unit, max), v, { units: 'metric' })
  expect([said('deg', 1), said('turns', 1.25), said('Nm', 30)]).toEqual(['1°', '1.25 turns', '30 Nm'])
  expect([said('turns', 1)]).toEqual(['1 turn'])
  // The finding of a broken bead has the name of the answer: the answer is said, not the finding.
  expect(readingSaid({ ...field('mm'), key: 'bead' }, 'broken', { units: 'metric' })).toBe('bead broken')
  expect([said('mm', 50), said('mm', 0.9, 10), said('mm', [[1]])]).toEqual(['50 mm', '0.9 mm', ''])
})
