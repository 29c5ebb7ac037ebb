import {
  contentsOf,
  endsOf,
  fillOf,
  foldJob,
  isHardStop,
  leftStops,
  limitsOf,
  litresToRaise,
  liveSection,
  steadyFromS,
  stopsForTest,
  trappedWarning,
} from '../src/index.js'
import { LINE, PLACE, SECTION, T0, joint, lineJob, uuid } from './make-job.js'
import { H, ready, plan, sectionIn, codes, BEGUN } from './proving-job.js'

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
    expect(endsOf(foldJob(log.events), sectionIn(log), 9)?.atLowBar).toBeCloseTo(10.177, 3)
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
