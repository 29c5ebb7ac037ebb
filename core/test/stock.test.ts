import fc from 'fast-check'
import loadHighs from 'highs'
import {
  CALCULATIONS,
  type StockInput,
  type StockPlan,
  planStock,
  solverFrom,
  usePlanner,
} from '../src/index.js'

let solve: ReturnType<typeof solverFrom>
let highs: Awaited<ReturnType<typeof loadHighs>>
beforeAll(async () => {
  highs = await loadHighs()
  solve = solverFrom(highs as never)
})
const clock = (): number => performance.now()
const planOf = (input: StockInput, limitMs = 8000): StockPlan => planStock(input, { solve, clock, limitMs })

/** Independent of the planner: nothing lost, invented or overlapping, and no bar or stock used beyond what there is. */
function faults(input: StockInput, plan: StockPlan): string[] {
  const out: string[] = []
  const wanted = new Map<string, number>()
  for (const p of input.pieces)
    wanted.set(`${p.id} ${p.lengthMm}`, (wanted.get(`${p.id} ${p.lengthMm}`) ?? 0) + p.count)
  for (const bar of plan.bars) {
    let free = 0
    for (const c of bar.cuts) {
      if (c.atMm < free - 1e-6) out.push(`overlap at ${c.atMm}`)
      free = c.atMm + c.lengthMm + input.kerfMm
      const key = `${c.id} ${c.lengthMm}`
      wanted.set(key, (wanted.get(key) ?? 0) - 1)
    }
    const need = bar.cuts.reduce((sum, c) => sum + c.lengthMm + input.kerfMm, 0)
    if (need > bar.stockMm + input.kerfMm + 1e-6) out.push(`bar of ${bar.stockMm} holds ${need}`)
    if (Math.abs(bar.leftMm - Math.max(0, bar.stockMm - need)) > 1e-6) out.push('left over is wrong')
  }
  for (const [key, n] of wanted) if (n !== 0) out.push(`${key}: ${n} not cut`)
  for (const s of input.stock) {
    const like = input.stock.filter(
      (x) => x.lengthMm === s.lengthMm && (x.offcut ?? false) === (s.offcut ?? false),
    )
    const have = like.reduce((sum, x) => sum + (x.count ?? (x.offcut ? 1 : Infinity)), 0)
    const used = plan.bars.filter((b) => b.stockMm === s.lengthMm && b.offcut === (s.offcut ?? false)).length
    if (used > have) out.push(`${used} of ${have} bars of ${s.lengthMm}`)
  }
  return out
}
const opened = (plan: StockPlan): number => plan.bars.reduce((sum, b) => sum + (b.offcut ? 0 : b.stockMm), 0)

/**
 * Another way to the same figure: every bar is a walk from 0 to its end, pieces are steps, and the steps of all bars
 * together are a flow (arc-flow). Solved whole by the solver; shares no idea with the planner but the solver itself.
 */
