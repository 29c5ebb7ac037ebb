import {
  afterSteps,
  certificateOf,
  contentsOf,
  endsOf,
  fillOf,
  flagsOf,
  foldJob,
  isHardStop,
  leftStops,
  limitsOf,
  litresToRaise,
  liveSection,
  lookFirst,
  mayCover,
  sectionAnswer,
  steadyFromS,
  stopsForTest,
  trappedWarning,
} from '../src/index.js'
import type { Section } from '../src/joint/state.js'
import { LINE, Log, PLACE, SECTION, T0, joint, lineJob, uuid } from './make-job.js'

const H = 3600
const HEAD = { seq: 1, hash: 'f'.repeat(64) }
const GATES = ['supports', 'vents', 'isolated', 'gauge', 'people']
function wall(log: Log, value: number, fromH: number, toH: number): void {
  for (let h = fromH; h <= toH; h++)
    log.put(
      'reading',
      { placeId: PLACE, what: 'wall', basis: 'measured', atS: T0 + h * H, value },
      { atS: T0 + h * H },
    )
}
/** Four joints home at T0, every gate closed, wall at 15 °C, measures that give cut lengths. */
function ready(): Log {
  const log = lineJob(2, { testBar: 9, ratingBar: 16 })
  for (const [n, mm] of [
    ['tee', 40],
    ['elbow 90', 38],
  ] as const)
    log.put(
      'take-off',
      { fitting: n, size: 'd63', takeOffMm: mm, takeOffTo: 'face' },
      { atS: T0 - 6 * 86400 },
    )
  wall(log, 15, -2, 40)
  for (let n = 1; n <= 4; n++) log.make(joint(n), T0 + n * 300)
  log.put('section-state', { sectionId: SECTION, state: 'full' }, { atS: T0 + H })
  for (const gate of GATES) log.put('gate', { sectionId: SECTION, gate, done: true }, { atS: T0 + H })
  return log
}
const plan = (more: Record<string, unknown>): Record<string, unknown> => ({
  sectionId: SECTION,
  medium: 'water',
  ...more,
})
const sectionIn = (log: Log): Section => foldJob(log.events).sections.get(SECTION) as Section
const codes = (log: Log, bar = 9, medium = 'water', atH = 20, more = {}) =>
  stopsForTest(foldJob(log.events), SECTION, bar, medium, T0 + atH * H, more).map((s) => s.code)
const BEGUN = {
  sectionId: SECTION,
  bar: 9,
  medium: 'water',
  holdS: 1800,
  allowedDropBar: 0.3,
  resolutionBar: 0.05,
  tester: 'T',
}
function test(log: Log, id: string, atH: number, verdict = 'held', more: Record<string, unknown> = {}): void {
  const atS = T0 + atH * H
  log.put(
    'test-begun',
    {
      ...BEGUN,
      testId: id,
      ...more,
    },
    { atS },
  )
  log.put(
    'test-log',
    { testId: id, from: 'L', rows: Array.from({ length: 31 }, (_, i) => [atS + i * 60, 9, 15]) },
    { atS: atS + 1900 },
  )
  log.put('test-ended', { testId: id, verdict, dropBar: 0.01, uncertaintyBar: 0.1 }, { atS: atS + 2000 })
}

