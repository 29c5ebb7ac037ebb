import fc from 'fast-check'
import { type LineDrawn, type LineInSpace, type View, drawLine, lineInSpace } from '../src/index.js'
import { textBox } from '../src/line/space/drawing/labels.js'
import { project } from '../src/line/space/drawing/view.js'
import { bench } from './line-bench.js'

const SAYS = {
  length: (mm: number) => String(Math.round(mm)),
  level: (mm: number) => `${mm < 0 ? '-' : '+'}${(Math.abs(mm) / 1000).toFixed(3)}`,
  fall: (perMm: number) => `1:${Math.round(1 / perMm)}`,
}
const ISO: View = { name: 'isometric', turns: 0 }
const draw = (space: LineInSpace, view = ISO, scaled = true): LineDrawn => drawLine(space, view, scaled, SAYS)
const spaceOf = (...texts: string[]): LineInSpace => {
  const b = bench(...texts)
  return lineInSpace(b.state, b.line)
}
const WAYS = ['east', 'north', 'up', 'west', 'south', 'down'] as const
const AXIS: Record<string, [number, number, number]> = {
  east: [1, 0, 0],
  west: [-1, 0, 0],
  north: [0, 1, 0],
  south: [0, -1, 0],
  up: [0, 0, 1],
  down: [0, 0, -1],
}
/** A line of pieces along the axes, each at a right angle to the one before. */
const legs = fc
  .array(fc.record({ way: fc.constantFrom(...WAYS), mm: fc.integer({ min: 80, max: 4000 }) }), {
    minLength: 2,
    maxLength: 14,
  })
  .map((list) => {
    let before: readonly number[] = [1, 0, 0]
    return list.filter(({ way }) => {
      const own = AXIS[way] as number[]
      const turns = own.every((x, i) => x === 0 || before[i] === 0)
      if (turns) before = own
      return turns
    })
  })
const entries = (list: readonly { way: string; mm: number }[]): string[] => [
  'from +1.000 east',
  ...list.flatMap(({ way, mm }, i) => [`elbow 90${i ? '' : ' 63'} ${way}`, `${mm} c-c`]),
  'cap',
]

