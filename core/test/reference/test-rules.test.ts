import { type TestPlan, testPlan } from '../../src/index.js'

const PSI = 0.0689475729
const MIN = 60
const HOUR = 3600
type Input = Parameters<typeof testPlan>[0]
const NOTHING: Input = {
  rule: 'custom',
  designBar: null,
  workingBar: null,
  stressRatio: null,
  materials: ['carbon-steel'],
  odMm: null,
  custom: null,
}
const asked = (input: Partial<Input>) => testPlan({ ...NOTHING, ...input })
function plan(input: Partial<Input>): TestPlan {
  const made = asked(input)
  if ('missing' in made) throw new Error(made.missing)
  return made
}
const told = (p: TestPlan) => p.stages.map((s) => [s.name, Number(s.bar.toFixed(4)), s.holdS / MIN, s.look])
const codes = (input: Partial<Input>): string[] => plan(input).findings.map((f) => `${f.level} ${f.code}`)

/** Each published rule stage by stage: name, bar, minutes, whether everything is looked at. All from memory. */
describe('test rules, stage by stage', () => {
  it('ASME B31.3 345.4: ten minutes at the test pressure, then every joint at design pressure', () => {
    const made = plan({ rule: 'b31.3-hydro', designBar: 10, stressRatio: 1 })
    expect(told(made)).toEqual([
      ['hold', 15, 10, false],
      ['look-over', 10, 0, true],
    ])
    expect([made.medium, made.allowedDropBar, made.reliefBar, made.source]).toEqual([
      'water',
      null,
      null,
      'b31-3-hydro',
    ])
  })
  it('ASME B31.3 345.4.2: the ratio of stresses counts to 6.5, and unsaid it is said to be one', () => {
    const at = (stressRatio: number | null) => plan({ rule: 'b31.3-hydro', designBar: 10, stressRatio })
    expect([at(1.2).testBar, at(6.5).testBar, at(7).testBar, at(null).testBar]).toEqual([18, 97.5, 97.5, 15])
    expect(codes({ rule: 'b31.3-hydro', designBar: 10, stressRatio: 7 })).toContain('warn stress-ratio-most')
    expect(codes({ rule: 'b31.3-hydro', designBar: 10, stressRatio: 6.5 })).toEqual([])
    expect(codes({ rule: 'b31.3-hydro', designBar: 10 })).toEqual(['warn stress-ratio-one'])
  })
  it('ASME B31.3 345.5: first look, quarters without one, ten minutes, look-over at design pressure', () => {
    const made = plan({ rule: 'b31.3-pneumatic', designBar: 10 })
    const first = 25 * PSI
    const step = (share: number) => Number((first + share * (11 - first)).toFixed(4))
    expect(told(made)).toEqual([
      ['first look', Number(first.toFixed(4)), 0, true],
      ['step', step(0.25), 0, false],
      ['step', step(0.5), 0, false],
      ['step', step(0.75), 0, false],
      ['hold', 11, 10, false],
      ['look-over', 10, 0, true],
    ])
    expect(made.medium).toBe('air')
    expect(codes({ rule: 'b31.3-pneumatic', designBar: 10 })).toEqual(['warn gas-energy'])
  })
  it.each([
    ['ASME B31.9 937.3', { rule: 'b31.9-hydro', designBar: 6 }, 9, 10, null],
    ['IPC 312.5, water at working pressure', { rule: 'ipc-water', workingBar: 5.5 }, 5.5, 15, null],
    ['IPC 312.5, air at 50 psi', { rule: 'ipc-air', materials: ['copper'] }, 50 * PSI, 15, null],
    ['IPC 312.2, ten feet of water', { rule: 'dwv-water' }, 0.298907, 15, null],
    ['IPC 312.3, air at 5 psi', { rule: 'dwv-air' }, 5 * PSI, 15, null],
    ['NFPA 13 wet, 200 psi', { rule: 'nfpa13-wet', workingBar: 10 }, 200 * PSI, 120, 0],
    ['NFPA 13 wet, 50 psi above', { rule: 'nfpa13-wet', workingBar: 11 }, 11 + 50 * PSI, 120, 0],
    ['NFPA 13 dry, 40 psi', { rule: 'nfpa13-dry' }, 40 * PSI, 24 * 60, 1.5 * PSI],
    ['EN 806-4 procedure A', { rule: 'en806-a', designBar: 10 }, 11, 10, 0],
  ] as const)('%s: one hold with everything looked at', (_name, input, bar, minutes, drop) => {
    const made = plan(input as Partial<Input>)
    expect(made.testBar).toBeCloseTo(bar, 4)
    expect(told(made)).toEqual([['hold', Number(made.testBar.toFixed(4)), minutes, true]])
    expect(made.holdS).toBe(minutes * MIN)
    if (drop === null) expect(made.allowedDropBar).toBeNull()
    else expect(made.allowedDropBar).toBeCloseTo(drop, 5)
  })
  it('EN 806-4 procedure B: half an hour at pressure, then half an hour at half of it, no fall', () => {
    const made = plan({ rule: 'en806-b', designBar: 10 })
    expect(told(made)).toEqual([
      ['pump', 11, 30, true],
      ['lower', 5.5, 0, false],
      ['hold', 5.5, 30, true],
    ])
    expect([made.holdS, made.allowedDropBar]).toEqual([30 * MIN, 0])
  })
  it('EN 806-4 procedure C: pumped half an hour, half an hour to settle, two hours with 0.2 bar', () => {
    const made = plan({ rule: 'en806-c', designBar: 10 })
    expect(told(made)).toEqual([
      ['pump', 11, 30, true],
      ['settle', 11, 30, false],
      ['hold', 10.4, 120, true],
    ])
    expect([made.holdS, made.allowedDropBar]).toEqual([2 * HOUR, 0.2])
  })
  it('EN 806-4: plastic that stretches slowly, above 63 mm, and the wait beforehand', () => {
    const of = (materials: string[], odMm: number | null, rule: Input['rule'] = 'en806-a') =>
      codes({ rule, designBar: 10, materials, odMm })
    expect(of(['pex'], null)).toEqual(['warn en806-od-unsaid', 'note en806-wait'])
    expect(of(['pex'], 63)).toEqual(['note en806-wait'])
    expect(of(['pex'], 63.1)).toEqual(['warn en806-b-or-c', 'note en806-wait'])
    expect(of(['pex'], 75, 'en806-c')).toEqual(['note en806-wait'])
    expect(of(['multilayer'], 75)).toEqual(['note en806-wait'])
    expect(of(['copper'], null)).toEqual(['note en806-wait'])
  })
  it('common practice for unpressed fittings: looked for from half a psi to 45 of air, from 15 to 85 of water', () => {
    const air = plan({ rule: 'press-leak-check-air' })
    const water = plan({ rule: 'press-leak-check-water' })
    expect([air.medium, air.holdS, told(air)]).toEqual(['air', 0, [['look-over', 3.1026, 0, true]]])
    expect([water.medium, water.holdS, told(water)]).toEqual(['water', 0, [['look-over', 5.8605, 0, true]]])
    expect([air.testMinBar, water.testMinBar].map((b) => (b ?? NaN) / PSI)).toEqual([
      expect.closeTo(0.5, 6),
      expect.closeTo(15, 6),
    ])
    expect(codes({ rule: 'press-leak-check-air' })).toEqual([])
  })
  it('DVS 2210-1: one and a half times what works, at most 5 bar above PN; three hours and three more', () => {
    const at = (workingBar: number | null, designBar: number | null) =>
      asked({ rule: 'dvs2210-hydro', workingBar, designBar, materials: ['pp-r'] })
    const made = at(6, 10) as TestPlan
    expect(told(made)).toEqual([
      ['pump', 9, 180, true],
      ['hold', 9, 180, true],
    ])
    expect([(at(10, 10) as TestPlan).testBar, (at(12, 10) as TestPlan).testBar]).toEqual([15, 15])
    expect((at(null, 6) as TestPlan).testBar).toBe(9)
    expect((at(6, null) as TestPlan).findings.map((f) => f.code)).toEqual(['pn-unsaid', 'dvs-unsure'])
    expect(made.findings.map((f) => f.code)).toEqual(['dvs-unsure'])
    expect(at(null, null)).toEqual({ missing: 'designBar' })
  })
})

