import { axisSums, coordinatesOf, lineInSpace } from '../src/index.js'
import { bench } from './line-bench.js'

/** Out east, up, back west past where it began, and a branch to the north. */
const around = () => {
  const b = bench(
    'from +2.000 east',
    'cap 63',
    '3000 c-c',
    'elbow 90 up',
    '1200 c-c',
    'elbow 90 west',
    '4000 c-c',
    'tee branch north',
    '500 c-f',
    'branch',
    '800 c-c',
    'cap',
  )
  for (const [fitting, takeOffMm] of [
    ['elbow 90', 70],
    ['tee branch', 66],
  ] as const)
    b.log.put('take-off', { fitting, size: 'd63', takeOffMm, takeOffTo: 'face' })
  return { b, space: lineInSpace(b.state, b.line) }
}

describe('coordinates of a line', () => {
  it('of centres and bare ends, with how far along they are', () => {
    const { b, space } = around()
    const all = coordinatesOf(b.state, space).filter(({ what }) => what !== 'face')
    expect(all.map(({ tag, what, atMm, alongMm }) => [tag.slice(3), what, ...atMm, alongMm])).toEqual([
      ['F01', 'centre', 0, 0, 2000, 0],
      ['F02', 'centre', 3000, 0, 2000, 3000],
      ['F03', 'centre', 3000, 0, 3200, 4200],
      ['F04', 'centre', -1000, 0, 3200, 8200],
      ['F05', 'centre', -1000, 800, 3200, 9000],
      ['E01', 'end', -1500, 0, 3200, 8700],
    ])
  })
  it('of faces, where the take-off was measured to them: off the centre, the way each end looks', () => {
    const { b, space } = around()
    const faces = coordinatesOf(b.state, space).filter(({ what }) => what === 'face')
    expect(faces.map(({ tag, at, atMm, alongMm }) => [tag.slice(3), at, ...atMm, alongMm])).toEqual([
      ['F02', 0, 2930, 0, 2000, 2930],
      ['F02', 1, 3000, 0, 2070, 3070],
      ['F03', 0, 3000, 0, 3130, 4130],
      ['F03', 1, 2930, 0, 3200, 4270],
      ['F04', 2, -1000, 66, 3200, 8266],
    ])
  })
  it('sums by axis: what goes there and what comes back leaves where its end is', () => {
    const { space } = around()
    expect(axisSums(space)).toEqual({ east: 3000, west: 4500, north: 800, south: 0, up: 1200, down: 0 })
  })
  it('what nobody measured is no part of a sum, and the way to a saddle is not counted twice', () => {
    const b = bench(
      'from +2.000 east',
      'cap 110',
      '3000 c-c',
      'saddle 1 at 1200 up',
      '..',
      'elbow 90 north',
      '?',
    )
    expect(axisSums(lineInSpace(b.state, b.line))).toMatchObject({ east: 3000, north: 0 })
    const saddle = coordinatesOf(b.state, lineInSpace(b.state, b.line)).find(({ tag }) => tag === 'Q2/F02')
    expect([saddle?.atMm, saddle?.alongMm]).toEqual([[1200, 0, 2000], 1200])
  })
})