function leastByArcFlow(input: StockInput): { mm: number; bars: number } | null {
  const widths = input.pieces.map((p) => p.lengthMm + input.kerfMm)
  const room = input.stock.map((s) => s.lengthMm + input.kerfMm)
  const end = Math.max(...room)
  const nodes = [...Array(end + 1).keys()]
  const arcs: string[][] = nodes.map(() => [])
  const into: string[][] = nodes.map(() => [])
  const cut: string[][] = input.pieces.map(() => [])
  for (const from of nodes)
    widths.forEach((w, i) => {
      if (from + w > end) return
      const name = `f${from}_${i}`
      arcs[from]?.push(name)
      into[from + w]?.push(name)
      cut[i]?.push(name)
    })
  for (const from of nodes.slice(0, -1)) {
    arcs[from]?.push(`w${from}`)
    into[from + 1]?.push(`w${from}`)
  }
  const z = input.stock.map((_, k) => `z${k}`)
  const plus = (names: readonly string[]): string =>
    names.map((n, i) => (i % 10 === 9 ? `${n}\n` : n)).join(' + ')
  const rows = nodes.map((v) => {
    // Bars begin at 0; a bar of stock k ends at its own room.
    const begin = v === 0 ? z : []
    const stop = z.filter((_, k) => room[k] === v)
    const left = [...(into[v] ?? []), ...begin]
    const right = [...(arcs[v] ?? []), ...stop]
    return ` n${v}: ${left.length ? plus(left) : '0 z0'} ${right.map((n, i) => `- ${n}${i % 10 === 9 ? '\n' : ''}`).join(' ')} = 0`
  })
  const demand = input.pieces.map((p, i) => ` d${i}: ${plus(cut[i] ?? [])} >= ${p.count}`)
  const limits = input.stock.flatMap((s, k) => {
    const most = s.count ?? (s.offcut ? 1 : null)
    return most === null ? [] : [` l${k}: z${k} <= ${most}`]
  })
  const run = (costs: readonly number[], more: readonly string[]): number | null => {
    const cost = costs.map((c, k) => `${c} z${k}`).join(' + ')
    const whole = [...arcs.flat(), ...z].join('\n')
    const lp = [
      'Minimize',
      ` o: ${cost}`,
      'Subject To',
      ...rows,
      ...demand,
      ...limits,
      ...more,
      'General',
      whole,
      'End',
    ]
    const r = solve(lp.join('\n'), { timeLimitS: 30 })
    return r.optimal ? r.objective : null
  }
  const mm = run(
    input.stock.map((s) => (s.offcut ? 0 : s.lengthMm)),
    [],
  )
  if (mm === null) return null
  const least = ` m: ${input.stock.map((s, k) => `${s.offcut ? 0 : s.lengthMm} z${k}`).join(' + ')} <= ${mm + 0.01}`
  const bars = run(
    input.stock.map((s) => (s.offcut ? 0 : 1)),
    [least],
  )
  return bars === null ? null : { mm: Math.round(mm), bars: Math.round(bars) }
}

const small = fc.record({
  kerfMm: fc.integer({ min: 0, max: 3 }),
  stock: fc.tuple(
    fc.record({ lengthMm: fc.integer({ min: 40, max: 60 }) }),
    fc.record({
      lengthMm: fc.integer({ min: 30, max: 50 }),
      offcut: fc.constant(true),
      count: fc.integer({ min: 0, max: 2 }),
    }),
    fc.record({ lengthMm: fc.integer({ min: 41, max: 70 }), count: fc.integer({ min: 0, max: 3 }) }),
  ),
  pieces: fc
    .array(fc.record({ lengthMm: fc.integer({ min: 7, max: 40 }), count: fc.integer({ min: 1, max: 4 }) }), {
      minLength: 1,
      maxLength: 5,
    })
    .map((ps) => ps.map((p, i) => ({ ...p, id: `p${i}` }))),
})

describe('stock plans against another way of asking', () => {
  it('200 random cases: the arc-flow formulation opens as little, and the checker finds no fault', () => {
    let proven = 0
    fc.assert(
      fc.property(small, (input) => {
        const plan = planOf(input)
        const least = leastByArcFlow(input)
        expect(faults(input, plan)).toEqual([])
        expect(least).not.toBeNull()
        if (plan.proven) proven++
        // A bound is never above the truth, proved or not.
        expect(plan.lowerBoundMm as number).toBeLessThanOrEqual((least?.mm ?? 0) + 1e-6)
        expect(plan.lowerBoundBars as number).toBeLessThanOrEqual(least?.bars ?? 0)
        expect([opened(plan), plan.barsUsed]).toEqual([least?.mm, least?.bars])
      }),
      { numRuns: 200, seed: 7 },
    )
    expect(proven).toBeGreaterThan(150)
  }, 300_000)
})

describe('small cutting-stock examples', () => {
  // Printed in textbooks of integer programming, from memory: rolls 5600 wide, thirteen widths, 73 rolls at least.
  it('the paper-roll example of thirteen widths takes 73 rolls', () => {
    const widths = [1380, 1520, 1560, 1710, 1820, 1880, 1930, 2000, 2050, 2100, 2140, 2150, 2200]
    const counts = [22, 25, 12, 14, 18, 18, 20, 10, 12, 14, 16, 18, 20]
    const pieces = widths.map((w, i) => ({ id: `w${w}`, lengthMm: w, count: counts[i] as number }))
    const plan = planOf({ stock: [{ lengthMm: 5600 }], kerfMm: 0, pieces })
    expect([plan.barsUsed, plan.lowerBoundBars, plan.status]).toEqual([73, 73, 'optimal'])
    expect(faults({ stock: [{ lengthMm: 5600 }], kerfMm: 0, pieces }, plan)).toEqual([])
  })
})

