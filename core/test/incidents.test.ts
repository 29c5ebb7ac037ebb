import { type JointFacts, foldJob, jointFacts, sectionAnswer, stopsForTest } from '../src/index.js'
import { type Log, SECTION, T0, joint, lineJob, walls } from './make-job.js'

/** What has happened on sites, with the figures of the rules. Tools and jaws (3, 4) stand in record.test.ts. */
const H = 3600
const F = (f: number): number => Math.round((((f - 32) * 5) / 9) * 100) / 100
function as(log: Log, line: Record<string, unknown>, size: string, school: string): void {
  for (const e of log.events) {
    if (e.kind === 'line-set') e.data = { ...e.data, ...line, school }
    if (e.kind === 'job-set') e.data = { ...e.data, school }
    if (e.kind === 'item-put') e.data = { ...e.data, item: { ...(e.data.item as object), size } }
  }
}
const pin = (school: string) => ({ rules: 1, chart: null, school, table: 'current' })
function steps(
  log: Log,
  n: number,
  school: string,
  list: readonly (readonly [string, number, object?])[],
  life = 1,
): void {
  for (const [step, atS, readings] of list)
    log.put(
      'step-done',
      { life, step, readings: readings ?? {}, shown: [], pin: pin(school) },
      { atS, jointId: joint(n) },
    )
}
const factsOf = (log: Log, n: number, atS: number): JointFacts =>
  jointFacts(foldJob(log.events), joint(n), 'coldest', atS) as JointFacts

