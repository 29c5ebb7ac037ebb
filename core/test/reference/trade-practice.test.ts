import { ask, refused } from './door.js'

/** Common practice, no published source, unless a line says otherwise. */
const codes = (r: Record<string, unknown>): string[] => (r.reasons as { code: string }[]).map((x) => x.code)

describe('flared fluoropolymer tube', () => {
  const flare = (size: string, grooved = false, quenched = false) => ask('flare', { size, grooved, quenched })
  it.each([
    ['OD 1/4', 0.047],
    ['OD 3/8', 0.062],
    ['OD 1/2', 0.062],
    ['OD 3/4', 0.062],
    ['OD 1', 0.062],
    ['OD 1-1/4', 0.075],
  ])('%s: wall %p in', (size, inch) => expect((flare(size).wallMm as number) / 25.4).toBeCloseTo(inch, 9))
  it('heat is known for 1/4 (15 s) and 3/4 (25 s), torque for 3/4 (14 in-lbf)', () => {
    expect(['OD 1/4', 'OD 3/8', 'OD 1/2', 'OD 3/4', 'OD 1', 'OD 1-1/4'].map((s) => flare(s).heatS)).toEqual([
      15,
      null,
      null,
      25,
      null,
      null,
    ])
    expect(flare('OD 3/4').minTorqueNm).toBeCloseTo(1.5818, 4)
    expect(flare('OD 1/4').minTorqueNm).toBeNull()
  })
  it('held 20 s and quenched, or 2 min', () =>
    expect([flare('OD 1/2', false, true).holdS, flare('OD 1/2').holdS]).toEqual([20, 120]))
  it('the gap is 0.080 to 0.150 in', () => {
    expect(flare('OD 1').gapMinMm).toBeCloseTo(2.032, 9)
    expect(flare('OD 1').gapMaxMm).toBeCloseTo(3.81, 9)
  })
  it('1-1/2 and 5/8 are not made; metric is not joined so', () => {
    for (const size of ['OD 1-1/2', 'OD 5/8'])
      expect(refused('flare', { size, grooved: false, quenched: true })).toBe('unknown-size size')
    expect(refused('flare', { size: 'd12', grooved: false, quenched: true })).toBe('not-joinable size')
  })
})

describe('compression', () => {
  const turn = (kind: string, size: string, hardAlloy = false, remake = false) =>
    ask('compression', { kind, size, hardAlloy, remake })
  it.each([
    ['OD 1/4', false, 'finger', 1.25, 9],
    ['OD 3/8', false, 'finger', 1.25, 9],
    ['OD 1/2', false, 'tube-tight', 1.25, 9],
    ['OD 3/8', true, 'tube-tight', 1.25, 9],
    ['d10', false, 'finger', 1.25, 9],
    ['d12', false, 'tube-tight', 1.25, 9],
    ['OD 3/16', false, 'finger', 0.75, 3],
    ['OD 1/16', false, 'finger', 0.75, 3],
    ['d4', false, 'finger', 0.75, 3],
    ['d6', false, 'finger', 1.25, 9],
    ['OD 1', false, 'tube-tight', 1.25, 9],
  ])('twin ferrule %s, hard %p: from %s %p turns, ends at %p', (size, hard, start, turns, clock) =>
    expect(turn('twin-ferrule', size, hard)).toMatchObject({
      start,
      turnsMin: turns,
      turnsMax: turns,
      flatsMin: turns * 6,
      markEndsAtClock: clock,
    }),
  )
  it('remade: to finger tight, then about a quarter', () =>
    expect(turn('twin-ferrule', 'OD 1/2', false, true)).toMatchObject({
      start: 'finger',
      turnsMin: 0.25,
      markEndsAtClock: null,
    }))
  it.each([
    ['packed-nut', 'first-compression', 1, 1.5],
    ['grip-nut', 'first-compression', 1.5, 2.5],
    ['stop-nut', 'stop', null, null],
    ['stab', 'push', null, null],
  ])('%s: from %s, %p to %p turns', (kind, start, turnsMin, turnsMax) =>
    expect(turn(kind, 'CTS 1')).toMatchObject({ start, turnsMin, turnsMax }),
  )
  it('a 5 in tube is not made; a DN size is not a tube', () => {
    expect(
      refused('compression', { kind: 'twin-ferrule', size: 'OD 5', hardAlloy: false, remake: false }),
    ).toBe('unknown-size size')
    expect(
      refused('compression', { kind: 'twin-ferrule', size: 'DN 40', hardAlloy: false, remake: false }),
    ).toBe('not-joinable size')
    expect(refused('compression', { kind: 'ferrule', size: 'OD 1', hardAlloy: false, remake: false })).toBe(
      'bad-input kind',
    )
  })
})

