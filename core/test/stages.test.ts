import { foldJob, heldPart, judgeRun, openStages, stageNow, testPlan } from '../src/index.js'
import type { TestRun } from '../src/log/state.js'
import { Log, SECTION, T0, lineJob } from './make-job.js'

const MIN = 60
/** A test of the stages of a rule, with readings and signatures as said: minutes and bar. */
function run(
  rule: 'en806-b' | 'b31.3-pneumatic' | 'ipc-water',
  read: readonly (readonly [min: number, bar: number])[],
  signed: readonly (readonly [stage: number, min: number])[] = [],
): { log: Log; test: () => TestRun } {
  const plan = testPlan({
    rule,
    designBar: 10,
    workingBar: 10,
    materials: ['carbon-steel'],
    odMm: 54,
    stressRatio: null,
    custom: null,
  })
  if ('missing' in plan) throw new Error(plan.missing)
  const log = lineJob(2, { testBar: plan.testBar })
  const begun = {
    testId: 't',
    sectionId: SECTION,
    bar: plan.testBar,
    medium: plan.medium,
    stages: plan.stages,
    holdS: 30 * MIN,
    allowedDropBar: 0.2,
    resolutionBar: 0.05,
    tester: 'T',
  }
  log.put('test-begun', begun, { atS: T0 })
  for (const [min, bar] of read)
    log.put('test-read', { testId: 't', atS: T0 + min * MIN, bar, temperatureC: 15 }, { atS: T0 + min * MIN })
  for (const [stage, min] of signed)
    log.put('stage-done', { testId: 't', stage, note: 'over' }, { atS: T0 + min * MIN })
  return { log, test: () => foldJob(log.events).tests.get('t') as TestRun }
}

describe('stages of a test', () => {
  it('asks for the pressure, then for the time, then for the next; a rule of one stage asks for none', () => {
    const at = (...x: Parameters<typeof run>) => stageNow(run(...x).test())
    expect(at('ipc-water', [])).toBeNull()
    // EN 806-4 test B: 1.1 times, 30 min with a walk; half of that; 30 min without a fall.
    expect(at('en806-b', [[1, 8]])).toMatchObject({
      index: 0,
      of: 3,
      to: 'raise',
      reachedAtS: null,
      untilS: null,
    })
    expect(at('en806-b', [[2, 11]])).toMatchObject({ to: 'stay', untilS: T0 + 32 * MIN })
    expect(at('en806-b', [[2, 11]], [[0, 33]])).toMatchObject({ index: 1, to: 'lower', reachedAtS: null })
    const low = [
      [2, 11],
      [34, 8],
      [35, 5.5],
    ] as const
    expect(at('en806-b', low, [[0, 33]])).toMatchObject({
      index: 1,
      to: 'stay',
      reachedAtS: T0 + 35 * MIN,
      untilS: null,
    })
    const signed = [
      [0, 33],
      [1, 36],
    ] as const
    expect(at('en806-b', low, signed)).toMatchObject({ index: 2, to: 'stay', reachedAtS: null })
    expect(at('en806-b', [...low, [37, 5.5]], signed)).toMatchObject({ untilS: T0 + 67 * MIN })
    expect(at('en806-b', low, [...signed, [2, 68]])).toBeNull()
  })
  it('judges the hold alone: what was pumped up before it and let down after it is no fall', () => {
    const up = [
      [1, 1.7],
      [4, 4],
      [6, 6.4],
      [8, 8.7],
    ] as const
    const hold = Array.from({ length: 31 }, (_, i) => [11 + i, 11] as const)
    const look = [45, 10] as const
    const signed = [
      [0, 3],
      [1, 5],
      [2, 7],
      [3, 9],
      [4, 42],
    ] as const
    const r = run('b31.3-pneumatic', [...up, [10, 10.2], ...hold, look], signed)
    const held = heldPart(r.test())
    expect([held.readings.length, held.readings[0]?.bar, held.readings.at(-1)?.bar]).toEqual([31, 11, 11])
    expect(judgeRun(foldJob(r.log.events), r.test()).rawDropBar).toBeCloseTo(0, 6)
    expect(openStages(r.test()).map((s) => s.name)).toEqual(['look-over'])
    // Nobody signed a stage: all that was read counts, as it always did.
    expect(heldPart(run('b31.3-pneumatic', [...up, ...hold]).test()).readings).toHaveLength(35)
    // The hold has not begun: nothing is judged yet.
    expect(heldPart(run('b31.3-pneumatic', up, signed.slice(0, 2)).test()).readings).toEqual([])
  })
  it('a reading whose time lies a moment before the signature it followed counts for the next stage', () => {
    const at = stageNow(
      run(
        'b31.3-pneumatic',
        [
          [1, 1.7],
          [3 - 1 / 60, 4],
        ],
        [[0, 3]],
      ).test(),
    )
    expect(at).toMatchObject({ index: 1, to: 'stay', reachedAtS: T0 + 3 * MIN })
  })
  it('a stage is signed once, none that is not there, and none after the end', () => {
    const r = run(
      'en806-b',
      [],
      [
        [0, 30],
        [0, 40],
        [9, 41],
      ],
    )
    r.log.put('test-ended', { testId: 't', verdict: 'inconclusive' }, { atS: T0 + 50 * MIN })
    r.log.put('stage-done', { testId: 't', stage: 1 }, { atS: T0 + 55 * MIN })
    expect(r.test().stagesDone.map((d) => [d.stage, d.atS])).toEqual([[0, T0 + 30 * MIN]])
    expect(foldJob(r.log.events).notes.map((n) => n.says.code)).toEqual(['flag-unknown-item'])
    expect(stageNow(r.test())).toBeNull()
  })
})