describe('incidents', () => {
  it('1: a cold night. 4 in Sch 80, home in the evening at 46 °F, 35 °F overnight', () => {
    const log = lineJob(1, { testBar: 10 })
    as(log, { material: 'pvc', schedule: '80' }, 'NPS 4', 'inch')
    // 18:00 to 06:00: two hours of 46, eight of 35, then a milder morning. Figures: ASTM D2855, cure table, from memory.
    walls(log, T0, [46, 46, 46, 35, 35, 35, 35, 35, 35, 35, 35, 46, 50, 62, 64, 64, 64, 64].map(F))
    const good = { checkMm: 50, bead: 'all-round' }
    for (const n of [1, 2])
      steps(log, n, 'inch', [
        ['fit', T0 + 60],
        ['prime', T0 + 100],
        ['cement', T0 + 130],
        ['home', T0 + 150],
        ['judge', T0 + 260, good],
      ])
    const state = foldJob(log.events)
    const at = T0 + 17 * H
    const home = T0 + 150
    const before = sectionAnswer(
      foldJob(log.events.filter((e) => e.occurredAtS < T0 + 2.5 * H)),
      SECTION,
      T0 + 2 * H,
    )
    expect(before?.readyAtS).toBe(home + 4 * H)
    const coldest = sectionAnswer(state, SECTION, at, 'coldest')
    expect(coldest?.readyAtS).toBe(home + 72 * H)
    const added = sectionAnswer(state, SECTION, at, 'accumulate')?.readyAtS ?? Infinity
    expect(added).toBeGreaterThan(home + 4 * H)
    expect(added).toBeLessThan(T0 + 18 * H)
    // Which joint, when the wall fell, to what, and from when to when it moved.
    expect(coldest?.holdsBack?.facts.tag).toMatch(/^Q-/)
    expect(coldest?.moved).toMatchObject({ fromAtS: home + 4 * H, toAtS: home + 72 * H, temperatureC: F(35) })
    expect(coldest?.moved?.atS).toBe(T0 + 2 * H)
  })
  it('2: primer 70 s past its window: prime again. ABS cement 95 s open: soft is coated again, hard is cut off', () => {
    const log = lineJob(1)
    as(log, { material: 'pvc', schedule: '40' }, 'NPS 2', 'inch')
    walls(log, T0, Array<number>(4).fill(22))
    steps(log, 1, 'inch', [
      ['fit', T0],
      ['prime', T0 + 60],
    ])
    const primer = factsOf(log, 1, T0 + 60 + 370).clocks.find((c) => c.id === 'primer')
    expect(primer?.untilS.value).toBe(T0 + 60 + 300)
    expect(primer?.onMiss.backTo).toBe('prime')
    steps(log, 1, 'inch', [['prime', T0 + 430, { again: true }]])
    expect(factsOf(log, 1, T0 + 440).clocks.find((c) => c.id === 'primer')?.untilS.value).toBe(T0 + 730)

    const abs = lineJob(1)
    as(abs, { material: 'abs' }, 'd63', 'metric')
    walls(abs, T0, Array<number>(4).fill(30))
    steps(abs, 1, 'metric', [
      ['fit', T0],
      ['cement', T0 + 60],
    ])
    const f = factsOf(abs, 1, T0 + 155)
    const open = f.clocks.find((c) => c.id === 'open')
    expect(open?.untilS.value ?? 0).toBeLessThanOrEqual(T0 + 155)
    const ways = f.nextStep?.exceptions.map((e) => [e.id, e.backTo])
    expect(ways).toContainEqual(['skinned', 'cement'])
    expect(ways).toContainEqual(['hard', 'cut-out'])
    steps(abs, 1, 'metric', [['cement', T0 + 160, { again: true, exception: 'skinned' }]])
    expect(factsOf(abs, 1, T0 + 161).clocks.find((c) => c.id === 'open')?.fromS).toBe(T0 + 160)
  })
  it('5: d160 at 3 °C, 9 bar wanted in six hours: no figure by the metric rule, said plainly', () => {
    const log = lineJob(1, { size: 'd160', testBar: 9 })
    walls(log, T0, Array<number>(8).fill(3))
    for (const n of [1, 2]) log.make(joint(n), T0 + 60)
    const answer = sectionAnswer(foldJob(log.events), SECTION, T0 + 6 * H)
    expect(answer?.readyAtS).toBeNull()
    expect(stopsForTest(foldJob(log.events), SECTION, 9, 'water', T0 + 6 * H).map((s) => s.code)).toContain(
      'stop-no-figure',
    )
  })
  it('6: a union\u2019s nut forgotten before the flame is a stop; soldered already it is sweated off, both lives kept', () => {
    const log = lineJob(1)
    as(log, { method: 'solder', material: 'copper', details: { part: 'union' } }, 'd22', 'metric')
    walls(log, T0, Array<number>(3).fill(20))
    const fit = factsOf(log, 1, T0).steps.find((s) => s.id === 'fit')
    expect(fit?.reads.find((r) => r.key === 'unionNut')).toMatchObject({ needed: true, asked: true })
    steps(log, 1, 'metric', [
      ['fit', T0, { unionNut: 'forgotten' }],
      ['flux', T0 + 60],
      ['heat', T0 + 120],
    ])
    const soldered = factsOf(log, 1, T0 + 200)
    expect(soldered.inspection?.verdict).toBe('fail')
    expect(soldered.inspection?.findings.map((x) => x.code)).toContain('solder-nut-forgotten')
    log.put(
      'cut-out',
      { life: 1, reason: 'nut forgotten, sweated off' },
      { atS: T0 + 900, jointId: joint(1) },
    )
    steps(log, 1, 'metric', [['fit', T0 + 1000, { unionNut: 'on' }]], 2)
    const again = factsOf(log, 1, T0 + 1100)
    expect([again.lifeNo, again.past.length]).toEqual([2, 1])
    expect(again.past[0]?.done).toHaveLength(3)
  })
  it('7: an air test asked for a plastic drain: stopped, whoever asks', () => {
    const log = lineJob(1, { testBar: 0.35 })
    as(log, { material: 'abs' }, 'd63', 'metric')
    walls(log, T0 - 60 * H, Array<number>(62).fill(15))
    for (const n of [1, 2]) log.make(joint(n), T0 - 59 * H)
    const codes = (medium: string): string[] =>
      stopsForTest(foldJob(log.events), SECTION, 0.35, medium, T0).map((s) => s.code)
    expect(codes('air')).toContain('stop-gas-on-plastic')
    expect(codes('water')).not.toContain('stop-gas-on-plastic')
  })
  it('9: a 4 mm tube turned 1-1/4: half a turn too many', () => {
    const log = lineJob(1)
    as(log, { method: 'compression', material: 'stainless', details: { socketDepthMm: 9 } }, 'd4', 'metric')
    steps(log, 1, 'metric', [
      ['ready', T0],
      ['start', T0 + 60],
      ['turn', T0 + 120, { turns: 1.25 }],
      ['look', T0 + 180, { mark: 'shows-behind-nut' }],
    ])
    const f = factsOf(log, 1, T0 + 300)
    expect(f.inspection?.verdict).toBe('fail')
    const over = f.inspection?.findings.find((x) => x.code === 'turns-over')
    expect(Number(over?.params.turns) - Number(over?.params.max)).toBeCloseTo(0.5, 9)
  })
})
