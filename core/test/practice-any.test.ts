import { type PracticeQuestion, type School, allMethods, laidOn, practiceRun } from '../src/index.js'
import { seeded } from '../src/units/seeded.js'

const JOINTS = 150
/** A joint of any method in any of its sizes, with whatever its line may say, at any site where somebody could work. */
function anyJoint(lot: () => number): {
  method: ReturnType<typeof allMethods>[number]
  question: PracticeQuestion
} {
  const oneOf = <T>(all: readonly T[]): T => all[Math.floor(lot() * all.length)] as T
  const method = oneOf(allMethods())
  const material = oneOf(Object.keys(method.joins))
  const details: Record<string, unknown> = {}
  for (const field of method.fields) {
    const base = ['material', 'school', 'size'].includes(field.key)
    if (!base && field.options && lot() < 0.3) details[field.key] = oneOf(field.options)
    if (field.control === 'yes-no' && lot() < 0.3) details[field.key] = lot() < 0.5
  }
  const site = {
    airC: -5 + lot() * 45,
    wallC: -5 + lot() * 50,
    relativeHumidityPct: lot() * 100,
    windMS: lot() * 12,
  }
  const school = oneOf<School>(['inch', 'metric'])
  return {
    method,
    question: {
      material,
      size: oneOf(method.sizes(material)),
      school,
      details,
      site,
      seed: Math.floor(lot() * 1e9),
    },
  }
}

describe('practice: any joint, anywhere', () => {
  const lot = seeded(2027)
  const laid = Array.from({ length: JOINTS * 2 }, () => anyJoint(lot)).flatMap(({ method, question }) => {
    const found = laidOn(method, question)
    return found.ok ? [{ on: found.laid, question }] : []
  })
  const told = ({ on, question }: (typeof laid)[number]): string =>
    `${on.method.id} ${JSON.stringify({ ...question, ...on.details })}`
  it('most of what is made up can be laid on the bench', () =>
    expect(laid.length).toBeGreaterThan(JOINTS / 2))
  it('made as usual it is judged good and never weak', () => {
    const bad = laid.filter(({ on, question }) => {
      const made = practiceRun(on, question)
      return made.verdict !== 'pass' || (made.weepsAtBar ?? Infinity) < 10 || made.causes.length > 0
    })
    // One hand in a hundred may slip.
    expect(bad.map(told).slice(JOINTS / 100)).toEqual([])
  })
  it('a fault alone is its first cause, costs something, and more of it never helps', () => {
    const wrong = laid.flatMap((one) => {
      const faults = Object.keys(one.on.faults)
      const fault = faults[Math.floor(lot() * faults.length)] as string
      const [some, more] = [lot(), lot()].sort() as [number, number]
      const made = [some, more, 1].map((amount) =>
        practiceRun(one.on, { ...one.question, spoil: [{ fault, amount }] }),
      )
      const worst = made.at(-1)
      const rises = made.some((m, i) => i > 0 && m.holdsOf > (made[i - 1]?.holdsOf ?? 1) + 1e-12)
      const good = worst?.causes[0]?.fault === fault && worst.holdsOf < 0.93 && !rises
      return good ? [] : [`${fault} ${told(one)}`]
    })
    expect(wrong).toEqual([])
  })
})