describe('the isometric', () => {
  // ISO 6412-2 (isometric representation of piping), from memory: three axes at 30 degrees, unshortened.
  it('axes stand at 30 degrees, north to the upper right, east to the lower right', () => {
    const degrees = ([x, y]: readonly [number, number]): number =>
      Math.round((Math.atan2(-y, x) * 180) / Math.PI)
    expect(WAYS.map((way) => degrees(project(AXIS[way] as [number, number, number], ISO)))).toEqual([
      -30, 30, 90, 150, -150, -90,
    ])
    expect(Math.hypot(...project([0, 1000, 0], ISO))).toBeCloseTo(1000, 6)
  })
  it('a quarter turn brings each heading to where its neighbour was; four bring it back', () => {
    const at = (turns: View['turns']) => project([100, 20, 3], { name: 'isometric', turns })
    expect(new Set([0, 1, 2, 3].map((turns) => at(turns as View['turns']).join())).size).toBe(4)
    expect(project([0, 100, 0], { name: 'isometric', turns: 1 })).toEqual(project([100, 0, 0], ISO))
  })
  it('walked back from its lines, to scale, the places are those of the line', () =>
    fc.assert(
      fc.property(legs, (list) => {
        if (!list.length) return
        const space = spaceOf(...entries(list))
        const drawn = draw(space)
        const perMm = drawn.perMm as number
        let place = space.nodes[0]?.atMm as readonly number[]
        drawn.legs.forEach((leg, i) => {
          const [from, to] = [leg.points[0], leg.points.at(-1)] as [
            readonly [number, number],
            readonly [number, number],
          ]
          const way: [number, number] = [(to[0] - from[0]) / perMm, (to[1] - from[1]) / perMm]
          const long = Math.hypot(...way)
          // The axis that it lies along in the drawing, and so in the building.
          const axis = WAYS.map((name) => AXIS[name] as [number, number, number]).find((one) => {
            const [x, y] = project(one, ISO)
            return Math.abs(way[0] / long - x) < 1e-6 && Math.abs(way[1] / long - y) < 1e-6
          }) as [number, number, number]
          place = place.map((mm, at) => mm + (axis[at] as number) * long)
          const node = space.nodes[space.legs[i]?.to ?? -1]?.atMm as readonly number[]
          place.forEach((mm, at) => expect(mm).toBeCloseTo(node[at] as number, 4))
        })
      }),
      { numRuns: 60 },
    ))
  it('no text lies over another, in any view, to scale or not', () =>
    fc.assert(
      fc.property(
        legs,
        fc.constantFrom<View>(
          ISO,
          { name: 'isometric', turns: 2 },
          { name: 'plan', turns: 0 },
          { name: 'from-south', turns: 0 },
        ),
        fc.boolean(),
        (list, view, scaled) => {
          if (!list.length) return
          const { labels } = draw(spaceOf(...entries(list)), view, scaled)
          const boxes = labels.map(({ middle, text, size }) => textBox(middle, text, size))
          boxes.forEach((a, i) =>
            boxes.slice(i + 1).forEach((b) => {
              const apart = a.maxX <= b.minX || b.maxX <= a.minX || a.maxY <= b.minY || b.maxY <= a.minY
              expect(apart).toBe(true)
            }),
          )
        },
      ),
      { numRuns: 60 },
    ))
  it('from above a riser is seen from its end, and nothing else is', () => {
    const space = spaceOf(
      'from +1.000 east',
      'elbow 90 63 north',
      '900',
      'elbow 90 up',
      '700',
      'elbow 90 west',
      '500',
      'cap',
    )
    const plan = draw(space, { name: 'plan', turns: 0 }, false)
    expect(plan.legs.map((leg) => leg.end)).toEqual([false, true, false])
    expect(draw(space).legs.some((leg) => leg.end)).toBe(false)
  })
  it('made readable, what lies along an axis does so still, what closes closes, and order is kept', () => {
    const space = spaceOf(
      'from +2.400 east',
      'elbow 90 63 north',
      '6000',
      'elbow 90 west',
      '90',
      'elbow 90 south',
      '6000',
      'elbow 90 east',
      '90',
      'to Q2/F01',
    )
    const drawn = draw(space, ISO, false)
    const [first, second, , last] = drawn.legs
    const long = (leg: LineDrawn['legs'][number] | undefined): number => {
      const [a, b] = [leg?.points[0], leg?.points.at(-1)] as [
        readonly [number, number],
        readonly [number, number],
      ]
      return Math.hypot(b[0] - a[0], b[1] - a[1])
    }
    // 6,000 to 90 is one to 67; drawn it is less than one to four.
    expect(long(first) / long(second)).toBeLessThan(4)
    expect(long(first)).toBeGreaterThan(long(second))
    expect(last?.points.at(-1)?.map(Math.round)).toEqual(drawn.legs[0]?.points[0]?.map(Math.round))
  })
  it('flow has an arrow on each pipe of the main run, its point the way it goes; none where nobody said', () => {
    const texts = ['from +1.000 east', 'cap 63', '2000', 'elbow 90 north', '2000', 'cap']
    expect(draw(spaceOf(...texts), ISO, false).falls).toEqual([])
    const arrows = (said: string) => {
      const { falls, legs } = draw(spaceOf(...texts, said), ISO, false)
      return falls.map(({ points }, i) => {
        const [from, to] = [legs[i]?.points[0] ?? [0, 0], legs[i]?.points.at(-1) ?? [0, 0]]
        const [tip, back] = [points[0] ?? [0, 0], points[1] ?? [0, 0]]
        return Math.sign((tip[0] - back[0]) * (to[0] - from[0]) + (tip[1] - back[1]) * (to[1] - from[1]))
      })
    }
    expect(arrows('flow on')).toEqual([1, 1])
    expect(arrows('flow back')).toEqual([-1, -1])
  })
  it('a fall is a sign and no slope; a skew piece has its hatched corner; nothing of it is lost', () => {
    const space = spaceOf(
      'from +1.000 east',
      'elbow 90 63 north',
      'fall 1:80',
      '2000',
      'elbow 45 0.5,0.5,0',
      '500',
      'elbow 45 0.5,0.5,0.70710678',
      '700',
      'cap',
    )
    const drawn = draw(space, ISO, false)
    expect(drawn.falls.length).toBeGreaterThan(0)
    expect(drawn.labels.some((label) => label.text === '1:80')).toBe(true)
    expect(drawn.skews.map((skew) => [skew.item.tag, skew.triangles.length])).toEqual([
      ['Q2/P02', 1],
      ['Q2/P03', 2],
    ])
    expect(drawn.left).toBe(0)
    const named = drawn.labels.filter((label) => label.key.startsWith('tag')).map((label) => label.text)
    expect(named.sort()).toEqual(['F01', 'F02', 'F03', 'F04'])
  })
})