describe('what a section holds and may take', () => {
  it('volume from its pieces, and how fast it may be filled', () => {
    const log = ready()
    const c = contentsOf(foldJob(log.events), sectionIn(log))
    // d63 SDR 21: wall 3, bore 57; 25.5 cm² of bore.
    const metres = c.litres / ((Math.PI / 4) * 0.57 ** 2 * 10)
    expect(metres).toBeGreaterThan(1.5)
    expect(metres).toBeLessThan(2.2)
    expect(c).toMatchObject({ materials: ['pvc-u'], unknown: 0, narrowestBoreMm: 57 })
    // d63 x 3 PVC-U gives some 6e-4 a bar, water 0.5e-4: at 9 bar about 6 parts in a thousand of it.
    expect((litresToRaise(sectionIn(log), c) ?? 0) / c.litres).toBeCloseTo(0.006, 3)
    // 0.3 m/s through 57 mm: 46 l a minute.
    expect(fillOf(c)?.litresPerMin).toBeCloseTo(45.9, 0)
  })
  it('a PN 10 union 12 m below the gauge: 8.8 bar, and a test above that is refused for good', () => {
    const log = ready()
    log.put('section-plan', plan({ gaugeM: 12, lowM: 0, highM: 12 }), { atS: T0 + H })
    log.put(
      'part-set',
      { sectionId: SECTION, partId: 'u', name: 'union', kind: 'union', ratingBar: 10, atM: 0 },
      { atS: T0 + H },
    )
    const [weakest] = limitsOf(foldJob(log.events), sectionIn(log))
    expect(weakest).toMatchObject({ name: 'union' })
    expect(weakest?.atGaugeBar).toBeCloseTo(8.823, 3)
    const stops = stopsForTest(foldJob(log.events), SECTION, 9, 'water', T0 + 20 * H)
    expect(stops.map((s) => [s.code, isHardStop(s)])).toEqual([['stop-over-rating', true]])
    expect(leftStops(stops, [{ code: 'stop-over-rating', reason: 'because' }])).toHaveLength(1)
    expect(endsOf(sectionIn(log), 9)?.atLowBar).toBeCloseTo(10.177, 3)
    log.put(
      'part-set',
      { sectionId: SECTION, partId: 'u', name: 'union', kind: 'union', ratingBar: 10, gone: true },
      { atS: T0 + 2 * H },
    )
    expect(codes(log)).toEqual([])
  })
  it('a warm union of plastic takes less', () => {
    const log = ready()
    log.put('section-plan', plan({ temperatureC: 40 }), { atS: T0 + H })
    log.put(
      'part-set',
      { sectionId: SECTION, partId: 'u', name: 'union', kind: 'union', ratingBar: 10 },
      { atS: T0 + H },
    )
    // ISO 1452-2: 0.71 at 40 °C.
    expect(limitsOf(foldJob(log.events), sectionIn(log))[0]).toMatchObject({ ratingBar: 7.1, factor: 0.71 })
  })
})

describe('stops', () => {
  it('others than the hard ones may be set aside by a reason, and not by an empty one', () => {
    const log = ready()
    log.put('gate', { sectionId: SECTION, gate: 'vents', done: false }, { atS: T0 + 2 * H })
    const stops = stopsForTest(foldJob(log.events), SECTION, 9, 'water', T0 + 20 * H)
    expect(stops.map((s) => s.code)).toEqual(['stop-gate-open'])
    expect(leftStops(stops, [{ code: 'stop-gate-open', reason: ' ' }])).toHaveLength(1)
    expect(leftStops(stops, [{ code: 'stop-gate-open', reason: 'vented by the pump' }])).toEqual([])
  })
  it('gas on PVC-U is stopped for good, whoever asks', () => {
    const stops = stopsForTest(foldJob(ready().events), SECTION, 2, 'air', T0 + 20 * H)
    expect(stops.filter(isHardStop).map((s) => s.code)).toEqual(['stop-gas-on-plastic'])
  })
  it('a gauge out of date, or of the wrong range', () => {
    const gauge = { resolutionBar: 0.05, topBar: 10, dueOn: '2026-01-31' }
    expect(codes(ready(), 9, 'water', 20, { gauge, today: '2026-02-01' })).toEqual([
      'stop-gauge-late',
      'stop-gauge-range',
    ])
    expect(codes(ready(), 9, 'water', 20, { gauge: { ...gauge, topBar: 25 }, today: '2026-01-31' })).toEqual(
      [],
    )
  })
  it('the low look at 1.2 bar of water is blind at the top of an 8.5 m riser', () => {
    const log = ready()
    log.put('section-plan', plan({ gaugeM: 0, lowM: 0, highM: 8.5 }), { atS: T0 + H })
    const rule = 'press-leak-check-water'
    expect(codes(log, 1.2, 'water', 20, { rule })).toEqual(['stop-check-too-low'])
    expect(codes(log, 2, 'water', 20, { rule })).toEqual([])
  })
  it('a section under test is live whoever forgot to say so, until the test is ended', () => {
    const log = ready()
    log.put('test-begun', { ...BEGUN, testId: 'x' }, { atS: T0 + 20 * H })
    expect(liveSection(foldJob(log.events), joint(1))?.own).toBe(true)
    log.put('test-ended', { testId: 'x', verdict: 'held' }, { atS: T0 + 21 * H })
    expect(liveSection(foldJob(log.events), joint(1))).toBeNull()
  })
  it('a live section behind the same valve stops work here, and its unknown state is a gate', () => {
    const log = ready()
    log.put('section-plan', plan({ valve: 'V-3' }), { atS: T0 + H })
    const other = uuid(77)
    log.put(
      'section-set',
      { sectionId: other, tag: 'X', jointIds: [], workingBar: 1, testBar: 2, holdS: 60, allowedDropBar: 0 },
      { atS: T0 + H },
    )
    log.put('section-plan', { sectionId: other, medium: 'water', valve: 'V-3' }, { atS: T0 + H })
    expect(codes(log)).toContain('stop-gate-open')
    log.put('section-state', { sectionId: other, state: 'under pressure' }, { atS: T0 + 2 * H })
    const live = liveSection(foldJob(log.events), joint(1))
    expect([live?.section.tag, live?.own]).toEqual(['X', false])
    log.put('section-state', { sectionId: other, state: 'drained' }, { atS: T0 + 3 * H })
    expect(liveSection(foldJob(log.events), joint(1))).toBeNull()
  })
})

