import { foldJob, hotWorkPermit, jointFacts, stopsForTest, toolWrong } from '../src/index.js'
import { type Log, SECTION, T0, joint, lineJob, uuid, walls } from './make-job.js'

const TOOL = uuid(500)
const JAW = uuid(501)
const factsOf = (log: Log, n: number, atS: number) => {
  const f = jointFacts(foldJob(log.events), joint(n), 'coldest', atS)
  if (!f) throw new Error('no joint')
  return f
}
function pressJob(pieces: number, details: Record<string, unknown> = {}): Log {
  const log = lineJob(pieces, { size: 'd22', testBar: 4 })
  const line = log.events.find((e) => e.kind === 'line-set')
  if (line) line.data = { ...line.data, method: 'press', material: 'copper', details }
  log.put('tool-set', { toolId: TOOL, kind: 'press-tool', name: 'PT-2', matches: {}, dueOn: '2027-03-01' })
  log.put('tool-set', { toolId: JAW, kind: 'jaw', name: 'J-22', matches: { size: 'd22', profile: 'K' } })
  return log
}
const cycle = (log: Log, atS: number, result = 'complete'): void =>
  void log.put(
    'tool-said',
    { toolId: TOOL, what: 'cycle', result, atS, jaw: 'J-22', profile: 'K' },
    { atS, who: 7 },
  )
function press(log: Log, n: number, atS: number, byTool = true): void {
  log.step(joint(n), 'insert', atS)
  log.put(
    'step-done',
    { life: 1, step: 'press', readings: byTool ? { byTool: true } : {}, toolIds: [TOOL, JAW] },
    { atS: atS + 30, jointId: joint(n) },
  )
  log.step(joint(n), 'look', atS + 60, { indicator: 'gone', edge: 'at-edge' })
}

describe('one entry for several joints', () => {
  const both = { joints: [1, 2].map((n) => ({ jointId: joint(n), life: 1 })), basis: 'memory' }
  const steps = [
    { step: 'fit', readings: {} },
    { step: 'cement', readings: {} },
    { step: 'home', readings: {} },
    { step: 'judge', readings: { checkMm: 50, bead: 'all-round' } },
  ]
  it('makes each of them, between the two times; clocks count from the latest', () => {
    const log = lineJob(1)
    walls(log, T0 - 3600, Array<number>(60).fill(12))
    const id = log.put('batch-done', { ...both, steps, fromS: T0, toS: T0 + 2400 }, { atS: T0 + 9000 })
    for (const n of [1, 2]) {
      const f = factsOf(log, n, T0 + 9000)
      expect(f.homeAtS).toBe(T0 + 2400)
      expect(f.clocks.find((c) => c.id === 'set')?.fromS).toBe(T0 + 2400)
      expect(f.clocks.find((c) => c.kind === 'window')?.fromS).toBe(T0)
      expect(f.inspection?.findings.map((x) => x.code)).toContain('from-memory')
    }
    log.put('correction', { target: id, undo: true, reason: '' }, { atS: T0 + 9100 })
    expect(factsOf(log, 1, T0 + 9200).life).toBeNull()
  })
  it('of one joint it is what its steps with the same times say one by one', () => {
    const told = lineJob(1)
    told.put(
      'batch-done',
      { ...both, joints: both.joints.slice(0, 1), steps, fromS: T0, toS: T0 + 2400 },
      { atS: T0 + 9000 },
    )
    const alone = lineJob(1)
    for (const { step, readings } of steps)
      alone.put(
        'step-done',
        { life: 1, step, readings, earliestS: T0, latestS: T0 + 2400, basis: 'memory' },
        { atS: T0 + 9000, jointId: joint(1) },
      )
    const [one, other] = [told, alone].map((log) => factsOf(log, 1, T0 + 9000))
    const done = (facts: typeof one) => facts?.life?.done.map(({ eventId: _own, ...rest }) => rest)
    expect(done(other)).toEqual(done(one))
    expect(other?.clocks).toEqual(one?.clocks)
    expect(other?.inspection).toEqual(one?.inspection)
  })
  it('a joint cut out before it is left alone, and the others are made', () => {
    const log = lineJob(1)
    log.make(joint(1), T0)
    log.put('cut-out', { life: 1, reason: 'short' }, { atS: T0 + 500, jointId: joint(1), who: 2 })
    log.put('batch-done', { ...both, steps, fromS: T0 + 600, toS: T0 + 900 }, { atS: T0 + 9000 })
    expect(factsOf(log, 1, T0 + 9000).life).toBeNull()
    expect(factsOf(log, 1, T0 + 9000).notes.map((x) => x.says.code)).toContain('note-after-cut-out')
    expect(factsOf(log, 2, T0 + 9000).homeAtS).toBe(T0 + 900)
  })
})

