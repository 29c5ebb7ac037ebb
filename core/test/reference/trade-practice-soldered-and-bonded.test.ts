import { ask, refused } from './door.js'

/** Common practice, no published source, unless a line says otherwise. */
const F = (f: number): number => ((f - 32) * 5) / 9

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