describe('after a test', () => {
  it('readings sent twice are there once, whatever the order they come in', () => {
    const log = ready()
    test(log, 't', 20)
    log.put(
      'test-log',
      {
        testId: 't',
        from: 'L',
        rows: [
          [T0 + 20 * H, 9, 15],
          [T0 + 20 * H + 30, 8.9, 15],
        ],
      },
      { atS: T0 + 21 * H },
    )
    const run = foldJob(log.events).tests.get('t')
    expect(run?.readings).toHaveLength(32)
    expect(run?.readings.map((r) => r.atS)).toEqual(
      [...(run?.readings ?? [])].map((r) => r.atS).sort((a, b) => a - b),
    )
  })
  it('work on a proved section re-opens it and flags the certificate; the verdict stands', () => {
    const log = ready()
    test(log, 't', 20)
    const before = foldJob(log.events)
    expect(sectionAnswer(before, SECTION, T0 + 22 * H)?.proved).toBe(true)
    expect(mayCover(before, sectionIn(log), true).may).toBe(true)
    expect(certificateOf(before, 't', HEAD)).toMatchObject({ flags: [], head: HEAD, section: 'Q-A' })
    log.put('cut-out', { life: 1, reason: 'branch' }, { atS: T0 + 23 * H, jointId: joint(2) })
    log.make(joint(2), T0 + 23.5 * H, 2)
    const after = foldJob(log.events)
    expect(sectionAnswer(after, SECTION, T0 + 24 * H)?.proved).toBe(false)
    const run = after.tests.get('t') as never
    expect(flagsOf(after, run).map((f) => [f.code, f.params.joint])).toEqual([['flag-work-since', 'Q-2']])
    expect(certificateOf(after, 't', HEAD)?.test.ended?.verdict).toBe('held')
  })
  it('a cold reading that comes late flags the certificate and edits nothing', () => {
    const log = ready()
    test(log, 't', 10)
    const sealed = foldJob(log.events).tests.get('t')?.ended
    // The hours of the cure were at 3 °C and not at 15, where there is no figure: told only after the test.
    const night = log.events.filter(
      (e) => e.kind === 'reading' && e.occurredAtS > T0 + H && e.occurredAtS < T0 + 9 * H,
    )
    expect(night.length).toBeGreaterThan(5)
    for (const e of night) log.put('reading', { ...e.data, value: 3, supersedes: e.id }, { atS: T0 + 30 * H })
    const state = foldJob(log.events)
    expect(state.tests.get('t')?.ended).toEqual(sealed)
    expect(new Set(flagsOf(state, state.tests.get('t') as never).map((f) => f.code))).toEqual(
      new Set(['flag-cold-since']),
    )
  })
  it('what was judged with a finding is looked at first, then what was never tested', () => {
    const log = ready()
    test(log, 'a', 20)
    log.put('cut-out', { life: 1, reason: 'x' }, { atS: T0 + 22 * H, jointId: joint(3) })
    log.make(joint(3), T0 + 23 * H, 2)
    test(log, 'b', 40, 'lost')
    const state = foldJob(log.events)
    const answer = sectionAnswer(state, SECTION, T0 + 41 * H)
    if (!answer) throw new Error('no section')
    expect(lookFirst(state, answer)[0]).toMatchObject({ tag: 'Q-3' })
  })
  it('steps by pipe and medium; a hold point keeps the wall open until it is answered', () => {
    const log = ready()
    log.put('section-plan', plan({ keep: 'full' }), { atS: T0 + H })
    expect(afterSteps(foldJob(log.events), sectionIn(log)).map((s) => s.id)).toEqual([
      'relieve',
      'keep-full',
      'rinse',
      'flush',
      'disinfect',
    ])
    log.put('hold-point', { holdId: 'h', sectionId: SECTION, name: 'north wall' }, { atS: T0 + H })
    const cover = () => mayCover(foldJob(log.events), sectionIn(log), true)
    expect(cover()).toMatchObject({ may: false, says: { code: 'cover-hold' } })
    log.put('hold-answered', { holdId: 'h', answer: 'go on' }, { atS: T0 + 2 * H })
    expect(cover().may).toBe(true)
    expect(mayCover(foldJob(log.events), sectionIn(log), false).may).toBe(false)
  })
})

