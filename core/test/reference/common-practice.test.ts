import { CALCULATIONS } from '../../src/calc/index.js'

/** Facts of the trade: common practice, no published source. */
const run = (name: string, input: Record<string, unknown>) => {
  const c = CALCULATIONS.get(name)
  if (!c) throw new Error(name)
  return c.run(input)
}
const metric = (material: string, size: string, bar: number, temperatureC: number, rh = 50) =>
  run('cure', {
    method: 'solvent-cement',
    material,
    size,
    school: 'metric',
    testPressureBar: bar,
    relativeHumidityPct: rh,
    temperatureC,
    mode: 'coldest',
  })
const H = 3600

describe('PVC-U, metric: one hour per bar', () => {
  it('6 bar is 6 h at 18 °C', () =>
    expect(metric('pvc-u', 'd63', 6, 18).result).toEqual({ setS: 300, cureS: 6 * H }))
  it('at 10 °C and below the inch row of the next size counts when it is slower', () => {
    expect(metric('pvc-u', 'd110', 1, 7).result.cureS).toBe(4 * H)
    expect(metric('pvc-u', 'd110', 1, 7, 80).result.cureS).toBe(6 * H)
    expect(metric('pvc-u', 'd110', 9, 7).result.cureS).toBe(9 * H)
    expect(metric('pvc-u', 'd110', 12, 7).result.cureS).toBe(48 * H)
    expect(metric('pvc-u', 'd20', 12, 7).result.cureS).toBe(12 * H)
  })
  it('names both sources when both were counted', () => {
    expect(metric('pvc-u', 'd110', 1, 7).sources.find((s) => s.figure === 'cureS')?.from).toEqual([
      'cp-hours-per-bar',
      'astm-d2855',
    ])
    expect(metric('pvc-u', 'd110', 1, 18).sources.find((s) => s.figure === 'cureS')?.kind).toBe(
      'common-practice',
    )
  })
  it('has no figure below 5 °C, above 40 °C, above d160, above 16 bar', () => {
    expect(() => metric('pvc-u', 'd160', 9, 3)).toThrow(/No figure/)
    expect(() => metric('pvc-u', 'd63', 6, 41)).toThrow(/No figure/)
    expect(() => metric('pvc-u', 'd200', 6, 18)).toThrow(/No figure for d200/)
    expect(() => metric('pvc-u', 'd63', 17, 18)).toThrow(/ends lower/)
  })
  it('set: 5 min to d110, the inch row above', () => {
    expect(metric('pvc-u', 'd110', 6, 18).result.setS).toBe(300)
    expect(metric('pvc-u', 'd125', 6, 18).result.setS).toBe(1800)
    expect(metric('pvc-u', 'd125', 6, 39).result.setS).toBeNull()
  })
})

describe('ABS, metric: 24 h, or 48 h in cold and heat', () => {
  it.each([
    [20, 24],
    [10, 48],
    [5, 48],
    [30, 48],
    [40, 48],
    [29, 24],
  ])('%p °C: %p h', (t, hours) => expect(metric('abs', 'd50', 6, t).result.cureS).toBe(hours * H))
  it('set 10 min, 15 min at 10 °C and below, none known above d140', () => {
    expect(metric('abs', 'd140', 6, 20).result.setS).toBe(600)
    expect(metric('abs', 'd140', 6, 10).result.setS).toBe(900)
    expect(metric('abs', 'd160', 6, 20).result.setS).toBeNull()
  })
  it('nothing outside 5 to 40 °C', () => expect(() => metric('abs', 'd50', 6, 4.9)).toThrow(/No figure/))
})

const setup = (over: Record<string, unknown>) =>
  run('solvent-setup', {
    material: 'pvc',
    size: 'NPS 2',
    school: 'inch',
    pressureService: true,
    airC: 20,
    pipeC: 20,
    relativeHumidityPct: 50,
    ...over,
  }).result as Record<string, unknown> & { reasons: { code: string; level: string }[] }

