import { ask, refused } from './door.js'

/** Common practice, no published source, unless a line says otherwise. */
const F = (f: number): number => ((f - 32) * 5) / 9
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

describe('peeled solder joint: 70 % covered, no void over 30 %, no path through', () => {
  const peel = (...rows: string[]) => ask('peel', { grid: rows.map((r) => [...r].map(Number)) })
  it('full is good', () =>
    expect(peel('1111', '1111')).toMatchObject({
      coveragePct: 100,
      largestVoidPct: 0,
      leakPath: false,
      verdict: 'pass',
    }))
  it('70 % and 30 % just pass', () =>
    expect(peel(...Array.from({ length: 4 }, () => '1110001111'))).toMatchObject({
      coveragePct: 70,
      largestVoidPct: 30,
      verdict: 'pass',
    }))
  it('a longer void fails', () =>
    expect(peel('1100001111', '1111111111', '1111111111', '1111111111')).toMatchObject({
      largestVoidPct: 40,
      verdict: 'fail',
    }))
  it('a bare path from face to stop fails, also across a corner and round the back', () => {
    expect(peel('0011', '1100', '1111', '1111', '1111')).toMatchObject({ leakPath: true, verdict: 'fail' })
    expect(peel('0111', '1111', '1111', '1011')).toMatchObject({ leakPath: false })
    expect(peel('0011', '1111', '1111', '1100')).toMatchObject({ leakPath: true })
  })
  it('ragged, empty and other figures are refused', () => {
    expect(refused('peel', { grid: [] })).toBe('bad-input grid')
    expect(refused('peel', { grid: [[1, 0], [1]] })).toBe('bad-input grid[1]')
    expect(refused('peel', { grid: [[1, 2]] })).toBe('bad-input grid[0][1]')
  })
})

describe('adhesive-bonded resin pipe', () => {
  const bond = (more: Record<string, unknown> = {}) =>
    ask('adhesive-bond', {
      material: 'vinyl-ester-resin',
      size: 'NPS 4',
      airC: F(75),
      pipeC: F(75),
      sandedAtS: 0,
      nowS: 600,
      ...more,
    })
  it.each([
    [40, 'cold'],
    [69.9, 'cold'],
    [70, 'whole'],
    [100, 'whole'],
    [100.1, 'hot'],
  ])('%p °F: catalyst %s', (f, catalyst) => expect(bond({ airC: F(f) }).catalyst).toBe(catalyst))
  it('no figure for the catalyst below 40 °F; epoxy kits have no choice', () => {
    expect(bond({ airC: F(39) }).catalyst).toBeNull()
    expect(bond({ material: 'epoxy-resin' }).catalyst).toBeNull()
  })
  it.each([
    [69, null, true],
    [70, 86400, false],
    [100, 86400, false],
    [101, null, false],
  ])('%p °F: cure %p s, blanket %p', (f, cureS, blanketNeeded) =>
    expect(bond({ airC: F(f) })).toMatchObject({ cureS, blanketNeeded }),
  )
  it('cut at 55 °F and warmer, cored pipe at 100 °F', () => {
    expect([bond({ pipeC: F(55) }).ok, bond({ pipeC: F(54) }).ok]).toEqual([true, false])
    expect([
      bond({ material: 'cored-resin', pipeC: F(100) }).ok,
      bond({ material: 'cored-resin', pipeC: F(99) }).ok,
    ]).toEqual([true, false])
  })
  it('sand 1/2 in beyond the depth; again after 2 h', () => {
    expect(bond({ depthMm: 50 }).sandToMm).toBeCloseTo(62.7, 9)
    expect(bond().sandToMm).toBeNull()
    expect([bond({ nowS: 7199 }).ok, bond({ nowS: 7201 }).ok, bond().resandAfterS]).toEqual([
      true,
      false,
      7200,
    ])
  })
  it('NPS 16 is not made, sanding in the future is refused', () => {
    const base = { material: 'epoxy-resin', size: 'NPS 4', airC: 20, pipeC: 20, sandedAtS: 10, nowS: 5 }
    expect(refused('adhesive-bond', base)).toBe('bad-input nowS')
    expect(refused('adhesive-bond', { ...base, nowS: 20, size: 'NPS 16' })).toBe('unknown-size size')
  })
})

describe('what needs no cure says so', () => {
  it.each([
    ['press', 'copper', 'd22'],
    ['compression', 'stainless', 'OD 1/2'],
    ['sanitary-clamp', 'stainless', 'DN 40'],
    ['flare', 'pfa', 'OD 1/2'],
    ['split-coupling', 'carbon-steel', 'NPS 8'],
    ['expansion-joint', 'carbon-steel', 'NPS 8'],
    ['flange', 'pvc-u', 'd110'],
  ])('%s', (method, material, size) =>
    expect(
      refused('cure', {
        method,
        material,
        size,
        school: 'metric',
        testPressureBar: 5,
        relativeHumidityPct: 50,
        temperatureC: 20,
        mode: 'coldest',
      }),
    ).toBe('no-figure method'),
  )
  it.each([
    ['socket-fusion', 'pp-r', 'd63', 360, 3960],
    ['solder', 'copper', 'd22', 1200, 1200],
    ['adhesive-bond', 'epoxy-resin', 'NPS 4', null, 86400],
  ])('%s: set %p, cure %p', (method, material, size, setS, cureS) =>
    expect(
      ask('cure', {
        method,
        material,
        size,
        school: 'metric',
        testPressureBar: 5,
        relativeHumidityPct: 50,
        temperatureC: 25,
        mode: 'coldest',
      }),
    ).toEqual({ setS, cureS }),
  )
})