describe('steady', () => {
  const test = { holdS: 3600, allowedDropBar: 0.2, resolutionBar: 0.002 }
  const course = (settleS: number) =>
    Array.from({ length: 120 }, (_, i) => ({ tS: i * 30, bar: 9 + 0.6 * Math.exp((-i * 30) / settleS) }))
  it('is found once what settled is over, at once where nothing settles, and not while it settles', () => {
    const found = steadyFromS(course(240), test) ?? NaN
    expect(found).toBeGreaterThan(600)
    expect(found).toBeLessThan(2000)
    expect(steadyFromS(course(1e-3).slice(1), test)).toBeLessThan(60)
    expect(steadyFromS(course(4000), { ...test, allowedDropBar: 0.05 })).toBeNull()
  })
})

describe('trapped water before a warm day', () => {
  it('steel shut at 6 bar: relieve now; the same in PVC-U falls, and nothing is said', () => {
    const steel = lineJob(1, { testBar: 9, ratingBar: 16 })
    steel.put(
      'line-set',
      {
        lineId: LINE,
        tag: 'Q',
        name: 'Q',
        method: 'press',
        material: 'carbon-steel',
        school: 'metric',
        placeId: PLACE,
        ratingBar: 16,
      },
      { atS: T0 },
    )
    steel.put('item-put', {
      lineId: LINE,
      itemId: uuid(30),
      item: {
        type: 'piece',
        tag: 'P0',
        size: 'd54',
        measure: 'end-end',
        measuredMm: 3000,
        jointA: joint(1),
        jointB: joint(2),
        tagA: 'a',
        tagB: 'b',
      },
    })
    const warning = trappedWarning(foldJob(steel.events), sectionIn(steel), 6, 8, 18)
    expect(warning?.bar).toBeGreaterThan(14)
    const plastic = ready()
    expect(trappedWarning(foldJob(plastic.events), sectionIn(plastic), 6, 8, 18)).toBeNull()
  })
})