describe('what a fitter would ask of a plan', () => {
  const one = (lengthMm: number, count = 1, id = 'a') => ({ id, lengthMm, count })
  it('the last cut needs no saw: pieces that end flush with the bar fit', () => {
    const plan = planOf({
      stock: [{ lengthMm: 6000 }],
      kerfMm: 3,
      pieces: [one(1998, 1), one(1998, 1, 'b'), one(1998, 1, 'c')],
    })
    expect([plan.barsUsed, plan.bars[0]?.leftMm]).toEqual([1, 0])
  })
  it('offcuts come first and cost nothing', () => {
    const plan = planOf({
      stock: [{ lengthMm: 6000 }, { lengthMm: 1500, offcut: true }],
      kerfMm: 3,
      pieces: [one(1400), one(5900, 1, 'b')],
    })
    expect([plan.barsUsed, plan.bars.filter((b) => b.offcut).length]).toEqual([1, 1])
  })
  it('not enough stock is said, with nothing half planned', () => {
    const plan = planOf({ stock: [{ lengthMm: 6000, count: 1 }], kerfMm: 3, pieces: [one(4000, 2)] })
    expect(plan).toMatchObject({ status: 'infeasible', bars: [], lowerBoundBars: null, proven: true })
  })
  it('leaves one long piece over, not two short ones', () => {
    const plan = planOf({
      stock: [{ lengthMm: 6000 }],
      kerfMm: 0,
      pieces: [one(2500, 1), one(2500, 1, 'b'), one(2000, 1, 'c')],
    })
    expect(plan.barsUsed).toBe(2)
    expect(Math.max(...plan.bars.map((b) => b.leftMm))).toBe(4000)
  })
  it('lengths to a hundredth of a millimetre, and inches, still fit exactly', () => {
    const inch = 25.4
    const input = {
      stock: [{ lengthMm: 240 * inch }],
      kerfMm: inch / 8,
      pieces: [one(48.5 * inch, 8), one(17.1875 * inch, 5, 'b')],
    }
    expect(faults(input, planOf(input))).toEqual([])
    const fine = { stock: [{ lengthMm: 6000 }], kerfMm: 2.35, pieces: [one(1234.57, 7), one(899.01, 9, 'b')] }
    expect(faults(fine, planOf(fine))).toEqual([])
  })
  it('any lengths, as fine as they come: the plan holds, and no bound is above it', () => {
    const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true })
    const input = fc.record({
      kerfMm: mm(0, 4),
      stock: fc.tuple(fc.record({ lengthMm: mm(5000, 6500) }), fc.record({ lengthMm: mm(2000, 7000) })),
      pieces: fc
        .array(fc.record({ lengthMm: mm(60, 1900), count: fc.integer({ min: 1, max: 3 }) }), {
          minLength: 1,
          maxLength: 8,
        })
        .map((ps) => ps.map((p, i) => ({ ...p, id: `p${i}` }))),
    })
    fc.assert(
      fc.property(input, (x) => {
        const plan = planOf(x, 400)
        expect(faults(x, plan)).toEqual([])
        expect(plan.lowerBoundMm ?? 0).toBeLessThanOrEqual(opened(plan) + 1e-6)
        expect(plan.lowerBoundBars ?? 0).toBeLessThanOrEqual(plan.barsUsed)
      }),
      { numRuns: 30 },
    )
  })
  it('nothing wanted is no bar', () => {
    expect(planOf({ stock: [{ lengthMm: 6000 }], kerfMm: 3, pieces: [] })).toMatchObject({
      bars: [],
      barsUsed: 0,
    })
  })
  it('gives the best it has when time is up, and says what is not proved', () => {
    const pieces = Array.from({ length: 40 }, (_, i) => one(311 + 37 * i, 5, `p${i}`))
    const plan = planOf({ stock: [{ lengthMm: 6000 }], kerfMm: 3, pieces }, 1)
    expect(faults({ stock: [{ lengthMm: 6000 }], kerfMm: 3, pieces }, plan)).toEqual([])
    expect([plan.status, plan.proven, plan.lowerBoundMm]).toEqual(['feasible', false, null])
  })
})

it('the example of the calculation door', () => {
  usePlanner({ solve, clock })
  const c = CALCULATIONS.get('stock-plan')
  expect(c?.run(c.example.input).result).toEqual(c?.example.result)
})