describe('tools', () => {
  it('fourteen assembled, thirteen cycles logged: one is not pressed, and the gate stays shut', () => {
    const log = pressJob(7)
    for (let n = 1; n <= 14; n++) {
      press(log, n, T0 + n * 600)
      if (n !== 9) cycle(log, T0 + n * 600 + 28)
    }
    const state = foldJob(log.events)
    const doubtful = Array.from({ length: 14 }, (_, i) => i + 1).filter(
      (n) => factsOf(log, n, T0 + 20_000).inspection?.verdict !== 'pass',
    )
    expect(doubtful).toEqual([9])
    expect(factsOf(log, 9, T0 + 20_000).inspection?.findings.map((f) => f.code)).toEqual(['no-cycle-logged'])
    const stops = stopsForTest(state, SECTION, 4, 'water', T0 + 20_000)
    expect(stops).toContainEqual(
      expect.objectContaining({ code: 'stop-not-judged', params: expect.objectContaining({ joint: 'Q-9' }) }),
    )
  })
  it('a cycle that broke off is none', () => {
    const log = pressJob(1)
    press(log, 1, T0)
    cycle(log, T0 + 20, 'interrupted')
    press(log, 2, T0 + 600)
    cycle(log, T0 + 620)
    expect(factsOf(log, 1, T0 + 900).inspection?.verdict).toBe('unknown')
    expect(factsOf(log, 2, T0 + 900).inspection?.verdict).toBe('pass')
  })
  it('right indicator, wrong jaw profile: the jaw does not fit, before and after', () => {
    const log = pressJob(1, { profile: 'M' })
    const f = factsOf(log, 1, T0)
    const needs = f.method?.consumables(f.spec) ?? []
    const wrong = toolWrong(foldJob(log.events), [TOOL, JAW], needs, T0)
    expect(wrong.find((x) => x.code === 'tool-does-not-fit')).toMatchObject({
      level: 'stop',
      params: { tool: 'J-22', has: 'K', wants: 'M' },
    })
    press(log, 1, T0)
    cycle(log, T0 + 28)
    log.put(
      'tool-found',
      { toolId: JAW, fromS: T0 - 3600, toS: T0 + 3600, says: 'wrong profile' },
      { atS: T0 + 5000 },
    )
    const after = factsOf(log, 1, T0 + 6000).inspection
    expect(after?.verdict).toBe('unknown')
    expect(after?.findings.filter((x) => x.code === 'made-with-wrong-tool')).toHaveLength(1)
    // Looked at since: said, and no longer in doubt.
    log.step(joint(1), 'look', T0 + 7000, { indicator: 'gone', edge: 'at-edge' })
    expect(factsOf(log, 1, T0 + 8000).inspection?.verdict).toBe('pass')
  })
  it('a joint made with it on another day is not flagged', () => {
    const log = pressJob(1)
    press(log, 1, T0, false)
    log.put('tool-found', { toolId: JAW, fromS: T0 + 86400, says: 'cracked' }, { atS: T0 + 90000 })
    expect(factsOf(log, 1, T0 + 91000).inspection?.verdict).toBe('pass')
  })
  it('a joint made with it afterwards is in doubt too, until it is tried and good or looked at on a later day', () => {
    const madeAfter = (
      put: (log: ReturnType<typeof pressJob>) => void,
      atS = T0 + 9000,
    ): string | undefined => {
      const log = pressJob(1)
      log.put('tool-found', { toolId: JAW, fromS: T0 + 3600, says: 'cracked' }, { atS: T0 + 5000 })
      put(log)
      press(log, 1, atS)
      cycle(log, atS + 28)
      return factsOf(log, 1, atS + 600).inspection?.verdict
    }
    expect(madeAfter(() => {})).toBe('unknown')
    expect(
      madeAfter((log) => log.put('tool-proof', { toolId: JAW, good: true, how: 'slug' }, { atS: T0 + 6000 })),
    ).toBe('pass')
    const serviced = (log: ReturnType<typeof pressJob>): unknown =>
      log.put('tool-set', {
        toolId: JAW,
        kind: 'jaw',
        name: 'J-22',
        matches: { size: 'd22', profile: 'K' },
        checkedOn: new Date((T0 + 86400) * 1000).toISOString().slice(0, 10),
      })
    expect(madeAfter(serviced)).toBe('unknown')
    expect(madeAfter(serviced, T0 + 86400)).toBe('pass')
    // Looked at once more, apart from the look that made it.
    const log = pressJob(1)
    log.put('tool-found', { toolId: JAW, fromS: T0 + 3600, says: 'cracked' }, { atS: T0 + 5000 })
    press(log, 1, T0 + 9000)
    cycle(log, T0 + 9028)
    expect(factsOf(log, 1, T0 + 9600).inspection?.verdict).toBe('unknown')
    log.step(joint(1), 'look', T0 + 9700, { indicator: 'gone', edge: 'at-edge' })
    expect(factsOf(log, 1, T0 + 9800).inspection?.verdict).toBe('pass')
  })
  it('out of date, not tried today, failed its trial', () => {
    const log = pressJob(1)
    const codes = (atS: number): string[] =>
      toolWrong(foldJob(log.events), [TOOL], [], atS).map((f) => f.code)
    expect(codes(T0)).toEqual(['tool-not-proved'])
    log.put('tool-proof', { toolId: TOOL, good: true, how: 'test bite' }, { atS: T0 })
    expect(codes(T0 + 60)).toEqual([])
    expect(codes(T0 + 86400)).toEqual(['tool-not-proved'])
    log.put('tool-proof', { toolId: TOOL, good: false, how: 'test bite' }, { atS: T0 + 86400 })
    expect(codes(T0 + 86460)).toEqual(['tool-proof-bad'])
    expect(codes(T0 + 400 * 86400)).toContain('tool-out-of-date')
  })
})

