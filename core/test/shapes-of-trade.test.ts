import fc from 'fast-check'
import { allEntries, allMethods, outsideDiameterMm, parseSize } from '../src/index.js'
import { judgePeel } from '../src/methods/solder/peel.js'
import { tiltDeg } from '../src/methods/sanitary-clamp/rules.js'
import { wallMm } from '../src/sizes/walls.js'

const anyGrid = fc
  .tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 1, max: 7 }))
  .chain(([rows, columns]) =>
    fc.array(fc.array(fc.constantFrom(0, 1), { minLength: columns, maxLength: columns }), {
      minLength: rows,
      maxLength: rows,
    }),
  )

/** Another way to the same answer: groups of touching voids are merged until nothing changes. */
function pathByMerging(grid: number[][]): boolean {
  const rows = grid.length
  const columns = (grid[0] as number[]).length
  const cells = grid.flatMap((row, r) => row.flatMap((v, c) => (v ? [] : [{ r, c, group: r * columns + c }])))
  const touch = (a: number, b: number): boolean => {
    const d = Math.abs(a - b)
    return d <= 1 || d === rows - 1
  }
  for (let changed = true; changed;) {
    changed = false
    for (const a of cells)
      for (const b of cells)
        if (b.group < a.group && touch(a.r, b.r) && Math.abs(a.c - b.c) <= 1) {
          a.group = b.group
          changed = true
        }
  }
  return cells.some((a) => a.c === 0 && cells.some((b) => b.c === columns - 1 && b.group === a.group))
}

describe('a peeled joint', () => {
  it('has a path where touching voids lead from face to stop, found another way', () =>
    fc.assert(
      fc.property(anyGrid, (grid) => expect(judgePeel(grid).leakPath).toBe(pathByMerging(grid))),
      {
        numRuns: 500,
      },
    ))
  it('is judged the same wherever 12 o\u2019clock is, and either way round', () =>
    fc.assert(
      fc.property(anyGrid, fc.nat(6), (grid, turn) => {
        const k = turn % grid.length
        const told = ({ coveragePct, largestVoidPct, leakPath, verdict }: ReturnType<typeof judgePeel>) => [
          coveragePct,
          largestVoidPct,
          leakPath,
          verdict,
        ]
        const turned = [...grid.slice(k), ...grid.slice(0, k)]
        expect(told(judgePeel(turned))).toEqual(told(judgePeel(grid)))
        expect(told(judgePeel([...grid].reverse()))).toEqual(told(judgePeel(grid)))
      }),
    ))
  it('more solder is never worse', () =>
    fc.assert(
      fc.property(anyGrid, fc.nat(6), fc.nat(6), (grid, r, c) => {
        const filled = grid.map((row, i) =>
          row.map((v, j) => (i === r % grid.length && j === c % row.length ? 1 : v)),
        )
        if (judgePeel(grid).verdict === 'pass') expect(judgePeel(filled).verdict).toBe('pass')
        expect(judgePeel(filled).coveragePct).toBeGreaterThanOrEqual(judgePeel(grid).coveragePct)
      }),
    ))
})

it('the tilt of a clamp does not depend on which axis is measured first, and a second axis never lessens it', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 20, max: 170, noNaN: true }),
      fc.double({ min: 0, max: 5, noNaN: true }),
      fc.double({ min: 0, max: 5, noNaN: true }),
      (flange, a, b) => {
        expect(tiltDeg(flange, a, b)).toBeCloseTo(tiltDeg(flange, b, a), 12)
        expect(tiltDeg(flange, a, b)).toBeGreaterThanOrEqual(tiltDeg(flange, a) - 1e-12)
      },
    ),
  ))

describe('every size that is joined', () => {
  it('has an outside diameter, and a wall that leaves a bore where a wall is known', () => {
    for (const e of allEntries()) {
      const size = parseSize(e.size)
      const od = size && outsideDiameterMm(size)
      expect([e.size, typeof od]).toEqual([e.size, 'number'])
      const wall = size ? wallMm(e.material, size, e.schedule).value : null
      if (wall !== null)
        expect([e.material, e.size, wall > 0 && wall * 2 < (od as number)]).toEqual([
          e.material,
          e.size,
          true,
        ])
    }
  })
  it('of one material is listed once and grows within its family', () => {
    for (const m of allMethods())
      for (const material of m.fields.find((f) => f.key === 'material')?.options ?? []) {
        const sizes = m.sizes(material)
        expect(new Set(sizes).size).toBe(sizes.length)
      }
  })
})

describe('a specification', () => {
  it('is read or refused with a field, never thrown at, whatever it holds', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...allMethods()),
        fc.dictionary(
          fc.constantFrom(
            'material',
            'size',
            'school',
            'kind',
            'bolts',
            'dryTorqueNm',
            'socketDepthMm',
            'from',
            'part',
          ),
          fc.oneof(
            fc.string(),
            fc.double(),
            fc.constant(null),
            fc.constantFrom('copper', 'd22', 'metric', 'pvc-u'),
            fc.jsonValue(),
          ),
        ),
        (m, raw) => {
          const read = m.parse(raw)
          if (!read.ok) expect(read.errors.every((e) => Boolean(e.field))).toBe(true)
        },
      ),
      { numRuns: 1000 },
    ))
})
