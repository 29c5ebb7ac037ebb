import { plasticWallMm, ratingAt23Bar } from '../../src/sizes/plastic-walls.js'
import { npsOutsideMm } from '../../src/sizes/diameters.js'

const PSI = 0.0689475729
describe('ASTM D1785, PVC 1120 pipe: least wall in inches and rating in psi at 73 °F (from memory)', () => {
  const ROWS = [
    ['1/2', 0.109, 600, 0.147, 850],
    ['3/4', 0.113, 480, 0.154, 690],
    ['1', 0.133, 450, 0.179, 630],
    ['1-1/4', 0.14, 370, 0.191, 520],
    ['1-1/2', 0.145, 330, 0.2, 470],
    ['2', 0.154, 280, 0.218, 400],
    ['2-1/2', 0.203, 300, 0.276, 420],
    ['3', 0.216, 260, 0.3, 370],
    ['3-1/2', 0.226, 240, 0.318, 350],
    ['4', 0.237, 220, 0.337, 320],
    ['5', 0.258, 190, 0.375, 290],
    ['6', 0.28, 180, 0.432, 280],
    ['8', 0.322, 160, 0.5, 250],
    ['10', 0.365, 140, 0.593, 230],
    ['12', 0.406, 130, 0.687, 230],
    ['14', 0.437, 130, 0.75, 220],
    ['16', 0.5, 130, 0.843, 220],
    ['18', 0.562, 130, 0.937, 220],
    ['20', 0.593, 120, 1.031, 220],
    ['24', 0.687, 120, 1.218, 210],
  ] as const
  it.each(ROWS)('NPS %s: Sch 40 %p in %p psi, Sch 80 %p in %p psi', (n, w40, p40, w80, p80) => {
    for (const [schedule, wall, psi] of [
      ['40', w40, p40],
      ['80', w80, p80],
    ] as const) {
      expect((plasticWallMm(`NPS ${n}`, schedule).value as number) / 25.4).toBeCloseTo(wall, 9)
      expect((ratingAt23Bar(`NPS ${n}`, schedule).value as number) / PSI).toBeCloseTo(psi, 1)
    }
  })
  it('the ratings follow 2 S t / (D - t) with S = 2000 psi, rounded to tens', () => {
    for (const [n, w40, p40, w80, p80] of ROWS)
      for (const [wall, psi] of [
        [w40, p40],
        [w80, p80],
      ] as const) {
        const formula = (2 * 2000 * wall) / ((npsOutsideMm(n) as number) / 25.4 - wall)
        expect(Math.abs(formula - psi)).toBeLessThan(10)
      }
  })
})
