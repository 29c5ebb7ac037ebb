import {
  armMm,
  filledWeight,
  growthMm,
  hangerSpacingMm,
  litresPerMetre,
  sagSpanMm,
  sourceOf,
} from '../../src/index.js'

/** Written apart from the tables of the code, in the units of the sources. All from memory. */
const FT = 304.8
const pipe = (material: string, size: string, series: string | null = null) => ({
  material,
  size,
  series,
})

describe('hanger spacing: IPC table 308.5, horizontal, feet', () => {
  it.each([
    ['pvc', 'NPS 1/2', '40', 4],
    ['pvc', 'NPS 6', '80', 4],
    ['pvc-u', 'd110', null, 4],
    ['abs', 'd63', null, 4],
    ['cpvc', 'NPS 1', '80', 3],
    ['cpvc', 'CTS 1', null, 3],
    ['cpvc', 'NPS 1-1/4', '80', 4],
    ['copper', 'CTS 1-1/4', null, 6],
    ['copper', 'CTS 1-1/2', null, 10],
    ['copper', 'd28', null, 6],
    ['copper', 'd42', null, 10],
    ['carbon-steel', 'NPS 2', null, 12],
    ['pex', 'CTS 3/4', null, 32 / 12],
    ['pp-r', 'd32', null, 32 / 12],
    ['pp-r', 'd63', null, 4],
  ])('%s %s: %s, %p ft', (material, size, series, feet) => {
    const f = hangerSpacingMm(pipe(material, size, series), 20)
    expect(f.value).toBeCloseTo(feet * FT, 6)
    expect(f.value !== null && sourceOf(f.source).reference).toContain('IPC')
  })
  it('has no figure where the wall is warm, or where none is known', () => {
    expect(hangerSpacingMm(pipe('pvc-u', 'd110'), 45)).toMatchObject({
      value: null,
      why: { code: 'span-too-warm' },
    })
    expect(hangerSpacingMm(pipe('cpvc', 'NPS 1', '80'), 60).value).not.toBeNull()
    expect(hangerSpacingMm(pipe('epoxy-resin', 'NPS 4'), 20)).toMatchObject({
      value: null,
      why: { code: 'span-unknown' },
    })
  })
})

describe('growth and arms: common practice, no published source', () => {
  it('20 m of PVC-U from 5 to 25 degrees grows about 3 cm', () => {
    const mm = growthMm('pvc-u', 20_000, 5, 25).value as number
    expect(mm).toBeGreaterThan(28)
    expect(mm).toBeLessThan(34)
  })
  it('cooling shortens by as much', () =>
    expect(growthMm('copper', 10_000, 60, 10).value).toBeCloseTo(
      -(growthMm('copper', 10_000, 10, 60).value as number),
      9,
    ))
  it('plastics grow several times as much as metals', () => {
    const per = (m: string) => growthMm(m, 1000, 0, 1).value as number
    for (const plastic of ['pvc-u', 'pvc', 'cpvc', 'abs', 'pp-r', 'pe'])
      for (const metal of ['copper', 'carbon-steel', 'stainless'])
        expect(per(plastic)).toBeGreaterThan(3 * per(metal))
  })
  it('an arm follows the root of diameter and growth: twice as long for four times either', () => {
    const arm = (size: string, g: number) => armMm(pipe('pvc-u', size), g).value as number
    expect(arm('d40', 40) / arm('d40', 10)).toBeCloseTo(2, 9)
    expect(arm('d160', 10) / arm('d40', 10)).toBeCloseTo(2, 9)
    expect(arm('d110', 32)).toBeCloseTo(33.5 * Math.sqrt(110 * 32), 6)
    expect(armMm(pipe('stainless', 'd54'), 10).value).toBeNull()
  })
})

describe('weight and sag', () => {
  it('a metre of d110 holds what its bore holds', () => {
    // ISO 4065, SDR 21: wall 5.3 mm.
    expect(litresPerMetre(pipe('pvc-u', 'd110')).value).toBeCloseTo((Math.PI / 4) * 0.994 ** 2 * 10, 6)
  })
  it('2 in Sch 40 PVC, empty and full: about 0.68 and 2.1 lb/ft (handbooks)', () => {
    const perFoot = (kgM: number | null) => ((kgM ?? 0) * 0.3048) / 0.45359237
    const empty = perFoot(filledWeight(pipe('pvc', 'NPS 2', '40'), 0).value)
    const full = perFoot(filledWeight(pipe('pvc', 'NPS 2', '40')).value)
    expect(Math.abs(empty - 0.68)).toBeLessThan(0.04)
    expect(Math.abs(full - 2.13)).toBeLessThan(0.08)
  })
  it('the sag of the span is a five-hundredth, by the beam put together step by step', () => {
    const p = pipe('pvc-u', 'd110')
    const L = sagSpanMm(p, 20).value as number
    // Deflection of a beam of several spans, q L^4 / (185 E I), in SI units.
    const [D, d] = [0.11, 0.0994]
    const I = (Math.PI / 64) * (D ** 4 - d ** 4)
    const q = (filledWeight(p).value as number) * 9.80665
    const E = (420_000 * 6894.757) / 2
    expect((q * (L / 1000) ** 4) / (185 * E * I) / (L / 1000)).toBeCloseTo(1 / 500, 8)
    expect(L).toBeGreaterThan(2000)
    expect(L).toBeLessThan(2600)
  })
  it('seawater weighs more, so supports stand closer', () =>
    expect(sagSpanMm(pipe('pvc-u', 'd110'), 20, 1025).value as number).toBeLessThan(
      sagSpanMm(pipe('pvc-u', 'd110'), 20).value as number,
    ))
  it('has no figure in the warm', () => expect(sagSpanMm(pipe('pvc-u', 'd110'), 30).value).toBeNull())
})
