import fc from 'fast-check'
import type { OrderQuestion, ReadyRow } from '../src/plan/order/question.js'

const some = fc.integer({ min: 0, max: 12 })
const rows = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 9 }), some), { minLength: 0, maxLength: 3 })
  .map((steps) => {
    let fromS = 0
    const out: ReadyRow[] = [{ fromS: 0, readyAfterS: 6 }]
    for (const [step, readyAfterS] of steps) out.push({ fromS: (fromS += step), readyAfterS })
    return out
  })
const shifts = fc
  .array(fc.tuple(fc.integer({ min: 0, max: 4 }), fc.integer({ min: 3, max: 12 })), {
    minLength: 1,
    maxLength: 3,
  })
  .map((spans) => {
    let atS = 0
    return spans.map(([gap, long]) => {
      const fromS = atS + gap
      atS = fromS + long
      return { fromS, untilS: atS }
    })
  })
const maybe = <T>(of: fc.Arbitrary<T>, freq = 3) => fc.option(of, { nil: undefined, freq })
const joint = fc.record({
  kind: maybe(fc.constantFrom('k', 'l')),
  workS: fc.integer({ min: 1, max: 5 }),
  hands: fc.constantFrom(1, 1, 1, 2),
  things: maybe(fc.constant(['t'])),
  keepS: fc.constantFrom(0, 0, 2),
  setS: fc.constantFrom(0, 1, 3),
  readyByEnd: fc.oneof(fc.constant('a'), rows),
  section: maybe(fc.constantFrom('x', 'y'), 1),
  notBeforeS: maybe(fc.integer({ min: 0, max: 8 }), 8),
  endByS: maybe(fc.integer({ min: 10, max: 30 }), 8),
  startS: maybe(fc.integer({ min: -1, max: 6 }), 12),
  // One of four may be made at some times alone.
  within: fc.oneof({ weight: 3, arbitrary: fc.constant(undefined) }, { weight: 1, arbitrary: shifts }),
  doneAtS: maybe(fc.integer({ min: -6, max: 0 }), 8),
  one: fc.boolean(),
  links: fc.array(fc.tuple(fc.integer({ min: 1, max: 5 }), fc.boolean()), { maxLength: 2 }),
})

/** Small jobs of every kind: fixed, done, two hands, things kept, tables that fall and rise, sections with times. */
export const smallOrder = (mostJoints: number): fc.Arbitrary<OrderQuestion> =>
  fc
    .record({
      crew: fc.array(fc.record({ shifts, mayMake: maybe(fc.constantFrom(['k'], ['k', 'l']), 4) }), {
        minLength: 2,
        maxLength: 2,
      }),
      table: rows,
      joints: fc.array(joint, { minLength: 0, maxLength: mostJoints }),
      byS: maybe(fc.integer({ min: 10, max: 40 }), 5),
      weight: fc.integer({ min: 1, max: 3 }),
      aim: fc.constantFrom('last-ready' as const, 'weighted' as const),
      aside: fc.boolean(),
    })
    .map(({ crew, table, joints, byS, weight, aim, aside }) => ({
      startS: 0,
      people: crew.map((person, i) => ({ id: `p${i}`, ...person })),
      things: [{ kind: 't', count: 1 }],
      tables: { a: table },
      joints: joints.map(({ one, links, ...rest }, i) => ({
        ...rest,
        id: `j${i}`,
        ...(one ? { people: rest.hands === 2 ? ['p0', 'p1'] : ['p1'], kind: undefined } : {}),
        after: links.flatMap(([back, set]) => (!set && i >= back ? [`j${i - back}`] : [])),
        still: links.flatMap(([back, set]) => (set && i >= back ? [`j${i - back}`] : [])),
      })),
      sections: [{ id: 'x', weight, byS }],
      aim,
      // Something must count.
      aside: aside && joints.some((one) => one.section !== undefined),
      effortS: 0.5,
    }))
