import { ask, refused } from './door.js'

describe('DVS 2207-11, socket fusion of PP (from memory): heat s, longest changeover s, cooling min', () => {
  it.each([
    ['d16', 5, 4, 2],
    ['d20', 5, 4, 2],
    ['d25', 7, 4, 2],
    ['d32', 8, 6, 4],
    ['d40', 12, 6, 4],
    ['d50', 18, 6, 4],
    ['d63', 24, 8, 6],
    ['d75', 30, 8, 6],
    ['d90', 40, 8, 6],
    ['d110', 50, 10, 8],
    ['d125', 60, 10, 8],
  ])('%s: %p s, %p s, %p min', (size, heat, change, cool) => {
    const r = ask('socket-fusion', { size, airC: 20, layered: false })
    expect(r).toMatchObject({ heatS: heat, changeoverS: change, adjustS: change, coolS: cool * 60 })
    expect(r).toMatchObject({ toolMinC: 250, toolMaxC: 270, maxTiltDeg: 5 })
  })
  it('below +5 °C half again of heat (marked), at 5 °C not', () => {
    const heat = (airC: number) => ask('socket-fusion', { size: 'd32', airC, layered: true }).heatS
    expect([heat(5), heat(4.99), heat(0)]).toEqual([8, 12, 12])
  })
  it('d14 and d140 are not made', () => {
    expect(refused('socket-fusion', { size: 'd14', airC: 20, layered: false })).toBe('unknown-size size')
    expect(refused('socket-fusion', { size: 'd140', airC: 20, layered: false })).toBe('unknown-size size')
    expect(refused('socket-fusion', { size: 'NPS 1', airC: 20, layered: false })).toBe('not-joinable size')
  })
})

describe('socket depth printed beside the DVS 2207-11 heat times, mm (from memory)', () => {
  it.each([
    ['d16', 13],
    ['d20', 14],
    ['d25', 15],
    ['d32', 16.5],
    ['d40', 18],
    ['d50', 20],
    ['d63', 24],
    ['d75', 26],
    ['d90', 29],
    ['d110', 32.5],
    ['d125', 40],
  ])('%s: %p mm', (size, mm) =>
    expect(ask('socket-fusion', { size, airC: 20, layered: false }).depthMm).toBeCloseTo(mm, 9),
  )
})
