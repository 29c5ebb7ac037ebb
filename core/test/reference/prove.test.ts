import jstat from 'jstat'
import { inv, matrix, multiply, transpose } from 'mathjs'
import { fitLine, student975 } from '../../src/prove/verdict/fit.js'
import { storedEnergy } from '../../src/prove/test-plan/energy.js'
import { atEnds, headBar } from '../../src/prove/test-plan/water-column.js'
import { lagged } from '../../src/prove/verdict/physics/lag.js'
import { growthPerK, stretchPerBar, stuffOf } from '../../src/prove/verdict/physics/pipe.js'
import { type Trapped, barPerK, trappedBar } from '../../src/prove/verdict/physics/trapped.js'
import { waterDensity, waterExpansion, waterSqueeze } from '../../src/prove/verdict/physics/water.js'
import { askFor } from './door.js'

describe('water against IAPWS-95 (tabulated values, from memory)', () => {
  it.each([
    [0.01, 999.84],
    [4, 999.97],
    [10, 999.7],
    [20, 998.21],
    [30, 995.65],
    [40, 992.22],
    [60, 983.2],
    [80, 971.79],
  ])('density at %d °C is %d kg/m³', (c, kg) => expect(waterDensity(c)).toBeCloseTo(kg, 1))
  it.each([
    [10, 87.9e-6],
    [20, 206.8e-6],
    [25, 257.1e-6],
    [50, 457.6e-6],
  ])('expansion at %d °C', (c, k) => expect(Math.abs(waterExpansion(c) / k - 1)).toBeLessThan(0.01))
  it.each([
    [0, 50.89e-6],
    [20, 45.89e-6],
    [25, 45.25e-6],
    [50, 44.17e-6],
  ])('compressibility at %d °C', (c, k) => expect(Math.abs(waterSqueeze(c) / k - 1)).toBeLessThan(0.002))
})

describe('trapped water', () => {
  const pipe = (material: string, odMm: number, wallMm: number, waterC: number): Trapped => {
    const stuff = stuffOf(material)
    if (!stuff) throw new Error(material)
    return {
      bar: 6,
      waterC,
      pipeC: waterC,
      air: 0,
      growthPerK: growthPerK(stuff, 'free'),
      stretchPerBar: stretchPerBar(stuff, odMm, wallMm, 'free'),
    }
  }
  it('rises by some 14 bar for 10 K in steel; falls by a few bar near 10 °C in PVC-U, and rises a little at 25 °C', () => {
    const steel = trappedBar(pipe('carbon-steel', 114.3, 6, 10), 20, 20) - 6
    expect(steel).toBeGreaterThan(12)
    expect(steel).toBeLessThan(25)
    const cool = trappedBar(pipe('pvc-u', 110, 5.3, 8), 18, 18) - 6
    expect(cool).toBeLessThan(-1)
    expect(cool).toBeGreaterThan(-4)
    const warm = trappedBar(pipe('pvc-u', 110, 5.3, 25), 30, 30) - 6
    expect(warm).toBeGreaterThan(0)
    expect(warm).toBeLessThan(2)
  })
  it('a finite step goes the way of the slope at its start', () => {
    // The slope is that of water at one atmosphere; under pressure it expands a hundredth more.
    for (const t of [pipe('copper', 28, 1, 15), pipe('abs', 50, 3, 22)]) {
      const rise = trappedBar(t, t.waterC + 0.01, t.pipeC + 0.01) - t.bar
      expect(Math.abs(rise / (barPerK(t) * 0.01) - 1)).toBeLessThan(0.03)
    }
  })
  it('a thick ring stretches as Lamé says, a thin one as the thin-wall formula', () => {
    const stuff = stuffOf('carbon-steel')
    if (!stuff) throw new Error('no steel')
    const thin = (500 - 2) / 2 / stuff.modulusBar
    expect(stretchPerBar(stuff, 500, 2, 'free') / (thin * (1.25 - stuff.poisson))).toBeCloseTo(1, 1)
    expect(stretchPerBar(stuff, 500, 2, 'anchored') / (thin * (1 - stuff.poisson ** 2))).toBeCloseTo(1, 1)
  })
  it('what follows late comes to a ramp less its own time, and to a step by e-folding', () => {
    const t = Array.from({ length: 2001 }, (_, i) => i * 10)
    const ramp = lagged(
      t,
      t.map((x) => x / 1000),
      600,
    )
    expect(ramp.at(-1)).toBeCloseTo(20 - 0.6, 6)
    const hold = lagged([0, 0.001, 600], [10, 20, 20], 600)
    expect(hold[2]).toBeCloseTo(20 - 10 * Math.exp(-1), 3)
  })
})