it('a hot-work permit is in force between its times; none ever written is not known', () => {
  const log = lineJob(1)
  expect(hotWorkPermit(foldJob(log.events), T0)).toBeNull()
  log.put('permit-set', { what: 'hot-work', number: 'HW-3', fromS: T0, untilS: T0 + 3600 })
  expect([T0 - 1, T0, T0 + 3600, T0 + 3601].map((t) => hotWorkPermit(foldJob(log.events), t))).toEqual([
    false,
    true,
    true,
    false,
  ])
})

describe('two people on one joint', () => {
  it('until they agree the later push-home counts, for the window and for the hold', () => {
    const log = lineJob(1)
    walls(log, T0 - 3600, Array<number>(30).fill(12))
    log.step(joint(1), 'fit', T0)
    log.step(joint(1), 'cement', T0 + 60)
    log.step(joint(1), 'cement', T0 + 75, {}, 1, 2)
    log.step(joint(1), 'home', T0 + 100)
    log.step(joint(1), 'home', T0 + 140, {}, 1, 2)
    const clocks = factsOf(log, 1, T0 + 200).clocks
    expect(clocks.find((c) => c.id === 'open')).toMatchObject({ fromS: T0 + 60, stoppedAtS: T0 + 140 })
    expect(clocks.find((c) => c.id === 'hold')?.fromS).toBe(T0 + 140)
  })
  it('the same for a method of the kit: heating begun by two', () => {
    const log = lineJob(1, { size: 'd32', testBar: 4 })
    const line = log.events.find((e) => e.kind === 'line-set')
    if (line) line.data = { ...line.data, method: 'socket-fusion', material: 'pp-r' }
    walls(log, T0 - 3600, Array<number>(30).fill(20))
    log.step(joint(1), 'ready', T0)
    log.step(joint(1), 'heat', T0 + 60, { toolC: 260 })
    log.step(joint(1), 'heat', T0 + 62, { toolC: 260 }, 1, 2)
    log.step(joint(1), 'join', T0 + 72)
    log.step(joint(1), 'join', T0 + 74, {}, 1, 2)
    const f = factsOf(log, 1, T0 + 80)
    expect(f.homeAtS).toBe(T0 + 74)
    const window = f.clocks.find((c) => c.kind === 'window')
    expect(window).toMatchObject({ fromS: T0 + 60, stoppedAtS: T0 + 74 })
  })
})
