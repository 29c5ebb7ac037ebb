import { ask, refused } from './door.js'

describe('bolted-joint texts, T = K D F (from memory): lubricated torque in proportion to the nut factor', () => {
  it.each([
    [100, 0.2, 0.15, 75],
    [100, 0.2, 0.1, 50],
    [271, 0.2, 0.2, 271],
    [90, 0.18, 0.12, 60],
  ])('%p Nm dry at %p, lubricated %p: %p Nm', (dry, kDry, kLubricated, torque) =>
    expect(ask('lubricated-torque', { dryTorqueNm: dry, kDry, kLubricated }).torqueNm).toBeCloseTo(torque, 9),
  )
})

describe('ASME PCC-1, legacy tightening patterns (from memory)', () => {
  it.each([
    [4, '1 3 2 4'],
    [8, '1 5 3 7 2 6 4 8'],
    [12, '1 7 4 10 2 8 5 11 3 9 6 12'],
    [16, '1 9 5 13 3 11 7 15 2 10 6 14 4 12 8 16'],
    [20, '1 11 6 16 3 13 8 18 5 15 10 20 2 12 7 17 4 14 9 19'],
    [28, '1 15 8 22 4 18 11 25 6 20 13 27 3 17 10 24 5 19 12 26 2 16 9 23 7 21 14 28'],
    [24, '1 13 7 19 4 16 10 22 2 14 8 20 5 17 11 23 3 15 9 21 6 18 12 24'],
    [32, '1 17 9 25 5 21 13 29 3 19 11 27 7 23 15 31 2 18 10 26 6 22 14 30 4 20 12 28 8 24 16 32'],
  ])('%p bolts', (bolts, order) =>
    expect((ask('star-order', { bolts }).order as number[]).join(' ')).toBe(order),
  )
  it('each bolt once, opposite bolts after each other, for every number it takes', () => {
    for (let n = 4; n <= 32; n += 4) {
      const order = ask('star-order', { bolts: n }).order as number[]
      expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i + 1))
      for (let i = 0; i < n; i += 2)
        expect(Math.abs((order[i] as number) - (order[i + 1] as number))).toBe(n / 2)
    }
  })
  it('6 bolts, none, and 36 are refused', () => {
    for (const bolts of [6, 0, 36, 4.5]) expect(refused('star-order', { bolts })).toBe('bad-input bolts')
  })
})