describe('the fit against a statistics library', () => {
  const t = Array.from({ length: 20 }, (_, i) => i)
  // Rests that alternate do not resemble their neighbours: ordinary least squares.
  const y = t.map((x) => 3 - 0.2 * x + (x % 2 ? 0.05 : -0.05) * (1 + (x % 3) / 10))
  it('slope and its error are those of ordinary least squares', () => {
    const fit = fitLine(t, y, [], 1e-9)
    const ols = jstat.models.ols(
      y,
      t.map((x) => [1, x]),
    )
    expect(fit?.alike).toBe(0)
    expect(fit?.slope).toBeCloseTo(ols.coef[1] as number, 10)
    expect(fit?.slopeSd).toBeCloseTo(ols.t.se[1] as number, 8)
  })
  it('a direction known beforehand counts as one more observation', () => {
    const hump = t.map((x) => Math.sin(x / 4))
    const fit = fitLine(t, y, [hump], 0.2)
    // With a floor of 0.2 on the rests the variance is known: 0.04.
    const rows = [...t.map((x, i) => [1, x, hump[i] as number]), [0, 0, 0.2]]
    const X = matrix(rows)
    const xtx = inv(multiply(transpose(X), X))
    const b = multiply(multiply(xtx, transpose(X)), matrix([...y, 0])).toArray() as number[]
    expect(fit?.slope).toBeCloseTo(b[1] as number, 8)
    expect(fit?.turned[0]?.value).toBeCloseTo(b[2] as number, 6)
    expect(fit?.slopeSd).toBeCloseTo(0.2 * Math.sqrt(xtx.get([1, 1]) as number), 8)
  })
  it.each([
    [1, 1e-4],
    [2, 1e-4],
    [3, 0.0075],
    [4, 0.0027],
    [5, 0.0012],
    [8, 0.0002],
    [20, 0.0001],
    [100, 0.0001],
  ])('97.5 %% of Student with %d degrees of freedom', (v, within) =>
    expect(Math.abs(student975(v) / jstat.studentt.inv(0.975, v) - 1)).toBeLessThan(within),
  )
})

describe('rules', () => {
  const plan = (input: Record<string, unknown>) =>
    askFor('test-plan', { materials: ['carbon-steel'], ...input })
  it.each([
    ['ASME B31.3 345.4', { rule: 'b31.3-hydro', designBar: 10, stressRatio: 1.2 }, 18],
    ['ASME B31.3 345.5', { rule: 'b31.3-pneumatic', designBar: 10 }, 11],
    ['ASME B31.9 937.3', { rule: 'b31.9-hydro', designBar: 6 }, 9],
    ['IPC 312.5, air', { rule: 'ipc-air' }, 3.4474],
    ['IPC 312.2, 10 ft of water', { rule: 'dwv-water' }, 0.2989],
    ['IPC 312.3, 5 psi', { rule: 'dwv-air' }, 0.34474],
    ['EN 806-4', { rule: 'en806-a', designBar: 10 }, 11],
    ['NFPA 13, 200 psi', { rule: 'nfpa13-wet', workingBar: 8 }, 13.7895],
    ['NFPA 13, 50 psi above working', { rule: 'nfpa13-wet', workingBar: 12 }, 15.4474],
    ['NFPA 13, dry', { rule: 'nfpa13-dry' }, 2.7579],
  ])('%s', (_name, input, bar) => expect(plan(input).result.testBar).toBeCloseTo(bar, 3))
  it('B31.3 pneumatic: first look at the lower of half and 25 psi, relief at test plus the lower of 50 psi and 10 %', () => {
    const low = plan({ rule: 'b31.3-pneumatic', designBar: 2 }).result
    expect((low.stages as { bar: number }[])[0]?.bar).toBeCloseTo(1.1, 9)
    expect(low.reliefBar).toBeCloseTo(2.42, 9)
    const high = plan({ rule: 'b31.3-pneumatic', designBar: 50 }).result
    expect((high.stages as { bar: number }[])[0]?.bar).toBeCloseTo(1.7237, 3)
    expect(high.reliefBar).toBeCloseTo(55 + 3.4474, 3)
    expect((high.stages as { bar: number; name: string }[]).at(-1)).toMatchObject({
      bar: 50,
      name: 'look-over',
    })
  })
  it('NFPA 13 dry: 24 h, 1.5 psi; the other figure is said', () => {
    const dry = plan({ rule: 'nfpa13-dry' })
    expect(dry.result.holdS).toBe(86400)
    expect(dry.result.allowedDropBar).toBeCloseTo(0.10342, 4)
    expect(dry.warnings.map((w) => w.code)).toContain('dry-other-figure')
  })
  it('EN 806-4: slowly stretching plastic above 63 mm wants B or C', () => {
    const codes = (odMm: number) =>
      plan({ rule: 'en806-a', designBar: 10, materials: ['pp-r'], odMm }).warnings.map((w) => w.code)
    expect(codes(75)).toContain('en806-b-or-c')
    expect(codes(63)).not.toContain('en806-b-or-c')
  })
  it.each(['pvc', 'pvc-u', 'cpvc', 'abs'])('no gas on %s, whatever the rule', (m) => {
    for (const rule of ['b31.3-pneumatic', 'ipc-air', 'dwv-air', 'nfpa13-dry', 'press-leak-check-air']) {
      const p = plan({ rule, designBar: 2, materials: ['copper', m] }).result
      expect([rule, p.ok, (p.reasons as { code: string }[])[0]?.code]).toEqual([
        rule,
        false,
        'gas-on-plastic',
      ])
    }
  })
})

