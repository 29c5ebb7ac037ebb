import jstat from 'jstat'
import { SOFT_GASKET, between, pass, tightened } from '../src/bench/bolts.js'
import { ringBar } from '../src/bench/gasket.js'
import { arrhenius, erf, hotDepthM, lumpedC, semiInfiniteC, wlf } from '../src/bench/heat.js'
import { type Shell, heated } from '../src/bench/shell.js'
import { lapBar, leastPath, meanOf, surface } from '../src/bench/surface.js'
import { chanceOf } from '../src/bench/chance.js'
import { starOrder } from '../src/methods/kit/torque.js'
import { extent, smallest } from '../src/units/extent.js'

describe('heat', () => {
  it('error function: as jstat has it (Cody 1969), to 1.5e-7', () => {
    for (let x = -4; x <= 4; x += 0.01) expect(Math.abs(erf(x) - jstat.erf(x))).toBeLessThan(1.6e-7)
  })
  it('Incropera, example 5.6 (from memory): ground at 20 °C, its surface at -15 °C for 60 days, freezes to 0.68 m', () => {
    const afterS = 60 * 86_400
    expect(semiInfiniteC(20, -15, 0.138e-6, 0.68, afterS)).toBeCloseTo(0, 0)
  })
  it('depth of melt grows with the root of time (Carslaw and Jaeger 1959): four times as long, twice as deep', () => {
    const at = (afterS: number): number => hotDepthM(20, 260, 150, 1.2e-7, afterS)
    expect(at(20) / at(5)).toBeCloseTo(2, 6)
    expect(semiInfiniteC(20, 260, 1.2e-7, at(8), 8)).toBeCloseTo(150, 3)
  })
  it('Incropera, example 5.1 (from memory): a thermocouple of 1 s time constant goes from 25 to 199 °C in gas of 200 °C in 5.2 s', () => {
    expect(lumpedC(25, 200, 1, 5.2)).toBeCloseTo(199, 0)
  })
  it('Arrhenius: 52.9 kJ/mol doubles a rate from 25 to 35 °C (the rule of thumb of chemistry books)', () => {
    expect(arrhenius(52.9, 35, 25)).toBeCloseTo(2, 1)
    expect(arrhenius(52.9, 25, 35) * arrhenius(52.9, 35, 25)).toBeCloseTo(1, 9)
  })
  it('Williams, Landel and Ferry 1955: 10 K above the glass transition 10^-2.83, 50 K 10^-8.58', () => {
    expect(Math.log10(wlf(10))).toBeCloseTo(-2.83, 2)
    expect(Math.log10(wlf(50))).toBeCloseTo(-8.58, 2)
  })
})

describe('a tube in its cup, heated', () => {
  const shell: Shell = { rows: 24, columns: 6, roundM: 0.003, alongM: 0.003, areaHeat: 6000, spreads: 0.5 }
  const even = (w: number): number[][] => Array.from({ length: 24 }, () => Array.from({ length: 6 }, () => w))
  const flame = { intoWM2: even(60_000), aroundC: 20, lossWM2K: 0, drainWM2K: 0, boilsC: null }
  it('no loss, even flame: all that goes in is stored', () => {
    for (const v of heated(shell, flame, 20, 15).flat()) expect(v).toBeCloseTo(20 + (60_000 * 15) / 6000, 6)
  })
  it('losses: as the lumped body has it', () => {
    const got = heated(shell, { ...flame, intoWM2: even(0), lossWM2K: 600 }, 200, 8)
    for (const v of got.flat()) expect(v).toBeCloseTo(lumpedC(200, 20, 6000 / 600, 8), 0)
  })
  it('a flame that goes as the cosine round a ring settles at its flux · R² / (thickness · conductivity) either way', () => {
    const intoWM2 = Array.from({ length: 24 }, (_, r) =>
      Array.from({ length: 6 }, () => 20_000 * Math.cos((2 * Math.PI * r) / 24)),
    )
    const got = heated(shell, { ...flame, intoWM2 }, 20, 400).map((row) => row[0] as number)
    const radius = (24 * 0.003) / (2 * Math.PI)
    expect(extent(got) / 2 / ((20_000 * radius ** 2) / 0.5)).toBeCloseTo(1, 1)
  })
  it('water in it: nothing above boiling', () => {
    expect(Math.max(...heated(shell, { ...flame, boilsC: 100 }, 20, 60).flat())).toBe(100)
  })
})