describe('what to fetch and how long', () => {
  it.each([
    ['NPS 2', true, 'regular'],
    ['NPS 2-1/2', true, 'medium'],
    ['NPS 4', false, 'regular'],
    ['NPS 6', true, 'medium'],
    ['NPS 8', true, 'heavy'],
    ['NPS 12', true, 'heavy'],
    ['NPS 14', true, 'extra-heavy'],
    ['NPS 18', false, 'heavy'],
  ])('%s pressure %p: %s body', (size, pressureService, body) =>
    expect(setup({ size, pressureService }).cementBody).toBe(body),
  )
  it.each([
    ['NPS 2', 20, 30],
    ['NPS 2', 10, 60],
    ['NPS 4', 20, 60],
    ['NPS 8', 20, 180],
  ])('%s at %p °C is held %p s', (size, t, s) =>
    expect(setup({ size, airC: t, pipeC: t, relativeHumidityPct: 40 }).holdS).toBe(s),
  )
  it('metric: hold, crew, chamfer, open time', () => {
    const m = (size: string, material = 'pvc-u', t = 20) =>
      setup({ size, material, school: 'metric', airC: t, pipeC: t })
    expect([m('d63').holdS, m('d75').holdS, m('d110').holdS, m('d125').holdS]).toEqual([30, 60, 60, 180])
    expect([m('d90').crew, m('d110').crew, m('d75', 'abs').crew, m('d90', 'abs').crew]).toEqual([1, 2, 1, 2])
    expect(m('d50').chamfer).toEqual({ minMm: 2, maxMm: 3, minDeg: null, maxDeg: null })
    expect(m('d250').chamfer).toMatchObject({ minMm: 6, maxMm: 8 })
    expect([m('d63').openTimeS, m('d63', 'abs').openTimeS, m('d63', 'pvc-u', 5).openTimeS]).toEqual([
      240, 60, 240,
    ])
    expect(m('d63', 'pvc-u', 30).openTimeS).toBeCloseTo(120, 9)
    expect(m('d63').primer).toBe(false)
  })
  it('inch: primer on PVC and CPVC, never on ABS; half the diameter', () => {
    expect(setup({}).primer).toBe(true)
    expect(setup({ material: 'cpvc', cement: 'one-step' }).primer).toBe(false)
    expect(setup({ material: 'abs' }).primerWindowS).toBeNull()
    expect(setup({}).primerWindowS).toBe(300)
    expect(setup({}).applicatorMinMm).toBeCloseTo(30.1625, 6)
  })
  it('stops: condensation, cold, heat, wrong and old cement', () => {
    const codes = (o: Record<string, unknown>) =>
      setup(o)
        .reasons.filter((r) => r.level === 'stop')
        .map((r) => r.code)
    expect(codes({ pipeC: 9, relativeHumidityPct: 50 })).toContain('condensation')
    expect(codes({ airC: 4, pipeC: 4, relativeHumidityPct: 50 })).toEqual(['too-cold'])
    expect(codes({ airC: 4, pipeC: 4, relativeHumidityPct: 50, cementRatedMinC: -26 })).toEqual([])
    expect(codes({ pipeC: 46 })).toEqual(['too-hot'])
    expect(codes({ cement: 'cpvc' })).toEqual(['wrong-cement'])
    expect(codes({ cement: 'pvc-u' })).toEqual([])
    expect(codes({ cement: 'transition' })).toEqual(['transition-under-pressure'])
    expect(codes({ tinExpired: true })).toEqual(['tin-expired'])
  })
})

describe('check mark, pass -2 to +3 mm', () => {
  it.each([
    [48, 'pass'],
    [53, 'pass'],
    [53.1, 'fail'],
    [47.9, 'unknown'],
  ])('%p mm: %s', (readingMm, verdict) =>
    expect(run('insertion-verdict', { readingMm, checkOffsetMm: 50, depthMm: 61 }).result.verdict).toBe(
      verdict,
    ),
  )
})

describe('pipe-in-pipe and cut lengths', () => {
  it('31.0 and 14.5: +16.5 one end, +33.0 both', () => {
    expect(
      run('dual-containment', { innerSocketMm: 31, outerSocketMm: 14.5, ends: 1 }).result.innerLongerByMm,
    ).toBe(16.5)
    expect(
      run('dual-containment', { innerSocketMm: 31, outerSocketMm: 14.5, ends: 2 }).result.innerLongerByMm,
    ).toBe(33)
  })
  it('centre to face, to the stop, with a gap', () => {
    const cut = (input: Record<string, unknown>) => run('cut-length', input).result.cutMm
    expect(
      cut({
        measure: 'centre-face',
        measuredMm: 800,
        ends: [{ takeOffMm: 44, insertionMm: 61 }, { insertionMm: 61 }],
      }),
    ).toBe(878)
    expect(
      cut({
        measure: 'centre-centre',
        measuredMm: 800,
        ends: [
          { takeOffMm: 105, takeOffTo: 'stop', gapMm: 3 },
          { takeOffMm: 44, insertionMm: 61 },
        ],
      }),
    ).toBe(709)
    // Measured to the face of a fitting whose take-off is kept to the stop: the insertion counts there all the same.
    expect(
      cut({
        measure: 'centre-face',
        measuredMm: 800,
        ends: [
          { takeOffMm: 105, takeOffTo: 'stop' },
          { takeOffMm: 105, takeOffTo: 'stop', insertionMm: 38.1 },
        ],
      }),
    ).toBeCloseTo(733.1, 9)
    expect(
      cut({
        measure: 'face-face',
        measuredMm: 800,
        ends: [
          { takeOffTo: 'stop', insertionMm: 38.1 },
          { takeOffTo: 'face', insertionMm: 38.1 },
        ],
      }),
    ).toBeCloseTo(876.2, 9)
    expect(cut({ measure: 'end-end', measuredMm: 800, ends: [{}, { gapMm: 2 }] })).toBe(798)
    expect(() =>
      cut({
        measure: 'centre-centre',
        measuredMm: 80,
        ends: [
          { takeOffMm: 105, insertionMm: 1 },
          { takeOffMm: 44, insertionMm: 1 },
        ],
      }),
    ).toThrow(/longer than the measure/)
  })
})
