import { MOST_JOINTS, orderFaults } from '../plan/order/faults.js'
import { MOST_EFFORT_S, USUAL_EFFORT_S, planOrder } from '../plan/order/plan-order.js'
import type { OrderQuestion } from '../plan/order/question.js'
import { type Shape, either, list, mapOf, may, need, number, object, oneOf, text } from '../schema/shape.js'
import { Refusal, calculation } from './calculation.js'

/** The furthest an instant may lie from the clock's zero, seconds: exact as whole numbers, and far beyond any job. */
const FAR_S = 1e12
const MOST_ROWS = 2000
const instant: Shape = number({ min: -FAR_S, max: FAR_S, integer: true })
const lasting: Shape = number({ min: 0, max: 1e9, integer: true })
const ids: Shape = list(text, 0, MOST_JOINTS)
const readyTable: Shape = list(
  object(
    need('fromS', instant, 'Ends from here on'),
    need('readyAfterS', lasting, 'are ready so much later'),
  ),
  1,
  MOST_ROWS,
)
const shift: Shape = object(need('fromS', instant, 'Begins'), need('untilS', instant, 'Ends'))
const person: Shape = object(
  need('id', text, 'Name'),
  need('shifts', list(shift, 0, 1000), 'Staffed time, ascending; they may touch'),
  may('mayMake', list(text, 0, 100), 'Kinds of joint; if absent any'),
)
const joint: Shape = object(
  need('id', text, 'Name'),
  may('kind', text, 'Kind, as in mayMake'),
  need('workS', number({ above: 0, max: 1e9, integer: true }), 'How long it is made, without a break'),
  may('hands', number({ min: 1, max: 100, integer: true }), 'People it takes; if absent 1'),
  may('people', list(text, 1, 100), 'Only these may make it'),
  may('things', list(text, 0, 100), 'One of each, from start to end and keepS'),
  may('keepS', lasting, 'How long things are kept after its end; if absent 0'),
  may('after', ids, 'Have ended before it begins'),
  may('still', ids, 'Have ended and set before it begins'),
  may('setS', lasting, 'Set, from its end; if absent 0'),
  may('readyAfterS', lasting, 'Ready so long after its end'),
  may('readyByEnd', either(text, readyTable), 'The same by when it ends: a table, or the name of one'),
  may('section', text, 'Section it belongs to'),
  may('notBeforeS', instant, 'Does not begin before'),
  may('endByS', instant, 'Must have ended by'),
  may('startS', instant, 'Fixed here'),
  may('doneAtS', instant, 'Home since'),
)

export const planOrderCalc = calculation({
  name: 'plan-order',
  summary: 'Who makes which joint when, so that what is asked is ready soonest; and what no plan can better.',
  heavy: true,
  inputs: [
    need('startS', instant, 'Start of the plan'),
    need('people', list(person, 0, 100), 'Who there is'),
    may(
      'things',
      list(
        object(
          need('kind', text, 'Kind'),
          need('count', number({ min: 0, max: 10_000, integer: true }), 'How many'),
        ),
        0,
        100,
      ),
      'Tools there are few of',
    ),
    may('tables', mapOf(readyTable, MOST_JOINTS), 'Ready tables by name'),
    need('joints', list(joint, 0, MOST_JOINTS), 'What is to be made, and what is made'),
    may(
      'sections',
      list(
        object(
          need('id', text, 'Name'),
          may('weight', number({ above: 0, max: 1e6 }), 'Weight; if absent 1'),
          may('byS', instant, 'Must be ready by'),
        ),
        0,
        MOST_JOINTS,
      ),
      'Sections with a weight or a time',
    ),
    may('aim', oneOf('last-ready', 'weighted'), 'What is to be least; if absent last-ready'),
    may('effortS', number({ above: 0, max: MOST_EFFORT_S }), `How long to look; if absent ${USUAL_EFFORT_S}`),
  ],
  rules: `Each joint has readyAfterS or readyByEnd. Work is unbroken, within one shift of each of its people. At most ${MOST_JOINTS} joints. effortS counts steps of the search: the same question has the same answer.`,
  sources: ['plan-order'],
  example: {
    input: {
      startS: 28800,
      people: [{ id: 'one', shifts: [{ fromS: 28800, untilS: 64800 }] }],
      tables: {
        night: [
          { fromS: 28800, readyAfterS: 43200 },
          { fromS: 54000, readyAfterS: 14400 },
        ],
      },
      joints: [
        { id: 'A', workS: 1800, readyByEnd: 'night', setS: 1800 },
        { id: 'B', workS: 3600, readyAfterS: 3600, still: ['A'] },
      ],
    },
    result: {
      plan: [
        { id: 'A', startS: 52200, endS: 54000, people: ['one'], readyAtS: 68400 },
        { id: 'B', startS: 55800, endS: 59400, people: ['one'], readyAtS: 63000 },
      ],
      sections: [{ id: null, readyAtS: 68400, heldBy: 'A' }],
      valueS: 68400,
      boundS: 68400,
      proven: true,
      status: 'optimal',
      reasons: [],
    },
  },
  check(question: OrderQuestion) {
    const fault = orderFaults(question)[0]
    if (fault) throw new Refusal(fault.code, fault.message, fault.field)
  },
  compute(question: OrderQuestion, working) {
    const answer = planOrder(question)
    for (const [figure, value] of Object.entries(answer))
      if (figure === 'reasons') working.put(figure, value)
      else working.put(figure, value, 'plan-order', ['given', 'plan-order'])
    const why =
      answer.status === 'infeasible'
        ? 'No plan keeps all that is asked.'
        : 'No plan was found in so many steps.'
    for (const figure of ['valueS', 'boundS'] as const)
      if (answer[figure] === null) working.lacks(figure, answer.status, why)
  },
})
