import fc from 'fast-check'
import loadHighs from 'highs'
import { checkOrder } from '../src/plan/order/check-order.js'
import { orderFaults } from '../src/plan/order/faults.js'
import { planOrder } from '../src/plan/order/plan-order.js'
import type { OrderJoint, OrderQuestion, ReadyRow } from '../src/plan/order/question.js'
import { bruteForce } from './order-brute.js'
import { smallOrder } from './order-cases.js'
import { QUARTER, nightJob, quarterJob, timeIndexed } from './order-jobs.js'

it('small jobs of every kind: as good as the best of all plans, or there is none', () => {
  let plans = 0
  let without = 0
  fc.assert(
    fc.property(smallOrder(5), (question) => {
      fc.pre(orderFaults(question).length === 0)
      const answer = planOrder(question)
      const best = bruteForce(question)
      if (best === null) {
        without++
        expect([answer.status, answer.valueS, answer.plan, answer.proven]).toEqual([
          'infeasible',
          null,
          [],
          true,
        ])
        expect(answer.reasons.length).toBeGreaterThan(0)
        return
      }
      plans++
      expect(checkOrder(question, answer)).toEqual([])
      expect(answer.valueS).toBeCloseTo(best, 6)
      expect(answer.boundS).toBeLessThanOrEqual(best + 1e-6)
      expect([answer.status, answer.proven]).toEqual(['optimal', true])
    }),
    { numRuns: 1500, seed: 7 },
  )
  expect([plans > 300, without > 30]).toEqual([true, true])
})

/** One pair of hands that is always there. */
const alone = (joints: OrderJoint[], aim: 'last-ready' | 'weighted' = 'last-ready'): OrderQuestion => ({
  startS: 0,
  people: [{ id: 'one', shifts: [{ fromS: 0, untilS: 100_000 }] }],
  joints,
  aim,
  effortS: 1,
})
const jobs = fc.array(fc.record({ p: fc.integer({ min: 1, max: 20 }), d: fc.integer({ min: 0, max: 60 }) }), {
  minLength: 1,
  maxLength: 8,
})
const FAR = 200

describe('one machine, against rules that are proved', () => {
  it('Carlier 1982, the example with seven jobs of heads and tails: 50 (from memory)', () => {
    const rows = [
      [10, 5, 7],
      [13, 6, 26],
      [11, 7, 24],
      [20, 4, 21],
      [30, 3, 8],
      [0, 6, 17],
      [30, 2, 0],
    ]
    const question = alone(
      rows.map(([r = 0, p = 0, q = 0], i) => ({ id: `J${i + 1}`, workS: p, notBeforeS: r, readyAfterS: q })),
    )
    expect(planOrder(question)).toMatchObject({ valueS: 50, proven: true, status: 'optimal' })
  })
  it('Jackson 1955: by due dates, the greatest lateness is least', () => {
    fc.assert(
      fc.property(jobs, (all) => {
        // A tail of FAR less the due date makes the last one ready FAR and the lateness later.
        const question = alone(all.map(({ p, d }, i) => ({ id: `${i}`, workS: p, readyAfterS: FAR - d })))
        let atS = 0
        let latest = -Infinity
        for (const { p, d } of [...all].sort((one, other) => one.d - other.d)) {
          atS += p
          latest = Math.max(latest, atS - d)
        }
        expect(planOrder(question)).toMatchObject({ valueS: latest + FAR, proven: true })
      }),
      { numRuns: 60, seed: 1 },
    )
  })
  it('Lawler 1973: with an order to keep, from the back, whatever may stand last and costs least there', () => {
    fc.assert(
      fc.property(jobs, fc.infiniteStream(fc.boolean()), (all, coin) => {
        const links = all.map((_, i) => (i > 1 && coin.next().value ? [i - 2] : []))
        const question = alone(
          all.map(({ p, d }, i) => ({
            id: `${i}`,
            workS: p,
            readyAfterS: FAR - d,
            after: (links[i] ?? []).map(String),
          })),
        )
        const left = new Set(all.keys())
        let endS = all.reduce((sum, { p }) => sum + p, 0)
        let latest = -Infinity
        while (left.size) {
          const last = [...left].filter((i) => ![...left].some((other) => links[other]?.includes(i)))
          const chosen = last.sort((one, other) => (all[other]?.d ?? 0) - (all[one]?.d ?? 0))[0] as number
          latest = Math.max(latest, endS - (all[chosen]?.d ?? 0))
          endS -= all[chosen]?.p ?? 0
          left.delete(chosen)
        }
        expect(planOrder(question)).toMatchObject({ valueS: latest + FAR, proven: true })
      }),
      { numRuns: 60, seed: 2 },
    )
  })
  it('Smith 1956: weighted, by work over weight', () => {
    const weights = [1, 5, 2, 7]
    const works = [6, 3, 8, 9]
    const question: OrderQuestion = {
      ...alone(
        works.map((workS, i) => ({ id: `${i}`, workS, readyAfterS: 0, section: `${i}` })),
        'weighted',
      ),
      sections: weights.map((weight, i) => ({ id: `${i}`, weight })),
    }
    const order = [...works.keys()].sort(
      (one, other) => works[one]! / weights[one]! - works[other]! / weights[other]!,
    )
    let atS = 0
    const sum = order.reduce((total, i) => total + (atS += works[i] as number) * (weights[i] as number), 0)
    const answer = planOrder(question)
    expect(answer.valueS).toBeCloseTo(sum / 15, 9)
    expect(answer.proven).toBe(true)
  })
})

