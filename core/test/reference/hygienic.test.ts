import { outsideDiameterMm, parseSize } from '../../src/sizes/size.js'
import { flangeOdMm, hygienicWallMm } from '../../src/sizes/hygienic.js'

const INCH = 25.4
const size = (text: string) => parseSize(text) as NonNullable<ReturnType<typeof parseSize>>

describe('ASME BPE, tube and ferrule flange diameters, inches (from memory)', () => {
  it.each([
    ['1/4', 0.25, 0.035, 0.992],
    ['3/8', 0.375, 0.035, 0.992],
    ['1/2', 0.5, 0.065, 0.992],
    ['3/4', 0.75, 0.065, 0.992],
    ['1', 1, 0.065, 1.984],
    ['1-1/2', 1.5, 0.065, 1.984],
    ['2', 2, 0.065, 2.516],
    ['2-1/2', 2.5, 0.065, 3.047],
    ['3', 3, 0.065, 3.579],
    ['4', 4, 0.083, 4.682],
    ['6', 6, 0.109, 6.57],
  ])('BPE %s: tube %p, wall %p, flange %p', (n, od, wall, flange) => {
    const s = size(`BPE ${n}`)
    expect((outsideDiameterMm(s) as number) / INCH).toBeCloseTo(od, 9)
    expect((hygienicWallMm(s).value as number) / INCH).toBeCloseTo(wall, 9)
    expect((flangeOdMm(s).value as number) / INCH).toBeCloseTo(flange, 9)
  })
})

describe('DIN 32676 series A, tube (DIN 11866 A) and flange diameters, mm (from memory)', () => {
  it.each([
    [10, 13, 1.5, 34],
    [15, 19, 1.5, 34],
    [20, 23, 1.5, 34],
    [25, 29, 1.5, 50.5],
    [32, 35, 1.5, 50.5],
    [40, 41, 1.5, 50.5],
    [50, 53, 1.5, 64],
    [65, 70, 2, 91],
    [80, 85, 2, 106],
    [100, 104, 2, 119],
  ])('DN %p: tube %p x %p, flange %p', (dn, od, wall, flange) => {
    const s = size(`DN ${dn}`)
    expect(outsideDiameterMm(s)).toBeCloseTo(od, 9)
    expect(hygienicWallMm(s).value).toBeCloseTo(wall, 9)
    expect(flangeOdMm(s).value).toBeCloseTo(flange, 9)
  })
})
