import { outsideDiameterMm, parseSize } from '../../src/sizes/size.js'
import { copperWallMm } from '../../src/sizes/copper.js'
import { ask, depthMm, refused } from './door.js'

const INCH = 25.4

describe('ASME B16.22, depth of solder cups, inches, by nominal (standard) size (from memory)', () => {
  it.each([
    ['1/4', 0.31],
    ['3/8', 0.38],
    ['1/2', 0.5],
    ['5/8', 0.62],
    ['3/4', 0.75],
    ['1', 0.91],
    ['1-1/4', 0.97],
    ['1-1/2', 1.09],
    ['2', 1.34],
    ['2-1/2', 1.47],
    ['3', 1.66],
    ['3-1/2', 1.91],
    ['4', 2.16],
  ])('CTS %s: %p in', (size, inch) => {
    expect(depthMm('solder', 'copper', `CTS ${size}`) / INCH).toBeCloseTo(inch, 9)
    expect((ask('solder', { size: `CTS ${size}`, school: 'inch' }).cupDepthMm as number) / INCH).toBeCloseTo(
      inch,
      9,
    )
  })
  it('the range ends at 1/4 and at 4: smaller and larger are not made', () => {
    expect(refused('solder', { size: 'CTS 1/8', school: 'inch' })).toBe('unknown-size size')
    expect(refused('solder', { size: 'CTS 5', school: 'inch' })).toBe('unknown-size size')
  })
})

describe('EN 1254-1, shortest length of a capillary end, mm (from memory)', () => {
  it.each([
    ['d6', 5.8],
    ['d8', 6.8],
    ['d10', 7.8],
    ['d12', 8.6],
    ['d14', 10.6],
    ['d15', 10.6],
    ['d16', 10.6],
    ['d18', 12.6],
    ['d22', 15.4],
    ['d28', 18.4],
    ['d35', 23],
    ['d42', 27],
    ['d54', 32],
    ['d64', 32.5],
    ['d66.7', 33.5],
    ['d76.1', 33.5],
    ['d88.9', 37.5],
    ['d108', 47.5],
  ])('%s: %p mm', (size, mm) => {
    expect(depthMm('solder', 'copper', size)).toBeCloseTo(mm, 9)
    expect(ask('solder', { size, school: 'metric' }).cupDepthMm).toBeCloseTo(mm, 9)
  })
  it('d4 and d133 are not made here', () => {
    expect(refused('solder', { size: 'd4', school: 'metric' })).toBe('unknown-size size')
    expect(refused('solder', { size: 'd133', school: 'metric' })).toBe('unknown-size size')
  })
})

describe('ASTM B88, copper water tube, inches (from memory)', () => {
  // Outside diameter is the standard size plus 1/8 in; walls of types K, L, M.
  it.each([
    ['1/4', 0.375, 0.035, 0.03, null],
    ['3/8', 0.5, 0.049, 0.035, 0.025],
    ['1/2', 0.625, 0.049, 0.04, 0.028],
    ['5/8', 0.75, 0.049, 0.042, null],
    ['3/4', 0.875, 0.065, 0.045, 0.032],
    ['1', 1.125, 0.065, 0.05, 0.035],
    ['1-1/4', 1.375, 0.065, 0.055, 0.042],
    ['1-1/2', 1.625, 0.072, 0.06, 0.049],
    ['2', 2.125, 0.083, 0.07, 0.058],
    ['2-1/2', 2.625, 0.095, 0.08, 0.065],
    ['3', 3.125, 0.109, 0.09, 0.072],
    ['3-1/2', 3.625, 0.12, 0.1, 0.083],
    ['4', 4.125, 0.134, 0.11, 0.095],
  ])('%s: outside %p, K %p, L %p, M %p', (n, od, k, l, m) => {
    const size = parseSize(`CTS ${n}`)
    expect(size && (outsideDiameterMm(size) as number) / INCH).toBeCloseTo(od, 9)
    for (const [type, inch] of [
      ['K', k],
      ['L', l],
      ['M', m],
    ] as const) {
      const wall = copperWallMm(`CTS ${n}`, type)
      if (inch === null) expect(wall.value).toBeNull()
      else expect((wall.value as number) / INCH).toBeCloseTo(inch, 9)
    }
  })
})

describe('Copper Tube Handbook and ASTM B828 practice: wire and cooling (common practice)', () => {
  const wireInch = (size: string): number => (ask('solder', { size, school: 'inch' }).wireMm as number) / INCH
  it('to 1 in the wire used is as long as the joint is wide', () => {
    expect(wireInch('CTS 1/2')).toBeCloseTo(0.5, 9)
    expect(wireInch('CTS 3/4')).toBeCloseTo(0.75, 9)
    expect(wireInch('CTS 1')).toBeCloseTo(1, 9)
  })
  it('above that the joint itself asks for more: about 3 in at 2, about 9 in at 4', () => {
    expect(Math.abs(wireInch('CTS 2') - 3)).toBeLessThan(0.3)
    expect(Math.abs(wireInch('CTS 4') - 9)).toBeLessThan(0.5)
  })
  it('cools 10 to 20 min', () =>
    expect(ask('solder', { size: 'd22', school: 'metric' })).toMatchObject({ coolMinS: 600, coolMaxS: 1200 }))
})
