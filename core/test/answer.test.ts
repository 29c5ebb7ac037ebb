import fc from 'fast-check'
import { GLYPHS, type GlyphId, foldJob, gatesOf, sectionAnswer, stopsForTest, valueAt } from '../src/index.js'
import { SECTION, T0, joint, lineJob, walls } from './make-job.js'

/** How far a joint has come; with time alone this only rises. */
const RANK: Readonly<Record<GlyphId, number>> = Object.fromEntries(
  GLYPHS.map((g, i) => [g, g === 'failed' ? 2 : i]),
) as never

interface Plan {
  homes: (number | null)[]
  short: number[]
  temperatures: number[]
  at: number
  size: string
  testBar: number
}
const plans = fc.record<Plan>({
  homes: fc.array(fc.option(fc.integer({ min: 0, max: 30_000 })), { minLength: 4, maxLength: 4 }),
  short: fc.array(fc.constantFrom(50, 50, 50, 54, 46), { minLength: 4, maxLength: 4 }),
  temperatures: fc.array(fc.integer({ min: 3, max: 25 }), { minLength: 40, maxLength: 40 }),
  at: fc.integer({ min: 0, max: 400_000 }),
  size: fc.constantFrom('d20', 'd63', 'd110', 'd160'),
  testBar: fc.constantFrom(4, 9, 12),
})
function answerOf(p: Plan, atS: number, mode: 'coldest' | 'accumulate') {
  const log = lineJob(2, { size: p.size, testBar: p.testBar })
  walls(log, T0 - 7200, p.temperatures)
  p.homes.forEach((h, i) => {
    if (h !== null) log.make(joint(i + 1), T0 + h, 1, p.short[i])
  })
  const state = foldJob(log.events.filter((e) => e.occurredAtS <= Math.max(atS, T0 + 40 * 3600)))
  const answer = sectionAnswer(state, SECTION, atS, mode)
  if (!answer) throw new Error('no answer')
  return { state, answer }
}

describe('headline, ladder, gates, lanes and glyphs agree at every instant', () => {
  it('over random jobs', () =>
    fc.assert(
      fc.property(plans, fc.constantFrom('coldest' as const, 'accumulate' as const), (p, mode) => {
        const atS = T0 + p.at
        const { answer, state } = answerOf(p, atS, mode)
        const allowed = answer.allowedBar ?? Infinity
        // Ladder and lanes: the section takes what its weakest joint takes.
        expect(allowed).toBeCloseTo(Math.min(...answer.joints.map((j) => j.allowsBar)), 6)
        // Headline: it says "nothing" exactly when the ladder stands at 0, and names those joints.
        expect(answer.blockers.length > 0).toBe(allowed <= 0)
        // Gate and ladder.
        const gates = gatesOf(state, answer)
        expect(gates.find((g) => g.id === 'cured')?.open).toBe(allowed < p.testBar - 1e-6)
        expect(gates.find((g) => g.id === 'made')?.open).toBe(p.homes.some((h) => h === null))
        // Glyph and lane.
        for (const j of answer.joints) {
          if (j.look.glyph === 'loadable') expect(j.allowsBar).toBeGreaterThanOrEqual(p.testBar - 0.001)
          if (['planned', 'hold', 'set', 'failed'].includes(j.look.glyph)) expect(j.allowsBar).toBe(0)
          if (j.readyAtS !== null && j.readyAtS <= atS)
            expect(j.allowsBar).toBeGreaterThanOrEqual(p.testBar - 0.001)
        }
        // Ladder's own steps at this instant.
        const step = answer.ladder.steps.filter((s) => s.fromS <= atS).at(-1)
        if (step && step.allowedBar !== null)
          expect(step.allowedBar + step.slopeBarPerS * (atS - step.fromS)).toBeCloseTo(allowed, 6)
        // Ready time: the last joint's, and the test is refused for cure exactly before it.
        const times = answer.joints.map((j) => j.readyAtS)
        if (answer.readyAtS !== null) expect(answer.readyAtS).toBeCloseTo(Math.max(...(times as number[])), 3)
        else expect(times).toContain(null)
        if (mode === 'coldest') {
          const refused = stopsForTest(state, SECTION, p.testBar, 'water', atS).filter((s) =>
            ['stop-not-made', 'stop-not-set', 'stop-not-cured', 'stop-no-figure', 'stop-failed'].includes(
              s.code,
            ),
          )
          expect(refused.length > 0).toBe(allowed < p.testBar - 1e-6)
        }
      }),
      { numRuns: 200 },
    ))
  it('for the same evidence, later never lowers what a joint may take nor how far it has come', () =>
    fc.assert(
      fc.property(plans, fc.integer({ min: 1, max: 300_000 }), (p, later) => {
        const a = answerOf(p, T0 + 40_000 + p.at, 'coldest').answer
        const b = answerOf(p, T0 + 40_000 + p.at + later, 'coldest').answer
        a.joints.forEach((j, i) => {
          const k = b.joints[i]
          expect(k?.allowsBar).toBeGreaterThanOrEqual(j.allowsBar - 1e-9)
          expect(RANK[k?.look.glyph as GlyphId]).toBeGreaterThanOrEqual(RANK[j.look.glyph])
        })
      }),
      { numRuns: 150 },
    ))
})

