import fc from 'fast-check'
import { lusolve } from 'mathjs'
import { growthOf, lineInSpace, sourceOf } from '../../src/index.js'
import { type FrameLeg, guidedFrame } from '../../src/line/growth/guided-frame.js'
import { Symmetric } from '../../src/line/growth/symmetric.js'
import { layingOf } from '../../src/line/laying/tables.js'
import { type Vector, dot, lengthOf, minus, times, unit } from '../../src/space/vector.js'
import { Bench, bench } from '../line-bench.js'
import { LINE } from '../make-job.js'
import { legBetween, solveFrame } from './frame-solver.js'

const PIPE = { areaMm2: 600, inertiaMm4: 3e5, modulusMpa: 117_000 }
const STRAIN = 1e-3
const chain = (ways: readonly Vector[]): FrameLeg[] =>
  ways.map((way, i) => legBetween(i, i + 1, way, PIPE, STRAIN))
const bothEnds = (legs: readonly FrameLeg[]) => [0, legs.length].map((node) => ({ node, along: null }))
/** What a leg bends by, across it. */
function acrossOf(leg: FrameLeg, moved: readonly Vector[]): number {
  const apart = minus(moved[leg.to] as Vector, moved[leg.from] as Vector)
  const out = dot(apart, unit(leg.way) as Vector)
  return Math.sqrt(Math.max(0, dot(apart, apart) - out * out))
}
const near = (a: Vector, b: Vector, within: number): void =>
  expect(lengthOf(minus(a, b))).toBeLessThan(within)

/** Legs along the axes, each at a right angle to the one before. */
const routes = fc
  .array(fc.record({ long: fc.integer({ min: 300, max: 8000 }), turn: fc.nat(3) }), {
    minLength: 2,
    maxLength: 7,
  })
  .map((legs) => {
    let axis = 0
    return legs.map(({ long, turn }): Vector => {
      axis = (axis + 1 + (turn % 2)) % 3
      const signed = turn > 1 ? -long : long
      return [axis === 0 ? signed : 0, axis === 1 ? signed : 0, axis === 2 ? signed : 0]
    })
  })

describe('few ties, solved (mathjs)', () =>
  it('as a dense solver does', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(9), fc.nat(9), fc.integer({ min: 1, max: 50 })), { maxLength: 20 }),
        (ties) => {
          const dense = Array.from({ length: 10 }, (_, i) =>
            Array.from({ length: 10 }, (_, j) => (i === j ? 3 : 0)),
          )
          const own = new Symmetric(10)
          for (let i = 0; i < 10; i++) {
            own.add(i, i, 3)
            own.right[i] = i - 4
          }
          for (const [a, b, tie] of ties) {
            if (a === b) continue
            for (const [i, j, v] of [
              [a, a, tie],
              [b, b, tie],
              [a, b, -tie],
            ] as const) {
              own.add(i, j, v)
              const [row, mirror] = [dense[i] as number[], dense[j] as number[]]
              row[j] = (row[j] as number) + v
              if (i !== j) mirror[i] = (mirror[i] as number) + v
            }
          }
          const there = lusolve(
            dense,
            Array.from({ length: 10 }, (_, i) => i - 4),
          ) as number[][]
          own.solved().forEach((v, i) => expect(v).toBeCloseTo((there[i] as number[])[0] as number, 8))
        },
      ),
    )))