describe('a rule of one\u2019s own', () => {
  const own = { medium: 'nitrogen', holdS: 1800, allowedDropBar: 0.05 } as const
  it('by a pressure, or by a factor of the design pressure', () => {
    const by = plan({ custom: { ...own, bar: 4 } })
    expect([by.testBar, by.holdS, by.allowedDropBar, by.medium, by.source]).toEqual([
      4,
      1800,
      0.05,
      'nitrogen',
      'given',
    ])
    expect(plan({ custom: { ...own, factor: 1.3 }, designBar: 10 }).testBar).toBe(13)
    // The pressure goes before the factor.
    expect(plan({ custom: { ...own, factor: 1.3, bar: 4 }, designBar: 10 }).testBar).toBe(4)
  })
  it('what it lacks is named', () => {
    expect(asked({})).toEqual({ missing: 'custom' })
    expect(asked({ custom: own })).toEqual({ missing: 'custom.factor' })
    expect(asked({ custom: { ...own, factor: 1.3 } })).toEqual({ missing: 'designBar' })
    expect(asked({ rule: 'ipc-water' })).toEqual({ missing: 'workingBar' })
    expect(asked({ rule: 'b31.9-hydro' })).toEqual({ missing: 'designBar' })
  })
})

describe('gas', () => {
  it('is stopped on brittle plastic; the plumbing code leaves out every plastic', () => {
    const stops = (rule: Input['rule'], materials: string[]) =>
      plan({ rule, materials, designBar: 2 })
        .findings.filter((f) => f.level === 'stop')
        .map((f) => f.code)
    expect(stops('ipc-air', ['pex'])).toEqual(['air-not-on-plastic'])
    expect(stops('dwv-air', ['pe'])).toEqual(['air-not-on-plastic'])
    expect(stops('ipc-air', ['pvc'])).toEqual(['gas-on-plastic'])
    expect(stops('b31.3-pneumatic', ['pe'])).toEqual([])
    expect(stops('b31.9-hydro', ['pvc'])).toEqual([])
    expect(stops('ipc-air', ['copper'])).toEqual([])
  })
  it('stores energy, which is said but for the low looks', () => {
    expect(codes({ rule: 'ipc-air', materials: ['copper'] })).toEqual(['warn gas-energy'])
    expect(codes({ rule: 'dwv-air', materials: ['copper'] })).toEqual([])
  })
  it('of what nobody said the material, that is said', () => {
    expect(codes({ rule: 'ipc-water', workingBar: 5, materials: [] })).toEqual(['warn materials-unsaid'])
  })
  it('NFPA 13 without a working pressure, and the other figure for a dry line', () => {
    expect(codes({ rule: 'nfpa13-wet' })).toEqual(['warn working-unsaid'])
    expect(plan({ rule: 'nfpa13-wet' }).testBar).toBeCloseTo(200 * PSI, 5)
    const [other] = plan({ rule: 'nfpa13-dry' }).findings.filter((f) => f.code === 'dry-other-figure')
    expect([other?.params.bar, other?.params.dropBar].map((b) => Number(b) / PSI)).toEqual([
      expect.closeTo(36, 5),
      expect.closeTo(2, 5),
    ])
  })
})