describe('bolts pull on each other (ASME PCC-1, elastic interaction: sign and order of size)', () => {
  const star = starOrder(8)
  const once = tightened(8, pass(star, 1))
  it('after one pass in star order the bolts tightened early have lost, the last has all, none has more', () => {
    expect(once[(star[7] as number) - 1]).toBe(1)
    for (const early of star.slice(0, 4)) expect(once[early - 1]).toBeLessThan(0.8)
    for (const load of once) expect(load).toBeLessThanOrEqual(1)
  })
  it('passes of 30, 60 and 100 % leave less scatter than one of 100 %, and rounds after them less again', () => {
    const passes = [0.3, 0.6, 1].flatMap((to) => pass(star, to))
    const three = tightened(8, passes)
    const round = (n: number) => Array.from({ length: n }, () => pass([1, 2, 3, 4, 5, 6, 7, 8], 1)).flat()
    const after = tightened(8, [...passes, ...round(2)])
    expect(extent(three)).toBeLessThan(extent(once))
    expect(extent(after)).toBeLessThan(extent(three))
    expect(smallest(after)).toBeGreaterThan(0.7)
  })
  it('bolts that do not touch each other keep what they got', () => {
    expect(tightened(4, pass([1, 3], 1), { beside: 0, next: 0 })).toEqual([1, 0, 1, 0])
    expect(between([1, 0, 1, 0], 0.125)).toBeCloseTo(0.5, 9)
    expect(SOFT_GASKET.beside).toBeGreaterThan(SOFT_GASKET.next)
  })
})

describe('a surface that holds', () => {
  it('shear over the lap carries the pressure on the cross-section (equilibrium, in newtons)', () => {
    const [odMm, depthMm, shear] = [63, 38, 6.2]
    const bar = lapBar(shear, 1, depthMm, odMm)
    const force = (bar / 10) * (Math.PI / 4) * odMm ** 2
    expect(force).toBeCloseTo(shear * Math.PI * odMm * depthMm, 6)
  })
  it('a bare line from face to stop lets everything by; a bare ring takes its share; the way round a wall counts', () => {
    expect(leastPath(surface((row) => (row === 3 ? 0 : 1)))).toBe(0)
    expect(leastPath(surface((_row, deep) => (deep < 0.25 ? 0 : 1)))).toBeCloseTo(0.75, 9)
    // A maze: two walls, each open at one place, on opposite sides.
    const maze = surface((row, deep) =>
      deep < 0.25 && row !== 0 ? 1 : deep > 0.5 && deep < 0.75 && row !== 12 ? 1 : 0,
    )
    expect(leastPath(maze)).toBe(0)
    expect(meanOf(surface(() => 0.5))).toBe(0.5)
  })
  it('a ring is the tighter the more it is squeezed', () => {
    expect(ringBar(0.15, 35)).toBeCloseTo(52.5, 9)
    expect(ringBar(-1, 35)).toBe(0)
  })
})

describe('chance', () => {
  it('the same seed and name, the same figure; about normal, and never far off', () => {
    const chance = chanceOf(7)
    expect(chance.hand('a')).toBe(chanceOf(7).hand('a'))
    expect(chance.hand('a')).not.toBe(chance.hand('b'))
    const many = Array.from({ length: 4000 }, (_, i) => chance.hand(`n${i}`))
    const mean = many.reduce((a, b) => a + b, 0) / many.length
    const spread = Math.sqrt(many.reduce((a, b) => a + (b - mean) ** 2, 0) / many.length)
    expect(Math.abs(mean)).toBeLessThan(0.06)
    expect(spread).toBeGreaterThan(0.9)
    expect(spread).toBeLessThan(1.05)
    expect(Math.max(...many.map(Math.abs))).toBeLessThanOrEqual(2.5)
  })
  it('seeds far apart and below zero are seeds too', () => {
    const all = [0, 1, -1, 2 ** 40, 2 ** 53 - 1].map((seed) => chanceOf(seed).even('x'))
    expect(new Set(all).size).toBe(all.length)
  })
})