describe('guided cantilevers', () => {
  it('an L between two anchors: 12 E I d / L³ and 3 E D d / L² (handbooks of piping, from memory)', () => {
    const legs = chain([
      [4000, 0, 0],
      [0, 3000, 0],
    ])
    const { moved, forces } = guidedFrame(3, legs, bothEnds(legs))
    // The first leg's growth bends the second, but for what both are squeezed by.
    const grown = STRAIN * 4000
    expect(acrossOf(legs[1] as FrameLeg, moved) / grown).toBeGreaterThan(0.995)
    expect((forces[1] as Vector)[0] / ((12 * 117_000 * 3e5 * grown) / 3000 ** 3)).toBeCloseTo(1, 2)
    expect((forces[0] as Vector)[0]).toBeCloseTo(-(forces[1] as Vector)[0], 6)
  })
  it('legs across a growth share it by the cube of their lengths: a U whose arms are 1 and 2 long', () => {
    const legs = chain([
      [3000, 0, 0],
      [0, 1000, 0],
      [800, 0, 0],
      [0, -2000, 0],
      [3000, 0, 0],
    ])
    const { moved } = guidedFrame(6, legs, bothEnds(legs))
    const [short, long] = [legs[1], legs[3]].map((leg) => acrossOf(leg as FrameLeg, moved))
    expect((long as number) / (short as number)).toBeCloseTo(8, 2)
  })
  it('any way round, as a frame solver has it whose corners are kept from turning', () =>
    fc.assert(
      fc.property(routes, (ways) => {
        const legs = chain(ways)
        const own = guidedFrame(legs.length + 1, legs, bothEnds(legs))
        const frame = solveFrame(legs.length + 1, legs, [0, legs.length], true)
        own.moved.forEach((moved, node) => near(moved, frame.moved[node] as Vector, 1e-4))
        const force = frame.onto.get(0) as Vector
        near(own.forces[0] as Vector, force, 1e-4 * Math.max(1, lengthOf(force)))
      }),
      { numRuns: 60 },
    ))
  it('is on the careful side of the frame whose corners turn: its greatest moment is the greater', () =>
    fc.assert(
      fc.property(routes, (ways) => {
        const legs = chain(ways)
        const own = guidedFrame(legs.length + 1, legs, bothEnds(legs))
        const guided = Math.max(
          ...legs.map(
            (leg) =>
              (6 * PIPE.modulusMpa * PIPE.inertiaMm4 * acrossOf(leg, own.moved)) / lengthOf(leg.way) ** 2,
          ),
        )
        const turning = solveFrame(legs.length + 1, legs, [0, legs.length])
        expect(guided).toBeGreaterThan(0.95 * Math.max(...turning.endMoments.flat()))
      }),
      { numRuns: 60 },
    ))
  it('branches, loops and guides too, against the solver', () => {
    const ways: [number, number, Vector][] = [
      [0, 1, [3000, 0, 0]],
      [1, 2, [0, 2000, 0]],
      [2, 3, [-3000, 0, 0]],
      [3, 0, [0, -2000, 0]],
      [1, 4, [0, 0, 1500]],
      [4, 5, [2500, 0, 0]],
    ]
    const legs = ways.map(([from, to, way], i) =>
      legBetween(from, to, way, PIPE, i === 1 ? 2 * STRAIN : STRAIN),
    )
    const own = guidedFrame(
      6,
      legs,
      [0, 5].map((node) => ({ node, along: null })),
    )
    const frame = solveFrame(6, legs, [0, 5], true)
    own.moved.forEach((moved, node) => near(moved, frame.moved[node] as Vector, 1e-4))
    // A guide lets go along its pipe and holds across it.
    const guided = guidedFrame(6, legs, [
      { node: 0, along: null },
      { node: 4, along: [0, 0, 1] },
    ])
    expect(guided.moved[4]?.slice(0, 2)).toEqual([0, 0])
    expect(Math.abs((guided.moved[4] as Vector)[2])).toBeGreaterThan(1)
  })
  it('one anchor holds nothing back: all grows from it as its place does', () =>
    fc.assert(
      fc.property(routes, (ways) => {
        const legs = chain(ways)
        const { moved } = guidedFrame(legs.length + 1, legs, [{ node: 0, along: null }])
        let at: Vector = [0, 0, 0]
        for (const [i, way] of ways.entries()) {
          at = [at[0] + way[0], at[1] + way[1], at[2] + way[2]]
          near(moved[i + 1] as Vector, times(at, STRAIN), 1e-6)
        }
      }),
    ))
})