describe('what must hold of every plan', () => {
  const pairs = smallOrder(5).filter((question) => orderFaults(question).length === 0)
  const value = (question: OrderQuestion): number => planOrder(question).valueS ?? Infinity
  it('one more person, shorter work or a milder forecast is never later', () => {
    fc.assert(
      fc.property(pairs, (question) => {
        const plain = value(question)
        const shifts = [{ fromS: 0, untilS: 20 }]
        expect(
          value({ ...question, people: [...question.people, { id: 'p9', shifts }] }),
        ).toBeLessThanOrEqual(plain)
        const milder = (rows: readonly ReadyRow[]): ReadyRow[] =>
          rows.map((row) => ({ ...row, readyAfterS: Math.max(0, row.readyAfterS - 2) }))
        expect(
          value({
            ...question,
            tables: { a: milder(question.tables?.a ?? []) },
            joints: question.joints.map((joint) =>
              Array.isArray(joint.readyByEnd) ? { ...joint, readyByEnd: milder(joint.readyByEnd) } : joint,
            ),
          }),
        ).toBeLessThanOrEqual(plain)
        // Where the same end is ready at the same time, less work is never later.
        const flat = question.joints.map((joint) => ({ ...joint, readyByEnd: undefined, readyAfterS: 3 }))
        const shorter = flat.map((joint) => ({ ...joint, workS: Math.max(1, joint.workS - 1) }))
        if (flat.every(({ startS }) => typeof startS !== 'number'))
          expect(value({ ...question, joints: shorter })).toBeLessThanOrEqual(
            value({ ...question, joints: flat }),
          )
      }),
      { numRuns: 300, seed: 3 },
    )
  })
  it('a plan that is fixed as it is stays as it is', () => {
    fc.assert(
      fc.property(pairs, (question) => {
        const { plan, valueS } = planOrder(question)
        const joints = question.joints.map((joint) => {
          const own = plan.find(({ id }) => id === joint.id)
          return own ? { ...joint, startS: own.startS, people: own.people, hands: own.people.length } : joint
        })
        if (!plan.length) return
        const again = planOrder({ ...question, joints })
        expect([again.plan, again.valueS]).toEqual([plan, valueS])
      }),
      { numRuns: 300, seed: 4 },
    )
  })
  it('forty joints over nights: every rule kept, the bound below, the same twice', () => {
    for (const seed of [1, 2]) {
      const question = { ...nightJob(seed, 40, 3), effortS: 0.05 }
      expect(orderFaults(question)).toEqual([])
      const one = planOrder(question)
      expect(checkOrder(question, one)).toEqual([])
      expect(one.boundS as number).toBeLessThanOrEqual(one.valueS as number)
      expect(planOrder(question)).toEqual(one)
    }
  })
})

it('against the time-indexed model: seven joints, two people, quarters of an hour, two days', async () => {
  const highs = await loadHighs()
  for (const seed of [1, 2, 3]) {
    const question = quarterJob(seed)
    const found = highs.solve(timeIndexed(question), { output_flag: false } as never)
    expect(found.Status).toBe('Optimal')
    const answer = planOrder(question)
    expect(checkOrder(question, answer)).toEqual([])
    expect(answer.valueS).toBe(Math.round(found.ObjectiveValue) * QUARTER)
  }
}, 120_000)