describe('a section', () => {
  const ready = (
    over: { medium?: string; bar?: number; gates?: boolean; at?: number; rating?: number | null } = {},
  ) => {
    const log = lineJob(2, { testBar: 9, ratingBar: over.rating ?? null })
    walls(log, T0 - 7200, Array<number>(40).fill(15))
    for (let n = 1; n <= 4; n++) log.make(joint(n), T0 + n * 600)
    log.put('section-state', { sectionId: SECTION, state: 'full' })
    if (over.gates !== false)
      for (const gate of ['supports', 'vents', 'isolated', 'gauge', 'people'])
        log.put('gate', { sectionId: SECTION, gate, done: true })
    return stopsForTest(
      foldJob(log.events),
      SECTION,
      over.bar ?? 9,
      over.medium ?? 'water',
      T0 + (over.at ?? 11 * 3600),
    ).map((s) => s.code)
  }
  it('may be tested when every joint is cured and every gate is closed', () => expect(ready()).toEqual([]))
  it('is refused before the ladder allows it, naming the joint', () => {
    const log = lineJob(1)
    walls(log, T0 - 7200, Array<number>(40).fill(15))
    log.make(joint(1), T0)
    log.make(joint(2), T0 + 3600)
    const stops = stopsForTest(foldJob(log.events), SECTION, 9, 'water', T0 + 8 * 3600)
    expect(stops.filter((s) => s.code === 'stop-not-cured').map((s) => s.params.joint)).toEqual([
      'Q-1',
      'Q-2',
    ])
    expect(ready({ at: 1000 })).toContain('stop-not-set')
  })
  it('gas on plastic, above the weakest part, an open gate: stopped', () => {
    expect(ready({ medium: 'air' })).toEqual(['stop-gas-on-plastic'])
    expect(ready({ rating: 8 })).toContain('stop-over-rating')
    expect(ready({ gates: false })).toEqual(Array(5).fill('stop-gate-open'))
  })
  it('is re-opened by work after a test that held', () => {
    const log = lineJob(1)
    walls(log, T0 - 7200, Array<number>(40).fill(15))
    log.make(joint(1), T0)
    log.make(joint(2), T0)
    const testId = joint(90)
    log.put(
      'test-begun',
      {
        testId,
        sectionId: SECTION,
        bar: 9,
        medium: 'water',
        holdS: 3600,
        allowedDropBar: 0.1,
        resolutionBar: 0.1,
        tester: 'x',
      },
      { atS: T0 + 36000 },
    )
    log.put('test-ended', { testId, verdict: 'held' }, { atS: T0 + 40000 })
    const proved = () => sectionAnswer(foldJob(log.events), SECTION, T0 + 90_000)?.proved
    expect(proved()).toBe(true)
    log.put('cut-out', { life: 1 }, { atS: T0 + 50_000, jointId: joint(1) })
    expect(proved()).toBe(false)
    log.make(joint(1), T0 + 51_000, 2)
    expect(proved()).toBe(false)
  })
  it('says what moved its time: the cold night, when it fell and from when to when', () => {
    const log = lineJob(1, { size: 'd110', testBar: 12 })
    walls(log, T0 - 3600, [14, 14, 14, 12, 9, 6.9, 8, 12, 14])
    log.make(joint(1), T0)
    log.make(joint(2), T0)
    const a = sectionAnswer(foldJob(log.events), SECTION, T0 + 7 * 3600)
    expect(a?.moved).toMatchObject({ temperatureC: 6.9 })
    // 12 bar: 12 h by the hours, 48 h by the cold inch row.
    expect((a?.moved?.toAtS ?? 0) - (a?.moved?.fromAtS ?? 0)).toBeCloseTo(36 * 3600, 0)
  })
  it('a gap of more than two hours in the readings gives no sign-off, and planning counts its slower end', () => {
    const log = lineJob(1, { testBar: 9 })
    walls(log, T0 - 600, [15])
    walls(log, T0 + 4 * 3600, [15, 15])
    log.make(joint(1), T0)
    log.make(joint(2), T0)
    const state = foldJob(log.events)
    expect(sectionAnswer(state, SECTION, T0 + 20 * 3600, 'coldest')?.readyAtS).toBeNull()
    expect(sectionAnswer(state, SECTION, T0 + 20 * 3600, 'accumulate')?.readyAtS).toBeCloseTo(
      T0 + 100 + 9 * 3600,
      0,
    )
  })
  it('the ladder of a joint is the one its clocks and its method give', () => {
    const log = lineJob(1)
    walls(log, T0 - 7200, Array<number>(10).fill(15))
    log.make(joint(1), T0)
    const f = sectionAnswer(foldJob(log.events), SECTION, T0 + 3700)?.joints[0]?.facts
    const set = f?.clocks.find((c) => c.shows === 'set')?.untilS.value as number
    expect(set).toBe(T0 + 100 + 300)
    expect(valueAt(f?.pieces ?? [], set - 1)).toBe(0)
    expect(valueAt(f?.pieces ?? [], set)).toBeCloseTo(300 / 3600, 9)
  })
})