describe('lines of a job as they grow', () => {
  const grown = (b: Bench) => growthOf(b.state)
  const L = ['from +2.400 east', 'cap 63', '4000 c-c', 'elbow 90 north', '1500 c-c', 'cap']
  it('without an anchor it is counted from where it begins, and nothing bends', () => {
    const { legs, holds, ends, without } = grown(bench(...L))
    expect(without).toEqual([])
    expect(holds).toMatchObject([{ as: 'begins', tag: 'Q2/F01' }])
    for (const { acrossMm } of legs) expect(acrossMm).toBeLessThan(1e-9)
    // PVC-U, 0.08 mm a metre and kelvin: common practice.
    expect(ends.find(({ tag }) => tag === 'Q2/F03')?.movedMm[0]).toBeCloseTo(4 * 0.08, 6)
  })
  it('held at both ends the short leg takes what the long one grows', () => {
    const b = bench(...L, 'anchor')
    b.cursor = { after: b.item('Q2/F01').id, branch: false }
    expect(b.type('anchor')).toBe('ok')
    const { legs, holds } = grown(b)
    expect(holds.map(({ as, tag }) => `${as} ${tag}`)).toEqual(['anchor Q2/F01', 'anchor Q2/F03'])
    const short = legs.find(({ from }) => from === 'Q2/F02')
    // But for what the short leg is squeezed by: less than one in a hundred.
    expect(Math.abs((short?.acrossMm ?? 0) / (4 * 0.08) - 1)).toBeLessThan(0.01)
    // 3 E D d / L²: D 63, L 1500, E 420 ksi (B31.3 table C-8, from memory).
    const mpa = (3 * 420 * 6.894757 * 63 * 0.32) / 1500 ** 2
    expect(Math.abs((short?.stressMpa ?? 0) / mpa - 1)).toBeLessThan(0.01)
    expect(sourceOf('b31-3-c8').reference).toContain('B31.3')
  })
  it('unions and couplings are no corners; a guide is one', () => {
    const through = bench(
      'from +2 east',
      'cap 63',
      '2000 c-c',
      'union',
      '2000 c-c',
      'elbow 90 north',
      '1500 c-c',
      'cap',
    )
    expect(grown(through).legs.map((l) => Math.round(l.lengthMm))).toEqual([4000, 1500])
    const b = bench(...L)
    b.cursor = { after: b.item('Q2/P02').id, branch: false }
    expect(b.type('guide 600')).toBe('ok')
    expect(grown(b).legs.map((l) => Math.round(l.lengthMm))).toEqual([4000, 600, 900])
  })
  it('where its middle goes is drawn: what stands in a straight moves with it', () => {
    const b = bench('from +2 east', 'cap 63', '2000 c-c', 'union', '2000 c-c', 'cap')
    const moved = grown(b).moved.get(LINE)
    expect(moved?.map((at) => at?.[0].toFixed(3))).toEqual(['0.000', '0.160', '0.320'])
  })
  it('a line that begins at another moves with it', () => {
    const b = bench('from +2.000 east', 'cap 63', '3000 c-c', 'tee branch north', '500 c-c', 'cap')
    const other = new Bench({ tag: 'Q3' }, b)
    expect(other.type('from Q2/F02 branch', 'street elbow 90 63 up')).toBe('ok')
    for (const fitting of ['tee branch', 'street elbow 90 spigot'])
      b.log.put('take-off', { fitting, size: 'd63', takeOffMm: 70, takeOffTo: 'face' })
    expect(other.type('1000 c-c', 'cap')).toBe('ok')
    const { holds, ends } = grown(b)
    expect(holds).toHaveLength(1)
    const end = ends.find(({ tag }) => tag === 'Q3/F02')
    expect(end?.movedMm[0]).toBeCloseTo(0.24, 3)
  })
  it('a rubber joint parts what moves: its two sides are told', () => {
    const b = new Bench({ method: 'flange', material: 'carbon-steel', school: 'inch' })
    expect(
      b.type(`from +7'-0" east`, 'valve 4', '120 c-c', 'expansion joint 4', '60 c-c', 'valve 4; anchor'),
    ).toBe('ok')
    b.cursor = { after: b.line.items[0]?.id ?? null, branch: false }
    expect(b.type('anchor')).toBe('ok')
    const { joints, holds } = growthOf(b.state)
    expect(holds.map(({ as }) => as)).toEqual(['anchor', 'anchor'])
    // 180 in of steel at 0.012 mm a metre and kelvin close in on it.
    expect(joints[0]?.apartMm[0]).toBeCloseTo(-(180 * 25.4 * 0.012) / 1000, 4)
  })
  it('what is not measured is said, with its line', () => {
    const b = bench('from +2 east', 'cap 63', '?', 'elbow 90 north', '1500 c-c', 'cap')
    expect(grown(b)).toMatchObject({
      legs: [],
      without: [{ why: { code: 'growth-not-placed', params: { part: 'Q2/P01' } } }],
    })
  })
  it('what holds is typed, comes back from the rows, and is refused where it cannot be', () => {
    const b = bench('from +2 east', 'cap 63', '2000 c-c')
    expect(b.type('anchor')).toBe('held-how-far')
    expect(b.type('guide 2500')).toBe('held-past-end')
    expect(b.type('guide 500', 'anchor 1200.5')).toBe('ok')
    expect(b.type('anchor 500')).toBe('ok')
    expect(b.item('Q2/P01').held).toEqual([
      { as: 'anchor', atMm: 500 },
      { as: 'anchor', atMm: 1200.5 },
    ])
    expect(b.type('elbow 90 up')).toBe('ok')
    expect(b.type('guide')).toBe('held-not-so')
    expect(b.type('anchor')).toBe('ok')
    expect(lineInSpace(b.state, b.line).all).toEqual([])
  })
})
describe('risers: IPC table 308.5, vertical, feet; from memory', () =>
  it.each([
    ['pvc-u', 10],
    ['copper', 10],
    ['carbon-steel', 15],
    ['multilayer', 4],
  ])('%s: %p', (material, feet) => expect(layingOf(material).risers[0]?.mm).toBeCloseTo(feet * 304.8, 6)))