describe('press', () => {
  const base = {
    material: 'copper',
    size: 'd22',
    depthMm: 30,
    stamped: false,
    indicatorGone: true,
    markAtEdge: true,
  }
  const check = (more: Record<string, unknown> = {}) => ask('press-check', { ...base, ...more })
  it.each([
    [true, true, 'pass'],
    [false, true, 'unknown'],
    [true, false, 'fail'],
    [false, false, 'fail'],
  ])('indicator gone %p, mark at the edge %p: %s', (indicatorGone, markAtEdge, verdict) =>
    expect(check({ indicatorGone, markAtEdge }).verdict).toBe(verdict),
  )
  it.each([
    ['CTS 1-1/2', 101.6],
    ['CTS 2', 152.4],
    ['d42', 101.6],
    ['d54', 152.4],
  ])('%s stands %p mm from a weld and from a bend (4 in, 6 in)', (size, mm) => {
    for (const field of ['toWeldMm', 'toBendMm']) {
      expect(check({ size, depthMm: 90, [field]: mm }).verdict).toBe('pass')
      expect(check({ size, depthMm: 90, [field]: mm - 0.1 }).verdict).not.toBe('pass')
    }
  })
  it('coating at most 0.30 mm; stamped, oil, grease, silicone never', () => {
    expect([check({ coatingMm: 0.3 }).verdict, check({ coatingMm: 0.31 }).verdict]).toEqual(['pass', 'fail'])
    expect(check({ stamped: true }).verdict).toBe('fail')
    for (const lubricant of ['oil', 'grease', 'silicone']) expect(check({ lubricant }).verdict).toBe('fail')
    for (const lubricant of ['water', 'soap', 'none']) expect(check({ lubricant }).verdict).toBe('pass')
  })
  it('short of the depth asked for fails', () =>
    expect([
      check({ depthMm: 20, depthRequiredMm: 20 }).verdict,
      check({ depthMm: 19, depthRequiredMm: 20 }).verdict,
    ]).toEqual(['pass', 'fail']))
  it('sizes end: copper d108 and CTS 4, multilayer d63; stainless begins at d15', () => {
    expect(refused('press-check', { ...base, size: 'd133' })).toBe('unknown-size size')
    expect(refused('press-check', { ...base, size: 'CTS 5' })).toBe('unknown-size size')
    expect(refused('press-check', { ...base, material: 'multilayer', size: 'd75' })).toBe('unknown-size size')
    expect(refused('press-check', { ...base, material: 'stainless', size: 'd12' })).toBe('unknown-size size')
    expect(refused('press-check', { ...base, material: 'pvc' })).toBe('not-joinable material')
  })
})

describe('sanitary clamp: misalignment 2° warns, 3° fails (practice); intrusion 0.025 in (ASME BPE, from memory)', () => {
  const clamp = (more: Record<string, unknown>) =>
    ask('clamp-check', { size: 'BPE 2', gapMinMm: 1, gapMaxMm: 1, intrusionMm: 0, jawsTouch: false, ...more })
  const gapFor = (deg: number): number => 2.516 * 25.4 * Math.tan((deg * Math.PI) / 180)
  it.each([
    [0, 'pass', 0],
    [1.99, 'pass', 0],
    [2.01, 'pass', 1],
    [2.99, 'pass', 1],
    [3.01, 'fail', 1],
  ])('%p°: %s', (deg, verdict, reasons) => {
    const r = clamp({ gapMaxMm: 1 + gapFor(deg) })
    expect(r.misalignmentDeg).toBeCloseTo(deg, 9)
    expect([r.verdict, codes(r).length]).toEqual([verdict, reasons])
  })
  it('two axes combine by their tangents', () => {
    const g = gapFor(1.5)
    const both = clamp({ gapMaxMm: 1 + g, gapMin2Mm: 1, gapMax2Mm: 1 + g })
    const t = Math.tan((1.5 * Math.PI) / 180)
    expect(both.misalignmentDeg).toBeCloseTo((Math.atan(Math.hypot(t, t)) * 180) / Math.PI, 9)
  })
  it('intrusion to 0.635 mm passes, above fails; touching jaws fail', () => {
    expect([clamp({ intrusionMm: 0.635 }).verdict, clamp({ intrusionMm: 0.636 }).verdict]).toEqual([
      'pass',
      'fail',
    ])
    expect(clamp({ jawsTouch: true }).verdict).toBe('fail')
  })
  it('a gap that is least above most is refused; half a second axis too', () => {
    expect(
      refused('clamp-check', { size: 'BPE 2', gapMinMm: 2, gapMaxMm: 1, intrusionMm: 0, jawsTouch: false }),
    ).toBe('bad-input gapMaxMm')
    expect(
      refused('clamp-check', {
        size: 'BPE 2',
        gapMinMm: 1,
        gapMaxMm: 1,
        gapMin2Mm: 1,
        intrusionMm: 0,
        jawsTouch: false,
      }),
    ).toBe('missing-field gapMax2Mm')
    expect(
      refused('clamp-check', { size: 'BPE 5', gapMinMm: 1, gapMaxMm: 1, intrusionMm: 0, jawsTouch: false }),
    ).toBe('unknown-size size')
  })
})