describe('rating, head and energy', () => {
  it('PVC Sch 80 threaded takes half; hotter rows rule between rows; Sch 40 is not threaded', () => {
    const rate = (more: Record<string, unknown>) =>
      askFor('derating', { material: 'pvc', size: 'NPS 2', schedule: '80', temperatureC: 22, ...more }).result
    // ASTM D1785: 400 psi at 73 °F.
    expect(rate({}).ratingBar).toBeCloseTo(400 * 0.0689476, 3)
    expect(rate({ threaded: true }).factor).toBe(0.5)
    // 30 °C is 86 °F: the row of 90 °F.
    expect(rate({ temperatureC: 30 }).factor).toBe(0.75)
    expect(() => rate({ schedule: '40', threaded: true })).toThrow(/Sch 80/)
    expect(() => rate({ temperatureC: 70 })).toThrow(/no rating/)
  })
  it('PVC-U by ISO 1452-2: PN10 at 38 °C keeps 0.71; SDR21 is 10 bar to d90 and 12.5 above', () => {
    const rate = (size: string, series: string, temperatureC: number) =>
      askFor('derating', { material: 'pvc-u', size, series, temperatureC }).result.ratingBar
    expect(rate('d63', 'PN10', 38)).toBeCloseTo(7.1, 9)
    expect(rate('d90', 'SDR21', 20)).toBeCloseTo(10, 9)
    expect(rate('d110', 'SDR21', 20)).toBeCloseTo(12.5, 9)
    // ISO 1452-2, above d90: SDR 41, 33, 26, 17 are PN 6, 8, 10, 16.
    expect(['SDR41', 'SDR33', 'SDR26', 'SDR17'].map((s) => rate('d110', s, 20))).toEqual([6, 8, 10, 16])
  })
  it('a gauge 12 m above a PN 10 union may show no more than about 8.8 bar', () => {
    expect(10 - headBar(12)).toBeCloseTo(8.82, 2)
    expect(atEnds(1.2, { gaugeM: 0, lowM: 0, highM: 8.5 }).atHighBar).toBeCloseTo(0.366, 3)
  })
  it('stored energy is that of an expansion without heat, integrated step by step', () => {
    const p1 = 11.01325e5
    let energy = 0
    let v = 1
    const n = 200_000
    const end = (p1 / 1.01325e5) ** (1 / 1.4)
    const dv = (end - 1) / n
    for (let i = 0; i < n; i++) {
      energy += p1 * (v + dv / 2) ** -1.4 * dv
      v += dv
    }
    const e = storedEnergy(1, 10)
    expect(Math.abs(e.energyJ / energy - 1)).toBeLessThan(0.002)
    expect(e.tntKg).toBeCloseTo(e.energyJ / 4_266_920, 9)
    expect(e.distanceM).toBe(30)
    // 150 m³ at 10 bar: 48 kg of TNT; 20 (2 x 48)^(1/3) = 91.6 m, more than the least 60.
    const big = storedEnergy(150, 10)
    expect(big.distanceM).toBeCloseTo(20 * Math.cbrt(2 * big.tntKg), 6)
    expect(big.distanceM).toBeGreaterThan(60)
  })
})
